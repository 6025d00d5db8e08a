package io.enthalpa.server.logs;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.server.RunningServer;
import io.enthalpa.server.store.Database;
import io.enthalpa.server.store.TestStore;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is written chunk by chunk is there when it is whole, and only then. */
class JdbcLogStoreTest {
    @TempDir
    Path data;

    private static LogChunk chunk(double from, float... values) {
        double[] time = new double[values.length];
        for (int i = 0; i < time.length; i++) {
            time[i] = from + i;
        }
        return new LogChunk(time, List.of(Channel.INTAKE), new float[][] {values});
    }

    private long build() {
        try (RunningServer server = new RunningServer(data, false)) {
            return server.freshBuild().get("id").longValue();
        }
    }

    @Test
    void aLogThatWasNeverFinishedIsNotThereAndMakesRoom() {
        long build = build();
        UUID uid = UUID.randomUUID();
        try (Database database = TestStore.open(data)) {
            JdbcLogStore store = new JdbcLogStore(database);
            long cut = store.begin(uid, build, "cut short", Instant.EPOCH).orElseThrow();
            store.chunk(cut, 0, chunk(0, 300, 301));
            assertThat(store.logs(build)).isEmpty();
            assertThat(store.log(cut)).isEmpty();
        }
        try (Database database = TestStore.open(data)) {
            JdbcLogStore store = new JdbcLogStore(database);
            store.clearUnfinished();
            assertThat(store.logs(build)).isEmpty();
            long whole = store.begin(uid, build, "whole", Instant.EPOCH).orElseThrow();
            store.chunk(whole, 0, chunk(0, 300, 301));
            store.chunk(whole, 1, chunk(2, 302, Float.NaN, 304));
            store.finish(whole, 4, 5, "{}");
            assertThat(store.begin(uid, build, "again", Instant.EPOCH))
                    .as("one of this uid is there")
                    .isEmpty();
            store.clearUnfinished();
            assertThat(store.logs(build)).extracting(LogStore.Kept::name).containsExactly("whole");
            List<Float> values = new ArrayList<>();
            store.chunks(whole, List.of(Channel.INTAKE), 1.5, 9, c -> {
                for (float v : c.values()[0]) {
                    values.add(v);
                }
            });
            assertThat(values).as("chunks that end before are not read").containsExactly(302f, Float.NaN, 304f);
            LogStore.Blocks blocks = store.blocks(whole, Channel.INTAKE, 0, 9);
            assertThat(blocks.time()).containsExactly(0, 2);
            assertThat(blocks.low()).containsExactly(300, 302);
            assertThat(blocks.high()).containsExactly(301, 304);
        }
    }

    @Test
    void aBlockOfARowWithoutValueHasNone() {
        float[] values = new float[LogChunk.BLOCK + 1];
        Arrays.fill(values, 0, LogChunk.BLOCK, 7);
        values[5] = -2;
        values[LogChunk.BLOCK] = Float.NaN;
        assertThat(LogChunk.summary(values)).containsExactly(-2, 7, Float.NaN, Float.NaN);
    }
}
