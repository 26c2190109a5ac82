package jollytide.core.twin;

import java.time.Instant;
import jollytide.core.reef.LightCourse;

/** How brightly something is lit, and when that switches. */
public interface Lamp {
    Lamp DARK = t -> 0;

    /** 0 in the dark, 1 at full light. */
    double at(Instant t);

    default Instant nextSwitch(Instant t, Instant until) {
        return until;
    }

    static Lamp of(LightCourse course) {
        return new Lamp() {
            @Override
            public double at(Instant t) {
                return course.levelAt(t);
            }

            @Override
            public Instant nextSwitch(Instant t, Instant until) {
                return course.nextChange(t, until);
            }
        };
    }
}
