package jollytide.server.twin;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import jollytide.core.air.Enclosure;
import jollytide.core.air.Enclosure.Door;
import jollytide.core.air.IntakeAir;
import jollytide.core.air.RoomAir;
import jollytide.core.description.DailyAir;
import jollytide.core.description.RoomCourse;
import jollytide.core.description.RoomDay;
import jollytide.core.description.Setup;
import jollytide.core.evidence.Observation;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.evidence.Trace;
import jollytide.core.fit.LogFit;
import jollytide.core.fit.LogFit.LoggedDay;
import jollytide.core.fit.LogFit.Window;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Surroundings;
import jollytide.core.media.MediaAssumptions;
import jollytide.core.reef.Evaporation;
import jollytide.core.reef.Fish;
import jollytide.core.reef.Life;
import jollytide.core.reef.LightClock;
import jollytide.core.reef.MetabolicParameters;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.seawater.Seawater;
import jollytide.core.staircase.Assumptions;
import jollytide.core.twin.TwinState;
import jollytide.core.units.AlkalinityUnit;
import jollytide.server.event.EventKind;
import jollytide.server.event.EventService;
import jollytide.server.event.EventView;
import jollytide.server.reading.HalfHour;
import jollytide.server.reading.LogSnapshot;
import jollytide.server.reading.LogSnapshots;
import jollytide.server.reading.ReadingRow;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankParts;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Describes a keeper's tank to the twin: what is measured, what is described, what is fitted, what is assumed. What it
 * needs of the log is read first; nothing is computed while a connection is held.
 */
@Component
public class TwinBook {
    private static final Duration LOOKED_BACK = Duration.ofDays(14);
    private static final Duration TWO_MONTHS = Duration.ofDays(60);
    private static final Duration MIDDLE = Duration.ofMinutes(15);
    /** The last hours before a switch of the lamps, in which a tank shows what it does in the dark or in the light. */
    private static final Duration BEFORE = Duration.ofHours(2);

    private static final int LEAST_DAYS = 3;
    /** Common practice: two days. */
    private static final Duration SETTLING = Duration.ofDays(2);

    private static final Set<EventKind> CHANGES_THE_TANK =
            EnumSet.of(EventKind.REMEDY, EventKind.FAULT, EventKind.MAINTENANCE);
    /** One standard deviation of what tanks of one kind breathe, as a factor: ln-sd 0.5. From memory. */
    private static final double UNKNOWN_FACTOR = 1.65;

    /** The air over a tank, for evaporation. From memory. */
    private static final double AIR_C = 21;

    private static final double AIR_HUMIDITY = 0.5;
    private static final double ROOM_ASSUMED_PPM = 800;
    /** Readings of room and intake further apart are of different airs. From memory. */
    private static final Duration SAME_AIR = Duration.ofHours(1);

    private final LogSnapshots log;
    private final EventService events;
    private final Clock clock;
    /** A home of sixty tanks, the most that one may have, is remembered whole. */
    private final Recent<Settling, TwinState> settled = new Recent<>(400);

    private final Recent<Fitting, LogFit.Fit> fits = new Recent<>(130);
    private final Recent<AsItIs, List<TwinState>> ahead = new Recent<>(12);

    TwinBook(LogSnapshots log, EventService events, Clock clock) {
        this.log = log;
        this.events = events;
        this.clock = clock;
    }

    private record Settling(Setup setup, MetabolicParameters living, Instant at) {}

    private record AsItIs(Settling from, Duration length) {}

    private record Fitting(Setup setup, List<LoggedDay> days, RoomCourse room) {}

    /**
     * A tank as the twin knows it.
     *
     * @param start the last local midnight: from there forecasts run
     * @param troughPh mean of the whole days since the tank last changed; null without such days
     * @param tanks that could be behind the log
     * @param fitted false when there is no log to fit to, or no plausible tank fits it
     * @param problem why it is not fitted, or what contradicts the description; null when nothing is to be said
     */
    public record Described(
            Setup setup,
            Instant start,
            boolean alkalinityMeasured,
            boolean roomMeasured,
            @Nullable Double troughPh,
            @Nullable Double peakPh,
            int daysUsed,
            List<MetabolicParameters> tanks,
            boolean fitted,
            @Nullable String problem) {}

    /** The tank now, fitted to its log. */
    public Described describe(Tank tank) {
        return Objects.requireNonNull(describe(List.of(tank)).get(tank.id()));
    }

    /** Several tanks now, each fitted to its log. */
    public Map<UUID, Described> describe(List<Tank> tanks) {
        Instant now = clock.instant();
        Map<UUID, LogSnapshot> logs = log.of(tanks, now.minus(LOOKED_BACK), now);
        Map<UUID, List<EventView>> happened = events.between(tanks, now.minus(LOOKED_BACK), now);
        Map<UUID, Described> known = tanks.parallelStream()
                .collect(Collectors.toConcurrentMap(
                        Tank::id,
                        tank -> describe(
                                tank,
                                Objects.requireNonNull(logs.get(tank.id())),
                                happened.getOrDefault(tank.id(), List.of()))));
        Map<UUID, Described> inOrder = new LinkedHashMap<>();
        tanks.forEach(tank -> inOrder.put(tank.id(), Objects.requireNonNull(known.get(tank.id()))));
        return inOrder;
    }

    private Described describe(Tank tank, LogSnapshot ofTank, List<EventView> happened) {
        Instant now = ofTank.at();
        Known known = known(tank, ofTank);
        Instant since = asItIsSince(happened, now);
        List<LoggedDay> days = wholeDays(tank, ofTank, happened, since);
        boolean enough = days.size() >= LEAST_DAYS;
        LogFit.Fit fit = enough
                ? fits.of(
                        new Fitting(known.setup(), days, roomCourse(ofTank, known.setup())),
                        f -> LogFit.of(f.setup(), f.days(), f.room()))
                : new LogFit.Fit(
                        List.of(),
                        tooFew(
                                days,
                                happened,
                                since,
                                wholeDays(tank, ofTank, happened, ago(now)).size()));
        return new Described(
                known.setup(),
                start(tank, now),
                known.alkalinityMeasured(),
                known.roomMeasured(),
                enough
                        ? days.stream()
                                .mapToDouble(LoggedDay::troughPh)
                                .average()
                                .orElseThrow()
                        : null,
                enough ? days.stream().mapToDouble(LoggedDay::peakPh).average().orElseThrow() : null,
                days.size(),
                fit.tanks().isEmpty() ? unfitted(tank) : fit.tanks(),
                !fit.tanks().isEmpty(),
                fit.problem());
    }

    private static Instant ago(Instant now) {
        return now.minus(LOOKED_BACK);
    }

    /** Why there is nothing to fit to: what is true of this log. */
    private static @Nullable String tooFew(List<LoggedDay> days, List<EventView> happened, Instant since, int inAll) {
        if (inAll == 0) {
            return null;
        }
        String logged = inAll == 1 ? "1 whole day" : inAll + " whole days";
        return happened.stream()
                .filter(e -> CHANGES_THE_TANK.contains(e.kind()))
                .filter(e -> e.at().plus(SETTLING).equals(since))
                .findFirst()
                .map(e -> "The last fortnight has " + logged + " of pH, but only " + days.size() + " since “"
                        + e.title() + "” and two days of settling; three are needed.")
                .orElse("The log has " + logged + " of pH in the last fortnight; three are needed.");
    }

    /** Of a tank whose log says nothing only its kind is known: a band around it, never a single answer. */
    private static List<MetabolicParameters> unfitted(Tank tank) {
        MetabolicParameters likely = MetabolicParameters.of(tank.parts().lives());
        return List.of(
                likely,
                new MetabolicParameters(
                        1,
                        likely.respirationMmolPerLPerH() / UNKNOWN_FACTOR,
                        likely.photosynthesisMmolPerLPerH() / UNKNOWN_FACTOR),
                new MetabolicParameters(
                        1,
                        likely.respirationMmolPerLPerH() * UNKNOWN_FACTOR,
                        likely.photosynthesisMmolPerLPerH() * UNKNOWN_FACTOR));
    }

    /** What measures are set for. */
    Surroundings surroundings(Tank tank) {
        return surroundings(tank, setup(tank), MediaAssumptions.DEFAULT);
    }

    /** @param media assumed, or taught by this tank's own fills */
    static Surroundings surroundings(Tank tank, Setup setup, MediaAssumptions media) {
        return surroundings(tank, setup, tank.room().volumeM3(), media);
    }

    /** A tank that nobody keeps, in a room of such a volume; null when it is not known. */
    public static Surroundings surroundings(Tank tank, Setup setup, @Nullable Double roomM3) {
        return surroundings(tank, setup, roomM3, MediaAssumptions.DEFAULT);
    }

    private static Surroundings surroundings(Tank tank, Setup setup, @Nullable Double roomM3, MediaAssumptions media) {
        return new Surroundings(
                setup,
                roomM3,
                media,
                Evaporation.litresPerDay(tank.surfaceM2(), setup.water().temperatureC(), AIR_C, AIR_HUMIDITY, 0));
    }

    /** The setup alone, and when its forecasts start. */
    public Setup setup(Tank tank) {
        Instant now = clock.instant();
        Map<UUID, LogSnapshot> logs = log.of(List.of(tank), now.minus(LOOKED_BACK), now);
        return known(tank, Objects.requireNonNull(logs.get(tank.id()))).setup();
    }

    public Instant start(Tank tank) {
        return start(tank, clock.instant());
    }

    /** One tank settled in its setup; the last ones are remembered, for a slider asks for the same again and again. */
    public TwinState settled(Setup setup, MetabolicParameters living, Instant at) {
        return settled.of(new Settling(setup, living, at), s -> new OrdinaryDays(s.setup(), s.living()).today(s.at()));
    }

    /** The run from there with nothing changed: every slider is drawn beside it. */
    List<TwinState> asItIs(Setup setup, MetabolicParameters living, Instant at, Duration length) {
        return ahead.of(
                new AsItIs(new Settling(setup, living, at), length),
                a -> new OrdinaryDays(setup, living).run(settled(setup, living, at), MeasureSet.NONE, a.length()));
    }

    private static Instant start(Tank tank, Instant now) {
        ZoneId zone = tank.home().zone();
        return LocalDate.ofInstant(now, zone).atStartOfDay(zone).toInstant();
    }

    /** What the log knows for a setup. */
    private record Known(Setup setup, boolean alkalinityMeasured, boolean roomMeasured) {}

    private Known known(Tank tank, LogSnapshot ofTank) {
        Assumptions assumed = tank.assumptions();
        double pressure = tank.home().pressureHpa();
        Seawater typical = new Seawater(assumed.salinityPsu(), assumed.temperatureC());
        double temperature = ofTank.latest(Quantity.TEMPERATURE, Place.TANK, Duration.ofDays(2))
                .map(row -> row.standard(typical, pressure).value())
                .orElse(assumed.temperatureC());
        double salinity = ofTank.latest(Quantity.SALINITY, Place.TANK, TWO_MONTHS)
                .map(row -> row.standard(typical, pressure).value())
                .orElse(assumed.salinityPsu());
        Seawater water = new Seawater(salinity, temperature);
        Optional<Double> measured = ofTank.latest(Quantity.ALKALINITY, Place.TANK, TWO_MONTHS)
                .map(row -> row.standard(water, pressure).value());
        double alkalinity = measured.orElse(AlkalinityUnit.DKH.toMeqPerL(assumed.normalAlkalinityDkh()));
        Optional<DailyAir> room = room(tank, ofTank, water, pressure);
        double changesPerH =
                RoomAir.airChangesPerH(tank.room().airChangesPerH()).value();
        RoomDay day = room.map(air -> RoomDay.of(air, assumed.outdoorPpm(), changesPerH))
                .orElseGet(() -> estimatedRoom(tank, assumed.outdoorPpm(), changesPerH));
        Setup setup = setup(
                tank,
                water,
                alkalinity,
                pressure,
                day,
                outdoorShare(tank, ofTank, water, pressure),
                tank.home().zone());
        return new Known(setup, measured.isPresent(), room.isPresent());
    }

    /** What CO2 at the intake says of a hose, beside what the room's meter said then. Null where one of them is missing. */
    private static @Nullable Double outdoorShare(Tank tank, LogSnapshot ofTank, Seawater water, double pressure) {
        ReadingRow intake =
                ofTank.latest(Quantity.CO2, Place.INTAKE, LOOKED_BACK).orElse(null);
        if (intake == null) {
            return null;
        }
        double outdoors = ofTank.latest(Quantity.CO2, Place.OUTDOORS, LOOKED_BACK)
                .map(row -> row.standard(water, pressure).value())
                .orElse(tank.assumptions().outdoorPpm());
        Function<HalfHour, Duration> apart =
                h -> Duration.between(h.start().plus(MIDDLE), intake.at()).abs();
        return ofTank.halfHours(Quantity.CO2, Place.ROOM).stream()
                .filter(h -> apart.apply(h).compareTo(SAME_AIR) <= 0)
                .min(Comparator.comparing(apart))
                .map(h -> IntakeAir.outdoorShare(
                        h.unit().toStandard(h.mean(), water, pressure),
                        intake.standard(water, pressure).value(),
                        outdoors))
                .filter(OptionalDouble::isPresent)
                .map(OptionalDouble::getAsDouble)
                .orElse(null);
    }

    /** A room that nobody measured: from who lives in it, or an ordinary one where its volume is not known either. */
    private static RoomDay estimatedRoom(Tank tank, double outdoorPpm, double changesPerH) {
        Double volume = tank.room().volumeM3();
        return volume == null || tank.room().people().nobody()
                ? RoomDay.of(DailyAir.constant(ROOM_ASSUMED_PPM), outdoorPpm, changesPerH)
                : RoomDay.ofPeople(tank.room().people(), volume, changesPerH, outdoorPpm);
    }

    /**
     * A described tank in such water and air.
     *
     * @param outdoorShare of what is breathed at the skimmer's intake, as its CO2 says; null when not measured
     */
    public static Setup setup(
            Tank tank,
            Seawater water,
            double alkalinity,
            double pressureHpa,
            RoomDay room,
            @Nullable Double outdoorShare,
            ZoneId zone) {
        TankParts parts = tank.parts();
        return new Setup(
                tank.netVolumeL(),
                water,
                alkalinity,
                pressureHpa,
                tank.openings(),
                enclosure(parts.canopy()),
                enclosure(parts.cabinet()),
                tank.skimmer(),
                Boolean.TRUE.equals(parts.skimmerInCabinet()),
                parts.fixedLine(outdoorShare),
                tank.assumptions().outdoorPpm(),
                room,
                tank.light(),
                life(parts),
                parts.source(),
                parts.calciumReactor(),
                refugium(parts, tank.light()),
                zone,
                tank.withoutMains());
    }

    private static @Nullable Enclosure enclosure(@Nullable Door door) {
        return door == null ? null : new Enclosure(door.exchangeLPerH());
    }

    private static @Nullable LightClock refugium(TankParts parts, LightClock lamps) {
        TankParts.RefugiumPart algae = parts.refugium();
        return algae == null
                ? null
                : new LightClock(
                        LocalTime.parse(algae.on()), LocalTime.parse(algae.off()), lamps.followsClockChanges(), 0);
    }

    private static Life life(TankParts parts) {
        Double use = parts.alkalinityUseDkhPerDay();
        TankParts.RefugiumPart algae = parts.refugium();
        return new Life(
                MetabolicParameters.ORDINARY.respirationMmolPerLPerH(),
                MetabolicParameters.ORDINARY.photosynthesisMmolPerLPerH(),
                Life.ASSUMED_SATURATION,
                algae == null ? 0 : algae.mmolPerH(),
                parts.fishes(),
                Fish.ACTIVE,
                use == null ? 0 : AlkalinityUnit.DKH.toMeqPerL(use),
                1);
    }

    /** The room by hours, from the last fortnight; empty unless every hour was measured. */
    private Optional<DailyAir> room(Tank tank, LogSnapshot ofTank, Seawater water, double pressure) {
        ZoneId zone = tank.home().zone();
        double[] sum = new double[24];
        int[] n = new int[24];
        for (HalfHour h : ofTank.halfHours(Quantity.CO2, Place.ROOM)) {
            int hour = h.start().atZone(zone).getHour();
            sum[hour] += h.unit().toStandard(h.mean(), water, pressure);
            n[hour]++;
        }
        if (IntStream.of(n).anyMatch(count -> count == 0)) {
            return Optional.empty();
        }
        return Optional.of(
                new DailyAir(IntStream.range(0, 24).mapToObj(h -> sum[h] / n[h]).toList()));
    }

    /** Since when the tank is what it is now: the last hardware event and two days for settling, a fortnight at most. */
    private static Instant asItIsSince(List<EventView> happened, Instant now) {
        return happened.stream()
                .filter(e -> CHANGES_THE_TANK.contains(e.kind()))
                .map(e -> e.at().plus(SETTLING))
                .max(Comparator.naturalOrder())
                .orElse(now.minus(LOOKED_BACK));
    }

    /** Trough and peak, NBS scale, of each day that was logged closely and that its keeper did not leave out. */
    private static List<LoggedDay> wholeDays(Tank tank, LogSnapshot ofTank, List<EventView> happened, Instant since) {
        ZoneId zone = tank.home().zone();
        Assumptions assumed = tank.assumptions();
        Seawater water = new Seawater(assumed.salinityPsu(), assumed.temperatureC());
        double pressure = tank.home().pressureHpa();
        LocalDate first = LocalDate.ofInstant(since, zone).plusDays(1);
        LocalDate today = LocalDate.ofInstant(ofTank.at(), zone);
        Map<LocalDate, List<Observation>> byDay = new TreeMap<>();
        for (HalfHour h : ofTank.halfHours(Quantity.PH, Place.TANK)) {
            LocalDate day = LocalDate.ofInstant(h.start(), zone);
            if (!day.isBefore(first) && day.isBefore(today)) {
                double ph = h.unit().toStandard(h.mean(), water, pressure);
                byDay.computeIfAbsent(day, d -> new ArrayList<>())
                        .add(new Observation(ph, h.method(), h.start().plus(MIDDLE)));
            }
        }
        return byDay.entrySet().stream()
                .filter(e -> Trace.tellsItsExtremes(e.getValue().size()))
                .map(e -> loggedDay(tank, e.getKey(), e.getValue()))
                .filter(day -> happened.stream().noneMatch(e -> e.excludes(day.start(), day.end())))
                .toList();
    }

    private static LoggedDay loggedDay(Tank tank, LocalDate day, List<Observation> readings) {
        ZoneId zone = tank.home().zone();
        Instant start = day.atStartOfDay(zone).toInstant();
        Instant end = day.plusDays(1).atStartOfDay(zone).toInstant();
        Trace.Extremes extremes = Trace.extremes(readings).orElseThrow();
        Observation trough = extremes.trough();
        Observation peak = extremes.peak();
        // Lamps that never switch leave the extremes themselves.
        boolean switches = tank.light().switches();
        Instant on = switches
                ? tank.light().lastOn(end.minusMillis(1), zone)
                : trough.at().plus(BEFORE.dividedBy(2));
        Instant off = switches
                ? tank.light().lastOff(end.minusMillis(1), zone)
                : peak.at().plus(BEFORE.dividedBy(2));
        return new LoggedDay(
                start,
                end,
                trough.value(),
                peak.value(),
                window(on, readings, trough.value()),
                window(off, readings, peak.value()));
    }

    private static Window window(Instant until, List<Observation> readings, double otherwise) {
        Instant from = until.minus(BEFORE);
        double ph = readings.stream()
                .filter(o -> !o.at().isBefore(from) && o.at().isBefore(until))
                .mapToDouble(Observation::value)
                .average()
                .orElse(otherwise);
        return new Window(from, until, ph);
    }

    /** The room hour by hour as it was logged in the last fortnight. */
    private static RoomCourse roomCourse(LogSnapshot ofTank, Setup setup) {
        Instant from = ago(ofTank.at()).truncatedTo(ChronoUnit.HOURS);
        int hours = (int) Duration.between(from, ofTank.at()).toHours() + 1;
        double[] sum = new double[hours];
        int[] n = new int[hours];
        for (HalfHour h : ofTank.halfHours(Quantity.CO2, Place.ROOM)) {
            int i = (int) Duration.between(from, h.start()).toHours();
            if (i >= 0 && i < hours) {
                sum[i] += h.unit().toStandard(h.mean(), setup.water(), setup.pressureHpa());
                n[i]++;
            }
        }
        return new RoomCourse(
                from.plus(MIDDLE.multipliedBy(2)),
                IntStream.range(0, hours)
                        .mapToObj(i -> n[i] == 0 ? Double.NaN : sum[i] / n[i])
                        .toList());
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
