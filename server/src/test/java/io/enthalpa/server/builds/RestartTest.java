package io.enthalpa.server.builds;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.server.RunningServer;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

class RestartTest {
    @TempDir
    Path data;

    @Test
    void editsAndUndoSurviveARestart() {
        long id;
        try (RunningServer first = new RunningServer(data, false)) {
            JsonNode build = first.freshBuild();
            id = build.get("id").longValue();
            ObjectNode document = (ObjectNode) build.get("document");
            document.put("name", "Kept");
            ObjectNode change = JsonMapper.shared().createObjectNode().put("change", "name");
            change.set("document", document);
            assertThat(first.put("/api/builds/" + id, change.toString(), "If-Match", "\"1\"")
                            .status())
                    .isEqualTo(200);
        }
        try (RunningServer second = new RunningServer(data, true)) {
            assertThat(second.get("/api/builds").json())
                    .as("no demo builds into a store that is in use")
                    .hasSize(1);
            assertThat(second.get("/api/builds/" + id)
                            .json()
                            .at("/document/name")
                            .asString())
                    .isEqualTo("Kept");
            JsonNode undone = second.post("/api/builds/" + id + "/undo", "", "If-Match", "\"2\"")
                    .json();
            assertThat(undone.at("/document/name").asString()).isEqualTo("2.0 L, turbo");
        }
        try (RunningServer third = new RunningServer(data, false)) {
            JsonNode redone = third.post("/api/builds/" + id + "/redo", "", "If-Match", "\"1\"")
                    .json();
            assertThat(redone.at("/document/name").asString()).isEqualTo("Kept");
        }
    }
}
