package jollytide.server.logfile;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.DateTimeException;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.RawUnit;
import jollytide.core.logfile.Layout;
import jollytide.core.logfile.Meaning;
import jollytide.server.logfile.LogImport.Format;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import jollytide.server.reading.SeriesBook;
import org.jspecify.annotations.Nullable;

/**
 * How a file is to be read.
 *
 * @param layout null for SenML, which needs none
 * @param zone of times that carry no offset; null when all do
 * @param channels which channels are taken, and as what; others are passed over
 */
public record ImportPlan(
        @Nullable Layout layout,
        @Nullable @Size(max = 60) String zone,
        @NotEmpty @Size(max = 60) List<@NotNull @Valid Taken> channels) {

    private static final String DELIMITERS = ",;\t|";

    /** A channel and what its numbers are. */
    public record Taken(
            @NotNull @Size(max = 400) String key,
            @NotNull RawUnit unit,
            @NotNull Place place,
            @NotNull Method method) {

        Meaning meaning() {
            return new Meaning(unit, place, method);
        }
    }

    Map<String, Meaning> meanings() {
        Map<String, Meaning> meanings = new LinkedHashMap<>();
        channels.forEach(taken -> meanings.put(taken.key(), taken.meaning()));
        return meanings;
    }

    /** The zone of times without an offset. */
    ZoneId zoneId() {
        try {
            return zone == null ? ZoneOffset.UTC : ZoneId.of(zone);
        } catch (DateTimeException e) {
            throw Problem.refused(new FieldError(
                    "zone", zone, "a zone such as Europe/Amsterdam or +01:00", "There is no time zone " + zone + "."));
        }
    }

    /**
     * @throws Problem when two channels would be one series, something is measured where it cannot be, the zone is
     *     unknown, or a file of lines has no layout
     */
    void check(Format format) {
        zoneId();
        if (format == Format.CSV && layout == null) {
            throw Problem.refused(new FieldError("layout", null, "the layout that was offered", "layout is missing."));
        }
        if (layout != null) {
            check(layout);
        }
        Set<Meaning> meanings = new HashSet<>();
        Set<String> keys = new HashSet<>();
        for (int i = 0; i < channels.size(); i++) {
            String field = "channels[" + i + "]";
            Taken taken = channels.get(i);
            SeriesBook.check(field, taken.meaning());
            if (!keys.add(taken.key()) || !meanings.add(taken.meaning())) {
                throw Problem.refused(new FieldError(
                        field,
                        taken.key(),
                        "each quantity once",
                        "Two channels are " + taken.unit().symbol()
                                + " by the same method at the same place. Leave one out or choose another method."));
            }
        }
    }

    private void check(Layout given) {
        if (given.timeForm() == null) {
            throw Problem.refused(new FieldError(
                    "layout.timeForm", null, "one of the offered formats", "Choose how times are written."));
        }
        if (DELIMITERS.indexOf(given.delimiter()) < 0) {
            throw Problem.refused(new FieldError(
                    "layout.delimiter",
                    String.valueOf(given.delimiter()),
                    "comma, semicolon, tab or bar",
                    "Separate cells by comma, semicolon, tab or bar."));
        }
        if ((given.nameColumn() == null) != (given.valueColumn() == null)) {
            throw Problem.refused(new FieldError(
                    "layout.valueColumn",
                    null,
                    "nameColumn and valueColumn together, or neither",
                    "A file with one reading per line needs a column of names and one of values."));
        }
        for (int i = 0; i < channels.size() && given.nameColumn() == null; i++) {
            String key = channels.get(i).key();
            if (!key.matches("\\d{1,3}") || Integer.parseInt(key) > Layout.MAX_COLUMNS) {
                throw Problem.refused(new FieldError(
                        "channels[" + i + "].key",
                        key,
                        "a column from 0 to " + Layout.MAX_COLUMNS,
                        "There is no column " + key + "; columns are counted from 0."));
            }
        }
    }
}
