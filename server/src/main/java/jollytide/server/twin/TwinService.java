package jollytide.server.twin;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;
import jollytide.core.air.IntakeAir;
import jollytide.core.evidence.Estimate;
import jollytide.core.fit.Decision;
import jollytide.core.fit.Experiment;
import jollytide.core.fit.FittedTank;
import jollytide.core.fit.FittedTank.Learned;
import jollytide.core.fit.Reading;
import jollytide.core.fit.Unknown;
import jollytide.core.measure.Setup;
import jollytide.server.event.EventView;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Shows what the twin knows of a tank, and what it does not. */
@Service
class TwinService {
    /** No log is older. */
    private static final int FIRST_YEAR = 1990;

    private final TankService tanks;
    private final TwinBook book;
    private final Clock clock;

    TwinService(TankService tanks, TwinBook book, Clock clock) {
        this.tanks = tanks;
        this.book = book;
        this.clock = clock;
    }

    /**
     * An unknown before and after the log, in its own quantity: oxygen that is breathed or made (mmol/(L·h)), a factor
     * over what is expected, alkalinity that is used (meq/(L·day)), a share of what is breathed (0 to 1), or by how much something is off.
     *
     * @param before what holds it in nine of ten tanks of that kind and description
     * @param after what holds it in nine of ten tanks that could be behind the log
     * @param learnt whether the log narrowed it
     */
    record LearnedView(Unknown unknown, String name, Estimate before, Estimate after, boolean learnt) {}

    /** What is left between readings and the most probable tank, pH. */
    record LeftView(Instant at, double ph) {}

    /** What is decided by, and how far it is open: pH, or mg/L for oxygen. Null where that cannot be run. */
    record OpenView(
            Decision decision, String name, @Nullable Estimate value) {
        static OpenView of(Decision.Open open) {
            return new OpenView(open.decision(), open.decision().label(), open.value());
        }
    }

    /**
     * A measurement that would tell something.
     *
     * @param from when it would begin on an ordinary day; null when it can be made at any time
     * @param narrowing of what is decided by, in the order of {@code open}: 0.4 when its band would lose two fifths
     * @param ofTheBest mean narrowing of the gains of the two measures that promise most
     * @param lowestOxygenMgPerL during it on the early side; null where it does not touch oxygen
     * @param allowed whether that stays above the caution line
     */
    record ExperimentView(
            Experiment experiment,
            String name,
            int minutes,
            @Nullable Instant from,
            @Nullable Instant until,
            List<Double> narrowing,
            double ofTheBest,
            @Nullable Double lowestOxygenMgPerL,
            boolean allowed) {
        static ExperimentView of(Experiment.Promise promise) {
            return new ExperimentView(
                    promise.experiment(),
                    promise.experiment().label(),
                    promise.experiment().minutes(),
                    promise.from(),
                    promise.until(),
                    promise.narrowing(),
                    promise.ofTheBest(),
                    promise.lowestOxygenMgPerL(),
                    promise.allowed());
        }
    }

    /**
     * What the twin knows.
     *
     * @param from of the log that it is fitted to; null without one
     * @param halfHours of pH that it is fitted to
     * @param scatterPh of what is left over, standard deviation
     * @param dispersion by how much days differ more than half hours let expect, as a factor on variances
     * @param fishMmolPerLPerH oxygen that the described fish breathe, beside the reef
     * @param useDosed whether the use of alkalinity is from doses that arrived and tests; else as described
     * @param experiments those that are allowed first, by what they tell for a keeper's time
     * @param alike what the log cannot tell apart, in words
     * @param standing events that put on what stands on the tank
     */
    record TwinView(
            boolean fitted,
            @Nullable String problem,
            @Nullable Instant from,
            @Nullable Instant until,
            int halfHours,
            double scatterPh,
            double dispersion,
            double fishMmolPerLPerH,
            boolean useDosed,
            List<LearnedView> unknowns,
            List<String> alike,
            List<OpenView> open,
            List<ExperimentView> experiments,
            List<LeftView> left,
            List<EventView> standing) {}

    /** @param day of which the tank is shown as it was in the evening; null for now */
    TwinView twin(UUID keeperId, UUID tankId, @Nullable LocalDate day) {
        Tank tank = tanks.tank(keeperId, tankId);
        TwinBook.Described known = day == null ? book.describe(tank) : book.describe(tank, endOf(day, tank));
        FittedTank fit = known.fit().tank();
        List<Reading> left = fit.left();
        return new TwinView(
                known.fitted(),
                known.problem(),
                left.isEmpty() ? null : left.get(0).at(),
                left.isEmpty() ? null : left.get(left.size() - 1).at(),
                left.size(),
                fit.scatterPh(),
                fit.dispersion(),
                known.setup().life().fish().oxygenMmolPerH(known.setup().water().temperatureC())
                        / known.setup().netVolumeL(),
                known.useDosed(),
                fit.learned().stream().map(l -> view(l, fit, known.setup())).toList(),
                fit.alike(),
                known.open().stream().map(OpenView::of).toList(),
                known.experiments().stream().map(ExperimentView::of).toList(),
                left.stream().map(r -> new LeftView(r.at(), r.value())).toList(),
                known.standing());
    }

    private Instant endOf(LocalDate day, Tank tank) {
        ZoneId zone = tank.home().zone();
        if (!day.isBefore(LocalDate.ofInstant(clock.instant(), zone)) || day.getYear() < FIRST_YEAR) {
            throw Problem.refused(new FieldError(
                    "day", day.toString(), "a day that is over, 1990 or later", "The model has no day " + day + "."));
        }
        return day.plusDays(1).atStartOfDay(zone).toInstant();
    }

    private static LearnedView view(Learned learned, FittedTank fit, Setup setup) {
        if (learned.unknown() == Unknown.INTAKE) {
            return new LearnedView(
                    learned.unknown(),
                    learned.unknown().label(),
                    ofAir(learned.before90(), setup),
                    ofAir(learned.after90(), setup),
                    learned.learnt());
        }
        double unit = learned.unknown() == Unknown.USE ? setup.useMeqPerLPerDay() : fit.unit(learned.unknown());
        return new LearnedView(
                learned.unknown(),
                learned.unknown().label(),
                learned.before90().times(unit),
                learned.after90().times(unit),
                learned.learnt());
    }

    /** Factors of odds as shares of what is breathed. */
    private static Estimate ofAir(Estimate odds, Setup setup) {
        double expected = setup.intake().orElseThrow().outdoors();
        return new Estimate(
                IntakeAir.withOdds(expected, odds.value()),
                IntakeAir.withOdds(expected, odds.low()),
                IntakeAir.withOdds(expected, odds.high()));
    }
}
