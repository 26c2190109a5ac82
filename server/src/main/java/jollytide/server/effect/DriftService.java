package jollytide.server.effect;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import jollytide.core.drift.Course;
import jollytide.core.drift.Drift;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.server.effect.DriftViews.DriftView;
import jollytide.server.effect.DriftViews.DriftsView;
import jollytide.server.effect.DriftViews.Measured;
import jollytide.server.effect.DriftViews.MeasuredCourse;
import jollytide.server.effect.DriftViews.MeasuredPoint;
import jollytide.server.event.EventKind;
import jollytide.server.event.EventView;
import jollytide.server.tank.TankService;
import jollytide.server.twin.TwinBook;
import org.springframework.stereotype.Service;

/** Stretches in which the room or alkalinity rose or fell, whatever the twin makes of it. */
@Service
class DriftService {
    private static final Duration LOOKED_BACK = Duration.ofDays(190);
    private static final int HALF_HOURS_OF_SIX_HOURS = 12;
    /** Tests stand a week apart: what is noted so near is about when it began. */
    private static final Duration ABOUT = Duration.ofDays(7);

    private final TankService tanks;
    private final Histories histories;
    private final TwinBook book;

    DriftService(TankService tanks, Histories histories, TwinBook book) {
        this.tanks = tanks;
        this.histories = histories;
        this.book = book;
    }

    DriftsView drifts(UUID keeperId, UUID tankId) {
        TankHistory history = histories.of(tanks.tank(keeperId, tankId));
        Instant from = history.now().minus(LOOKED_BACK);
        double outdoors = book.setup(history.tank()).outdoorPpm();
        Course alkalinity = Course.ofAlkalinity(
                histories.read(history, Quantity.ALKALINITY, Place.TANK, from, history.now(), 1), history.zone());
        Course room = Course.ofRoom(
                histories.read(history, Quantity.CO2, Place.ROOM, from, history.now(), HALF_HOURS_OF_SIX_HOURS),
                outdoors,
                history.zone());
        return new DriftsView(
                Stream.of(view(history, Measured.ALKALINITY, alkalinity), view(history, Measured.ROOM_EXCESS, room))
                        .filter(course -> !course.measured().isEmpty())
                        .toList());
    }

    private static MeasuredCourse view(TankHistory history, Measured of, Course course) {
        return new MeasuredCourse(
                of,
                course.measured().stream()
                        .map(r -> new MeasuredPoint(r.at(), r.value()))
                        .toList(),
                course.drifts().stream()
                        .map(drift -> new DriftView(drift, noted(history, drift)))
                        .toList());
    }

    private static List<String> noted(TankHistory history, Drift drift) {
        Instant from = history.start(drift.from());
        return history.events().stream()
                .filter(e -> e.kind() != EventKind.EXPERIMENT && !Step.calibration(e, history.calibrations()))
                .filter(e -> Duration.between(e.at(), from).abs().compareTo(ABOUT) <= 0)
                .map(EventView::title)
                .toList();
    }
}
