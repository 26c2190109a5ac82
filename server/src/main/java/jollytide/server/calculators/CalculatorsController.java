package jollytide.server.calculators;

import static jollytide.core.units.Quantities.within;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Locale;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.effects.Comparison;
import jollytide.core.effects.DaysReadOff;
import jollytide.core.probe.ColourKit;
import jollytide.core.seawater.CarbonateState;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.PhScale;
import jollytide.core.seawater.Seawater;
import jollytide.core.seawater.Sensitivities;
import jollytide.core.units.Quantities;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The sums of seawater. They keep no state and need no account. */
@RestController
@RequestMapping("/api/v1/calculators")
class CalculatorsController {
    /**
     * A pH and an alkalinity.
     *
     * @param temperatureC 0 to 40 °C
     * @param salinity practical salinity, 0 to 45
     * @param calciumMgPerL 0 to 1500; in the proportion of sea salt when null
     */
    record WaterRequest(
            @NotNull Double ph,
            @NotNull PhScale phScale,
            @Valid @NotNull AlkalinityAmount alkalinity,
            @NotNull Double temperatureC,
            @NotNull Double salinity,
            @Nullable Double calciumMgPerL) {}

    record WaterAnswer(
            double phNbs,
            double phTotal,
            double co2Uatm,
            double co2UmolPerKg,
            double bicarbonateUmolPerKg,
            double carbonateUmolPerKg,
            double dicUmolPerKg,
            double alkalinityUmolPerKg,
            double omegaAragonite,
            Sensitivities sensitivities,
            boolean extrapolated) {}

    /**
     * Water under a given air.
     *
     * @param airCo2Ppm dry ppm, 1 to 100 000
     * @param pressureHpa 500 to 1100; sea level when null
     */
    record EquilibriumRequest(
            @NotNull Double airCo2Ppm,
            @Nullable Double pressureHpa,
            @Valid @NotNull AlkalinityAmount alkalinity,
            @NotNull Double temperatureC,
            @NotNull Double salinity) {}

    record EquilibriumAnswer(double phNbs, double phTotal, double co2Uatm, boolean extrapolated) {}

    /**
     * Water under air with the usual share of oxygen.
     *
     * @param pressureHpa 500 to 1100; sea level when null
     */
    record OxygenRequest(
            @NotNull Double temperatureC,
            @NotNull Double salinity,
            @Nullable Double pressureHpa) {}

    record OxygenAnswer(double saturationMgPerL, double saturationUmolPerKg) {}

    /** Two reads of a colour kit, NBS scale. */
    record ColourKitRequest(
            @NotNull Double firstPh, @NotNull Double secondPh) {}

    record ColourKitAnswer(double phNbs) {}

    /**
     * Lowest or highest pH of some days before a change and after it, all by one probe on one scale.
     *
     * @param before one number for each day, in the days' order, as people write them; {@code after} likewise
     */
    record ReadOffRequest(
            @NotNull @Size(max = 500) String before,
            @NotNull @Size(max = 500) String after) {}

    /** @param thin fewer than three days on a side */
    record ReadOffAnswer(int daysBefore, int daysAfter, boolean thin, Comparison compared) {}

    @PostMapping("/read-off")
    ReadOffAnswer readOff(@Valid @RequestBody ReadOffRequest body) {
        DaysReadOff before = DaysReadOff.of("before", body.before());
        DaysReadOff after = DaysReadOff.of("after", body.after());
        return new ReadOffAnswer(
                before.ph().size(),
                after.ph().size(),
                before.thin() || after.thin(),
                Comparison.raw(before.ph(), after.ph(), 0));
    }

    @PostMapping("/colour-kit")
    ColourKitAnswer colourKit(@Valid @RequestBody ColourKitRequest body) {
        return new ColourKitAnswer(ColourKit.together(body.firstPh(), body.secondPh()));
    }

    @PostMapping("/water")
    WaterAnswer water(@Valid @RequestBody WaterRequest body) {
        Seawater water = new Seawater(body.salinity(), body.temperatureC());
        double ph = within("ph", body.ph(), 5, 11, body.phScale().name());
        Double calcium = body.calciumMgPerL() == null
                ? null
                : within("calciumMgPerL", body.calciumMgPerL(), 0, 1500, "mg/L")
                        / AlkalinitySource.CALCIUM_MG_PER_MOL
                        / water.densityKgPerL();
        CarbonateSystem system = CarbonateSystem.of(water, calcium);
        double alkalinity = body.alkalinity().molPerKg(water);
        double phTotal = system.constants().toTotal(ph, body.phScale());
        refuseWithoutSolution(body, water, system, alkalinity, phTotal);
        CarbonateState state = system.fromPhAndAlkalinity(phTotal, alkalinity);
        return new WaterAnswer(
                state.phNbs(),
                state.phTotal(),
                state.pco2Uatm(),
                state.co2() * 1e6,
                state.bicarbonate() * 1e6,
                state.carbonate() * 1e6,
                state.dic() * 1e6,
                state.alkalinity() * 1e6,
                state.omegaAragonite(),
                Sensitivities.of(system, state),
                water.extrapolated());
    }

    @PostMapping("/equilibrium")
    EquilibriumAnswer equilibrium(@Valid @RequestBody EquilibriumRequest body) {
        Seawater water = new Seawater(body.salinity(), body.temperatureC());
        double ppm = within("airCo2Ppm", body.airCo2Ppm(), 1, 100_000, "ppm");
        double uatm = Gases.uatmOverWater(ppm, pressure(body.pressureHpa()), water);
        CarbonateState state =
                CarbonateSystem.of(water).fromAlkalinityAndCo2(body.alkalinity().molPerKg(water), uatm);
        return new EquilibriumAnswer(state.phNbs(), state.phTotal(), uatm, water.extrapolated());
    }

    @PostMapping("/oxygen")
    OxygenAnswer oxygen(@Valid @RequestBody OxygenRequest body) {
        Seawater water = new Seawater(body.salinity(), body.temperatureC());
        double pressure = pressure(body.pressureHpa());
        return new OxygenAnswer(
                Gases.oxygenSaturationMgPerL(water, pressure), Gases.oxygenSaturationUmolPerKg(water, pressure));
    }

    private static double pressure(@Nullable Double hPa) {
        return hPa == null ? Gases.STANDARD_HPA : hPa;
    }

    /** Sensitivities step the alkalinity and the pH a little, so the margin is a little more than none. */
    private static void refuseWithoutSolution(
            WaterRequest body, Seawater water, CarbonateSystem system, double alkalinity, double phTotal) {
        double least = system.smallestAlkalinity(phTotal);
        double margin = Math.max(1e-6, 0.01 * Math.abs(least));
        if (alkalinity >= least + margin) {
            return;
        }
        AlkalinityAmount given = body.alkalinity();
        String smallest = String.format(
                Locale.ROOT, "%.2f %s", Math.max(0, given.inOwnUnit(least + margin, water)), given.symbol());
        throw Problem.refused(new FieldError(
                "alkalinity.value",
                Quantities.plain(given.value()),
                "at least " + smallest + " at this pH",
                "No solution: at pH " + Quantities.plain(body.ph())
                        + " boron and hydroxide alone exceed the alkalinity entered. The smallest possible is "
                        + smallest + "."));
    }
}
