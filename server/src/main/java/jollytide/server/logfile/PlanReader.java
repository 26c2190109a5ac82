package jollytide.server.logfile;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.util.Objects;
import jollytide.core.logfile.FileRefused;
import jollytide.core.logfile.LogReader;
import jollytide.core.logfile.TextForm;
import jollytide.server.logfile.LogImport.Format;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import org.springframework.stereotype.Component;

/** Reads a stored file, or its head, under a confirmed plan. Outside any transaction: whoever listens opens their own. */
@Component
class PlanReader {
    private final FileStore files;
    private final Clock clock;

    PlanReader(FileStore files, Clock clock) {
        this.files = files;
        this.clock = clock;
    }

    /** @throws Problem when the file breaks off in a way that leaves nothing to read on */
    void read(LogImport file, ImportPlan plan, InputStream in, LogReader.Sink sink) {
        try {
            if (file.format == Format.SENML) {
                Senml.read(in, plan.meanings(), clock.instant(), sink);
                return;
            }
            LogReader.Plan lines =
                    new LogReader.Plan(Objects.requireNonNull(plan.layout()), plan.zoneId(), plan.meanings());
            LogReader.read(in, TextForm.of(files.head(file.id)), lines, clock.instant(), sink);
        } catch (FileRefused e) {
            throw refused(file, e);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static Problem refused(LogImport file, FileRefused e) {
        return Problem.refused(new FieldError("file", file.name, "CSV or SenML JSON", e.getMessage()));
    }
}
