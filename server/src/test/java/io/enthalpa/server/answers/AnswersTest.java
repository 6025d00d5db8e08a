package io.enthalpa.server.answers;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.steady.SteadyResult;
import io.enthalpa.formats.BuildFile;
import io.enthalpa.server.RunningServer.Reply;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

class AnswersTest extends AnswersOnDemo {
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
        ((ObjectNode) document.at("/options/0/path/2")).put("outside_mm", 14).putArray("bends");
        JsonNode answers = preview(document).json().get("answers");
        assertThat(answers.at("/0/fault/kind").asString()).isEqualTo("NO_SOLUTION");
        assertThat(answers.at("/0/fault/sentence").asString()).contains("hot pipe");
        assertThat(answers.at("/1/steady/flow_kg_s").doubleValue()).isPositive();
    }

    private static double worstOfDuty(JsonNode document) {
        ObjectNode request = JsonMapper.shared().createObjectNode().put("part", "DUTY");
        request.set("document", document);
        request.putArray("options").add("C");
        return server.post("/api/preview", request.toString())
                .json()
                .at("/answers/0/soak/verdict/worst_C")
                .doubleValue();
    }

    /** A plate before the opening that the air comes in by, where the room says what walls it: the run behind it is another. */
    @Test
    void whatTheRoomTakesOfTheAirCountsInTheRunToo() {
        JsonNode open = van.deepCopy();
        ((ObjectNode) open.at("/options/2/airWays/0/inRoom")).put("walls", true);
        JsonNode walled = open.deepCopy();
        ((tools.jackson.databind.node.ArrayNode) walled.at("/room/obstacles"))
                .addObject()
                .put("kind", "box")
                .put("name", "plate")
                .put("nature", "body")
                .put("front_mm", -420)
                .put("rear_mm", -410)
                .put("left_mm", -280)
                .put("right_mm", 280)
                .put("bottom_mm", -560)
                .put("top_mm", -380);
        assertThat(worstOfDuty(walled)).isGreaterThan(worstOfDuty(open) + 2);
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

    @Test
    void fieldsTellTheirRangesAndUnits() {
        JsonNode catalogue = server.get("/api/fields").json();
        assertThat(catalogue.get("fields").findValuesAsString("key")).contains("boost_kPa", "faceShare_pct");
        assertThat(catalogue.get("quantities").findValuesAsString("symbol")).contains("psi", "in", "°F");
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
