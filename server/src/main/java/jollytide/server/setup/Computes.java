package jollytide.server.setup;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** A door behind which a twin is run, or another sum that takes a core for a while; see {@link ComputingGate}. */
@Target({ElementType.METHOD, ElementType.TYPE})
@Retention(RetentionPolicy.RUNTIME)
public @interface Computes {
    Lane value() default Lane.ORDINARY;

    /** Which sums wait for each other. */
    enum Lane {
        ORDINARY,
        /** What somebody stands waiting for in the dark: an outage, what is due, the card. It waits for no other sum. */
        URGENT
    }
}
