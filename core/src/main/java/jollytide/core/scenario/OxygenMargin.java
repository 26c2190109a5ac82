package jollytide.core.scenario;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import jollytide.core.description.TankParameters;
import jollytide.core.exchange.Bubbles;
import jollytide.core.exchange.Bubbles.Skin;
import jollytide.core.exchange.Gas;
import jollytide.core.measure.Agitation;
import jollytide.core.measure.Measure;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Rig;
import jollytide.core.measure.Setup;
import jollytide.core.measure.SkimmerDraw;
import jollytide.core.measure.Warmth;
import jollytide.core.outage.NightWithoutMains;
import jollytide.core.outage.RoomAround;
import jollytide.core.outage.TankAtFailure;
import jollytide.core.outage.Times;
import jollytide.core.reef.Fish;
import jollytide.core.reef.OxygenLines;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Air;
import jollytide.core.twin.Exchange;
import jollytide.core.twin.GasBalance;
import jollytide.core.twin.OpenPath;
import jollytide.core.twin.Twin;
import jollytide.core.twin.TwinState;

/**
 * Demand for oxygen against what the air can supply, at the hour at which it is worst: before lights-on, on the hottest
 * day, with the skimmer standing still, with every pump off.
 */
public final class OxygenMargin {
    /** The stone that is tried first. */
    private static final double STONE_MM = 2;

    private static final double STONE_DEPTH_M = 0.4;

    private final Setup setup;
    private final List<TankParameters> tanks;
    private final RoomAround summer;
    private final double respirationLnSd;

    /**
     * @param tanks that could be behind the log; each answer is that of the worst of them
     * @param summer the room on the hottest night without mains
     * @param respirationLnSd of a tank without a log; 0 with one
     */
    public OxygenMargin(Setup setup, List<TankParameters> tanks, RoomAround summer, double respirationLnSd) {
        this.setup = setup;
        this.tanks = List.copyOf(tanks);
        this.summer = summer;
        this.respirationLnSd = respirationLnSd;
    }

    /** A strain on the tank. */
    public enum Strain {
        AS_IT_IS(false, false),
        HOTTEST_DAY(true, false),
        SKIMMER_OFF(false, true),
        HOTTEST_DAY_SKIMMER_OFF(true, true);

        private final boolean hot;
        private final boolean skimmerOff;

        Strain(boolean hot, boolean skimmerOff) {
            this.hot = hot;
            this.skimmerOff = skimmerOff;
        }
    }

    /**
     * A settled night under a strain.
     *
     * @param lowestMgPerL and its moment
     * @param demandMgPerLPerH what animals and water breathe then
     * @param supplyMgPerLPerH what the paths bring when the water is down at {@link OxygenLines#CAUTION}
     */
    public record Night(
            Strain strain,
            double temperatureC,
            double lowestMgPerL,
            Instant at,
            double demandMgPerLPerH,
            double supplyMgPerLPerH) {
        /** Supply over demand: above 1 the water stays above the caution line. */
        public double times() {
            return supplyMgPerLPerH / demandMgPerLPerH;
        }
    }

    /**
     * Something to change first.
     *
     * @param lowestMgPerL with it, under the worst strain
     */
    public record Change(String what, double lowestMgPerL) {}

    /** Hours until oxygen crosses its lines; null where it does not within two days. */
    public record Still(Times caution, Times danger) {}

    /**
     * The answer for a tank.
     *
     * @param still with every pump off from the worst hour of the hottest night on, as Guard counts it
     * @param stoneNeeded whether the worst night falls below the caution line without a stone
     * @param contradicted whether even ordinary nights are computed where no animals would live
     */
    public record Answer(
            List<Night> nights,
            Still still,
            List<Change> changes,
            boolean stoneNeeded,
            Change stone,
            boolean contradicted) {}

    /**
     * From settled states, one for each tank, in their order. A tank whose animals would have suffocated long ago is not
     * the one that the keeper has, so it is left out, unless they all are such.
     */
    public Answer answer(List<TwinState> settled) {
        List<Integer> living = IntStream.range(0, tanks.size())
                .filter(i -> night(tanks.get(i), settled.get(i), Strain.AS_IT_IS, List.of())
                                .lowestMgPerL()
                        >= Fish.UNLIKELY_MG_PER_L)
                .boxed()
                .toList();
        if (living.isEmpty() || living.size() == tanks.size()) {
            return answer(settled, living.isEmpty());
        }
        return new OxygenMargin(setup, living.stream().map(tanks::get).toList(), summer, respirationLnSd)
                .answer(living.stream().map(settled::get).toList(), false);
    }

    private Answer answer(List<TwinState> settled, boolean contradicted) {
        List<Night> nights = new ArrayList<>();
        for (Strain strain : Strain.values()) {
            if (setup.skimmer() != null || !strain.skimmerOff) {
                nights.add(worst(settled, strain, List.of()));
            }
        }
        Night worst = nights.stream()
                .min(Comparator.comparingDouble(Night::lowestMgPerL))
                .orElseThrow();
        // As safety counts it: with rigid bubbles.
        Bubbles rigid = new Bubbles(setup.netVolumeL(), STONE_MM, STONE_DEPTH_M, Skin.RIGID);
        Change stone = new Change(
                "an air stone with one tank volume of air an hour",
                worst(settled, worst.strain(), List.of(new SafeStone(rigid))).lowestMgPerL());
        List<Change> changes = new ArrayList<>();
        changes.add(stone);
        changes.add(new Change(
                "half as much surface movement again",
                worst(settled, worst.strain(), List.of(new Agitation(1.5))).lowestMgPerL()));
        if (worst.temperatureC() > setup.water().temperatureC()) {
            changes.add(new Change(
                    "a fan or chiller that halves the heat",
                    worst(settled, worst.strain(), List.of(new Warmth(WorstNight.HOTTEST_K / 2)))
                            .lowestMgPerL()));
        }
        changes.sort(Comparator.comparingDouble(Change::lowestMgPerL).reversed());
        return new Answer(
                nights, still(settled), changes, worst.lowestMgPerL() < OxygenLines.CAUTION, stone, contradicted);
    }

    private record SafeStone(Bubbles bubbles) implements Measure {
        @Override
        public Way way() {
            return Way.REMOVES_THE_SOURCE;
        }

        @Override
        public void on(Rig rig) {
            rig.add(OpenPath.stone("stone", Air.ROOM, bubbles));
        }
    }

    private Night worst(List<TwinState> settled, Strain strain, List<Measure> helped) {
        return IntStream.range(0, tanks.size())
                .parallel()
                .mapToObj(i -> night(tanks.get(i), settled.get(i), strain, helped))
                .min(Comparator.comparingDouble(Night::lowestMgPerL))
                .orElseThrow();
    }

    private Night night(TankParameters tank, TwinState settled, Strain strain, List<Measure> helped) {
        TwinState lowest = WorstNight.lowest(setup, tank, settled, strained(strain, helped));
        double demand = 0;
        for (GasBalance.Entry entry : Twin.rates(lowest).entries()) {
            demand -= entry.channel().kind().air() ? 0 : Math.min(0, entry.oxygen());
        }
        double perL = Gases.OXYGEN_MG_PER_MOL / setup.netVolumeL();
        return new Night(
                strain,
                lowest.temperatureC(),
                lowest.oxygenMgPerL(),
                lowest.at(),
                demand * perL,
                supply(Twin.exchanges(lowest), lowest.seawater()) * perL);
    }

    private static MeasureSet strained(Strain strain, List<Measure> helped) {
        List<Measure> all = new ArrayList<>(helped);
        if (strain.hot && helped.stream().noneMatch(Warmth.class::isInstance)) {
            all.add(new Warmth(WorstNight.HOTTEST_K));
        }
        if (strain.skimmerOff) {
            all.add(new SkimmerDraw(0));
        }
        return new MeasureSet(all);
    }

    /** What all paths bring into water at {@link OxygenLines#CAUTION}, mol/h. */
    private double supply(List<Exchange> ways, Seawater water) {
        double conductance =
                ways.stream().mapToDouble(way -> way.conductance().oxygen()).sum();
        double dryAtm = Gases.uatmOverWater(1e6, setup.pressureHpa(), water) * 1e-6;
        double wanted = OxygenLines.CAUTION / Gases.OXYGEN_MG_PER_MOL / Gas.OXYGEN.solubility(water);
        return conductance * (Gas.OXYGEN_IN_AIR * dryAtm - wanted);
    }

    private Still still(List<TwinState> settled) {
        TankAtFailure tank = WorstNight.of(setup, tanks, settled, WorstNight.HOTTEST_K, summer, respirationLnSd)
                .tank();
        NightWithoutMains.OxygenCourse course =
                new NightWithoutMains(tank, List.of(), List.of()).run(WorstNight.LOOKED_AHEAD_H);
        return new Still(course.caution(), course.danger());
    }
}
