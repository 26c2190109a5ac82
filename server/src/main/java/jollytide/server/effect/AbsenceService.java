package jollytide.server.effect;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import jollytide.core.effects.Absence;
import jollytide.core.effects.RoomClearing;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.fit.Reading;
import jollytide.server.effect.AbsenceViews.AbsenceView;
import jollytide.server.effect.AbsenceViews.AbsencesView;
import jollytide.server.effect.AbsenceViews.Clearing;
import jollytide.server.event.EventView;
import jollytide.server.tank.TankService;
import jollytide.server.twin.TwinBook;
import org.springframework.stereotype.Service;

/** Times when nobody was home, laid over each other from the hour in which they left. */
@Service
class AbsenceService {
    private static final int MOST = 8;
    private static final String NOBODY = "nobody";
    private static final Duration DAY = Duration.ofDays(1);

    private final TankService tanks;
    private final Histories histories;
    private final TwinBook book;

    AbsenceService(TankService tanks, Histories histories, TwinBook book) {
        this.tanks = tanks;
        this.histories = histories;
        this.book = book;
    }

    AbsencesView absences(UUID keeperId, UUID tankId) {
        TankHistory history = histories.of(tanks.tank(keeperId, tankId));
        double outdoors = book.setup(history.tank()).outdoorPpm();
        List<EventView> away =
                history.events().stream().filter(AbsenceService::isAbsence).toList();
        return new AbsencesView(away.stream()
                .sorted(Comparator.comparing(EventView::at).reversed())
                .limit(MOST)
                .map(one -> view(history, away, one, outdoors))
                .toList());
    }

    private static boolean isAbsence(EventView e) {
        return e.measures() != null
                && e.measures().stream().anyMatch(put -> put.kind().equals(NOBODY));
    }

    private AbsenceView view(TankHistory history, List<EventView> away, EventView one, double outdoors) {
        Instant left = one.at();
        Instant cameBack = Objects.requireNonNullElse(one.until(), history.now());
        Instant until = cameBack.plus(Absence.AFTERWARDS);
        List<Reading> ph = histories.read(history, Quantity.PH, Place.TANK, left.minus(Absence.USUAL), until, 1);
        List<Reading> room = histories.read(history, Quantity.CO2, Place.ROOM, left.minus(DAY), until, 1);
        RoomClearing clearing = RoomClearing.of(room, left, cameBack, outdoors);
        return new AbsenceView(
                one.id(),
                one.title(),
                left,
                one.until(),
                Absence.of(ph, left, cameBack, t -> away.stream().anyMatch(e -> during(e, t)), history.zone()),
                room.stream()
                        .map(r -> new Absence.HourOfAbsence(
                                Duration.between(left, r.at()).toMinutes() / 60.0, r.value() - outdoors))
                        .toList(),
                clearing == null ? null : view(clearing));
    }

    /** The water's way back is not its usual either. */
    private static boolean during(EventView absence, Instant t) {
        Instant until = absence.until();
        return !t.isBefore(absence.at()) && (until == null || t.isBefore(until.plus(Absence.AFTERWARDS)));
    }

    private static Clearing view(RoomClearing clearing) {
        return new Clearing(clearing.excessPpm(), clearing.airChangesPerH(), clearing.halfH(), clearing.ninetyH());
    }
}
