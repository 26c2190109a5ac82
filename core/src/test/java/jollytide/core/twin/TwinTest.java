package jollytide.core.twin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import org.junit.jupiter.api.Test;

/** The reference tank: 420 L, 0.9 m², S 35, 25.5 °C, 8.5 dKH, square light 10–21 h, skimmer 500 L/h on room air. */
class TwinTest {
    private static final Instant MIDNIGHT = Instant.parse("2026-11-01T00:00:00Z");
    private static final Duration FIVE_MINUTES = Duration.ofMinutes(5);
    private static final Seawater WATER = new Seawater(35, 25.5);
    private static final double MEQ = 3.0315;

    private static TwinTank reference(double respiration, double photosynthesis) {
        return new TwinTank(
                420,
                35,
                180,
                new Surface(0.9, SurfaceClass.ROLLING).co2Conductance(WATER) * 8 / 12,
                new Skimmer(500).co2Conductance(WATER),
                900,
                respiration,
                photosynthesis,
                Gases.STANDARD_HPA);
    }

    /** Square light, everything else constant. */
    private record Square(double generationLPerS, double airChanges, double lineShare) implements Conditions {
        @Override
        public Acting at(Instant t) {
            long hour = Duration.between(MIDNIGHT, t).toHours() % 24;
            double light = hour >= 10 && hour < 21 ? 1 : 0;
            return new Acting(light, generationLPerS, airChanges, 420, 1, lineShare, 420, 25.5, 0);
        }

        @Override
        public Instant nextChange(Instant t) {
            long hours = Duration.between(MIDNIGHT, t).toHours();
            long hour = hours % 24;
            long ahead = hour < 10 ? 10 - hour : hour < 21 ? 21 - hour : 34 - hour;
            return MIDNIGHT.plus(Duration.ofHours(hours + ahead));
        }
    }

    private static List<TwinState> lastDay(TwinTank tank, Conditions conditions, double roomPpm, int days) {
        Twin twin = new Twin(tank, conditions);
        TwinState start = twin.start(MIDNIGHT, MEQ, 800, roomPpm);
        List<TwinState> all = twin.run(start, MIDNIGHT.plus(Duration.ofDays(days)), FIVE_MINUTES);
        assertThat(all).hasSize(days * 288);
        return all.subList((days - 1) * 288, days * 288);
    }

    /** The daily curve of an ordinary reef: swing 0.15 to 0.4, peak at lights-off, trough at lights-on. */
    @Test
    void dailyCurve() {
        List<TwinState> day = lastDay(reference(0.018, 0.034), new Square(0.0134, 0.3, 0), 1200, 10);
        TwinState peak =
                day.stream().max(Comparator.comparingDouble(TwinState::phNbs)).orElseThrow();
        TwinState trough =
                day.stream().min(Comparator.comparingDouble(TwinState::phNbs)).orElseThrow();
        assertThat(peak.phNbs() - trough.phNbs()).isBetween(0.15, 0.4);
        assertThat(Duration.between(MIDNIGHT, peak.at()).toMinutes() % 1440).isBetween(21 * 60 - 5L, 21 * 60 + 5L);
        assertThat(Duration.between(MIDNIGHT, trough.at()).toMinutes() % 1440).isBetween(10 * 60 - 5L, 10 * 60 + 5L);
        double saturation = Gases.oxygenSaturationMgPerL(WATER, Gases.STANDARD_HPA);
        assertThat(trough.oxygenMgPerL()).isBetween(saturation - 1, saturation);
    }

    /** An outdoor line lifts trough and peak; +0.1 and more where the skimmer does most of the exchange. */
    @Test
    void anOutdoorLineLiftsTheDay() {
        List<TwinState> without = lastDay(reference(0.018, 0.034), new Square(0.0134, 0.3, 0), 1200, 10);
        List<TwinState> with = lastDay(reference(0.018, 0.034), new Square(0.0134, 0.3, 1), 1200, 10);
        double lift = trough(with) - trough(without);
        assertThat(lift).isBetween(0.08, 0.35);
    }

    /** A room settles at outdoors plus generation over ventilation: ASTM D6245. */
    @Test
    void theRoomSettles() {
        List<TwinState> day = lastDay(reference(0.018, 0.034), new Square(0.0134, 0.3, 0), 420, 5);
        double expected = 420 + 0.0134 * 3.6 / (0.3 * 180) * 1e6;
        assertThat(day.get(287).roomPpm()).isCloseTo(expected, within(1.0));
    }

    /** Without life the water comes into balance with its air, whatever it starts from. */
    @Test
    void deadWaterSettlesWithTheAir() {
        List<TwinState> day = lastDay(reference(0, 0), new Square(0, 1, 0), 420, 20);
        double uatm = Gases.uatmOverWater(420, Gases.STANDARD_HPA, WATER);
        double alkalinity = MEQ / 1000 / WATER.densityKgPerL();
        double balance =
                CarbonateSystem.of(WATER).fromAlkalinityAndCo2(alkalinity, uatm).phNbs();
        assertThat(day.get(287).phNbs()).isCloseTo(balance, within(1e-4));
    }

    /** What is dosed is there afterwards: 0.3 meq/L a day for ten days. */
    @Test
    void alkalinityIsKept() {
        Conditions dosed = new Conditions() {
            @Override
            public Acting at(Instant t) {
                return new Acting(0, 0, 1, 420, 1, 0, 420, 25.5, 0.3);
            }

            @Override
            public Instant nextChange(Instant t) {
                return t.plus(Duration.ofDays(1));
            }
        };
        TwinState end = lastDay(reference(0.018, 0.034), dosed, 420, 10).get(287);
        assertThat(end.alkalinityMolPerKg() * 1000 * WATER.densityKgPerL()).isCloseTo(MEQ + 3, within(1e-6));
    }

    /** A skimmer with a clogged air inlet does a third of its work: the night is deeper. */
    @Test
    void aWeakSkimmerDeepensTheNight() {
        TwinTank healthy = reference(0.018, 0.034);
        TwinTank clogged = new TwinTank(
                420,
                35,
                180,
                healthy.surfaceConductance(),
                healthy.skimmerConductance() * 0.35,
                900,
                0.018,
                0.034,
                1013.25);
        Conditions conditions = new Square(0.0134, 0.3, 0);
        assertThat(trough(lastDay(clogged, conditions, 1200, 10)))
                .isLessThan(trough(lastDay(healthy, conditions, 1200, 10)) - 0.03);
    }

    private static double trough(List<TwinState> day) {
        return day.stream().mapToDouble(TwinState::phNbs).min().orElseThrow();
    }
}
