package io.enthalpa.server.store;

import io.enthalpa.server.problem.StartFault;
import io.enthalpa.server.store.migration.V3__SmallRevisions;
import java.util.Arrays;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationState;

/** The tables, brought up to date from any earlier release. */
public final class Schema {
    private Schema() {}

    private static Flyway flyway(DataSource source) {
        return Flyway.configure()
                .dataSource(source)
                .table("enthalpa_history")
                .locations("classpath:db/migration")
                .javaMigrations(new V3__SmallRevisions())
                .load();
    }

    /** @return whether a later release wrote it */
    static boolean isLater(DataSource source) {
        return Arrays.stream(flyway(source).info().all())
                .map(MigrationInfo::getState)
                .anyMatch(state -> state == MigrationState.FUTURE_SUCCESS || state == MigrationState.FUTURE_FAILED);
    }

    /** @return whether an earlier release wrote it */
    static boolean isEarlier(DataSource source) {
        return flyway(source).info().pending().length > 0;
    }

    /** Makes the tables, or brings them up to date. Done on a copy that is moved into place when it is whole. */
    public static void migrate(DataSource source) {
        try {
            flyway(source).migrate();
        } catch (FlywayException e) {
            throw new StartFault(
                    "the builds could not be brought up to date (" + e.getMessage() + "); they were left as they are.");
        }
    }
}
