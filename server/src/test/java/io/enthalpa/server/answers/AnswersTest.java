package io.enthalpa.server.answers;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.endurance.SteadyResult;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.formats.BuildFile;
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

class AnswersTest {
    @TempDir
    static Path data;
    private static RunningServer server;
    private static JsonNode van;
    private static JsonNode juniper;

    @BeforeAll
    static void start() {
        server = new RunningServer(data, true);
        for (JsonNode build : server.get("/api/builds").json()) {
            if (build.at("/document/name").asString().equals("Pass Van")) {
                van = build.get("document");
            } else {
                juniper = build.get("document");
            }
        }
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    private static Reply preview(JsonNode document, String... options) {
        ObjectNode request = JsonMapper.shared().createObjectNode();
        request.set("document", document);
        if (options.length > 0) {
            request.putPOJO("options", options);
        }
        return server.post("/api/preview", request.toString());
    }

    @Test
    void answersAreTheCoresOwn() {
        Build build = BuildFile.read(van);
        SteadyResult steady = new Answer(build, "C").steady();
        Trace trace = new Answer(build, "C").soak();
        JsonNode answer = preview(van, "C").json().at("/answers/0");
        assertThat(answer.at("/steady/stations/4/temperature_C").doubleValue())
                .isCloseTo(steady.path().stations().get(4).temperature() - 273.15, within(1e-9));
        assertThat(answer.at("/steady/flow_kg_s").doubleValue()).isCloseTo(steady.path().flow(), within(1e-12));
        assertThat(answer.at("/soak/verdict/worst_C").doubleValue())
                .isCloseTo(java.util.Arrays.stream(trace.intake()).max().orElseThrow() - 273.15, within(1e-9));
        assertThat(answer.at("/soak/audit/error_pct").doubleValue()).isLessThan(0.5);
        assertThat(answer.at("/soak/trace/time_s").size()).isEqualTo(answer.at("/soak/trace/running").size()).isBetween(500, 1000);
    }

    @Test
    void everyDemoOptionHasAnAnswerAndBalancedAccounts() {
        for (JsonNode document : new JsonNode[] {van, juniper}) {
            for (JsonNode answer : preview(document).json().get("answers")) {
                assertThat(answer.has("fault")).isFalse();
                assertThat(answer.at("/soak/audit/error_pct").doubleValue()).isLessThan(0.5);
                assertThat(answer.at("/steady/notes").findValuesAsString("kind")).doesNotContain("BLOWER_LIMITED", "MACH_BEYOND_FORMULAS");
            }
        }
    }

    @Test
    void optionWithoutAnswerSaysSoAndTheOthersStillAnswer() {
        JsonNode document = van.deepCopy();
        ((ObjectNode) document.at("/options/0/path/2")).put("bore_mm", 10).putArray("bends");
        JsonNode answers = preview(document).json().get("answers");
        assertThat(answers.at("/0/fault/kind").asString()).isEqualTo("NO_SOLUTION");
        assertThat(answers.at("/0/fault/sentence").asString()).contains("hot pipe");
        assertThat(answers.at("/1/steady/flow_kg_s").doubleValue()).isPositive();
    }

    @Test
    void documentThatCannotBeReadIsRefused() {
        JsonNode document = van.deepCopy();
        ((ObjectNode) document.at("/climate")).put("humidity_pct", 400);
        Reply refused = preview(document);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.json().at("/fault/field").asString()).isEqualTo("/climate/humidity_pct");
        assertThat(preview(van, "Z").json().at("/answers/0/fault/sentence").asString()).contains("option is Z");
    }

    /** What a change promises is what it does when it is made. */
    @Test
    void changesWorthTryingKeepTheirWord() {
        ObjectNode request = JsonMapper.shared().createObjectNode().put("option", "B");
        request.set("document", van);
        JsonNode changes = server.post("/api/preview/changes", request.toString()).json().get("changes");
        assertThat(changes).isNotEmpty();
        double before = preview(van, "B").json().at("/answers/0/soak/verdict/worst_C").doubleValue();
        for (JsonNode change : changes) {
            JsonNode document = van.deepCopy();
            String pointer = "/options/1" + change.at("/edits/0/pointer").asString();
            int cut = pointer.lastIndexOf('/');
            ((ObjectNode) document.at(pointer.substring(0, cut))).put(pointer.substring(cut + 1), change.at("/edits/0/value").doubleValue());
            double after = preview(document, "B").json().at("/answers/0/soak/verdict/worst_C").doubleValue();
            assertThat(after - before).as(pointer).isCloseTo(change.get("worst_K").doubleValue(), within(1e-6));
        }
    }

    @Test
    void fieldsTellTheirRangesAndUnits() {
        JsonNode catalogue = server.get("/api/fields").json();
        assertThat(catalogue.get("fields").findValuesAsString("key")).contains("boost_kPa", "faceShare_pct");
        assertThat(catalogue.get("quantities").findValuesAsString("symbol")).contains("psi", "in", "°F");
    }
}
