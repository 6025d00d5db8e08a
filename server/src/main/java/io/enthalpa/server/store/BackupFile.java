package io.enthalpa.server.store;

import io.enthalpa.server.problem.StartFault;
import io.enthalpa.server.problem.StoreFault;
import java.io.BufferedInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Clock;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.h2.mvstore.MVStore;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataAccessException;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A backup: a ZIP file with {@code backup.json}, which says what it is, and the database file of its day. Every backup is opened and read
 * through before it counts; one of an earlier release is brought up to date when it is put back.
 */
public final class BackupFile {
    private static final String FORMAT = "enthalpa-backup";
    private static final String MANIFEST = "backup.json";
    private static final String CONTENT = "enthalpa.mv.db";
    /** Bytes of a database file at most, so that a made-up file cannot fill the disk. */
    private static final long LARGEST = 4_000_000_000L;

    private BackupFile() {}

    /** Backs a running database up. @return bytes of the backup */
    public static long keep(Database database, Path zip, Clock clock) {
        DataFolder folder = database.folder();
        Path aside = folder.aside();
        try {
            Path copied = aside.resolve("copy.zip");
            database.copyTo(copied);
            Path file = aside.resolve("copied.mv.db");
            try (ZipInputStream in = new ZipInputStream(new BufferedInputStream(Files.newInputStream(copied)))) {
                in.getNextEntry();
                Files.copy(in, file);
            }
            return keep(folder, file, zip, clock);
        } catch (IOException e) {
            throw failed(zip, e);
        } finally {
            DataFolder.delete(aside);
        }
    }

    /** Backs a database file up that nobody writes to. */
    public static long keep(DataFolder folder, Path file, Path zip, Clock clock) {
        Path aside = folder.aside();
        try {
            Path small = aside.resolve(CONTENT);
            MVStore.compact("file:" + file, "file:" + small, false, null);
            int builds = lookThrough(aside);
            Path made = aside.resolve("made.zip");
            try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(made))) {
                out.putNextEntry(new ZipEntry(MANIFEST));
                out.write(JsonMapper.shared()
                        .createObjectNode()
                        .put("format", FORMAT)
                        .put("version", 1)
                        .put("madeAt", clock.instant().toString())
                        .put("builds", builds)
                        .put("bytes", Files.size(small))
                        .toPrettyString()
                        .getBytes(StandardCharsets.UTF_8));
                out.putNextEntry(new ZipEntry(CONTENT));
                Files.copy(small, out);
            }
            if (zip.getParent().equals(folder.backups())) {
                Files.createDirectories(zip.getParent());
                Files.setPosixFilePermissions(
                        zip.getParent(), java.nio.file.attribute.PosixFilePermissions.fromString("rwx------"));
            }
            long size = Files.size(made);
            put(made, zip);
            return size;
        } catch (IOException | SQLException | DataAccessException e) {
            throw failed(zip, e);
        } finally {
            DataFolder.delete(aside);
        }
    }

    /** On another file system there is no moving in one step: written beside first. */
    private static void put(Path made, Path zip) throws IOException {
        Path beside = zip.resolveSibling("." + zip.getFileName() + ".part");
        try {
            Files.copy(made, beside, java.nio.file.StandardCopyOption.REPLACE_EXISTING);
            DataFolder.moveDurably(beside, zip);
        } finally {
            Files.deleteIfExists(beside);
        }
    }

    private static int lookThrough(Path folder) throws SQLException {
        try (Pool pool = Pool.open(folder, true, StoreFiles.Disk.REAL)) {
            for (String table : pool.sql()
                    .sql("select table_name from information_schema.tables where table_schema = 'PUBLIC'")
                    .query(String.class)
                    .list()) {
                Soundness.readAll(pool.sql(), table);
            }
            return pool.sql()
                    .sql("select count(*) from build")
                    .query(Integer.class)
                    .single();
        }
    }

    private static StoreFault failed(Path zip, Exception e) {
        return new StoreFault(
                StoreFault.Kind.FAILING,
                "The backup " + zip + " could not be made (" + e.getMessage()
                        + "); backups made before are still there.",
                e);
    }

    /** Puts a backup in place in a folder that no program has open; what was there is set aside, in whatever state it is. */
    public static @Nullable Path restore(DataFolder folder, InputStream zip, String name, Clock clock) {
        Path aside = folder.aside();
        try {
            Path made = take(zip, aside, name);
            Path kept = folder.hasFile() ? folder.setAside("before-restore", StoreOpening.stamp(clock)) : null;
            folder.install(made);
            folder.unseal();
            folder.acknowledge(0);
            return kept;
        } catch (IOException e) {
            throw new StoreFault(
                    StoreFault.Kind.FAILING, "The backup could not be put in place (" + e.getMessage() + ").", e);
        } finally {
            DataFolder.delete(aside);
        }
    }

    /**
     * Takes the database out of a backup, brings it up to date and reads it through.
     *
     * @param aside a folder made by {@link DataFolder#aside}
     * @return the database file in it, whole
     * @throws StoreFault {@link StoreFault.Kind#DAMAGED} when the backup is none, or damaged
     */
    public static Path take(InputStream zip, Path aside, String name) {
        Path file = aside.resolve(CONTENT);
        try (ZipInputStream in = new ZipInputStream(new BufferedInputStream(zip))) {
            JsonNode manifest = manifest(in, name);
            ZipEntry content = in.getNextEntry();
            if (content == null || !content.getName().equals(CONTENT)) {
                throw none(name);
            }
            copy(in, file, name);
            if (Files.size(file) != manifest.path("bytes").asLong(0)) {
                throw new IOException("its database file is of another length than it says");
            }
            StoreOpening.upToDate(aside);
            return file;
        } catch (ZipException | EOFException | JacksonException | IllegalArgumentException e) {
            throw none(name);
        } catch (IOException | SQLException | DataAccessException | StartFault e) {
            throw new StoreFault(
                    StoreFault.Kind.DAMAGED,
                    name + " is damaged (" + e.getMessage() + "); nothing was changed. Take an earlier backup.",
                    e);
        }
    }

    private static JsonNode manifest(ZipInputStream in, String name) throws IOException {
        ZipEntry first = in.getNextEntry();
        if (first == null || !first.getName().equals(MANIFEST)) {
            throw none(name);
        }
        JsonNode manifest = JsonMapper.shared().readTree(in.readNBytes(100_000));
        if (!manifest.path("format").asString("").equals(FORMAT)) {
            throw none(name);
        }
        if (manifest.path("version").asInt(0) > 1) {
            throw new StoreFault(StoreFault.Kind.DAMAGED, name + " was made by a later Enthalpa. Update this one.");
        }
        return manifest;
    }

    private static void copy(InputStream in, Path file, String name) throws IOException {
        try (OutputStream out = Files.newOutputStream(file)) {
            byte[] buffer = new byte[64 * 1024];
            long all = 0;
            for (int read = in.read(buffer); read >= 0; read = in.read(buffer)) {
                all += read;
                if (all > LARGEST) {
                    throw none(name);
                }
                out.write(buffer, 0, read);
            }
        }
    }

    private static StoreFault none(String name) {
        return new StoreFault(
                StoreFault.Kind.DAMAGED,
                name
                        + " is not a backup of Enthalpa; nothing was changed. Choose a file made by \"Save a backup\" or ./enthalpa backup.");
    }
}
