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
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
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

    private static ObjectNode asking(JsonNode document, String option) {
        ObjectNode request = JsonMapper.shared().createObjectNode().put("option", option);
        request.set("document", document);
        return request;
    }

    @Test
    void everyNumberOpensToAMethodThatIsThere() {
        List<String> known = new java.util.ArrayList<>();
        for (JsonNode chapter : server.get("/api/methods").json()) {
            chapter.get("methods").forEach(m -> known.add(m.get("id").asString()));
        }
        assertThat(known).hasSizeGreaterThan(25).doesNotHaveDuplicates();
        for (JsonNode document : new JsonNode[] {van, juniper}) {
            JsonNode reasons = server.post("/api/preview/reasons", asking(document, "C").toString()).json().get("reasons");
            assertThat(reasons.size()).isGreaterThan(15);
            for (JsonNode reason : reasons) {
                assertThat(known).contains(reason.get("method").asString());
                assertThat(reason.at("/result/si").isNumber()).as(reason.toString()).isTrue();
            }
        }
    }

    /** The reasons' own result is the number on the charge line. */
    @Test
    void reasonsGiveTheNumbersOfTheAnswer() {
        JsonNode steady = preview(van, "C").json().at("/answers/0/steady");
        JsonNode reasons = server.post("/api/preview/reasons", asking(van, "C").toString()).json().get("reasons");
        for (JsonNode reason : reasons) {
            if (reason.at("/result/name").asString().equals("charge out")) {
                assertThat(reason.at("/result/si").doubleValue() - 273.15).isCloseTo(steady.at("/core/chargeOut_C").doubleValue(), within(1e-6));
                return;
            }
        }
        throw new AssertionError("no reason for the charge behind the core");
    }

    @Test
    void littleStepsOfACoreAreComputedAndKeepTheirPromise() {
        ObjectNode request = asking(van, "C").put("place", "/path/3");
        JsonNode steps = server.post("/api/preview/core-steps", request.toString()).json().get("steps");
        assertThat(steps.findValuesAsString("what")).contains("one more charge row", "one more cooling fin in 10 mm", "20 mm deeper");
        double before = preview(van, "C").json().at("/answers/0/steady/stations/6/temperature_C").doubleValue();
        for (JsonNode step : steps) {
            if (step.get("what").asString().equals("20 mm deeper")) {
                JsonNode changed = van.deepCopy();
                ((ObjectNode) changed.at("/options/2/path/3")).put("depth_mm", step.get("to").doubleValue());
                double after = preview(changed, "C").json().at("/answers/0/steady/stations/6/temperature_C").doubleValue();
                assertThat(after - before).isCloseTo(step.get("intake_K").doubleValue(), within(1e-6)).isNegative();
            }
        }
    }

    @Test
    void mapIsReadFromCsvOrRefusedByName() {
        String rows = "speed [rpm],flow [kg/s],pressure ratio,efficiency [%]\n60000,0.02,1.5,65\n60000,0.06,1.3,70\n90000,0.04,2.1,66\n90000,0.09,1.8,70\n";
        ObjectNode good = JsonMapper.shared().createObjectNode().put("csv", rows);
        assertThat(server.post("/api/preview/map", good.toString()).json().at("/map/lines/1/points/0/pressureRatio").doubleValue()).isEqualTo(2.1);
        ObjectNode bad = JsonMapper.shared().createObjectNode().put("csv", rows.replace("pressure ratio", "boost"));
        Reply reply = server.post("/api/preview/map", bad.toString());
        assertThat(reply.status()).isEqualTo(422);
        assertThat(reply.json().at("/fault/sentence").asString()).contains("no column \"pressure ratio\"");
    }

    /** A core inside one of two legs is advised on as well as one in the common way. */
    @Test
    void changesReachIntoTheLegs() {
        ObjectNode document = (ObjectNode) van.deepCopy();
        ArrayNode path = (ArrayNode) document.at("/options/2/path");
        ArrayNode legs = JsonMapper.shared().createArrayNode();
        for (String side : new String[] {"left", "right"}) {
            ObjectNode core = (ObjectNode) path.get(3).deepCopy();
            legs.addObject().put("name", side).putArray("path").add(core.put("name", side + " core").put("width_mm", 200).put("height_mm", 150));
        }
        ObjectNode pair = JsonMapper.shared().createObjectNode().put("kind", "pair").put("name", "cores").put("splitAngle_deg", 30)
                .put("mergeAngle_deg", 20).put("mergedBore_mm", 57);
        pair.set("legs", legs);
        path.set(3, pair);
        JsonNode changes = server.post("/api/preview/changes", asking(document, "C").toString()).json().get("changes");
        assertThat(changes.findValuesAsString("piece")).containsAnyOf("left core", "right core");
        assertThat(changes.toString()).contains("/path/3/legs/");
    }
}
