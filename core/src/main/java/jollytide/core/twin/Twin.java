package jollytide.core.twin;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Conditions.Acting;
import jollytide.core.units.InputException;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.ODEStateAndDerivative;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince54Integrator;
import org.hipparchus.ode.sampling.ODEStateInterpolator;
import org.hipparchus.ode.sampling.ODEStepHandler;

/** Runs a tank through time: adaptive Dormand–Prince 5(4), stopped and started at every switch. */
public final class Twin {
    private static final double MIN_STEP_H = 1e-6;
    private static final double MAX_STEP_H = 1;
    private static final double[] ABSOLUTE = {1e-9, 1e-9, 1e-4, 1e-2};
    private static final double[] RELATIVE = {1e-7, 1e-7, 1e-6, 1e-6};
    private static final int DIC = 0;
    private static final int ALKALINITY = 1;
    private static final int OXYGEN = 2;
    private static final int ROOM = 3;
    private static final double OXYGEN_MG_PER_MMOL = 31.9988;
    /** The constants of the water are made anew when the temperature has moved this much, °C. */
    private static final double TEMPERATURE_GRAIN = 0.05;

    private final TwinTank tank;
    private final Conditions conditions;

    public Twin(TwinTank tank, Conditions conditions) {
        this.tank = tank;
        this.conditions = conditions;
    }

    /**
     * Where the run starts from: water in balance with air of {@code waterPpm}, saturated with oxygen.
     *
     * @param alkalinityMeqPerL alkalinity
     */
    public TwinState start(Instant at, double alkalinityMeqPerL, double waterPpm, double roomPpm) {
        Acting acting = conditions.at(at);
        CarbonateSystem system = system(acting.temperatureC());
        double alkalinity = alkalinityMeqPerL / 1000 / system.water().densityKgPerL();
        double uatm = Gases.uatmOverWater(waterPpm, tank.pressureHpa(), system.water());
        double dic = system.fromAlkalinityAndCo2(alkalinity, uatm).dic();
        double oxygen = Gases.oxygenSaturationMgPerL(system.water(), tank.pressureHpa());
        return state(at, new double[] {dic, alkalinity, oxygen, roomPpm});
    }

    /**
     * The tank at every multiple of {@code every} after {@code from}, up to and including {@code until}.
     *
     * @throws InputException when the run leaves what water can be, such as negative carbon
     */
    public List<TwinState> run(TwinState from, Instant until, Duration every) {
        List<TwinState> samples = new ArrayList<>();
        double[] y = {from.dicMolPerKg(), from.alkalinityMolPerKg(), from.oxygenMgPerL(), from.roomPpm()};
        Instant segment = from.at();
        while (segment.isBefore(until)) {
            Instant change = conditions.nextChange(segment);
            Instant end = change.isBefore(until) ? change : until;
            y = integrate(segment, end, y, from.at(), every, samples);
            segment = end;
        }
        return samples;
    }

    private double[] integrate(
            Instant start, Instant end, double[] y, Instant origin, Duration every, List<TwinState> samples) {
        DormandPrince54Integrator integrator =
                new DormandPrince54Integrator(MIN_STEP_H, MAX_STEP_H, ABSOLUTE, RELATIVE);
        integrator.addStepHandler(new Sampler(start, end, origin, every, samples));
        ODEStateAndDerivative last = integrator.integrate(new Equations(start), new ODEState(0, y), hours(start, end));
        double[] reached = last.getPrimaryState();
        if (!(reached[DIC] > 0 && reached[ALKALINITY] > 0 && reached[OXYGEN] >= 0)) {
            throw new InputException(
                    "twin", reached[DIC], "a tank that stays water", "The run had to stop at " + end + ".");
        }
        return reached;
    }

    private TwinState state(Instant at, double[] y) {
        double temperature = conditions.at(at).temperatureC();
        CarbonateSystem system = system(temperature);
        double ph = system.constants().toNbs(system.phTotal(y[ALKALINITY], y[DIC], Double.NaN));
        return new TwinState(at, y[DIC], y[ALKALINITY], y[OXYGEN], y[ROOM], ph, temperature);
    }

    private CarbonateSystem system(double temperatureC) {
        return CarbonateSystem.of(new Seawater(tank.salinityPsu(), temperatureC));
    }

    private static double hours(Instant from, Instant to) {
        return Duration.between(from, to).toNanos() / 3.6e12;
    }

    private static Instant plusHours(Instant from, double hours) {
        return from.plusNanos(Math.round(hours * 3.6e12));
    }

    /** The rates of change, hours since the segment's start. */
    private final class Equations implements OrdinaryDifferentialEquation {
        private final Instant start;
        private CarbonateSystem system;
        private double nearPh = Double.NaN;

        Equations(Instant start) {
            this.start = start;
            this.system = system(conditions.at(start).temperatureC());
        }

        @Override
        public int getDimension() {
            return ABSOLUTE.length;
        }

        @Override
        public double[] computeDerivatives(double t, double[] y) {
            Acting acting = conditions.at(plusHours(start, t));
            if (Math.abs(acting.temperatureC() - system.water().temperatureC()) > TEMPERATURE_GRAIN) {
                system = system(acting.temperatureC());
            }
            Seawater water = system.water();
            double kg = tank.netVolumeL() * water.densityKgPerL();
            nearPh = system.phTotal(Math.max(0, y[ALKALINITY]), Math.max(0, y[DIC]), nearPh);
            double uatm = system.fromPhAndDic(nearPh, Math.max(0, y[DIC])).pco2Uatm();

            double roomUatm = Gases.uatmOverWater(y[ROOM], tank.pressureHpa(), water);
            double lineUatm = Gases.uatmOverWater(acting.intakeOutdoorPpm(), tank.pressureHpa(), water);
            double intakeUatm = acting.intakeOutdoorShare() * lineUatm + (1 - acting.intakeOutdoorShare()) * roomUatm;
            double exchange = tank.surfaceConductance() * (roomUatm - uatm)
                    + acting.skimmerShare() * tank.skimmerConductance() * (intakeUatm - uatm);
            double metabolismMmolPerL =
                    tank.respirationMmolPerLPerH() - acting.light() * tank.photosynthesisMmolPerLPerH();
            double alkalinityMolPerKgH = acting.alkalinityMeqPerLPerDay() / 24 / 1000 / water.densityKgPerL();

            double[] rates = new double[ABSOLUTE.length];
            // Calcification and carbonate doses move half a mole of carbon for each equivalent.
            rates[DIC] =
                    exchange * 1e-6 / kg + metabolismMmolPerL / 1000 / water.densityKgPerL() + alkalinityMolPerKgH / 2;
            rates[ALKALINITY] = alkalinityMolPerKgH;
            double saturation = Gases.oxygenSaturationMgPerL(water, tank.pressureHpa());
            rates[OXYGEN] = tank.oxygenExchangeLPerH() / tank.netVolumeL() * (saturation - y[OXYGEN])
                    - metabolismMmolPerL * OXYGEN_MG_PER_MMOL;
            // The tank's own breath is too small to move the room.
            rates[ROOM] = acting.airChangesPerH() * (acting.outdoorPpm() - y[ROOM])
                    + acting.roomGenerationLPerS() * 3.6 / tank.roomVolumeM3() * 1e6;
            return rates;
        }
    }

    /** Takes the samples that fall into each step. */
    private final class Sampler implements ODEStepHandler {
        private final Instant start;
        private final Instant end;
        private final Duration every;
        private final List<TwinState> samples;
        private Instant next;

        Sampler(Instant start, Instant end, Instant origin, Duration every, List<TwinState> samples) {
            this.start = start;
            this.end = end;
            this.every = every;
            this.samples = samples;
            long passed = Duration.between(origin, start).dividedBy(every);
            this.next = origin.plus(every.multipliedBy(passed + 1));
        }

        @Override
        public void handleStep(ODEStateInterpolator interpolator) {
            double reached = interpolator.getCurrentState().getTime();
            while (!next.isAfter(end) && hours(start, next) <= reached + 1e-9) {
                double t = Math.min(hours(start, next), reached);
                samples.add(state(next, interpolator.getInterpolatedState(t).getPrimaryState()));
                next = next.plus(every);
            }
        }
    }
}
