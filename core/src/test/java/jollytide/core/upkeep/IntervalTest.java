package jollytide.core.upkeep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import jollytide.core.units.InputException;
import jollytide.core.unnoted.Cause;
import jollytide.core.upkeep.Interval.Done;
import jollytide.core.upkeep.Interval.Found;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class IntervalTest {
    private static final Instant FIRST = Instant.parse("2026-03-01T18:00:00Z");

    private static List<Done> every(double days, int times, @Nullable Found found) {
        List<Done> all = new ArrayList<>();
        for (int i = 0; i <= times; i++) {
            all.add(new Done(FIRST.plus(Duration.ofMinutes(Math.round(1440 * days * i))), i == 0 ? null : found));
        }
        return all;
    }

    /** Assumed 28 days; dirty after 28 says 17 would have been right: halfway between them, by their logarithms. */
    @Test
    void oneFindingMovesItHalfTheWay() {
        assertThat(Interval.of(28, every(28, 1, Found.DIRTY), List.of()).days())
                .isCloseTo(28 * Math.sqrt(0.6), within(1e-9));
        assertThat(Interval.of(28, every(28, 1, Found.CLEAN), List.of()).days())
                .isCloseTo(28 * Math.sqrt(1.5), within(1e-9));
        assertThat(Interval.of(28, every(28, 1, Found.SOME), List.of()).days()).isCloseTo(28, within(1e-9));
    }

    /** Done every eight days and just right each time: what was assumed is soon forgotten, but never wholly. */
    @Test
    void manyFindingsTellTheTanksOwn() {
        Interval own = Interval.of(28, every(8, 12, Found.SOME), List.of());
        assertThat(own.findings()).isEqualTo(6);
        assertThat(own.days()).isCloseTo(8 * Math.pow(28 / 8.0, 1 / 7.0), within(1e-9));
    }

    /** A keeper who follows it and finds the truth each time comes to it: here gear that clogs in twelve days. */
    @Test
    void whoFollowsItComesToWhatIsRight() {
        List<Done> done = new ArrayList<>(List.of(new Done(FIRST, null)));
        double days = 40;
        for (int i = 0; i < 25; i++) {
            double kept = Interval.of(40, done, List.of()).days();
            Found found = kept > 14.5 ? Found.DIRTY : kept < 10 ? Found.CLEAN : Found.SOME;
            done.add(new Done(done.get(done.size() - 1).at().plus(Duration.ofMinutes(Math.round(1440 * kept))), found));
            days = Interval.of(40, done, List.of()).days();
        }
        assertThat(days).isBetween(8.0, 16.0);
    }

    @Test
    void whatNobodySaidOrDidTwiceAtOnceMovesNothing() {
        assertThat(Interval.of(28, List.of(), List.of())).isEqualTo(new Interval(28, 0, 0, null));
        assertThat(Interval.of(28, every(9, 8, null), List.of())).isEqualTo(new Interval(28, 0, 0, null));
        List<Done> twice = List.of(new Done(FIRST, null), new Done(FIRST.plusSeconds(60), Found.DIRTY));
        assertThat(Interval.of(28, twice, List.of()).findings()).isZero();
        // Noted in another order than it was done.
        List<Done> backwards = new ArrayList<>(every(28, 1, Found.DIRTY));
        java.util.Collections.reverse(backwards);
        assertThat(Interval.of(28, backwards, List.of()))
                .isEqualTo(Interval.of(28, every(28, 1, Found.DIRTY), List.of()));
    }

    @Test
    void noFindingsCarryItFurtherThanASixfold() {
        assertThat(Interval.of(28, every(1, 6, Found.DIRTY), List.of()).days()).isCloseTo(28 / 6.0, within(1e-9));
        assertThatThrownBy(() -> Interval.of(0, List.of(), List.of())).isInstanceOf(InputException.class);
        assertThatThrownBy(() -> Interval.of(Double.NaN, List.of(), List.of())).isInstanceOf(InputException.class);
    }

    @Test
    void itIsDueAnIntervalAfterTheLastTime() {
        ZoneId zone = ZoneOffset.UTC;
        LocalDate first = LocalDate.ofInstant(FIRST, zone);
        Interval interval = Interval.asWanted(10, List.of(), List.of());
        assertThat(interval.due(FIRST, null, first, zone)).isEqualTo(new Interval.Due(first.plusDays(10), false));
        assertThat(interval.due(FIRST, first.plusDays(12), first, zone))
                .isEqualTo(new Interval.Due(first.plusDays(12), true));
        // A wish for a day before it is due moves nothing.
        assertThat(interval.due(FIRST, first.plusDays(3), first, zone))
                .isEqualTo(new Interval.Due(first.plusDays(10), false));
        assertThat(interval.due(null, null, first, zone)).isEqualTo(new Interval.Due(first, false));
    }

    /** Cleaned every 40 days and found as it should be, while the log shows it shut after 12 each time. */
    @Test
    void aLogThatShowsItsDeclineSaysItBetterThanAnEye() {
        List<Done> done = every(40, 6, Found.SOME);
        List<Instant> shown = done.subList(0, 6).stream()
                .map(d -> d.at().plus(Duration.ofDays(12)))
                .toList();
        Interval own = Interval.of(28, done, shown);
        assertThat(own.days()).isCloseTo(12 * Math.pow(28 / 12.0, 1 / 7.0), within(1e-9));
        assertThat(own.findings()).isEqualTo(6);
        assertThat(own.byLog()).isEqualTo(6);
        assertThat(own.shown()).isNull();
        // Two declines between two times: the first was when it was due.
        assertThat(Interval.of(28, every(40, 1, null), List.of(after(30), after(14)))
                        .days())
                .isCloseTo(Math.sqrt(28 * 14.0), within(1e-9));
    }

    @Test
    void whatTheLogShowsSinceItWasDoneIsDueNow() {
        ZoneId zone = ZoneOffset.UTC;
        LocalDate first = LocalDate.ofInstant(FIRST, zone);
        Interval own = Interval.of(28, every(40, 0, null), List.of(after(9)));
        assertThat(own.days()).isCloseTo(Math.sqrt(28 * 9.0), within(1e-9));
        assertThat(own.due(FIRST, null, first.plusDays(10), zone))
                .isEqualTo(new Interval.Due(first.plusDays(9), false));
        assertThat(own.due(FIRST, first.plusDays(12), first.plusDays(10), zone))
                .as("put off")
                .isEqualTo(new Interval.Due(first.plusDays(12), true));
        Interval wanted = Interval.asWanted(60, every(40, 0, null), List.of(after(9)));
        assertThat(wanted.days()).isEqualTo(60);
        assertThat(wanted.due(FIRST, null, first, zone).on()).isEqualTo(first.plusDays(9));
        assertThat(Interval.asWanted(6, every(40, 0, null), List.of(after(9)))
                        .due(FIRST, null, first, zone)
                        .on())
                .as("due before it showed")
                .isEqualTo(first.plusDays(6));
    }

    /** A hose that kinked, a date that is days off, a decline before anybody looked. */
    @Test
    void whatIsNotItsDeclineMovesNothing() {
        Interval clean = Interval.of(28, every(40, 1, Found.CLEAN), List.of(after(12)));
        assertThat(clean.days()).isCloseTo(Math.sqrt(28 * 60.0), within(1e-9));
        assertThat(clean.byLog()).isZero();
        assertThat(Interval.of(28, every(40, 0, null), List.of(after(2), after(-5))))
                .isEqualTo(new Interval(28, 0, 0, null));
        assertThat(Interval.of(28, List.of(), List.of(after(12)))).isEqualTo(new Interval(28, 0, 0, null));
    }

    private static Instant after(int days) {
        return FIRST.plus(Duration.ofDays(days));
    }

    @ParameterizedTest
    @EnumSource(value = Chore.class, mode = EnumSource.Mode.EXCLUDE, names = "OWN")
    void aChoreIsToldInFiveLinesAtMost(Chore chore) {
        assertThat(chore.steps()).hasSizeBetween(3, 5).allMatch(step -> step.endsWith("."));
        assertThat(chore.days()).isBetween(1, 730);
        assertThat(chore.what()).doesNotEndWith(".").isEqualTo(chore.what().strip());
    }

    /** Who could be hurt: acids, lye, bleach, plugs and ladders. */
    @ParameterizedTest
    @EnumSource
    void whereSomebodyCouldBeHurtItIsSaid(Chore chore) {
        String all = String.join(" ", chore.steps()).toLowerCase(java.util.Locale.ROOT);
        if (all.contains("vinegar") || all.contains("acid") || all.contains("bleach") || all.contains("impeller")) {
            assertThat(chore.caution()).isNotNull();
        }
    }

    /** A stone that bubbles an hour a day lasts longer, but not for ever; one litre a day wears a tube fourfold. */
    @Test
    void gearIsDueByHowItIsUsed() {
        assertThat(Chore.AIR_STONE.days(24)).isEqualTo(Chore.AIR_STONE.days());
        assertThat(Chore.AIR_STONE.days(12)).isEqualTo(2 * Chore.AIR_STONE.days());
        assertThat(Chore.AIR_STONE.days(1)).isEqualTo(3 * Chore.AIR_STONE.days());
        assertThat(Chore.AIR_STONE.days(0)).isEqualTo(3 * Chore.AIR_STONE.days());
        assertThat(Chore.AIR_STONE.worn()).isEqualTo(60 * 24);
        assertThat(Chore.DOSING_TUBE.days(1)).isEqualTo(Chore.DOSING_TUBE.days() / 4.0);
        assertThat(Chore.DOSING_TUBE.days(100)).isCloseTo(Chore.DOSING_TUBE.days() / 6.0, within(1e-9));
        assertThat(Chore.TEST_KIT.wear()).isEqualTo(Chore.Wear.TIME);
        TankUse use = new TankUse(Map.of(Chore.Wear.BUBBLING, 12.0), Map.of(Chore.SOCK, 1, Chore.AIR_STONE, 150));
        assertThat(use.days(Chore.AIR_STONE)).as("sooner than what is brought").isEqualTo(120);
        assertThat(use.days(Chore.SOCK)).isEqualTo(1);
        assertThat(use.days(Chore.VENTURI)).as("as commonly").isEqualTo(28);
        assertThat(use.of(Chore.VENTURI)).isNull();
        assertThat(new TankUse(Map.of(), Map.of()).days(Chore.AIR_STONE)).isEqualTo(60);
    }

    @Test
    void whatIsDueByTheCalendarIsNotLookedAt() {
        assertThat(Chore.values())
                .filteredOn(chore -> !chore.showsWear())
                .containsExactly(Chore.PRACTISE, Chore.QUARANTINE_GEAR, Chore.OWN)
                .allSatisfy(chore -> assertThat(chore.wear()).isEqualTo(Chore.Wear.TIME));
        assertThat(Chore.VENTURI.shownBy()).isEqualTo(Cause.SKIMMER);
        assertThat(Chore.SOCK.shownBy()).isNull();
    }

    @Test
    void whatATankHasNotIsNotProposed() {
        assertThat(Chore.VENTURI.fits(EnumSet.noneOf(Chore.Needs.class))).isFalse();
        assertThat(Chore.VENTURI.fits(EnumSet.of(Chore.Needs.SKIMMER))).isTrue();
        assertThat(Chore.PRACTISE.fits(EnumSet.noneOf(Chore.Needs.class))).isTrue();
    }
}
