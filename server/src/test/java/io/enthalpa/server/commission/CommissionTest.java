package io.enthalpa.server.commission;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.server.RunningServer;
import io.enthalpa.server.RunningServer.Reply;
import java.net.http.HttpRequest;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

class CommissionTest {
    @TempDir
    static Path data;

    private static RunningServer server;
    private static JsonNode juniper;

    @BeforeAll
    static void start() {
        server = new RunningServer(data, true);
        juniper = server.document("Juniper");
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    private static Reply ask(String path, String key, Object value) {
        ObjectNode request = JsonMapper.shared().createObjectNode();
        request.set("document", juniper);
        request.set(key, JsonMapper.shared().valueToTree(value));
        return server.post("/api/preview/" + path, request.toString());
    }

    @Test
    void theDemosLeakTestIsJudged() {
        JsonNode plan = ask("leak-test", "test", 0).json();
        assertThat(plan.get("test_kPa").doubleValue()).isCloseTo(95, within(0.5));
        assertThat(plan.get("steps").findValuesAsString("says"))
                .anySatisfy(s -> assertThat(s).contains("J: a cap that lets go strikes like a 1 kg hammer"))
                .anySatisfy(s -> assertThat(s).startsWith("Tight:"));
        assertThat(ask("leak-test", "test", 1).status()).isEqualTo(422);
        assertThat(ask("leak-test", "test", null).status()).isEqualTo(422);
    }

    @Test
    void listsFromWhatWasBuilt() {
        JsonNode lists = ask("commission", "option", "A").json();
        assertThat(lists.at("/fill/0/core").asString()).isEqualTo("core");
        assertThat(lists.get("fill").findValuesAsString("kind")).contains("FILL_FED_TOP", "FILL_GROWS");
        assertThat(lists.get("joints").findValuesAsString("kind"))
                .startsWith("JOINT_OUTLET")
                .contains("JOINT_RETIGHTEN");
        assertThat(lists.get("start").findValuesAsString("part")).contains("COLD", "IDLE", "DRIVE", "HOT");
        assertThat(ask("changes-made", "x", "").json().at("/changes/0/says").asString())
                .startsWith("2.3 °C colder under load, give or take 1.6 °C, as predicted");
    }

    @Test
    void readingsOfAGaugeFromAFile() {
        Reply reply = server.post(
                "/api/preview/leak-readings",
                HttpRequest.BodyPublishers.ofString("time [s];gauge [bar]\n1;0,95\n61;0,9\n"),
                "text/csv");
        assertThat(reply.json().at("/readings/1/time_s").doubleValue()).isEqualTo(60);
        assertThat(reply.json().at("/readings/1/gauge_kPa").doubleValue()).isCloseTo(90, within(1e-9));
        assertThat(reply.json().at("/readings/1").has("air_C")
                        && !reply.json().at("/readings/1/air_C").isNull())
                .isFalse();
    }

    @Test
    void aSheetIsAPdfAndOneWithoutEndIsRefused() {
        Reply sheet = server.post(
                "/api/preview/sheet",
                "{\"title\":\"Leak test\",\"sections\":[{\"heading\":\"Shut\",\"ticked\":true,\"lines\":[\"a cap\"]}],\"signed\":true}");
        assertThat(sheet.status()).isEqualTo(200);
        assertThat(sheet.raw().body()).startsWith("%PDF");
        String lines = "\"x\",".repeat(2001);
        assertThat(server.post(
                                "/api/preview/sheet",
                                "{\"title\":\"t\",\"sections\":[{\"ticked\":false,\"lines\":["
                                        + lines.substring(0, lines.length() - 1) + "]}],\"signed\":false}")
                        .status())
                .isEqualTo(422);
    }
}
