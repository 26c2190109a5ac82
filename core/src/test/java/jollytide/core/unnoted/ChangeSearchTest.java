package jollytide.core.unnoted;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.function.IntFunction;
import java.util.function.Predicate;
import jollytide.core.description.RoomCourse;
import jollytide.core.description.TankParameters;
import jollytide.core.fit.AlkalinityCourse;
import jollytide.core.fit.FittedTank;
import jollytide.core.fit.Logged;
import jollytide.core.fit.Reading;
import jollytide.core.fit.TankLog;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** Changes of a tank whose truth is known, found in nothing but its log. */
class ChangeSearchTest {
    private static final int DAYS = 24;
    private static final int CHANGED = 12;
    private static final LocalDate FIRST = LocalDate.ofInstant(Logged.START, Logged.ZONE);
    private static final TankParameters TRUTH = new TankParameters(0.9, 1.2, 0.021, 0.039);
    private static final RoomCourse ROOM = Logged.room(DAYS, Logged.HOME);

    private static List<Reading> ph(IntFunction<TankParameters> ofDay) {
        return Logged.restless(ROOM, TRUTH, ofDay, DAYS, 5);
    }

    private static TankLog log(List<Reading> ph) {
        return new TankLog(ph, List.of(), ROOM, true, new AlkalinityCourse(List.of(new Reading(Logged.START, 3.03))));
    }

    private static List<Unnoted> found(List<Reading> ph, Predicate<LocalDate> leftOut) {
        return Objects.requireNonNull(
                ChangeSearch.of(log(ph), Logged.TANK, then -> fitted(ph, then), leftOut, Logged.ZONE));
    }

    private static List<Unnoted> found(List<Reading> ph) {
        return found(ph, day -> false);
    }

    private static FittedTank fitted(List<Reading> ph, Instant then) {
        Instant from = then.minus(Duration.ofDays(14));
        return Logged.fit(
                Logged.TANK,
                log(ph.stream()
                        .filter(r -> !r.at().isBefore(from) && r.at().isBefore(then))
                        .toList()));
    }

    private static TankParameters with(double skimmer, double respiration) {
        return new TankParameters(
                TRUTH.skimmerFactor() * skimmer,
                TRUTH.surfaceFactor(),
                TRUTH.respirationMmolPerLPerH() * respiration,
                TRUTH.photosynthesisMmolPerLPerH());
    }

    @Test
    void aSkimmerThatClogsWithinFourDaysIsFound() {
        List<Unnoted> found = found(ph(d -> with(1 - 0.7 * Math.max(0, Math.min(1, (d - CHANGED + 1) / 4.0)), 1)));
        assertThat(found).hasSize(1);
        Unnoted change = found.get(0);
        assertThat(change.cause()).isEqualTo(Cause.SKIMMER);
        assertThat(change.from()).isBetween(FIRST.plusDays(CHANGED - 1), FIRST.plusDays(CHANGED + 1));
        assertThat(change.overDays()).isBetween(3, 5);
        assertThat(change.size().holds(0.3)).as("%s", change.size()).isTrue();
        assertThat(change.size().high()).isLessThan(0.6);
        assertThat(change.trough()).isNegative();
        assertThat(change.days()).extracting(Unnoted.DaySize::day).contains(FIRST.plusDays(CHANGED));
        assertThat(change.days().get(0).size()).isCloseTo(1, within(0.25));
    }

    @Test
    void aReefThatBreathesMoreIsNoWeakerSkimmer() {
        List<Unnoted> found = found(ph(d -> with(1, d < CHANGED ? 1 : 1.4)));
        assertThat(found).hasSize(1);
        assertThat(found.get(0).cause()).isEqualTo(Cause.RESPIRATION);
        assertThat(found.get(0).from()).isEqualTo(FIRST.plusDays(CHANGED));
        assertThat(found.get(0).overDays()).isLessThanOrEqualTo(2);
        assertThat(found.get(0).size().holds(1.4)).as("%s", found.get(0).size()).isTrue();
    }

    @Test
    void aProbeThatReadsMoreFromADayOnIsToldFromTheWater() {
        Instant jumped = Logged.START.plus(Duration.ofDays(CHANGED));
        List<Unnoted> found = found(ph(d -> TRUTH).stream()
                .map(r -> new Reading(r.at(), r.value() + (r.at().isBefore(jumped) ? 0 : 0.12)))
                .toList());
        assertThat(found).hasSize(1);
        assertThat(found.get(0).cause()).isEqualTo(Cause.LEVEL);
        assertThat(found.get(0).size().value()).isCloseTo(0.12, within(0.03));
    }

    @Test
    void whereNothingChangedNothingIsFound() {
        assertThat(found(ph(d -> TRUTH))).isEmpty();
    }

    /** One day with windows and doors open is no change, and neither is one that is left out. */
    @Test
    void anOddDayIsNoChange() {
        List<Reading> odd = ph(d -> with(d == DAYS - 2 ? 0.15 : 1, 1));
        assertThat(found(odd)).isEmpty();
        assertThat(found(odd, FIRST.plusDays(DAYS - 2)::equals)).isEmpty();
    }

    /** Too few days, none of which is whole, and a fit that nobody has. */
    @Test
    void aLogThatTellsNothingIsNotSearched() {
        List<Reading> clogged = ph(d -> with(d < CHANGED ? 1 : 0.2, 1));
        Instant soon = Logged.START.plus(Duration.ofDays(5));
        assertThat(searched(clogged.stream().filter(r -> r.at().isBefore(soon)).toList(), true))
                .isNull();
        assertThat(searched(
                        clogged.stream()
                                .filter(r -> r.at().atZone(Logged.ZONE).getHour() >= 8)
                                .toList(),
                        true))
                .isNull();
        assertThat(searched(clogged, false)).isNull();
    }

    private static @Nullable List<Unnoted> searched(List<Reading> ph, boolean fits) {
        return ChangeSearch.of(log(ph), Logged.TANK, then -> fits ? fitted(ph, then) : null, day -> false, Logged.ZONE);
    }
}
