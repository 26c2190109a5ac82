package jollytide.server.outage;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import jollytide.server.home.HomeService;
import jollytide.server.outage.OutageBook.Told;
import jollytide.server.outage.OutageController.NewNote;
import jollytide.server.outage.OutageViews.Noted;
import jollytide.server.outage.OutageViews.OutageView;
import jollytide.server.outage.OutageViews.PastOutage;
import jollytide.server.outage.OutageViews.RefusedNote;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;

/** What is done to an outage of a home, from its first minute to its report. What is noted is read first, then computed. */
@Service
class OutageService {
    private final OutageBook book;
    private final HomeService homes;
    private final TankService tanks;
    private final OutageClocks clocks;
    private final Clock clock;

    OutageService(OutageBook book, HomeService homes, TankService tanks, OutageClocks clocks, Clock clock) {
        this.book = book;
        this.homes = homes;
        this.tanks = tanks;
        this.clocks = clocks;
        this.clock = clock;
    }

    /** Begins one, goes on with the one that is on or was on minutes ago, or places one that is told later. */
    OutageView start(UUID keeperId, UUID homeId, Told told) {
        ZoneId zone = homes.owned(keeperId, homeId).zone();
        try {
            return clocks.of(keeperId, book.start(homeId, told, zone));
        } catch (DataIntegrityViolationException begunAtOnce) {
            // Another hand or a sensor was quicker: theirs is there now.
            return clocks.of(keeperId, book.start(homeId, told, zone));
        }
    }

    /** The power is back. Ending one that has ended changes nothing. */
    OutageView end(UUID keeperId, UUID homeId, UUID id, @Nullable Instant at) {
        homes.owned(keeperId, homeId);
        return clocks.of(keeperId, book.end(homeId, id, at));
    }

    /** The power was not back after all. */
    OutageView goesOn(UUID keeperId, UUID homeId, UUID id) {
        ZoneId zone = homes.owned(keeperId, homeId).zone();
        return clocks.of(keeperId, book.goesOn(homeId, id, zone));
    }

    /** It began at another time than was noticed. A helper can only move that earlier. */
    OutageView began(UUID keeperId, UUID homeId, UUID id, Instant at, @Nullable String helper) {
        ZoneId zone = homes.owned(keeperId, homeId).zone();
        return clocks.of(keeperId, book.began(homeId, id, at, helper, zone));
    }

    /** It never was. */
    void remove(UUID keeperId, UUID homeId, UUID id) {
        homes.owned(keeperId, homeId);
        book.remove(homeId, id);
    }

    /** It was, after all: within a day of its removal. */
    OutageView restore(UUID keeperId, UUID homeId, UUID id) {
        ZoneId zone = homes.owned(keeperId, homeId).zone();
        return clocks.of(keeperId, book.restore(homeId, id, zone));
    }

    /** What a sensor on the mains says: starts or ends the home's outage. */
    @Nullable
    OutageView mains(UUID keeperId, UUID homeId, boolean on) {
        if (!on) {
            return start(keeperId, homeId, Told.NOW);
        }
        homes.owned(keeperId, homeId);
        return book.open(homeId)
                .map(outage -> end(keeperId, homeId, outage.id, null))
                .orElse(null);
    }

    Optional<OutageView> current(UUID keeperId, UUID homeId) {
        homes.owned(keeperId, homeId);
        return book.open(homeId).map(outage -> clocks.of(keeperId, outage));
    }

    /** What the clock would show if the power failed now; devices keep it for when they cannot ask. Nothing is stored. */
    OutageView plan(UUID keeperId, UUID homeId) {
        homes.owned(keeperId, homeId);
        Outage supposed = new Outage();
        supposed.id = new UUID(0, 0);
        supposed.homeId = homeId;
        supposed.startedAt = clock.instant();
        supposed.cuts = 1;
        return clocks.of(keeperId, supposed);
    }

    List<PastOutage> past(UUID keeperId, UUID homeId) {
        homes.owned(keeperId, homeId);
        return book.newest(homeId).stream()
                .map(o -> new PastOutage(o.id, o.startedAt, o.endedAt, o.cuts))
                .toList();
    }

    OutageView get(UUID keeperId, UUID homeId, UUID id) {
        homes.owned(keeperId, homeId);
        return clocks.of(keeperId, book.outage(homeId, id));
    }

    /**
     * Notes from the screen or from a card, each with its own answer. The same one twice changes nothing.
     *
     * @throws Problem when none of them can be taken
     */
    Noted note(UUID keeperId, UUID homeId, UUID id, List<NewNote> noted) {
        homes.owned(keeperId, homeId);
        List<UUID> tankIds =
                tanks.ofHome(keeperId, homeId).stream().map(Tank::id).toList();
        List<NewNote> taken = new ArrayList<>();
        List<RefusedNote> refused = new ArrayList<>();
        List<FieldError> errors = new ArrayList<>();
        for (int i = 0; i < noted.size(); i++) {
            NewNote note = noted.get(i);
            FieldError wrong = NoteRules.wrong(note, tankIds);
            if (wrong == null) {
                taken.add(note);
                continue;
            }
            errors.add(new FieldError(
                    "notes[" + i + "]." + wrong.field(), wrong.value(), wrong.allowed(), wrong.message()));
            if (note.id() != null) {
                refused.add(new RefusedNote(note.id(), wrong.message()));
            }
        }
        if (taken.isEmpty()) {
            throw Problem.refused(errors);
        }
        return new Noted(saved(keeperId, homeId, id, taken), refused);
    }

    private OutageView saved(UUID keeperId, UUID homeId, UUID id, List<NewNote> noted) {
        try {
            return clocks.of(keeperId, book.note(homeId, id, noted));
        } catch (DataIntegrityViolationException sentTwiceAtOnce) {
            // The same notes came on another way in the same moment: now they are there.
            return clocks.of(keeperId, book.note(homeId, id, noted));
        }
    }
}
