package jollytide.server.logfile;

import java.time.Instant;
import java.util.List;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.RawUnit;
import jollytide.core.logfile.Channel;
import jollytide.core.logfile.Layout;
import jollytide.core.logfile.TimeForm;
import jollytide.server.logfile.LogImport.Format;
import jollytide.server.logfile.LogImport.State;
import org.jspecify.annotations.Nullable;

/** What the API tells of imports. */
final class ImportViews {
    private ImportViews() {}

    /**
     * An import and how far it is.
     *
     * @param saved readings that were new
     * @param alreadyThere readings that the log held with the same value
     * @param conflicts readings for whose time the log holds another value
     * @param bad lines or cells that could not be taken
     * @param firstAt earliest reading that the file brought
     * @param replaced whether the conflicting values were replaced by the file's
     * @param reason why it failed, or what it waits for
     */
    record ImportView(
            long id,
            String name,
            Format format,
            State state,
            Instant createdAt,
            long bytes,
            long bytesRead,
            long linesRead,
            long saved,
            long alreadyThere,
            long conflicts,
            long bad,
            @Nullable Instant firstAt,
            @Nullable Instant lastAt,
            boolean replaced,
            @Nullable String reason) {

        static ImportView of(LogImport i) {
            return new ImportView(
                    i.id,
                    i.name,
                    i.format,
                    i.state,
                    i.createdAt,
                    i.bytes,
                    i.bytesRead,
                    i.linesRead,
                    i.saved,
                    i.alreadyThere,
                    i.conflicts,
                    i.bad,
                    i.firstAt,
                    i.lastAt,
                    i.replaced,
                    i.reason);
        }
    }

    /**
     * What a file seems to hold; what it cannot say is asked.
     *
     * @param layout null for SenML
     * @param timeForms more than one when the file does not tell day from month
     * @param zoneStated whether its times say their zone
     * @param zone the home's, to begin with
     * @param channels with more than one unit or place where the file does not tell
     */
    record Offer(
            ImportView view,
            @Nullable Layout layout,
            List<TimeForm> timeForms,
            boolean zoneStated,
            String zone,
            List<Channel> channels) {}

    /** A reading as it would enter the log. */
    record PreviewReading(long line, Instant at, RawUnit unit, Place place, Method method, double value) {}

    /** A line that could not be taken. */
    record BadLine(long line, String text, String reason) {}

    /** The head of a file under a plan. */
    record Preview(List<PreviewReading> readings, List<BadLine> bad) {}

    /** A stored value and the file's other one for the same time. */
    record ConflictView(Instant at, Place place, Method method, RawUnit unit, double stored, double offered) {}
}
