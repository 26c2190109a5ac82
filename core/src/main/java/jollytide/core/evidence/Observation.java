package jollytide.core.evidence;

import java.time.Instant;
import jollytide.core.units.InputException;

/** One measured value with its time and method; the unit is that of the field that holds it. */
public record Observation(double value, Method method, Instant at) {

    /** @throws InputException when the value is not a finite number */
    public Observation {
        if (!Double.isFinite(value)) {
            throw new InputException("value", value, "a finite number", "A reading must be a finite number.");
        }
    }
}
