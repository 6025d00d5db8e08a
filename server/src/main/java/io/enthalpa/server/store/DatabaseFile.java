package io.enthalpa.server.store;

import io.enthalpa.server.problem.StartFault;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Arrays;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationState;

/** The database file of a data folder, and the plain words for what can be wrong with it. Nothing here changes a file it does not own. */
final class DatabaseFile {
    static final String USER = "enthalpa";
    /** H2's error codes, org.h2.api.ErrorCode. */
    private static final int IN_USE = 90020;
    private static final int WRONG_USER = 28000;

    private final Path folder;

    DatabaseFile(String folder) {
        this.folder = Path.of(folder).toAbsolutePath();
    }

    String url() {
        return "jdbc:h2:file:" + folder.resolve("enthalpa") + ";DB_CLOSE_ON_EXIT=FALSE";
    }

    private Path file() {
        return folder.resolve("enthalpa.mv.db");
    }

    /**
     * @throws StartFault when the file is not a database of ours, is in use, or cannot be read
     */
    void check() {
        if (!Files.exists(file())) {
            return;
        }
        try (Connection connection = DriverManager.getConnection(url(), USER, ""); Statement statement = connection.createStatement()) {
            if (exists(statement, "select count(*) from information_schema.tables where table_schema = 'PUBLIC'")
                    && !exists(statement, "select count(*) from information_schema.tables where table_name = 'ENTHALPA_META'")) {
                throw new StartFault(file() + " belongs to another program; it was left as it is. Choose an empty folder: --data DIR");
            }
        } catch (SQLException e) {
            throw plain(e);
        }
    }

    private static boolean exists(Statement statement, String count) throws SQLException {
        try (ResultSet rows = statement.executeQuery(count)) {
            return rows.next() && rows.getInt(1) > 0;
        }
    }

    private StartFault plain(SQLException e) {
        return switch (e.getErrorCode()) {
            case IN_USE -> new StartFault("the builds in " + folder + " are open in another running Enthalpa. Use that one, or stop it first.");
            case WRONG_USER -> new StartFault(file() + " belongs to another program; it was left as it is. Choose an empty folder: --data DIR");
            default -> new StartFault(file() + " cannot be read as an Enthalpa database; it was left as it is. "
                    + "Choose another folder with --data DIR, or put a copy from your backup in its place.");
        };
    }

    void migrate(Flyway flyway) {
        boolean later = Arrays.stream(flyway.info().all()).map(MigrationInfo::getState)
                .anyMatch(state -> state == MigrationState.FUTURE_SUCCESS || state == MigrationState.FUTURE_FAILED);
        if (later) {
            throw new StartFault("the builds in " + folder + " were written by a later Enthalpa; they were left as they are. Update this one.");
        }
        try {
            flyway.migrate();
        } catch (FlywayException e) {
            throw new StartFault("the builds in " + folder + " could not be brought up to date (" + e.getMessage() + ").");
        }
    }
}
