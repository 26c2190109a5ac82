package jollytide.server.dosing;

import static jollytide.core.units.Quantities.within;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import jollytide.core.dosingline.Cylinder;
import jollytide.core.dosingline.LineHistory.What;
import jollytide.core.dosingline.ReservoirLevel;
import jollytide.core.units.InputException;
import jollytide.server.dosing.DosingViews.NewLineNote;
import jollytide.server.dosing.DosingViews.ReadIn;
import org.jspecify.annotations.Nullable;

/** What somebody says of a line, checked and in millilitres, as the note that is kept. */
final class NewNote {
    /** A kitchen scale, g, and the solution's density, as a share. From memory. */
    private static final double SCALE_G = 2;

    private static final double SCALE_SHARE = 0.01;
    /** A level in centimetres is read to so much. From memory. */
    private static final double CM = 0.2;
    /** Between two levels one may seem to rise by their own errors alone, in deviations. */
    private static final double MAY_SEEM_TO_RISE = 4;

    private NewNote() {}

    /**
     * @param before what is noted of it already, in its order
     * @throws InputException for what such a vessel cannot hold, or not hold any more
     */
    static LineNote of(DosingLine line, List<LineNote> before, NewLineNote body, Instant at) {
        LineNote note = new LineNote();
        note.id = UUID.randomUUID();
        note.lineId = line.id;
        note.at = at;
        note.kind = body.kind();
        note.note = body.note().strip();
        if (body.kind() == What.LEVEL || body.kind() == What.FILLED) {
            level(line, note, body);
            if (body.kind() == What.LEVEL) {
                mustNotRise(before, note);
            }
        }
        if (body.kind() == What.CYLINDER) {
            cylinder(note, body);
        }
        return note;
    }

    private static void cylinder(LineNote note, NewLineNote body) {
        if (body.value() == null || body.asked() == null) {
            throw new InputException(
                    body.asked() == null ? "asked" : "value",
                    0,
                    "the set amount and the measured amount",
                    "Enter both in mL: the amount you set and the amount in the cylinder.");
        }
        Cylinder checked = new Cylinder(note.at, body.asked(), body.value());
        note.askedMl = checked.askedMl();
        note.ml = checked.gaveMl();
    }

    private static void level(DosingLine line, LineNote note, NewLineNote body) {
        if (body.value() == null && body.kind() == What.LEVEL) {
            throw new InputException("value", 0, "a level", "The level is missing.");
        }
        double deviationMl = Math.min(ReservoirLevel.AT_MARKS_ML, Math.max(1, line.vesselMl / 100));
        if (body.value() == null) {
            note.ml = line.vesselMl;
            note.deviationMl = deviationMl;
            return;
        }
        ReadIn readIn = body.readIn() == null ? ReadIn.ML : body.readIn();
        switch (readIn) {
            case ML -> {
                note.ml = within("value", body.value(), 0, line.vesselMl, "mL");
                note.deviationMl = deviationMl;
            }
            case CM -> {
                double perCm =
                        described(line.areaCm2, "Describe the vessel’s cross-section before you enter centimetres.");
                note.ml = within("value", body.value(), 0, line.vesselMl / perCm, "cm") * perCm;
                note.deviationMl = CM * perCm;
            }
            case G -> {
                double empty =
                        described(line.emptyG, "Describe the weight of the empty vessel before you enter grams.");
                double perMl = line.solution().gramsPerMl();
                double most = empty + line.vesselMl * perMl;
                note.ml = (within("value", body.value(), empty, most, "g") - empty) / perMl;
                note.deviationMl = Math.max(SCALE_G, SCALE_SHARE * note.ml);
            }
        }
    }

    private static double described(@Nullable Double of, String missing) {
        if (of == null) {
            throw new InputException("readIn", 0, "ML", missing);
        }
        return of;
    }

    /** Up to the next filling a reservoir only empties. */
    private static void mustNotRise(List<LineNote> all, LineNote note) {
        LineNote before = all.stream()
                .filter(n -> n.ml != null && n.askedMl == null && n.at.isBefore(note.at))
                .reduce((earlier, later) -> later)
                .orElse(null);
        if (before != null
                && note.ml > before.ml + MAY_SEEM_TO_RISE * Math.hypot(before.deviationMl, note.deviationMl)) {
            throw new InputException(
                    "value",
                    note.ml,
                    "at most about " + Math.round(before.ml) + " mL",
                    "The level was " + Math.round(before.ml) + " mL before and can’t have risen. Log a filling "
                            + "instead.");
        }
    }
}
