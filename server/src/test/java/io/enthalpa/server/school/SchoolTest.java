package io.enthalpa.server.school;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.server.RunningServer;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

class SchoolTest {
    @TempDir
    Path data;

    private static JsonNode answer(RunningServer server, long seed, String cause) {
        return server.post(
                        "/api/school/answers",
                        "{\"level\":\"EASY\",\"seed\":%d,\"cause\":%s,\"test\":%s}".formatted(seed, cause, cause))
                .json();
    }

    @Test
    void aCaseIsDrivenAnsweredAndRemembered() {
        try (RunningServer server = new RunningServer(data, false)) {
            JsonNode one = server.post("/api/school/cases", "{\"level\":\"EASY\",\"seed\":7}")
                    .json();
            assertThat(one.get("curves").findValuesAsString("words")).contains("intake", "boost");
            assertThat(one.toString()).as("what is hidden stays so").doesNotContain("hidden");
            assertThat(one.get("time_s")).hasSize(400);
            one.get("curves").forEach(c -> assertThat(c.get("shown")).hasSize(400));
            JsonNode first = answer(server, 7, "null");
            String hidden =
                    first.get("hidden").isNull() ? "null" : first.get("hidden").toString();
            boolean healthy = hidden.equals("null");
            assertThat(first.get("cause").asString()).isEqualTo(healthy ? "RIGHT" : "WRONG");
            JsonNode again = answer(server, 7, hidden);
            assertThat(again.get("cause").asString()).isEqualTo("RIGHT");
            assertThat(again.get("test").booleanValue()).isTrue();
            JsonNode record = server.get("/api/school/record").json();
            assertThat(record.at("/scores/0/cases").intValue())
                    .as("the first answer counts")
                    .isEqualTo(1);
            assertThat(record.at("/scores/0/points").doubleValue()).isEqualTo(healthy ? 1 : 0);
            assertThat(record.at("/latest/0/named").asString()).isEqualTo("NOTHING");
        }
        try (RunningServer server = new RunningServer(data, false)) {
            assertThat(server.get("/api/school/record").json().get("latest")).hasSize(1);
            server.delete("/api/school/record");
            assertThat(server.get("/api/school/record").json().get("latest")).isEmpty();
            assertThat(server.post("/api/school/cases", "{\"seed\":7}").status())
                    .isEqualTo(422);
        }
    }
}
