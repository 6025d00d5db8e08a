package io.enthalpa.server.store;

import io.enthalpa.server.problem.StoreFault;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Instant;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import java.util.concurrent.locks.Lock;
import java.util.concurrent.locks.ReentrantLock;
import java.util.concurrent.locks.ReentrantReadWriteLock;
import java.util.function.Function;
import org.h2.mvstore.MVStore;
import org.h2.mvstore.MVStoreException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.TransactionException;

/**
 * The database file of a data folder. What {@link #write} returns is on the disk: committed, flushed down to the device as far as the file
 * system keeps its word, and counted in the folder, so that a file that lost something is noticed at the next start. Several writers share
 * a flush. When the disk refuses, nothing is acknowledged, reading goes on from what the file holds, and writing is tried again with the
 * next edit, without a restart.
 */
public final class Database implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Database.class);
    /** Bytes of file above twice what it came to when last tidied, from which tidying pays. */
    private static final long GROWN = 24_000_000;

    private final DataFolder folder;
    private final StoreFiles.Disk disk;
    /** Work on the pool holds the first, whoever swaps it the second. */
    private final ReentrantReadWriteLock inUse = new ReentrantReadWriteLock(true);

    private final Lock oneWriter = new ReentrantLock(true);
    private final Lock oneFlush = new ReentrantLock(true);
    private volatile Pool pool;
    private volatile @Nullable Object identity;
    private volatile boolean readOnly;
    private volatile boolean broken;
    private volatile long tidySize;
    private volatile long committed;
    private volatile long flushed;
    private final AtomicInteger opened = new AtomicInteger();

    private Database(DataFolder folder, StoreFiles.Disk disk) throws SQLException {
        this.folder = folder;
        this.disk = disk;
        this.pool = Pool.open(folder.path(), false, disk);
        this.identity = folder.identity();
        this.tidySize = size();
        this.committed = pool.sql()
                .sql("select edits from enthalpa_meta")
                .query(Long.class)
                .single();
        this.flushed = committed;
        folder.acknowledge(committed);
        folder.unseal();
    }

    /** Opens a file that was looked at by {@link StoreOpening}. */
    static Database open(DataFolder folder, StoreFiles.Disk disk) throws SQLException {
        return new Database(folder, disk);
    }

    public DataFolder folder() {
        return folder;
    }

    /** @return how often the file was opened; what was read from it before the last time may not hold any more */
    public int opened() {
        return opened.get();
    }

    /** @return what is asked of the database; nothing may be changed by it */
    public <T> T read(Function<JdbcClient, T> question) {
        Pool asked = null;
        inUse.readLock().lock();
        try {
            asked = pool;
            return question.apply(asked.sql());
        } catch (DataAccessException e) {
            if (!isClosed(e)) {
                throw e;
            }
        } finally {
            inUse.readLock().unlock();
        }
        reopen(asked);
        inUse.readLock().lock();
        try {
            return question.apply(pool.sql());
        } finally {
            inUse.readLock().unlock();
        }
    }

    /**
     * Makes a change in one transaction. When it returns, the change is on the disk.
     *
     * @throws StoreFault when it could not be written; then it counts as not made
     */
    public <T> T write(Function<JdbcClient, T> change) {
        if (readOnly || broken) {
            tryWritable();
        }
        inUse.readLock().lock();
        try {
            Pool used = pool;
            folder.checkWritable(identity);
            AtomicReference<T> made = new AtomicReference<>();
            long mine;
            oneWriter.lock();
            try {
                mine = used.transaction().execute(status -> {
                    made.set(change.apply(used.sql()));
                    used.sql().sql("update enthalpa_meta set edits = edits + 1").update();
                    return used.sql()
                            .sql("select edits from enthalpa_meta")
                            .query(Long.class)
                            .single();
                });
                committed = mine;
            } finally {
                oneWriter.unlock();
            }
            flush(used, mine);
            // A folder that was swapped in the middle has taken the edit with it.
            folder.checkWritable(identity);
            return made.get();
        } catch (DataIntegrityViolationException notTheDisks) {
            throw notTheDisks;
        } catch (DataAccessException | TransactionException e) {
            broken = true;
            LOG.warn("an edit could not be written", e);
            throw fault(e);
        } finally {
            inUse.readLock().unlock();
        }
    }

    /** Whoever comes while another flushes waits for the next flush, which then serves all who wait. */
    private void flush(Pool used, long mine) {
        oneFlush.lock();
        try {
            if (flushed < mine) {
                long all = committed;
                used.flush();
                folder.acknowledge(all);
                flushed = all;
            }
        } finally {
            oneFlush.unlock();
        }
    }

    private StoreFault fault(Exception e) {
        try {
            folder.checkWritable(identity);
        } catch (StoreFault known) {
            return known;
        }
        for (Throwable t = e; t != null; t = t.getCause()) {
            String words = String.valueOf(t.getMessage());
            if (words.contains("No space left") || words.contains("Disk quota")) {
                return folder.full();
            }
            if (words.contains("Read-only file system") || words.contains("read only") || words.contains("read-only")) {
                return folder.readOnly();
            }
        }
        return new StoreFault(
                StoreFault.Kind.FAILING,
                "The disk that holds " + folder.path()
                        + " refused to write, so this was not saved. It is tried again with the next edit; "
                        + "look whether the disk is well.",
                e);
    }

    private static boolean isClosed(DataAccessException e) {
        for (Throwable t = e; t != null; t = t.getCause()) {
            if (t instanceof MVStoreException
                    || t instanceof SQLException sql
                            && (sql.getErrorCode() == 90098
                                    || sql.getErrorCode() == 90121
                                    || sql.getErrorCode() == 90007)
                    || t instanceof java.sql.SQLTransientConnectionException) {
                return true;
            }
        }
        return false;
    }

    /** After a refusal: what the file holds is the truth again. */
    private void tryWritable() {
        inUse.writeLock().lock();
        try {
            if (!readOnly && !broken) {
                return;
            }
            folder.checkWritable(identity);
            pool.abandon();
            pool = Pool.open(folder.path(), false, disk);
            opened.incrementAndGet();
            readOnly = false;
            broken = false;
            flushed = committed = pool.sql()
                    .sql("select edits from enthalpa_meta")
                    .query(Long.class)
                    .single();
        } catch (SQLException | DataAccessException e) {
            reopenToRead();
            throw fault(e);
        } finally {
            inUse.writeLock().unlock();
        }
    }

    private void reopen(Pool closed) {
        inUse.writeLock().lock();
        try {
            if (pool == closed) {
                pool.abandon();
                reopenToRead();
            }
        } finally {
            inUse.writeLock().unlock();
        }
    }

    private void reopenToRead() {
        try {
            pool = Pool.open(folder.path(), true, StoreFiles.Disk.REAL);
            opened.incrementAndGet();
            readOnly = true;
        } catch (SQLException e) {
            throw new StoreFault(
                    StoreFault.Kind.FAILING, folder.file() + " cannot be read now (" + e.getMessage() + ").", e);
        }
    }

    /** @return when the file was last written to */
    public Instant lastWrite() {
        try {
            return Files.getLastModifiedTime(folder.file()).toInstant();
        } catch (IOException gone) {
            return Instant.EPOCH;
        }
    }

    /** @return bytes of the file */
    long size() {
        try {
            return Files.size(folder.file());
        } catch (IOException gone) {
            return 0;
        }
    }

    /** Writes the file anew without what overwritten pages left in it, when that pays. A pause of some tenths of a second. */
    public void tidy() {
        tidy(GROWN);
    }

    /** @param grown bytes above twice the tidy size from which it pays */
    void tidy(long grown) {
        if (readOnly || broken || size() < 2 * tidySize + grown) {
            return;
        }
        inUse.writeLock().lock();
        try {
            folder.checkWritable(identity);
            pool.close();
            Path aside = folder.aside();
            try {
                Path made = aside.resolve("tidy.mv.db");
                MVStore.compact("file:" + folder.file(), "file:" + made, false, null);
                folder.install(made);
            } finally {
                DataFolder.delete(aside);
            }
        } catch (IOException | RuntimeException e) {
            LOG.warn("the database file could not be tidied; it goes on as it was", e);
        } finally {
            afterSwap();
            inUse.writeLock().unlock();
        }
    }

    /**
     * Puts another database file in place of this one, which is set aside.
     *
     * @param made a whole file in a folder made by {@link DataFolder#aside}
     * @return where the old file is now
     */
    public Path replace(Path made, String when) {
        inUse.writeLock().lock();
        try {
            pool.close();
            Path kept = folder.setAside("before-restore", when);
            folder.install(made);
            return kept;
        } catch (IOException e) {
            throw new StoreFault(
                    StoreFault.Kind.FAILING, "The backup could not be put in place (" + e.getMessage() + ").", e);
        } finally {
            afterSwap();
            inUse.writeLock().unlock();
        }
    }

    private void afterSwap() {
        try {
            pool = Pool.open(folder.path(), false, disk);
            opened.incrementAndGet();
            identity = folder.identity();
            readOnly = false;
            broken = false;
            tidySize = size();
            flushed = committed = pool.sql()
                    .sql("select edits from enthalpa_meta")
                    .query(Long.class)
                    .single();
            folder.acknowledge(committed);
        } catch (SQLException | DataAccessException e) {
            broken = true;
            reopenToRead();
        }
    }

    /** Copies the file as it stands, while it is in use. */
    void copyTo(Path zip) {
        read(sql -> sql.sql("backup to :file").param("file", "file:" + zip).update());
    }

    @Override
    public void close() {
        inUse.writeLock().lock();
        try {
            pool.close();
            if (!broken && !readOnly) {
                folder.seal();
            }
            folder.close();
        } finally {
            inUse.writeLock().unlock();
        }
    }
}
