package jollytide.server.outage;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

@Entity
class OutageNote {
    @Id
    UUID id;

    UUID outageId;
    UUID tankId;
    Instant at;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(20)")
    NoteKind kind;

    String ref;
    Double value;
    String text;
    String byWhom;

    /** What a note tells. */
    enum NoteKind {
        /** {@code ref} is the step. */
        STEP_DONE,
        STEP_SKIPPED,
        /** {@code ref} is the step that is open again. */
        STEP_UNDONE,
        /** {@code ref} is the thing from the kit. */
        BACKUP_ON,
        BACKUP_OFF,
        /** The thing from the kit that {@code ref} names is broken or empty: nothing is planned with it any more. */
        BACKUP_FAILED,
        /** {@code value} in mg/L. */
        OXYGEN,
        /** {@code value} in mg/L. */
        AMMONIA,
        NITRITE,
        /** {@code value} in °C. */
        ROOM_TEMPERATURE,
        /** Of the water. */
        WATER_TEMPERATURE,
        /** {@code value} in hours from the last meal to the failure. */
        FED,
        /** At the time of the note. */
        FED_NOW,
        /** Blankets around the glass. */
        WRAPPED,
        /** {@code value} of them on the outside of the glass, in all. */
        HEAT_PACKS,
        /** Put into the tank against ammonia. */
        SPONGE_IN,
        BACTERIA_IN,
        BINDER_IN,
        /** Nobody can go there; {@code SOMEBODY_COMES} takes it back. */
        NOBODY_COMES,
        SOMEBODY_COMES,
        GASPING,
        CALM,
        NOTE
    }
}
