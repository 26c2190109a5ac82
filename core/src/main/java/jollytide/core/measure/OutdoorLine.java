package jollytide.core.measure;

import static jollytide.core.units.Quantities.within;

import java.util.List;
import java.util.stream.IntStream;
import jollytide.core.air.AirLine;
import jollytide.core.description.DailyAir;
import org.jspecify.annotations.Nullable;

/**
 * A hose from outdoors to the skimmer.
 *
 * @param mouth air at its mouth; null for ordinary outdoor air
 * @param leakMm width of another inlet left open; 0 when all are plugged
 */
public record OutdoorLine(AirLine line, @Nullable DailyAir mouth, double leakMm) implements Measure {
    static final Caution BEFORE_A_WALL = Caution.people(
            "Before drilling, check for cables, pipes, gas, structure, fire stops, lead and asbestos. Ask your "
                    + "landlord and follow local codes. Keep the inlet away from flues, dryers, vehicles and "
                    + "sprays. Never take air from a cellar or attic: radon and mould. Fit an insect "
                    + "screen. Avoid low loops that hold condensate or frost. Try a loose hose "
                    + "for a day first.");

    static final MeasureKind KIND = MeasureKind.of("outdoor-line", "Outdoor air hose to the skimmer")
            .shortly("hose")
            .forGood()
            .needs(MeasureKind.Needs.SKIMMER)
            .parameters(known -> List.of(
                    Parameter.number("lengthM", "length", Parameter.Unit.METRES)
                            .range(0.5, 20, 0.5)
                            .at(6)
                            .telling(),
                    Parameter.number("boreMm", "inner diameter", Parameter.Unit.MILLIMETRES)
                            .among(4, 6, 8, 9.5, 12.7, 16, 19)
                            .at(12.7)
                            .telling(),
                    Parameter.number("leakMm", "other inlet left open (0: none)", Parameter.Unit.MILLIMETRES)
                            .range(0, 12, 1)
                            .at(0),
                    Parameter.choice("mouth", "inlet")
                            .option("CLEAN", "in clean outdoor air")
                            .option("FLUE", "near a flue, for some hours")
                            .at("CLEAN"),
                    Parameter.number("flueFrom", "flue in use from", Parameter.Unit.HOUR)
                            .range(0, 23, 1)
                            .at(3)
                            .with("mouth", "FLUE"),
                    Parameter.number("flueTo", "until", Parameter.Unit.HOUR)
                            .range(0, 24, 1)
                            .at(7)
                            .with("mouth", "FLUE"),
                    Parameter.number("fluePpm", "with", Parameter.Unit.PPM)
                            .range(420, 3000, 20)
                            .at(780)
                            .with("mouth", "FLUE")))
            .whenLess(
                    "another open inlet: CO2 at the skimmer’s intake should be near outdoors",
                    "a hose too long, too thin or kinked: compare the air draw with and without the hose",
                    "an inlet near a flue, dryer or busy street: measure CO2 there through one night")
            .makes((values, known) -> new OutdoorLine(
                    new AirLine(values.number("lengthM"), values.number("boreMm"), AirLine.ASSUMED_LOSS),
                    values.choice("mouth").equals("FLUE")
                            ? flue(values, known.setup().outdoorPpm())
                            : null,
                    values.number("leakMm")));

    public OutdoorLine {
        within("leakMm", leakMm, 0, 50, "mm");
    }

    private static DailyAir flue(MeasureKind.Values values, double outdoors) {
        int from = (int) within("outdoor-line.flueFrom", values.number("flueFrom"), 0, 23, "h");
        int to = (int) within("outdoor-line.flueTo", values.number("flueTo"), 0, 24, "h");
        return new DailyAir(IntStream.range(0, 24)
                .mapToObj(h ->
                        (from <= to ? h >= from && h < to : h >= from || h < to) ? values.number("fluePpm") : outdoors)
                .toList());
    }

    @Override
    public Way way() {
        return Way.REMOVES_THE_SOURCE;
    }

    @Override
    public void on(Rig rig) {
        rig.skimmer().hose = hose(rig.isOn(this));
    }

    SkimmerRig.Hose hose(boolean isOn) {
        return new SkimmerRig.Hose(line, leakMm, mouth, isOn);
    }

    @Override
    public Cost cost(CostBasis basis) {
        double hose =
                line.lengthM() * basis.prices().hosePerM() + basis.prices().filterAndFittings();
        return new Cost(hose, 0, Cost.Effort.A_WEEKEND);
    }

    @Override
    public List<Caution> cautions() {
        return List.of(BEFORE_A_WALL);
    }
}
