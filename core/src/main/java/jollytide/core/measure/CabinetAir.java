package jollytide.core.measure;

import java.util.List;
import jollytide.core.air.Enclosure;
import jollytide.core.air.Enclosure.Door;

/** Another door or a fan at the cabinet. */
public record CabinetAir(Door door) implements Measure {
    static final MeasureKind KIND = MeasureKind.of("cabinet", "Cabinet door open, or a cabinet fan")
            .shortly("cabinet")
            .needs(MeasureKind.Needs.CABINET)
            .parameters(known -> List.of(door("the door")))
            .makes((values, known) -> new CabinetAir(values.choice("door", Door.class)));

    static Parameter door(String label) {
        return Parameter.choice("door", label)
                .option(Door.AJAR.name(), "ajar")
                .option(Door.OPEN.name(), "open")
                .option(Door.FAN.name(), "a cabinet fan")
                .at(Door.OPEN.name())
                .telling();
    }

    @Override
    public Way way() {
        return Way.REMOVES_THE_SOURCE;
    }

    @Override
    public void on(Rig rig) {
        if (rig.cabinet != null) {
            rig.cabinet = new Enclosure(door.exchangeLPerH());
        }
    }

    @Override
    public Cost cost(CostBasis basis) {
        return basis.door(door);
    }
}
