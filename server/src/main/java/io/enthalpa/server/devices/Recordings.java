package io.enthalpa.server.devices;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.leak.LeakTest.Reading;
import io.enthalpa.formats.LeakCsv;
import io.enthalpa.server.builds.BuildService;
import io.enthalpa.server.logs.LogService;
import io.enthalpa.server.problem.NotThereException;
import io.enthalpa.server.store.Database;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Recordings under way. What a program that was ended left behind is taken in as a log at the next start. */
@Component
class Recordings {
    private static final Logger LOG = LoggerFactory.getLogger(Recordings.class);
    private static final int MOST = 4;
    private static final int LONGEST_NAME = 100;
    private static final String CUT_OFF = ", cut off";

    private final Database database;
    private final BuildService builds;
    private final LogService logs;
    private final Map<UUID, Recording> running = new ConcurrentHashMap<>();

    Recordings(Database database, BuildService builds, LogService logs) {
        this.database = database;
        this.builds = builds;
        this.logs = logs;
    }

    private Path folder() throws IOException {
        Path folder = database.folder().path().resolve("recordings");
        Files.createDirectories(folder);
        return folder;
    }

    /** @param leakTest id of the test whose gauge is read; empty for a drive */
    Recording start(long build, String name, String leakTest, List<Feed> feeds) {
        builds.get(build);
        if (running.size() >= MOST) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "",
                    "recordings under way",
                    String.valueOf(running.size()),
                    "at most " + MOST,
                    "End one first.");
        }
        String called = name.strip();
        if (called.isEmpty() || called.length() > LONGEST_NAME) {
            throw EnthalpaFault.of(
                    FaultKind.OUT_OF_RANGE,
                    "name",
                    "name of the recording",
                    called.length() + " characters",
                    "1 and " + LONGEST_NAME,
                    "");
        }
        try {
            Recording recording = new Recording(build, called, leakTest, folder(), feeds);
            running.put(recording.uid(), recording);
            recording.start();
            return recording;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    List<Recording> of(long build) {
        return running.values().stream().filter(r -> r.build() == build).toList();
    }

    Recording recording(UUID uid) {
        Recording recording = running.get(uid);
        if (recording == null) {
            throw new NotThereException("There is no such recording under way. It may have been ended.");
        }
        return recording;
    }

    /** @return id of the log that it has become */
    long stop(UUID uid) {
        Recording recording = recording(uid);
        try {
            recording.end();
            long log = taken(recording.path(), recording.build(), uid, named(recording));
            running.remove(uid);
            return log;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (EnthalpaFault nothing) {
            running.remove(uid);
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "",
                    "recording",
                    "without two rows",
                    "a device that talked",
                    "Nothing was kept of it. (" + nothing.sentence() + ")");
        }
    }

    /** What has been heard up to now, as readings of a leak test. */
    List<Reading> readings(UUID uid) {
        Recording recording = recording(uid);
        try {
            recording.flush();
            try (InputStream in = Files.newInputStream(recording.path())) {
                return LeakCsv.read(in);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Ends it and keeps nothing of it. */
    void drop(UUID uid) {
        Recording recording = recording(uid);
        try {
            recording.end();
            Files.deleteIfExists(recording.path());
            running.remove(uid);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String named(Recording recording) {
        return recording.name() + (recording.isSimulated() ? " (simulated)" : "");
    }

    private long taken(Path path, long build, UUID uid, String name) throws IOException {
        long log;
        try (InputStream in = Files.newInputStream(path)) {
            log = logs.keep(build, uid, name, in);
        } catch (EnthalpaFault empty) {
            Files.deleteIfExists(path);
            throw empty;
        }
        Files.deleteIfExists(path);
        return log;
    }

    /** What is still being recorded when the program is told to end stays as its file; the next start takes it in. */
    @EventListener(ContextClosedEvent.class)
    void leave() {
        running.values().forEach(recording -> {
            try {
                recording.end();
            } catch (IOException e) {
                LOG.warn("a recording may have lost its last half second: {}", e.getMessage());
            }
        });
    }

    @EventListener(ApplicationReadyEvent.class)
    void recover() {
        try (Stream<Path> files = Files.list(folder())) {
            files.filter(f -> f.getFileName().toString().endsWith(".csv"))
                    .toList()
                    .forEach(this::recover);
        } catch (IOException | UncheckedIOException e) {
            LOG.warn("recordings that were cut off could not be looked at: {}", e.getMessage());
        }
    }

    private void recover(Path path) {
        String file = path.getFileName().toString();
        try {
            int cut = file.indexOf('_');
            long build = Long.parseLong(file.substring(0, cut));
            UUID uid = UUID.fromString(file.substring(cut + 1, file.length() - ".csv".length()));
            String text = whole(path);
            String name = text.lines().findFirst().orElse("# recording").substring(2);
            boolean simulated = text.lines().skip(1).findFirst().orElse("").equals("#" + Recording.SIMULATED);
            logs.keep(
                    build,
                    uid,
                    name + CUT_OFF + (simulated ? " (simulated)" : ""),
                    new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)));
            Files.delete(path);
            LOG.info("the recording {} was cut off and is kept as a log", name);
        } catch (EnthalpaFault | NotThereException nothing) {
            LOG.info("a recording that was cut off had nothing to keep: {}", nothing.getMessage());
            delete(path);
        } catch (IOException | RuntimeException e) {
            LOG.warn("the recording {} could not be taken in and stays where it is: {}", file, e.getMessage());
        }
    }

    /** A line that was cut in two would be read as another number. */
    private static String whole(Path path) throws IOException {
        String text = Files.readString(path);
        return text.substring(0, text.lastIndexOf('\n') + 1);
    }

    private static void delete(Path path) {
        try {
            Files.deleteIfExists(path);
        } catch (IOException e) {
            LOG.info("{} stays: {}", path, e.getMessage());
        }
    }
}
