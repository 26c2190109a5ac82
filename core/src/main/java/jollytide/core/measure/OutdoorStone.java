package jollytide.core.measure;

import java.util.ArrayList;
import java.util.List;
import jollytide.core.exchange.Stone;
import jollytide.core.twin.Air;
import jollytide.core.twin.OpenPath;

/** An air stone whose pump draws outdoor air, through a wall or a window that is ajar. */
public record OutdoorStone(Stone stone, boolean throughAWall) implements Measure {
    static final MeasureKind KIND = MeasureKind.of("outdoor-stone", "Air stone with outdoor air")
            .shortly("outdoor stone")
            .parameters(known -> {
                List<Parameter> all = new ArrayList<>(AirStone.parameters());
                all.add(Parameter.choice("from", "the hose goes")
                        .option("WINDOW", "out of a window")
                        .option("WALL", "through a wall")
                        .at("WINDOW"));
                return all;
            })
            .makes((values, known) -> new OutdoorStone(
                    AirStone.stone(values), values.choice("from").equals("WALL")));

    private static final double HOSE_M = 3;

    private static final Caution FROST = Caution.people(
            "Avoid low loops that hold condensate or frost: winter air is cold. Fit a one-way valve so the "
                    + "tank can’t drain when the pump stops.");

    @Override
    public Way way() {
        return Way.REMOVES_THE_SOURCE;
    }

    @Override
    public void on(Rig rig) {
        rig.add(OpenPath.stone("outdoor stone", Air.OUTDOORS, stone));
    }

    @Override
    public Cost cost(CostBasis basis) {
        Cost hose = new Cost(
                HOSE_M * basis.prices().hosePerM(), 0, throughAWall ? Cost.Effort.A_WEEKEND : Cost.Effort.AN_EVENING);
        return basis.airPump(stone.airLPerH(), stone.depthM()).plus(hose);
    }

    @Override
    public List<Caution> cautions() {
        List<Caution> all = new ArrayList<>(AirStone.cautions(stone));
        all.add(FROST);
        if (throughAWall) {
            all.add(OutdoorLine.BEFORE_A_WALL);
        }
        return all;
    }
}
