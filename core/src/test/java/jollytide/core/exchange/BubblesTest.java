package jollytide.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jollytide.core.Drawn;
import jollytide.core.exchange.Bubbles.Skin;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import org.junit.jupiter.api.Test;

class BubblesTest {
    private static final Seawater WATER = new Seawater(35, 25);

    private static Bubbles stone(double airLPerH, double diameterMm, Skin skin) {
        return new Bubbles(airLPerH, diameterMm, 0.5, skin);
    }

    /** Sharqawy, Lienhard and Zubair (2010): 0.959 mPa·s at S 35 and 25 °C (value from memory). */
    @Test
    void viscosity() {
        double dynamic = Gases.kinematicViscosityM2PerS(WATER) * WATER.densityKgPerL() * 1000;
        assertThat(dynamic).isCloseTo(0.959e-3, within(0.005e-3));
    }

    /** 100 L/h of 2 mm bubbles at 0.5 m, for oxygen: like 0.6 m² of rolling surface if rigid, 7 m² rippled if mobile. */
    @Test
    void bubblesOrSurface() {
        double rigid = stone(100, 2, Skin.RIGID).conductance(Gas.OXYGEN, WATER);
        double mobile = stone(100, 2, Skin.MOBILE).conductance(Gas.OXYGEN, WATER);
        double rolling = new Surface(1, SurfaceClass.ROLLING).conductance(Gas.OXYGEN, WATER);
        double rippled = new Surface(1, SurfaceClass.RIPPLED).conductance(Gas.OXYGEN, WATER);
        assertThat(rigid / rolling).isBetween(0.4, 0.8);
        assertThat(mobile / rippled).isBetween(5.5, 8.5);
    }

    /** Fine-bubble diffusers dissolve about 5 to 7 % of the oxygen for each metre of depth: common practice, no source. */
    @Test
    void practiceLiesBetweenTheSkins() {
        double air = stone(100, 2, Skin.RIGID).airConductance(WATER);
        double rigid = new Bubbles(100, 2, 1, Skin.RIGID).conductance(Gas.OXYGEN, WATER) / air;
        double mobile = new Bubbles(100, 2, 1, Skin.MOBILE).conductance(Gas.OXYGEN, WATER) / air;
        assertThat(rigid).isLessThan(0.05);
        assertThat(mobile * Bubbles.ASSUMED_TRANSFER_FACTOR).isBetween(0.05, 0.10);
    }

    /** CO2 nearly fills a mobile bubble: air is its limit. Oxygen never comes near: contact is. */
    @Test
    void whatLimitsEachGas() {
        Bubbles fine = new Bubbles(100, 1, 0.5, Skin.MOBILE);
        double air = fine.airConductance(WATER);
        assertThat(fine.conductance(Gas.CO2, WATER) / air).isGreaterThan(0.8);
        assertThat(fine.conductance(Gas.OXYGEN, WATER) / air).isLessThan(0.3);
    }

    /** A rigid 2 mm bubble rises at about 0.2 m/s (Clift, Grace and Weber 1978, fig. 7.3, contaminated water; read off). */
    @Test
    void rise() {
        assertThat(stone(1, 2, Skin.RIGID).riseMPerS(WATER)).isBetween(0.15, 0.23);
        assertThat(stone(1, 2, Skin.MOBILE).riseMPerS(WATER)).isBetween(0.25, 0.32);
    }

    @Test
    void moreAirAndDeeperStonesNeverCarryLess() {
        Drawn.times(300, 20261125, drawn -> {
            double air = drawn.between(1, 2000);
            double diameter = drawn.between(0.3, 8);
            Skin skin = drawn.of(Skin.values());
            Bubbles some = new Bubbles(air, diameter, 0.3, skin);
            for (Gas gas : Gas.values()) {
                double g = some.conductance(gas, WATER);
                assertThat(new Bubbles(air * 1.5, diameter, 0.3, skin).conductance(gas, WATER))
                        .isGreaterThan(g);
                assertThat(new Bubbles(air, diameter, 0.45, skin).conductance(gas, WATER))
                        .isGreaterThanOrEqualTo(g);
                assertThat(g).isLessThanOrEqualTo(some.airConductance(WATER));
            }
        });
    }

    /**
     * Clean bubbles in seawater: 0.3 mm rises at 3 to 4 cm/s, 2 mm at 25 to 30 (Clift, Grace and Weber 1978, fig. 7.3;
     * from memory). Between the two laws there is no step, and the mobile skin never carries less than the rigid one.
     */
    @Test
    void smallBubblesRiseSlowlyAndCarryMore() {
        assertThat(stone(1, 0.3, Skin.RIGID).riseMPerS(WATER)).isBetween(0.025, 0.035);
        assertThat(stone(1, 0.3, Skin.MOBILE).riseMPerS(WATER)).isBetween(0.03, 0.045);
        assertThat(stone(1, 2, Skin.MOBILE).riseMPerS(WATER)).isBetween(0.25, 0.30);
        for (Skin skin : Skin.values()) {
            double before = stone(1, 0.2, skin).riseMPerS(WATER);
            for (double mm = 0.204; mm < 8; mm *= 1.02) {
                double now = stone(1, mm, skin).riseMPerS(WATER);
                assertThat(now / before).as(skin + " " + mm).isBetween(0.97, 1.06);
                before = now;
            }
        }
        for (double mm = 0.2; mm < 15; mm *= 1.1) {
            for (Gas gas : Gas.values()) {
                assertThat(stone(100, mm, Skin.MOBILE).conductance(gas, WATER))
                        .as(gas + " " + mm)
                        .isGreaterThanOrEqualTo(stone(100, mm, Skin.RIGID).conductance(gas, WATER));
            }
        }
    }

    @Test
    void moreAgitationNeverCarriesLess() {
        double before = 0;
        for (double k = 1; k < 40; k += 0.05) {
            double now = new Surface(1, k, 0.5).conductance(Gas.CO2, WATER);
            assertThat(now).as("k600 " + k).isGreaterThan(before);
            before = now;
        }
        double plain = new Surface(1, 8, 0.5).conductance(Gas.CO2, WATER) / 8;
        assertThat(new Surface(1, 1.5, 0.5).conductance(Gas.CO2, WATER) / 1.5 / plain)
                .isCloseTo(2.2, within(0.01));
        assertThat(new Surface(1, 4, 0.5).conductance(Gas.CO2, WATER) / 4 / plain)
                .isCloseTo(1.2, within(0.05));
    }

    /** Saturated with air at 28 to 30 °C the water holds 5 to 8 % less oxygen than at 25 °C. */
    @Test
    void warmthTakesOxygen() {
        double cool = Gases.oxygenSaturationMgPerL(WATER, Gases.STANDARD_HPA);
        for (double warm : new double[] {28, 30}) {
            double less = 1 - Gases.oxygenSaturationMgPerL(new Seawater(35, warm), Gases.STANDARD_HPA) / cool;
            assertThat(less).isBetween(0.045, 0.085);
        }
    }

    @Test
    void whatTheAirLimits() {
        Seawater water = new Seawater(35, 25);
        Bubbles fine = new Bubbles(100, 1, 0.5, Bubbles.Skin.MOBILE);
        Bubbles coarse = new Bubbles(100, 8, 0.1, Bubbles.Skin.RIGID);
        // CO2 is thirty times as soluble as oxygen: its air is full long before
        assertThat(fine.shareOfAirLimit(Gas.CO2, water)).isBetween(0.9, 1.0);
        assertThat(coarse.shareOfAirLimit(Gas.OXYGEN, water)).isLessThan(0.1);
        assertThat(new Bubbles(0, 1, 0.5, Bubbles.Skin.RIGID).shareOfAirLimit(Gas.CO2, water))
                .isZero();
        double asRolling = fine.asSurfaceM2(SurfaceClass.ROLLING, water);
        assertThat(new Surface(asRolling, SurfaceClass.ROLLING).conductance(Gas.OXYGEN, water))
                .isCloseTo(fine.conductance(Gas.OXYGEN, water), within(1e-9));
    }

    /** Small rigid spheres fall or rise by Stokes' law, g d² Δρ ÷ 18 µ, while Re is far below 1. */
    @Test
    void theSmallestRiseAsStokesSays() {
        Seawater water = new Seawater(35, 25);
        double d = 0.2e-3;
        double nu = Gases.kinematicViscosityM2PerS(water);
        double stokes = 9.81 * d * d / (18 * nu);
        double rise = new Bubbles(100, 0.2, 0.5, Bubbles.Skin.RIGID).riseMPerS(water);
        // at Re 4 the drag of Schiller and Naumann is 1.4 times that of Stokes
        assertThat(rise).isBetween(stokes * 0.6, stokes);
    }
}
