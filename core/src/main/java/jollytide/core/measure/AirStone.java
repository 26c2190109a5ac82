package jollytide.core.measure;

import java.util.ArrayList;
import java.util.List;
import jollytide.core.exchange.Stone;
import jollytide.core.twin.Air;
import jollytide.core.twin.OpenPath;

/**
 * An air stone. What its bubbles transfer lies between a rigid and a mobile skin.
 *
 * @param air that its pump draws
 */
public record AirStone(Stone stone, Air air) implements Measure {
    /** A stone deeper than this can supersaturate the water. From memory. */
    public static final double DEEP_STONE_M = 1.0;

    static final MeasureKind KIND = MeasureKind.of("stone", "Air stone in room air")
            .shortly("stone")
            .parameters(known -> parameters())
            .whenLess("a clogged stone: check its bubbles and the pump’s pressure")
            .makes((values, known) -> new AirStone(stone(values), Air.ROOM));

    static List<Parameter> parameters() {
        return List.of(
                Parameter.number("airLPerH", "air", Parameter.Unit.LITRES_PER_H)
                        .range(10, 1500, 10)
                        .at(100)
                        .telling(),
                Parameter.number("diameterMm", "bubbles", Parameter.Unit.BUBBLE_MILLIMETRES)
                        .range(0.5, 8, 0.5)
                        .at(2),
                Parameter.number("depthM", "depth", Parameter.Unit.METRES)
                        .range(0.1, 2, 0.05)
                        .at(0.4));
    }

    static Stone stone(MeasureKind.Values values) {
        return new Stone(values.number("airLPerH"), values.number("diameterMm"), values.number("depthM"));
    }

    @Override
    public Way way() {
        return Way.REMOVES_THE_SOURCE;
    }

    @Override
    public void on(Rig rig) {
        rig.add(OpenPath.stone("stone", air, stone));
    }

    @Override
    public Cost cost(CostBasis basis) {
        return basis.airPump(stone.airLPerH(), stone.depthM());
    }

    @Override
    public List<Caution> cautions() {
        return cautions(stone);
    }

    static List<Caution> cautions(Stone stone) {
        List<Caution> all = new ArrayList<>();
        if (stone.depthM() > DEEP_STONE_M) {
            all.add(new Caution(
                    Caution.Concern.WATER,
                    "Keep the stone less than a metre deep: deeper air can supersaturate the water."));
        }
        return all;
    }
}
