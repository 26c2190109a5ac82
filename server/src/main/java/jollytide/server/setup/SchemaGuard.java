package jollytide.server.setup;

import java.util.Arrays;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationVersion;
import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.stereotype.Component;

/** Migrates older data, and leaves data of a newer version alone: this one would not know what it overwrites. */
@Component
class SchemaGuard implements FlywayMigrationStrategy {
    @Override
    public void migrate(Flyway flyway) {
        MigrationInfo current = flyway.info().current();
        MigrationVersion newest = Arrays.stream(flyway.info().all())
                .filter(info ->
                        info.getScript() != null && !info.getState().name().contains("FUTURE"))
                .map(MigrationInfo::getVersion)
                .max(MigrationVersion::compareTo)
                .orElse(MigrationVersion.EMPTY);
        if (current != null && current.getVersion().compareTo(newest) > 0) {
            throw new NewerData("Your data are from a newer Jolly Tide: schema " + current.getVersion()
                    + ". This version knows up to " + newest + ".");
        }
        flyway.migrate();
    }

    /** Said on the console in words instead of a stack of calls. */
    static final class NewerData extends RuntimeException {
        private static final long serialVersionUID = 1L;

        NewerData(String message) {
            super(message);
        }
    }

    /** Found by its name in {@code META-INF/spring.factories}. */
    static final class Words extends AbstractFailureAnalyzer<NewerData> {
        @Override
        protected FailureAnalysis analyze(Throwable root, NewerData cause) {
            return new FailureAnalysis(cause.getMessage(), "Update Jolly Tide first. Nothing was changed.", cause);
        }
    }
}
