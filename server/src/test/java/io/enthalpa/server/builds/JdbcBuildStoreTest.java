package io.enthalpa.server.builds;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.OptionalInt;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.flywaydb.core.Flyway;
import org.h2.jdbcx.JdbcConnectionPool;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

class JdbcBuildStoreTest {
    private static final Instant NOW = Instant.parse("2026-11-25T10:00:00Z");
    private JdbcConnectionPool pool;
    private JdbcBuildStore store;

    @BeforeEach
    void open() {
        pool = JdbcConnectionPool.create("jdbc:h2:mem:" + System.nanoTime() + ";DB_CLOSE_DELAY=-1", "sa", "");
        Flyway.configure().dataSource(pool).locations("classpath:db/migration").load().migrate();
        store = new JdbcBuildStore(JdbcClient.create(pool), new TransactionTemplate(new JdbcTransactionManager(pool)));
    }

    @AfterEach
    void leaksNothing() {
        assertThat(pool.getActiveConnections()).isZero();
        pool.dispose();
    }

    @Test
    void appendsOnlyToTheHeadItWasToldAbout() {
        long id = store.create("{}", "new", NOW);
        assertThat(store.append(id, 1, "{\"a\":1}", "one", NOW)).hasValue(2);
        assertThat(store.append(id, 1, "{\"a\":2}", "two", NOW)).isEmpty();
        assertThat(store.append(404, 1, "{}", "none", NOW)).isEmpty();
        assertThat(store.history(id)).extracting(BuildStore.Revision::number).containsExactly(2, 1);
        assertThat(store.head(id).orElseThrow().document()).isEqualTo("{\"a\":1}");
        assertThat(store.head(id).orElseThrow().parent()).hasValue(1);
        assertThat(store.history(id).get(1).parent()).isEmpty();
    }

    @Test
    void onlyOneOfManyWritersWins() throws Exception {
        long id = store.create("{}", "new", NOW);
        ExecutorService writers = Executors.newFixedThreadPool(4);
        try {
            List<Callable<OptionalInt>> tries = IntStream.range(0, 12)
                    .<Callable<OptionalInt>>mapToObj(i -> () -> store.append(id, 1, "{\"i\":" + i + "}", "writer " + i, NOW)).toList();
            int won = 0;
            for (Future<OptionalInt> one : writers.invokeAll(tries)) {
                won += one.get().isPresent() ? 1 : 0;
            }
            assertThat(won).isEqualTo(1);
        } finally {
            writers.shutdown();
        }
        assertThat(store.history(id)).hasSize(2);
    }

    @Test
    void movesTheHeadAndFindsTheYoungestChild() {
        long id = store.create("{}", "new", NOW);
        store.append(id, 1, "{}", "one", NOW);
        assertThat(store.moveHead(id, 1, 2)).isFalse();
        assertThat(store.moveHead(id, 2, 1)).isTrue();
        store.append(id, 1, "{}", "other", NOW);
        assertThat(store.youngestChild(id, 1).orElseThrow().change()).isEqualTo("other");
        assertThat(store.youngestChild(id, 3)).isEmpty();
        assertThat(store.heads()).extracting(BuildStore.Revision::number).containsExactly(3);
    }
}
