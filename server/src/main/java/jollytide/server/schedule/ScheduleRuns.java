package jollytide.server.schedule;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import jollytide.core.dosing.DoseHours;
import jollytide.core.evidence.Estimate;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.MediaUse;
import jollytide.core.measure.Setup;
import jollytide.core.media.Media;
import jollytide.core.reef.LightClock;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.scenario.OrdinaryDays.SettledDay;
import jollytide.core.schedule.Known;
import jollytide.core.schedule.Lane;
import jollytide.core.schedule.LaneKind;
import jollytide.core.schedule.Schedule;
import jollytide.core.schedule.Template;
import jollytide.core.schedule.Timetable;
import jollytide.core.seawater.Gases;
import jollytide.core.twin.Intake.Leg;
import jollytide.core.twin.TwinState;
import jollytide.server.dosing.DosingService;
import jollytide.server.dosing.DosingService.LineOfTank;
import jollytide.server.media.MediaService;
import jollytide.server.schedule.ScheduleViews.BroughtChore;
import jollytide.server.tank.Tank;
import jollytide.server.twin.BandCourse;
import jollytide.server.twin.TankCosts;
import jollytide.server.twin.TwinBook;
import jollytide.server.twin.TwinBook.Described;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Runs a tank's twin by schedules. */
@Component
class ScheduleRuns {
    /** Where no fill is in: so much media, dried by fresh air between their hours. Assumed. */
    private static final double ASSUMED_FILL_KG = 1;

    private static final int DRAWN = 200;
    private static final double LEAST_USED = 1e-4;

    private final TwinBook book;
    private final MediaService media;
    private final DosingService doses;

    ScheduleRuns(TwinBook book, MediaService media, DosingService doses) {
        this.book = book;
        this.media = media;
        this.doses = doses;
    }

    /**
     * What the twin says of a schedule. Its bands go over the tanks that could be behind the log.
     *
     * @param at seconds since 1970
     * @param troughPh of the last day
     * @param lowestOxygenMgPerL of the whole run; {@code highestCo2Ppm} in the water likewise, as air that it would be in
     *     balance with
     * @param media null where none are used
     */
    record RunOfSchedule(
            List<Long> at,
            BandCourse ph,
            BandCourse oxygenMgPerL,
            Estimate troughPh,
            Instant troughAt,
            Estimate peakPh,
            Estimate lowestOxygenMgPerL,
            Estimate highestCo2Ppm,
            @Nullable MediaUsed media) {}

    /**
     * @param lastDays until their capacity is used at this rate
     * @param waterPerKg litres of water in a kilogram at the end
     * @param drowned whether that stops them
     * @param perMonth in the home's money, by an assumed price
     */
    record MediaUsed(double massKg, Estimate lastDays, double waterPerKg, boolean drowned, double perMonth) {}

    /**
     * @param now by the schedule that is saved, or as the tank is described
     * @param lit when the lamps are on meanwhile
     * @param brings upkeep that comes with it
     * @param assumed what it rests on that nobody said, in sentences
     */
    record RunsOfSchedule(
            RunOfSchedule asked,
            RunOfSchedule now,
            List<LightClock.Lit> lit,
            List<BroughtChore> brings,
            List<String> assumed) {}

    RunsOfSchedule of(Tank tank, Schedule asked, Schedule saved, int days, Known known) {
        Described described = book.describe(tank);
        Duration length = Duration.ofDays(days);
        MediaService.InUse inUse = inUse(tank);
        MediaUse use = use(tank, inUse);
        return new RunsOfSchedule(
                run(tank, described, asked, use, length, known),
                run(tank, described, saved, use, length, Known.NOTHING),
                tank.light().litBetween(described.start(), described.start().plus(length), saved.zone()),
                Template.brought(asked).stream().map(BroughtChore::of).toList(),
                assumed(tank, asked, inUse, known));
    }

    /** The fill that is in, or what was noted as put on; null without either. */
    MediaService.@Nullable InUse inUse(Tank tank) {
        MediaService.InUse fill = media.inUse(tank);
        return fill != null
                ? fill
                : book.setup(tank)
                        .standing()
                        .media()
                        .map(on -> new MediaService.InUse(
                                on.media().massKg(), on.hours(), on.freshShare(), on.gatePh(), on.driesBetween()))
                        .orElse(null);
    }

    private MediaUse use(Tank tank, MediaService.@Nullable InUse inUse) {
        Media fill = new Media(
                inUse == null ? ASSUMED_FILL_KG : inUse.massKg(),
                media.capacity(tank).assumed());
        boolean dries = inUse == null || inUse.driesBetween();
        return new MediaUse(fill, 1, Leg.ALL, MediaUse.Hours.ALWAYS, 8.2, dries);
    }

    /** The tanks behind the log by a schedule, from the last midnight on. */
    List<List<TwinState>> states(Tank tank, Schedule p, Duration length, Known known) {
        return states(tank, book.describe(tank), p, use(tank, inUse(tank)), length, known);
    }

    /** From the last midnight to a moment; a twin's run has no shorter one than an hour. */
    Duration untilFromStart(Tank tank, Instant until) {
        Duration length = Duration.between(book.describe(tank).start(), until);
        return length.compareTo(SHORTEST) < 0 ? SHORTEST : length.plus(SAMPLED_EVERY);
    }

    private static final Duration SHORTEST = Duration.ofHours(1);
    static final Duration SAMPLED_EVERY = Duration.ofMinutes(15);

    private List<List<TwinState>> states(
            Tank tank, Described described, Schedule p, MediaUse use, Duration length, Known known) {
        Map<String, Double> meq = meqPerDay(tank);
        Timetable.Gear gear = new Timetable.Gear(
                tank.parts().stoneParts().size(),
                Timetable.usesMedia(p) ? use : null,
                lane -> meq.getOrDefault(lane.id(), 0.0));
        Timetable table = new Timetable(p, described.start(), length, known, gear);
        return book.with(described, dosed(tank, described, p), MeasureSet.of(table), length);
    }

    private RunOfSchedule run(Tank tank, Described described, Schedule p, MediaUse use, Duration length, Known known) {
        boolean media = Timetable.usesMedia(p);
        List<List<TwinState>> runs = states(tank, described, p, use, length, known);
        List<SettledDay> last = runs.stream().map(OrdinaryDays::settled).toList();
        int every = Math.max(1, runs.get(0).size() / DRAWN);
        List<Integer> drawn = IntStream.range(0, runs.get(0).size())
                .filter(i -> i % every == 0)
                .boxed()
                .toList();
        return new RunOfSchedule(
                drawn.stream()
                        .map(i -> runs.get(0).get(i).at().getEpochSecond())
                        .toList(),
                BandCourse.of(runs, drawn, TwinState::phNbs),
                BandCourse.of(runs, drawn, TwinState::oxygenMgPerL),
                OrdinaryDays.band(last.stream().map(SettledDay::troughPh).toList()),
                last.get(0).troughAt(),
                OrdinaryDays.band(last.stream().map(SettledDay::peakPh).toList()),
                OrdinaryDays.band(runs.stream()
                        .map(run -> run.stream()
                                .mapToDouble(TwinState::oxygenMgPerL)
                                .min()
                                .orElseThrow())
                        .toList()),
                OrdinaryDays.band(runs.stream()
                        .map(run -> Gases.dryPpmInBalance(
                                run.stream()
                                        .mapToDouble(TwinState::co2Uatm)
                                        .max()
                                        .orElseThrow(),
                                described.setup().pressureHpa(),
                                described.setup().water()))
                        .toList()),
                media ? used(tank, described.setup(), use, runs, length) : null);
    }

    /** With its doses in the hours that the schedule leaves them. */
    private Setup dosed(Tank tank, Described described, Schedule p) {
        Setup setup = described.setup();
        Map<String, Double> meq = meqPerDay(tank);
        DoseHours hours = Timetable.doseHours(
                p, LocalDate.ofInstant(described.start(), p.zone()), lane -> meq.getOrDefault(lane.id(), 0.0));
        return hours == null ? setup : setup.dosed(setup.useMeqPerLPerDay(), setup.source(), hours);
    }

    private Map<String, Double> meqPerDay(Tank tank) {
        return doses.lines(tank).stream()
                .collect(Collectors.toMap(line -> line.id().toString(), LineOfTank::meqPerDay));
    }

    private static @Nullable MediaUsed used(
            Tank tank, Setup setup, MediaUse use, List<List<TwinState>> runs, Duration length) {
        Media media = use.media();
        double days = length.toHours() / 24.0;
        List<Media.State> ends = new ArrayList<>();
        for (List<TwinState> run : runs) {
            Media.State end = run.get(run.size() - 1).media();
            if (end != null) {
                ends.add(end);
            }
        }
        if (ends.isEmpty() || media.used(ends.get(0)) < LEAST_USED) {
            return null;
        }
        Estimate lasts =
                OrdinaryDays.band(ends.stream().map(e -> days / media.used(e)).toList());
        double perMonth = TankCosts.mediaPerMonth(tank, setup, use, lasts.value());
        return new MediaUsed(
                media.massKg(),
                lasts,
                media.waterPerGram(ends.get(0)),
                ends.stream().anyMatch(media::drowned),
                perMonth);
    }

    private static List<String> assumed(Tank tank, Schedule p, MediaService.@Nullable InUse inUse, Known known) {
        List<String> all = new ArrayList<>();
        List<Lane> stones = p.lanes().stream()
                .filter(lane -> lane.kind() == LaneKind.AIR_PUMP)
                .toList();
        if (stones.size() > tank.parts().stoneParts().size()) {
            all.add("For a stone missing from the description we assume 100 L/h in 1 mm bubbles.");
        }
        if (Timetable.usesMedia(p) && inUse == null) {
            all.add("No media fill is logged. We assume 1 kg, dried by fresh air between its hours.");
        }
        if (p.lanes().stream().anyMatch(lane -> lane.kind() == LaneKind.FLOW_PUMP)) {
            all.add("At full flow, surfaces move as described. At rest they are still.");
        }
        boolean doses = known.stuck().stream()
                .anyMatch(stuck -> stuck.state().runs(Duration.ZERO)
                        && p.lanes().stream().anyMatch(l -> l.kind() == LaneKind.DOSER && l.id().equals(stuck.lane())));
        if (doses) {
            all.add("A doser that does not stop empties its vessel. Dosing shows what that would do.");
        }
        return all;
    }
}
