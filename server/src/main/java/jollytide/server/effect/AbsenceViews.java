package jollytide.server.effect;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import jollytide.core.effects.Absence;
import jollytide.core.evidence.Estimate;
import org.jspecify.annotations.Nullable;

/** What is shown of times when nobody was home. */
final class AbsenceViews {
    private AbsenceViews() {}

    /** @param absences the newest first */
    record AbsencesView(List<AbsenceView> absences) {}

    /**
     * One of them.
     *
     * @param cameBack null while they are away
     * @param ph beside what was usual by the clock; null where too little was logged
     * @param room what the room held over outdoors, hours since they left; empty without a meter
     * @param clearing how fast the room cleared; null where that cannot be read from it
     */
    record AbsenceView(
            UUID eventId,
            String title,
            Instant left,
            @Nullable Instant cameBack,
            @Nullable Absence ph,
            List<Absence.HourOfAbsence> room,
            @Nullable Clearing clearing) {}

    /** @param halfH until half of what it held over outdoors was gone, {@code ninetyH} until nine tenths were */
    record Clearing(double excessPpm, Estimate airChangesPerH, Estimate halfH, Estimate ninetyH) {}
}
