package io.enthalpa.server.builds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.enthalpa.server.builds.BuildStore.Draft;
import io.enthalpa.server.problem.StoreFault;
import io.enthalpa.server.store.Database;
import io.enthalpa.server.store.TestStore;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.OptionalInt;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class JdbcBuildStoreTest {
    private static final Instant NOW = Instant.parse("2026-11-25T10:00:00Z");

    @TempDir
    Path folder;

    private Database database;
    private JdbcBuildStore store;

    @BeforeEach
    void open() {
        database = TestStore.open(folder);
        store = new JdbcBuildStore(database);
    }

    @AfterEach
    void close() {
        database.close();
    }

    private static Draft draft(String document, String change) {
        return new Draft(document, "Bench", "", change, null, NOW);
    }

    private long build() {
        return store.create(UUID.randomUUID(), draft("{}", "new"));
    }

    @Test
    void appendsOnlyToTheHeadItWasToldAbout() {
        long id = build();
        assertThat(store.append(id, 1, draft("{\"a\":1}", "one"))).hasValue(2);
        assertThat(store.append(id, 1, draft("{\"a\":2}", "two"))).isEmpty();
        assertThat(store.append(404, 1, draft("{}", "none"))).isEmpty();
        assertThat(store.history(id, 99, 99))
                .extracting(BuildStore.Revision::number)
                .containsExactly(2, 1);
        assertThat(store.document(id, 2)).isEqualTo("{\"a\":1}");
        assertThat(store.head(id).orElseThrow().revision().parent()).hasValue(1);
        assertThat(store.history(id, 2, 99).get(0).parent()).isEmpty();
    }

    @Test
    void onlyOneOfManyWritersWins() throws Exception {
        long id = build();
        ExecutorService writers = Executors.newFixedThreadPool(4);
        try {
            List<Callable<OptionalInt>> tries = IntStream.range(0, 12)
                    .<Callable<OptionalInt>>mapToObj(
                            i -> () -> store.append(id, 1, draft("{\"i\":" + i + "}", "writer " + i)))
                    .toList();
            int won = 0;
            for (Future<OptionalInt> one : writers.invokeAll(tries)) {
                won += one.get().isPresent() ? 1 : 0;
            }
            assertThat(won).isEqualTo(1);
        } finally {
            writers.shutdown();
        }
        assertThat(store.history(id, 99, 99)).hasSize(2);
    }

    @Test
    void movesTheHeadAndFindsTheYoungestChild() {
        long id = build();
        store.append(id, 1, draft("{}", "one"));
        assertThat(store.moveHead(id, 1, 2, "Bench", "")).isFalse();
        assertThat(store.moveHead(id, 2, 1, "Before", "it was")).isTrue();
        assertThat(store.heads().get(0).name()).isEqualTo("Before");
        store.append(id, 1, draft("{}", "other"));
        assertThat(store.youngestChild(id, 1).orElseThrow().change()).isEqualTo("other");
        assertThat(store.youngestChild(id, 3)).isEmpty();
        assertThat(store.heads()).extracting(h -> h.revision().number()).containsExactly(3);
    }

    @Test
    void whatIsSentTwiceIsKeptOnce() {
        UUID uid = UUID.randomUUID();
        long id = store.create(uid, draft("{}", "new"));
        assertThat(store.create(uid, draft("{}", "new"))).isEqualTo(id);
        assertThat(store.heads()).hasSize(1);
        store.append(id, 1, new Draft("{\"a\":1}", "Bench", "", "one", "edit-1", NOW));
        assertThat(store.madeBy(id, "edit-1")).hasValue(2);
        assertThat(store.madeBy(id, "edit-2")).isEmpty();
    }

    /** Every document comes back letter by letter, however it was packed, also after the file was closed, and after undo made branches. */
    @Test
    void everyDocumentComesBackAsItWas() {
        Random random = new Random(11);
        long id = build();
        StringBuilder text = new StringBuilder("x\u00e4\u20ac".repeat(3000));
        String[] kept = new String[121];
        kept[1] = "{}";
        int head = 1;
        for (int i = 2; i < kept.length; i++) {
            int at = random.nextInt(text.length() - 40);
            text.replace(at, at + random.nextInt(40), "%d".formatted(random.nextInt(1_000_000)));
            kept[i] = text.toString();
            assertThat(store.append(id, head, draft(kept[i], "edit " + i))).hasValue(i);
            head = random.nextInt(5) > 0 ? i : 1 + random.nextInt(i);
            store.moveHead(id, i, head, "Bench", "");
        }
        database.close();
        open();
        for (int i = 1; i < kept.length; i++) {
            assertThat(store.document(id, i)).isEqualTo(kept[i]);
        }
    }

    @Test
    void aDamagedDocumentIsNoticedAndLeavesTheOthersAlone() {
        long damaged = build();
        long well = build();
        store.append(damaged, 1, draft("{\"name\":\"one\"}", "one"));
        database.write(sql -> sql.sql("update content set bytes = X'1234' where build_id = :id and number = 2")
                .param("id", damaged)
                .update());
        assertThatThrownBy(() -> store.document(damaged, 2))
                .isInstanceOfSatisfying(
                        StoreFault.class, f -> assertThat(f.kind()).isEqualTo(StoreFault.Kind.DAMAGED));
        assertThat(store.document(damaged, 1)).isEqualTo("{}");
        assertThat(store.document(well, 1)).isEqualTo("{}");
        assertThat(store.heads()).hasSize(2);
        assertThat(store.append(damaged, 2, draft("{\"name\":\"whole again\"}", "brought back")))
                .hasValue(3);
        assertThat(store.document(damaged, 3)).isEqualTo("{\"name\":\"whole again\"}");
    }

    @Test
    void namedPutAwayAndDeletedForGood() {
        long id = build();
        long other = build();
        store.append(id, 1, draft("{}", "one"));
        store.name(id, 2, "as welded");
        assertThat(store.revision(id, 2).orElseThrow().name()).isEqualTo("as welded");
        store.putAway(id, NOW);
        assertThat(store.head(id).orElseThrow().putAwayAt()).isEqualTo(NOW);
        store.putAway(id, null);
        assertThat(store.head(id).orElseThrow().putAwayAt()).isNull();
        store.delete(id);
        assertThat(store.head(id)).isEmpty();
        assertThat(store.heads()).extracting(BuildStore.Head::id).containsExactly(other);
        assertThatThrownBy(() -> store.document(id, 1)).isInstanceOf(StoreFault.class);
    }

    /** Twenty thousand edits of an 18 kB document: the issue's own figure, in small. */
    @Test
    void anEditOfOneNumberComesToLittle() {
        long id = store.create(UUID.randomUUID(), draft(document(0), "new"));
        for (int i = 1; i <= 640; i++) {
            store.append(id, i, draft(document(i), "cold pipe bore 57 mm to " + i + " mm"));
        }
        long bytes = database.read(sql -> sql.sql("select sum(octet_length(bytes)) from content")
                .query(Long.class)
                .single());
        assertThat(document(0)).hasSizeBetween(17_000, 19_000);
        assertThat(bytes).isLessThan(640 * 300L);
    }

    private static String document(int bore) {
        StringBuilder text = new StringBuilder("{");
        for (int i = 0; i < 500; i++) {
            text.append("\n  \"figure_%d\" : %d,".formatted(i, i == 250 ? bore : (i * 7919L) % 100_003))
                    .append(" ".repeat(12));
        }
        return text.append("}").toString();
    }
}
