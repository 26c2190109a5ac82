package jollytide.server.outage;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import jollytide.core.units.InputException;
import jollytide.server.outage.OutageController.NewNote;
import jollytide.server.problem.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Outages and their notes as they are kept. One is open for a home at most; the database holds that. */
@Component
@Transactional
class OutageBook {
    /** Power that comes back for less than this and goes again is one outage. */
    private static final Duration FLICKER = Duration.ofMinutes(15);

    private static final Duration CLOCKS_MAY_DIFFER = Duration.ofMinutes(10);
    private static final Duration LONGEST_UNNOTICED = Duration.ofDays(2);
    private static final Limit NEWEST = Limit.of(50);

    private final Outages outages;
    private final OutageNotes notes;
    private final Clock clock;

    OutageBook(Outages outages, OutageNotes notes, Clock clock) {
        this.outages = outages;
        this.notes = notes;
        this.clock = clock;
    }

    /** @throws org.springframework.dao.DataIntegrityViolationException when another was begun in the same moment */
    Outage start(UUID homeId, @Nullable Instant at) {
        Instant now = now(at);
        List<Outage> newest = outages.findByHomeIdOrderByStartedAtDesc(homeId, NEWEST);
        if (at != null) {
            // A card brought in may know of an outage that is known already.
            Optional<Outage> known = newest.stream().filter(o -> holds(o, now)).findFirst();
            if (known.isPresent()) {
                return known.get();
            }
        }
        Optional<Outage> open = newest.stream().filter(o -> o.endedAt == null).findFirst();
        if (open.isPresent()) {
            return open.get();
        }
        Outage outage;
        if (!newest.isEmpty() && newest.get(0).endedAt.plus(FLICKER).isAfter(now)) {
            outage = newest.get(0);
            outage.endedAt = null;
            outage.cuts++;
        } else {
            outage = new Outage();
            outage.id = UUID.randomUUID();
            outage.homeId = homeId;
            outage.startedAt = now;
            outage.cuts = 1;
        }
        return outages.saveAndFlush(outage);
    }

    private static boolean holds(Outage outage, Instant at) {
        boolean begun = !at.isBefore(outage.startedAt.minus(FLICKER));
        return begun && (outage.endedAt == null || !at.isAfter(outage.endedAt));
    }

    Outage end(UUID homeId, UUID id, @Nullable Instant at) {
        Outage outage = outage(homeId, id);
        if (outage.endedAt == null) {
            Instant now = now(at);
            outage.endedAt = now.isBefore(outage.startedAt) ? outage.startedAt : now;
        }
        return outage;
    }

    /** Moves the beginning back, by two days at most; what was noted keeps its times. */
    Outage began(UUID homeId, UUID id, Instant at) {
        Outage outage = outage(homeId, id);
        if (at.isAfter(outage.startedAt) || at.isBefore(outage.startedAt.minus(LONGEST_UNNOTICED))) {
            throw new InputException(
                    "at",
                    at.getEpochSecond(),
                    "within two days before it was noticed",
                    "It can have begun earlier, by two days at most.");
        }
        outage.startedAt = at;
        return outage;
    }

    Outage note(UUID homeId, UUID id, List<NewNote> noted) {
        Outage outage = outage(homeId, id);
        Instant now = clock.instant();
        for (NewNote note : noted) {
            if (notes.existsById(note.id())) {
                continue;
            }
            OutageNote row = new OutageNote();
            row.id = note.id();
            row.outageId = outage.id;
            row.tankId = note.tankId();
            // A phone's clock may run ahead or have been asleep: a note is never later than its arrival.
            row.at = note.at().isAfter(now) ? now : note.at();
            row.kind = note.kind();
            row.ref = note.ref();
            row.value = note.value();
            row.text = note.text();
            row.byWhom = note.byWhom();
            notes.save(row);
        }
        notes.flush();
        return outage;
    }

    @Transactional(readOnly = true)
    List<OutageNote> notes(UUID outageId) {
        return notes.findByOutageIdOrderByAtAscIdAsc(outageId);
    }

    @Transactional(readOnly = true)
    List<Outage> newest(UUID homeId) {
        return outages.findByHomeIdOrderByStartedAtDesc(homeId, NEWEST);
    }

    @Transactional(readOnly = true)
    Optional<Outage> open(UUID homeId) {
        return outages.findByHomeIdAndEndedAtIsNull(homeId);
    }

    @Transactional(readOnly = true)
    Outage outage(UUID homeId, UUID id) {
        return outages.findByIdAndHomeId(id, homeId).orElseThrow(() -> Problem.notFound("outage"));
    }

    private Instant now(@Nullable Instant at) {
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        if (at == null) {
            return now;
        }
        if (at.isAfter(now.plus(CLOCKS_MAY_DIFFER))) {
            throw new InputException("at", at.getEpochSecond(), "a time that has passed", "It lies in the future.");
        }
        return at.isAfter(now) ? now : at;
    }
}
