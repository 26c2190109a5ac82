package jollytide.core.measure;

import java.util.List;
import jollytide.core.air.Enclosure;
import jollytide.core.air.Enclosure.Door;

/** A lid lifted or a fan under the canopy. */
public record CanopyAir(Door door) implements Measure {
    static final MeasureKind KIND = MeasureKind.of("canopy", "Canopy lifted, or a canopy fan")
            .shortly("canopy")
            .needs(MeasureKind.Needs.CANOPY)
            .parameters(known -> List.of(CabinetAir.door("the canopy")))
            .makes((values, known) -> new CanopyAir(values.choice("door", Door.class)));

    @Override
    public Way way() {
        return Way.REMOVES_THE_SOURCE;
    }

    @Override
    public void on(Rig rig) {
        if (rig.canopy != null) {
            rig.canopy = new Enclosure(door.exchangeLPerH());
        }
    }

    @Override
    public Cost cost(CostBasis basis) {
        return basis.door(door);
    }
}
