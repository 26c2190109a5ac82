package jollytide.core.unnoted;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import jollytide.core.days.DayCourses;
import jollytide.core.days.DayNoise;
import jollytide.core.fit.FittedTank;
import jollytide.core.fit.Reading;
import jollytide.core.fit.TankLog;
import jollytide.core.measure.Setup;
import jollytide.core.units.InputException;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealVector;

/** What a log's days show more than one tank does, and how each cause would change what that tank shows. */
final class Leftover {
    private static final double IMPOSSIBLE_PH = 10;

    private final TankLog log;
    private final Setup setup;
    private final FittedTank tank;
    private final DayCourses courses;
    private final double[] shown;
    private final List<RealVector> left;
    private final Map<Cause, List<RealVector>> shapes = new EnumMap<>(Cause.class);
    private final DayNoise noise;

    /** @throws InputException when the tank leaves what water can be */
    Leftover(TankLog log, Setup setup, FittedTank tank, DayCourses courses) {
        this.log = log;
        this.setup = setup;
        this.tank = tank;
        this.courses = courses;
        shown = shownBy(tank);
        left = days(i -> log.ph().get(i).value() - shown[i]);
        Stream.of(Cause.values()).filter(c -> c.possible(tank)).forEach(cause -> {
            double[] moved = cause.shown(log, setup, tank, shown, cause.step());
            shapes.put(cause, days(i -> (moved[i] - shown[i]) / cause.step()));
        });
        List<RealVector> lively = Stream.of(Cause.RESPIRATION, Cause.PHOTOSYNTHESIS)
                .map(cause -> shape(cause, 0, left.size()))
                .toList();
        noise = DayNoise.of(tank.persistence(), tank.freshPh(), lively, left);
    }

    /** Those that such a tank has. */
    Set<Cause> causes() {
        return shapes.keySet();
    }

    DayNoise noise() {
        return noise;
    }

    /** The same log beside another tank; its shapes are not found, and its days scatter likewise. */
    private Leftover(Leftover like, FittedTank other) {
        log = like.log;
        setup = like.setup;
        tank = other;
        courses = like.courses;
        shown = shownBy(other);
        left = days(i -> log.ph().get(i).value() - shown[i]);
        noise = like.noise;
    }

    private double[] shownBy(FittedTank fitted) {
        return log.shownBy(setup, fitted.likely()).stream()
                .mapToDouble(Reading::value)
                .toArray();
    }

    /** Of one whole day. */
    RealVector left(int day) {
        return left.get(day);
    }

    /** Mean of days from one to before another. */
    RealVector left(int from, int until) {
        return DayCourses.mean(left, from, until);
    }

    /** What one of the cause's size adds to the mean of such days, to first order. */
    RealVector shape(Cause cause, int from, int until) {
        return DayCourses.mean(Objects.requireNonNull(shapes.get(cause)), from, until);
    }

    RealVector shown(int from, int until) {
        return DayCourses.mean(days(i -> shown[i]), from, until);
    }

    /** The same log beside other tanks that could be behind it, each a standard deviation off in a direction of its own. */
    List<Leftover> neighbours() {
        return tank.neighbours().stream().skip(1).flatMap(this::beside).toList();
    }

    private Stream<Leftover> beside(FittedTank other) {
        try {
            return Stream.of(new Leftover(this, other));
        } catch (InputException leavesWhatWaterCanBe) {
            return Stream.of();
        }
    }

    /** What a cause of such a size really adds to their mean. */
    RealVector change(Cause cause, double size, int from, int until) {
        try {
            double[] with = cause.shown(log, setup, tank, shown, size);
            return DayCourses.mean(days(i -> with[i] - shown[i]), from, until);
        } catch (InputException leavesWhatWaterCanBe) {
            return new ArrayRealVector(DayCourses.HALF_HOURS, IMPOSSIBLE_PH);
        }
    }

    private List<RealVector> days(IntToDoubleFunction ofReading) {
        return courses.of(
                IntStream.range(0, log.ph().size()).mapToDouble(ofReading).toArray());
    }
}
