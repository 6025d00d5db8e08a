package io.enthalpa.server.room;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.formats.BuildFile;
import io.enthalpa.server.RunningServer;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Usual places by their measures, and the fit that comes with every answer. */
class RoomTest {
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

    private static JsonNode answers(JsonNode document) {
        return answers(document, "LINE");
    }

    private static JsonNode answers(JsonNode document, String part) {
        ObjectNode request = JsonMapper.shared().createObjectNode();
        request.set("document", document);
        request.put("part", part);
        return server.post("/api/preview", request.toString()).json().get("answers");
    }

    /** A page that has the obstacles drawn asks for the rest alone; nothing else is different, and no line is computed for it. */
    @Test
    void theFitIsToldAloneAndWithoutWhatStandsThereAlready() {
        ObjectNode moved = server.document("Pass Van").deepCopy().asObject();
        ((ObjectNode) moved.at("/options/2/stands/0")).put("right_mm", 7);
        JsonNode bodies = answers(moved, "BODIES").get(2);
        JsonNode fit = answers(moved, "FIT").get(2);
        JsonNode line = answers(moved, "LINE").get(2);
        assertThat(fit.get("fit")).isEqualTo(line.get("fit"));
        assertThat(bodies.at("/fit/obstacles")).isEmpty();
        ((ObjectNode) bodies.get("fit")).set("obstacles", fit.at("/fit/obstacles"));
        assertThat(bodies).isEqualTo(fit);
        assertThat(fit.at("/fit/obstacles").size()).isGreaterThan(20);
        assertThat(List.of(fit.has("steady"), fit.has("soak"), line.has("steady"), line.has("soak")))
                .containsExactly(false, false, true, false);
    }

    /** What every preset makes of its usual measures is a room that a build file may hold. */
    @Test
    void everyUsualPlaceIsARoom() {
        JsonNode presets = server.get("/api/room/presets").json().get("presets");
        assertThat(presets.size()).isEqualTo(5);
        for (JsonNode preset : presets) {
            JsonNode made = server.post("/api/room/presets/" + preset.get("key").stringValue(), "{}")
                    .json();
            ObjectNode document = server.document("Pilot Launch").deepCopy().asObject();
            ((ObjectNode) document.get("room")).set("obstacles", made.get("obstacles"));
            assertThat(BuildFile.read(document).room().orElseThrow().obstacles())
                    .as(preset.get("title").stringValue())
                    .hasSize(made.get("obstacles").size());
        }
        assertThat(server.post("/api/room/presets/moon", "{}").status()).isEqualTo(404);
    }

    @Test
    void measuresAreMillimetresAndRefusedByName() {
        JsonNode made = server.post("/api/room/presets/front", "{\"measured\": {\"barRear\": -95}}")
                .json();
        assertThat(made.at("/obstacles/0/rear_mm").doubleValue()).isCloseTo(-95, within(1e-9));
        assertThat(made.at("/obstacles/0/front_mm").doubleValue()).isCloseTo(-160, within(1e-9));
        var refused = server.post("/api/room/presets/front", "{\"measured\": {\"barRear\": -95000}}");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.json().at("/fault/sentence").stringValue()).contains("crash bar, rear face");
    }

    /** The demo van's second core 58 lower stands in a frame leg, the other two fit; a build without a room has no fit. */
    @Test
    void fitComesWithTheLine() {
        ObjectNode van = server.document("Pass Van").deepCopy().asObject();
        ((ObjectNode) van.at("/options/1/stands/0")).put("up_mm", -400);
        ((ObjectNode) van.at("/options/1")).remove("runs");
        JsonNode answers = answers(van);
        assertThat(answers.at("/0/fit/fits").booleanValue()).isTrue();
        assertThat(answers.at("/1/fit/fits").booleanValue()).isFalse();
        assertThat(answers.at("/1/fit/findings/0/says").stringValue())
                .isEqualTo("Does not fit: the outlet clamp of core stands 1.5 mm inside right frame leg.");
        assertThat(answers.at("/2/fit/fits").booleanValue()).isTrue();
        // Its finned block from the front: 640 wide about the middle, 300 high about -400.
        ArrayNode block = (ArrayNode) answers.at("/1/fit/bodies/0/parts/0/front");
        assertThat(block.valueStream().map(JsonNode::doubleValue))
                .containsExactlyInAnyOrder(320.0, -250.0, -320.0, -250.0, -320.0, -550.0, 320.0, -550.0);
        ObjectNode bare = van.deepCopy().asObject();
        bare.remove("room");
        bare.get("options").forEach(o -> ((ObjectNode) o).remove("stands"));
        assertThat(answers(bare).at("/0").has("fit")).isFalse();
    }
}
