package jollytide.core.twin;

import java.time.Instant;
import java.util.List;
import java.util.function.BinaryOperator;
import java.util.function.ToDoubleFunction;
import jollytide.core.dosing.Inflow;

/**
 * What is poured in, day by day alike.
 *
 * @param kind {@link Channel.Kind#DOSES} or {@link Channel.Kind#REACTOR}
 */
public record Dosing(Channel.Kind kind, Inflow perDay, Pace pace) implements Part {
    /** How a day's doses are spread over it. */
    public interface Pace {
        Pace EVENLY = new Pace() {
            @Override
            public double timesAt(Instant t) {
                return 1;
            }

            @Override
            public Instant nextSwitch(Instant t, Instant until) {
                return until;
            }
        };

        /** Times what a day's mean is. */
        double timesAt(Instant t);

        /** When that is another; {@code until} where it stays up to then. */
        Instant nextSwitch(Instant t, Instant until);

        /** The same, only so far as something else lets it. */
        default Pace switched(ToDoubleFunction<Instant> open, BinaryOperator<Instant> next) {
            Pace here = this;
            return new Pace() {
                @Override
                public double timesAt(Instant t) {
                    return here.timesAt(t) * open.applyAsDouble(t);
                }

                @Override
                public Instant nextSwitch(Instant t, Instant until) {
                    return next.apply(t, here.nextSwitch(t, until));
                }
            };
        }
    }

    /** Evenly through the day. */
    public Dosing(Channel.Kind kind, Inflow perDay) {
        this(kind, perDay, Pace.EVENLY);
    }

    @Override
    public List<Channel> channels() {
        return List.of(new Channel(kind));
    }

    @Override
    public void acts(Moment now) {
        double molPerH = now.litres() / 1000 / 24 * pace.timesAt(now.at());
        now.gain(0, perDay.carbonMmol() * molPerH, 0);
        now.dissolve(
                perDay.alkalinityMeq() * molPerH, perDay.calciumMmol() * molPerH, perDay.potassiumMmol() * molPerH);
    }

    @Override
    public Instant nextSwitch(Moment now, Instant until) {
        return pace.nextSwitch(now.at(), until);
    }
}
