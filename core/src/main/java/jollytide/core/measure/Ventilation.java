package jollytide.core.measure;

import static jollytide.core.units.Quantities.within;

import java.util.List;

/**
 * Another airing of the room.
 *
 * @param times today's air changes: 3 for a window ajar
 */
public record Ventilation(double times) implements Measure {
    static final MeasureKind KIND = MeasureKind.of("window", "Open a window")
            .shortly("ventilation")
            .parameters(known -> List.of(Parameter.number("times", "times today’s ventilation", Parameter.Unit.TIMES)
                    .range(1, 10, 0.5)
                    .at(3)
                    .telling()))
            .whenLess("windows shut again: check the room’s CO2 hour by hour")
            .makes((values, known) -> new Ventilation(values.number("times")));

    public Ventilation {
        within("ventilationTimes", times, 0.1, 50, "");
    }

    @Override
    public Way way() {
        return times < 1 ? Way.A_FAULT : Way.REMOVES_THE_SOURCE;
    }

    @Override
    public ShownBy shownBy() {
        return ShownBy.THE_ROOM_METER;
    }

    @Override
    public void on(Rig rig) {
        rig.ventilationTimes = times;
    }

    @Override
    public boolean inSteps() {
        return false;
    }

    @Override
    public Cost cost(CostBasis basis) {
        return times == 1
                ? Cost.NOTHING
                : new Cost(
                        0,
                        Math.max(0, basis.heat(basis.setup().room().airChangesPerH() * (times - 1))),
                        Cost.Effort.MINUTES);
    }
}
