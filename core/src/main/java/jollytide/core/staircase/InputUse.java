package jollytide.core.staircase;

import java.time.Instant;
import jollytide.core.evidence.Method;
import org.jspecify.annotations.Nullable;

/**
 * One input as it was used.
 *
 * @param value in the unit of {@link StaircaseInputs}
 * @param error how far it may be off, same unit
 * @param at when it was measured; null when assumed
 * @param method how; null when assumed
 * @param ageHours how old it was at the staircase's moment; null when assumed
 * @param readings how many readings it was made from; 0 when assumed
 */
public record InputUse(
        InputName name,
        double value,
        double error,
        @Nullable Instant at,
        @Nullable Method method,
        @Nullable Double ageHours,
        int readings) {

    public boolean assumed() {
        return at == null;
    }
}
