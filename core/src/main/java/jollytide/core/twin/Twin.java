package jollytide.core.twin;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Predicate;
import jollytide.core.numerics.Stopped;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Gases;
import jollytide.core.units.InputException;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince54Integrator;
import org.hipparchus.ode.sampling.ODEStateInterpolator;
import org.hipparchus.ode.sampling.ODEStepHandler;

/** Runs a tank through time: adaptive Dormand–Prince 5(4), stopped and started at every switch of a part. */
public final class Twin {
    private static final double MIN_STEP_H = 1e-7;
    private static final double MAX_STEP_H = 1;
    /** The first step after a switch, over the longest. */
    private static final double FIRST_STEP = 0.25;
    /** Where the usual steps lead astray, so much shorter ones are tried: a hungry tank runs empty within minutes. */
    private static final double CAREFUL = 0.02;

    /** How far a run goes before it asks whether that is enough. */
    private static final Duration ASKS = Duration.ofDays(5);
    /** A run that needs more than this in one segment has gone astray. */
    private static final int MAX_EVALUATIONS = 200_000;
    /** The constants of the water are made anew when the temperature has moved this much, °C. */
    private static final double TEMPERATURE_GRAIN = 0.05;
    /** The gas balance sums what the stocks are made of and needs no closer watch. */
    private static final double FLOWS_ABSOLUTE = 1e-5;

    private static final double FLOWS_RELATIVE = 1e-4;

    private final TwinTank tank;
    private final double[] absolute;
    private final double[] relative;
    private final double longestStepH;

    public Twin(TwinTank tank) {
        this(tank, 1);
    }

    /** @param tolerance over the usual one: 0.01 for a run to judge others by */
    public Twin(TwinTank tank, double tolerance) {
        this(tank, tolerance, MAX_STEP_H);
    }

    /** @param longestStepH no longer than its parts' conditions take to change between two switches */
    public Twin(TwinTank tank, double tolerance, double longestStepH) {
        this.tank = tank;
        this.longestStepH = longestStepH;
        absolute = new double[tank.size()];
        relative = new double[tank.size()];
        Arrays.fill(absolute, FLOWS_ABSOLUTE * tolerance);
        Arrays.fill(relative, FLOWS_RELATIVE * tolerance);
        for (int i = 0; i < tank.flows(); i++) {
            absolute[i] = tank.stocks().get(i).absolute() * tolerance;
            relative[i] = tank.stocks().get(i).relative() * tolerance;
        }
    }

    /**
     * Where a run starts from: all parts as they start, the water saturated with oxygen and in balance with air of
     * {@code waterPpm}.
     *
     * @param alkalinityMeqPerL read where carbon is followed
     */
    public TwinState start(Instant at, double alkalinityMeqPerL, double waterPpm) {
        Water water = tank.water();
        CarbonateSystem system = CarbonateSystem.of(water.seawater());
        double[] y = new double[tank.size()];
        for (int i = 0; i < tank.flows(); i++) {
            y[i] = tank.stocks().get(i).start();
        }
        if (water.carbon()) {
            double alkalinity = alkalinityMeqPerL / 1000 / water.seawater().densityKgPerL();
            double uatm = Gases.uatmOverWater(waterPpm, water.pressureHpa(), water.seawater());
            y[Water.AT_DIC] = system.fromAlkalinityAndCo2(alkalinity, uatm).dic();
            y[Water.AT_ALKALINITY] = alkalinity;
        }
        y[Water.AT_CALCIUM] = system.calcium();
        y[Water.AT_OXYGEN] = Gases.oxygenSaturationUmolPerKg(water.seawater(), water.pressureHpa()) * 1e-6;
        y[Water.AT_TEMPERATURE] = water.celsius();
        return new TwinState(tank, at, y);
    }

    /** Another tank's state on this one: what both hold is carried over, the gas balance counts from here. */
    public TwinState carriedOver(TwinState from) {
        double[] y = new double[tank.size()];
        for (int i = 0; i < tank.flows(); i++) {
            Stock stock = tank.stocks().get(i);
            y[i] = from.held(stock).orElse(stock.start());
        }
        return new TwinState(tank, from.at(), y);
    }

    /**
     * The tank at every multiple of {@code every} after {@code from}, up to and including {@code until}.
     *
     * @param from a state of this tank, from {@link #start} or {@link #carriedOver}
     * @throws InputException when the run leaves what water can be, such as negative carbon
     * @throws Stopped when its thread was interrupted
     */
    public List<TwinState> run(TwinState from, Instant until, Duration every) {
        Run run = new Run(from, every);
        Instant segment = from.at();
        while (segment.isBefore(until)) {
            Stopped.ifAsked();
            segment = run.on(segment, until);
        }
        return run.samples;
    }

    /** The same, ended early by the first sample that is {@code enough}. */
    public List<TwinState> run(TwinState from, Instant until, Duration every, Predicate<TwinState> enough) {
        Run run = new Run(from, every);
        Instant segment = from.at();
        while (segment.isBefore(until) && !run.ended(enough)) {
            Stopped.ifAsked();
            Instant asks = segment.plus(ASKS);
            segment = run.on(segment, asks.isBefore(until) ? asks : until);
        }
        run.ended(enough);
        return run.samples;
    }

    /** What flows at a state, mol/h, row by row. */
    public static GasBalance rates(TwinState at) {
        TwinTank whole = at.tank().withGasBalance();
        double[] rates = new double[whole.size()];
        moment(whole, at, rates).act();
        return GasBalance.of(whole.channels(), rates, whole.flows());
    }

    /** The ways between water and air at a state. */
    public static List<Exchange> exchanges(TwinState at) {
        Moment now = moment(at.tank(), at, new double[at.tank().size()]);
        now.settleAir();
        List<Exchange> all = new ArrayList<>();
        for (int i = 0; i < at.tank().parts().size(); i++) {
            all.addAll(now.turn(i).exchanges(now));
        }
        return all;
    }

    private static Moment moment(TwinTank tank, TwinState state, double[] rates) {
        Moment now = new Moment(tank);
        now.meet(state.at(), Arrays.copyOf(state.vector(), tank.size()), rates, 0);
        decide(tank, now);
        return now;
    }

    private static void decide(TwinTank tank, Moment now) {
        for (int i = 0; i < tank.parts().size(); i++) {
            now.turn(i).decides(now);
        }
    }

    private static double hours(Instant from, Instant to) {
        return Duration.between(from, to).toNanos() / 3.6e12;
    }

    private static Instant plusHours(Instant from, double hours) {
        return from.plusNanos(Math.round(hours * 3.6e12));
    }

    /** One run, segment by segment from switch to switch. */
    private final class Run implements OrdinaryDifferentialEquation, ODEStepHandler {
        private final Moment now = new Moment(tank);
        private final Moment shown = new Moment(tank);
        private final Duration every;
        private final List<TwinState> samples = new ArrayList<>();
        private double[] y;
        private Instant next;
        private int judged;
        private Instant start;
        private Instant end;
        /** Right before the segment's end: at the end itself the next one has begun. */
        private Instant last;

        Run(TwinState from, Duration every) {
            this.every = every;
            y = from.vector();
            next = from.at().plus(every);
            start = from.at();
            end = start;
            last = start;
        }

        boolean ended(Predicate<TwinState> enough) {
            for (; judged < samples.size(); judged++) {
                if (enough.test(samples.get(judged))) {
                    samples.subList(judged + 1, samples.size()).clear();
                    return true;
                }
            }
            return false;
        }

        /** From one switch to the next. */
        Instant on(Instant segment, Instant until) {
            now.meet(segment, y, new double[y.length], TEMPERATURE_GRAIN);
            decide(tank, now);
            now.settleAir();
            start = segment;
            end = until;
            for (int i = 0; i < tank.parts().size(); i++) {
                end = now.turn(i).nextSwitch(now, end);
            }
            last = end.minusNanos(1000);
            int before = samples.size();
            Instant sample = next;
            try {
                y = integrated(1);
            } catch (MathRuntimeException | InputException astray) {
                samples.subList(before, samples.size()).clear();
                next = sample;
                try {
                    y = integrated(CAREFUL);
                } catch (MathRuntimeException | InputException leftWhatWaterCanBe) {
                    throw stopped(start);
                }
            }
            return end;
        }

        /** @param share of the usual steps */
        private double[] integrated(double share) {
            double longest = longestStepH * share;
            DormandPrince54Integrator integrator =
                    new DormandPrince54Integrator(MIN_STEP_H, longest, absolute, relative);
            integrator.setMaxEvaluations(MAX_EVALUATIONS);
            // The library's own guess goes by the largest stocks, and steps over what a hungry tank does in minutes.
            integrator.setInitialStepSize(Math.min(FIRST_STEP * longest, hours(start, end)));
            integrator.addStepHandler(this);
            double[] reached = integrator
                    .integrate(this, new ODEState(0, y), hours(start, end))
                    .getPrimaryState();
            boolean water = !tank.water().carbon() || (reached[Water.AT_DIC] > 0 && reached[Water.AT_ALKALINITY] > 0);
            if (!(water && reached[Water.AT_OXYGEN] >= -1e-9)) {
                throw stopped(end);
            }
            return reached;
        }

        private InputException stopped(Instant at) {
            return new InputException(
                    "twin",
                    y[Water.AT_DIC],
                    "a tank that stays water",
                    "The simulation stopped at " + at + ": such a tank is impossible.");
        }

        @Override
        public int getDimension() {
            return tank.size();
        }

        @Override
        public double[] computeDerivatives(double t, double[] state) {
            double[] rates = new double[state.length];
            Instant at = plusHours(start, t);
            now.meet(at.isAfter(last) ? last : at, state, rates, TEMPERATURE_GRAIN);
            now.act();
            return rates;
        }

        @Override
        public void handleStep(ODEStateInterpolator interpolator) {
            double reached = interpolator.getCurrentState().getTime();
            while (!next.isAfter(end) && hours(start, next) <= reached + 1e-9) {
                double t = Math.min(hours(start, next), reached);
                samples.add(new TwinState(
                        shown,
                        TEMPERATURE_GRAIN,
                        tank,
                        next,
                        interpolator.getInterpolatedState(t).getPrimaryState()));
                next = next.plus(every);
            }
        }
    }
}
