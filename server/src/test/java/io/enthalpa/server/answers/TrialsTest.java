package io.enthalpa.server.answers;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What a change promises is what it does. */
class TrialsTest extends AnswersOnDemo {
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
        assertThat(chargeFirst.at("/layers/1/hot_C").asDouble())
                .as("the cabin loses")
                .isGreaterThan(orders.at("/0/layers/0/hot_C").asDouble() + 3);
        assertThat(orders.at("/0/layers/1/hot_C").isMissingNode())
                .as("a core has no hot side of its own")
                .isTrue();
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
}
