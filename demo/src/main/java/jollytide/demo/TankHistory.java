package jollytide.demo;

import java.time.Instant;
import java.util.List;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.RawUnit;

/** What a keeper's log of one tank holds. */
public record TankHistory(List<Series> series, List<Happening> happenings) {

    /** Readings by one method, in time order. */
    public record Series(RawUnit unit, Place place, Method method, List<Sample> samples) {}

    public record Sample(Instant at, double value) {}

    /** Something the keeper noted. */
    public record Happening(Kind kind, Instant at, String title, String note) {}

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
