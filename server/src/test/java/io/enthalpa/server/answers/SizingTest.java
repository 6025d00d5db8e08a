package io.enthalpa.server.answers;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A new build from what is asked, and an option cooled another way. */
class SizingTest extends AnswersOnDemo {
    private static ObjectNode job(String cooled) {
        return JsonMapper.shared()
                .createObjectNode()
                .put("displacement_L", 3)
                .put("maxSpeed_rpm", 6500)
                .put("blower", "screw")
                .put("blowers", 1)
                .put("boost_kPa", 70)
                .put("cooled", cooled)
                .put("duty", "laps");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "no cooler",
                "air to air",
                "water and radiator",
                "ice tank",
                "chilled water",
                "raw water",
                "injection alone"
            })
    void everyCoolingMakesADocumentThatAnswersAndIsKept(String cooled) {
        JsonNode made =
                server.post("/api/builds/starter", job(cooled).toString()).json();
        assertThat(made.at("/document/options/0/name").asString()).isEqualTo(cooled);
        assertThat(made.at("/document/options/0/path/1/type").asString()).isEqualTo("screw");
        assertThat(made.get("job")).isEqualTo(job(cooled));
        JsonNode answer = preview(made.get("document"), "A").json().at("/answers/0");
        assertThat(answer.at("/fault").isMissingNode()).isTrue();
        assertThat(answer.at("/soak/verdict/worst_C").doubleValue())
                .as(cooled)
                .isBetween(20.0, cooled.equals("no cooler") || cooled.equals("injection alone") ? 140.0 : 50.0);
        JsonNode kept = server.post(
                        "/api/builds?change=new%20build", made.get("document").toString())
                .json();
        assertThat(kept.get("document")).isEqualTo(made.get("document"));
        server.delete("/api/builds/" + kept.get("id"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "boost_kPa | 900 | boost is 900 kPa; it must lie between 0 and 500 kPa",
                "displacement_L | 0 | displacement is 0 L",
                "blowers | 3 | blowers is 3",
                "cooled | \"wishes\" | expected one of no cooler, air to air",
                "blower | \"fan\" | expected one of roots-type",
                "duty | \"nap\" | standing start",
            })
    void whatCannotBeIsRefusedByItsField(String field, String value, String words) {
        ObjectNode job = job("air to air");
        job.set(field, JsonMapper.shared().readTree(value));
        var reply = server.post("/api/builds/starter", job.toString());
        assertThat(reply.status()).isEqualTo(422);
        assertThat(reply.json().at("/fault/field").asString()).isEqualTo("/" + field);
        assertThat(reply.json().at("/fault/sentence").asString()).contains(words);
    }

    private JsonNode cooled(JsonNode document, String option, String cooled) {
        ObjectNode request = asking(document, option).put("cooled", cooled);
        return server.post("/api/preview/cooled", request.toString()).json().get("option");
    }

    private static JsonNode with(JsonNode document, JsonNode option) {
        ObjectNode changed = (ObjectNode) document.deepCopy();
        ArrayNode options = changed.putArray("options");
        options.add(option);
        return changed;
    }

    @Test
    void airBecomesWaterAndWaterAirAgain() {
        JsonNode wet = cooled(van, "C", "water and radiator");
        assertThat(wet.at("/path/3/cooledBy").asString()).isEqualTo("water");
        assertThat(wet.at("/path/3/water/flow_L_min").isMissingNode())
                .as("its flow is found from its pump")
                .isTrue();
        JsonNode document = with(van, wet);
        assertThat(preview(document, "C")
                        .json()
                        .at("/answers/0/steady/loops/0/flow_L_min")
                        .doubleValue())
                .isPositive();
        JsonNode dry = cooled(document, "C", "air to air");
        assertThat(dry.at("/path/3/cooledBy").asString()).isEqualTo("air");
        assertThat(dry.get("airWays")).isEqualTo(van.at("/options/2/airWays"));
        assertThat(preview(with(van, dry), "C").json().at("/answers/0/fault").isMissingNode())
                .isTrue();
    }

    @Test
    void methodThatIsNoneIsRefusedWithThoseThatAre() {
        var reply = server.post(
                "/api/preview/cooled", asking(van, "C").put("cooled", "hope").toString());
        assertThat(reply.status()).isEqualTo(422);
        assertThat(reply.json().at("/fault/sentence").asString()).contains("ice tank");
    }

    @Test
    void aLoopWithAChillerIsDrawnAndOneThatIsNotThereRefused() {
        JsonNode chilled = cooled(van, "C", "chilled water");
        ObjectNode water = (ObjectNode) chilled.at("/path/3/water");
        water.remove("pieces");
        water.put("flow_L_min", 18).put("flowGuessed", true);
        JsonNode document = with(van, chilled);
        ObjectNode request = asking(document, "C").put("place", "/path/3");
        JsonNode drawn = server.post("/api/preview/drawn-loop", request.toString())
                .json()
                .at("/option/path/3/water");
        assertThat(drawn.get("pieces").findValuesAsString("kind")).contains("chiller", "tank", "pump", "core");
        assertThat(drawn.has("flow_L_min")).isFalse();
        assertThat(server.post(
                                "/api/preview/drawn-loop",
                                request.put("place", "/path/2").toString())
                        .status())
                .isEqualTo(422);
    }

    /** Option C's core and one more like it, with water of their own. */
    private JsonNode twoCores() {
        ObjectNode option = (ObjectNode) cooled(van, "C", "water and radiator");
        ArrayNode path = (ArrayNode) option.get("path");
        ObjectNode second = (ObjectNode) path.get(3).deepCopy();
        path.insert(4, second.put("name", "second core"));
        return with(van, option);
    }

    private RunningServer.Reply shared(JsonNode document, String place, String with, String stands) {
        ObjectNode request = asking(document, "C").put("place", place);
        request.put("with", with).put("stands", stands);
        return server.post("/api/preview/shared-loop", request.toString());
    }

    @Test
    void aCoreGoesOnAnotherCoresLoopAndHasOneOfItsOwnAgain() {
        JsonNode document = twoCores();
        String first = document.at("/options/0/path/3/name").asString();
        JsonNode apart = preview(document, "C").json().at("/answers/0/steady");
        assertThat(apart.get("loops")).hasSize(2);
        JsonNode option = shared(document, "/path/4", first, "behind").json().get("option");
        assertThat(option.at("/path/4/sharesLoop"))
                .isEqualTo(JsonMapper.shared()
                        .createObjectNode()
                        .put("core", first)
                        .put("stands", "behind"));
        assertThat(option.at("/path/4/water").isMissingNode()).isTrue();
        JsonNode loops = preview(with(van, option), "C").json().at("/answers/0/steady/loops");
        assertThat(loops).hasSize(1);
        assertThat(loops.at("/0/cores/1/in_C").doubleValue())
                .isCloseTo(loops.at("/0/cores/0/out_C").doubleValue(), within(1e-2));
        assertThat(loops.at("/0/heat_kW").doubleValue())
                .isCloseTo(
                        loops.at("/0/cores/0/heat_kW").doubleValue()
                                + loops.at("/0/cores/1/heat_kW").doubleValue(),
                        within(1e-9));
        JsonNode again = shared(with(van, option), "/path/4", null, null).json().get("option");
        assertThat(again.at("/path/4/water")).isEqualTo(again.at("/path/3/water"));
        assertThat(again.at("/path/4/sharesLoop").isMissingNode()).isTrue();
    }

    @Test
    void theLoopOfNobodyIsRefused() {
        assertThat(shared(twoCores(), "/path/4", "the boiler", null)
                        .json()
                        .at("/fault/sentence")
                        .asString())
                .contains("\"the boiler\"", "another core that has a water loop");
        assertThat(shared(twoCores(), "/path/4", "core", "above").status()).isEqualTo(422);
    }

    private JsonNode sharedBeside() {
        JsonNode document = twoCores();
        String first = document.at("/options/0/path/3/name").asString();
        return shared(document, "/path/4", first, "beside").json().get("option");
    }

    /** What the page asks of any option, asked of one with a core on another's loop. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "/api/preview/changes | ",
                "/api/preview/core-steps | /path/4",
                "/api/preview/water-changes | /path/3",
                "/api/preview/reasons | ",
                "/api/preview/trace/csv | ",
                "/api/preview/drawn-loop | /path/3",
            })
    void anOptionWithASharedLoopIsAnsweredEverywhere(String path, String place) {
        JsonNode option = sharedBeside();
        ObjectNode request = asking(with(van, option), "C");
        if (place != null) {
            request.put("place", place);
        }
        assertThat(server.post(path, request.toString()).status()).isEqualTo(200);
    }

    @Test
    void aSharedLoopGoesToAirAndBackToWater() {
        JsonNode option = sharedBeside();
        JsonNode dry = cooled(with(van, option), "C", "air to air");
        assertThat(dry.at("/path/4/sharesLoop").isMissingNode()).isTrue();
        assertThat(dry.at("/path/4/cooledBy").asString()).isEqualTo("air");
        JsonNode wet = cooled(with(van, dry), "C", "ice tank");
        assertThat(preview(with(van, wet), "C").json().at("/answers/0/steady/loops"))
                .hasSize(2);
    }
}
