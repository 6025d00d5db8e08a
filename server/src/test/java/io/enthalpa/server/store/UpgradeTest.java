package io.enthalpa.server.store;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.server.RunningServer;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** A data folder of the release before documents were kept as differences: 45 versions of five builds. */
class UpgradeTest {
    @TempDir
    Path data;

    private void earlier() throws Exception {
        try (InputStream file = Files.newInputStream(Path.of("../e2e/src/test/resources/earlier/schema-2.mv.db"))) {
            Files.copy(file, data.resolve("enthalpa.mv.db"));
        }
    }

    @Test
    void everyVersionOfAnEarlierReleaseIsThereAndABackupFromBefore() throws Exception {
        earlier();
        byte[] before = Files.readAllBytes(data.resolve("enthalpa.mv.db"));
        try (RunningServer server = new RunningServer(data, false)) {
            JsonNode builds = server.get("/api/builds").json();
            assertThat(builds.valueStream().map(b -> b.get("name").asString()))
                    .containsExactlyInAnyOrder("Juniper, renamed", "Pass Van", "Saltline", "Pilot Launch");
            JsonNode juniper = builds.valueStream()
                    .filter(b -> b.get("name").asString().startsWith("Juniper"))
                    .findFirst()
                    .orElseThrow();
            String path = "/api/builds/" + juniper.get("id");
            JsonNode history = server.get(path + "/revisions").json();
            assertThat(history).hasSize(42);
            for (JsonNode version : history) {
                JsonNode document = server.get(path + "/revisions/" + version.get("revision"))
                        .json()
                        .get("document");
                String change = version.get("change").asString();
                if (change.startsWith("edit ")) {
                    assertThat(document.get("summary").asString()).isEqualTo(change);
                    assertThat(document.at("/options/0/boost_kPa").intValue())
                            .isEqualTo(80 + Integer.parseInt(change.substring(5)));
                }
            }
            assertThat(server.post(path + "/undo", "", "If-Match", "\"42\"")
                            .json()
                            .at("/document/summary")
                            .asString())
                    .as("it was made after an undo")
                    .isEqualTo("edit 38");
        }
        Path backup = only(data.resolve("backups"));
        assertThat(backup.getFileName().toString()).endsWith("-before-update.zip");
        Files.write(data.resolve("enthalpa.mv.db"), before);
        Path other = Files.createDirectories(data.resolve("other"));
        try (DataFolder folder = DataFolder.take(other);
                InputStream zip = Files.newInputStream(backup)) {
            BackupFile.restore(folder, zip, "backup", java.time.Clock.systemUTC());
        }
        try (RunningServer restored = new RunningServer(other, false)) {
            assertThat(restored.get("/api/builds").json())
                    .as("a backup of an earlier release restores")
                    .hasSize(4);
        }
    }

    /** What earlier releases left after a kill: a version without its document. It is named; the others are not touched by it. */
    @Test
    void oneLostDocumentHidesNoOther() throws Exception {
        earlier();
        try (Connection connection =
                        DriverManager.getConnection("jdbc:h2:file:" + data.resolve("enthalpa"), "enthalpa", "");
                Statement statement = connection.createStatement()) {
            statement.execute(
                    "update revision set document = 'cut off in the middl' where build_id = (select min(build_id) from revision r where number = 40)  and number = 42");
        }
        try (RunningServer server = new RunningServer(data, false)) {
            JsonNode builds = server.get("/api/builds").json();
            assertThat(builds).hasSize(4);
            JsonNode broken = builds.valueStream()
                    .filter(b -> b.get("revision").intValue() == 42)
                    .findFirst()
                    .orElseThrow();
            assertThat(server.get("/api/builds/" + broken.get("id")).status()).isEqualTo(422);
            assertThat(server.get("/api/builds/" + broken.get("id") + "/revisions/41")
                            .status())
                    .isEqualTo(200);
            assertThat(server.post("/api/home/" + broken.get("id"), "").status())
                    .isEqualTo(422);
            for (JsonNode other : builds) {
                if (!other.get("id").equals(broken.get("id"))) {
                    assertThat(server.get("/api/builds/" + other.get("id")).status())
                            .isEqualTo(200);
                }
            }
        }
    }

    /** The next version is then kept whole: the last document that could be read is another build's. */
    @Test
    void theVersionBehindALostFirstOneIsThere() throws Exception {
        earlier();
        long build;
        try (Connection connection =
                        DriverManager.getConnection("jdbc:h2:file:" + data.resolve("enthalpa"), "enthalpa", "");
                Statement statement = connection.createStatement()) {
            statement.execute("alter table revision alter column document set null");
            statement.execute("update build set head = 2 where id = (select max(id) from build)");
            statement.execute(
                    "insert into revision (build_id, number, parent, change_label, document, created_at) select build_id, 2, 1, 'second', document, created_at"
                            + " from revision where number = 1 and build_id = (select max(id) from build)");
            statement.execute(
                    "update revision set document = null where number = 1 and build_id = (select max(id) from build)");
            try (ResultSet row = statement.executeQuery("select max(id) from build")) {
                row.next();
                build = row.getLong(1);
            }
        }
        try (RunningServer server = new RunningServer(data, false)) {
            assertThat(server.get("/api/builds").json()).hasSize(4);
            assertThat(server.get("/api/builds/" + build + "/revisions/1").status())
                    .isEqualTo(422);
            assertThat(server.get("/api/builds/" + build).json().get("change").asString())
                    .isEqualTo("second");
        }
    }

    /** Earlier releases made their tables in place: a first start that was killed left a file that was refused for good. */
    @Test
    void aFirstStartOfAnEarlierReleaseThatWasKilledIsBegunAnew() throws Exception {
        try (Connection connection =
                        DriverManager.getConnection("jdbc:h2:file:" + data.resolve("enthalpa"), "enthalpa", "");
                Statement statement = connection.createStatement()) {
            statement.execute(
                    "create table enthalpa_meta (program varchar(40) primary key, created_at timestamp with time zone not null)");
            statement.execute(
                    "create table build (id bigint generated by default as identity primary key, head integer not null, created_at timestamp with time zone not null)");
        }
        try (RunningServer server = new RunningServer(data, true)) {
            assertThat(server.get("/api/builds").json()).hasSize(4);
        }
        assertThat(data.resolve("set-aside").toFile().list())
                .as("what was there is kept")
                .hasSize(1);
    }

    private static Path only(Path folder) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.findFirst().orElseThrow();
        }
    }
}
