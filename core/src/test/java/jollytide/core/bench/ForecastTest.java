package jollytide.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import jollytide.core.air.AirLine;
import jollytide.core.bench.Forecast.SettledDay;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.reef.LightClock;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import org.junit.jupiter.api.Test;

/** Lantern Reef on the bench: 420 L above a bakery, skimmer 550 L/h, a room between 500 and 950 ppm. */
class ForecastTest {
    private static final Instant MIDNIGHT = Instant.parse("2026-11-12T23:00:00Z");
    private static final ZoneId ZONE = ZoneId.of("Europe/Amsterdam");
    private static final Setup LANTERN = new Setup(
            420,
            new Seawater(35, 25.4),
            3.03,
            Gases.STANDARD_HPA,
            List.of(new Surface(0.72, SurfaceClass.ROLLING), new Surface(0.18, SurfaceClass.BROKEN)),
            new Skimmer(550),
            420,
            new DailyAir(IntStream.range(0, 24)
                    .mapToObj(h -> h >= 9 && h < 17 ? 560.0 : 900.0)
                    .toList()),
            new LightClock(LocalTime.of(10, 0), LocalTime.of(21, 0), true, 30),
            ZONE);
    private static final AirLine HALF_INCH = new AirLine(6, 12.7, AirLine.ASSUMED_LOSS);

    private static SettledDay settled(Remedies remedies) {
        Forecast forecast = new Forecast(LANTERN, Living.ORDINARY);
        return forecast.settled(forecast.today(MIDNIGHT), remedies);
    }

    private static Remedies line(AirLine line, DailyAir mouth) {
        return new Remedies(1, false, line, mouth, 1, 1, 1, 1, null, 0);
    }

    /** The rear window breathes the bakery's flue from 3 to 7: 780 ppm. */
    private static DailyAir bakery() {
        return new DailyAir(IntStream.range(0, 24)
                .mapToObj(h -> h >= 3 && h < 7 ? 780.0 : 430.0)
                .toList());
    }

    @Test
    void aLineToTheCleanSideBeatsOneToTheBakery() {
        double without = settled(Remedies.NONE).troughPh();
        double clean = settled(line(HALF_INCH, null)).troughPh();
        double rear = settled(line(HALF_INCH, bakery())).troughPh();
        double thin =
                settled(line(new AirLine(6, 4, AirLine.ASSUMED_LOSS), bakery())).troughPh();
        assertThat(clean - without).isBetween(0.05, 0.25);
        assertThat(rear).isLessThan(clean - 0.01);
        assertThat(thin).isLessThan(clean - 0.05);
    }

    @Test
    void fullRecirculationStarvesTheNight() {
        SettledDay closed = settled(new Remedies(1, false, null, null, 0.05, 0, 1, 1, null, 0));
        SettledDay open = settled(Remedies.NONE);
        assertThat(closed.lowestOxygenMgPerL()).isLessThan(open.lowestOxygenMgPerL() - 0.7);
        assertThat(closed.troughPh()).isGreaterThan(open.troughPh());
    }

    /** 60 mL a day of half-strength limewater: 0.0203 mol/L Ca(OH)2 saturated, two equivalents a mole. */
    @Test
    void halfStrengthLimewaterIsSmall() {
        double meqPerDay = 0.060 * 0.5 * 0.0203 * 2 * 1000 / 420;
        double lift = settled(new Remedies(1, false, null, null, 1, 1, 1, 1, null, meqPerDay))
                        .troughPh()
                - settled(Remedies.NONE).troughPh();
        assertThat(meqPerDay).isCloseTo(0.0029, within(0.0001));
        assertThat(lift).isBetween(0.0, 0.01);
    }

    @Test
    void everyVentilationHelpsAndAnEmptyHouseMost() {
        double without = settled(Remedies.NONE).troughPh();
        double ajar =
                settled(new Remedies(3, false, null, null, 1, 1, 1, 1, null, 0)).troughPh();
        double empty =
                settled(new Remedies(1, true, null, null, 1, 1, 1, 1, null, 0)).troughPh();
        assertThat(ajar).isGreaterThan(without + 0.05);
        assertThat(empty).isGreaterThan(ajar);
    }

    /** The fit finds the breath that made a day, and the other tanks that it allows show the same day. */
    @Test
    void theFitFindsTheBreathThatMadeTheLog() {
        Forecast truth = new Forecast(LANTERN, new Living(1, 0.022, 0.041));
        SettledDay day = Forecast.settled(truth.run(truth.today(MIDNIGHT), Remedies.NONE, Duration.ofDays(1)));
        List<Living> tanks = LogFit.tanks(LANTERN, MIDNIGHT, day.troughPh(), day.peakPh());
        assertThat(tanks).hasSize(3);
        assertThat(tanks.get(0).respirationMmolPerLPerH()).isCloseTo(0.022, within(0.0006));
        assertThat(tanks.get(0).photosynthesisMmolPerLPerH()).isCloseTo(0.041, within(0.001));
        List<Double> gains = new ArrayList<>();
        for (Living tank : tanks) {
            Forecast forecast = new Forecast(LANTERN, tank);
            assertThat(Forecast.settled(forecast.run(forecast.today(MIDNIGHT), Remedies.NONE, Duration.ofDays(1)))
                            .troughPh())
                    .isCloseTo(day.troughPh(), within(0.003));
            gains.add(forecast.settled(forecast.today(MIDNIGHT), line(HALF_INCH, null))
                            .troughPh()
                    - day.troughPh());
        }
        // A weak skimmer gains less by better air than a strong one: that is what the log leaves open.
        assertThat(gains.get(1)).isLessThan(gains.get(0)).isLessThan(gains.get(2));
        assertThat(Forecast.band(gains).low()).isEqualTo(gains.get(1));
    }

    @Test
    void anImpossibleLogFindsNoTank() {
        assertThat(LogFit.tanks(LANTERN, MIDNIGHT, 6.5, 9.5)).isEmpty();
    }
}
