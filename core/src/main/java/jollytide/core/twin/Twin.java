package jollytide.core.twin;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import jollytide.core.exchange.Conductance;
import jollytide.core.exchange.Gas;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Conditions.Acting;
import jollytide.core.twin.Conditions.Intake;
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
    /** The temperature at which a tank's respiration and photosynthesis are stated, °C. */
    public static final double REFERENCE_C = 25;
    /** Metabolism doubles with ten degrees. Common practice (Q10 of 2), no source. */
    private static final double Q10 = 2;

    /** mol/kg, mol/kg, mol/kg, ppm, then the flows in mol: they are sums of what the first ones are made of. */
    private static final double[] ABSOLUTE = {1e-9, 1e-9, 1e-9, 1e-2, 1e-6, 1e-6, 1e-6, 1e-6, 1e-6, 1e-6, 1e-6};

    private static final double[] RELATIVE = {1e-7, 1e-7, 1e-6, 1e-6, 1e-4, 1e-4, 1e-4, 1e-4, 1e-4, 1e-4, 1e-4};
    private static final int DIC = 0;
    private static final int ALKALINITY = 1;
    private static final int OXYGEN = 2;
    private static final int ROOM = 3;
    private static final int FLOWS = 4;
    private static final double OXYGEN_MG_PER_MOL = 31_998.8;
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
        double oxygen = Gases.oxygenSaturationUmolPerKg(system.water(), tank.pressureHpa()) * 1e-6;
        double[] y = new double[FLOWS + Flows.COUNT];
        y[DIC] = dic;
        y[ALKALINITY] = alkalinity;
        y[OXYGEN] = oxygen;
        y[ROOM] = roomPpm;
        return state(at, y);
    }

    /**
     * The tank at every multiple of {@code every} after {@code from}, up to and including {@code until}.
     *
     * @throws InputException when the run leaves what water can be, such as negative carbon
     */
    public List<TwinState> run(TwinState from, Instant until, Duration every) {
        List<TwinState> samples = new ArrayList<>();
        double[] y = vector(from);
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

    /** What flows at a state, mol/h, path by path. */
    public Flows rates(TwinState at) {
        double[] rates = new Equations(at.at()).computeDerivatives(0, vector(at));
        return Flows.of(rates, FLOWS);
    }

    private double[] vector(TwinState state) {
        double[] y = new double[FLOWS + Flows.COUNT];
        y[DIC] = state.dicMolPerKg();
        y[ALKALINITY] = state.alkalinityMolPerKg();
        y[OXYGEN] = state.oxygenMgPerL() / OXYGEN_MG_PER_MOL / densityKgPerL(state.temperatureC());
        y[ROOM] = state.roomPpm();
        state.flows().write(y, FLOWS);
        return y;
    }

    private double densityKgPerL(double temperatureC) {
        return new Seawater(tank.salinityPsu(), temperatureC).densityKgPerL();
    }

    private TwinState state(Instant at, double[] y) {
        Acting acting = conditions.at(at);
        double temperature = acting.temperatureC();
        CarbonateSystem system = system(temperature);
        double ph = system.constants().toNbs(system.phTotal(y[ALKALINITY], y[DIC], Double.NaN));
        double oxygen = y[OXYGEN] * OXYGEN_MG_PER_MOL * system.water().densityKgPerL();
        return new TwinState(
                at, y[DIC], y[ALKALINITY], oxygen, acting.roomPpm(y[ROOM]), ph, temperature, Flows.of(y, FLOWS));
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
        private double oxygenSolubility;
        private double nearPh = Double.NaN;

        Equations(Instant start) {
            this.start = start;
            this.system = system(conditions.at(start).temperatureC());
            this.oxygenSolubility = Gas.OXYGEN.solubility(system.water());
        }

        @Override
        public int getDimension() {
            return FLOWS + Flows.COUNT;
        }

        /** How far the skimmer brings its air towards the water: less air carries more of what it can. */
        private double effectiveness(Gas gas) {
            return tank.skimmerAir() == 0 ? 0 : tank.skimmer().of(gas) / tank.skimmerAir();
        }

        @Override
        public double[] computeDerivatives(double t, double[] y) {
            Acting acting = conditions.at(plusHours(start, t));
            if (Math.abs(acting.temperatureC() - system.water().temperatureC()) > TEMPERATURE_GRAIN) {
                system = system(acting.temperatureC());
                oxygenSolubility = Gas.OXYGEN.solubility(system.water());
            }
            Seawater water = system.water();
            double kg = tank.netVolumeL() * water.densityKgPerL();
            nearPh = system.phTotal(Math.max(0, y[ALKALINITY]), Math.max(0, y[DIC]), nearPh);
            double uatm = system.fromPhAndDic(nearPh, Math.max(0, y[DIC])).pco2Uatm();

            double dryAtm = Gases.uatmOverWater(1e6, tank.pressureHpa(), water) * 1e-6;
            double waterCo2 = uatm * 1e-6;
            double roomCo2 = acting.roomPpm(y[ROOM]) * 1e-6 * dryAtm;
            double lineCo2 = acting.intake().outdoorPpm() * 1e-6 * dryAtm;
            double airOxygen = Gas.OXYGEN_IN_AIR * dryAtm;
            double waterOxygen = Math.max(0, y[OXYGEN]) * water.densityKgPerL() / oxygenSolubility;
            Conductance skimmer = tank.skimmer().times(acting.skimmerShare());
            Intake intake = acting.intake();
            double freshCo2 = intake.outdoorShare() * lineCo2 + (1 - intake.outdoorShare()) * roomCo2;
            double enteringCo2 = intake.enteringAtm(freshCo2, waterCo2, intake.mediaPass(), effectiveness(Gas.CO2));
            double enteringOxygen = intake.enteringAtm(airOxygen, waterOxygen, 1, effectiveness(Gas.OXYGEN));

            double warmth = Math.pow(Q10, (acting.temperatureC() - REFERENCE_C) / 10);
            double living = warmth
                    * (tank.respirationMmolPerLPerH() - acting.light() * tank.photosynthesisMmolPerLPerH())
                    * tank.netVolumeL()
                    / 1000;
            double hydroxideMolPerKgH = acting.hydroxideMeqPerLPerDay() / 24 / 1000 / water.densityKgPerL();
            double alkalinityMolPerKgH = acting.alkalinityMeqPerLPerDay() / 24 / 1000 / water.densityKgPerL();
            // Calcification and carbonate doses move half a mole of carbon for each equivalent. A mole of carbon
            // breathed takes a mole of oxygen (quotient 1).
            Flows flows = new Flows(
                    tank.openToRoom().co2() * (roomCo2 - waterCo2),
                    skimmer.co2() * (enteringCo2 - waterCo2),
                    living,
                    (alkalinityMolPerKgH - hydroxideMolPerKgH) / 2 * kg,
                    tank.openToRoom().oxygen() * (airOxygen - waterOxygen),
                    skimmer.oxygen() * (enteringOxygen - waterOxygen),
                    -living);

            double[] rates = new double[FLOWS + Flows.COUNT];
            flows.write(rates, FLOWS);
            rates[DIC] = flows.co2() / kg;
            rates[ALKALINITY] = alkalinityMolPerKgH;
            rates[OXYGEN] = flows.oxygen() / kg;
            // The tank's own breath is too small to move the room.
            rates[ROOM] = acting.knownRoomPpm() != null
                    ? 0
                    : acting.airChangesPerH() * (acting.outdoorPpm() - y[ROOM])
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
