package jollytide.core.drift;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import jollytide.core.fit.Reading;
import org.junit.jupiter.api.Test;

/** Courses whose truth is known. */
class CourseTest {
    private static final ZoneId ZONE = ZoneId.of("Europe/Amsterdam");
    private static final LocalDate FIRST = LocalDate.of(2026, 7, 4);
    private static final int WEEKS = 17;
    /** A kit's 0.08 dKH, meq/L. */
    private static final double KIT = 0.029;

    private static Instant day(double d) {
        return FIRST.atTime(18, 0).atZone(ZONE).toInstant().plus(Duration.ofMinutes(Math.round(1440 * d)));
    }

    /** Weekly tests of a course, each read by a kit. */
    private static List<Reading> tests(DoubleUnaryOperator ofDay, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        return IntStream.range(0, WEEKS)
                .mapToObj(w -> new Reading(day(7 * w), ofDay.applyAsDouble(7 * w) + KIT * random.nextGaussian()))
                .toList();
    }

    /** Limewater that falls short from day 56 on, made up for from day 77 to 91. */
    private static double short3Weeks(double day) {
        double fell = 0.02 * Math.max(0, Math.min(day, 77) - 56);
        double rose = 0.03 * Math.max(0, Math.min(day, 91) - 77);
        return 3.07 - fell + rose;
    }

    @Test
    void findsADoseThatFellShortAndWasMadeUpFor() {
        int held = 0;
        for (long seed = 1; seed <= 20; seed++) {
            List<Drift> drifts = Course.ofAlkalinity(tests(CourseTest::short3Weeks, seed), ZONE)
                    .drifts();
            assertThat(drifts).as("seed " + seed).isNotEmpty();
            Drift fall = drifts.get(0);
            assertThat(fall.from()).isBetween(FIRST.plusDays(56 - 14), FIRST.plusDays(56 + 14));
            assertThat(fall.ends() - fall.begins()).isCloseTo(-0.42, within(0.15));
            held += fall.perDay().holds(-0.02) ? 1 : 0;
        }
        assertThat(held).isGreaterThanOrEqualTo(17);
    }

    @Test
    void findsNothingWhereNothingMoves() {
        long found = IntStream.range(0, 200)
                .filter(seed -> !Course.ofAlkalinity(tests(d -> 3.07, 1000 + seed), ZONE)
                        .drifts()
                        .isEmpty())
                .count();
        assertThat(found).isLessThanOrEqualTo(4);
    }

    /** A fall that begins between two tests is told as one that began at either: nine bands in ten hold it. */
    @Test
    void holdsAFallThatBeganBetweenTwoTests() {
        int found = 0;
        int held = 0;
        for (long seed = 1; seed <= 60; seed++) {
            double later = seed % 7;
            List<Drift> falls =
                    Course.ofAlkalinity(tests(d -> short3Weeks(d - later), 100 + seed), ZONE).drifts().stream()
                            .filter(d -> d.ends() < d.begins())
                            .toList();
            found += falls.isEmpty() ? 0 : 1;
            held += falls.stream().anyMatch(d -> d.perDay().holds(-0.02)) ? 1 : 0;
        }
        assertThat(found).isGreaterThan(40);
        assertThat(held).isGreaterThanOrEqualTo((int) (0.86 * found));
    }

    @Test
    void takesTestsOfOneDayAsOne() {
        List<Reading> twice = tests(CourseTest::short3Weeks, 2).stream()
                .flatMap(t -> Stream.of(t, new Reading(t.at().plusSeconds(60), t.value() + 0.01)))
                .toList();
        Course course = Course.ofAlkalinity(twice, ZONE);
        assertThat(course.measured()).hasSize(WEEKS);
        assertThat(course.drifts()).isNotEmpty();
    }

    @Test
    void tellsNothingOfAFewTests() {
        List<Reading> few = tests(CourseTest::short3Weeks, 1).subList(0, 4);
        assertThat(Course.ofAlkalinity(few, ZONE)).isEqualTo(new Course(few, List.of()));
        assertThat(Course.ofAlkalinity(List.of(), ZONE).drifts()).isEmpty();
        assertThat(Course.ofRoom(List.of(), 420, ZONE).measured()).isEmpty();
    }

    /** 1.3 air changes an hour until the 20th day, then falling evenly to 0.46 on the 60th; half as full on working days. */
    @Test
    void findsARoomThatIsSealedAndNoWorkingDays() {
        List<Reading> ppm = new ArrayList<>();
        SplittableRandom random = new SplittableRandom(3);
        for (int h = 0; h < 24 * 120; h++) {
            double day = h / 24.0;
            double changes = 1.3 - (1.3 - 0.46) * Math.max(0, Math.min(1, (day - 20) / 40));
            boolean works = FIRST.plusDays(h / 24).getDayOfWeek().getValue() < 6;
            double excess = 260 / changes * (works ? 0.7 : 1.2) * Math.exp(0.1 * random.nextGaussian());
            ppm.add(new Reading(day(day), 420 + excess));
        }
        Course room = Course.ofRoom(ppm, 420, ZONE);
        assertThat(room.measured()).hasSize(17);
        assertThat(room.drifts()).hasSize(1);
        Drift sealed = room.drifts().get(0);
        assertThat(sealed.from()).isBetween(FIRST.plusDays(10), FIRST.plusDays(34));
        assertThat(sealed.until()).isBetween(FIRST.plusDays(50), FIRST.plusDays(75));
        assertThat(sealed.ends() / sealed.begins()).isCloseTo(1.3 / 0.46, within(0.6));
    }

    /** By hand: three points on a rise of 1 a day, then three on a fall of 1; the bend lies between the third and fourth. */
    @Test
    void bendsWhereThePointsDo() {
        List<BrokenLine.Piece> pieces =
                BrokenLine.of(new double[] {0, 1, 2, 3, 4, 5, 6}, new double[] {0, 1, 2, 3, 2, 1, 0}, 0.05);
        assertThat(pieces).hasSize(2);
        assertThat(pieces.get(0).until()).isEqualTo(3);
        assertThat(pieces.get(0).slope().value()).isCloseTo(1, within(1e-9));
        assertThat(pieces.get(1).ends()).isCloseTo(0, within(1e-9));
        assertThat(pieces.get(1).slope().holds(-1)).isTrue();
    }
}
