package jollytide.core.twin;

import java.time.Instant;
import java.util.function.BinaryOperator;
import java.util.function.ToDoubleFunction;
import jollytide.core.reef.LightCourse;

/** How brightly something is lit, and when that switches. */
public interface Lamp {
    Lamp DARK = t -> 0;
    Lamp ALWAYS = t -> 1;

    /** 0 in the dark, 1 at full light. */
    double at(Instant t);

    default Instant nextSwitch(Instant t, Instant until) {
        return until;
    }

    /** The same, so many times as bright. */
    default Lamp times(double factor) {
        Lamp here = this;
        return factor == 1
                ? this
                : new Lamp() {
                    @Override
                    public double at(Instant t) {
                        return factor * here.at(t);
                    }

                    @Override
                    public Instant nextSwitch(Instant t, Instant until) {
                        return here.nextSwitch(t, until);
                    }
                };
    }

    /** The same, on only so far as something else lets it. */
    default Lamp switched(ToDoubleFunction<Instant> on, BinaryOperator<Instant> nextSwitch) {
        Lamp here = this;
        return new Lamp() {
            @Override
            public double at(Instant t) {
                return here.at(t) * on.applyAsDouble(t);
            }

            @Override
            public Instant nextSwitch(Instant t, Instant until) {
                return nextSwitch.apply(t, here.nextSwitch(t, until));
            }
        };
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
