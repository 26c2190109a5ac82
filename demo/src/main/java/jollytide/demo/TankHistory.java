package jollytide.demo;

import java.time.Instant;
import java.util.List;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.RawUnit;
import jollytide.core.measure.Measures;
import jollytide.core.probe.Calibration;
import org.jspecify.annotations.Nullable;

/**
 * What a keeper's log of one tank holds.
 *
 * @param calibrations of its pH probe
 * @param reservoir what was seen of what doses it; empty where nothing does
 */
public record TankHistory(
        List<Series> series,
        List<Happening> happenings,
        List<Calibration> calibrations,
        List<ReservoirNote> reservoir) {

    /** Readings by one method, in time order. */
    public record Series(RawUnit unit, Place place, Method method, List<Sample> samples) {}

    public record Sample(Instant at, double value) {}

    /** The same with what was seen of what doses it. */
    TankHistory with(List<ReservoirNote> seen) {
        return new TankHistory(series, happenings, calibrations, seen);
    }

    /**
     * Something the keeper noted.
     *
     * @param until null for a moment, or for what lasts
     * @param did to the tank, in measures' terms; null when that was not said, empty when nothing
     */
    public record Happening(
            Kind kind,
            Instant at,
            @Nullable Instant until,
            String title,
            String note,
            @Nullable List<Measures.Put> did) {
        Happening(Kind kind, Instant at, String title, String note) {
            this(kind, at, null, title, note, null);
        }
    }

    /** What was seen of a reservoir. */
    public enum Seen {
        LEVEL,
        FILLED,
        BUBBLES
    }

    /** @param ml what it held then, or was filled up to; 0 for bubbles */
    public record ReservoirNote(Instant at, Seen seen, double ml, String note) {}

    /** What kind of thing it was. */
    public enum Kind {
        REMEDY,
        FAULT,
        ADDITIVE,
        SEASON,
        PEOPLE,
        SMOKE,
        MAINTENANCE
    }
}
