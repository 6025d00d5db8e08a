package io.enthalpa.server.logs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.server.RunningServer;
import java.net.URLEncoder;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Locale;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Logs taken in, kept, told in pixels, and laid beside an option. */
class LogsTest {
    @TempDir
    static Path data;

    private static RunningServer server;
    private static long build;
    private static JsonNode document;

    @BeforeAll
    static void start() {
        server = new RunningServer(data, false);
        JsonNode made = server.freshBuild();
        build = made.get("id").longValue();
        document = made.get("document");
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    private static String take(UUID uid, String name, String columns) {
        return "/api/logs?build=%d&uid=%s&name=%s&columns=%s"
                .formatted(
                        build,
                        uid,
                        URLEncoder.encode(name, StandardCharsets.UTF_8),
                        URLEncoder.encode(columns, StandardCharsets.UTF_8));
    }

    private static RunningServer.Reply send(RunningServer to, String path, String csv) {
        return to.post(path, HttpRequest.BodyPublishers.ofString(csv), "text/csv");
    }

    private static JsonNode kept(String name, String csv) {
        RunningServer.Reply reply = send(server, take(UUID.randomUUID(), name, ""), csv);
        assertThat(reply.status()).as(reply.raw().body()).isEqualTo(201);
        return reply.json();
    }

    /** 20 s without load and 40 s with it, twice; the intake stands still but for one spike. */
    private static String drive(int hz) {
        StringBuilder text = new StringBuilder("t [s],rpm,boost [kPa],speed [km/h],outside [°C],IAT [°C],lambda\n");
        for (int i = 0; i < 120 * hz; i++) {
            double t = (double) i / hz;
            boolean loaded = t % 60 > 20;
            text.append(String.format(
                    Locale.ROOT,
                    "%.3f,%d,%d,%d,21,%s,0.9%n",
                    t,
                    loaded ? 5000 : 2000,
                    loaded ? 60 : -40,
                    loaded ? 120 : 60,
                    i == 77 * hz ? "93.5" : loaded ? "44" : "40"));
        }
        return text.toString();
    }

    private static JsonNode beside(RunningServer of, long log) {
        ObjectNode request = JsonMapper.shared().createObjectNode().put("option", "A");
        request.set("document", document);
        return of.post("/api/logs/" + log + "/beside", request.toString()).json();
    }

    private static JsonNode curves(long log, double from, double to, int columns, String... channels) {
        ObjectNode request = JsonMapper.shared()
                .createObjectNode()
                .put("option", "A")
                .put("from_s", from)
                .put("to_s", to)
                .put("columns", columns);
        request.set("document", document);
        for (String channel : channels) {
            request.withArray("channels").add(channel);
        }
        return server.post("/api/logs/" + log + "/curves", request.toString()).json();
    }

    private static JsonNode of(JsonNode list, String channel) {
        return list.valueStream()
                .filter(c -> c.get("channel").asString().equals(channel))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aLogIsTakenInAndTellsWhatWasRead() {
        JsonNode log = kept("first drive", drive(10));
        assertThat(log.get("name").asString()).isEqualTo("first drive");
        assertThat(log.get("rows").intValue()).isEqualTo(1200);
        assertThat(log.get("length_s").doubleValue()).isCloseTo(119.9, within(1e-6));
        assertThat(log.at("/told/channels")
                        .valueStream()
                        .map(c -> c.get("channel").asString()))
                .containsExactly("TIME", "ROAD_SPEED", "ENGINE_SPEED", "BOOST", "OUTSIDE", "INTAKE", "LAMBDA");
        assertThat(of(log.at("/told/channels"), "INTAKE").get("heading").asString())
                .isEqualTo("IAT [°C]");
    }

    @Test
    void oneSentTwiceIsKeptOnce() {
        UUID uid = UUID.randomUUID();
        long first =
                send(server, take(uid, "twice", ""), drive(2)).json().get("id").longValue();
        assertThat(send(server, take(uid, "twice", ""), drive(2))
                        .json()
                        .get("id")
                        .longValue())
                .isEqualTo(first);
        assertThat(server.get("/api/logs?build=" + build)
                        .json()
                        .valueStream()
                        .filter(l -> l.get("uid").asString().equals(uid.toString())))
                .hasSize(1);
    }

    @Test
    void theDriveIsJudgedAndPredicted() {
        JsonNode beside = beside(server, kept("judged", drive(10)).get("id").longValue());
        assertThat(beside.get("judged").asString()).isEqualTo("INTAKE");
        assertThat(beside.get("outside_C").doubleValue()).isCloseTo(21, within(1e-3));
        assertThat(beside.get("segments").valueStream().map(s -> s.get("kind").asString()))
                .containsExactly("CRUISE", "PULL", "CRUISE", "PULL");
        assertThat(beside.at("/segments/1/from_s").doubleValue()).isCloseTo(20, within(0.2));
        JsonNode intake = of(beside.get("matches"), "INTAKE");
        assertThat(intake.get("measured").doubleValue())
                .as("the spike comes without load")
                .isCloseTo(44, within(0.001));
        assertThat(intake.get("load").doubleValue())
                .isCloseTo(
                        intake.get("predicted").doubleValue()
                                - intake.get("measured").doubleValue(),
                        within(0.002));
        assertThat(beside.get("findings").valueStream().map(f -> f.get("kind").asString()))
                .contains("LOG_WANTS_BEFORE_CORE");
    }

    @Test
    void noPeakIsLostHoweverFewColumnsThereAre() {
        long log = kept("spike", drive(100)).get("id").longValue();
        JsonNode far = of(curves(log, 0, 119.99, 30, "INTAKE").get("measured"), "INTAKE");
        assertThat(far.get("high").get(19).doubleValue()).as("76 to 80 s").isCloseTo(93.5, within(1e-3));
        assertThat(far.get("low").get(19).doubleValue()).isCloseTo(40, within(1e-3));
        assertThat(far.get("high").get(18).doubleValue()).isCloseTo(40, within(1e-3));
        JsonNode near = of(curves(log, 76.95, 77.05, 40, "INTAKE").get("measured"), "INTAKE");
        assertThat(near.get("high")
                        .valueStream()
                        .mapToDouble(JsonNode::doubleValue)
                        .max())
                .hasValue(93.5);
        assertThat(near.get("high").get(21).doubleValue())
                .as("four columns to a row: the next is a quarter down to the row at 40")
                .isBetween(40.1, 93.4);
        assertThat(near.get("high").get(30).doubleValue()).isCloseTo(40, within(1e-3));
    }

    @Test
    void predictedIsToldForTheSameColumns() {
        long log = kept("columns", drive(10)).get("id").longValue();
        JsonNode curves = curves(log, 0, 119.9, 40, "INTAKE", "BOOST");
        assertThat(curves.get("measured")
                        .valueStream()
                        .map(c -> c.get("channel").asString()))
                .containsExactly("BOOST", "INTAKE");
        JsonNode predicted = of(curves.get("predicted"), "INTAKE");
        assertThat(predicted.get("values").size()).isEqualTo(40);
        assertThat(predicted.get("off").get(10).doubleValue())
                .isCloseTo(predicted.get("values").get(10).doubleValue() - 44, within(0.01));
    }

    /** The same drive, all of its intake 6 K lower. */
    @Test
    void twoLogsTellWhatAChangeIsWorth() {
        long before = kept("before", drive(10)).get("id").longValue();
        long after = kept("after", drive(10).replace(",44,0.9", ",38,0.9").replace(",40,0.9", ",34,0.9"))
                .get("id")
                .longValue();
        ObjectNode request = JsonMapper.shared().createObjectNode().put("option", "A");
        request.set("document", document);
        JsonNode change = server.post(
                        "/api/logs/" + after + "/change",
                        request.put("before", before).toString())
                .json();
        assertThat(change.get("looked_K").doubleValue()).isCloseTo(6, within(1e-3));
        assertThat(change.get("gain_K").doubleValue())
                .as("but for what it starts cooler")
                .isCloseTo(6, within(0.5));
        assertThat(change.get("findings").valueStream().map(f -> f.get("kind").asString()))
                .containsExactly("CHANGE_GAINS", "CHANGE_LOOKED");
        assertThat(server.post(
                                "/api/logs/" + after + "/change",
                                request.put("before", 9999).toString())
                        .status())
                .isEqualTo(404);
    }

    @Test
    void columnsAreRememberedForFilesOfTheseHeadings() {
        String csv = "a;b;c\n0;50;1000\n1;51;1100\n2;52;1200\n";
        JsonNode start = server.post(
                        "/api/logs/start", HttpRequest.BodyPublishers.ofString(csv), "application/octet-stream")
                .json();
        assertThat(start.get("remembered").booleanValue()).isFalse();
        assertThat(start.get("headings").size()).isEqualTo(3);
        assertThat(send(server, take(UUID.randomUUID(), "by hand", "TIME:0:s,INTAKE:1:°C,ENGINE_SPEED:2:rpm"), csv)
                        .status())
                .isEqualTo(201);
        JsonNode again = server.post(
                        "/api/logs/start",
                        HttpRequest.BodyPublishers.ofString("a;b;c\n5;60;900\n6;61;901\n"),
                        "application/octet-stream")
                .json();
        assertThat(again.get("remembered").booleanValue()).isTrue();
        assertThat(of(again.get("choices"), "INTAKE").get("column").intValue()).isEqualTo(1);
        assertThat(send(server, take(UUID.randomUUID(), "as before", ""), csv)
                        .json()
                        .at("/told/channels"))
                .as("read so without being told")
                .hasSize(3);
    }

    @Test
    void whatCannotBeIsRefusedAndNothingStays() {
        int before = server.get("/api/logs?build=" + build).json().size();
        RunningServer.Reply reply = send(server, take(UUID.randomUUID(), "bad", ""), drive(2) + "3,1,1,1,21,40,1\n");
        assertThat(reply.status()).isEqualTo(422);
        assertThat(reply.json().get("detail").asString()).contains("line 242, t [s]", "Time runs backwards");
        assertThat(send(server, take(UUID.randomUUID(), " ", ""), drive(2)).status())
                .isEqualTo(422);
        assertThat(send(server, take(UUID.randomUUID(), "no", ""), "a,b\n1,2\n")
                        .json()
                        .get("detail")
                        .asString())
                .contains("no column for time");
        assertThat(server.get("/api/logs?build=" + build).json()).hasSize(before);
        assertThat(server.get("/api/logs?build=" + build).json()).hasSize(before);
        assertThat(send(server, take(UUID.randomUUID(), "no", "").replace("build=" + build, "build=99"), drive(2))
                        .status())
                .isEqualTo(404);
        assertThat(server.post("/api/logs/9999/beside", "{}").status()).isEqualTo(404);
    }

    @Test
    void aLogIsCalledOtherwiseAndDeletedForGood() {
        long log = kept("once", drive(2)).get("id").longValue();
        assertThat(server.put("/api/logs/" + log + "/name", "{\"name\": \" twice \"}")
                        .json()
                        .get("name")
                        .asString())
                .isEqualTo("twice");
        assertThat(server.put("/api/logs/" + log + "/name", "{\"name\": \"\"}").status())
                .isEqualTo(422);
        assertThat(server.delete("/api/logs/" + log).status()).isEqualTo(204);
        assertThat(server.put("/api/logs/" + log + "/name", "{\"name\": \"gone\"}")
                        .status())
                .isEqualTo(404);
    }

    @Test
    void logsSurviveARestartAndGoWithTheirBuild(@TempDir Path own) {
        long log;
        long with;
        String path;
        try (RunningServer first = new RunningServer(own, false)) {
            with = first.freshBuild().get("id").longValue();
            path = take(UUID.randomUUID(), "kept", "").replace("build=" + build, "build=" + with);
            log = send(first, path, drive(10)).json().get("id").longValue();
        }
        try (RunningServer second = new RunningServer(own, false)) {
            assertThat(second.get("/api/logs?build=" + with).json()).hasSize(1);
            assertThat(beside(second, log).get("segments")).hasSize(4);
            assertThat(second.delete("/api/builds/" + with).status()).isEqualTo(204);
            assertThat(second.get("/api/logs?build=" + with).json()).isEmpty();
            assertThat(second.delete("/api/logs/" + log).status()).isEqualTo(204);
        }
    }

    /** A border that the reader moved stays where it was put, over a restart of the question; laps follow from one moment. */
    @Test
    void whatTheReaderPutsRightIsKeptWithTheLog() {
        long log = kept("marked", drive(10)).get("id").longValue();
        double border = beside(server, log).at("/segments/1/from_s").doubleValue();
        RunningServer.Reply put = server.put(
                "/api/logs/" + log + "/marks",
                "{\"moved\":[{\"was_s\":%s,\"is_s\":%s}],\"startLine_s\":30}".formatted(border, border - 3));
        assertThat(put.json().at("/marks/startLine_s").doubleValue()).isEqualTo(30);
        JsonNode segments = beside(server, log).get("segments");
        assertThat(segments.at("/1/from_s").doubleValue()).isCloseTo(border - 3, within(0.11));
        assertThat(segments.at("/0/to_s").doubleValue()).isCloseTo(border - 3, within(0.11));
        // The drive repeats itself after a minute.
        assertThat(segments.findValuesAsString("kind")).contains("LAP");
        JsonNode last = segments.get(segments.size() - 1);
        assertThat(last.get("to_s").doubleValue() - last.get("from_s").doubleValue())
                .isCloseTo(60, within(0.6));
        server.put("/api/logs/" + log + "/marks", "{}");
        assertThat(beside(server, log).at("/segments/1/from_s").doubleValue()).isCloseTo(border, within(1e-9));
        assertThat(server.put("/api/logs/999/marks", "{}").status()).isEqualTo(404);
    }
}
