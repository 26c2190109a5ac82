package jollytide.server.outage;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import jollytide.core.units.InputException;
import jollytide.server.outage.OutageController.NewNote;
import jollytide.server.problem.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.http.HttpStatus;
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
    /** A device that was away for longer tells nothing of an outage that still matters. */
    private static final Duration LONGEST_OWED = Duration.ofDays(366);

    private static final Duration BROUGHT_BACK_FOR = Duration.ofDays(1);
    private static final Limit NEWEST = Limit.of(50);

    private final Outages outages;
    private final OutageNotes notes;
    private final Clock clock;

    OutageBook(Outages outages, OutageNotes notes, Clock clock) {
        this.outages = outages;
        this.notes = notes;
        this.clock = clock;
    }

    /**
     * An outage as somebody tells of it, perhaps hours later.
     *
     * @param id made where it was noted, so that telling it twice is telling it once; null from a sensor or a script
     * @param from null for now
     * @param until null while it lasts, as far as the teller knows
     */
    record Told(
            @Nullable UUID id,
            @Nullable Instant from,
            @Nullable Instant until) {
        static final Told NOW = new Told(null, null, null);
    }

    /**
     * Places an outage by its times. It is one with those that it overlaps, and with one that ended moments before.
     *
     * @param zone of the home, for the note that says what was merged
     * @throws org.springframework.dao.DataIntegrityViolationException when another was begun in the same moment
     */
    Outage start(UUID homeId, Told told, ZoneId zone) {
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        Instant from = passed("at", told.from(), now);
        Instant until = told.until() == null ? null : passed("until", told.until(), now);
        if (until != null && until.isBefore(from)) {
            throw new InputException(
                    "until", until.getEpochSecond(), "after it began", "The end can’t be before the start.");
        }
        if (told.id() != null) {
            Optional<Outage> known = outages.findById(told.id());
            if (known.isPresent()) {
                Outage one = outage(homeId, told.id());
                return until == null || wentAgain(one, until) ? one : ended(one, until);
            }
        }
        Instant reach = (until == null ? now : until).plus(FLICKER);
        List<Outage> touched = outages.between(homeId, from.minus(FLICKER), reach);
        if (touched.isEmpty()) {
            Outage outage = new Outage();
            outage.id = told.id() == null ? UUID.randomUUID() : told.id();
            outage.homeId = homeId;
            outage.startedAt = from;
            outage.endedAt = until;
            outage.cuts = 1;
            return outages.saveAndFlush(outage);
        }
        Instant last = until == null ? now : until;
        boolean overlaps = touched.stream()
                .anyMatch(o -> !o.startedAt.isAfter(last) && (o.endedAt == null || !o.endedAt.isBefore(from)));
        Outage one = merged(touched, from, until, zone);
        one.cuts += overlaps ? 0 : 1;
        if (told.id() != null) {
            alias(told.id(), one, from);
        }
        return outages.saveAndFlush(one);
    }

    private static Outage ended(Outage outage, Instant until) {
        if (outage.endedAt == null) {
            outage.endedAt = until.isBefore(outage.startedAt) ? outage.startedAt : until;
        }
        return outage;
    }

    /** Whether the power is known to have gone again after it came back then. */
    private static boolean wentAgain(Outage outage, Instant until) {
        return outage.endedAt == null && outage.lastCutAt != null && until.isBefore(outage.lastCutAt);
    }

    /** The id under which a device noted it stays another name of what it became part of. */
    private void alias(UUID id, Outage of, Instant from) {
        Outage alias = new Outage();
        alias.id = id;
        alias.homeId = of.homeId;
        alias.startedAt = from;
        alias.endedAt = from;
        alias.cuts = 1;
        alias.mergedInto = of.id;
        outages.save(alias);
    }

    /**
     * One of several that overlap. It reaches from the earliest beginning to the latest end; while one is open, or was told
     * to have begun after every end, it goes on.
     */
    private Outage merged(List<Outage> some, Instant from, @Nullable Instant until, ZoneId zone) {
        Outage one = some.stream().filter(o -> o.endedAt == null).findFirst().orElse(some.get(0));
        Instant begins = earlier(from, some.get(0).startedAt);
        boolean longer = begins.isBefore(one.startedAt);
        if (one.endedAt != null) {
            Instant last = some.stream()
                    .map(o -> o.endedAt)
                    .max(Comparator.naturalOrder())
                    .orElseThrow();
            boolean goesOn = until == null && from.isAfter(last);
            longer |= until != null && until.isAfter(one.endedAt);
            one.lastCutAt = goesOn ? from : one.lastCutAt;
            one.endedAt = goesOn ? null : until != null && until.isAfter(last) ? until : last;
        }
        one.startedAt = begins;
        for (Outage other : some) {
            if (other != one) {
                notes.move(other.id, one.id);
                other.mergedInto = one.id;
                one.cuts += other.cuts;
            }
        }
        if (longer || some.size() > 1) {
            saysMerged(one, zone);
        }
        return one;
    }

    private void saysMerged(Outage one, ZoneId zone) {
        DateTimeFormatter at =
                DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.ENGLISH).withZone(zone);
        OutageNote row = new OutageNote();
        row.id = UUID.randomUUID();
        row.outageId = one.id;
        row.at = clock.instant();
        row.kind = OutageNote.NoteKind.NOTE;
        row.text = "Overlapping outages were merged into one: " + at.format(one.startedAt)
                + (one.endedAt == null ? ", and still on." : " to " + at.format(one.endedAt) + ".");
        notes.save(row);
    }

    private static Instant earlier(Instant a, Instant b) {
        return a.isBefore(b) ? a : b;
    }

    /** @throws InputException when the power is known to have gone again since: a word that is late ends nothing */
    Outage end(UUID homeId, UUID id, @Nullable Instant at) {
        Outage outage = outage(homeId, id);
        Instant until = passed("at", at, clock.instant().truncatedTo(ChronoUnit.MICROS));
        if (wentAgain(outage, until)) {
            throw new InputException(
                    "at",
                    until.getEpochSecond(),
                    "after the power went again",
                    "Power failed again after that. The outage is still on.");
        }
        return ended(outage, until);
    }

    /** The power was not back after all; what was noted since is part of it. */
    Outage goesOn(UUID homeId, UUID id, ZoneId zone) {
        Outage outage = outage(homeId, id);
        Optional<Outage> open = open(homeId);
        if (open.isPresent() && !open.get().id.equals(outage.id)) {
            throw Problem.of(
                    HttpStatus.CONFLICT,
                    "Another outage is on",
                    "Another outage started after that and is " + "still on.");
        }
        if (outage.endedAt == null) {
            return outage;
        }
        outage.lastCutAt = outage.endedAt;
        outage.endedAt = null;
        outages.flush();
        List<Outage> touched = outages.between(homeId, outage.startedAt, clock.instant());
        return touched.size() > 1 ? merged(touched, outage.startedAt, null, zone) : outage;
    }

    /**
     * Moves the beginning; what was noted keeps its times.
     *
     * @param helper who moves it, where it is not the keeper; null for the keeper, who alone may move it later
     */
    Outage began(UUID homeId, UUID id, Instant at, @Nullable String helper, ZoneId zone) {
        Outage outage = outage(homeId, id);
        Instant latest = outage.endedAt == null ? clock.instant() : outage.endedAt;
        if (at.isAfter(latest) || at.isBefore(outage.startedAt.minus(LONGEST_UNNOTICED))) {
            throw new InputException(
                    "at",
                    at.getEpochSecond(),
                    "from two days before it was noticed to its end",
                    "Enter a start up to two days earlier and before the end.");
        }
        if (helper != null && at.isAfter(outage.startedAt)) {
            throw new InputException(
                    "at",
                    at.getEpochSecond(),
                    "earlier than now set",
                    "A helper can move the start earlier. Only the keeper can move it later.");
        }
        outage.beganBefore = helper == null ? null : outage.startedAt;
        outage.movedBy = helper;
        outage.startedAt = at;
        outages.flush();
        List<Outage> touched = outages.between(homeId, at, latest);
        return touched.size() > 1 ? merged(touched, at, outage.endedAt, zone) : outage;
    }

    /** It never was. It can be brought back for a day. */
    void remove(UUID homeId, UUID id) {
        outage(homeId, id).removedAt = clock.instant();
    }

    /** One that was taken out counts again, placed by its times among those that came since. */
    Outage restore(UUID homeId, UUID id, ZoneId zone) {
        Outage outage = row(homeId, id);
        if (outage.removedAt == null) {
            return outage;
        }
        if (outage.removedAt.plus(BROUGHT_BACK_FOR).isBefore(clock.instant())) {
            throw Problem.notFound("outage");
        }
        List<Outage> now =
                outages.between(homeId, outage.startedAt, outage.endedAt == null ? clock.instant() : outage.endedAt);
        if (!now.isEmpty()) {
            Outage one = merged(now, outage.startedAt, outage.endedAt, zone);
            notes.move(outage.id, one.id);
            outage.mergedInto = one.id;
            outage.removedAt = null;
            return outages.saveAndFlush(one);
        }
        outage.removedAt = null;
        return outages.saveAndFlush(outage);
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
        return outages.findByHomeIdAndMergedIntoIsNullAndRemovedAtIsNullOrderByStartedAtDesc(homeId, NEWEST);
    }

    @Transactional(readOnly = true)
    Optional<Outage> open(UUID homeId) {
        return outages.findByHomeIdAndEndedAtIsNullAndMergedIntoIsNullAndRemovedAtIsNull(homeId);
    }

    /** By its id, or by one of those that were merged into it. */
    @Transactional(readOnly = true)
    Outage outage(UUID homeId, UUID id) {
        Outage outage = row(homeId, id);
        if (outage.removedAt != null) {
            throw Problem.notFound("outage");
        }
        return outage;
    }

    private Outage row(UUID homeId, UUID id) {
        Outage outage = outages.findByIdAndHomeId(id, homeId).orElseThrow(() -> Problem.notFound("outage"));
        while (outage.mergedInto != null) {
            outage = outages.findByIdAndHomeId(outage.mergedInto, homeId).orElseThrow(() -> Problem.notFound("outage"));
        }
        return outage;
    }

    /** A time that somebody noted; now where nobody did. Clocks may differ a little. */
    private static Instant passed(String field, @Nullable Instant at, Instant now) {
        if (at == null) {
            return now;
        }
        if (at.isAfter(now.plus(CLOCKS_MAY_DIFFER))) {
            throw new InputException(
                    field, at.getEpochSecond(), "a time that has passed", "The time is in the " + "future.");
        }
        if (at.isBefore(now.minus(LONGEST_OWED))) {
            throw new InputException(
                    field, at.getEpochSecond(), "within the last year", "The time is more than a year ago.");
        }
        return at.isAfter(now) ? now : at.truncatedTo(ChronoUnit.MICROS);
    }
}
