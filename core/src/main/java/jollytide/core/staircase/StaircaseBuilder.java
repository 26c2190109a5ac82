package jollytide.core.staircase;

import static jollytide.core.staircase.InputName.ALKALINITY;
import static jollytide.core.staircase.InputName.OUTDOOR_CO2;
import static jollytide.core.staircase.InputName.PH;
import static jollytide.core.staircase.InputName.ROOM_CO2;
import static jollytide.core.staircase.InputName.SALINITY;
import static jollytide.core.staircase.InputName.TEMPERATURE;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import jollytide.core.air.IntakeAir;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.evidence.Estimate;
import jollytide.core.evidence.Estimate.Spread;
import jollytide.core.evidence.Observation;
import jollytide.core.evidence.RememberedMean;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.PhScale;
import jollytide.core.seawater.Seawater;
import jollytide.core.staircase.Staircase.Doubt;
import jollytide.core.staircase.Staircase.Level;
import jollytide.core.staircase.Staircase.Riser;
import jollytide.core.staircase.Staircase.Working;
import jollytide.core.units.AlkalinityUnit;
import org.jspecify.annotations.Nullable;

/** Builds a {@link Staircase} from what was measured. Not reusable: one builder, one staircase. */
public final class StaircaseBuilder {
    private final StaircaseInputs in;
    private final Assumptions assumed;
    private final Map<InputName, InputUse> uses = new EnumMap<>(InputName.class);
    private final List<InputName> missing = new ArrayList<>();
    private final List<Working> working = new ArrayList<>();
    private final Map<InputName, Spread<Measured>> spreads = new EnumMap<>(InputName.class);
    private Measured measured = Measured.NOTHING;

    private StaircaseBuilder(StaircaseInputs in) {
        this.in = in;
        this.assumed = in.assumptions();
    }

    public static Staircase build(StaircaseInputs inputs) {
        return new StaircaseBuilder(inputs).build();
    }

    private Staircase build() {
        gather();
        CarbonateSystem system = systemAt(measured);
        boolean chemistry = uses.containsKey(PH) && uses.containsKey(ALKALINITY);
        boolean solvable = chemistry && waterUatm(measured) > 0 && waterUatm(measured) < MOST_UATM;
        boolean roomKnown = uses.containsKey(ROOM_CO2);

        Level outdoor = level(estimate(Measured::outdoorPpm));
        Level room = roomKnown ? level(estimate(Measured::roomPpm)) : null;
        Level water = solvable ? level(estimate(this::waterPpm)) : null;
        Estimate uatm = solvable ? estimate(this::waterUatm) : null;
        Riser ventilation = roomKnown ? riser(StaircaseBuilder::ventilation, solvable) : null;
        Riser tank = roomKnown && solvable ? riser(this::tank, true) : null;
        Estimate difference = tank == null ? null : estimate(this::tankMoreThanVentilation);
        Double phAtNormal = solvable ? phAtNormalAlkalinity() : null;
        List<Doubt> doubts = tank == null ? List.of() : doubts();

        if (chemistry) {
            explainWater(system, solvable);
        }
        explainRisers(room, water);
        Estimate outdoorShare = roomKnown && in.intakePpm() != null ? outdoorShare(in.intakePpm()) : null;
        Findings findings = new Findings(
                in,
                outdoorShare,
                chemistry,
                outdoor,
                room,
                water,
                ventilation,
                tank,
                difference,
                phAtNormal,
                doubts,
                uses);
        return new Staircase(
                in.at(),
                in.dark(),
                outdoor,
                in.intakePpm() == null ? null : level(intake(in.intakePpm())),
                room,
                water,
                uatm,
                ventilation,
                tank,
                difference,
                in.settlingHours(),
                in.roomExpectedPpm(),
                solvable ? omegaAragonite() : null,
                phAtNormal,
                List.copyOf(uses.values()),
                List.copyOf(missing),
                doubts,
                VerdictRules.judge(findings),
                List.copyOf(working),
                system.water().extrapolated());
    }

    private void gather() {
        use(PH, in.phNbs(), o -> assumed.phError(o.method()));
        use(
                ALKALINITY,
                in.alkalinityMeqPerL(),
                o -> AlkalinityUnit.DKH.toMeqPerL(
                        assumed.alkalinityErrorDkh(o.method(), Math.max(0, ageHours(o.at()) / 24))));
        useOrAssume(
                TEMPERATURE,
                in.temperatureC(),
                Assumptions.TEMPERATURE_ERROR_MEASURED_C,
                assumed.temperatureC(),
                Assumptions.TEMPERATURE_ERROR_ASSUMED_C);
        useOrAssume(
                SALINITY,
                in.salinityPsu(),
                Assumptions.SALINITY_ERROR_MEASURED,
                assumed.salinityPsu(),
                Assumptions.SALINITY_ERROR_ASSUMED);
        RememberedMean room = in.roomPpm();
        if (room == null) {
            missing.add(ROOM_CO2);
        } else {
            Observation newest = room.newest();
            put(new InputUse(
                    ROOM_CO2,
                    room.value(),
                    assumed.roomErrorPpm(newest.method(), ageHours(newest.at())),
                    newest.at(),
                    newest.method(),
                    ageHours(newest.at()),
                    room.readings()));
        }
        double meterError = in.outdoorPpm() == null
                ? 0
                : assumed.outdoorErrorPpm(
                        in.outdoorPpm().method(), ageHours(in.outdoorPpm().at()));
        useOrAssume(OUTDOOR_CO2, in.outdoorPpm(), meterError, assumed.outdoorPpm(), assumed.outdoorErrorPpm());
        for (InputUse use : uses.values()) {
            spreads.put(
                    use.name(),
                    new Spread<>(
                            measured.with(use.name(), use.value() + use.error()),
                            measured.with(use.name(), use.value() - use.error())));
        }
    }

    private void use(InputName name, @Nullable Observation observation, ToDoubleFunction<Observation> error) {
        if (observation == null) {
            missing.add(name);
        } else {
            put(inputUse(name, observation, error.applyAsDouble(observation)));
        }
    }

    private void useOrAssume(
            InputName name, @Nullable Observation observation, double error, double instead, double insteadError) {
        put(
                observation == null
                        ? new InputUse(name, instead, insteadError, null, null, null, 0)
                        : inputUse(name, observation, error));
    }

    private InputUse inputUse(InputName name, Observation o, double error) {
        return new InputUse(name, o.value(), error, o.at(), o.method(), ageHours(o.at()), 1);
    }

    private void put(InputUse use) {
        uses.put(use.name(), use);
        measured = measured.with(use.name(), use.value());
    }

    private double ageHours(Instant measured) {
        return Duration.between(measured, in.at()).toMillis() / 3.6e6;
    }

    /** Errors may carry a value past the ends of the physical range; the ends are then as far as it goes. */
    private static CarbonateSystem systemAt(Measured v) {
        double s = Math.min(Seawater.MAX_SALINITY, Math.max(0, v.salinityPsu()));
        double t = Math.min(Seawater.MAX_TEMPERATURE_C, Math.max(0, v.temperatureC()));
        return CarbonateSystem.of(new Seawater(s, t));
    }

    private static double alkalinityMolPerKg(CarbonateSystem system, double meqPerL) {
        double molPerKg = Math.max(0, meqPerL) / 1000 / system.water().densityKgPerL();
        return Math.min(CarbonateSystem.MAX_ALKALINITY, molPerKg);
    }

    /** Partial pressure in the water, or 0 where pH and alkalinity have no solution together. */
    /** More CO2 than this no water holds that anything lives in: the probe is wrong, or the test. From memory. */
    private static final double MOST_UATM = 50_000;

    private double waterUatm(Measured v) {
        CarbonateSystem system = systemAt(v);
        double ph = system.constants().toTotal(v.phNbs(), PhScale.NBS);
        double alkalinity = alkalinityMolPerKg(system, v.alkalinityMeqPerL());
        return alkalinity <= system.smallestAlkalinity(ph)
                ? 0
                : system.fromPhAndAlkalinity(ph, alkalinity).pco2Uatm();
    }

    private double waterPpm(Measured v) {
        return Gases.dryPpmInBalance(waterUatm(v), in.pressureHpa(), systemAt(v).water());
    }

    private static double ventilation(Measured v) {
        return v.roomPpm() - v.outdoorPpm();
    }

    private double tank(Measured v) {
        return waterPpm(v) - v.roomPpm();
    }

    private double tankMoreThanVentilation(Measured v) {
        return tank(v) - ventilation(v);
    }

    private Estimate intake(Observation intake) {
        double error = assumed.co2ErrorPpm(intake.method());
        return new Estimate(intake.value(), intake.value() - error, intake.value() + error);
    }

    /** How much of what is breathed at the intake comes from outdoors. Null when room and outdoors are too alike to tell. */
    private @Nullable Estimate outdoorShare(Observation intake) {
        double error = assumed.co2ErrorPpm(intake.method());
        OptionalDouble share = outdoorShareAt(intake.value());
        return share.isEmpty()
                ? null
                : new Estimate(
                        share.getAsDouble(),
                        outdoorShareAt(intake.value() + error).getAsDouble(),
                        outdoorShareAt(intake.value() - error).getAsDouble());
    }

    private OptionalDouble outdoorShareAt(double intakePpm) {
        return IntakeAir.outdoorShare(measured.roomPpm(), intakePpm, measured.outdoorPpm());
    }

    private Level level(Estimate ppm) {
        return new Level(ppm, balancePh(ppm.value()));
    }

    private @Nullable Double balancePh(double ppm) {
        if (!uses.containsKey(ALKALINITY) || ppm <= 0) {
            return null;
        }
        CarbonateSystem system = systemAt(measured);
        double uatm = Gases.uatmOverWater(ppm, in.pressureHpa(), system.water());
        return system.fromAlkalinityAndCo2(alkalinityMolPerKg(system, measured.alkalinityMeqPerL()), uatm)
                .phNbs();
    }

    private Riser riser(ToDoubleFunction<Measured> height, boolean waterKnown) {
        Estimate ppm = estimate(height);
        Double without = waterKnown ? balancePh(waterPpm(measured) - ppm.value()) : null;
        return new Riser(ppm, without, without == null ? null : without - measured.phNbs());
    }

    private @Nullable Double phAtNormalAlkalinity() {
        double normal = AlkalinityUnit.DKH.toMeqPerL(assumed.normalAlkalinityDkh());
        if (measured.alkalinityMeqPerL() >= normal) {
            return null;
        }
        CarbonateSystem system = systemAt(measured);
        return system.fromAlkalinityAndCo2(alkalinityMolPerKg(system, normal), waterUatm(measured))
                .phNbs();
    }

    private double omegaAragonite() {
        Seawater water = systemAt(measured).water();
        Observation calcium = in.calciumMgPerL();
        CarbonateSystem system = CarbonateSystem.of(
                water,
                calcium == null ? null : calcium.value() / AlkalinitySource.CALCIUM_MG_PER_MOL / water.densityKgPerL());
        double ph = system.constants().toTotal(measured.phNbs(), PhScale.NBS);
        return system.fromPhAndAlkalinity(ph, alkalinityMolPerKg(system, measured.alkalinityMeqPerL()))
                .omegaAragonite();
    }

    private List<Doubt> doubts() {
        return uses.values().stream()
                .map(use -> new Doubt(use.name(), use.error(), doubtFrom(use.name())))
                .sorted(Comparator.comparingDouble(Doubt::ppm).reversed())
                .toList();
    }

    private double doubtFrom(InputName input) {
        return Objects.requireNonNull(spreads.get(input)).doubt(this::tankMoreThanVentilation);
    }

    private Estimate estimate(ToDoubleFunction<Measured> f) {
        return Estimate.of(measured, spreads.values(), f);
    }

    private void explainWater(CarbonateSystem system, boolean solvable) {
        double nbs = measured.phNbs();
        double total = system.constants().toTotal(nbs, PhScale.NBS);
        double meq = measured.alkalinityMeqPerL();
        double alkalinity = alkalinityMolPerKg(system, meq);
        explain(
                "pH on the scale of the constants",
                "pH total = pH NBS − offset(S, T)",
                text("%.2f − %.3f = %.3f", nbs, system.constants().nbsMinusTotal(), total),
                "Takahashi et al. 1982 (activity of hydrogen ion), Dickson 1990, Perez & Fraga 1987");
        explain(
                "Alkalinity by weight",
                "meq/L ÷ density",
                text(
                        "%.3f ÷ %.4f kg/L = %.0f µmol/kg (%.2f dKH)",
                        meq, system.water().densityKgPerL(), alkalinity * 1e6, AlkalinityUnit.DKH.fromMeqPerL(meq)),
                "Millero & Poisson 1981; 1 dKH is 10 mg/L CaO");
        double uatm = waterUatm(measured);
        if (uatm <= 0) {
            explain(
                    "CO2 in the water",
                    "alkalinity − boron − hydroxide must be above 0",
                    text(
                            "boron and hydroxide alone make %.2f dKH at this pH",
                            AlkalinityUnit.DKH.fromMeqPerL(system.smallestAlkalinity(total)
                                    * 1000
                                    * system.water().densityKgPerL())),
                    "Dickson 1990; Uppström 1974; Millero 1995");
            return;
        }
        explain(
                "CO2 in the water",
                "pCO2 = DIC·[H]² ÷ ([H]² + K1[H] + K1K2) ÷ K0",
                text(
                        "S %.1f, %.1f °C: K0 %.5f, pK1 %.4f, pK2 %.4f → %.0f µatm",
                        system.water().salinity(),
                        system.water().temperatureC(),
                        system.constants().k0(),
                        -Math.log10(system.constants().k1()),
                        -Math.log10(system.constants().k2()),
                        uatm),
                "Weiss 1974; Lueker, Dickson & Keeling 2000 (below S 23: Waters, Millero & Woosley 2014)");
        if (!solvable) {
            return;
        }
        explain(
                "Air in equilibrium with the water",
                "ppm = pCO2 ÷ (P − water vapour)",
                text(
                        "%.0f µatm ÷ (%.4f − %.4f) = %.0f ppm dry",
                        uatm,
                        in.pressureHpa() / Gases.STANDARD_HPA,
                        Gases.waterVapourAtm(system.water()),
                        waterPpm(measured)),
                "Weiss & Price 1980");
    }

    private void explainRisers(@Nullable Level room, @Nullable Level water) {
        RememberedMean remembered = in.roomPpm();
        if (room == null || remembered == null) {
            return;
        }
        double outdoor = measured.outdoorPpm();
        explain(
                "Room air, averaged as the water follows it",
                "mean of the readings weighted by exp(−age ÷ settling time)",
                text(
                        "%d reading%s, settling time %.0f h → %.0f ppm",
                        remembered.readings(),
                        remembered.readings() == 1 ? "" : "s",
                        in.settlingHours().value(),
                        room.ppm().value()),
                "Solution of τ dx/dt = air − x");
        explain(
                "Ventilation",
                "room − outdoors",
                text(
                        "%.0f − %.0f = %.0f ppm",
                        room.ppm().value(), outdoor, room.ppm().value() - outdoor),
                "Steady state of a mixed room, ASTM D6245");
        if (water != null) {
            explain(
                    "Tank",
                    "water − room",
                    text(
                            "%.0f − %.0f = %.0f ppm",
                            water.ppm().value(),
                            room.ppm().value(),
                            water.ppm().value() - room.ppm().value()),
                    "Flux through the surface is proportional to the difference");
        }
    }

    private void explain(String what, String formula, String numbers, String source) {
        working.add(new Working(what, formula, numbers, source));
    }

    private static String text(String format, Object... args) {
        return String.format(Locale.ROOT, format, args);
    }
}
