package jollytide.server.experiment;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.fit.Decision;
import jollytide.core.fit.Experiment;
import jollytide.core.reef.OxygenLines;
import jollytide.core.seawater.Seawater;
import jollytide.server.event.EventService;
import jollytide.server.experiment.ChosenExperiment.Promised;
import jollytide.server.experiment.ExperimentViews.AllView;
import jollytide.server.experiment.ExperimentViews.ChosenView;
import jollytide.server.experiment.ExperimentViews.FindingView;
import jollytide.server.experiment.ExperimentViews.OverView;
import jollytide.server.experiment.ExperimentViews.Stage;
import jollytide.server.home.LocalTimes;
import jollytide.server.measure.SetRequest.PutMeasure;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import jollytide.server.reading.ReadingService;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import jollytide.server.twin.TwinBook;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Guides an experiment from its choice to what it showed. What it asks of the twin is computed before a transaction begins.
 */
@Service
public class ExperimentService {
    /** After its planned end it may go on so long before everybody at home is called. */
    private static final Duration GRACE = Duration.ofMinutes(15);

    /** So long before its hour it may be begun. */
    private static final Duration EARLY = Duration.ofMinutes(30);

    private static final Duration DAY = Duration.ofDays(1);
    private static final int MOST_SHOWN = 20;
    /** Lamps that stay off once more only have to be on by their next morning. */
    private static final Duration GRACE_OF_LAMPS = Duration.ofHours(12);

    private final TankService tanks;
    private final TwinBook book;
    private final EventService events;
    private final ReadingService readings;
    private final ChosenExperiments chosen;
    private final TransactionTemplate transaction;
    private final Clock clock;

    ExperimentService(
            TankService tanks,
            TwinBook book,
            EventService events,
            ReadingService readings,
            ChosenExperiments chosen,
            TransactionTemplate transaction,
            Clock clock) {
        this.tanks = tanks;
        this.book = book;
        this.events = events;
        this.readings = readings;
        this.chosen = chosen;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** What is planned or goes on at some tanks, for what is due. */
    public record Ahead(UUID id, UUID tankId, Experiment.Stops stops, Instant from, Instant until, boolean running) {}

    public List<Ahead> ahead(List<Tank> of) {
        Instant now = clock.instant();
        return chosen
                .findByTankIdInAndEndedAtIsNullOrderByPlannedFrom(
                        of.stream().map(Tank::id).toList())
                .stream()
                .filter(e -> e.current(now))
                .map(e -> new Ahead(e.id, e.tankId, e.kind.stops(), from(e), e.plannedUntil, e.running()))
                .toList();
    }

    /** Null when nothing is planned and nothing goes on. */
    @Nullable
    ChosenView current(UUID keeperId, UUID tankId) {
        Tank tank = tanks.tank(keeperId, tankId);
        return current(tank).map(e -> view(tank, e)).orElse(null);
    }

    AllView all(UUID keeperId, UUID tankId) {
        Tank tank = tanks.tank(keeperId, tankId);
        List<OverView> over = chosen
                .findByTankIdAndEndedAtIsNotNullAndEventIdIsNotNullOrderByEndedAtDesc(tankId, Limit.of(MOST_SHOWN))
                .stream()
                .map(e -> over(tank, e))
                .toList();
        return new AllView(current(keeperId, tankId), over);
    }

    /** Plans one for the next hours that suit it. */
    ChosenView plan(UUID keeperId, UUID tankId, Experiment kind) {
        Tank tank = tanks.tank(keeperId, tankId);
        if (!kind.changesTheTank()) {
            throw refused(
                    "experiment",
                    kind.name(),
                    "one that changes the tank",
                    "This measurement needs no guided " + "experiment.");
        }
        TwinBook.Described known = book.describe(tank);
        Experiment.Promise promise = known.experiments().stream()
                .filter(p -> p.experiment() == kind && p.from() != null)
                .findFirst()
                .orElseThrow(() -> refused(
                        "experiment",
                        kind.name(),
                        "a tank with a skimmer, and lamps with a dark phase",
                        kind.stops() == Experiment.Stops.SKIMMER
                                ? "This tank has no skimmer or no dark phase."
                                : "This tank’s lamps have no day and night."));
        if (!promise.allowed()) {
            throw refused("experiment", kind.name(), "oxygen above 5 mg/L", littleOxygen(promise.lowestOxygenMgPerL()));
        }
        Instant now = clock.instant();
        Instant from = soonest(promise.from(), tank.home().zone(), now);
        Instant until = from.plus(Duration.between(promise.from(), promise.until()));
        return inOne(() -> {
            for (ChosenExperiment other : unended(tank)) {
                if (other.current(now)) {
                    throw Problem.of(
                            HttpStatus.CONFLICT,
                            "Already one",
                            "Another experiment is planned or running. End or cancel that one first.");
                }
                chosen.delete(other);
            }
            ChosenExperiment e = new ChosenExperiment();
            e.id = UUID.randomUUID();
            e.tankId = tankId;
            e.kind = kind;
            e.plannedFrom = from;
            e.plannedUntil = until;
            List<Decision> decisions = Decision.of(known.setup());
            e.promised = IntStream.range(0, decisions.size())
                    .mapToObj(i ->
                            new Promised(decisions.get(i), promise.narrowing().get(i)))
                    .toList();
            e.lowestOxygen = Objects.requireNonNull(promise.lowestOxygenMgPerL());
            return view(tank, chosen.save(e));
        });
    }

    /** The same hours a day earlier, when they have not passed. */
    private static Instant soonest(Instant from, ZoneId zone, Instant now) {
        Instant dayBefore = from.atZone(zone).minusDays(1).toInstant();
        return dayBefore.isBefore(now) ? from : dayBefore;
    }

    /** @param at when it was begun, in its home's zone or with an offset; null for now */
    ChosenView begin(UUID keeperId, UUID tankId, UUID id, @Nullable String at) {
        Tank tank = tanks.tank(keeperId, tankId);
        ChosenExperiment planned = one(tank, id);
        if (planned.begunAt != null) {
            throw Problem.savedElsewhere(view(tank, planned));
        }
        Instant now = clock.instant();
        Instant begun = time(tank, at, now);
        if (!begun.isBefore(planned.plannedUntil)) {
            throw refused("at", begun.toString(), "before its end", "The planned time is over. Cancel and plan again.");
        }
        if (begun.isBefore(planned.plannedFrom.minus(EARLY))) {
            throw refused(
                    "at",
                    begun.toString(),
                    "not before " + planned.plannedFrom.minus(EARLY),
                    "Too early: the experiment works only at its planned time.");
        }
        TwinBook.Described known = book.describe(tank);
        Instant day = begun.isBefore(known.start()) ? known.start().minus(DAY) : known.start();
        Experiment.Oxygen oxygen = planned.kind.oxygen(known.setup(), known.tanks(), day, begun, planned.plannedUntil);
        if (!oxygen.allowed()) {
            throw refused("at", begun.toString(), "oxygen above 5 mg/L", littleOxygen(oxygen.lowestMgPerL()));
        }
        List<Decision.Open> open = known.open();
        return inOne(() -> {
            ChosenExperiment e = one(tank, id);
            if (e.begunAt != null) {
                throw Problem.savedElsewhere(view(tank, e));
            }
            e.begunAt = begun;
            e.eventId = event(tank, e, e.plannedUntil);
            e.openBefore = open;
            e.lowestOxygen = oxygen.lowestMgPerL();
            e.cautionAt = oxygen.cautionAt();
            return view(tank, chosen.saveAndFlush(e));
        });
    }

    private UUID event(Tank tank, ChosenExperiment e, Instant until) {
        String title = "Experiment: " + e.kind.label();
        return events.beginExperiment(tank, e.begunAt, until, title, "", during(e.kind))
                .id();
    }

    /** {@link Experiment#during} as an event carries it. */
    private static List<PutMeasure> during(Experiment kind) {
        return switch (kind.stops()) {
            case NOTHING -> List.of();
            case SKIMMER -> List.of(new PutMeasure("skimmer-draw", Map.of("times", 0.0), Map.of()));
            case LAMPS -> List.of(new PutMeasure("lamps", Map.of("times", 0.0), Map.of()));
        };
    }

    /** @param at when it was over; null for now */
    ChosenView end(UUID keeperId, UUID tankId, UUID id, @Nullable String at, Ended how) {
        Tank tank = tanks.tank(keeperId, tankId);
        Instant now = clock.instant();
        return inOne(() -> {
            ChosenExperiment e = one(tank, id);
            if (e.begunAt == null) {
                throw refused(
                        "id",
                        id.toString(),
                        "a running experiment",
                        "The experiment has not started. " + "Cancel it instead.");
            }
            if (e.endedAt != null) {
                throw Problem.savedElsewhere(view(tank, e));
            }
            Instant over = time(tank, at, now);
            if (!over.isAfter(e.begunAt)) {
                throw refused("at", over.toString(), "after its beginning", "The end can’t be before the start.");
            }
            e.endedAt = over;
            e.ended = how;
            if (e.eventId == null) {
                e.eventId = event(tank, e, over);
            } else {
                events.endExperiment(tank, e.eventId, over);
            }
            return view(tank, chosen.saveAndFlush(e));
        });
    }

    /** Only before it begins; what was begun is ended. */
    void callOff(UUID keeperId, UUID tankId, UUID id) {
        Tank tank = tanks.tank(keeperId, tankId);
        transaction.executeWithoutResult(status -> {
            ChosenExperiment e = one(tank, id);
            if (e.begunAt != null) {
                throw Problem.savedElsewhere(view(tank, e));
            }
            chosen.delete(e);
        });
    }

    /**
     * Writes down what one of those left open whose way back is over, from the log up to then.
     *
     * @return false when there is none
     */
    public boolean settleOne() {
        Instant back = clock.instant().minus(Experiment.RECOVERY);
        Optional<ChosenExperiment> next =
                chosen.unsettled(back, Limit.of(1)).stream().findFirst();
        next.ifPresent(e -> {
            Tank tank = tanks.tankOfAnyone(e.tankId);
            TwinBook.Described then = book.describe(tank, e.endedAt.plus(Experiment.RECOVERY));
            List<Decision.Open> open = then.fitted() ? then.open() : List.of();
            transaction.executeWithoutResult(status -> chosen.findById(e.id).ifPresent(now -> now.openAfter = open));
        });
        return next.isPresent();
    }

    private ChosenView inOne(Supplier<ChosenView> change) {
        return Objects.requireNonNull(transaction.execute(status -> change.get()));
    }

    private Optional<ChosenExperiment> current(Tank tank) {
        Instant now = clock.instant();
        return unended(tank).stream().filter(e -> e.current(now)).findFirst();
    }

    private List<ChosenExperiment> unended(Tank tank) {
        return chosen.findByTankIdInAndEndedAtIsNullOrderByPlannedFrom(List.of(tank.id()));
    }

    private ChosenExperiment one(Tank tank, UUID id) {
        return chosen.findByIdAndTankId(id, tank.id()).orElseThrow(() -> Problem.notFound("experiment"));
    }

    private static Instant time(Tank tank, @Nullable String at, Instant now) {
        return at == null ? now : LocalTimes.resolve("at", at, tank.home().zone(), now);
    }

    private static Problem refused(String field, String value, String allowed, String message) {
        return Problem.refused(new FieldError(field, value, allowed, message));
    }

    private static String littleOxygen(@Nullable Double lowest) {
        return String.format(
                Locale.ROOT,
                "Oxygen could fall to %.1f mg/L. We allow no experiment below %.0f.",
                lowest == null ? 0 : Math.floor(10 * lowest) / 10,
                OxygenLines.CAUTION);
    }

    private static Instant from(ChosenExperiment e) {
        return e.begunAt == null ? e.plannedFrom : e.begunAt;
    }

    private ChosenView view(Tank tank, ChosenExperiment e) {
        Stage stage = e.running() ? Stage.RUNNING : e.endedAt == null ? Stage.PLANNED : Stage.OVER;
        Instant late = e.plannedUntil.plus(e.kind.stops() == Experiment.Stops.LAMPS ? GRACE_OF_LAMPS : GRACE);
        return new ChosenView(
                e.id,
                e.kind,
                e.kind.label(),
                e.kind.stops(),
                stage,
                from(e),
                e.endedAt == null ? e.plannedUntil : e.endedAt,
                stage != Stage.RUNNING ? null : e.cautionAt != null && e.cautionAt.isBefore(late) ? e.cautionAt : late,
                stage == Stage.RUNNING ? shortOfOxygen(tank, e) : null,
                e.lowestOxygen,
                e.cautionAt,
                e.ended);
    }

    /** The last reading since it began, when it is below the caution line. */
    private @Nullable Double shortOfOxygen(Tank tank, ChosenExperiment e) {
        Seawater water = new Seawater(
                tank.assumptions().salinityPsu(), tank.assumptions().temperatureC());
        return readings.between(tank, Quantity.OXYGEN, Place.TANK, e.begunAt, clock.instant(), Limit.of(1)).stream()
                .map(row -> row.standard(water, tank.home().pressureHpa()).value())
                .filter(mgPerL -> mgPerL < OxygenLines.CAUTION)
                .findFirst()
                .orElse(null);
    }

    private OverView over(Tank tank, ChosenExperiment e) {
        String problem = null;
        List<Decision.Open> after = e.openAfter;
        if (after == null) {
            TwinBook.Described now = book.describe(tank);
            problem = now.fitted() ? null : now.problem();
            after = now.fitted() ? now.open() : List.of();
        }
        List<Decision.Open> then = after;
        List<FindingView> findings = e.promised.stream()
                .sorted(Comparator.comparingDouble(Promised::narrowing).reversed())
                .map(p -> finding(p, of(e.openBefore, p.decision()), of(then, p.decision())))
                .toList();
        return new OverView(view(tank, e), e.openAfter != null, problem, findings);
    }

    private static Decision.@Nullable Open of(List<Decision.Open> all, Decision decision) {
        return all.stream().filter(o -> o.decision() == decision).findFirst().orElse(null);
    }

    private static FindingView finding(
            Promised promised, Decision.@Nullable Open before, Decision.@Nullable Open after) {
        return new FindingView(
                promised.decision(),
                promised.decision().label(),
                promised.narrowing(),
                before == null ? null : before.value(),
                after == null ? null : after.value(),
                before == null || after == null || after.value() == null ? null : after.narrowedSince(before));
    }
}
