package io.enthalpa.server.home;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.server.RunningServer;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

class HomeTest {
    @TempDir
    Path data;

    @Test
    void aVerdictIsComputedOnceForAVersionAndKeptOverARestart() {
        long van;
        JsonNode first;
        try (RunningServer server = new RunningServer(data, true)) {
            assertThat(server.get("/api/home").json())
                    .as("nothing is known yet")
                    .isEmpty();
            van = server.get("/api/builds")
                    .json()
                    .valueStream()
                    .filter(c -> c.get("name").asString().equals("Pass Van"))
                    .findFirst()
                    .orElseThrow()
                    .get("id")
                    .longValue();
            first = server.post("/api/home/" + van, "").json();
            JsonNode screen = server.post("/api/preview", "{\"document\":" + server.document("Pass Van") + "}")
                    .json()
                    .get("answers");
            for (int i = 0; i < 3; i++) {
                assertThat(first.get("options").get(i).get("verdict"))
                        .isEqualTo(screen.get(i).at("/soak/verdict"));
            }
            assertThat(first.at("/line/stations")).isEqualTo(screen.get(2).at("/steady/stations"));
        }
        try (RunningServer again = new RunningServer(data, false)) {
            assertThat(again.get("/api/home").json()).containsExactly(first);
            JsonNode build = again.get("/api/builds/" + van).json();
            String body = "{\"change\":\"x\",\"document\":"
                    + build.get("document").toString().replaceFirst("\"summary\":\"[^\"]*\"", "\"summary\":\"x\"")
                    + "}";
            again.put("/api/builds/" + van, body, "If-Match", "\"1\"");
            assertThat(again.get("/api/home").json())
                    .as("another version is not known yet")
                    .isEmpty();
            assertThat(again.post("/api/home/" + van, "").json().get("revision").intValue())
                    .isEqualTo(2);
        }
    }

    @Test
    void theStampIsTheSameForTheSameProgram() {
        assertThat(ProgramStamp.now()).isEqualTo(ProgramStamp.now()).isNotEmpty();
    }
}
