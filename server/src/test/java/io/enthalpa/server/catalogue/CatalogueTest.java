package io.enthalpa.server.catalogue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.formats.CatalogueCsv;
import io.enthalpa.formats.CatalogueItem;
import io.enthalpa.server.RunningServer;
import io.enthalpa.server.RunningServer.Reply;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

class CatalogueTest {
    @TempDir
    Path data;

    private RunningServer server;

    @BeforeEach
    void start() {
        server = new RunningServer(data, false);
    }

    @AfterEach
    void stop() {
        server.close();
    }

    private JsonNode find(String query) {
        return server.get("/api/catalogue" + query).json();
    }

    private static ObjectNode joint(String name) {
        ObjectNode item = JsonMapper.shared()
                .createObjectNode()
                .put("kind", "joint")
                .put("name", name)
                .put("note", "")
                .put("price", 20)
                .put("mass_kg", 0.2);
        item.putObject("figures").put("bore_mm", 63).put("hoseBore_mm", 67).put("gap_mm", 8);
        return item;
    }

    private static String csv(String text) {
        return JsonMapper.shared().createObjectNode().put("csv", text).toString();
    }

    @Test
    void startsStockedAndIsFoundByKindAndWords() {
        assertThat(find("").size()).isGreaterThan(100);
        assertThat(find("?kind=core").size()).isBetween(10, 40);
        for (JsonNode item : find("?kind=bend&q=63%20tight")) {
            assertThat(item.get("name").asString()).contains("63").contains("tight");
        }
        assertThat(find("?q=nosuchthing").size()).isZero();
    }

    @Test
    void itemIsAddedChangedAndTakenOut() {
        JsonNode added =
                server.post("/api/catalogue", joint("own coupler").toString()).json();
        long id = added.get("id").longValue();
        ObjectNode dearer = joint("own coupler").put("price", 33.5);
        assertThat(server.put("/api/catalogue/" + id, dearer.toString(), "If-Match", "\"1\"")
                        .json()
                        .get("price")
                        .doubleValue())
                .isEqualTo(33.5);
        assertThat(find("?q=own%20coupler").size()).isEqualTo(1);
        Reply stale = server.put(
                "/api/catalogue/" + id, joint("own coupler").put("price", 1).toString(), "If-Match", "\"1\"");
        assertThat(stale.status()).isEqualTo(409);
        assertThat(stale.json().at("/theirs/price").doubleValue()).isEqualTo(33.5);
        assertThat(delete(id, 1).status()).isEqualTo(409);
        assertThat(delete(id, 2).status()).isEqualTo(204);
        assertThat(delete(id, 2).status()).as("gone already").isEqualTo(204);
        assertThat(find("?q=own%20coupler").size()).isZero();
    }

    private Reply delete(long id, int version) {
        return server.delete("/api/catalogue/" + id, "If-Match", "\"" + version + "\"");
    }

    @Test
    void whatIsThrownOutStaysOutAfterARestart() {
        long id = find("?kind=core").get(0).get("id").longValue();
        int before = find("").size();
        delete(id, 1);
        server.close();
        server = new RunningServer(data, false);
        assertThat(find("").size()).isEqualTo(before - 1);
    }

    @Test
    void refusalNamesFieldValueAndRange() {
        ObjectNode wrong = joint("bad");
        ((ObjectNode) wrong.get("figures")).put("hoseBore_mm", 50);
        assertThat(server.post("/api/catalogue", wrong.toString())
                        .json()
                        .at("/fault/sentence")
                        .asString())
                .contains("hose bore is 50 mm")
                .contains("at least the pipe's bore");
        assertThat(server.post("/api/catalogue", joint("bad").put("price", -3).toString())
                        .json()
                        .at("/fault/sentence")
                        .asString())
                .contains("price is -3.0");
        assertThat(server.post(
                                "/api/catalogue",
                                joint("bad").put("kind", "wing").toString())
                        .json()
                        .at("/fault/sentence")
                        .asString())
                .contains("one of core, pipe");
        assertThat(find("?q=bad").size()).isZero();
    }

    @Test
    void goesOutAsCsvAndComesInAgain() {
        server.post("/api/catalogue", joint("=own coupler").toString());
        String file = server.get("/api/catalogue/file").raw().body();
        assertThat(file).startsWith("kind,name,note,price,mass_kg,");
        int before = find("").size();
        Reply read = server.post("/api/catalogue/file", csv(file));
        assertThat(read.json().get("added").intValue()).as("all there already").isZero();
        assertThat(read.json().get("there").intValue()).isEqualTo(before);
        assertThat(find("").size()).isEqualTo(before);
        List<CatalogueItem> items = CatalogueCsv.read(file);
        assertThat(CatalogueCsv.write(items)).isEqualTo(file);
        CatalogueItem core =
                items.stream().filter(i -> i.kind().equals("core")).findFirst().orElseThrow();
        assertThat(core.figures().at("/block/chargeFin/pitch_mm").doubleValue()).isCloseTo(4, within(1e-12));
    }

    @Test
    void oneBadLineTakesNothingInAndIsNamed() {
        int before = find("").size();
        String text =
                "kind;name;price;mass_kg;bore_mm;hoseBore_mm;gap_mm\njoint;good;20;0,2;63;67;8\njoint;bad;20;0,2;63;67;-4\n";
        Reply reply = server.post("/api/catalogue/file", csv(text));
        assertThat(reply.status()).isEqualTo(422);
        assertThat(reply.json().at("/fault/sentence").asString())
                .contains("catalogue file, line 3")
                .contains("-4 mm");
        assertThat(server.post("/api/catalogue/file", csv("a,b\n1,2\n"))
                        .json()
                        .at("/fault/sentence")
                        .asString())
                .contains("no column \"kind\"");
        assertThat(find("").size()).isEqualTo(before);
    }
}
