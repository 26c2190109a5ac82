package jollytide.core.measure;

import static jollytide.core.units.Quantities.within;

import java.util.List;
import jollytide.core.air.People;
import jollytide.core.twin.RoomSpace;

/** More people in the room, all day: what they add to it. */
public record Guests(double ppmPerH) implements Measure {
    static final MeasureKind KIND = MeasureKind.of("guests", "Guests")
            .asFault()
            .needs(MeasureKind.Needs.ROOM_VOLUME)
            .parameters(known -> List.of(Parameter.number("adults", "more adults than today", Parameter.Unit.NONE)
                    .range(1, 20, 1)
                    .at(4)
                    .telling()))
            .makes((values, known) -> new Guests(RoomSpace.ppmPerH(
                    new People((int) Math.round(values.number("adults")), 0, 0).awakeLPerS(), known.room("guests"))));

    public Guests {
        within("extraPpmPerH", ppmPerH, 0, 100_000, "ppm/h");
    }

    @Override
    public Way way() {
        return Way.A_FAULT;
    }

    @Override
    public ShownBy shownBy() {
        return ShownBy.THE_ROOM_METER;
    }

    @Override
    public void on(Rig rig) {
        rig.extraPpmPerH += ppmPerH;
    }
}
