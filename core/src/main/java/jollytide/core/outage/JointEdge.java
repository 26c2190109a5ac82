package jollytide.core.outage;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import jollytide.core.exchange.Gas;
import jollytide.core.exchange.Surface;
import jollytide.core.reef.Fish;
import jollytide.core.reef.Life;
import jollytide.core.reef.OxygenLines;
import jollytide.core.seawater.Gases;

/**
 * The one tank of all that a description leaves possible of which one in twenty are in danger sooner, and the one of which
 * one in twenty are later. Not everything is at its own worst at once: of all points as improbable as that, the worst is
 * taken (first-order reliability; Hasofer and Lind 1974, J. Eng. Mech. Div. 100, 111, inverted). Where that point lies is
 * found with water that is mixed and as warm as it was, in closed form; what follows from it is the twin's.
 */
final class JointEdge {
    /** One in twenty lies beyond, on one side. */
    private static final double ONE_IN_TWENTY = 1.645;
    /** What a keeper's or the default span of a doubt is taken to hold on each side: nine in ten together. */
    private static final double NINETY = 1.645;

    /** By how much oxygen exchange with the pumps on is not known, ln: surfaces and skimmer together. From memory. */
    private static final double EXCHANGE_LN_SD = 0.3;

    private static final double LONGEST_H = 48;
    private static final int ROUNDS = 40;
    private static final double STEP = 0.01;

    /** Unknowns in standard deviations: respiration, demand without mains, fish, the still surface, the start. */
    private static final int UNKNOWNS = 5;

    private final TankAtFailure tank;
    private final double[] deviations;
    private final double saturation;
    private final double reefMgPerLPerH;
    private final double fishMgPerLPerH;
    private final double stillPerH;
    private final double airedPerH;

    JointEdge(TankAtFailure tank, List<Backup> running) {
        this.tank = tank;
        OutageAssumptions assumed = tank.assumed();
        Guess likely = assumed.likely();
        saturation = tank.saturationMgPerL(tank.startC());
        double deficit = Math.max(0, saturation - tank.startMgPerL());
        deviations = new double[] {
            tank.respirationLnSd(),
            Math.log(assumed.demandDoubt()) / NINETY,
            Math.log(assumed.early().fishActivity() / likely.fishActivity()) / NINETY,
            Math.log(likely.stillCmPerH() / assumed.early().stillCmPerH()) / NINETY,
            tank.startMeasured() ? 0 : Math.hypot(assumed.startDoubtMgPerL() / NINETY, EXCHANGE_LN_SD * deficit)
        };
        reefMgPerLPerH = tank.reefMmolPerLPerH() * Life.metabolism(tank.startC()) * Gases.OXYGEN_G_PER_MOL;
        fishMgPerLPerH = tank.demandMgPerLPerH(tank.startC(), 0, likely) - reefMgPerLPerH;
        stillPerH = perH(new Surface(Math.max(0.001, tank.surfaceM2()), likely.stillCmPerH(), 2.0 / 3)
                .conductance(Gas.OXYGEN, tank.water(tank.startC())));
        airedPerH = running.stream()
                .mapToDouble(b -> perH(b.way().least(tank.water(tank.startC()))))
                .sum();
    }

    private double perH(double molPerHAtm) {
        return molPerHAtm / Gas.OXYGEN.solubility(tank.water(tank.startC())) / tank.litres();
    }

    Guess early() {
        return guess(edge(1));
    }

    Guess late() {
        return guess(edge(-1));
    }

    private Guess guess(double[] at) {
        Guess likely = tank.assumed().likely();
        double demand = Math.exp(at[0] * deviations[0] + at[1] * deviations[1]);
        double fish = Math.exp(at[2] * deviations[2] - at[0] * deviations[0]);
        return new Guess(
                demand,
                likely.stillCmPerH() * Math.exp(-at[3] * deviations[3]),
                start(at) - tank.startMgPerL(),
                likely.fishActivity() * fish);
    }

    /** The worst of all points so far from what is likely; for −1 the best. */
    private double[] edge(int side) {
        double[] at = new double[UNKNOWNS];
        for (int round = 0; round < ROUNDS; round++) {
            double hours = Math.min(LONGEST_H, hoursToDanger(at));
            double[] slope = slope(at, hours);
            double length = Math.sqrt(Arrays.stream(slope).map(x -> x * x).sum());
            if (length == 0) {
                return at;
            }
            double[] next = Arrays.stream(slope)
                    .map(x -> -side * ONE_IN_TWENTY * x / length)
                    .toArray();
            // Half the way each time: the direction turns where oxygen runs out soon.
            double[] from = at;
            double[] mean = IntStream.range(0, UNKNOWNS)
                    .mapToDouble(i -> (from[i] + next[i]) / 2)
                    .toArray();
            double far = Math.sqrt(Arrays.stream(mean).map(x -> x * x).sum());
            at = far == 0
                    ? next
                    : Arrays.stream(mean).map(x -> x * ONE_IN_TWENTY / far).toArray();
        }
        return at;
    }

    private double[] slope(double[] at, double hours) {
        double[] slope = new double[UNKNOWNS];
        for (int i = 0; i < UNKNOWNS; i++) {
            double[] more = at.clone();
            more[i] += STEP;
            double[] less = at.clone();
            less[i] -= STEP;
            slope[i] = (oxygen(more, hours) - oxygen(less, hours)) / (2 * STEP);
        }
        return slope;
    }

    private double demand(double[] at) {
        return Math.exp(at[1] * deviations[1])
                * (reefMgPerLPerH * Math.exp(at[0] * deviations[0]) + fishMgPerLPerH * Math.exp(at[2] * deviations[2]));
    }

    /**
     * Oxygen at the failure. What the water lacks with the pumps on is in proportion to what is used; no less than living
     * tanks are found with.
     */
    private double start(double[] at) {
        if (tank.startMeasured()) {
            return tank.startMgPerL();
        }
        double lacks = (saturation - tank.startMgPerL()) * demand(at) / demand(new double[UNKNOWNS]);
        double least = Math.min(tank.startMgPerL(), Fish.UNLIKELY_MG_PER_L);
        return Math.max(least, Math.min(saturation, saturation - lacks - at[4] * deviations[4]));
    }

    private double perH(double[] at) {
        return stillPerH * Math.exp(-at[3] * deviations[3]) + airedPerH;
    }

    /** After so many hours, by dO/dt = k (saturation − O) − demand. */
    private double oxygen(double[] at, double hours) {
        double k = perH(at);
        double end = saturation - demand(at) / k;
        return end + (start(at) - end) * Math.exp(-k * hours);
    }

    private double hoursToDanger(double[] at) {
        double k = perH(at);
        double end = saturation - demand(at) / k;
        double start = start(at);
        if (start <= OxygenLines.DANGER) {
            return 0;
        }
        return end >= OxygenLines.DANGER
                ? Double.POSITIVE_INFINITY
                : Math.log((start - end) / (OxygenLines.DANGER - end)) / k;
    }
}
