package jollytide.core.suspects;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One suspect, as this tank's evidence has it.
 *
 * @param share how probable it is the cause, among all of them
 * @param needs the size that it would need, in words; empty where it has none
 * @param since the day from which on it explains most; null where no day does
 * @param grounds for and against, the weightiest first
 */
public record Suspicion(
        Suspect suspect,
        double share,
        String needs,
        @Nullable LocalDate since,
        List<Ground> grounds) {}
