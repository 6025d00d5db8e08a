package io.enthalpa.server.store;

import io.enthalpa.server.problem.StartFault;
import io.enthalpa.server.problem.StoreFault;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.BasicFileAttributes;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Set;
import java.util.stream.Stream;
import java.util.zip.CRC32C;
import org.jspecify.annotations.Nullable;

/**
 * The folder that keeps a user's builds: the database file, the count of edits that were acknowledged ({@code enthalpa.edits}), backups,
 * and what was set aside. Only its owner may look inside. One program at a time holds it.
 */
public final class DataFolder implements AutoCloseable {
    static final String DATABASE = "enthalpa";
    private static final String FILE = DATABASE + ".mv.db";
    private static final Set<PosixFilePermission> FOR_OWNER = PosixFilePermissions.fromString("rw-------");
    private static final Set<PosixFilePermission> FOLDER_FOR_OWNER = PosixFilePermissions.fromString("rwx------");
    private static final String LOCK = DATABASE + ".lock";
    private static final String SEAL = DATABASE + ".seal";
    private static final String RUNNING = DATABASE + ".running";
    private static final String ASIDE = "new-";
    /** Bytes left free, so that the database can always tidy up. */
    private static final long SPARE = 4_000_000;

    private final Path path;
    private final FileChannel lock;
    private final FileChannel edits;

    private DataFolder(Path path, FileChannel lock, FileChannel edits) {
        this.path = path;
        this.lock = lock;
        this.edits = edits;
    }

    /**
     * Takes the folder for this program, making it if need be; clears what an earlier start left unfinished.
     *
     * @throws StartFault when another program holds it, or it cannot be used
     */
    public static DataFolder take(Path path) {
        try {
            makeForOwner(path);
            FileChannel lock = openForOwner(path.resolve(LOCK));
            if (!locked(lock)) {
                lock.close();
                throw new StartFault("the builds in " + path
                        + " are open in another running Enthalpa. Use that one, or stop it first.");
            }
            DataFolder folder = new DataFolder(path, lock, openForOwner(path.resolve(DATABASE + ".edits")));
            folder.clearUnfinished();
            if (Files.exists(folder.log())) {
                Files.setPosixFilePermissions(folder.log(), FOR_OWNER);
            }
            return folder;
        } catch (IOException | UncheckedIOException e) {
            throw new StartFault("cannot use the data folder " + path + " (" + e.getMessage()
                    + "). Choose one that you may write to: --data DIR");
        }
    }

    private static boolean locked(FileChannel channel) throws IOException {
        try {
            FileLock lock = channel.tryLock();
            return lock != null;
        } catch (OverlappingFileLockException inThisProgram) {
            return false;
        }
    }

    /** A folder that was there keeps its rights when it holds other things too: it may be somebody's home. */
    private static void makeForOwner(Path path) throws IOException {
        boolean ours = !Files.exists(path) || Files.exists(path.resolve(FILE)) || holdsOnlyOurs(path);
        Files.createDirectories(path);
        if (ours) {
            Files.setPosixFilePermissions(path, FOLDER_FOR_OWNER);
        }
    }

    private static boolean holdsOnlyOurs(Path path) throws IOException {
        try (DirectoryStream<Path> others = Files.newDirectoryStream(
                path, entry -> !entry.getFileName().toString().startsWith(DATABASE))) {
            return !others.iterator().hasNext();
        }
    }

    private static FileChannel openForOwner(Path file) throws IOException {
        FileChannel channel =
                FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.READ, StandardOpenOption.WRITE);
        Files.setPosixFilePermissions(file, FOR_OWNER);
        return channel;
    }

    private void clearUnfinished() throws IOException {
        try (DirectoryStream<Path> left = Files.newDirectoryStream(path, ASIDE + "*")) {
            for (Path folder : left) {
                delete(folder);
            }
        }
    }

    public Path path() {
        return path;
    }

    public Path file() {
        return path.resolve(FILE);
    }

    public Path backups() {
        return path.resolve("backups");
    }

    public Path log() {
        return path.resolve(DATABASE + ".log");
    }

    boolean hasFile() {
        return Files.exists(file());
    }

    /** @return an empty folder inside, to make something in that is moved into place when it is whole */
    public Path aside() {
        try {
            Path folder = Files.createTempDirectory(path, ASIDE);
            Files.setPosixFilePermissions(folder, FOLDER_FOR_OWNER);
            return folder;
        } catch (IOException e) {
            throw new StoreFault(
                    StoreFault.Kind.FAILING, "Nothing can be written into " + path + " (" + e.getMessage() + ").", e);
        }
    }

    /** Removes a folder made by {@link #aside} with all in it. */
    public static void delete(Path folder) {
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(file);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Makes a file that stands aside the database file, on the disk before this returns. */
    void install(Path made) throws IOException {
        moveDurably(made, file());
    }

    /** Keeps the present database file under another name that says when and why. @return where it is now */
    Path setAside(String why, String when) throws IOException {
        Path kept = path.resolve("set-aside").resolve(DATABASE + "-" + when + "-" + why + ".mv.db");
        Files.createDirectories(kept.getParent());
        Files.setPosixFilePermissions(kept.getParent(), FOLDER_FOR_OWNER);
        moveDurably(file(), kept);
        return kept;
    }

    /** Moves a file into place in one step, flushed with the folder that names it. */
    public static void moveDurably(Path from, Path to) throws IOException {
        Files.setPosixFilePermissions(from, FOR_OWNER);
        flush(from);
        try {
            Files.move(from, to, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        } catch (AtomicMoveNotSupportedException e) {
            throw new IOException("the file system cannot rename in one step", e);
        }
        flush(to.getParent());
        if (!Objects.equals(from.getParent(), to.getParent())) {
            flush(from.getParent());
        }
    }

    private static void flush(Path fileOrFolder) throws IOException {
        try (FileChannel channel = FileChannel.open(fileOrFolder, StandardOpenOption.READ)) {
            channel.force(true);
        }
    }

    /** @return how many edits were acknowledged, as last noted; empty when nothing was ever noted */
    OptionalLong acknowledged() {
        try {
            ByteBuffer buffer = ByteBuffer.allocate(20);
            edits.read(buffer, 0);
            String text = new String(buffer.array(), 0, buffer.position(), StandardCharsets.US_ASCII).strip();
            return text.matches("\\d+") ? OptionalLong.of(Long.parseLong(text)) : OptionalLong.empty();
        } catch (IOException | NumberFormatException e) {
            return OptionalLong.empty();
        }
    }

    /**
     * Notes how many edits are on the disk. Not flushed itself: it may lag behind the database after a power cut, never run ahead.
     */
    void acknowledge(long count) {
        try {
            edits.write(ByteBuffer.wrap("%019d\n".formatted(count).getBytes(StandardCharsets.US_ASCII)), 0);
        } catch (IOException e) {
            throw new StoreFault(
                    StoreFault.Kind.FAILING, "Nothing can be written into " + path + " (" + e.getMessage() + ").", e);
        }
    }

    /** Notes what the closed file is, to the last bit: what changes it while nobody has it open is noticed. */
    void seal() {
        try {
            Files.writeString(path.resolve(SEAL), sum());
            Files.setPosixFilePermissions(path.resolve(SEAL), FOR_OWNER);
        } catch (IOException noSeal) {
            unseal();
        }
    }

    /** @return whether the file is what it was when it was last closed; true where that is not known, as after a power cut */
    boolean isAsSealed() throws IOException {
        Path seal = path.resolve(SEAL);
        return !Files.exists(seal) || Files.readString(seal).equals(sum());
    }

    /** The file is open: it may be written to. */
    void unseal() {
        try {
            Files.deleteIfExists(path.resolve(SEAL));
        } catch (IOException e) {
            throw new StoreFault(
                    StoreFault.Kind.FAILING, "Nothing can be written into " + path + " (" + e.getMessage() + ").", e);
        }
    }

    private String sum() throws IOException {
        CRC32C sum = new CRC32C();
        try (FileChannel channel = FileChannel.open(file(), StandardOpenOption.READ)) {
            ByteBuffer buffer = ByteBuffer.allocate(1 << 20);
            while (channel.read(buffer) >= 0) {
                sum.update(buffer.flip());
                buffer.clear();
            }
            return channel.size() + " " + Long.toHexString(sum.getValue());
        }
    }

    /** @return what tells this file from another put in its place; null when there is none */
    @Nullable
    Object identity() {
        try {
            return Files.readAttributes(file(), BasicFileAttributes.class).fileKey();
        } catch (IOException gone) {
            return null;
        }
    }

    /**
     * @param opened identity of the database file when it was opened
     * @throws StoreFault when what is written now would be lost or refused
     */
    void checkWritable(@Nullable Object opened) {
        if (!Objects.equals(identity(), opened)) {
            throw new StoreFault(
                    StoreFault.Kind.GONE,
                    (hasFile() ? "Another file stands in place of " + file() : file() + " is gone")
                            + ": the folder was moved, deleted or replaced. Nothing can be saved until it is back; what is open can still be read. "
                            + "Put the folder back, or save a backup from the home page before you stop the program.");
        }
        if (!Files.isWritable(file()) || !Files.isWritable(path)) {
            throw readOnly();
        }
        // By the file, not by Files.getFileStore: that one wants to know the mount point, which a changed root does not
        // tell.
        if (path.toFile().getUsableSpace() < SPARE) {
            throw full();
        }
    }

    StoreFault readOnly() {
        return new StoreFault(
                StoreFault.Kind.READ_ONLY,
                path
                        + " may only be read, so nothing can be saved. Give yourself the right to write there; saving then works again by itself.");
    }

    StoreFault full() {
        return new StoreFault(
                StoreFault.Kind.FULL,
                "The disk that holds " + path + " is full, so nothing can be saved. Make room (" + SPARE / 1_000_000
                        + " MB at least); saving then works again by itself.");
    }

    /** Notes under which port this program answers, so that a command of the same folder can ask it. */
    public void runsAt(int port) {
        try {
            Path note = path.resolve(RUNNING);
            Files.writeString(note, String.valueOf(port));
            Files.setPosixFilePermissions(note, FOR_OWNER);
        } catch (IOException e) {
            throw new StoreFault(
                    StoreFault.Kind.FAILING, "Nothing can be written into " + path + " (" + e.getMessage() + ").", e);
        }
    }

    /** @return the port of the program that has this folder open; empty when none has */
    public static OptionalInt running(Path path) {
        try (FileChannel lock = FileChannel.open(path.resolve(LOCK), StandardOpenOption.WRITE)) {
            if (locked(lock)) {
                return OptionalInt.empty();
            }
            return OptionalInt.of(
                    Integer.parseInt(Files.readString(path.resolve(RUNNING)).strip()));
        } catch (IOException | NumberFormatException none) {
            return OptionalInt.empty();
        }
    }

    /** @return backups in it, newest first */
    public List<Path> backupFiles() {
        if (!Files.isDirectory(backups())) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(backups())) {
            return files.filter(f -> f.getFileName().toString().endsWith(".zip"))
                    .sorted(Comparator.comparing((Path f) -> f.getFileName().toString())
                            .reversed())
                    .toList();
        } catch (IOException e) {
            return List.of();
        }
    }

    /** @return the sentence that names the way out of a damaged file */
    String wayBack() {
        List<Path> kept = backupFiles();
        return kept.isEmpty()
                ? "There is no backup in " + backups()
                        + "; put a copy of your own in its place and delete enthalpa.edits and enthalpa.seal beside it, or choose another folder with --data DIR."
                : "The last backup is " + kept.get(0) + ": bring it back with ./enthalpa restore " + kept.get(0)
                        + " --data " + path + " (the damaged file is kept beside it). "
                        + "If you put a copy of your own there yourself, delete enthalpa.edits and enthalpa.seal beside it.";
    }

    @Override
    public void close() {
        try {
            Files.deleteIfExists(path.resolve(RUNNING));
            edits.close();
            lock.close();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
