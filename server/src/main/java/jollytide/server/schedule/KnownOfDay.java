package jollytide.server.schedule;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.fit.Reading;
import jollytide.core.schedule.Known;
import jollytide.core.schedule.Limit;
import jollytide.core.schedule.Schedule;
import jollytide.core.seawater.Seawater;
import jollytide.core.units.InputException;
import jollytide.server.dosing.DosingService;
import jollytide.server.reading.ReadingRow;
import jollytide.server.reading.ReadingService;
import jollytide.server.schedule.ScheduleViews.CutAsked;
import jollytide.server.schedule.ScheduleViews.StuckAsked;
import jollytide.server.schedule.ScheduleViews.WhatIf;
import jollytide.server.tank.Tank;
import jollytide.server.twin.TwinBook;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** What was stored of a day: readings that gates ask, holds by hand, outages; and what is only thought of. */
@Component
class KnownOfDay {
    /** A gate remembers what it said: from so long before the day on. */
    private static final Duration BEFORE = Duration.ofDays(1);

    /** Two days of one a minute, and as many again. */
    private static final org.springframework.data.domain.Limit MOST_READINGS =
            org.springframework.data.domain.Limit.of(6000);

    private final ReadingService readings;
    private final LaneHolds holds;
    private final DosingService doses;
    private final JsonMapper json;
    private final Clock clock;

    KnownOfDay(ReadingService readings, LaneHolds holds, DosingService doses, JsonMapper json, Clock clock) {
        this.readings = readings;
        this.holds = holds;
        this.doses = doses;
        this.json = json;
        this.clock = clock;
    }

    Known of(Tank tank, Schedule p, LocalDate day, @Nullable WhatIf what) {
        Known thought = thought(p, what);
        Instant begins = day.atStartOfDay(p.zone()).toInstant();
        Instant ends = day.plusDays(1).atStartOfDay(p.zone()).toInstant();
        List<Known.Hold> held = holds.findByTankIdAndEndsAtAfterOrderByBegunAt(tank.id(), begins).stream()
                .filter(hold -> hold.begunAt.isBefore(ends))
                .map(hold -> hold.toCore(json))
                .filter(hold -> p.can(hold.lane(), hold.state()))
                .toList();
        Instant now = clock.instant();
        Stream<Known.Cut> outages = doses.held(tank).stream()
                .filter(hold -> hold.from().isBefore(ends))
                .map(hold -> new Known.Cut(hold.from(), hold.mainsBack(), hold.until(now)));
        return new Known(
                what == null || what.readings() == null ? read(tank, p, begins, ends) : Map.of(),
                held,
                Stream.concat(thought.cuts().stream(), outages).toList(),
                thought.stuck());
    }

    /** Lanes that are held by hand at a moment. */
    Stream<Known.Hold> holds(Tank tank, Instant now) {
        return holds.findByTankIdAndEndsAtAfterOrderByBegunAt(tank.id(), now).stream()
                .map(hold -> hold.toCore(json));
    }

    private Map<Quantity, List<Reading>> read(Tank tank, Schedule p, Instant begins, Instant ends) {
        Seawater water = new Seawater(
                tank.assumptions().salinityPsu(), tank.assumptions().temperatureC());
        return p.limits()
                .map(Limit::quantity)
                .distinct()
                .collect(Collectors.toMap(
                        Function.identity(),
                        quantity ->
                                readings
                                        .between(
                                                tank,
                                                quantity,
                                                place(quantity),
                                                begins.minus(BEFORE),
                                                ends,
                                                MOST_READINGS)
                                        .stream()
                                        .filter(KnownOfDay::steers)
                                        .map(row ->
                                                row.standard(water, tank.home().pressureHpa()))
                                        .map(o -> new Reading(o.at(), o.value()))
                                        .sorted(Comparator.comparing(Reading::at))
                                        .toList()));
    }

    /** CO2 is asked of the room, everything else of the water. */
    private static Place place(Quantity quantity) {
        return quantity == Quantity.CO2 ? Place.ROOM : Place.TANK;
    }

    /** A colour test of pH steers nothing. Other quantities are taken however they were measured. */
    private static boolean steers(ReadingRow row) {
        return row.quantity() != Quantity.PH || TwinBook.PROBES.contains(row.method());
    }

    /** What is thought of, whatever was stored. */
    static Known thought(Schedule p, @Nullable WhatIf what) {
        if (what == null) {
            return Known.NOTHING;
        }
        StuckAsked stuck = what.stuck();
        return new Known(
                Map.of(),
                List.of(),
                what.cut() == null ? List.of() : List.of(cut(what.cut())),
                stuck == null ? List.of() : List.of(stuck(p, stuck)));
    }

    private static Known.Stuck stuck(Schedule p, StuckAsked asked) {
        Known.Stuck stuck = asked.toCore();
        if (!p.can(stuck.lane(), stuck.state())) {
            throw new InputException(
                    "what.stuck.lane",
                    0,
                    "one of the devices and its states",
                    "There is no such device, or the device can’t do that.");
        }
        return stuck;
    }

    private static Known.Cut cut(CutAsked cut) {
        if (cut.until() != null && !cut.until().isAfter(cut.from())) {
            throw new InputException("what.cut.until", 0, "after its beginning", "Power must return after it failed.");
        }
        return new Known.Cut(cut.from(), cut.until(), cut.released());
    }
}
