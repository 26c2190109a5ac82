package jollytide.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import jollytide.core.air.AirLine;
import jollytide.core.air.Enclosure;
import jollytide.core.description.DailyAir;
import jollytide.core.description.RoomDay;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.exchange.Stone;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.measure.Cost.Effort;
import jollytide.core.media.Media;
import jollytide.core.media.MediaAssumptions;
import jollytide.core.reef.LightClock;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Air;
import org.junit.jupiter.api.Test;

/** Costs by hand from the assumed prices: no remedy that takes power or is bought may be silently free. */
class CostTest {
    private static final double MONTH_H = 730.5;
    private static final double MONTH_DAYS = 30.44;
    private static final Setup TANK = Setup.plain(
            400,
            new Seawater(35, 25),
            3.0,
            Gases.STANDARD_HPA,
            List.of(new Surface(0.8, SurfaceClass.RIPPLED)),
            null,
            420,
            new RoomDay(DailyAir.constant(700), 0.5),
            new LightClock(LocalTime.of(10, 0), LocalTime.of(20, 0), true, 0),
            ZoneId.of("UTC"));

    private static Cost cost(Measure remedy) {
        return cost(remedy, null, Prices.ASSUMED, 1);
    }

    private static Cost cost(Measure measure, Double mediaDays, Prices prices, double perEuro) {
        return new CostBasis(prices, TANK, 100, perEuro, mediaDays).of(MeasureSet.of(measure));
    }

    /** Twice the air through 100 m³ at 0.5 an hour: 50 m³/h more, 0.335 Wh/(m³ K), 12 K, 0.12 a kWh. */
    @Test
    void aWindowCostsHeat() {
        Cost window = cost(new Ventilation(2));
        assertThat(window.perMonth()).isCloseTo(50 * 0.335 * 12 / 1000 * MONTH_H * 0.12, within(1e-9));
        assertThat(window.toFit()).isZero();
        assertThat(window.effort()).isEqualTo(Effort.MINUTES);
    }

    /** A ventilator loses a fifth of that heat and takes 8 W. */
    @Test
    void aVentilatorCostsPowerAndAFifthOfTheHeat() {
        Cost ventilator = cost(new Ventilator(0.5));
        double heat = 0.2 * 50 * 0.335 * 12 / 1000 * MONTH_H * 0.12;
        assertThat(ventilator.perMonth()).isCloseTo(0.008 * MONTH_H * 0.35 + heat, within(1e-9));
        assertThat(ventilator.toFit()).isEqualTo(600);
        assertThat(ventilator.effort()).isEqualTo(Effort.A_WEEKEND);
    }

    @Test
    void aHoseCostsByTheMetre() {
        Cost hose = cost(new OutdoorLine(new AirLine(6, 12.7, 2.5), null, 0));
        assertThat(hose.toFit()).isCloseTo(6 * 2.5 + 15, within(1e-9));
        assertThat(hose.perMonth()).isZero();
        assertThat(hose.effort()).isEqualTo(Effort.A_WEEKEND);
    }

    /** A kilogram at 16 that lasts ten days: three fills and a little a month. */
    @Test
    void mediaCostByTheirLife() {
        Scrubber kilo = new Scrubber(new Media(1, MediaAssumptions.DEFAULT), 1, MediaUse.Hours.ALWAYS, 8.2, false);
        Cost media = cost(kilo, 10.0, Prices.ASSUMED, 1);
        assertThat(media.perMonth()).isCloseTo(16 * MONTH_DAYS / 10, within(1e-9));
        assertThat(media.toFit()).isEqualTo(45);
    }

    /** 1 meq/L a day of soda ash into 400 L: 0.4 equivalents of 53 g, 6 a kilogram; potassium hydroxide is 56 g at 14. */
    @Test
    void dosesCostByTheirMass() {
        double sodaAsh = cost(new Dose(AlkalinitySource.SODA_ASH, 1)).perMonth();
        assertThat(sodaAsh).isCloseTo(0.4 * 52.994 * MONTH_DAYS / 1000 * 6, within(0.01));
        double potassium =
                cost(new Dose(AlkalinitySource.POTASSIUM_HYDROXIDE, 1)).perMonth();
        assertThat(potassium).isCloseTo(0.4 * 56.106 * MONTH_DAYS / 1000 * 14, within(0.02));
        assertThat(cost(new Dose(AlkalinitySource.BICARBONATE, 1)).perMonth())
                .isCloseTo(0.4 * 84.007 * MONTH_DAYS / 1000 * 4, within(0.02));
        assertThat(cost(new Dose(AlkalinitySource.SODIUM_HYDROXIDE, 1)).perMonth())
                .isCloseTo(0.4 * 39.997 * MONTH_DAYS / 1000 * 9, within(0.02));
    }

    @Test
    void fansAndPumpsTakePower() {
        double fan = 0.002 * MONTH_H * 0.35;
        assertThat(cost(new CabinetAir(Enclosure.Door.FAN)).perMonth()).isCloseTo(fan, within(1e-9));
        assertThat(cost(new CabinetAir(Enclosure.Door.OPEN))).isEqualTo(new Cost(0, 0, Effort.MINUTES));
        assertThat(cost(new CanopyAir(Enclosure.Door.FAN)).toFit()).isEqualTo(15);
        assertThat(cost(new Agitation(1.5))).isEqualTo(new Cost(0, 0, Effort.MINUTES));
        Cost pump = cost(new Agitation(2));
        assertThat(pump.perMonth()).isCloseTo(0.008 * MONTH_H * 0.35, within(1e-9));
        assertThat(pump.toFit()).isEqualTo(70);
        assertThat(cost(new AirStone(new Stone(400, 2, 0.4), Air.ROOM)).perMonth())
                .isGreaterThan(0.5);
        // Lit half of the day, 20 W.
        LightClock night = new LightClock(LocalTime.of(21, 0), LocalTime.of(9, 0), true, 0);
        assertThat(cost(new MoreAlgae(3, night)).perMonth()).isCloseTo(0.5 * 0.02 * MONTH_H * 0.35, within(1e-9));
    }

    /** Twice the tariff is twice the power; kronor are eleven to a euro, for everything. */
    @Test
    void tariffAndMoneyAreTheHomes() {
        Measure pump = new Agitation(2);
        Prices dear = Prices.ASSUMED.withElectricity(0.7);
        assertThat(cost(pump, null, dear, 1).perMonth())
                .isCloseTo(2 * cost(pump).perMonth(), within(1e-9));
        Measure dose = new Dose(AlkalinitySource.SODA_ASH, 1, null);
        for (Measure remedy : List.of(pump, dose, new Ventilator(0.5))) {
            Cost kronor = cost(remedy, null, Prices.ASSUMED, 11);
            assertThat(kronor.perMonth()).isCloseTo(11 * cost(remedy).perMonth(), within(1e-9));
            assertThat(kronor.toFit()).isCloseTo(11 * cost(remedy).toFit(), within(1e-9));
            assertThat(kronor.effort()).isEqualTo(cost(remedy).effort());
        }
    }

    @Test
    void ofASetTheSumAndTheLargestWork() {
        Cost both = new CostBasis(Prices.ASSUMED, TANK, 100, 1, null)
                .of(MeasureSet.of(new Agitation(2), new OutdoorLine(new AirLine(2, 19, 2.5), null, 0)));
        assertThat(both.toFit()).isCloseTo(70 + 2 * 2.5 + 15, within(1e-9));
        assertThat(both.effort()).isEqualTo(Effort.A_WEEKEND);
    }
}
