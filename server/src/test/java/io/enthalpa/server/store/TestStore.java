package io.enthalpa.server.store;

import java.nio.file.Path;
import java.time.Clock;

/** A database in a folder of a test's own, without the rest of the program. */
public final class TestStore {
    private TestStore() {}

    public static Database open(Path folder) {
        return StoreOpening.open(folder, StoreFiles.Disk.REAL, Clock.systemUTC());
    }
}
