package jollytide.server.effect;

import java.time.Instant;
import java.util.List;
import jollytide.core.drift.Drift;

/** What is shown of what meters and tests say of themselves. */
final class DriftViews {
    private DriftViews() {}

    enum Measured {
        /** meq/L, straight in that unit. */
        ALKALINITY,
        /** What the room holds over outdoors, ppm by weeks, straight in its natural logarithm. */
        ROOM_EXCESS
    }

    /** One for each thing that was measured often enough, drifts or none. */
    record DriftsView(List<MeasuredCourse> courses) {}

    record MeasuredCourse(Measured of, List<MeasuredPoint> measured, List<DriftView> drifts) {}

    record MeasuredPoint(Instant at, double value) {}

    /** @param noted titles of what is noted of about the time when it began */
    record DriftView(Drift drift, List<String> noted) {}
}
