package jollytide.core.measure;

import static jollytide.core.units.Quantities.within;

import java.util.List;

/** Warmer or cooler water. */
public record Warmth(double kelvin) implements Measure {
    static final MeasureKind KIND = MeasureKind.of("warmth", "Warmer or cooler water")
            .shortly("water")
            .parameters(known -> List.of(Parameter.number("byK", "compared with today", Parameter.Unit.KELVIN)
                    .range(-4, 6, 0.5)
                    .at(3)
                    .telling()))
            .makes((values, known) -> new Warmth(values.number("byK")));

    public Warmth {
        within("warmerByK", kelvin, -8, 8, "K");
    }

    @Override
    public Way way() {
        return kelvin > 0 ? Way.A_FAULT : Way.REMOVES_THE_SOURCE;
    }

    @Override
    public ShownBy shownBy() {
        return ShownBy.READINGS;
    }

    @Override
    public void on(Rig rig) {
        rig.warmerByK += kelvin;
    }

    @Override
    public List<Caution> cautions() {
        return List.of(new Caution(
                Caution.Concern.ANIMALS,
                "Change temperature by at most one degree a day, and more slowly if animals react."));
    }

    @Override
    public boolean inSteps() {
        return false;
    }
}
