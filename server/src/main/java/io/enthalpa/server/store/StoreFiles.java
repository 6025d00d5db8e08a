package io.enthalpa.server.store;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;

/**
 * Lets the database be opened by a name of ours ({@code enthalpa:/3/enthalpa}) instead of by a path: a path in a database URL would be
 * read for settings, so that a folder with a semicolon in its name could change them. Public because the database library makes its instances itself.
 */
public final class StoreFiles extends FilePathWrapper {
    private static final String SCHEME = "enthalpa";
    /**
     * A file that stays open when who reads it is interrupted: questions nobody waits for any more are, and the ordinary kind would
     * be closed under all the others.
     */
    private static final String DISK = "async:";

    private static final Map<String, Place> PLACES = new ConcurrentHashMap<>();
    private static final AtomicInteger NEXT = new AtomicInteger();

    static {
        FilePath.register(new StoreFiles());
    }

    /** How a file is opened; only tests put something other than the disk here. */
    @FunctionalInterface
    interface Disk {
        Disk REAL = file -> file;

        FileChannel opened(FileChannel file) throws IOException;
    }

    private record Place(Path folder, Disk disk) {}

    /** @return the name under which a database in this folder is opened, for {@code jdbc:h2:} */
    static String register(Path folder, Disk disk) {
        String key = String.valueOf(NEXT.incrementAndGet());
        PLACES.put(key, new Place(folder, disk));
        return SCHEME + ":/" + key + "/" + DataFolder.DATABASE;
    }

    static void forget(String name) {
        PLACES.remove(key(name.substring(SCHEME.length() + 1)));
    }

    private static String key(String path) {
        return path.split("/", 3)[1];
    }

    private static Place place(String path) {
        Place place = PLACES.get(key(path));
        if (place == null) {
            throw new IllegalStateException("no data folder is open as " + path);
        }
        return place;
    }

    @Override
    protected FilePath unwrap(String name) {
        String path = name.substring(SCHEME.length() + 1);
        String[] parts = path.split("/", 3);
        Path folder = place(path).folder();
        return FilePath.get(DISK + (parts.length < 3 ? folder : folder.resolve(parts[2])));
    }

    /** The folder under its own name, so that its path stays out of the database's sight. */
    @Override
    public FilePath getParent() {
        return getPath(name.substring(0, name.lastIndexOf('/')));
    }

    @Override
    public FilePath toRealPath() {
        return this;
    }

    @Override
    public boolean isAbsolute() {
        return true;
    }

    @Override
    public FileChannel open(String mode) throws IOException {
        return place(name.substring(SCHEME.length() + 1)).disk().opened(super.open(mode));
    }

    @Override
    public String getScheme() {
        return SCHEME;
    }
}
