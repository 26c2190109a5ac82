package jollytide.core.dosingline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.fit.Reading;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

class KnownUseTest {
    private static final Instant NOW = Instant.parse("2026-10-01T00:00:00Z");
    private static final Instant SINCE = NOW.minus(Duration.ofDays(60));

    private static DosedLine line(Solution.Solute solute, double molPerL, double mlPerDay) {
        return new LineHistory(List.of())
                .dosed(
                        new Solution(solute, molPerL),
                        new DosePlan(List.of(new DosePlan.DailyDose(SINCE, mlPerDay))),
                        null);
    }

    /** A bottle that lost only so much of a plan of 40 mL a day, read each week. */
    private static DosedLine arriving(double share) {
        List<LineHistory.Seen> seen = IntStream.range(0, 9)
                .boxed()
                .flatMap(week -> {
                    Instant filled = SINCE.plus(Duration.ofDays(7L * week));
                    Instant read = filled.plus(Duration.ofDays(7)).minusSeconds(60);
                    return Stream.of(
                            new LineHistory.Seen(filled, LineHistory.What.FILLED, new ReservoirLevel(filled, 1000, 15)),
                            new LineHistory.Seen(
                                    read, LineHistory.What.LEVEL, new ReservoirLevel(read, 1000 - 280 * share, 15)));
                })
                .toList();
        return new LineHistory(seen)
                .dosed(
                        new Solution(Solution.Solute.SODA_ASH, 0.5),
                        new DosePlan(List.of(new DosePlan.DailyDose(SINCE, 40))),
                        null);
    }

    private static List<Reading> weekly(double first, double perDay) {
        return IntStream.range(0, 8)
                .mapToObj(w -> new Reading(SINCE.plus(Duration.ofDays(7L * w + 3)), first + perDay * (7 * w + 3)))
                .toList();
    }

    private static @Nullable KnownUse known(List<DosedLine> lines, List<Reading> tests) {
        return KnownUse.of(lines, List.of(), tests, 400, NOW, ZoneOffset.UTC);
    }

    /** 40 mL of 0.5 mol/L soda ash a day are 40 meq; into 400 L, with alkalinity steady, 0.1 meq/L a day are used. */
    @Test
    void whatArrivesAndStaysAwayIsUsed() {
        KnownUse steady = known(List.of(line(Solution.Solute.SODA_ASH, 0.5, 40)), weekly(3, 0));
        assertThat(steady).isNotNull();
        assertThat(steady.meqPerLPerDay()).isCloseTo(0.1, within(1e-9));
        assertThat(steady.source()).isEqualTo(AlkalinitySource.SODA_ASH);
        assertThat(steady.lnDeviation()).isBetween(0.03, 0.1);
        KnownUse falling = known(List.of(line(Solution.Solute.SODA_ASH, 0.5, 40)), weekly(3, -0.01));
        assertThat(falling).isNotNull();
        assertThat(falling.meqPerLPerDay()).isCloseTo(0.11, within(1e-9));
    }

    /** Three quarters arrive and alkalinity falls by what is missing: the animals use the same as before. */
    @Test
    void itIsWhatArrivedThatCounts() {
        KnownUse whole = known(List.of(arriving(1)), weekly(3, 0));
        KnownUse shortOf = known(List.of(arriving(0.75)), weekly(3, -0.025));
        assertThat(whole).isNotNull();
        assertThat(shortOf).isNotNull();
        assertThat(shortOf.meqPerLPerDay()).isCloseTo(whole.meqPerLPerDay(), within(0.003));
        KnownUse commanded = known(List.of(line(Solution.Solute.SODA_ASH, 0.5, 40)), weekly(3, -0.025));
        assertThat(commanded).isNotNull();
        assertThat(commanded.meqPerLPerDay()).isGreaterThan(shortOf.meqPerLPerDay() + 0.02);
    }

    /** Of two sources the one counts that brings more. */
    @Test
    void theSourceIsTheOneThatBringsMost() {
        List<DosedLine> both =
                List.of(line(Solution.Solute.SODA_ASH, 0.1, 40), line(Solution.Solute.LIMEWATER, 0.02, 800));
        KnownUse use = known(both, weekly(3, 0));
        assertThat(use).isNotNull();
        assertThat(use.source()).isEqualTo(AlkalinitySource.LIMEWATER);
        assertThat(use.meqPerLPerDay()).isCloseTo((8 + 32) / 400.0, within(1e-9));
    }

    @Test
    void withoutDosesOrTestsNothingIsKnown() {
        assertThat(known(List.of(), weekly(3, 0))).isNull();
        assertThat(known(List.of(line(Solution.Solute.CALCIUM_CHLORIDE, 1, 40)), weekly(3, 0)))
                .isNull();
        assertThat(known(
                        List.of(line(Solution.Solute.SODA_ASH, 0.5, 40)),
                        weekly(3, 0).subList(0, 5)))
                .isNull();
        // All of it stays in the water: nothing is used.
        assertThat(known(List.of(line(Solution.Solute.SODA_ASH, 0.5, 40)), weekly(3, 0.1)))
                .isNull();
    }

    /** Four doses over a night beside a line that drips: half of all in four hours, the rest all day. */
    @Test
    void whatIsDosedByTheClockKeepsItsHours() {
        DosedLine drips = line(Solution.Solute.SODA_ASH, 0.5, 40);
        DosedLine clocked = new LineHistory(List.of())
                .dosed(drips.solution(), drips.schedule(), new DoseTimes(4, LocalTime.of(22, 30), 8));
        KnownUse use = known(List.of(drips, clocked), weekly(3, 0));
        assertThat(use).isNotNull();
        assertThat(use.hours().times(0.5)).isCloseTo(24 * (0.5 / 24 + 0.125), within(1e-9));
        assertThat(use.hours().times(22.9)).isEqualTo(use.hours().times(0.5));
        assertThat(use.hours().times(12)).isCloseTo(0.5, within(1e-9));
        KnownUse evenly = known(List.of(drips), weekly(3, 0));
        assertThat(evenly).isNotNull();
        assertThat(evenly.hours().times(3)).isCloseTo(1, within(1e-12));
    }

    /** Each evening 4.2395 g of soda ash by hand: 80 meq into 400 L, 0.2 meq/L a day, as much as is used. */
    @Test
    void whatIsAddedByHandCountsWithItsHour() {
        List<SingleDose> evenings = IntStream.range(0, 60)
                .<SingleDose>mapToObj(d -> SingleDose.Addition.ofPowder(
                        SINCE.plus(Duration.ofHours(24L * d + 19)), Solution.Solute.SODA_ASH, 4.2395, 1, 400))
                .toList();
        KnownUse use = KnownUse.of(List.of(), evenings, weekly(3, 0), 400, NOW, ZoneId.of("Europe/Paris"));
        assertThat(use).isNotNull();
        assertThat(use.meqPerLPerDay()).isCloseTo(0.2, within(0.001));
        assertThat(use.source()).isEqualTo(AlkalinitySource.SODA_ASH);
        // 19:00 UTC in September is 21:00 in Paris.
        assertThat(use.hours().shares().get(21)).isCloseTo(1, within(1e-9));
        KnownUse without = KnownUse.of(List.of(), List.of(), weekly(3, 0), 400, NOW, ZoneOffset.UTC);
        assertThat(without).isNull();
    }
}
