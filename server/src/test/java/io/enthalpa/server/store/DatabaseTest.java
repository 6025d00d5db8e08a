package io.enthalpa.server.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.enthalpa.server.problem.StartFault;
import io.enthalpa.server.problem.StoreFault;
import io.enthalpa.server.problem.StoreFault.Kind;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Clock;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is acknowledged is on the disk; what the disk refuses is not acknowledged and harms nothing else. */
class DatabaseTest {
    @TempDir
    Path parent;

    private Path data;
    private final FailingDisk disk = new FailingDisk();
    private Database database;

    @BeforeEach
    void open() {
        data = parent.resolve("builds;WRITE_DELAY=60000");
        database = StoreOpening.open(data, disk, Clock.systemUTC());
    }

    @AfterEach
    void close() {
        if (database != null) {
            database.close();
        }
    }

    private static void add(Database database, String name) {
        database.write(sql -> {
            sql.sql("insert into build (head, created_at, name) values (1, current_timestamp, :name)")
                    .param("name", name)
                    .update();
            return sql.sql(
                            "insert into revision (build_id, number, change_label, created_at) select max(id), 1, 'new', current_timestamp from build")
                    .update();
        });
    }

    private List<String> names() {
        return database.read(sql -> sql.sql("select name from build order by id")
                .query(String.class)
                .list());
    }

    /** As after a kill: the file is looked at as it lies on the disk, while the program that wrote it still has it open. */
    private List<String> onTheDisk() throws Exception {
        try (Pool pool = Pool.open(copied(), true, StoreFiles.Disk.REAL)) {
            return names(pool);
        }
    }

    private Path copied() throws IOException {
        Path copy = Files.createDirectories(parent.resolve("copy-" + System.nanoTime()));
        Files.copy(data.resolve("enthalpa.mv.db"), copy.resolve("enthalpa.mv.db"));
        return copy;
    }

    private static List<String> names(Pool pool) {
        return pool.sql()
                .sql("select name from build order by id")
                .query(String.class)
                .list();
    }

    @Test
    void whatIsAcknowledgedIsOnTheDiskAndFlushed() throws Exception {
        int before = disk.flushes.get();
        add(database, "one");
        assertThat(onTheDisk()).containsExactly("one");
        assertThat(disk.flushes.get()).isGreaterThan(before);
        assertThat(Files.readString(data.resolve("enthalpa.edits")).strip()).isEqualTo("0000000000000000001");
    }

    /** A question nobody waits for any more is interrupted; that may close no file under those who still ask. */
    @Test
    void whoeverIsInterruptedWhileReadingHarmsNobodyElse() throws Exception {
        int many = 5000;
        database.write(sql -> sql.sql(
                        "insert into build (head, created_at, name) select 1, current_timestamp, 'one' from system_range(1, :many)")
                .param("many", many)
                .update());
        try (Pool cold = Pool.open(copied(), false, StoreFiles.Disk.REAL)) {
            Thread.currentThread().interrupt();
            try {
                assertThat(names(cold)).hasSize(many);
            } finally {
                assertThat(Thread.interrupted()).isTrue();
            }
            cold.sql().sql("update build set name = 'two'").update();
            cold.flush();
            assertThat(names(cold)).hasSize(many).containsOnly("two");
        }
    }

    @Test
    void onlyTheOwnerMayLook() throws IOException {
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(data)))
                .isEqualTo("rwx------");
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(data.resolve("enthalpa.mv.db"))))
                .isEqualTo("rw-------");
        database.close();
        database = null;
        Path shared = Files.createDirectories(parent.resolve("home"));
        Files.writeString(shared.resolve("letter.txt"), "mine");
        Files.setPosixFilePermissions(shared, PosixFilePermissions.fromString("rwxr-xr-x"));
        database = StoreOpening.open(shared, disk, Clock.systemUTC());
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(shared)))
                .as("not ours alone")
                .isEqualTo("rwxr-xr-x");
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(shared.resolve("enthalpa.mv.db"))))
                .isEqualTo("rw-------");
    }

    @ParameterizedTest
    @CsvSource({"No space left on device,FULL", "Read-only file system,READ_ONLY", "Input/output error,FAILING"})
    void whatTheDiskRefusesIsNotAcknowledgedAndSavingComesBack(String words, Kind kind) throws Exception {
        add(database, "before");
        disk.refuse(words);
        for (int i = 0; i < 3; i++) {
            assertThatThrownBy(() -> add(database, "refused"))
                    .isInstanceOfSatisfying(
                            StoreFault.class, f -> assertThat(f.kind()).isEqualTo(kind));
            assertThat(names()).containsExactly("before");
        }
        disk.refuse("");
        add(database, "after");
        assertThat(names()).containsExactly("before", "after");
        assertThat(onTheDisk()).containsExactly("before", "after");
    }

    @Test
    void aFlushThatFailsAcknowledgesNothing() throws Exception {
        add(database, "before");
        disk.refuseFlush(true);
        assertThatThrownBy(() -> add(database, "refused"))
                .isInstanceOfSatisfying(
                        StoreFault.class, f -> assertThat(f.kind()).isEqualTo(Kind.FAILING));
        disk.refuseFlush(false);
        add(database, "after");
        assertThat(names()).startsWith("before").endsWith("after");
        assertThat(onTheDisk()).isEqualTo(names());
    }

    @Test
    void aFolderThatIsGoneTakesNothingAndIsReadOn() throws IOException {
        add(database, "before");
        Path away = parent.resolve("away");
        Files.move(data, away);
        for (int i = 0; i < 3; i++) {
            assertThatThrownBy(() -> add(database, "refused")).isInstanceOfSatisfying(StoreFault.class, f -> {
                assertThat(f.kind()).isEqualTo(Kind.GONE);
                assertThat(f).hasMessageContaining("is gone").hasMessageContaining("Put the folder back");
            });
        }
        assertThat(names()).containsExactly("before");
        Files.createDirectories(data);
        Files.writeString(data.resolve("enthalpa.mv.db"), "another");
        assertThatThrownBy(() -> add(database, "refused")).hasMessageContaining("Another file stands in place");
        DataFolder.delete(data);
        Files.move(away, data);
        add(database, "after");
        assertThat(names()).containsExactly("before", "after");
    }

    @Test
    void manyWritersShareAFlush() throws Exception {
        ExecutorService writers = Executors.newFixedThreadPool(16);
        try {
            int before = disk.flushes.get();
            List<Callable<Boolean>> work = IntStream.range(0, 160)
                    .<Callable<Boolean>>mapToObj(i -> () -> {
                        add(database, "build " + i);
                        return true;
                    })
                    .toList();
            writers.invokeAll(work).forEach(done -> assertThat(done).succeedsWithin(java.time.Duration.ofSeconds(20)));
            assertThat(disk.flushes.get() - before).isLessThan(160);
        } finally {
            writers.shutdown();
        }
        assertThat(onTheDisk()).hasSize(160);
    }

    /** The file system brings an older version of the file back: a file that is whole in itself, but without the last edits. */
    @Test
    void aFileThatLostEditsIsNoticedAndLeftAsItIs() throws IOException {
        add(database, "one");
        byte[] older = Files.readAllBytes(data.resolve("enthalpa.mv.db"));
        add(database, "two");
        database.close();
        database = null;
        Files.write(data.resolve("enthalpa.mv.db"), older);
        assertThatThrownBy(() -> StoreOpening.open(data, disk, Clock.systemUTC()))
                .hasMessageContaining("it was changed since it was last closed");
        // After a kill there is no seal; the count notices it.
        Files.delete(data.resolve("enthalpa.seal"));
        assertThatThrownBy(() -> StoreOpening.open(data, disk, Clock.systemUTC()))
                .isInstanceOf(StartFault.class)
                .hasMessageContaining("is damaged, 1 of the 2 edits")
                .hasMessageContaining("left as it is")
                .hasMessageContaining("backup");
        assertThat(Files.readAllBytes(data.resolve("enthalpa.mv.db"))).isEqualTo(older);
    }

    @Test
    void aFileThatIsMissingIsNotReplacedByAnEmptyOne() throws IOException {
        add(database, "one");
        database.close();
        database = null;
        Files.delete(data.resolve("enthalpa.mv.db"));
        assertThatThrownBy(() -> StoreOpening.open(data, disk, Clock.systemUTC()))
                .isInstanceOf(StartFault.class)
                .hasMessageContaining("is missing, though 1 edits were kept");
        assertThat(data.resolve("enthalpa.mv.db")).doesNotExist();
    }

    @Test
    void aBackupIsPutBackInPlaceOfADamagedFile() throws Exception {
        add(database, "one");
        BackupFile.keep(database, data.resolve("backups").resolve("enthalpa-1-daily.zip"), Clock.systemUTC());
        add(database, "two");
        database.close();
        database = null;
        try (RandomAccessFile file =
                new RandomAccessFile(data.resolve("enthalpa.mv.db").toFile(), "rw")) {
            file.setLength(9000);
        }
        assertThatThrownBy(() -> StoreOpening.open(data, disk, Clock.systemUTC()))
                .hasMessageContaining("enthalpa restore " + data.resolve("backups/enthalpa-1-daily.zip"));
        try (DataFolder folder = DataFolder.take(data);
                java.io.InputStream zip =
                        Files.newInputStream(folder.backupFiles().get(0))) {
            Path kept = BackupFile.restore(folder, zip, "backup", Clock.systemUTC());
            assertThat(kept).exists().hasSize(9000);
        }
        database = StoreOpening.open(data, disk, Clock.systemUTC());
        assertThat(names()).containsExactly("one");
        add(database, "again");
        assertThat(onTheDisk()).containsExactly("one", "again");
    }

    /** A bit that no reader looks at, as where a stored block is filled up to its byte, spoils nothing: the next is turned then. */
    private static byte[] turned(byte[] whole, int from) throws IOException {
        List<byte[]> says = unpacked(whole);
        for (int at = from; ; at++) {
            byte[] turned = whole.clone();
            turned[at] ^= 0x10;
            try {
                List<byte[]> now = unpacked(turned);
                boolean same = now.size() == says.size();
                for (int k = 0; same && k < now.size(); k++) {
                    same = java.util.Arrays.equals(now.get(k), says.get(k));
                }
                if (!same) {
                    return turned;
                }
            } catch (IOException spoilt) {
                return turned;
            }
        }
    }

    private static List<byte[]> unpacked(byte[] zip) throws IOException {
        List<byte[]> all = new java.util.ArrayList<>();
        try (java.util.zip.ZipInputStream in =
                new java.util.zip.ZipInputStream(new java.io.ByteArrayInputStream(zip))) {
            while (in.getNextEntry() != null) {
                all.add(in.readAllBytes());
            }
        }
        return all;
    }

    @Test
    void aFileThatIsNoBackupChangesNothing() throws Exception {
        add(database, "one");
        Path aside = database.folder().aside();
        assertThatThrownBy(() -> BackupFile.take(
                        new java.io.ByteArrayInputStream(
                                "PK nothing".getBytes(java.nio.charset.StandardCharsets.UTF_8)),
                        aside,
                        "letter.zip"))
                .isInstanceOf(StoreFault.class)
                .hasMessageContaining("letter.zip is not a backup");
        Path zip = parent.resolve("own.zip");
        BackupFile.keep(database, zip, Clock.systemUTC());
        byte[] whole = Files.readAllBytes(zip);
        for (int length = whole.length / 10; length < whole.length - 600; length += whole.length / 20) {
            byte[] cut = java.util.Arrays.copyOf(whole, length);
            assertThatThrownBy(() -> BackupFile.take(new java.io.ByteArrayInputStream(cut), aside, "cut.zip"))
                    .isInstanceOf(StoreFault.class)
                    .hasMessageContaining("cut.zip is");
            byte[] turned = turned(whole, length + 150);
            assertThatThrownBy(() -> BackupFile.take(new java.io.ByteArrayInputStream(turned), aside, "turned.zip"))
                    .isInstanceOf(StoreFault.class)
                    .hasMessageContaining("turned.zip is");
        }
        assertThat(names()).containsExactly("one");
    }

    @Test
    void theFileIsTidiedWhenItPaysAndNothingIsLost() throws Exception {
        for (int i = 0; i < 400; i++) {
            add(database, "build " + i);
        }
        long grown = database.size();
        database.tidy();
        assertThat(database.size()).as("it does not pay yet").isEqualTo(grown);
        database.tidy(100_000);
        assertThat(database.size()).isLessThan(grown / 3);
        assertThat(names()).hasSize(400);
        add(database, "after");
        assertThat(onTheDisk()).hasSize(401);
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(data.resolve("enthalpa.mv.db"))))
                .isEqualTo("rw-------");
    }

    @Test
    void twoProgramsDoNotShareAFolder() {
        assertThatThrownBy(() -> StoreOpening.open(data, disk, Clock.systemUTC()))
                .isInstanceOf(StartFault.class)
                .hasMessageContaining("open in another running Enthalpa");
    }
}
