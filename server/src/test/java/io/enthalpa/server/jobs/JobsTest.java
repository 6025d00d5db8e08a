package io.enthalpa.server.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.server.RunningServer;
import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Long computations: begun, watched, cancelled, gathered. */
class JobsTest {
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

    private static String request(String option) {
        ObjectNode request = JsonMapper.shared().createObjectNode();
        request.set("document", van);
        return request.put("option", option).toString();
    }

    /** Watches the job's events to their end. */
    private static List<JsonNode> watch(String id) throws Exception {
        HttpResponse<java.io.InputStream> events = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(
                                        URI.create("http://127.0.0.1:" + server.port() + "/api/jobs/" + id + "/events"))
                                .build(),
                        HttpResponse.BodyHandlers.ofInputStream());
        List<JsonNode> seen = new ArrayList<>();
        try (BufferedReader lines = new BufferedReader(new InputStreamReader(events.body(), StandardCharsets.UTF_8))) {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                if (line.startsWith("data:")) {
                    seen.add(JsonMapper.shared().readTree(line.substring(5)));
                }
            }
        }
        return seen;
    }

    @Test
    void spreadTellsItsProgressAndEndsWithABandAndARanking() throws Exception {
        RunningServer.Reply begun = server.post("/api/jobs/spread", request("C"));
        assertThat(begun.status()).isEqualTo(202);
        List<JsonNode> events = watch(begun.json().get("id").asString());
        JsonNode last = events.get(events.size() - 1);
        assertThat(events).extracting(e -> e.get("done").intValue()).isSorted();
        assertThat(last.get("state").asString()).isEqualTo("DONE");
        JsonNode spread = last.get("spread");
        assertThat(spread.get("samples").intValue()).isEqualTo(200);
        assertThat(spread.get("worstLow_C").doubleValue())
                .isLessThan(spread.get("worstHigh_C").doubleValue());
        double sum = 0;
        for (JsonNode weight : spread.get("ranking")) {
            sum += weight.get("share_pct").doubleValue();
        }
        assertThat(sum).isBetween(99.9, 100.1);
        assertThat(server.get("/api/jobs/" + begun.json().get("id").asString())
                        .json()
                        .get("spread"))
                .isEqualTo(spread);
    }

    /** The demo's log of the van with two fifths of its cooling air gone. */
    @Test
    void aFitFindsTheBlockedFaceOfTheDemo() throws Exception {
        long build = server.get("/api/builds")
                .json()
                .valueStream()
                .filter(b -> b.get("name").asString().equals("Pass Van"))
                .findFirst()
                .orElseThrow()
                .get("id")
                .longValue();
        long log = -1;
        for (int tries = 0; log < 0 && tries < 300; tries++) {
            log = server.get("/api/logs?build=" + build)
                    .json()
                    .valueStream()
                    .filter(l -> l.get("name").asString().startsWith("pass with trailer"))
                    .mapToLong(l -> l.get("id").longValue())
                    .findFirst()
                    .orElse(-1);
            Thread.sleep(100);
        }
        ObjectNode request = JsonMapper.shared().createObjectNode();
        request.set("document", van);
        RunningServer.Reply begun = server.post(
                "/api/jobs/fit", request.put("option", "A").put("log", log).toString());
        assertThat(begun.status()).as(begun.raw().body()).isEqualTo(202);
        List<JsonNode> events = watch(begun.json().get("id").asString());
        JsonNode last = events.get(events.size() - 1);
        assertThat(last.get("state").asString()).isEqualTo("DONE");
        assertThat(last.get("of").intValue())
                .as("four rounds of all unknowns, and one")
                .isGreaterThan(20);
        JsonNode air = last.at("/fit/unknowns")
                .valueStream()
                .filter(u -> u.get("unknown").asString().equals("COOLING_AIR"))
                .findFirst()
                .orElseThrow();
        assertThat(air.get("by").doubleValue()).isCloseTo(-40, within(8.0));
        assertThat(air.get("beyond").booleanValue()).isTrue();
        assertThat(last.at("/fit/heldAfter_K").doubleValue())
                .isLessThan(last.at("/fit/heldBefore_K").doubleValue() / 5);
        assertThat(server.post("/api/jobs/fit", request.put("log", 9999).toString())
                        .status())
                .isEqualTo(404);
    }

    @Test
    void methodsCompareOptionsAndWhatIsNotThereYet() throws Exception {
        RunningServer.Reply begun = server.post("/api/jobs/methods", request("C"));
        List<JsonNode> events = watch(begun.json().get("id").asString());
        JsonNode lines = events.get(events.size() - 1).get("methods");
        List<String> letters = new ArrayList<>();
        List<String> methods = new ArrayList<>();
        for (JsonNode line : lines) {
            letters.add(line.path("letter").asString(""));
            methods.add(line.path("method").asString(""));
            assertThat(line.get("time_s").size())
                    .isEqualTo(line.get("intake_C").size())
                    .isBetween(100, 330);
        }
        assertThat(letters).contains("A", "B", "C");
        assertThat(methods)
                .contains("NONE", "AIR", "WATER_RADIATOR", "ICE", "CHILLER", "INJECTION", "INJECTION_ON_TOP");
        for (JsonNode line : lines) {
            if (line.path("method").asString("").equals("ICE")) {
                assertThat(line.get("iceToFetch_kg").doubleValue()).isPositive();
                ObjectNode grown = van.deepCopy().asObject();
                ObjectNode taken = line.get("option").deepCopy().asObject();
                taken.put("letter", "D");
                grown.withArray("options").add(taken);
                ObjectNode preview = JsonMapper.shared().createObjectNode();
                preview.set("document", grown);
                preview.putArray("options").add("D");
                JsonNode answer =
                        server.post("/api/preview", preview.toString()).json().at("/answers/0");
                assertThat(answer.at("/soak/verdict/worst_C").doubleValue())
                        .as("taken as it was proposed")
                        .isCloseTo(line.get("worst_C").doubleValue(), org.assertj.core.api.Assertions.within(0.01));
            }
        }
    }

    @Test
    void cancelledJobEnds() throws Exception {
        // Ten hours, run two hundred times: nothing that ends before it can be cancelled.
        ObjectNode lasting = (ObjectNode) JsonMapper.shared().readTree(request("A"));
        ObjectNode duty = (ObjectNode) lasting.at("/document/duty");
        duty.remove("pieces");
        duty.put("repeats", 1).put("wait_s", 0);
        duty.putArray("rows")
                .add(JsonMapper.shared()
                        .readTree("{\"time_s\":0,\"engineSpeed_rpm\":2500,\"boost_kPa\":100,\"roadSpeed_km_h\":60}"))
                .add(JsonMapper.shared()
                        .readTree(
                                "{\"time_s\":36000,\"engineSpeed_rpm\":2800,\"boost_kPa\":100,\"roadSpeed_km_h\":80}"));
        String id = server.post("/api/jobs/spread", lasting.toString())
                .json()
                .get("id")
                .asString();
        assertThat(server.delete("/api/jobs/" + id).status()).isEqualTo(204);
        List<JsonNode> events = watch(id);
        assertThat(events.get(events.size() - 1).get("state").asString()).isEqualTo("CANCELLED");
        assertThat(server.get("/api/jobs/" + id).json().get("done").intValue()).isLessThan(200);
    }

    @Test
    void badDocumentsAndUnknownJobsAreRefused() {
        assertThat(server.get("/api/jobs/none").status()).isEqualTo(404);
        RunningServer.Reply refused = server.post("/api/jobs/spread", request("Z"));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.json().get("detail").asString()).contains("one of A, B, C");
    }
}
