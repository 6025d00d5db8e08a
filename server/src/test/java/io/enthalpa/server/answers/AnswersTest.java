package io.enthalpa.server.answers;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.steady.SteadyResult;
import io.enthalpa.formats.BuildFile;
import io.enthalpa.server.RunningServer;
import io.enthalpa.server.RunningServer.Reply;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
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
    private static JsonNode saltline;
    private static JsonNode launch;

    @BeforeAll
    static void start() {
        server = new RunningServer(data, true);
        van = server.document("Pass Van");
        juniper = server.document("Juniper");
        saltline = server.document("Saltline");
        launch = server.document("Pilot Launch");
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
        assertThat(answer.at("/steady/flow_kg_s").doubleValue())
                .isCloseTo(steady.path().flow(), within(1e-12));
        assertThat(answer.at("/soak/verdict/worst_C").doubleValue())
                .isCloseTo(java.util.Arrays.stream(trace.intake()).max().orElseThrow() - 273.15, within(1e-9));
        assertThat(answer.at("/soak/audit/error_pct").doubleValue()).isLessThan(0.5);
        assertThat(answer.at("/soak/trace/time_s").size())
                .isEqualTo(answer.at("/soak/trace/running").size())
                .isBetween(500, 1000);
    }

    @Test
    void everyDemoOptionHasAnAnswerAndBalancedAccounts() {
        for (JsonNode document : new JsonNode[] {van, juniper}) {
            for (JsonNode answer : preview(document).json().get("answers")) {
                assertThat(answer.has("fault")).isFalse();
                assertThat(answer.at("/soak/audit/error_pct").doubleValue()).isLessThan(0.5);
                assertThat(answer.at("/steady/notes").findValuesAsString("kind"))
                        .doesNotContain("BLOWER_LIMITED", "MACH_BEYOND_FORMULAS");
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
        assertThat(preview(van, "Z").json().at("/answers/0/fault/sentence").asString())
                .contains("option is Z");
    }

    /** What a change promises is what it does when it is made, in the tenths that are shown: it was tried in longer steps. */
    @ParameterizedTest
    @CsvSource({"van, 1", "van, 2", "juniper, 0", "juniper, 1", "saltline, 0", "saltline, 2"})
    void changesWorthTryingKeepTheirWord(String which, int option) {
        JsonNode build = which.equals("van") ? van : which.equals("juniper") ? juniper : saltline;
        String letter = String.valueOf((char) ('A' + option));
        JsonNode changes = server.post(
                        "/api/preview/changes", asking(build, letter).toString())
                .json()
                .get("changes");
        assertThat(changes).isNotEmpty();
        JsonNode before = preview(build, letter).json().at("/answers/0");
        for (JsonNode change : changes) {
            JsonNode after = preview(edited(build, option, change.get("edits")), letter)
                    .json()
                    .at("/answers/0");
            String what = change.get("edits").toString();
            assertThat(difference(before, after, "/soak/verdict/worst_C"))
                    .as(what)
                    .isCloseTo(change.get("worst_K").doubleValue(), within(0.02));
            assertThat(difference(before, after, "/steady/totalLoss_kPa"))
                    .as(what)
                    .isCloseTo(change.get("loss_kPa").doubleValue(), within(1e-9));
        }
    }

    private static double difference(JsonNode before, JsonNode after, String pointer) {
        return after.at(pointer).doubleValue() - before.at(pointer).doubleValue();
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
        for (JsonNode document : new JsonNode[] {van, juniper, saltline}) {
            JsonNode reasons = server.post(
                            "/api/preview/reasons", asking(document, "C").toString())
                    .json()
                    .get("reasons");
            assertThat(reasons.size()).isGreaterThan(15);
            for (JsonNode reason : reasons) {
                assertThat(known).contains(reason.get("method").asString());
                assertThat(reason.at("/result/si").isNumber())
                        .as(reason.toString())
                        .isTrue();
            }
        }
    }

    /** The reasons' own result is the number on the charge line. */
    @Test
    void reasonsGiveTheNumbersOfTheAnswer() {
        JsonNode steady = preview(van, "C").json().at("/answers/0/steady");
        JsonNode reasons = server.post("/api/preview/reasons", asking(van, "C").toString())
                .json()
                .get("reasons");
        for (JsonNode reason : reasons) {
            if (reason.at("/result/name").asString().equals("charge out")) {
                assertThat(reason.at("/result/si").doubleValue() - 273.15)
                        .isCloseTo(steady.at("/core/chargeOut_C").doubleValue(), within(1e-6));
                return;
            }
        }
        throw new AssertionError("no reason for the charge behind the core");
    }

    @Test
    void littleStepsOfACoreAreComputedAndKeepTheirPromise() {
        ObjectNode request = asking(van, "C").put("place", "/path/3");
        JsonNode steps = server.post("/api/preview/core-steps", request.toString())
                .json()
                .get("steps");
        assertThat(steps.findValuesAsString("step")).contains("CHARGE_ROW", "COLD_FIN", "DEEPER");
        double before = preview(van, "C")
                .json()
                .at("/answers/0/steady/stations/6/temperature_C")
                .doubleValue();
        for (JsonNode step : steps) {
            if (step.get("step").asString().equals("DEEPER")) {
                JsonNode changed = van.deepCopy();
                ((ObjectNode) changed.at("/options/2/path/3"))
                        .put("depth_mm", step.get("to").doubleValue());
                double after = preview(changed, "C")
                        .json()
                        .at("/answers/0/steady/stations/6/temperature_C")
                        .doubleValue();
                assertThat(after - before)
                        .isCloseTo(step.get("intake_K").doubleValue(), within(1e-6))
                        .isNegative();
            }
        }
    }

    @Test
    void mapIsReadFromCsvOrRefusedByName() {
        String rows =
                "speed [rpm],flow [kg/s],pressure ratio,efficiency [%]\n60000,0.02,1.5,65\n60000,0.06,1.3,70\n90000,0.04,2.1,66\n90000,0.09,1.8,70\n";
        ObjectNode good = JsonMapper.shared().createObjectNode().put("csv", rows);
        assertThat(server.post("/api/preview/map", good.toString())
                        .json()
                        .at("/map/lines/1/points/0/pressureRatio")
                        .doubleValue())
                .isEqualTo(2.1);
        ObjectNode bad = JsonMapper.shared().createObjectNode().put("csv", rows.replace("pressure ratio", "boost"));
        Reply reply = server.post("/api/preview/map", bad.toString());
        assertThat(reply.status()).isEqualTo(422);
        assertThat(reply.json().at("/fault/sentence").asString()).contains("no column \"pressure ratio\"");
    }

    /** A core inside one of two legs is advised on as well as one in the common way. */
    @Test
    void changesReachIntoTheLegs() {
        ObjectNode document = (ObjectNode) van.deepCopy();
        ((ObjectNode) document.at("/options/2")).remove("airWays");
        ArrayNode path = (ArrayNode) document.at("/options/2/path");
        ArrayNode legs = JsonMapper.shared().createArrayNode();
        for (String side : new String[] {"left", "right"}) {
            ObjectNode core = (ObjectNode) path.get(3).deepCopy();
            legs.addObject()
                    .put("name", side)
                    .putArray("path")
                    .add(core.put("name", side + " core").put("width_mm", 200).put("height_mm", 150));
        }
        ObjectNode pair = JsonMapper.shared()
                .createObjectNode()
                .put("kind", "pair")
                .put("name", "cores")
                .put("splitAngle_deg", 30)
                .put("mergeAngle_deg", 20)
                .put("mergedBore_mm", 57);
        pair.set("legs", legs);
        path.set(3, pair);
        JsonNode changes = server.post(
                        "/api/preview/changes", asking(document, "C").toString())
                .json()
                .get("changes");
        assertThat(changes.findValuesAsString("piece")).containsAnyOf("left core", "right core");
        assertThat(changes.toString()).contains("/path/3/legs/");
    }

    /** What the verdict blames is among the remedies. */
    @Test
    void remediesFollowWhatLimits() {
        JsonNode small = edited(juniper, 1, JsonMapper.shared().readTree("""
                [{"pointer": "/path/3/water/radiator/width_mm", "value": 160}, {"pointer": "/path/3/water/radiator/height_mm", "value": 110},
                 {"pointer": "/path/3/water/radiator/cardWidth_mm", "value": 320}, {"pointer": "/path/3/water/radiator/cardHeight_mm", "value": 240}]"""));
        assertThat(preview(small, "B")
                        .json()
                        .at("/answers/0/soak/verdict/limit")
                        .asString())
                .isEqualTo("SINK");
        assertThat(keys(small, "B")).contains("height_mm").contains("depth_mm");
        JsonNode hot = edited(van, 2, JsonMapper.shared().readTree("[]"));
        ((ObjectNode) hot.at("/targets")).put("intake_C", 36);
        JsonNode verdict = preview(hot, "C").json().at("/answers/0/soak/verdict");
        assertThat(verdict.get("limit").asString()).isEqualTo("OUTSIDE_AIR");
        assertThat(verdict.get("needed_pct").doubleValue()).isGreaterThan(92);
        JsonNode ice = preview(saltline, "A").json().at("/answers/0/soak");
        assertThat(ice.at("/verdict/atWorst/tank_pct").doubleValue())
                .as("the water stores what the ice has not taken yet")
                .isPositive();
        assertThat(ice.at("/trace/switches/0/kind").asString()).isEqualTo("PUMP");
        assertThat(ice.at("/audit/latent_kJ").doubleValue()).isPositive();
    }

    private static List<String> keys(JsonNode document, String option) {
        return server.post("/api/preview/changes", asking(document, option).toString())
                .json()
                .get("changes")
                .findValuesAsString("key");
    }

    private static JsonNode edited(JsonNode document, int option, JsonNode edits) {
        JsonNode changed = document.deepCopy();
        for (JsonNode edit : edits) {
            String at = "/options/" + option + edit.get("pointer").asString();
            int cut = at.lastIndexOf('/');
            ((ObjectNode) changed.at(at.substring(0, cut))).set(at.substring(cut + 1), edit.get("value"));
        }
        return changed;
    }

    /** What a change to a loop promises is what the changed document gives. */
    @Test
    void changesToALoopKeepTheirPromise() {
        JsonNode changes = server.post(
                        "/api/preview/water-changes",
                        asking(juniper, "A").put("place", "/path/3").toString())
                .json()
                .get("changes");
        assertThat(changes.findValuesAsString("what")).contains("WIDER", "CORNER_PORTS_FED_FROM_BELOW");
        assertThat(changes)
                .anySatisfy(change ->
                        assertThat(change.get("of").toString()).isEqualTo("[\"radiator spigot\",\"radiator outlet\"]"));
        JsonNode before = preview(juniper, "A").json().at("/answers/0/steady");
        for (JsonNode change : changes) {
            JsonNode after =
                    preview(edited(juniper, 0, change.get("edits")), "A").json().at("/answers/0/steady");
            assertThat(after.at("/stations/6/temperature_C").asDouble()
                            - before.at("/stations/6/temperature_C").asDouble())
                    .as(change.get("what").asString())
                    .isCloseTo(change.get("intake_K").asDouble(), within(1e-6))
                    .isNegative();
            assertThat(after.at("/loops/0/flow_L_min").asDouble())
                    .isCloseTo(change.get("flow_L_min").asDouble(), within(1e-6));
        }
    }

    @Test
    void narrowestPieceIsNamedWithItsShare() {
        JsonNode loop = preview(juniper, "A").json().at("/answers/0/steady/loops/0");
        JsonNode narrow = loop.at("/pieces/" + loop.get("narrowest").asInt());
        assertThat(narrow.get("name").asString()).isEqualTo("radiator spigot");
        assertThat(narrow.get("share_pct").asDouble()).isBetween(25.0, 60.0);
        double losses = 0;
        for (JsonNode piece : loop.get("pieces")) {
            losses += Math.max(piece.get("loss_kPa").asDouble(), 0);
        }
        assertThat(losses).isCloseTo(loop.get("head_kPa").asDouble(), within(0.01));
        assertThat(loop.at("/pieces/5/out_C").asDouble()
                        - loop.at("/pieces/5/in_C").asDouble())
                .as("the core warms its water")
                .isPositive();
        assertThat(loop.at("/pieces/9/out_C").asDouble())
                .as("the radiator cools it back")
                .isCloseTo(loop.get("waterIn_C").asDouble(), within(0.05));
    }

    /** Every order of a stack is solved; the one that stands comes first and is the answer's own. */
    @Test
    void ordersOfTheStackAreSolvedAndCompared() {
        JsonNode orders = server.post(
                        "/api/preview/stack-orders",
                        asking(van, "B").put("way", 0).toString())
                .json()
                .get("orders");
        assertThat(orders.size()).isEqualTo(6);
        double now = preview(van, "B")
                .json()
                .at("/answers/0/steady/stations/6/temperature_C")
                .asDouble();
        assertThat(orders.at("/0/intake_C").asDouble()).isCloseTo(now, within(1e-6));
        assertThat(orders.at("/0/order").toString()).isEqualTo("[0,1,2]");
        JsonNode chargeFirst = null;
        for (JsonNode order : orders) {
            chargeFirst = order.get("order").toString().equals("[1,0,2]") ? order : chargeFirst;
        }
        assertThat(chargeFirst.get("intake_C").asDouble())
                .as("the charge gains")
                .isLessThan(now - 3);
        assertThat(chargeFirst.at("/layers/1/heat_kW").asDouble())
                .as("the cabin loses")
                .isLessThan(0.5 * orders.at("/0/layers/0/heat_kW").asDouble());
        assertThat(chargeFirst.get("total_kW").asDouble())
                .as("together nearly the same")
                .isCloseTo(orders.at("/0/total_kW").asDouble(), withinPercentage(6));
        assertThat(server.post(
                                "/api/preview/stack-orders",
                                asking(van, "B").put("way", 7).toString())
                        .json()
                        .get("detail")
                        .asString())
                .contains("way of the air is 7");
    }

    @Test
    void iceAndRawWaterAnswerToo() {
        JsonNode ice = preview(saltline, "A").json().at("/answers/0");
        assertThat(ice.at("/steady/loops/0/iceLasts_s").asDouble()).isBetween(60.0, 600.0);
        assertThat(ice.at("/soak/trace/ice_kg/0").asDouble()).isCloseTo(30, within(0.1));
        assertThat(ice.at("/soak/audit/error_pct").asDouble()).isLessThan(0.5);
        JsonNode chilled = preview(saltline, "C").json().at("/answers/0/steady");
        assertThat(chilled.at("/loops/0/chillerOut").asBoolean()).isTrue();
        assertThat(chilled.at("/notes").toString()).contains("CHILLER_CUT_OUT", "LOOP_WARMS", "SWEATS");
        JsonNode sea = preview(launch, "A").json().at("/answers/0");
        assertThat(sea.at("/steady/loops/0/waterIn_C").asDouble()).isCloseTo(22, within(1e-6));
        assertThat(sea.at("/steady/loops/0/open").asBoolean()).isTrue();
        assertThat(sea.at("/soak/verdict/outcome").asString()).isEqualTo("HOLDS");
    }

    /** An option whose stack cannot be says so in its place; the others still answer. */
    @Test
    void exchangerWiderThanTheCarIsNamedAndTheRestAnswers() {
        JsonNode wide = van.deepCopy();
        ((ObjectNode) wide.at("/options/0/airWays/0")).put("spaceWidth_mm", 500);
        JsonNode answers = preview(wide).json().get("answers");
        assertThat(answers.at("/0/fault/sentence").asString())
                .contains("condenser, width is 600 mm", "500 mm", "measure the space again");
        assertThat(answers.at("/0/fault/field").asString()).isEqualTo("/airWays/0/layers/0");
        assertThat(answers.at("/1/steady/flow_kg_s").asDouble()).isPositive();
    }
}
