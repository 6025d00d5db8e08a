package io.enthalpa.server.store;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import javax.sql.DataSource;
import org.h2.jdbcx.JdbcConnectionPool;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Connections to one database file, open from {@link #open} to {@link #close}. */
final class Pool implements AutoCloseable {
    static final String USER = "enthalpa";
    /**
     * Every commit is handed to the operating system before it returns (no write delay). Space of overwritten pages is used again only
     * after two seconds, by when what replaced them is long flushed.
     */
    private static final String SETTINGS =
            ";WRITE_DELAY=0;RETENTION_TIME=2000;DB_CLOSE_ON_EXIT=FALSE;TRACE_LEVEL_FILE=0";

    private static final int CONNECTIONS = 8;
    private static final int PATIENCE_S = 20;
    private final String name;
    private final String url;
    private final JdbcConnectionPool connections;
    private final JdbcClient sql;
    private final TransactionTemplate transaction;

    private Pool(String name, String url) {
        this.name = name;
        this.url = url;
        this.connections = JdbcConnectionPool.create(url, USER, "");
        connections.setMaxConnections(CONNECTIONS);
        connections.setLoginTimeout(PATIENCE_S);
        this.sql = JdbcClient.create(connections);
        this.transaction = new TransactionTemplate(new JdbcTransactionManager(connections));
    }

    /**
     * @param folder holds the file, or will
     * @throws SQLException when the file cannot be opened; its code is H2's
     */
    static Pool open(Path folder, boolean readOnly, StoreFiles.Disk disk) throws SQLException {
        String name = StoreFiles.register(folder, disk);
        Pool pool = new Pool(name, "jdbc:h2:" + name + SETTINGS + (readOnly ? ";ACCESS_MODE_DATA=r" : ""));
        try (Connection first = pool.connections.getConnection()) {
            first.getMetaData();
        } catch (SQLException | RuntimeException e) {
            pool.abandon();
            throw e;
        }
        return pool;
    }

    DataSource source() {
        return connections;
    }

    JdbcClient sql() {
        return sql;
    }

    TransactionTemplate transaction() {
        return transaction;
    }

    /** Waits until everything committed is on the disk itself. */
    void flush() {
        sql.sql("checkpoint sync").update();
    }

    /** Closes the file in good order. */
    @Override
    public void close() {
        end("shutdown");
    }

    /** Lets go of a file that cannot be closed in good order any more. */
    void abandon() {
        end("shutdown immediately");
    }

    private void end(String how) {
        try (Connection connection = DriverManager.getConnection(url, USER, "");
                Statement statement = connection.createStatement()) {
            statement.execute(how);
        } catch (SQLException | RuntimeException alreadyClosed) {
            // Then there is nothing left to close.
        }
        connections.dispose();
        StoreFiles.forget(name);
    }
}
