package jollytide.core.suspects;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.function.IntFunction;
import java.util.function.IntToDoubleFunction;
import java.util.function.Predicate;
import jollytide.core.description.RoomCourse;
import jollytide.core.description.TankParameters;
import jollytide.core.fit.AlkalinityCourse;
import jollytide.core.fit.FittedTank;
import jollytide.core.fit.Logged;
import jollytide.core.fit.Reading;
import jollytide.core.fit.TankLog;
import jollytide.core.units.InputException;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** Tanks of which the truth is known, and who is blamed by nothing but their log. */
class RankingTest {
    private static final int DAYS = 28;
    private static final int CHANGED = 20;
    private static final TankParameters TRUTH = new TankParameters(0.9, 1.2, 0.021, 0.039);
    private static final RoomCourse ROOM = Logged.room(DAYS, Logged.HOME);
    private static final AlkalinityCourse STEADY = tests(3.03, 3.03, 3.03, 3.03);

    /** Tests on every seventh evening. */
    private static AlkalinityCourse tests(double... meqPerL) {
        List<Reading> tests = new ArrayList<>();
        for (double value : meqPerL) {
            tests.add(new Reading(day(7 * tests.size()).plus(Duration.ofHours(19)), value));
        }
        return AlkalinityCourse.of(tests);
    }

    private static Instant day(int d) {
        return Logged.START.plus(Duration.ofDays(d));
    }

    private static LocalDate date(int d) {
        return LocalDate.ofInstant(day(d), Logged.ZONE);
    }

    private static List<Reading> ph(RoomCourse room, IntFunction<TankParameters> ofDay) {
        return Logged.restless(room, TRUTH, ofDay, DAYS, 9);
    }

    private static Inquiry inquiry(
            List<Reading> ph, RoomCourse room, AlkalinityCourse alkalinity, @Nullable LocalDate since) {
        TankLog log = new TankLog(ph, List.of(), room, true, alkalinity);
        return new Inquiry(
                log,
                Logged.TANK,
                fitted(log, since == null ? DAYS - 14 : CHANGED),
                since == null ? fitted(log, DAYS) : null,
                Logged.ZONE,
                date(DAYS),
                since,
                d -> false,
                Set.of(),
                30L);
    }

    private static @Nullable FittedTank fitted(TankLog log, int until) {
        List<Reading> ph = log.ph().stream()
                .filter(r -> !r.at().isBefore(day(until - 14)) && r.at().isBefore(day(until)))
                .toList();
        return ph.size() < 48
                ? null
                : Logged.fit(Logged.TANK, new TankLog(ph, List.of(), log.room(), true, log.alkalinity()));
    }

    private static Ranking ranked(Inquiry inquiry, Given... given) {
        return Ranking.of(Evidence.of(inquiry), Arrays.asList(given));
    }

    private static Suspicion of(Ranking ranking, Suspect suspect) {
        return ranking.suspicions().stream()
                .filter(s -> s.suspect() == suspect)
                .findFirst()
                .orElseThrow();
    }

    private static final List<Reading> UNCHANGED = ph(ROOM, d -> TRUTH);
    private static final Inquiry NOTHING = inquiry(UNCHANGED, ROOM, STEADY, null);
    private static final Evidence OF_NOTHING = Evidence.of(NOTHING);

    @Test
    void blamesNobodyWhereNothingChanged() {
        assertThat(Ranking.of(OF_NOTHING, List.of()).suspicions().get(0).suspect())
                .isEqualTo(Suspect.NOTHING);
    }

    @Test
    void blamesASkimmerThatCarriesAThird() {
        List<Reading> ph = ph(ROOM, d -> d < CHANGED ? TRUTH : new TankParameters(0.3, 1.2, 0.021, 0.039));
        Ranking ranking = ranked(inquiry(ph, ROOM, STEADY, null));
        Suspicion first = ranking.suspicions().get(0);
        assertThat(first.suspect()).isEqualTo(Suspect.SKIMMER);
        assertThat(first.since()).isBetween(date(CHANGED - 2), date(CHANGED + 2));
        assertThat(first.needs()).contains("Gas exchange").contains("% lower");
        assertThat(first.grounds().get(0).weight()).isPositive();
        assertThat(of(ranking, Suspect.READINGS).share()).isLessThan(0.01);
        // Who knows the day need not have it looked for.
        assertThat(ranked(inquiry(ph, ROOM, STEADY, date(CHANGED)))
                        .suspicions()
                        .get(0)
                        .suspect())
                .isEqualTo(Suspect.SKIMMER);
    }

    @Test
    void blamesARoomThatItsMeterShowsFuller() {
        IntToDoubleFunction fuller =
                h -> h < 24 * CHANGED ? Logged.HOME.applyAsDouble(h) : Logged.HOME.applyAsDouble(h) + 500;
        RoomCourse room = Logged.room(DAYS, fuller);
        Ranking ranking = ranked(inquiry(ph(room, d -> TRUTH), room, STEADY, null));
        assertThat(ranking.suspicions().get(0).suspect()).isEqualTo(Suspect.ROOM);
        assertThat(of(ranking, Suspect.ROOM).grounds())
                .anyMatch(g -> g.words().contains("has 5") && g.words().contains("ppm more"));
    }

    @Test
    void blamesADoseWhereTestsFall() {
        Ranking ranking = ranked(inquiry(UNCHANGED, ROOM, tests(3.03, 3.03, 3.03, 2.5), null));
        assertThat(ranking.suspicions().get(0).suspect().family()).isEqualTo(Family.ALKALINITY);
        assertThat(of(ranking, Suspect.DOSER).grounds()).anyMatch(g -> g.words().matches(".*fell by 1\\.[0-9] dKH.*"));
        // Nobody notes a water change and is then told that it is none.
        assertThat(of(ranking, Suspect.DOSER).share())
                .isGreaterThan(of(ranking, Suspect.WATER_CHANGE).share());
    }

    @Test
    void blamesReadingsThatAreOfTheDayAlone() {
        Predicate<Reading> byDay = r -> {
            int hour = r.at().atZone(Logged.ZONE).getHour();
            return hour >= 11 && hour < 20;
        };
        Ranking ranking = ranked(inquiry(UNCHANGED.stream().filter(byDay).toList(), ROOM, STEADY, null));
        assertThat(ranking.daysCompared()).isFalse();
        assertThat(ranking.suspicions().get(0).suspect()).isEqualTo(Suspect.READINGS);
        assertThat(of(ranking, Suspect.READINGS).grounds().get(0).words()).startsWith("0 of the last 7 nights");
    }

    @Test
    void saysOfTwoDaysWhatTwoDaysTell() {
        List<Reading> two = UNCHANGED.subList(UNCHANGED.size() - 96, UNCHANGED.size());
        Ranking ranking = ranked(inquiry(two, ROOM, new AlkalinityCourse(List.of()), null));
        assertThat(ranking.daysCompared()).isFalse();
        assertThat(ranking.suspicions().stream().mapToDouble(Suspicion::share).sum())
                .isCloseTo(1, within(1e-9));
        assertThat(ranking.next()).isNotEmpty();
    }

    @Test
    void ranksAnewByWhatWasFound() {
        Ranking before = Ranking.of(OF_NOTHING, List.of());
        Ranking after = Ranking.of(OF_NOTHING, List.of(new Given(Check.BUFFERS, 1)));
        Suspicion probe = of(after, Suspect.PROBE);
        assertThat(probe.share()).isGreaterThan(of(before, Suspect.PROBE).share());
        assertThat(after.suspicions().get(0).suspect()).isEqualTo(Suspect.PROBE);
        assertThat(probe.grounds()).anyMatch(g -> g.words().equals("You found: probe reads too low."));
        assertThat(after.next()).noneMatch(n -> n.check() == Check.BUFFERS);
        assertThat(of(Ranking.of(OF_NOTHING, List.of(new Given(Check.BUFFERS, 0))), Suspect.PROBE)
                        .share())
                .isLessThan(of(before, Suspect.PROBE).share() / 5);
        assertThatThrownBy(() -> new Given(Check.BUFFERS, 2)).isInstanceOf(InputException.class);
    }

    @Test
    void proposesWhatTellsMostForItsTrouble() {
        List<Ranking.Next> next = Ranking.of(OF_NOTHING, List.of()).next();
        for (int i = 1; i < next.size(); i++) {
            assertThat(forItsTrouble(next.get(i))).isLessThanOrEqualTo(forItsTrouble(next.get(i - 1)));
        }
        for (Ranking.Next one : next) {
            assertThat(one.answers().stream()
                            .mapToDouble(Ranking.Meaning::probability)
                            .sum())
                    .isCloseTo(1, within(1e-9));
            assertThat(one.gain()).isPositive();
        }
    }

    private static double forItsTrouble(Ranking.Next next) {
        return next.gain() / next.check().effort().weight();
    }

    @Test
    void suspectsOnlyWhatATankHas() {
        List<Suspect> suspected = Ranking.of(OF_NOTHING, List.of()).suspicions().stream()
                .map(Suspicion::suspect)
                .toList();
        assertThat(suspected)
                .contains(Suspect.SKIMMER, Suspect.SURFACE, Suspect.LIGHT_AGED)
                .doesNotContain(
                        Suspect.HOSE,
                        Suspect.SECOND_INLET,
                        Suspect.FOUL_INTAKE,
                        Suspect.MEDIA_SPENT,
                        Suspect.MEDIA_DROWNED,
                        Suspect.STONE,
                        Suspect.CABINET,
                        Suspect.CANOPY,
                        Suspect.REACTOR);
        assertThat(Suspect.SKIMMER.possible(Logged.tank(null))).isFalse();
    }

    @Test
    void everyCheckConvictsSomebodyAndEverySuspectHasACheck() {
        for (Check check : Check.values()) {
            assertThat(check.answers().get(0).of()).as(check.name()).isEmpty();
            for (Suspect suspect : Suspect.values()) {
                double all = 0;
                for (int a = 0; a < check.answers().size(); a++) {
                    all += check.probability(a, suspect);
                }
                assertThat(all).as(check + " " + suspect).isCloseTo(1, within(1e-9));
            }
        }
        for (Suspect suspect : Suspect.values()) {
            assertThat(Arrays.stream(Check.values()).anyMatch(c -> c.parts().contains(suspect)))
                    .as(suspect.name())
                    .isEqualTo(suspect != Suspect.NOTHING);
        }
    }
}
