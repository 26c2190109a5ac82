package jollytide.core.measure;

import static jollytide.core.units.Quantities.within;

import java.util.ArrayList;
import java.util.List;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.dosing.Limewater;
import jollytide.core.units.AlkalinityUnit;
import org.jspecify.annotations.Nullable;

/**
 * So much of the day's alkalinity from another source than today's.
 *
 * @param litresPerDay of a solution, where it is dosed as one; null for a dry amount
 */
public record Dose(
        AlkalinitySource source,
        double meqPerLPerDay,
        @Nullable Double litresPerDay) implements Measure {
    static final MeasureKind LIMEWATER = MeasureKind.of("limewater", "Limewater instead of your alkalinity source")
            .shortly("limewater")
            .group(MeasureKind.Group.ALKALINITY_SOURCE)
            .parameters(known -> List.of(
                    Parameter.number(
                                    "mlPerDay",
                                    "a day (your tank evaporates about %.0f mL)"
                                            .formatted(known.evaporationLPerDay() * 1000),
                                    Parameter.Unit.ML_PER_DAY)
                            .range(0, 6000, 20)
                            .at(500)
                            .telling(),
                    Parameter.number("strength", "of saturation", Parameter.Unit.SHARE)
                            .range(0.1, 1, 0.1)
                            .at(1)))
            .makes((values, known) -> limewater(
                    values.number("mlPerDay"),
                    values.number("strength"),
                    known.setup().netVolumeL()));

    static final MeasureKind ANOTHER_SOURCE = MeasureKind.of("source", "Another alkalinity source")
            .shortly("instead")
            .group(MeasureKind.Group.ALKALINITY_SOURCE)
            .parameters(known -> List.of(
                    Parameter.choice("source", "dosed as")
                            .option(AlkalinitySource.SODA_ASH.name(), "soda ash")
                            .option(AlkalinitySource.BICARBONATE.name(), "bicarbonate")
                            .option(AlkalinitySource.SODIUM_HYDROXIDE.name(), "sodium hydroxide")
                            .option(AlkalinitySource.POTASSIUM_HYDROXIDE.name(), "potassium hydroxide")
                            .at(AlkalinitySource.SODIUM_HYDROXIDE.name())
                            .telling(),
                    Parameter.number(
                                    "dkhPerDay",
                                    known.useDkhPerDay() > 0
                                            ? "of %.1f dKH a day used by the animals".formatted(known.useDkhPerDay())
                                            : "a day",
                                    Parameter.Unit.DKH)
                            .range(0, Math.max(2, Math.ceil(known.useDkhPerDay())), 0.1)
                            .at(known.useDkhPerDay() > 0 ? Math.round(known.useDkhPerDay() * 10) / 10.0 : 0.5)))
            .makes((values, known) -> new Dose(
                    values.choice("source", AlkalinitySource.class),
                    known.useDkhPerDay() > 0 && values.left("dkhPerDay")
                            ? known.setup().useMeqPerLPerDay()
                            : AlkalinityUnit.DKH.toMeqPerL(values.number("dkhPerDay"))));

    private static final Caution CAUSTIC =
            Caution.people("Wear goggles, gloves and a dust mask: this is caustic. Add powder to water, never water to "
                    + "powder. Never mix with acids. Label it and lock it away from children and pets, never "
                    + "in a food or medicine bottle. If it reaches an eye, rinse long with water and "
                    + "get medical help.");

    private static final Caution OVERDOSE = new Caution(
            Caution.Concern.WATER,
            "Dose slowly into strong flow, with hourly and daily limits and a cut-out above pH 8.5. End the "
                    + "tube above the water so it can’t siphon. Keep no more in the container than the tank "
                    + "survives at once. Never let an unchecked probe control a dose.");

    public Dose {
        within("meqPerLPerDay", meqPerLPerDay, 0, 50, "meq/(L·day)");
    }

    /** A dry amount. */
    public Dose(AlkalinitySource source, double meqPerLPerDay) {
        this(source, meqPerLPerDay, null);
    }

    /** @param strength share of saturation */
    public static Dose limewater(double mlPerDay, double strength, double litres) {
        double meq = new Limewater(strength).meqPerLPerDay(mlPerDay, litres);
        return new Dose(AlkalinitySource.LIMEWATER, meq, mlPerDay / 1000);
    }

    /** The same solution, more or less of it. */
    public Dose withMeqPerLPerDay(double meq) {
        Double litres = litresPerDay;
        return new Dose(
                source,
                meq,
                litres == null || meqPerLPerDay == 0 ? litres : Double.valueOf(litres * meq / meqPerLPerDay));
    }

    /** The registry's kind, and the setting that says how much. */
    public String kind() {
        return litresPerDay == null ? ANOTHER_SOURCE.id() : LIMEWATER.id();
    }

    public String setting() {
        return litresPerDay == null ? "dkhPerDay" : "mlPerDay";
    }

    /** How much, in the unit of that setting. */
    public double set() {
        return litresPerDay == null ? AlkalinityUnit.DKH.fromMeqPerL(meqPerLPerDay) : litresPerDay * 1000;
    }

    @Override
    public Way way() {
        return Way.OFFSETS;
    }

    @Override
    public void on(Rig rig) {
        rig.instead = this;
    }

    @Override
    public Cost cost(CostBasis basis) {
        double gramsPerMonth = meqPerLPerDay
                / 1000
                * basis.setup().netVolumeL()
                * source.gramsPerEquivalent()
                * CostBasis.DAYS_PER_MONTH;
        return new Cost(0, gramsPerMonth / 1000 * pricePerKg(), Cost.Effort.AN_EVENING);
    }

    /** Pure, per kilogram, in the amounts that a keeper buys. From memory. */
    private double pricePerKg() {
        return switch (source) {
            case SODA_ASH, LIMEWATER -> 6;
            case BICARBONATE -> 4;
            case SODIUM_HYDROXIDE -> 9;
            case POTASSIUM_HYDROXIDE -> 14;
        };
    }

    @Override
    public List<Caution> cautions() {
        List<Caution> all = new ArrayList<>();
        if (source.caustic()) {
            all.add(CAUSTIC);
        }
        if (source == AlkalinitySource.POTASSIUM_HYDROXIDE) {
            all.add(Caution.people(
                    "Test potassium: it builds up by 14 mg/L for each dKH and becomes dangerous in a month or two."));
        }
        if (meqPerLPerDay > 0) {
            all.add(OVERDOSE);
        }
        return all;
    }
}
