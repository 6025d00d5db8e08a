package io.enthalpa.server.store;

import io.enthalpa.server.problem.StartFault;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Clock;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * Opens the database of a data folder. A new one is made aside and moved into place when it is whole; one of an earlier release is backed
 * up, brought up to date on a copy and moved into place; a damaged one, another program's or a later release's is left as it is.
 */
public final class StoreOpening {
    private static final DateTimeFormatter STAMP =
            DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss").withZone(ZoneOffset.UTC);
    /** H2's error codes, org.h2.api.ErrorCode. */
    private static final int IN_USE = 90020;

    private static final int WRONG_USER = 28000;

    private final DataFolder folder;
    private final StoreFiles.Disk disk;
    private final Clock clock;

    StoreOpening(DataFolder folder, StoreFiles.Disk disk, Clock clock) {
        this.folder = folder;
        this.disk = disk;
        this.clock = clock;
    }

    /** Takes the folder and opens what is in it. */
    public static Database open(Path path, StoreFiles.Disk disk, Clock clock) {
        DataFolder folder = DataFolder.take(path);
        try {
            return new StoreOpening(folder, disk, clock).open();
        } catch (RuntimeException e) {
            folder.close();
            throw e;
        }
    }

    /** @return a time as part of a file's name */
    static String stamp(Clock clock) {
        return STAMP.format(clock.instant());
    }

    private Database open() {
        try {
            if (!folder.hasFile()) {
                begin();
            } else if (!folder.isAsSealed()) {
                throw damaged("it was changed since it was last closed", null);
            } else if (isUnfinished()) {
                folder.setAside("unfinished", stamp(clock));
                begin();
            } else {
                look();
            }
            return Database.open(folder, disk);
        } catch (SQLException | DataAccessException e) {
            throw damaged("it cannot be opened", e);
        } catch (IOException e) {
            throw new StartFault("cannot write to the data folder " + folder.path() + " (" + e.getMessage() + ").");
        }
    }

    private void begin() throws IOException, SQLException {
        if (folder.acknowledged().orElse(0) > 0 && !folder.hasFile()) {
            throw new StartFault(folder.file() + " is missing, though "
                    + folder.acknowledged().getAsLong() + " edits were kept in it. Put it back. " + folder.wayBack());
        }
        Path aside = folder.aside();
        try {
            try (Pool pool = Pool.open(aside, false, StoreFiles.Disk.REAL)) {
                Schema.migrate(pool.source());
            }
            folder.install(aside.resolve(folder.file().getFileName()));
        } finally {
            DataFolder.delete(aside);
        }
    }

    /** Earlier releases made their tables in place, so that a first start that was killed left a file without any build. */
    private boolean isUnfinished() throws SQLException {
        try (Pool pool = Pool.open(folder.path(), true, StoreFiles.Disk.REAL)) {
            JdbcClient sql = pool.sql();
            long tables = count(sql, "select count(*) from information_schema.tables where table_schema = 'PUBLIC'");
            if (tables == 0) {
                return true;
            }
            boolean ours =
                    count(sql, "select count(*) from information_schema.tables where table_name = 'ENTHALPA_META'") > 0;
            boolean foreign = count(sql, """
                    select count(*) from information_schema.tables where table_schema = 'PUBLIC'
                    and upper(table_name) not in ('ENTHALPA_META', 'ENTHALPA_HISTORY', 'BUILD', 'REVISION', 'CATALOGUE_ITEM', 'CATALOGUE_STOCKED', 'CONTENT', 'VERDICT')""") > 0;
            if (foreign && !ours) {
                throw anothers();
            }
            boolean noted = count(
                                    sql,
                                    "select count(*) from information_schema.tables where upper(table_name) = 'ENTHALPA_HISTORY'")
                            > 0
                    && count(sql, "select count(*) from \"enthalpa_history\" where \"success\" and \"version\" = '1'")
                            > 0;
            boolean holds =
                    count(sql, "select count(*) from information_schema.tables where table_name = 'REVISION'") > 0
                            && count(sql, "select count(*) from revision") > 0;
            return !noted && !holds;
        } catch (SQLException e) {
            throw switch (e.getErrorCode()) {
                case IN_USE ->
                    new StartFault(
                            "the builds in " + folder.path() + " are open in another running program. Stop it first.");
                case WRONG_USER -> anothers();
                default -> damaged("it cannot be opened", e);
            };
        } catch (DataAccessException e) {
            throw damaged("parts of it cannot be read", e);
        }
    }

    private static long count(JdbcClient sql, String question) {
        return sql.sql(question).query(Long.class).single();
    }

    private void look() throws IOException, SQLException {
        boolean earlier;
        try (Pool pool = Pool.open(folder.path(), true, StoreFiles.Disk.REAL)) {
            if (Schema.isLater(pool.source())) {
                throw new StartFault("the builds in " + folder.path()
                        + " were written by a later Enthalpa; they were left as they are. Update this one.");
            }
            earlier = Schema.isEarlier(pool.source());
            String fault = earlier ? "" : Soundness.fault(pool.sql(), folder.acknowledged());
            if (!fault.isEmpty()) {
                throw damaged(fault, null);
            }
        }
        if (earlier) {
            bringUpToDate();
        }
    }

    private void bringUpToDate() throws IOException, SQLException {
        BackupFile.keep(
                folder,
                folder.file(),
                folder.backups().resolve("enthalpa-" + stamp(clock) + "-before-update.zip"),
                clock);
        Path aside = folder.aside();
        try {
            Path copy = aside.resolve(folder.file().getFileName());
            Files.copy(folder.file(), copy);
            upToDate(aside);
            folder.install(copy);
        } finally {
            DataFolder.delete(aside);
        }
    }

    /** Brings the database file in a folder up to date and makes sure that it is whole. */
    static void upToDate(Path aside) throws SQLException {
        try (Pool pool = Pool.open(aside, false, StoreFiles.Disk.REAL)) {
            Schema.migrate(pool.source());
            String fault = Soundness.fault(pool.sql(), java.util.OptionalLong.empty());
            if (!fault.isEmpty()) {
                throw new StartFault(
                        "the builds could not be brought up to date: " + fault + ". They were left as they are.");
            }
        }
    }

    private StartFault anothers() {
        return new StartFault(folder.file()
                + " belongs to another program; it was left as it is. Choose an empty folder: --data DIR");
    }

    private StartFault damaged(String how, @Nullable Exception cause) {
        return new StartFault(
                folder.file() + " is damaged, " + how + "; it was left as it is. " + folder.wayBack(), cause);
    }
}
