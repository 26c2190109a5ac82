package jollytide.server.outage;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import jollytide.core.units.InputException;
import jollytide.core.units.Quantities;
import jollytide.server.outage.OutageController.NewNote;
import jollytide.server.problem.FieldError;
import org.jspecify.annotations.Nullable;

/** What a note of an outage must hold. Each note is judged alone: one that is refused holds back no other. */
final class NoteRules {
    private static final int LONGEST_REF = 60;
    private static final int LONGEST_TEXT = 500;
    private static final int LONGEST_NAME = 80;

    private NoteRules() {}

    /** What is wrong with a note; null when nothing is. */
    static @Nullable FieldError wrong(NewNote note, List<UUID> tankIds) {
        if (note.id() == null || note.at() == null || note.kind() == null) {
            return new FieldError("id", "", "an id, a time and a kind", "The entry needs an id, a time and a kind.");
        }
        FieldError tooLong = tooLong(note);
        if (tooLong != null) {
            return tooLong;
        }
        if (note.tankId() != null && !tankIds.contains(note.tankId())) {
            return new FieldError(
                    "tankId", note.tankId().toString(), "a tank of this home", "This home has no such tank.");
        }
        return switch (note.kind()) {
            case OXYGEN, AMMONIA, NITRITE -> outside(note, 0, 20, "mg/L");
            case WATER_TEMPERATURE -> note.tankId() == null ? noTank() : outside(note, 5, 38, "°C");
            case ROOM_TEMPERATURE -> outside(note, -20, 45, "°C");
            case FED -> outside(note, 0, 1000, "h");
            case STEP_DONE, STEP_SKIPPED, STEP_UNDONE, BACKUP_ON, BACKUP_OFF, BACKUP_FAILED ->
                note.ref() == null || note.tankId() == null
                        ? new FieldError("ref", "", "the step or thing, and its tank", "What was done is missing.")
                        : null;
            case HEAT_PACKS -> note.tankId() == null ? noTank() : outside(note, 0, 40, "packs");
            case NOBODY_COMES, SOMEBODY_COMES -> null;
            case FED_NOW, WRAPPED, SPONGE_IN, BACTERIA_IN, BINDER_IN, GASPING, CALM ->
                note.tankId() == null ? noTank() : null;
            case NOTE ->
                note.text() == null || note.text().isBlank()
                        ? new FieldError("text", "", "some words", "Enter a few words.")
                        : null;
        };
    }

    private static FieldError noTank() {
        return new FieldError("tankId", "", "a tank of this home", "Choose the tank.");
    }

    private static @Nullable FieldError outside(NewNote note, double least, double most, String unit) {
        try {
            Quantities.within("value", note.value() == null ? Double.NaN : note.value(), least, most, unit);
            return null;
        } catch (InputException outside) {
            return new FieldError("value", String.valueOf(note.value()), outside.allowed(), outside.getMessage());
        }
    }

    private static @Nullable FieldError tooLong(NewNote note) {
        return Stream.of(
                        longest("ref", note.ref(), LONGEST_REF),
                        longest("text", note.text(), LONGEST_TEXT),
                        longest("byWhom", note.byWhom(), LONGEST_NAME))
                .flatMap(Optional::stream)
                .findFirst()
                .orElse(null);
    }

    private static Optional<FieldError> longest(String field, @Nullable String text, int most) {
        return text == null || text.length() <= most
                ? Optional.empty()
                : Optional.of(new FieldError(
                        field, "", "at most " + most + " characters", "At most " + most + " characters are kept."));
    }
}
