package io.enthalpa.server.builds;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.server.RunningServer;
import io.enthalpa.server.RunningServer.Reply;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

class BuildsTest {
    @TempDir
    static Path data;

    private static RunningServer server;

    @BeforeAll
    static void start() {
        server = new RunningServer(data, true);
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    private static JsonNode fresh() {
        return server.freshBuild();
    }

    private static Reply save(JsonNode build, int revision, double boost, String change) {
        return save(build, revision, boost, change, null);
    }

    private static Reply save(JsonNode build, int revision, double boost, String change, String edit) {
        ObjectNode document = (ObjectNode) build.get("document").deepCopy();
        ((ObjectNode) document.at("/options/0")).put("boost_kPa", boost);
        ObjectNode request = JsonMapper.shared().createObjectNode().put("change", change);
        if (edit != null) {
            request.put("edit", edit);
        }
        request.set("document", document);
        return server.put("/api/builds/" + build.get("id"), request.toString(), "If-Match", "\"" + revision + "\"");
    }

    private static double boost(JsonNode build) {
        return build.at("/document/options/0/boost_kPa").doubleValue();
    }

    @Test
    void demoBuildsAreThere() {
        assertThat(server.get("/api/builds").json().findValuesAsString("name")).contains("Pass Van", "Juniper");
    }

    @Test
    void everyChangeIsARevision() {
        JsonNode build = fresh();
        Reply first = save(build, 1, 80, "boost 100 → 80 kPa");
        assertThat(first.status()).isEqualTo(200);
        assertThat(first.raw().headers().firstValue("ETag")).contains("\"2\"");
        assertThat(boost(server.get("/api/builds/" + build.get("id")).json())).isEqualTo(80);
        assertThat(first.json().get("undo").asString()).isEqualTo("boost 100 → 80 kPa");
        JsonNode history =
                server.get("/api/builds/" + build.get("id") + "/revisions").json();
        assertThat(history.findValuesAsString("change")).containsExactly("boost 100 → 80 kPa", "new build");
    }

    /** An answer that got lost is asked for again; a page that was reloaded in the middle does not quarrel with itself. */
    @Test
    void aChangeSentTwiceIsKeptOnce() {
        JsonNode build = fresh();
        assertThat(save(build, 1, 80, "to 80", "edit-a").json().get("revision").intValue())
                .isEqualTo(2);
        assertThat(save(build, 2, 70, "to 70", "edit-b").json().get("revision").intValue())
                .isEqualTo(3);
        Reply again = save(build, 1, 80, "to 80", "edit-a");
        assertThat(again.status()).isEqualTo(200);
        assertThat(again.json().get("revision").intValue()).isEqualTo(2);
        assertThat(boost(server.get("/api/builds/" + build.get("id")).json())).isEqualTo(70);
        assertThat(server.get("/api/builds/" + build.get("id") + "/revisions").json())
                .hasSize(3);
    }

    @Test
    void historyIsLookedAtNamedAndBroughtBack() {
        JsonNode build = fresh();
        String path = "/api/builds/" + build.get("id");
        save(build, 1, 80, "to 80");
        save(build, 2, 60, "to 60");
        assertThat(server.put(path + "/revisions/2/name", "{\"name\":\"as welded\"}")
                        .status())
                .isEqualTo(204);
        JsonNode history = server.get(path + "/revisions?most=2").json();
        assertThat(history.findValuesAsString("change")).containsExactly("to 60", "to 80");
        assertThat(history.get(1).get("name").asString()).isEqualTo("as welded");
        assertThat(server.get(path + "/revisions?below=2").json().findValuesAsString("change"))
                .containsExactly("new build");
        JsonNode looked = server.get(path + "/revisions/2").json();
        assertThat(boost(looked)).isEqualTo(80);
        ObjectNode back = JsonMapper.shared().createObjectNode().put("change", "version 2 brought back");
        back.set("document", looked.get("document"));
        assertThat(server.put(path, back.toString(), "If-Match", "\"3\"")
                        .json()
                        .get("revision")
                        .intValue())
                .isEqualTo(4);
        assertThat(boost(server.get(path).json())).isEqualTo(80);
        assertThat(server.get(path + "/revisions/9").status()).isEqualTo(404);
        assertThat(server.put(path + "/revisions/2/name", "{}").status()).isEqualTo(422);
    }

    @Test
    void putAwayDuplicatedAndDeletedForGood() {
        JsonNode build = fresh();
        String path = "/api/builds/" + build.get("id");
        assertThat(server.post(path + "/put-away", "{\"putAway\":true}").json().has("putAwayAt"))
                .isTrue();
        assertThat(server.post(path + "/put-away", "{\"putAway\":false}").json().has("putAwayAt"))
                .isFalse();
        String uid = java.util.UUID.randomUUID().toString();
        JsonNode copy = server.post(path + "/duplicate?uid=" + uid, "").json();
        assertThat(copy.at("/document/name").asString()).isEqualTo("Copy of 2.0 L, turbo");
        assertThat(server.post(path + "/duplicate?uid=" + uid, "").json().get("id"))
                .isEqualTo(copy.get("id"));
        assertThat(server.delete(path).status()).isEqualTo(204);
        assertThat(server.get(path).status()).isEqualTo(404);
        assertThat(server.get("/api/builds/" + copy.get("id")).status()).isEqualTo(200);
    }

    @Test
    void rowsKeepTheirIdentities() {
        JsonNode build = fresh();
        ObjectNode document = (ObjectNode) build.get("document").deepCopy();
        tools.jackson.databind.node.ArrayNode path =
                (tools.jackson.databind.node.ArrayNode) document.at("/options/0/path");
        String last = path.get(path.size() - 1).get("id").asString();
        ObjectNode pipe =
                path.get(2).deepCopy().isObject() ? (ObjectNode) path.get(2).deepCopy() : null;
        path.insert(2, pipe.put("id", "mine-1").put("name", "put in before"));
        ObjectNode request = JsonMapper.shared().createObjectNode().put("change", "pipe put in");
        request.set("document", document);
        server.put("/api/builds/" + build.get("id"), request.toString(), "If-Match", "\"1\"");
        JsonNode now = server.get("/api/builds/" + build.get("id")).json().at("/document/options/0/path");
        assertThat(now.get(2).get("id").asString()).isEqualTo("mine-1");
        assertThat(now.get(now.size() - 1).get("id").asString()).isEqualTo(last);
        assertThat(now.findValuesAsString("id")).isNotEmpty();
        pipe.put("id", "not an identity!");
        assertThat(server.put("/api/builds/" + build.get("id"), request.toString(), "If-Match", "\"2\"")
                        .json()
                        .get("detail")
                        .asString())
                .contains("id")
                .contains("letters and figures");
    }

    @Test
    void undoAndRedoWalkTheHistory() {
        JsonNode build = fresh();
        String path = "/api/builds/" + build.get("id");
        save(build, 1, 80, "to 80");
        save(build, 2, 60, "to 60");
        JsonNode undone = server.post(path + "/undo", "", "If-Match", "\"3\"").json();
        assertThat(boost(undone)).isEqualTo(80);
        assertThat(undone.get("redo").asString()).isEqualTo("to 60");
        JsonNode twice = server.post(path + "/undo", "", "If-Match", "\"2\"").json();
        assertThat(boost(twice)).isEqualTo(100);
        assertThat(twice.has("undo")).isFalse();
        assertThat(boost(server.post(path + "/undo", "", "If-Match", "\"1\"").json()))
                .as("at the first nothing happens")
                .isEqualTo(100);
        assertThat(boost(server.post(path + "/redo", "", "If-Match", "\"1\"").json()))
                .isEqualTo(80);
        Reply branch = save(build, 2, 70, "to 70");
        assertThat(branch.json().get("revision").intValue()).isEqualTo(4);
        assertThat(branch.json().has("redo")).isFalse();
        server.post(path + "/undo", "", "If-Match", "\"4\"");
        assertThat(boost(server.post(path + "/redo", "", "If-Match", "\"2\"").json()))
                .as("redo takes the youngest way")
                .isEqualTo(70);
    }

    @Test
    void staleChangeIsAnsweredWithBothSidesAndWritesNothing() {
        JsonNode build = fresh();
        save(build, 1, 80, "to 80");
        Reply stale = save(build, 1, 90, "to 90");
        assertThat(stale.status()).isEqualTo(409);
        assertThat(boost(stale.json().get("theirs"))).isEqualTo(80);
        assertThat(stale.json().at("/yours/options/0/boost_kPa").doubleValue()).isEqualTo(90);
        assertThat(server.get("/api/builds/" + build.get("id") + "/revisions").json())
                .hasSize(2);
        assertThat(server.post("/api/builds/" + build.get("id") + "/undo", "", "If-Match", "\"1\"")
                        .status())
                .isEqualTo(409);
    }

    @Test
    void refusedChangeWritesNothing() {
        JsonNode build = fresh();
        Reply refused = save(build, 1, -5, "to -5");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.json().at("/fault/field").asString()).isEqualTo("/options/0/boost_kPa");
        assertThat(refused.json().get("detail").asString())
                .contains("boost is -5 kPa")
                .contains("0 and 500 kPa");
        assertThat(server.get("/api/builds/" + build.get("id"))
                        .json()
                        .get("revision")
                        .intValue())
                .isEqualTo(1);
        assertThat(server.put("/api/builds/" + build.get("id"), "{\"document\":{}", "If-Match", "\"1\"")
                        .status())
                .isEqualTo(400);
        assertThat(server.put("/api/builds/" + build.get("id"), "{}", "If-Match", "one")
                        .status())
                .isGreaterThanOrEqualTo(400);
    }

    @Test
    void fileComesBackAsItWent() {
        JsonNode build = fresh();
        Reply file = server.get("/api/builds/" + build.get("id") + "/file");
        assertThat(file.raw().headers().firstValue("Content-Disposition").orElse(""))
                .contains("2-0-l-turbo.enthalpa.json");
        Reply again = server.post("/api/builds", file.raw().body());
        assertThat(again.status()).isEqualTo(201);
        assertThat(again.json().get("document")).isEqualTo(build.get("document"));
    }

    @Test
    void brokenFileIsRefusedByPlace() {
        String file =
                server.get("/api/builds/" + fresh().get("id") + "/file").raw().body();
        int builds = server.get("/api/builds").json().size();
        Reply cut = server.post("/api/builds", file.substring(0, file.length() / 2));
        assertThat(cut.status()).isEqualTo(422);
        assertThat(cut.json().get("detail").asString()).contains("line").contains("ends in the middle");
        assertThat(server.post("/api/builds", file.replaceFirst("\"version\" : \\d", "\"version\" : 9"))
                        .json()
                        .get("detail")
                        .asString())
                .contains("version 9");
        assertThat(server.get("/api/builds").json()).hasSize(builds);
    }

    @Test
    void unknownAddressesAreProblems() {
        assertThat(server.get("/api/builds/99999").status()).isEqualTo(404);
        assertThat(server.get("/api/nothing").json().get("status").intValue()).isEqualTo(404);
        assertThat(server.get("/api/builds/abc").status()).isEqualTo(400);
    }
}
