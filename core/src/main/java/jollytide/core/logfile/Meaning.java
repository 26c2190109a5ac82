package jollytide.core.logfile;

import java.util.Optional;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.RawUnit;

/** What the numbers of a channel are: which quantity in which unit, where and how it was measured. */
public record Meaning(RawUnit unit, Place place, Method method) {

    /** A name that says all of it, as our own exports carry it: TANK/PH/PROBE/PH_NBS. */
    public String name() {
        return place + "/" + unit.quantity() + "/" + method + "/" + unit;
    }

    /** The meaning that such a name states; empty for any other name. */
    public static Optional<Meaning> ofName(String name) {
        String[] parts = name.split("/", -1);
        if (parts.length != 4) {
            return Optional.empty();
        }
        try {
            Meaning meaning = new Meaning(RawUnit.valueOf(parts[3]), Place.valueOf(parts[0]), Method.valueOf(parts[2]));
            return Optional.of(meaning).filter(m -> m.name().equals(name));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }
}
