package jollytide.server.schedule;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import jollytide.core.reef.OxygenLines;
import jollytide.core.schedule.Known;
import jollytide.core.schedule.LaneState;
import jollytide.core.schedule.Schedule;
import jollytide.core.twin.TwinState;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import jollytide.server.schedule.ScheduleViews.HoldAsked;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Whether the animals keep their air, asked of the tank's twin and not of rules alone: however a day without air comes
 * about, its oxygen shows it. Of the tanks that could be behind the log the worst counts; one that is short of oxygen
 * without any change is none of them. No transaction waits meanwhile.
 */
@Component
class ScheduleAir {
    private static final Duration ORDINARY = Duration.ofDays(2);
    /** A hold ends so long before danger. From memory. */
    private static final Duration BEFORE_DANGER = Duration.ofMinutes(15);

    private final TankService tanks;
    private final ScheduleService schedules;
    private final ScheduleRuns runs;
    private final KnownOfDay known;

    ScheduleAir(TankService tanks, ScheduleService schedules, ScheduleRuns runs, KnownOfDay known) {
        this.tanks = tanks;
        this.schedules = schedules;
        this.runs = runs;
        this.known = known;
    }

    /**
     * @return a caution where oxygen gets low; null where it does not
     * @throws Problem when it would leave the animals without air
     */
    @Nullable
    String maySave(UUID keeperId, UUID tankId, ScheduleDocument document) {
        Tank tank = tanks.tank(keeperId, tankId);
        Schedule asked = schedules.checked(keeperId, tankId, document);
        TwinState lowest = lowest(
                runs.states(tank, schedules.current(tank), ORDINARY, Known.NOTHING),
                runs.states(tank, asked, ORDINARY, Known.NOTHING),
                Instant.MIN);
        if (lowest == null || lowest.oxygenMgPerL() >= OxygenLines.CAUTION) {
            return null;
        }
        LocalTime at = lowest.at().atZone(tank.home().zone()).toLocalTime().truncatedTo(ChronoUnit.MINUTES);
        if (lowest.oxygenMgPerL() < OxygenLines.DANGER) {
            throw Problem.refused(new FieldError(
                    "schedule",
                    "oxygen",
                    "at least " + OxygenLines.DANGER + " mg/L at every hour",
                    String.format(
                            Locale.ROOT,
                            "With this schedule oxygen may fall to %.1f mg/L at %s. Keep an air pump or the "
                                    + "skimmer running.",
                            lowest.oxygenMgPerL(),
                            at)));
        }
        return String.format(
                Locale.ROOT,
                "Oxygen may fall to %.1f mg/L at %s. Add aeration: fish struggle below %.0f mg/L.",
                lowest.oxygenMgPerL(),
                at,
                OxygenLines.CAUTION);
    }

    /**
     * What a hold does.
     *
     * @param until when it ends: before danger
     * @param lowestMgPerL oxygen until then, on the early side: the sample after a short hold counts, for it may be the only
     *     one; null where the twin is no ground to say
     */
    record HoldAhead(Instant until, @Nullable Double lowestMgPerL) {}

    /** @throws Problem when oxygen is in danger at once */
    HoldAhead ahead(UUID keeperId, UUID tankId, HoldAsked asked, Instant now) {
        Tank tank = tanks.tank(keeperId, tankId);
        Schedule current = schedules.current(tank);
        LaneState state = asked.state().toCore();
        Instant until = now.plus(Duration.ofMinutes(asked.minutes()));
        List<Known.Hold> holds = Stream.concat(
                        known.holds(tank, now).filter(hold -> !asked.lanes().contains(hold.lane())),
                        asked.lanes().stream()
                                .filter(lane -> current.can(lane, state))
                                .map(lane -> new Known.Hold(lane, state, now, until)))
                .toList();
        Duration length = runs.untilFromStart(tank, until);
        List<List<TwinState>> without = runs.states(tank, current, length, Known.NOTHING);
        List<List<TwinState>> with = runs.states(tank, current, length, new Known(Map.of(), holds, List.of()));
        Instant danger = living(without)
                .mapToObj(with::get)
                .flatMap(List::stream)
                .filter(s -> s.at().isAfter(now) && s.oxygenMgPerL() < OxygenLines.DANGER)
                .map(TwinState::at)
                .min(Instant::compareTo)
                .orElse(null);
        Instant ends = danger == null ? until : danger.minus(BEFORE_DANGER).truncatedTo(ChronoUnit.MINUTES);
        if (!ends.isAfter(now)) {
            throw Problem.refused(new FieldError(
                    "minutes",
                    String.valueOf(asked.minutes()),
                    "something that keeps aerating",
                    "Oxygen may be dangerous within minutes. Keep a pump or the skimmer running."));
        }
        TwinState lowest = lowest(
                without,
                with.stream()
                        .map(run -> run.stream()
                                .filter(s -> s.at().isBefore(ends.plus(ScheduleRuns.SAMPLED_EVERY)))
                                .toList())
                        .toList(),
                now);
        return new HoldAhead(ends, lowest == null ? null : lowest.oxygenMgPerL());
    }

    private static @Nullable TwinState lowest(
            List<List<TwinState>> without, List<List<TwinState>> with, Instant after) {
        return living(without)
                .mapToObj(with::get)
                .flatMap(List::stream)
                .filter(s -> s.at().isAfter(after))
                .min((a, b) -> Double.compare(a.oxygenMgPerL(), b.oxygenMgPerL()))
                .orElse(null);
    }

    /** Tanks that hold their oxygen as things are. */
    private static IntStream living(List<List<TwinState>> without) {
        return IntStream.range(0, without.size())
                .filter(i -> without.get(i).stream().allMatch(s -> s.oxygenMgPerL() >= OxygenLines.DANGER));
    }
}
