package jollytide.core.measure;

import static jollytide.core.units.Quantities.within;

import java.util.List;

/** Doses that fall short, of what they bring today: 0 when they stop. What the animals use goes on. */
public record DosesShort(double times) implements Measure {
    static final MeasureKind KIND = MeasureKind.of("doses-short", "Doses that fall short or stop")
            .shortly("doses short")
            .asFault()
            .group(MeasureKind.Group.ALKALINITY_SOURCE)
            .needs(MeasureKind.Needs.DOSES)
            .parameters(
                    known -> List.of(Parameter.number("times", "of today’s doses (0: stopped)", Parameter.Unit.SHARE)
                            .range(0, 1, 0.05)
                            .at(0.75)
                            .telling()))
            .makes((values, known) -> new DosesShort(values.number("times")));

    public DosesShort {
        within("dosesTimes", times, 0, 1, "");
    }

    @Override
    public Way way() {
        return Way.A_FAULT;
    }

    @Override
    public void on(Rig rig) {
        rig.dosesTimes = times;
    }
}
