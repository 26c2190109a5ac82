package jollytide.core.transport;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import jollytide.core.exchange.Bubbles;
import jollytide.core.exchange.Gas;
import jollytide.core.reef.Fish;
import jollytide.core.seawater.Seawater;
import jollytide.core.transport.Transport.Limits;
import jollytide.core.transport.Transport.Side;
import jollytide.core.transport.Transport.TransportMoment;
import jollytide.core.transport.Transport.Trip;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

class TransportTest {
    private static final Fish TWO = new Fish(List.of(new Fish.Group(2, 15)));

    private static Trip trip(double waterL, double headspaceL, boolean oxygen, boolean aerated, double fasted) {
        return transport(waterL, headspaceL, oxygen, aerated ? BATTERY_PUMP : null, false, fasted)
                .trip(8);
    }

    /** A battery pump with a fine stone. */
    private static final Bubbles BATTERY_PUMP = new Bubbles(120, 1.5, 0.2, Bubbles.Skin.RIGID);

    private static Transport transport(
            double waterL, double headspaceL, boolean oxygen, @Nullable Bubbles air, boolean bound, double fasted) {
        return new Transport(TWO, waterL, headspaceL, oxygen, air, bound, 25, 20, 0.05, 35, 2.9, 8.1, fasted);
    }

    private static TransportMoment last(Trip trip) {
        return trip.moments().get(trip.moments().size() - 1);
    }

    @Test
    void aClosedBagSuffocatesAndSours() {
        Trip closed = trip(3, 2, false, false, 0);
        assertThat(last(closed).oxygenMgPerL())
                .isLessThan(closed.moments().get(0).oxygenMgPerL());
        assertThat(last(closed).phNbs()).isLessThan(7.9);
        assertThat(trip(3, 6, true, false, 0).moments())
                .allSatisfy(m -> assertThat(m.oxygenMgPerL()).isGreaterThan(5));
    }

    /** A full bag, shut: what is breathed is all that happens. As without mains: 1.25 times 4/3. */
    @Test
    void frightenedFishAreCountedOnTheEarlySide() {
        Transport full = transport(6, 0, false, null, false, 0);
        double likely = breathed(full.trip(0.5, Side.LIKELY, Limits.REEF));
        assertThat(breathed(full.trip(0.5, Side.EARLY, Limits.REEF)) / likely).isCloseTo(1.25 * 4 / 3, within(0.02));
        assertThat(breathed(full.trip(0.5, Side.LATE, Limits.REEF)) / likely).isCloseTo(2.0 / 3 / 1.25, within(0.02));
    }

    private static double breathed(Trip trip) {
        return trip.moments().get(0).oxygenMgPerL() - last(trip).oxygenMgPerL();
    }

    /** Common practice: aerating drives CO2 off, raises pH and turns ammonium into ammonia. */
    @Test
    void aeratingTurnsAmmoniumPoisonous() {
        Trip closed = trip(3, 4, true, false, 0);
        Trip aerated = trip(3, 4, false, true, 0);
        assertThat(last(aerated).ammoniaMgPerL()).isCloseTo(last(closed).ammoniaMgPerL(), within(0.2));
        assertThat(last(aerated).unionisedMgPerL())
                .isGreaterThan(1.5 * last(closed).unionisedMgPerL());
        assertThat(last(aerated).oxygenMgPerL()).isGreaterThan(5);
        assertThat(trip(3, 4, false, true, 48).limit()).isNull();
    }

    /** More water dilutes and weighs more; fasting halves the ammonia. */
    @Test
    void waterAgainstWeight() {
        assertThat(last(trip(12, 4, false, true, 0)).ammoniaMgPerL())
                .isLessThan(0.3 * last(trip(3, 4, false, true, 0)).ammoniaMgPerL());
        assertThat(trip(12, 4, false, true, 0).weightKg()).isCloseTo(12.3, within(0.1));
        assertThat(last(trip(3, 4, false, true, 48)).ammoniaMgPerL())
                .isCloseTo(0.5 * last(trip(3, 4, false, true, 0)).ammoniaMgPerL(), within(0.02));
        assertThat(last(trip(3, 4, false, true, 0)).celsius()).isBetween(22.0, 24.9);
        assertThat(Transport.socketW(12, 10)).isCloseTo(96, within(1e-9));
    }

    /**
     * Switching the pump on never suffocates anybody: air is added to the surface. Over many loads, against the same
     * container shut with as much air as water.
     */
    @Test
    void aeratingAddsToTheSurface() {
        for (double litres : new double[] {2, 5, 20, 80}) {
            for (double airLPerH : new double[] {20, 60, 300}) {
                Bubbles air = new Bubbles(airLPerH, 2, Transport.deepestM(litres) / 3, Bubbles.Skin.RIGID);
                for (Side side : Side.values()) {
                    Transport closed = load(litres, litres, null);
                    Transport aired = load(litres, litres, air);
                    assertThat(aired.trip(12, side, Limits.REEF).lowestOxygenMgPerL())
                            .isGreaterThanOrEqualTo(
                                    closed.trip(12, side, Limits.REEF).lowestOxygenMgPerL() - 1e-3);
                }
            }
        }
    }

    private static Transport load(double litres, double headspace, @Nullable Bubbles air) {
        Fish fish = new Fish(List.of(new Fish.Group(1, 5 * litres)));
        return new Transport(fish, litres, headspace, false, air, false, 25, 25, 0, 35, 2.9, 8.1, 24);
    }

    /** The early side is a still bag: it is never the road that keeps them. */
    @Test
    void theRoadIsNotCountedOn() {
        Transport bag = load(6, 6, null);
        double early = bag.trip(6, Side.EARLY, Limits.REEF).lowestOxygenMgPerL();
        double likely = bag.trip(6, Side.LIKELY, Limits.REEF).lowestOxygenMgPerL();
        assertThat(early).isLessThan(likely - 1);
        // 22 cm of water that follow its air 4 times an hour would be three times a breaking surface.
        Transport wide = load(10.6, 10.6, null);
        assertThat(wide.trip(6, Side.LATE, Limits.REEF).lowestOxygenMgPerL()).isGreaterThan(early);
    }

    /** A heater of some watts and none do not arrive alike; too cold, too warm and too fast are said. */
    @Test
    void temperatureHasItsLimits() {
        Trip bare = cold(0).trip(4, Side.LIKELY, Limits.REEF);
        assertThat(bare.limit()).isEqualTo("TEMPERATURE");
        assertThat(bare.fastestKPerH()).isGreaterThan(1);
        Trip heated = cold(300).trip(4, Side.LIKELY, Limits.REEF);
        assertThat(heated.limit()).isNull();
        assertThat(last(heated).celsius()).isBetween(24.7, 25.0);
        // 20 L by 0.15/h and 23 K lose 82 W: 40 W hold half of it.
        Trip weak = cold(40).trip(4, Side.LIKELY, Limits.REEF);
        assertThat(last(weak).celsius()).isBetween(last(bare).celsius() + 3, 22.0);
        Trip slow = cold(0).trip(4, Side.LIKELY, new Limits(5, 30, 19));
        assertThat(slow.limit()).isNull();
    }

    private static Transport cold(double heaterW) {
        Bubbles air = new Bubbles(300, 1.5, 0.2, Bubbles.Skin.RIGID);
        Fish fish = new Fish(List.of(new Fish.Group(1, 10)));
        return new Transport(fish, 20, 0, false, air, false, 25, 2, 0.15, 35, 2.9, 8.1, 24, heaterW);
    }

    /** A soured bag that is opened: its CO2 leaves, pH rises, and the ammonia in it turns poisonous. */
    @Test
    void openingTheBagMakesPoison() {
        Trip closed = trip(3, 6, true, false, 0);
        assertThat(closed.openedUnionisedMgPerL())
                .isGreaterThan(1.5 * last(closed).unionisedMgPerL());
        assertThat(transport(3, 6, true, null, true, 0).trip(8).openedUnionisedMgPerL())
                .isZero();
    }

    /** 12 V × 60 Ah × 30 % are 216 Wh; 40 W take 40 ÷ 0.85 + 8 = 55 W through an inverter: under four hours. */
    @Test
    void aParkedCarIsNoPowerStation() {
        assertThat(Transport.inverterW(40)).isCloseTo(40 / 0.85 + 8, within(1e-9));
        assertThat(Transport.engineOffH(12, 60, 40)).isCloseTo(216 / (40 / 0.85 + 8), within(1e-9));
    }

    @Test
    void noFishNoHarm() {
        Trip empty = new Transport(Fish.NONE, 3, 1, false, null, false, 25, 25, 0, 35, 2.9, 8.1, 0).trip(24);
        assertThat(empty.limit()).isNull();
        assertThat(last(empty).phNbs()).isCloseTo(8.1, within(0.1));
    }

    /** 60 L/h of 2 mm bubbles, 0.3 m deep, turn over the oxygen of 180 L a tenth to half of a time an hour, not six. */
    @Test
    void aSmallPumpDoesLittleForABigTub() {
        Seawater water = new Seawater(35, 25);
        Bubbles air = new Bubbles(60, 2, 0.3, Bubbles.Skin.RIGID);
        double perH = air.conductance(Gas.OXYGEN, water) / (Gas.OXYGEN.solubility(water) * 180);
        assertThat(perH).isBetween(0.02, 0.5);
        Fish many = new Fish(List.of(new Fish.Group(12, 80)));
        Trip tub = new Transport(many, 180, 0, false, air, false, 25, 25, 0, 35, 2.9, 8.1, 24).trip(8);
        assertThat(tub.limit()).isEqualTo("OXYGEN");
        Bubbles strong = new Bubbles(1200, 2, 0.5, Bubbles.Skin.RIGID);
        Trip better = new Transport(many, 180, 0, false, strong, false, 25, 25, 0, 35, 2.9, 8.1, 24).trip(8);
        assertThat(better.lowestOxygenMgPerL()).isGreaterThan(tub.lowestOxygenMgPerL() + 1);
    }

    @Test
    void doubtIsOnBothSidesAndABinderTakesThePoison() {
        Transport transport = transport(3, 4, false, BATTERY_PUMP, false, 0);
        Trip early = transport.trip(8, Side.EARLY, Limits.REEF);
        Trip late = transport.trip(8, Side.LATE, Limits.REEF);
        assertThat(early.highestUnionisedMgPerL()).isGreaterThan(1.1 * late.highestUnionisedMgPerL());
        assertThat(early.lowestOxygenMgPerL()).isLessThan(late.lowestOxygenMgPerL());
        Trip bound = transport(3, 4, false, BATTERY_PUMP, true, 0).trip(8);
        assertThat(bound.highestUnionisedMgPerL()).isZero();
        assertThat(last(bound).ammoniaMgPerL()).isGreaterThan(0.5);
    }

    /** Twice as tall as a cube of its water: a litre is 10 cm wide, so 20 cm; 8 L are 40 cm. */
    @Test
    void aStoneLiesNoDeeperThanTheWater() {
        assertThat(Transport.deepestM(1)).isCloseTo(0.2, within(1e-9));
        assertThat(Transport.deepestM(8)).isCloseTo(0.4, within(1e-9));
    }

    /** 12 V and 10 A are 120 W; with a fifth spared 96. */
    @Test
    void aSocketGivesFourFifthsOfItsFuse() {
        assertThat(Transport.socketW(12, 10)).isCloseTo(96, within(1e-9));
    }

    /** 40 L of seawater weigh 40.9 kg (EOS-80: 1.0233 kg/L at S 35, 25 °C), two fish 30 g. */
    @Test
    void whatIsCarriedHasItsWeight() {
        assertThat(trip(40, 0, false, true, 24).weightKg()).isCloseTo(40.93 + 0.03, within(0.02));
    }

    /** Newton's cooling: 5 K over what is around, 5 % an hour, eight hours. */
    @Test
    void theWaterCoolsOnTheWay() {
        assertThat(last(trip(40, 0, false, true, 24)).celsius()).isCloseTo(20 + 5 * Math.exp(-0.4), within(0.01));
    }

    /** Fasted fish give off half the ammonia, all else alike. */
    @Test
    void fastingHalvesTheAmmonia() {
        double fed = last(trip(20, 0, false, true, 23.9)).ammoniaMgPerL();
        double fasted = last(trip(20, 0, false, true, 24)).ammoniaMgPerL();
        assertThat(fasted).isCloseTo(fed / 2, within(1e-6));
    }

    /** A binder leaves the ammonia in the sum and the poison out of it. */
    @Test
    void boundAmmoniaIsNoPoison() {
        Trip bound = transport(3, 4, false, BATTERY_PUMP, true, 0).trip(8);
        assertThat(last(bound).ammoniaMgPerL()).isPositive();
        assertThat(bound.highestUnionisedMgPerL()).isZero();
        assertThat(bound.limit()).isNull();
    }

    /** 0.15 mol of ammonia for each mole of oxygen: an hour chased and an hour calm. */
    @Test
    void ammoniaFollowsTheOxygen() {
        Trip trip = transport(100, 0, false, BATTERY_PUMP, false, 0).trip(2);
        double calm = TWO.oxygenMmolPerH(25) * Fish.ACTIVE;
        double breathed = calm * (Fish.CHASED / Fish.ACTIVE + 1);
        assertThat(last(trip).ammoniaMgPerL()).isCloseTo(breathed * 0.15 * 14.007 / 100, within(0.002));
    }

    @Test
    void tripsAreDrawnEveryTenMinutesAndKnowTheirLimit() {
        Trip tight = trip(1, 1, false, false, 0);
        assertThat(tight.moments()).hasSize(49);
        assertThat(tight.moments().get(6).hours()).isCloseTo(1, within(1e-9));
        assertThat(tight.limit()).isEqualTo("OXYGEN");
        assertThat(tight.hoursToCaution()).isBetween(0.01, 8.0);
        double drawn = tight.moments().stream()
                .mapToDouble(TransportMoment::oxygenMgPerL)
                .min()
                .orElseThrow();
        // Lowest while they are chased; what is drawn every ten minutes may miss the very lowest.
        assertThat(tight.lowestOxygenMgPerL()).isBetween(drawn - 0.3, drawn);
        Trip sour = transport(1, 0, false, BATTERY_PUMP, false, 0).trip(24);
        assertThat(sour.limit()).isEqualTo("AMMONIA");
    }

    /** 30 g of fish and seawater of 1.0233 kg/L: what may weigh 10 kg holds 9.74 L. */
    @Test
    void howMuchWaterALimitLeaves() {
        Transport transport = transport(3, 2, false, null, false, 0);
        assertThat(transport.mostWaterL(10)).isCloseTo((10 - 0.030) / 1.0233, within(0.001));
        assertThat(transport.mostWaterL(transport.trip(1).weightKg())).isCloseTo(3, within(1e-9));
        Transport heavy = new Transport(
                new Fish(List.of(new Fish.Group(2, 500))), 3, 2, false, null, false, 25, 20, 0.05, 35, 2.9, 8.1, 0);
        assertThat(heavy.mostWaterL(0.5)).as("the fish alone are too heavy").isZero();
    }
}
