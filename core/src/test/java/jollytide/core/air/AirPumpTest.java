package jollytide.core.air;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jollytide.core.exchange.Bubbles;
import jollytide.core.exchange.Gas;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.seawater.Seawater;
import org.junit.jupiter.api.Test;

class AirPumpTest {
    private static final AirLine TUBE = new AirLine(2, 4, 1);

    /** Isothermal compression: 12 000 L/h to 4.6 m of water takes over 120 W, so 56 W cannot. */
    @Test
    void anImpossibleClaim() {
        AirPump claimed = new AirPump(14_000, 60, 56);
        assertThat(AirPump.idealAtDepthW(12_000, 4.6)).isBetween(120.0, 140.0);
        assertThat(claimed.impossible(12_000, 4.6)).isTrue();
        assertThat(claimed.impossible(300, 0.5)).isFalse();
    }

    @Test
    void flowFallsWithDepth() {
        AirPump pump = new AirPump(300, AirPump.ASSUMED_STALL_KPA, 4);
        double shallow = pump.deliveredLPerH(0.2, true, TUBE);
        double deep = pump.deliveredLPerH(0.6, true, TUBE);
        assertThat(shallow).isBetween(150.0, 280.0);
        assertThat(deep).isLessThan(shallow - 30);
        assertThat(pump.deliveredLPerH(0.6, false, TUBE)).isGreaterThan(deep);
        assertThat(pump.deliveredLPerH(3, true, TUBE)).isLessThan(1e-6);
    }

    /** 1 W all year is 8.76 kWh. */
    @Test
    void runningCost() {
        assertThat(new AirPump(300, 25, 1).yearly(1)).isCloseTo(8.76, within(1e-9));
    }

    /** A leak takes its share: a wide second inlet leaves the hose almost nothing, a plugged one everything. */
    @Test
    void aLeakTakesItsShare() {
        AirLine line = new AirLine(6, 12.7, AirLine.ASSUMED_LOSS);
        assertThat(line.withLeak(550, 1000, 0).lineShare()).isEqualTo(1);
        assertThat(line.withLeak(550, 1000, 0).lineLPerH()).isCloseTo(550 * line.kept(550, 1000), within(0.5));
        double pinhole = line.withLeak(550, 1000, 2).lineShare();
        double wide = line.withLeak(550, 1000, 12).lineShare();
        assertThat(pinhole).isBetween(0.85, 0.999);
        assertThat(wide).isLessThan(0.6);
    }

    /**
     * 100 L/h of 2 mm bubbles at 0.5 m, for oxygen: like 0.6 m² of rolling surface if their skin is rigid, like 7 m² of
     * rippled if mobile (computed independently; half as much or twice is within the correlations).
     */
    @Test
    void whatBubblesAreWorth() {
        Seawater water = new Seawater(35, 25.5);
        double rigid = new Bubbles(100, 2, 0.5, Bubbles.Skin.RIGID).conductance(Gas.OXYGEN, water);
        double mobile = new Bubbles(100, 2, 0.5, Bubbles.Skin.MOBILE).conductance(Gas.OXYGEN, water);
        double rolling = new Surface(1, SurfaceClass.ROLLING).conductance(Gas.OXYGEN, water);
        double rippled = new Surface(1, SurfaceClass.RIPPLED).conductance(Gas.OXYGEN, water);
        assertThat(rigid / rolling).isBetween(0.3, 1.2);
        assertThat(mobile / rippled).isBetween(3.5, 14.0);
    }

    /** ASTM E741: the decay of an empty room gives its air changes; the steady state gives who breathed. */
    @Test
    void aRoomTurnedAround() {
        double later = 420 + 1000 * Math.exp(-0.3 * 4);
        assertThat(RoomAir.airChangesFromDecay(420, 1420, later, 4)).isCloseTo(0.3, within(1e-9));
        double steady = RoomAir.steadyStatePpm(420, 0.0117, 180, 0.18);
        assertThat(RoomAir.generationLPerS(420, steady, 180, 0.18)).isCloseTo(0.0117, within(1e-12));
        assertThat(RoomAir.timeConstantH(0.25)).isEqualTo(4);
    }

    /** A metre of seawater is 10.04 kPa; valve and stone ask 3 kPa more. */
    @Test
    void leastPowerByDepth() {
        assertThat(AirPump.idealAtDepthW(300, 1)).isCloseTo(AirPump.idealW(300, 10.04), within(0.001));
        assertThat(AirPump.idealOnStoneW(300, 1)).isCloseTo(AirPump.idealW(300, 13.04), within(0.001));
        // 300 L/h are 83.3 mL/s; at one atmosphere times ln(1.1) that is 0.8 W
        assertThat(AirPump.idealW(300, 10.1325)).isCloseTo(101.325 * 0.08333 * Math.log(1.1), within(0.001));
    }

    @Test
    void firstSizeIsOneVolumeAnHour() {
        assertThat(AirPump.firstSizeLPerH(420)).isEqualTo(420);
        assertThat(new AirPump(300, 25, 4).kWhPerYear()).isCloseTo(4 * 8.76, within(1e-12));
    }

    /** At the flow that arrives, the load is what the pump can still press. */
    @Test
    void flowIsWhereLoadAndPressureMeet() {
        AirPump pump = new AirPump(300, 25, 4);
        double flow = pump.deliveredLPerH(0.4, true, TUBE);
        assertThat(AirPump.loadKPa(0.4, true, TUBE, flow)).isCloseTo(25 * (1 - flow / 300), within(1e-4));
        assertThat(AirPump.loadKPa(0.4, true, TUBE, 0)).isCloseTo(0.4 * 10.04 + 3, within(0.001));
    }
}
