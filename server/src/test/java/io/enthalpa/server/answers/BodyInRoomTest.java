package io.enthalpa.server.answers;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.server.RunningServer;
import io.enthalpa.server.RunningServer.Reply;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What is asked of a body of the demo van in its room. */
class BodyInRoomTest {
    @TempDir
    static Path data;

    private static RunningServer server;
    private static JsonNode van;

    @BeforeAll
    static void start() {
        server = new RunningServer(data, true);
        van = server.document("Pass Van");
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    private static Reply ask(String what, JsonNode document, String more) {
        ObjectNode request = (ObjectNode)
                JsonMapper.shared().readTree("{\"option\": \"B\"" + (more.isEmpty() ? "" : ", ") + more + "}");
        request.set("document", document);
        return server.post("/api/preview" + (what.isEmpty() ? "" : "/" + what), request.toString());
    }

    private static String obstacle(String name) {
        JsonNode all = van.at("/room/obstacles");
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i).get("name").stringValue().equals(name)) {
                return "/room/obstacles/" + i;
            }
        }
        throw new AssertionError(name);
    }

    private static final String CORE = "\"place\": \"/stands/0\"";

    /** Behind the crash bar with 20 between, where it was across: put there, the tape says 20. */
    @Test
    void putBehindTheBarTheTapeSaysWhatWasAsked() {
        String bar = obstacle("crash bar");
        JsonNode place = ask(
                        "against",
                        van,
                        CORE + ", \"against\": \"" + bar
                                + "\", \"side\": \"REARWARDS\", \"gap_mm\": 20, \"centred\": false")
                .json();
        assertThat(place.get("right_mm").doubleValue()).isZero();
        assertThat(place.get("up_mm").doubleValue()).isEqualTo(-342);
        ObjectNode moved = van.deepCopy().asObject();
        ((ObjectNode) moved.at("/options/1/stands/0"))
                .put("back_mm", place.get("back_mm").doubleValue());
        JsonNode between =
                ask("between", moved, CORE + ", \"against\": \"" + bar + "\"").json();
        assertThat(between.get("gap_mm").doubleValue()).isCloseTo(20, within(0.02));
    }

    @Test
    void waysOutAndTheLargestCoreAreTold() {
        JsonNode ways = ask("ways-out", van, CORE).json().get("ways");
        assertThat(ways.size()).isEqualTo(6);
        assertThat(ways.valueStream().map(w -> w.get("way").stringValue()))
                .containsExactlyInAnyOrder("FORWARDS", "REARWARDS", "LEFT", "RIGHT", "UP", "DOWN");
        JsonNode largest =
                ask("largest-core", van, CORE + ", \"deepest_mm\": 70").json().get("places");
        assertThat(largest.size()).isPositive();
        assertThat(largest.valueStream().map(p -> p.get("depth_mm").doubleValue()))
                .allSatisfy(depth -> assertThat(depth).isBetween(20.0, 70.0));
        assertThat(largest.at("/0/edits").size()).isPositive();
    }

    /** All round by ten degrees; where it says that it is clear the whole fit says so too. */
    @Test
    void clockingIsToldAllRound() {
        String turbo = "\"place\": \"" + stand("blower") + "\"";
        JsonNode answer = ask("clocking", van, turbo).json();
        assertThat(answer.get("ways")
                        .valueStream()
                        .map(w -> w.get("clocked_deg").intValue()))
                .containsExactlyElementsOf(
                        IntStream.range(0, 36).map(i -> 10 * i).boxed().toList());
        JsonNode best = answer.get("ways").get(answer.get("best").intValue());
        assertThat(best.get("clear").booleanValue()).isTrue();
        JsonNode worst = answer.get("ways")
                .valueStream()
                .min(Comparator.comparingDouble(w -> w.get("spare_mm").doubleValue()))
                .orElseThrow();
        assertThat(worst.get("clear").booleanValue()).isFalse();
        ObjectNode clocked = van.deepCopy().asObject();
        ((ObjectNode) clocked.at("/options/1" + stand("blower") + "/scroll"))
                .put("clocked_deg", worst.get("clocked_deg").doubleValue());
        double missing = ask("", clocked, "")
                .json()
                .get("answers")
                .valueStream()
                .filter(o -> o.get("option").stringValue().equals("B"))
                .flatMap(o -> o.at("/fit/gaps").valueStream())
                .filter(g -> g.get("place").stringValue().equals(stand("blower"))
                        || g.get("against").stringValue().equals(stand("blower")))
                .mapToDouble(g -> g.get("missing_mm").doubleValue())
                .max()
                .orElseThrow();
        assertThat(missing).isCloseTo(-worst.get("spare_mm").doubleValue(), within(0.02));
        refused(ask("clocking", van, CORE), "turbo or centrifugal blower");
    }

    private static String stand(String what) {
        JsonNode all = van.at("/options/1/stands");
        return IntStream.range(0, all.size())
                .filter(i -> all.get(i).get("what").stringValue().equals(what))
                .mapToObj(i -> "/stands/" + i)
                .findFirst()
                .orElseThrow();
    }

    /** Named with what was sent and what is allowed. */
    @Test
    void whatCannotBeAskedIsRefused() {
        refused(ask("ways-out", van, "\"place\": \"/stands/9\""), "/stands/9");
        refused(ask("largest-core", van, "\"place\": \"/stands/1\""), "a core's place");
        refused(ask("largest-core", van, CORE + ", \"deepest_mm\": 9000"), "400 mm");
        refused(
                ask(
                        "against",
                        van,
                        CORE + ", \"against\": \"/moon\", \"side\": \"UP\", \"gap_mm\": 5, \"centred\": true"),
                "/moon");
        refused(
                ask(
                        "against",
                        van,
                        CORE + ", \"against\": \"/stands/0\", \"side\": \"UP\", \"gap_mm\": 5, \"centred\": true"),
                "itself");
        refused(
                ask(
                        "between",
                        van,
                        "\"place\": \"" + obstacle("bonnet") + "\", \"against\": \"" + obstacle("ground") + "\""),
                "is a plane");
        ObjectNode bare = van.deepCopy().asObject();
        bare.remove("room");
        bare.get("options").forEach(o -> ((ObjectNode) o).remove("stands"));
        refused(ask("room/stl", bare, ""), "measured room");
        assertThat(ask("room/dwg", van, "").status()).isEqualTo(404);
    }

    private static void refused(Reply reply, String naming) {
        assertThat(reply.status()).isEqualTo(422);
        assertThat(reply.json().at("/fault/sentence").stringValue()).contains(naming);
    }
}
