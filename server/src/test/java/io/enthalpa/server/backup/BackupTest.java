package io.enthalpa.server.backup;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.server.RunningServer;
import io.enthalpa.server.store.Database;
import io.enthalpa.server.store.TestStore;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

class BackupTest {
    @TempDir
    Path data;

    /** A clock that a test sets. */
    private static final class SetClock extends Clock {
        private Instant now = Instant.parse("2026-11-28T08:00:00Z");

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }

        @Override
        public Instant instant() {
            return now;
        }
    }

    private static void edit(Database database) {
        database.write(sql ->
                sql.sql("update catalogue_stocked set at = current_timestamp").update());
    }

    @Test
    void oneADayByItselfAndTheNewestTenAreKept() throws Exception {
        SetClock clock = new SetClock();
        try (Database database = TestStore.open(data)) {
            Backups backups = new Backups(database, clock);
            for (int day = 0; day < 13; day++) {
                edit(database);
                Files.setLastModifiedTime(database.folder().file(), java.nio.file.attribute.FileTime.from(clock.now));
                backups.daily();
                backups.daily();
                clock.now = clock.now.plus(Duration.ofHours(25));
            }
            List<String> names = backups.all().stream().map(Backups.Kept::name).toList();
            assertThat(names)
                    .hasSize(Backups.KEPT)
                    .isSortedAccordingTo(java.util.Comparator.reverseOrder())
                    .allMatch(n -> n.endsWith("-daily.zip"));
            assertThat(names.get(0)).as("the newest").contains("20261210");
        }
    }

    @Test
    void savedAndPutBackWhileRunning() throws Exception {
        try (RunningServer server = new RunningServer(data.resolve("store"), true)) {
            Path zip = data.resolve("kept.zip");
            HttpResponse<byte[]> saved = server.bytes("/api/backups/now");
            assertThat(saved.headers().firstValue("Content-Disposition").orElse(""))
                    .contains(".zip");
            Files.write(zip, saved.body());
            JsonNode made = server.freshBuild();
            assertThat(server.get("/api/builds").json()).hasSize(5);
            RunningServer.Reply back =
                    server.post("/api/backups/restore", HttpRequest.BodyPublishers.ofFile(zip), "application/zip");
            assertThat(back.status()).isEqualTo(200);
            assertThat(Path.of(back.json().get("setAside").asString()))
                    .as("what was there is kept")
                    .exists();
            assertThat(server.get("/api/builds").json()).hasSize(4);
            assertThat(server.get("/api/builds/" + made.get("id")).status()).isEqualTo(404);
            assertThat(server.freshBuild().get("id")).as("and it goes on").isNotNull();
            assertThat(server.post(
                                    "/api/backups/restore",
                                    HttpRequest.BodyPublishers.ofString("no backup"),
                                    "application/zip")
                            .json()
                            .get("detail")
                            .asString())
                    .contains("is not a backup of Enthalpa");
            assertThat(server.get("/api/builds").json()).hasSize(5);
            assertThat(server.get("/api/backups/..%2Fenthalpa.mv.db").status()).isGreaterThanOrEqualTo(400);
        }
    }

    @Test
    void everythingGoesIntoAnOpenFileAndComesInOnce() throws Exception {
        byte[] archive;
        try (RunningServer first = new RunningServer(data.resolve("first"), true)) {
            JsonNode build = first.freshBuild();
            String path = "/api/builds/" + build.get("id");
            for (int i = 1; i <= 3; i++) {
                String body = "{\"change\":\"edit " + i + "\",\"edit\":\"e" + i + "\",\"document\":"
                        + build.get("document")
                                .toString()
                                .replaceFirst("\"summary\":\"[^\"]*\"", "\"summary\":\"edit " + i + "\"")
                        + "}";
                assertThat(first.put(path, body, "If-Match", "\"" + i + "\"").status())
                        .isEqualTo(200);
            }
            first.post(path + "/undo", "", "If-Match", "\"4\"");
            first.put(path + "/revisions/2/name", "{\"name\":\"as welded\"}");
            archive = first.bytes("/api/archive").body();
        }
        try (RunningServer second = new RunningServer(data.resolve("second"), false)) {
            int items = second.get("/api/catalogue").json().size();
            JsonNode read = second.post(
                            "/api/archive", HttpRequest.BodyPublishers.ofByteArray(archive), "application/zip")
                    .json();
            assertThat(read.get("builds").intValue()).isEqualTo(5);
            assertThat(read.get("revisions").intValue()).isEqualTo(8);
            assertThat(read.get("items").intValue())
                    .as("the catalogue was the same")
                    .isZero();
            JsonNode again = second.post(
                            "/api/archive", HttpRequest.BodyPublishers.ofByteArray(archive), "application/zip")
                    .json();
            assertThat(again.get("builds").intValue()
                            + again.get("revisions").intValue()
                            + again.get("items").intValue())
                    .isZero();
            assertThat(second.get("/api/catalogue").json()).hasSize(items);
            JsonNode card = second.get("/api/builds")
                    .json()
                    .valueStream()
                    .filter(c -> c.get("name").asString().equals("2.0 L, turbo"))
                    .findFirst()
                    .orElseThrow();
            String path = "/api/builds/" + card.get("id");
            assertThat(card.get("change").asString())
                    .as("as it was left, after an undo")
                    .isEqualTo("edit 2");
            JsonNode history = second.get(path + "/revisions").json();
            assertThat(history.findValuesAsString("change")).containsExactly("edit 3", "edit 2", "edit 1", "new build");
            assertThat(history.get(2).get("name").asString()).isEqualTo("as welded");
            assertThat(second.get(path).json().get("redo").asString()).isEqualTo("edit 3");
            for (int i = 1; i <= 3; i++) {
                assertThat(second.get(path + "/revisions/" + (i + 1))
                                .json()
                                .at("/document/summary")
                                .asString())
                        .isEqualTo("edit " + i);
            }
        }
    }
}
