package jollytide.core.twin;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import jollytide.core.exchange.Gas;
import jollytide.core.media.Media;
import jollytide.core.reef.OxygenLines;
import jollytide.core.seawater.CarbonateState;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Conditions.Acting;
import jollytide.core.units.InputException;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.ODEStateAndDerivative;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince54Integrator;
import org.hipparchus.ode.sampling.ODEStateInterpolator;
import org.hipparchus.ode.sampling.ODEStepHandler;
import org.jspecify.annotations.Nullable;

/** Runs a tank through time: adaptive Dormand–Prince 5(4), stopped and started at every switch. */
public final class Twin {
    private static final double MIN_STEP_H = 1e-7;
    private static final double MAX_STEP_H = 1;
    /** A run that needs more than this in one segment has gone astray. */
    private static final int MAX_EVALUATIONS = 200_000;
    /** The temperature at which a tank's respiration and photosynthesis are stated, °C. */
    public static final double REFERENCE_C = 25;
    /** Metabolism doubles with ten degrees. Common practice (Q10 of 2), no source. */
    private static final double Q10 = 2;

    private static final int DIC = 0;
    private static final int ALKALINITY = 1;
    private static final int CALCIUM = 2;
    private static final int POTASSIUM = 3;
    private static final int OXYGEN = 4;
    private static final int ROOM = 5;
    private static final int SECOND = 6;
    private static final int MEDIA_CO2 = 7;
    private static final int MEDIA_WATER = 8;
    private static final int FLOWS = 9;
    private static final double[] ABSOLUTE = {3e-8, 3e-8, 1e-7, 1e-7, 3e-8, 1e-1, 1e-1, 1e-4, 1e-5};
    private static final double[] RELATIVE = {1e-6, 1e-6, 1e-6, 1e-6, 1e-5, 1e-5, 1e-5, 1e-5, 1e-5};
    /** The constants of the water are made anew when the temperature has moved this much, °C. */
    private static final double TEMPERATURE_GRAIN = 0.05;

    /** Vapour of room or outdoor air in the heating season, g/m³: 20 °C at half saturation. From memory. */
    public static final double ROOM_VAPOUR_G_PER_M3 = 8.6;

    /** Below this use does not hang on the difference to saturation alone. From memory. */
    private static final double LEAST_OVERSATURATION = 0.3;

    private final TwinTank tank;
    private final Conditions conditions;
    private final List<Channel> channels;
    private final int size;
    private final double tolerance;
    private @Nullable Warm warm;

    public Twin(TwinTank tank, Conditions conditions) {
        this(tank, conditions, 1);
    }

    /** @param tolerance over the usual one: 0.01 for a run to judge others by */
    public Twin(TwinTank tank, Conditions conditions, double tolerance) {
        this.tank = tank;
        this.conditions = conditions;
        this.channels = tank.channels();
        this.size = FLOWS + 2 * channels.size();
        this.tolerance = tolerance;
    }

    /**
     * Where the run starts from: water in balance with air of {@code waterPpm}, saturated with oxygen, media fresh.
     *
     * @param alkalinityMeqPerL alkalinity
     */
    public TwinState start(Instant at, double alkalinityMeqPerL, double waterPpm, double roomPpm) {
        CarbonateSystem system = at(conditions.at(at).temperatureC(), 0).system();
        double alkalinity = alkalinityMeqPerL / 1000 / system.water().densityKgPerL();
        double uatm = Gases.uatmOverWater(waterPpm, tank.pressureHpa(), system.water());
        double[] y = new double[size];
        y[DIC] = system.fromAlkalinityAndCo2(alkalinity, uatm).dic();
        y[ALKALINITY] = alkalinity;
        y[CALCIUM] = system.calcium();
        y[OXYGEN] = Gases.oxygenSaturationUmolPerKg(system.water(), tank.pressureHpa()) * 1e-6;
        y[ROOM] = roomPpm;
        y[SECOND] = roomPpm;
        Media media = tank.media();
        if (media != null) {
            y[MEDIA_WATER] = media.fresh().waterKg();
        }
        return state(at, y, conditions, Double.NaN);
    }

    /** The same water on another tank of the same channels' order or not: what has flowed counts from here. */
    public TwinState carriedOver(TwinState from) {
        double[] y = vector(from);
        Arrays.fill(y, FLOWS, size, 0);
        Media media = tank.media();
        if (media != null && from.media() == null) {
            y[MEDIA_WATER] = media.fresh().waterKg();
        }
        return state(from.at(), y, conditions, from.usualOversaturation());
    }

    /**
     * The tank at every multiple of {@code every} after {@code from}, up to and including {@code until}.
     *
     * @param from a state of this tank, from {@link #start} or {@link #carriedOver}
     * @throws InputException when the run leaves what water can be, such as negative carbon
     */
    public List<TwinState> run(TwinState from, Instant until, Duration every) {
        List<TwinState> samples = new ArrayList<>();
        double[] y = vector(from);
        Instant segment = from.at();
        Conditions acting = conditions;
        while (segment.isBefore(until)) {
            acting = acting.having(state(segment, y, acting, from.usualOversaturation()));
            Instant change = acting.nextChange(segment);
            Instant end = change.isBefore(until) ? change : until;
            y = integrate(acting, segment, end, y, from, every, samples);
            segment = end;
        }
        return samples;
    }

    private double[] integrate(
            Conditions acting,
            Instant start,
            Instant end,
            double[] y,
            TwinState origin,
            Duration every,
            List<TwinState> samples) {
        DormandPrince54Integrator integrator =
                new DormandPrince54Integrator(MIN_STEP_H, MAX_STEP_H, absolute(), relative());
        integrator.setMaxEvaluations(MAX_EVALUATIONS);
        integrator.addStepHandler(new Sampler(acting, start, end, origin, every, samples));
        double[] reached;
        try {
            ODEStateAndDerivative last = integrator.integrate(
                    new Equations(acting, start, end, origin.usualOversaturation()),
                    new ODEState(0, y),
                    hours(start, end));
            reached = last.getPrimaryState();
        } catch (MathRuntimeException | InputException leftWhatWaterCanBe) {
            throw stopped(start, y[DIC]);
        }
        if (!(reached[DIC] > 0 && reached[ALKALINITY] > 0 && reached[OXYGEN] >= -1e-9)) {
            throw stopped(end, reached[DIC]);
        }
        return reached;
    }

    private static InputException stopped(Instant at, double dic) {
        return new InputException(
                "twin", dic, "a tank that stays water", "The run had to stop at " + at + ": this tank cannot be.");
    }

    private double[] absolute() {
        return spread(ABSOLUTE, 1e-5);
    }

    private double[] relative() {
        return spread(RELATIVE, 1e-4);
    }

    /** The flows are sums of what the states are made of and need no closer watch. */
    private double[] spread(double[] ofStates, double ofFlows) {
        double[] all = new double[size];
        Arrays.fill(all, ofFlows * tolerance);
        for (int i = 0; i < FLOWS; i++) {
            all[i] = ofStates[i] * tolerance;
        }
        return all;
    }

    /** What flows at a state, mol/h, channel by channel. */
    public Ledger rates(TwinState at) {
        double[] rates = new Equations(conditions.having(at), at.at(), at.at(), at.usualOversaturation())
                .computeDerivatives(0, vector(at));
        return Ledger.of(channels, rates, FLOWS);
    }

    /** The pressures that one gas meets at a state, atm: in the water, and in the air over each channel. */
    public Pressures pressures(TwinState at, Gas gas) {
        Equations equations = new Equations(conditions.having(at), at.at(), at.at(), at.usualOversaturation());
        equations.computeDerivatives(0, vector(at));
        AirAround around = Objects.requireNonNull(gas == Gas.CO2 ? equations.co2 : equations.oxygen);
        List<Double> over = new ArrayList<>();
        tank.openings().forEach(opening -> over.add(around.over(opening.over())));
        over.add(around.entering());
        return new Pressures(gas == Gas.CO2 ? equations.waterCo2 : equations.waterOxygen, over);
    }

    /**
     * Pressures of one gas, atm.
     *
     * @param air over each opening in their order, then before the skimmer
     */
    public record Pressures(double water, List<Double> air) {}

    private double[] vector(TwinState state) {
        double[] y = new double[size];
        y[DIC] = state.dicMolPerKg();
        y[ALKALINITY] = state.alkalinityMolPerKg();
        y[CALCIUM] = state.calciumMolPerKg();
        y[POTASSIUM] = state.potassiumGainMolPerKg();
        y[OXYGEN] = state.oxygenMgPerL()
                / Gases.OXYGEN_MG_PER_MOL
                / at(state.temperatureC(), 0).densityKgPerL();
        y[ROOM] = state.roomPpm();
        y[SECOND] = state.secondPpm();
        if (state.media() != null) {
            y[MEDIA_CO2] = state.media().co2Mol();
            y[MEDIA_WATER] = state.media().waterKg();
        }
        if (state.flows().entries().size() == channels.size()) {
            state.flows().write(y, FLOWS);
        }
        return y;
    }

    private TwinState state(Instant at, double[] y, Conditions conditions, double usualOversaturation) {
        Acting acting = conditions.at(at);
        CarbonateSystem system = at(acting.temperatureC(), 0).system();
        CarbonateState water = system.fromPhAndDic(system.phTotal(y[ALKALINITY], y[DIC], Double.NaN), y[DIC]);
        double oxygen = Math.max(0, y[OXYGEN])
                * Gases.OXYGEN_MG_PER_MOL
                * system.water().densityKgPerL();
        return new TwinState(
                at,
                y[DIC],
                y[ALKALINITY],
                y[CALCIUM],
                y[POTASSIUM],
                oxygen,
                acting.room().ppm(y[ROOM]),
                acting.room().second() == null ? acting.room().ppm(y[ROOM]) : y[SECOND],
                water.phNbs(),
                water.pco2Uatm(),
                omega(water, y[CALCIUM], system),
                usualOversaturation,
                acting.temperatureC(),
                tank.media() == null ? null : new Media.State(y[MEDIA_CO2], y[MEDIA_WATER]),
                Ledger.of(channels, y, FLOWS));
    }

    /** At this calcium; fresh water has none of the sea's, and nothing to be saturated with. */
    private static double omega(CarbonateState carbonate, double calcium, CarbonateSystem system) {
        return system.calcium() > 0 ? carbonate.omegaAragonite() * calcium / system.calcium() : 0;
    }

    /** What hangs on the temperature alone. */
    private record Warm(
            double celsius,
            CarbonateSystem system,
            double densityKgPerL,
            double oxygenSolubility,
            double dryAtm,
            double metabolism,
            double fishMolPerH) {}

    /** The last one is remembered: a tank's temperature stands still most of the time. */
    private Warm at(double celsius, double grain) {
        Warm last = warm;
        if (last != null && Math.abs(last.celsius() - celsius) <= grain) {
            return last;
        }
        Seawater water = new Seawater(tank.salinityPsu(), celsius);
        Life life = tank.life();
        Warm made = new Warm(
                celsius,
                CarbonateSystem.of(water),
                water.densityKgPerL(),
                Gas.OXYGEN.solubility(water),
                Gases.uatmOverWater(1e6, tank.pressureHpa(), water) * 1e-6,
                Math.pow(Q10, (celsius - REFERENCE_C) / 10),
                life.fish().oxygenMmolPerH(celsius) / 1000 * life.fishActivity());
        warm = made;
        return made;
    }

    private static double hours(Instant from, Instant to) {
        return Duration.between(from, to).toNanos() / 3.6e12;
    }

    private static Instant plusHours(Instant from, double hours) {
        return from.plusNanos(Math.round(hours * 3.6e12));
    }

    /** The rates of change, hours since the segment's start. */
    private final class Equations implements OrdinaryDifferentialEquation {
        private final Conditions conditions;
        private final Instant start;
        /** Right before the segment's end: at the end itself the next one's conditions have begun. */
        private final Instant last;

        private final double usualOversaturation;
        private Warm warmth;
        private double nearPh = Double.NaN;
        private @Nullable AirAround co2;
        private @Nullable AirAround oxygen;
        private double waterCo2;
        private double waterOxygen;

        Equations(Conditions conditions, Instant start, Instant end, double usualOversaturation) {
            this.usualOversaturation = usualOversaturation;
            this.conditions = conditions;
            this.start = start;
            this.last = end.isAfter(start) ? end.minusNanos(1000) : start;
            this.warmth = Twin.this.at(conditions.at(start).temperatureC(), TEMPERATURE_GRAIN);
        }

        @Override
        public int getDimension() {
            return size;
        }

        @Override
        public double[] computeDerivatives(double t, double[] y) {
            Instant now = plusHours(start, t);
            Acting acting = conditions.at(now.isAfter(last) ? last : now);
            if (Math.abs(acting.temperatureC() - warmth.celsius()) > TEMPERATURE_GRAIN) {
                warmth = Twin.this.at(acting.temperatureC(), TEMPERATURE_GRAIN);
            }
            CarbonateSystem system = warmth.system();
            double density = warmth.densityKgPerL();
            double kg = tank.netVolumeL() * density;
            double dic = Math.max(0, y[DIC]);
            nearPh = system.phTotal(Math.max(0, y[ALKALINITY]), dic, nearPh);
            CarbonateState carbonate = system.fromPhAndDic(nearPh, dic);
            waterCo2 = carbonate.pco2Uatm() * 1e-6;
            waterOxygen = Math.max(0, y[OXYGEN]) * density / warmth.oxygenSolubility();

            double[] rates = new double[size];
            air(acting, y, rates);
            living(acting, y, carbonate, density, rates);
            poured(acting, rates, density, kg);
            double gainedCo2 = 0;
            double gainedOxygen = 0;
            for (int i = FLOWS; i < size; i += 2) {
                gainedCo2 += rates[i];
                gainedOxygen += rates[i + 1];
            }
            rates[DIC] = gainedCo2 / kg;
            rates[OXYGEN] = gainedOxygen / kg;
            rooms(acting.room(), y, rates);
            return rates;
        }

        private int at(Channel.Kind kind) {
            return FLOWS + 2 * (tank.openings().size() + TwinTank.BEHIND_OPENINGS.indexOf(kind));
        }

        /** Openings, skimmer and the media before it. */
        private void air(Acting acting, double[] y, double[] rates) {
            double dryAtm = warmth.dryAtm();
            Seawater water = warmth.system().water();
            Conditions.Intake intake = acting.intake();
            Media media = tank.media();
            boolean through = media != null && intake.throughMedia();
            Media.State held = through ? new Media.State(y[MEDIA_CO2], y[MEDIA_WATER]) : null;
            double pass = intake.mediaPass() * (held == null || media == null ? 1 : 1 - media.efficiency(held));
            double roomPpm = acting.room().ppm(y[ROOM]) * 1e-6;
            double oxygenInAir = Gas.OXYGEN_IN_AIR * dryAtm;
            boolean choked = held != null && media != null && media.assumed().chokes() && media.drowned(held);
            double share = choked ? 0 : acting.skimmerShare();
            AirAround carbon = new AirAround(
                    tank,
                    water,
                    Gas.CO2,
                    waterCo2,
                    roomPpm * dryAtm,
                    intake.outdoorPpm() * 1e-6 * dryAtm,
                    intake,
                    pass,
                    share);
            AirAround oxygenAround =
                    new AirAround(tank, water, Gas.OXYGEN, waterOxygen, oxygenInAir, oxygenInAir, intake, 1, share);
            co2 = carbon;
            oxygen = oxygenAround;
            int i = FLOWS;
            for (Opening opening : tank.openings()) {
                rates[i] = opening.conductance().co2() * (carbon.over(opening.over()) - waterCo2);
                rates[i + 1] = opening.conductance().oxygen() * (oxygenAround.over(opening.over()) - waterOxygen);
                i += 2;
            }
            TwinTank.Stripper skimmer = tank.skimmer();
            if (skimmer == null) {
                return;
            }
            rates[i] = skimmer.full().co2() * share * (carbon.entering() - waterCo2);
            rates[i + 1] = skimmer.full().oxygen() * share * (oxygenAround.entering() - waterOxygen);
            if (held != null && media != null) {
                double litresPerH = skimmer.air() * share * Gases.R_L_ATM * water.temperatureK();
                double saturated = Media.exhaustGPerM3(water);
                double vapour = intake.freshShare() * ROOM_VAPOUR_G_PER_M3 + (1 - intake.freshShare()) * saturated;
                Media.Rates taken = media.rates(
                        held,
                        new Media.Stream(litresPerH, carbon.beforeMedia() / dryAtm * 1e6, vapour),
                        acting.temperatureC());
                rates[MEDIA_CO2] = taken.co2MolPerH();
                rates[MEDIA_WATER] = y[MEDIA_WATER] > 0 || taken.waterKgPerH() > 0 ? taken.waterKgPerH() : 0;
            }
        }

        /** Each mole of oxygen breathed gives {@code quotient} moles of CO2, and the other way round in the light. */
        private void living(Acting acting, double[] y, CarbonateState carbonate, double densityKgPerL, double[] rates) {
            Life life = tank.life();
            double metabolism = warmth.metabolism();
            double litres = tank.netVolumeL() / 1000;
            double fading = OxygenLines.demandLeft(y[OXYGEN] * Gases.OXYGEN_MG_PER_MOL * densityKgPerL);
            respired(Channel.Kind.REEF, metabolism * life.respirationMmolPerLPerH() * litres * fading, rates);
            respired(
                    Channel.Kind.LIGHT,
                    -metabolism * life.photosynthesisMmolPerLPerH() * life.lightResponse(acting.light()) * litres,
                    rates);
            respired(
                    Channel.Kind.REFUGIUM,
                    -metabolism * life.refugiumMmolPerH() / 1000 * acting.refugiumLight(),
                    rates);
            respired(Channel.Kind.FISH, warmth.fishMolPerH() * fading, rates);
            double omega = omega(carbonate, y[CALCIUM], warmth.system());
            // Neither before the ordinary day is known, nor where it hardly exceeds saturation.
            boolean follows = usualOversaturation >= LEAST_OVERSATURATION;
            double times = follows ? Math.max(0, omega - 1) / usualOversaturation : 1;
            double meqPerLPerH = life.calcificationMeqPerLPerDay() / 24 * times;
            double molPerH = meqPerLPerH / 1000 * tank.netVolumeL();
            // Two equivalents and a mole of carbon go into a mole of aragonite.
            rates[at(Channel.Kind.CALCIFICATION)] = -molPerH / 2;
            double perKg = meqPerLPerH / 1000 / warmth.densityKgPerL();
            rates[ALKALINITY] -= perKg;
            rates[CALCIUM] -= perKg / 2;
        }

        private void respired(Channel.Kind kind, double oxygenMolPerH, double[] rates) {
            rates[at(kind)] = oxygenMolPerH * tank.life().quotient();
            rates[at(kind) + 1] = -oxygenMolPerH;
        }

        private void poured(Acting acting, double[] rates, double density, double kg) {
            rates[at(Channel.Kind.DOSES)] = acting.doses().carbonMmol() / 24 / 1000 / density * kg;
            rates[at(Channel.Kind.REACTOR)] = acting.reactor().carbonMmol() / 24 / 1000 / density * kg;
            double perKgH = 24 * 1000 * density;
            rates[ALKALINITY] +=
                    (acting.doses().alkalinityMeq() + acting.reactor().alkalinityMeq()) / perKgH;
            rates[CALCIUM] += (acting.doses().calciumMmol() + acting.reactor().calciumMmol()) / perKgH;
            rates[POTASSIUM] +=
                    (acting.doses().potassiumMmol() + acting.reactor().potassiumMmol()) / perKgH;
        }

        private void rooms(Conditions.Room room, double[] y, double[] rates) {
            Conditions.Second second = room.second();
            double gap = second == null ? 0 : y[SECOND] - room.ppm(y[ROOM]);
            if (room.knownPpm() == null) {
                rates[ROOM] = room.airChangesPerH() * (room.outdoorPpm() - y[ROOM]) + room.sourcePpmPerH();
                rates[ROOM] += second == null ? 0 : second.throughDoorPerH() * gap;
            }
            if (second != null) {
                rates[SECOND] = second.airChangesPerH() * (room.outdoorPpm() - y[SECOND])
                        + second.sourcePpmPerH()
                        - second.throughDoorPerH() / second.volumeRatio() * gap;
            }
        }
    }

    /** Takes the samples that fall into each step. */
    private final class Sampler implements ODEStepHandler {
        private final Conditions conditions;
        private final Instant start;
        private final Instant end;
        private final Duration every;
        private final List<TwinState> samples;
        private final double usualOversaturation;
        private Instant next;

        Sampler(
                Conditions conditions,
                Instant start,
                Instant end,
                TwinState origin,
                Duration every,
                List<TwinState> samples) {
            this.conditions = conditions;
            this.start = start;
            this.end = end;
            this.every = every;
            this.samples = samples;
            this.usualOversaturation = origin.usualOversaturation();
            long passed = Duration.between(origin.at(), start).toNanos() / every.toNanos();
            this.next = origin.at().plus(every.multipliedBy(passed + 1));
        }

        @Override
        public void handleStep(ODEStateInterpolator interpolator) {
            double reached = interpolator.getCurrentState().getTime();
            while (!next.isAfter(end) && hours(start, next) <= reached + 1e-9) {
                double t = Math.min(hours(start, next), reached);
                samples.add(state(
                        next, interpolator.getInterpolatedState(t).getPrimaryState(), conditions, usualOversaturation));
                next = next.plus(every);
            }
        }
    }
}
