package io.enthalpa.server.builds;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.server.builds.BuildArchive.Taken;
import io.enthalpa.server.builds.BuildStore.Revision;
import io.enthalpa.server.store.Database;
import io.enthalpa.server.store.TestStore;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.StringReader;
import java.nio.file.Path;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class BuildArchiveTest {
    /** Version 2 was damaged and left out when this was saved; 4 was made from 1 after an undo, and is the newest. */
    private static final String LINES = """
            {"uid":"7b0d0a8e-6a4f-4f1c-9a55-0d6b8f6f2c11","name":"Bench","head":4}
            {"revision":1,"change":"new","at":"2026-11-28T08:00:00Z","document":{"name":"Bench","a":1}}
            {"revision":3,"change":"three","at":"2026-11-28T08:02:00Z","parent":2,"document":{"name":"Bench","a":3}}
            {"revision":4,"change":"four","at":"2026-11-28T08:03:00Z","parent":1,"document":{"name":"Bench four","a":4}}
            """;

    @TempDir
    Path folder;

    private Database database;
    private JdbcBuildStore store;
    private BuildArchive archive;

    @BeforeEach
    void open() {
        database = TestStore.open(folder);
        store = new JdbcBuildStore(database);
        archive = new BuildArchive(store);
    }

    @AfterEach
    void close() {
        database.close();
    }

    private Taken read(String lines) throws IOException {
        return archive.read(new BufferedReader(new StringReader(lines)), "archive");
    }

    @Test
    void whatHungOnALostVersionHangsOnTheFirstAndIsThereOnce() throws IOException {
        assertThat(read(LINES)).isEqualTo(new Taken(true, 3));
        assertThat(read(LINES)).as("read again").isEqualTo(new Taken(false, 0));
        long build = archive.builds().get(0);
        List<Revision> history = store.history(build, 99, 99);
        assertThat(history).extracting(Revision::change).containsExactly("four", "three", "new");
        assertThat(history)
                .extracting(Revision::parent)
                .containsExactly(OptionalInt.of(1), OptionalInt.of(1), OptionalInt.empty());
        assertThat(store.head(build).orElseThrow())
                .extracting(h -> h.revision().change(), BuildStore.Head::name)
                .containsExactly("four", "Bench four");
        assertThat(store.document(build, 2)).contains("\"a\" : 3");
    }

    @Test
    void whatWasChangedHereSinceStaysTheNewest() throws IOException {
        read(LINES);
        long build = archive.builds().get(0);
        store.append(
                build,
                3,
                new BuildStore.Draft(
                        "{\"name\":\"Bench here\"}",
                        "Bench here",
                        "",
                        "here",
                        null,
                        java.time.Instant.parse("2026-11-28T09:00:00Z")));
        String later = LINES.replace("\"head\":4", "\"head\":5") + """
                {"revision":5,"change":"there","at":"2026-11-28T09:01:00Z","parent":4,"document":{"name":"Bench there","a":5}}
                """;
        assertThat(read(later)).isEqualTo(new Taken(false, 1));
        assertThat(store.head(build).orElseThrow())
                .extracting(h -> h.revision().change(), BuildStore.Head::name)
                .containsExactly("here", "Bench here");
        assertThat(store.children(build, 3)).extracting(Revision::change).containsExactly("here", "there");
    }
}
