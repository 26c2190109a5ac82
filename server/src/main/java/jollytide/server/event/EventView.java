package jollytide.server.event;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import jollytide.core.fit.Experiment;
import jollytide.core.measure.Measures;
import jollytide.core.measure.NobodyHome;
import jollytide.server.measure.SetRequest;
import jollytide.server.measure.SetRequest.PutMeasure;
import org.jspecify.annotations.Nullable;

/**
 * Something that changed.
 *
 * @param until when it was over; null for a moment, or for what lasts
 * @param excludesDays whether its days say nothing of how the tank usually is
 * @param measures what it did to the tank, on from {@code at} to {@code until}; null while that is not said, empty when it
 *     did nothing that readings do not show
 * @param did the same, each in a word or two
 * @param forecast what was forecast of them; null when nothing was
 */
public record EventView(
        UUID id,
        long version,
        EventKind kind,
        Instant at,
        @Nullable Instant until,
        boolean excludesDays,
        String title,
        String note,
        @Nullable List<PutMeasure> measures,
        List<String> did,
        @Nullable KeptForecast forecast) {
    /** Whether it tells who was home and who was not. */
    public boolean tellsWhoWasHome() {
        return kind == EventKind.PEOPLE
                || (measures != null && measures.stream().anyMatch(m -> m.kind().equals(NobodyHome.KIND.id())));
    }

    /** What happened, without what the keeper wrote of it. */
    public EventView withoutNote() {
        return new EventView(id, version, kind, at, until, excludesDays, title, "", measures, did, forecast);
    }

    static EventView of(TankEvent e) {
        return new EventView(
                e.id,
                e.version,
                e.kind,
                e.at,
                e.until,
                e.excludesDays,
                e.title,
                e.note,
                e.measures,
                e.measures == null ? List.of() : did(e.measures),
                e.forecast);
    }

    private static List<String> did(List<PutMeasure> measures) {
        return measures.stream()
                .map(put -> Measures.kind(put.kind()).shortName())
                .toList();
    }

    /** Whether a stretch of time, its end not included, is not to be learnt from. */
    public boolean excludes(Instant from, Instant to) {
        Instant last = until == null ? at : until;
        return excludesDays && at.isBefore(to) && !last.isBefore(from);
    }

    /** Whether it put something on the tank that was there at a moment. */
    public boolean stoodAt(Instant t) {
        return measures != null && !at.isAfter(t) && (until == null || until.isAfter(t));
    }

    /** Whether it was done to learn from it: it is known exactly, and the tank is afterwards as it was. */
    public boolean experiment() {
        return kind == EventKind.EXPERIMENT;
    }

    /** Whether it was an experiment that went on in a stretch of time, or whose way back the water was on. */
    public boolean moved(Instant from, Instant to) {
        return experiment()
                && at.isBefore(to)
                && (until == null ? at : until).plus(Experiment.RECOVERY).isAfter(from);
    }

    /** What it put on; nothing when that is not said. */
    public SetRequest set() {
        return new SetRequest(measures == null ? List.of() : measures);
    }
}
