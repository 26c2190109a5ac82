package jollytide.server.media;

import static jollytide.core.units.Quantities.within;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import jollytide.core.evidence.Estimate;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.measure.MediaUse;
import jollytide.core.media.Media;
import jollytide.core.media.MediaAssumptions;
import jollytide.core.media.MediaLesson;
import jollytide.core.scenario.MediaLife;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.MediaBed;
import jollytide.core.units.InputException;
import jollytide.server.home.LocalTimes;
import jollytide.server.media.MediaFill.Colour;
import jollytide.server.media.MediaFill.FillEnd;
import jollytide.server.media.MediaFill.FillIntake;
import jollytide.server.problem.Problem;
import jollytide.server.reading.HalfHour;
import jollytide.server.reading.ReadingService;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the fills of a tank, predicts their end, and learns from those that are done. */
@Service
public class MediaService {
    private static final Duration A_QUARTER = Duration.ofDays(90);
    private static final Duration ABOUT = Duration.ofDays(1);

    /** Room air assumed where none was measured while a fill was in use, dry ppm. */
    private static final double ROOM_ASSUMED_PPM = 800;
    /** The skimmer's exhaust: water of an ordinary reef. From memory. */
    private static final double EXHAUST_ASSUMED_PPM = 650;
    /** Hours a day that a gate is open where nobody knows. From memory. */
    private static final double GATE_ASSUMED_H = 10;

    private final MediaFills fills;
    private final TankService tanks;
    private final ReadingService readings;
    private final Clock clock;

    MediaService(MediaFills fills, TankService tanks, ReadingService readings, Clock clock) {
        this.fills = fills;
        this.tanks = tanks;
        this.readings = readings;
        this.clock = clock;
    }

    /**
     * What is assumed of media on this tank.
     *
     * @param learnt whether its own fills taught the capacity
     */
    public record Capacity(MediaAssumptions assumed, boolean learnt) {}

    /** How far the colour had moved up the column. */
    public record ColourView(Instant at, double changedShare) {}

    /** What asks for a change. */
    public enum Because {
        COLOUR,
        SPENT,
        DROWNED,
        NOTHING_WITHIN_A_YEAR
    }

    /**
     * What is ahead of the fill that is in use.
     *
     * @param usedShare of its capacity by now
     * @param waterPerGram by now; over {@code drownedAt} it has stopped
     * @param daysLeft until then
     * @param ends when, between the early and the late side, seconds since 1970
     * @param colourAt when to change it by colour; null when it never gets there
     * @param changeAt the one date that counts: by colour once a colour was read, else the early side of its end
     * @param changeBecause COLOUR, or how it ends
     * @param drownedSince since when it has stopped; null while it works
     * @param daysByCo2 that its capacity alone lasts from now
     * @param ppm of CO2 in the fresh air that is computed with
     * @param ppmMeasured whether that is from the log
     */
    public record Ahead(
            double usedShare,
            double waterPerGram,
            double drownedAt,
            MediaLife.End end,
            double daysLeft,
            Estimate ends,
            @Nullable Instant colourAt,
            Instant changeAt,
            Because changeBecause,
            @Nullable Instant drownedSince,
            double daysByCo2,
            double ppm,
            boolean ppmMeasured) {}

    /**
     * A fill.
     *
     * @param chokes whether it stops the air once it is soaked; null when not known
     * @param co2L that had passed it by its last colour, litres; null without a colour
     * @param ahead null once it has ended, or without a skimmer that draws air
     */
    public record FillView(
            UUID id,
            long version,
            Instant filledAt,
            double massKg,
            FillIntake intake,
            double freshShare,
            MediaUse.Hours hours,
            @Nullable Double gatePh,
            boolean driesBetween,
            @Nullable Boolean chokes,
            @Nullable Instant endedAt,
            @Nullable FillEnd endedBy,
            List<ColourView> colours,
            @Nullable Double co2L,
            @Nullable Ahead ahead) {}

    /** All fills, the newest first, and what they taught. */
    public record MediaView(List<FillView> fills, double capacityLPerKg, boolean capacityLearnt, boolean skimmer) {}

    public MediaView list(UUID keeperId, UUID tankId) {
        Tank tank = tanks.tank(keeperId, tankId);
        List<MediaFill> all = fills.findAllOf(tank.id());
        Capacity capacity = capacity(tank, all);
        return new MediaView(
                all.stream().map(fill -> view(tank, fill, capacity)).toList(),
                capacity.assumed().capacityLPerKg(),
                capacity.learnt(),
                tank.skimmerAirDrawLPerH() != null);
    }

    /** How media are used; {@code gatePh} is read with BELOW_PH only. */
    public record InUse(
            double massKg,
            MediaUse.Hours hours,
            double freshShare,
            @Nullable Double gatePh,
            boolean driesBetween) {}

    /** Of the fill that is in; null where none is. */
    public @Nullable InUse inUse(Tank tank) {
        return fills.findAllOf(tank.id()).stream()
                .filter(fill -> fill.endedAt == null)
                .findFirst()
                .map(fill -> new InUse(fill.massKg, fill.hours, fill.freshShare, fill.gatePh, fill.driesBetween))
                .orElse(null);
    }

    /** Grams of media that are used up a day: of the fill that is in, else of those of the last quarter. */
    public double gPerDay(Tank tank) {
        Instant now = clock.instant();
        List<MediaFill> all = fills.findAllOf(tank.id());
        Capacity capacity = capacity(tank, all);
        double running = 0;
        double lately = 0;
        for (MediaFill fill : all) {
            Ahead ahead = view(tank, fill, capacity).ahead();
            if (ahead != null) {
                running += 1000 * fill.massKg / Math.max(1, days(fill.filledAt, ahead.changeAt()));
            }
            if (fill.filledAt.isAfter(now.minus(A_QUARTER))) {
                lately += 1000 * fill.massKg / A_QUARTER.toDays();
            }
        }
        return running > 0 ? running : lately;
    }

    /** How long the fill lasted, or will, that was put in about then, days; null where none was. */
    public @Nullable Double lasted(Tank tank, Instant about) {
        List<MediaFill> all = fills.findAllOf(tank.id());
        Capacity capacity = capacity(tank, all);
        for (MediaFill fill : all) {
            if (Duration.between(about, fill.filledAt).abs().compareTo(ABOUT) <= 0) {
                Ahead ahead = view(tank, fill, capacity).ahead();
                Instant until = fill.endedAt != null ? fill.endedAt : ahead == null ? null : ahead.changeAt();
                return until == null ? null : Double.valueOf(Math.max(1, days(fill.filledAt, until)));
            }
        }
        return null;
    }

    public Capacity capacity(Tank tank) {
        return capacity(tank, fills.findAllOf(tank.id()));
    }

    @Transactional
    public FillView fill(UUID keeperId, UUID tankId, NewFill body) {
        Tank tank = tanks.tank(keeperId, tankId);
        new Media(body.massKg(), MediaAssumptions.DEFAULT);
        List<MediaFill> all = fills.findAllOf(tank.id());
        MediaFill fill = new MediaFill();
        fill.id = UUID.randomUUID();
        fill.tankId = tank.id();
        fill.filledAt = LocalTimes.resolve("at", body.at(), tank.home().zone(), clock.instant());
        fill.massKg = body.massKg();
        fill.intake = body.intake();
        fill.freshShare = within("freshShare", body.freshShare(), 0, 1, "");
        fill.hours = body.hours();
        fill.gatePh = body.gatePh() == null ? null : within("gatePh", body.gatePh(), 7, 9, "pH");
        fill.driesBetween = body.driesBetween();
        fill.chokes = body.chokes();
        // A new fill ends the one before it.
        all.stream()
                .filter(before -> before.endedAt == null && before.filledAt.isBefore(fill.filledAt))
                .forEach(before -> end(before, fill.filledAt, FillEnd.EARLY));
        return view(tank, fills.save(fill), capacity(tank, all));
    }

    @Transactional
    public FillView colour(UUID keeperId, UUID tankId, UUID fillId, String at, double changedShare) {
        Tank tank = tanks.tank(keeperId, tankId);
        MediaFill fill = fill(tank, fillId);
        Instant moment = LocalTimes.resolve("at", at, tank.home().zone(), clock.instant());
        within("changedShare", changedShare, 0, 1, "of the column");
        if (moment.isBefore(fill.filledAt)) {
            throw new InputException(
                    "at", moment.getEpochSecond(), "after the fill", "The colour was read before the fill.");
        }
        fill.colours.removeIf(colour -> colour.at.equals(moment));
        fill.colours.add(new Colour(moment, changedShare));
        fills.flush();
        return view(tank, fill, capacity(tank));
    }

    @Transactional
    public FillView end(UUID keeperId, UUID tankId, UUID fillId, String at, FillEnd by) {
        Tank tank = tanks.tank(keeperId, tankId);
        MediaFill fill = fill(tank, fillId);
        Instant moment = LocalTimes.resolve("at", at, tank.home().zone(), clock.instant());
        if (moment.isBefore(fill.filledAt)) {
            throw new InputException(
                    "at", moment.getEpochSecond(), "after the fill", "The media were removed before the fill.");
        }
        end(fill, moment, by);
        return view(tank, fill, capacity(tank));
    }

    /** Undo of an end. */
    @Transactional
    public FillView reopen(UUID keeperId, UUID tankId, UUID fillId) {
        Tank tank = tanks.tank(keeperId, tankId);
        MediaFill fill = fill(tank, fillId);
        fill.endedAt = null;
        fill.endedBy = null;
        return view(tank, fill, capacity(tank));
    }

    @Transactional
    public void delete(UUID keeperId, UUID tankId, UUID fillId) {
        fills.delete(fill(tanks.tank(keeperId, tankId), fillId));
    }

    private MediaFill fill(Tank tank, UUID id) {
        return fills.findByIdAndTankId(id, tank.id()).orElseThrow(() -> Problem.notFound("fill"));
    }

    private static void end(MediaFill fill, Instant at, FillEnd by) {
        fill.endedAt = at;
        fill.endedBy = by;
    }

    private Capacity capacity(Tank tank, List<MediaFill> all) {
        Double draw = tank.skimmerAirDrawLPerH();
        List<MediaLesson> lessons = new ArrayList<>();
        for (MediaFill fill : all) {
            if (draw != null && !fill.colours.isEmpty() && fill.endedBy != FillEnd.DROWNED) {
                Colour last = fill.colours.get(fill.colours.size() - 1);
                lessons.add(new MediaLesson(fill.massKg, passedL(tank, fill, draw, last.at), last.changedShare));
            }
        }
        Optional<Double> learnt = MediaLesson.capacity(lessons);
        return new Capacity(
                learnt.map(MediaAssumptions.DEFAULT::withCapacity).orElse(MediaAssumptions.DEFAULT),
                learnt.isPresent());
    }

    /** Litres of CO2 that the air through a fill carried until then. */
    private double passedL(Tank tank, MediaFill fill, double draw, Instant until) {
        Media media = new Media(fill.massKg, MediaAssumptions.DEFAULT);
        return life(tank, fill, draw, media, freshPpm(tank, fill, until).ppm()).carriedL(days(fill.filledAt, until));
    }

    private record Ppm(double ppm, boolean measured) {}

    private Ppm freshPpm(Tank tank, MediaFill fill, Instant until) {
        if (fill.intake == FillIntake.OUTDOORS) {
            return new Ppm(tank.assumptions().outdoorPpm(), false);
        }
        Seawater water = water(tank);
        List<HalfHour> room = readings.halfHours(tank, Quantity.CO2, Place.ROOM, fill.filledAt, until);
        return room.isEmpty()
                ? new Ppm(ROOM_ASSUMED_PPM, false)
                : new Ppm(
                        room.stream()
                                .mapToDouble(h -> h.mean(water, tank.home().pressureHpa()))
                                .average()
                                .orElseThrow(),
                        true);
    }

    private static Seawater water(Tank tank) {
        return new Seawater(tank.assumptions().salinityPsu(), tank.assumptions().temperatureC());
    }

    private static double hoursPerDay(Tank tank, MediaFill fill) {
        double litHours = tank.light().litHours();
        return switch (fill.hours) {
            case ALWAYS -> 24;
            case LAMPS_ON -> Math.max(0.5, litHours);
            case LAMPS_OFF -> Math.max(0.5, 24 - litHours);
            case BELOW_PH -> GATE_ASSUMED_H;
        };
    }

    private FillView view(Tank tank, MediaFill fill, Capacity capacity) {
        Double draw = tank.skimmerAirDrawLPerH();
        Colour last = fill.colours.isEmpty() ? null : fill.colours.get(fill.colours.size() - 1);
        return new FillView(
                fill.id,
                fill.version,
                fill.filledAt,
                fill.massKg,
                fill.intake,
                fill.freshShare,
                fill.hours,
                fill.gatePh,
                fill.driesBetween,
                fill.chokes,
                fill.endedAt,
                fill.endedBy,
                fill.colours.stream()
                        .map(c -> new ColourView(c.at, c.changedShare))
                        .toList(),
                last == null || draw == null ? null : passedL(tank, fill, draw, last.at),
                draw == null || fill.endedAt != null ? null : ahead(tank, fill, draw, capacity));
    }

    private Ahead ahead(Tank tank, MediaFill fill, double draw, Capacity capacity) {
        Instant now = clock.instant();
        Ppm fresh = freshPpm(tank, fill, now);
        Media media = new Media(fill.massKg, capacity.assumed());
        MediaLife life = life(tank, fill, draw, media, fresh.ppm());
        Media.State state = stateNow(life, fill, now);
        MediaLife.Life rest = life.from(state);
        double low = Math.min(rest.endDay(), restDays(tank, fill, draw, fresh.ppm(), true, capacity, now));
        double high = Math.max(rest.endDay(), restDays(tank, fill, draw, fresh.ppm(), false, capacity, now));
        Double colour = rest.colourDay();
        Instant colourAt = colour == null ? null : Instant.ofEpochSecond((long) at(now, colour));
        boolean byColour = colourAt != null && !fill.colours.isEmpty() && rest.end() != MediaLife.End.DROWNED;
        return new Ahead(
                media.used(state),
                media.waterPerGram(state),
                capacity.assumed().drownedWater(),
                rest.end(),
                rest.endDay(),
                new Estimate(at(now, rest.endDay()), at(now, low), at(now, high)),
                colourAt,
                byColour ? colourAt : Instant.ofEpochSecond((long) at(now, low)),
                byColour ? Because.COLOUR : because(rest.end()),
                media.drowned(state) ? drownedSince(life, fill) : null,
                rest.daysByCo2(),
                fresh.ppm(),
                fresh.measured());
    }

    private static Because because(MediaLife.End end) {
        return switch (end) {
            case SPENT -> Because.SPENT;
            case DROWNED -> Because.DROWNED;
            case NEITHER -> Because.NOTHING_WITHIN_A_YEAR;
        };
    }

    private static Instant drownedSince(MediaLife life, MediaFill fill) {
        return Instant.ofEpochSecond((long) at(fill.filledAt, life.life().endDay()));
    }

    private static double at(Instant now, double days) {
        return now.getEpochSecond() + days * 86_400;
    }

    /**
     * Days left on the early or the late side: another capacity, of which fills have taught to a tenth, and media that are
     * colder or warmer than assumed.
     */
    private double restDays(
            Tank tank, MediaFill fill, double draw, double ppm, boolean early, Capacity capacity, Instant now) {
        double known = capacity.assumed().capacityLPerKg();
        double litres = capacity.learnt()
                ? known * (early ? 0.9 : 1.1)
                : early ? MediaAssumptions.LEAST_CAPACITY_L_PER_KG : MediaAssumptions.MOST_CAPACITY_L_PER_KG;
        double cooling = early ? MediaAssumptions.MOST_COOLING : MediaAssumptions.LEAST_COOLING;
        Media media = new Media(
                fill.massKg,
                capacity.assumed().withCapacity(Math.min(260, litres)).withCooling(cooling));
        MediaLife life = life(tank, fill, draw, media, ppm);
        return life.from(stateNow(life, fill, now)).endDay();
    }

    private static MediaLife life(Tank tank, MediaFill fill, double draw, Media media, double ppm) {
        return new MediaLife(
                media,
                water(tank),
                draw,
                Math.max(250, ppm),
                MediaBed.ROOM_VAPOUR_G_PER_M3,
                EXHAUST_ASSUMED_PPM,
                fill.freshShare,
                hoursPerDay(tank, fill),
                fill.driesBetween);
    }

    /** Estimated from the fill on; what the last colour says of the capacity counts more than the sum. */
    private static Media.State stateNow(MediaLife life, MediaFill fill, Instant now) {
        Media media = life.media();
        Media.State state = media.fresh();
        Instant from = fill.filledAt;
        if (!fill.colours.isEmpty()) {
            Colour last = Objects.requireNonNull(fill.colours.get(fill.colours.size() - 1));
            double water = life.after(state, days(from, last.at)).waterKg();
            state = new Media.State(last.changedShare * media.capacityMol(), water);
            from = last.at;
        }
        return life.after(state, days(from, now));
    }

    private static double days(Instant from, Instant to) {
        return Math.max(0, Duration.between(from, to).toMinutes() / 1440.0);
    }
}
