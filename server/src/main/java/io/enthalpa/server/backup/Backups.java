package io.enthalpa.server.backup;

import io.enthalpa.server.store.BackupFile;
import io.enthalpa.server.store.DataFolder;
import io.enthalpa.server.store.Database;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;

/**
 * Backups of the running database: one by itself each day that the program runs and something was changed since the last one, the newest
 * ten kept; one whenever it is asked for; and the way back. Tidies the database file too, when that pays.
 */
@Component
public class Backups implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(Backups.class);
    private static final DateTimeFormatter STAMP =
            DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss").withZone(ZoneOffset.UTC);
    static final int KEPT = 10;
    private static final Duration A_DAY = Duration.ofHours(24);
    private final Database database;
    private final Clock clock;
    private final ScheduledExecutorService upkeep = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "upkeep");
        thread.setDaemon(true);
        thread.setPriority(Thread.MIN_PRIORITY);
        return thread;
    });

    Backups(Database database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    /** A backup in the data folder. */
    public record Kept(String name, long bytes, Instant madeAt) {}

    @Override
    public void run(ApplicationArguments arguments) {
        upkeep.scheduleWithFixedDelay(() -> quietly(database::tidy), 5, 5, TimeUnit.SECONDS);
        upkeep.scheduleWithFixedDelay(() -> quietly(this::daily), 60, 15 * 60, TimeUnit.SECONDS);
    }

    @PreDestroy
    void stop() {
        upkeep.shutdownNow();
    }

    private static void quietly(Runnable work) {
        try {
            work.run();
        } catch (RuntimeException e) {
            LOG.warn("upkeep of the database file failed; it is tried again later", e);
        }
    }

    /** @return backups in the data folder, newest first */
    public List<Kept> all() {
        return database.folder().backupFiles().stream().map(Backups::kept).toList();
    }

    private static Kept kept(Path file) {
        String name = file.getFileName().toString();
        try {
            return new Kept(
                    name,
                    Files.size(file),
                    madeAt(name).orElse(Files.getLastModifiedTime(file).toInstant()));
        } catch (IOException gone) {
            return new Kept(name, 0, Instant.EPOCH);
        }
    }

    /** By the name, which a copy does not change. */
    private static Optional<Instant> madeAt(String name) {
        try {
            return Optional.of(STAMP.parse(name.replaceFirst("^enthalpa-", "").substring(0, 15), Instant::from));
        } catch (DateTimeException | IndexOutOfBoundsException otherName) {
            return Optional.empty();
        }
    }

    /** Makes today's backup if it is not there yet, and lets go of the oldest beyond ten. A backup that fails removes none. */
    void daily() {
        List<Path> before = daily("-daily.zip");
        Instant last = before.isEmpty() ? Instant.EPOCH : kept(before.get(0)).madeAt();
        if (Duration.between(last, clock.instant()).compareTo(A_DAY) < 0
                || database.lastWrite().isBefore(last)) {
            return;
        }
        BackupFile.keep(database, named("daily"), clock);
        for (String kind : List.of("-daily.zip", "-before-update.zip")) {
            daily(kind).stream().skip(KEPT).forEach(Backups::remove);
        }
    }

    private List<Path> daily(String kind) {
        return database.folder().backupFiles().stream()
                .filter(f -> f.getFileName().toString().endsWith(kind))
                .toList();
    }

    private static void remove(Path file) {
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            LOG.warn("{} could not be removed", file);
        }
    }

    private Path named(String why) {
        return database.folder().backups().resolve("enthalpa-" + STAMP.format(clock.instant()) + "-" + why + ".zip");
    }

    /** @return bytes of a backup made now under that path */
    public long keep(Path zip) {
        return BackupFile.keep(database, zip, clock);
    }

    /**
     * Puts a backup in place of what is there, which is set aside.
     *
     * @return where the old database file is now
     */
    public Path restore(InputStream zip, String name) {
        DataFolder folder = database.folder();
        Path aside = folder.aside();
        try {
            Path made = BackupFile.take(zip, aside, name);
            return database.replace(made, STAMP.format(clock.instant()));
        } finally {
            DataFolder.delete(aside);
        }
    }

    /** @return a backup in the data folder by its name; null when there is none */
    @Nullable
    Path file(String name) {
        return database.folder().backupFiles().stream()
                .filter(f -> f.getFileName().toString().equals(name))
                .findFirst()
                .orElse(null);
    }

    /** @return a file to put a backup in that is handed out and then forgotten */
    Path scratch() {
        return database.folder().aside().resolve("backup.zip");
    }

    static void forget(Path scratch) {
        DataFolder.delete(scratch.getParent());
    }
}
