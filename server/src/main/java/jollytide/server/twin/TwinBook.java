package jollytide.server.twin;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Collections;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import jollytide.core.description.TankParameters;
import jollytide.core.dosingline.KnownUse;
import jollytide.core.evidence.Estimate;
import jollytide.core.evidence.Method;
import jollytide.core.exchange.SettlingTime;
import jollytide.core.fit.Decision;
import jollytide.core.fit.Edges;
import jollytide.core.fit.Experiment;
import jollytide.core.fit.FittedTank;
import jollytide.core.fit.Priors;
import jollytide.core.fit.TankLog;
import jollytide.core.fit.TwinFit;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Setup;
import jollytide.core.measure.Surroundings;
import jollytide.core.media.MediaAssumptions;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.twin.TwinState;
import jollytide.core.units.InputException;
import jollytide.server.event.EventService;
import jollytide.server.event.EventView;
import jollytide.server.reading.LogSnapshot;
import jollytide.server.reading.LogSnapshots;
import jollytide.server.tank.ChapterBook;
import jollytide.server.tank.Tank;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Describes a keeper's tank to the twin: what is measured, what is described, what is fitted, what is assumed. What it
 * needs of the log is read first; nothing is computed while a connection is held.
 */
@Component
public class TwinBook {
    /** Half hours are means of many readings; a glance at a kit is no such. */
    public static final Set<Method> PROBES =
            Collections.unmodifiableSet(EnumSet.of(Method.PROBE, Method.PROBE_CHECKED, Method.METER));

    public static final Duration LOOKED_BACK = Duration.ofDays(14);
    /** A day is at most so long, when the clocks go back. */
    private static final Duration TODAY = Duration.ofHours(25);
    /** Of half an hour. */
    static final Duration MIDDLE = Duration.ofMinutes(15);

    private final LogSnapshots log;
    private final EventService events;
    private final ChapterBook chapters;
    private final Dosed dosed;
    private final FitStore store;
    private final Clock clock;
    /** A home of sixty tanks, the most that one may have, is remembered whole. */
    private final Recent<Settling, TwinState> settled = new Recent<>(400);

    private final Recent<Fitting, Fitted> fits = new Recent<>(130);
    private final Recent<AsItIs, List<TwinState>> ahead = new Recent<>(12);

    TwinBook(LogSnapshots log, EventService events, ChapterBook chapters, Dosed dosed, FitStore store, Clock clock) {
        this.log = log;
        this.events = events;
        this.chapters = chapters;
        this.dosed = dosed;
        this.store = store;
        this.clock = clock;
    }

    private record Settling(Setup setup, TankParameters living, Instant at) {}

    private record AsItIs(Settling from, Duration length) {}

    private record Fitting(Setup setup, TankParameters expected, TankLog log, Priors priors, Instant start) {}

    /**
     * What its log leaves of a tank.
     *
     * @param tanks at the edges of it, the most probable first
     * @param toLog false where nothing was logged, or nothing plausible is behind the log
     * @param problem what is wrong with log or description, in words; null when nothing
     */
    record Fitted(
            FittedTank tank,
            List<TankParameters> tanks,
            boolean toLog,
            @Nullable String problem) {}

    /**
     * A tank as the twin knows it.
     *
     * @param start the last local midnight: from there forecasts run
     * @param fit what its log leaves of it
     * @param problem why it is not fitted, or what contradicts the description; null when nothing is to be said
     * @param useDosed whether the use of alkalinity is from doses and tests; else as described
     * @param standing events whose measures are in the setup
     * @param troughs of the whole days since the tank is what it is now, pH; {@code peaks} likewise
     */
    public record Described(
            Setup setup,
            Instant start,
            boolean alkalinityMeasured,
            boolean roomMeasured,
            boolean useDosed,
            Fitted fit,
            @Nullable String problem,
            List<EventView> standing,
            List<Double> troughs,
            List<Double> peaks) {

        /** Whole days since the tank is what it is now. */
        public int daysUsed() {
            return troughs.size();
        }

        /** Mean of their troughs; null without such days. */
        public @Nullable Double troughPh() {
            return mean(troughs);
        }

        public @Nullable Double peakPh() {
            return mean(peaks);
        }

        private static @Nullable Double mean(List<Double> values) {
            OptionalDouble mean =
                    values.stream().mapToDouble(Double::doubleValue).average();
            return mean.isPresent() ? mean.getAsDouble() : null;
        }

        /** Tanks that could be behind the log, the most probable first. */
        public List<TankParameters> tanks() {
            return fit.tanks();
        }

        /** As {@link FittedTank#apart} gives them; none where it is not fitted. */
        public List<TankParameters> apart() {
            return fitted() ? fit.tank().apart() : List.of();
        }

        /** Null where it is not fitted. */
        public @Nullable FittedTank fittedTank() {
            return fitted() ? fit.tank() : null;
        }

        /** What is decided by, and how far it is open. */
        public List<Decision.Open> open() {
            return Decision.open(setup, tanks(), start);
        }

        /** What would tell more, ranked. */
        public List<Experiment.Promise> experiments() {
            return Experiment.ranked(setup, fit.tank(), tanks(), start);
        }

        /** False when there is no log to fit to, or nothing plausible behind it. */
        public boolean fitted() {
            return fit.toLog();
        }

        /** How little is known of the respiration without a log, as a standard deviation of its logarithm; 0 with one. */
        public double respirationLnSd() {
            return fitted() ? 0 : Priors.ASSUMED.metabolism();
        }
    }

    /** The tank now, fitted to its log. */
    public Described describe(Tank tank) {
        return Objects.requireNonNull(describe(List.of(tank)).get(tank.id()));
    }

    /** Several tanks now, each fitted to its log. */
    public Map<UUID, Described> describe(List<Tank> tanks) {
        Instant now = clock.instant();
        Map<UUID, Asked> asked = asked(chapters.stretches(tanks), now);
        Map<UUID, Fitted> fitted = fitted(asked);
        Map<UUID, Described> inOrder = new LinkedHashMap<>();
        for (Tank tank : tanks) {
            Asked one = Objects.requireNonNull(asked.get(tank.id()));
            inOrder.put(tank.id(), one.described(Objects.requireNonNull(fitted.get(tank.id()))));
        }
        return inOrder;
    }

    /**
     * A tank as it was described at a moment that has been, fitted to what was logged until then. Kept nowhere but in
     * memory.
     */
    public Described describe(Tank tank, Instant then) {
        Asked asked = Objects.requireNonNull(
                asked(Map.of(tank.id(), until(tank, then)), then).get(tank.id()));
        return asked.described(fits.of(asked.fitting(), TwinBook::fit));
    }

    /**
     * A tank as it was described at one moment that has been, but with what was changed until a later one: in the water
     * and the air of the first.
     */
    public Setup changedSince(Tank tank, Instant then, Instant since) {
        Instant from = then.minus(LOOKED_BACK).minus(TODAY);
        Tank was = chapters.at(tank, then).tank();
        LogSnapshot ofTank =
                Objects.requireNonNull(log.of(List.of(was), from, then).get(was.id()));
        List<EventView> putOn = events.standing(List.of(was), from, since).getOrDefault(was.id(), List.of());
        SetupOfTank.Known known = SetupOfTank.known(was, ofTank, putOn, use(was, then));
        Tank is = chapters.at(tank, since).tank();
        return known.as().apply(is).with(known.standing().usualAt(since));
    }

    /**
     * All that was logged of a tank between two times, for a run of it as it was described then; tests of alkalinity from
     * a fortnight around, for they are straight lines from one to the next.
     */
    public TankLog logged(Tank tank, Described as, Instant from, Instant until) {
        LogSnapshot ofTank = Objects.requireNonNull(
                log.of(List.of(tank), ago(from), until.plus(LOOKED_BACK)).get(tank.id()));
        return LogToFit.whole(ofTank, as.setup(), as.roomMeasured(), from, until);
    }

    /** All that was logged of a tank between two times, for a run of it as it was at each hour of them. */
    public TankLog loggedAsItWas(Tank tank, Instant from, Instant until) {
        List<ChapterBook.Stretch> then = until(tank, until);
        Tank was = last(then);
        LogSnapshot ofTank =
                Objects.requireNonNull(log.of(List.of(was), ago(from), until).get(tank.id()));
        List<EventView> putOn = events.standing(List.of(was), ago(from), until).getOrDefault(tank.id(), List.of());
        return LogToFit.whole(ofTank, SetupOfTank.known(was, ofTank, putOn, use(was, until)), then, from, until);
    }

    private @Nullable KnownUse use(Tank tank, Instant then) {
        return dosed.use(List.of(tank), then).get(tank.id());
    }

    private List<ChapterBook.Stretch> until(Tank tank, Instant then) {
        return chapters.stretches(tank).stream()
                .filter(c -> c.from() == null || !c.from().isAfter(then))
                .toList();
    }

    /** @param by tank, its chapters up to then */
    private Map<UUID, Asked> asked(Map<UUID, List<ChapterBook.Stretch>> by, Instant then) {
        Instant from = then.minus(LOOKED_BACK).minus(TODAY);
        List<Tank> tanks = by.values().stream().map(TwinBook::last).toList();
        Map<UUID, LogSnapshot> logs = log.of(tanks, from, then);
        Map<UUID, List<EventView>> happened = events.between(tanks, from, then);
        Map<UUID, List<EventView>> putOn = events.standing(tanks, from, then);
        Map<UUID, KnownUse> used = dosed.use(tanks, then);
        return tanks.stream()
                .collect(Collectors.toMap(
                        Tank::id,
                        tank -> Asked.of(
                                tank,
                                Objects.requireNonNull(logs.get(tank.id())),
                                happened.getOrDefault(tank.id(), List.of()),
                                putOn.getOrDefault(tank.id(), List.of()),
                                used.get(tank.id()),
                                Objects.requireNonNull(by.get(tank.id())))));
    }

    private static Tank last(List<ChapterBook.Stretch> chapters) {
        return chapters.get(chapters.size() - 1).tank();
    }

    /** From memory, else as another start or instance kept it, else found now. */
    private Map<UUID, Fitted> fitted(Map<UUID, Asked> asked) {
        Map<UUID, Fitted> fitted = new ConcurrentHashMap<>();
        Map<UUID, String> unknown = new HashMap<>();
        asked.forEach((id, one) -> fits.known(one.fitting())
                .ifPresentOrElse(
                        known -> fitted.put(id, known), () -> unknown.put(id, store.fingerprint(one.fitting()))));
        Map<UUID, Fitted> kept = store.of(unknown);
        unknown.entrySet().parallelStream().forEach(entry -> {
            UUID id = entry.getKey();
            Fitting fitting = Objects.requireNonNull(asked.get(id)).fitting();
            Fitted found = fits.of(fitting, f -> kept.containsKey(id) ? kept.get(id) : fit(f));
            if (!kept.containsKey(id)) {
                store.keep(id, entry.getValue(), found);
            }
            fitted.put(id, found);
        });
        return fitted;
    }

    /** A tank that is asked about: what its fit is made from, and what is said beside it. */
    private record Asked(
            SetupOfTank.Known known,
            LogToFit toFit,
            Fitting fitting,
            Instant at,
            @Nullable String tooLittle) {
        static Asked of(
                Tank tank,
                LogSnapshot ofTank,
                List<EventView> happened,
                List<EventView> putOn,
                @Nullable KnownUse use,
                List<ChapterBook.Stretch> chapters) {
            SetupOfTank.Known known = SetupOfTank.known(tank, ofTank, putOn, use);
            Setup setup = known.setup();
            LogToFit toFit = LogToFit.of(tank, ofTank, happened, known, chapters);
            return new Asked(
                    known,
                    toFit,
                    new Fitting(
                            setup,
                            TankParameters.of(tank.parts().lives()),
                            toFit.log(),
                            LogToFit.priors(
                                    toFit.log(), ofTank.probe(), tank.room().airChangesPerH() != null, known.use()),
                            start(tank, ofTank.at())),
                    ofTank.at(),
                    toFit.log().tells() ? null : toFit.tooLittle(tank, ofTank, setup));
        }

        Described described(Fitted fitted) {
            String unfitting = known.standing().problem();
            String ofFit = toFit.log().tells() ? fitted.problem() : tooLittle;
            return new Described(
                    known.setup(),
                    fitting.start(),
                    known.alkalinityMeasured(),
                    known.roomMeasured(),
                    known.use() != null,
                    fitted,
                    joined(unfitting, ofFit),
                    known.standing().usualEvents(at),
                    toFit.days().stream().map(day -> day.trough().value()).toList(),
                    toFit.days().stream().map(day -> day.peak().value()).toList());
        }
    }

    private static @Nullable String joined(@Nullable String... parts) {
        String all = Stream.of(parts).filter(Objects::nonNull).collect(Collectors.joining(" "));
        return all.isEmpty() ? null : all;
    }

    /** Fitted to its log; where no tank of its kind could be behind that, what its kind lets expect. */
    private static Fitted fit(Fitting f) {
        FittedTank unfitted = TwinFit.unfitted(f.setup(), f.expected(), f.log(), f.priors());
        try {
            FittedTank fitted = TwinFit.of(f.setup(), f.expected(), f.log(), f.priors(), TwinFit.Progress.NONE);
            String doubt = fitted.implausible(f.setup());
            if (doubt != null) {
                return new Fitted(unfitted, Edges.of(f.setup(), unfitted, f.start()), false, doubt);
            }
            return new Fitted(
                    fitted, Edges.of(f.setup(), fitted, f.start()), f.log().tells(), null);
        } catch (InputException nothingNear) {
            return new Fitted(unfitted, Edges.of(f.setup(), unfitted, f.start()), false, FittedTank.NO_REEF);
        }
    }

    static Instant ago(Instant now) {
        return now.minus(LOOKED_BACK);
    }

    /** What measures are set for. */
    Surroundings surroundings(Tank tank) {
        return around(tank, setup(tank), MediaAssumptions.DEFAULT);
    }

    /** The same of another setup, with what evaporates as it was measured, if it was. */
    Surroundings around(Tank tank, Setup setup, MediaAssumptions media) {
        Surroundings assumed = SetupOfTank.surroundings(tank, setup, media);
        Double measured = dosed.evaporationLPerDay(tank);
        return measured == null ? assumed : assumed.evaporating(measured);
    }

    /** As it was measured, else assumed from surface and temperature, L a day. */
    public double evaporationLPerDay(Tank tank) {
        return surroundings(tank).evaporationLPerDay();
    }

    /** Another once anything of what it is made from is another, the core itself included. */
    public String fingerprint(Object from) {
        return store.fingerprint(from);
    }

    /** The setup alone. */
    public Setup setup(Tank tank) {
        return stands(tank).setup();
    }

    /**
     * A tank as it is now.
     *
     * @param standing what was put on it
     */
    record Stands(Instant now, Setup setup, Standing standing) {
        /** With some of what stands on it taken off. */
        Setup without(Set<UUID> events) {
            List<UUID> known =
                    standing.usualEvents(now).stream().map(EventView::id).toList();
            if (!known.containsAll(events)) {
                throw new InputException(
                        "without",
                        (double) events.size(),
                        "events of active changes",
                        "A change you want to try without has already ended.");
            }
            return events.isEmpty() ? setup : setup.with(standing.usualAt(now, events));
        }
    }

    /** That, and what was put on it. */
    Stands stands(Tank tank) {
        Instant now = clock.instant();
        Instant from = now.minus(LOOKED_BACK).minus(TODAY);
        LogSnapshot ofTank =
                Objects.requireNonNull(log.of(List.of(tank), from, now).get(tank.id()));
        List<EventView> putOn = events.standing(List.of(tank), from, now).getOrDefault(tank.id(), List.of());
        SetupOfTank.Known known = SetupOfTank.known(tank, ofTank, putOn, use(tank, now));
        return new Stands(ofTank.at(), known.setup(), known.standing());
    }

    /** How long its water takes to follow a change, as it is described now: until 95 % of it has come through. */
    public Duration settling(Tank tank) {
        Setup setup = setup(tank);
        TankParameters living = TankParameters.of(tank.parts().lives());
        try {
            double hours = SettlingTime.settledH(Estimate.exact(new OrdinaryDays(setup, living)
                            .timeConstantH(settled(setup, living, start(tank)), MeasureSet.NONE)))
                    .value();
            return Duration.ofMinutes(Math.round(hours * 60));
        } catch (InputException noTank) {
            return LogToFit.SETTLING;
        }
    }

    public Instant start(Tank tank) {
        return start(tank, clock.instant());
    }

    /** One tank settled in its setup; the last ones are remembered, for a slider asks for the same again and again. */
    public TwinState settled(Setup setup, TankParameters living, Instant at) {
        return settled.of(new Settling(setup, living, at), s -> new OrdinaryDays(s.setup(), s.living()).today(s.at()));
    }

    /** A week of ordinary days from there: its last one has settled. */
    public List<TwinState> ordinary(Setup setup, TankParameters living, Instant at) {
        return asItIs(setup, living, at, Duration.ofDays(7));
    }

    /** The pH, NBS, that a tank so described reaches on an ordinary day; empty where the twin cannot run it. */
    public OptionalDouble dailyHigh(Tank tank, Setup setup) {
        try {
            TankParameters living = TankParameters.of(tank.parts().lives());
            return OptionalDouble.of(
                    OrdinaryDays.settled(ordinary(setup, living, start(tank))).peakPh());
        } catch (InputException noTank) {
            return OptionalDouble.empty();
        }
    }

    /** Runs from there with measures on, one for each of the tanks that could be behind the log. */
    public List<List<TwinState>> with(Described known, Setup setup, MeasureSet measures, Duration length) {
        return known.tanks().parallelStream()
                .map(living -> new OrdinaryDays(setup, living)
                        .run(settled(known.setup(), living, known.start()), measures, length))
                .toList();
    }

    /** The run from there with nothing changed: every slider is drawn beside it. */
    List<TwinState> asItIs(Setup setup, TankParameters living, Instant at, Duration length) {
        return ahead.of(
                new AsItIs(new Settling(setup, living, at), length),
                a -> new OrdinaryDays(setup, living).run(settled(setup, living, at), MeasureSet.NONE, a.length()));
    }

    /** The last local midnight. */
    public static Instant start(Tank tank, Instant now) {
        ZoneId zone = tank.home().zone();
        return LocalDate.ofInstant(now, zone).atStartOfDay(zone).toInstant();
    }

    /** What was computed last, by what it was computed from; the oldest falls out. */
    private static final class Recent<K, V> {
        private final Map<K, V> map;

        Recent(int most) {
            map = new LinkedHashMap<>(16, 0.75f, true) {
                private static final long serialVersionUID = 1L;

                @Override
                protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
                    return size() > most;
                }
            };
        }

        Optional<V> known(K key) {
            synchronized (map) {
                return Optional.ofNullable(map.get(key));
            }
        }

        V of(K key, Function<K, V> compute) {
            synchronized (map) {
                V known = map.get(key);
                if (known != null) {
                    return known;
                }
            }
            V value = compute.apply(key);
            synchronized (map) {
                map.put(key, value);
            }
            return value;
        }
    }
}
