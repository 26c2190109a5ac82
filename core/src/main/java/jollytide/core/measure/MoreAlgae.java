package jollytide.core.measure;

import static jollytide.core.units.Quantities.within;

import java.time.LocalTime;
import java.util.List;
import jollytide.core.reef.LightClock;

/**
 * A refugium's algae under their own lamp.
 *
 * @param mmolPerH gross photosynthesis while lit
 */
public record MoreAlgae(double mmolPerH, LightClock light) implements Measure {
    static final MeasureKind KIND = MeasureKind.of("refugium", "Refugium with its own lamp")
            .shortly("refugium")
            .parameters(known -> List.of(
                    Parameter.number("mmolPerH", "uptake of the algae while lit", Parameter.Unit.MMOL_PER_H)
                            .range(0.5, 20, 0.5)
                            .at(3)
                            .telling(),
                    Parameter.choice("lit", "lit")
                            .option("NIGHT", "at night, 21:00–9:00")
                            .option("DAY", "by day, 9:00–21:00")
                            .option("ALWAYS", "nearly always")
                            .at("NIGHT")))
            .makes((values, known) -> new MoreAlgae(
                    values.number("mmolPerH"),
                    switch (values.choice("lit")) {
                        case "DAY" -> clock(LocalTime.of(9, 0), LocalTime.of(21, 0));
                        case "ALWAYS" -> clock(LocalTime.MIDNIGHT, LocalTime.of(23, 45));
                        default -> clock(LocalTime.of(21, 0), LocalTime.of(9, 0));
                    }));

    private static final double LAMP_W = 20;

    public MoreAlgae {
        within("refugiumMmolPerH", mmolPerH, 0, 1000, "mmol/h");
    }

    private static LightClock clock(LocalTime on, LocalTime off) {
        return new LightClock(on, off, true, 0);
    }

    @Override
    public Way way() {
        return Way.OFFSETS;
    }

    @Override
    public void on(Rig rig) {
        rig.refugiumMmolPerH = mmolPerH;
        rig.refugiumLight = light;
    }

    @Override
    public Cost cost(CostBasis basis) {
        return new Cost(
                basis.prices().refugiumLamp(), basis.power(LAMP_W) * light.litHours() / 24, Cost.Effort.AN_EVENING);
    }
}
