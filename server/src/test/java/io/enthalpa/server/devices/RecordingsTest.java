package io.enthalpa.server.devices;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.server.RunningServer;
import io.enthalpa.server.RunningServer.Reply;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Devices by a real socket and simulated ones, what becomes of a recording, and of one that was cut off. */
class RecordingsTest {
    private static final long PATIENCE_MS = 30_000;

    @TempDir
    Path data;

    private static ObjectNode request(JsonNode build, String name) {
        ObjectNode request = JsonMapper.shared().createObjectNode();
        request.put("build", build.get("id").longValue());
        request.put("name", name);
        request.put("option", "A");
        request.set("document", build.get("document"));
        request.putArray("devices");
        return request;
    }

    private static JsonNode until(RunningServer server, String id, Predicate<JsonNode> there)
            throws InterruptedException {
        long end = System.currentTimeMillis() + PATIENCE_MS;
        JsonNode now = server.get("/api/recordings/" + id + "/rows").json();
        while (!there.test(now) && System.currentTimeMillis() < end) {
            Thread.sleep(50);
            now = server.get("/api/recordings/" + id + "/rows").json();
        }
        assertThat(there.test(now)).as(now.toString()).isTrue();
        return now;
    }

    @Test
    void aDeviceOnTheNetworkIsRecordedAndBecomesALog() throws Exception {
        CountDownLatch read = new CountDownLatch(1);
        try (RunningServer server = new RunningServer(data, false);
                ServerSocket device = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            Thread talks = new Thread(() -> talk(device, read));
            talks.start();
            JsonNode build = server.freshBuild();
            ObjectNode request = request(build, "first drive");
            ((tools.jackson.databind.node.ArrayNode) request.get("devices"))
                    .addObject()
                    .put("kind", "SOCKET")
                    .put("host", "127.0.0.1")
                    .put("port", device.getLocalPort());
            Reply begun = server.post("/api/recordings", request.toString());
            assertThat(begun.status()).as(begun.raw().body()).isEqualTo(201);
            String id = begun.json().get("id").asString();
            JsonNode heard = until(server, id, h -> h.get("next").longValue() == 3);
            assertThat(heard.at("/recording/devices/0/name").asString()).isEqualTo("bench logger");
            assertThat(heard.at("/recording/simulated").booleanValue()).isFalse();
            assertThat(heard.at("/recording/devices/0/spoilt").longValue()).isEqualTo(1);
            assertThat(server.get("/api/recordings?build=" + build.get("id")).json())
                    .hasSize(1);
            JsonNode recorded =
                    server.post("/api/recordings/" + id + "/stop", "").json();
            read.countDown();
            talks.join();
            JsonNode log =
                    server.get("/api/logs?build=" + build.get("id")).json().get(0);
            assertThat(log.get("id")).isEqualTo(recorded.get("log"));
            assertThat(log.get("name").asString()).isEqualTo("first drive");
            assertThat(log.get("rows").longValue()).isEqualTo(3);
            assertThat(log.get("length_s").doubleValue()).isCloseTo(0.3, within(1e-9));
            String csv =
                    server.get("/api/logs/" + log.get("id") + "/rows.csv").raw().body();
            assertThat(csv.lines().toList())
                    .containsExactly("# first drive", "time [s],intake [°C]", "0.000,27.40", "0.100,27.50", "0.300,");
            assertThat(data.resolve("recordings")).isEmptyDirectory();
            assertThat(server.post("/api/recordings/" + id + "/stop", "").status())
                    .isEqualTo(404);
        }
    }

    private static void talk(ServerSocket device, CountDownLatch read) {
        try (Socket socket = device.accept();
                OutputStream out = socket.getOutputStream()) {
            out.write(
                    "# device: bench logger\r\ntime [s],intake [°C]\r\n5.0,27.4\r\n5.1,27.5\r\n5.\r\n5.3,\r\n5.3,99\r\n"
                            .replace("5.3,\r\n", "5.3,9999\r\n")
                            .getBytes(StandardCharsets.UTF_8));
            out.flush();
            read.await();
        } catch (IOException | InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void simulatedOnesCallThemselvesSo() throws Exception {
        try (RunningServer server = new RunningServer(data, false)) {
            JsonNode build = server.freshBuild();
            ObjectNode request = request(build, "practice").put("faster", 60);
            for (String kind : List.of("SIMULATED_LOGGER", "SIMULATED_WEATHER")) {
                ((tools.jackson.databind.node.ArrayNode) request.get("devices"))
                        .addObject()
                        .put("kind", kind);
            }
            String id = server.post("/api/recordings", request.toString())
                    .json()
                    .get("id")
                    .asString();
            JsonNode heard = until(server, id, h -> h.get("next").longValue() > 100);
            heard.get("channels")
                    .forEach(c -> assertThat(c.get("simulated").booleanValue()).isTrue());
            assertThat(heard.get("channels").findValuesAsString("words")).contains("intake", "outside air", "boost");
            assertThat(heard.get("values").get(0)).hasSize(heard.get("time_s").size());
            server.post("/api/recordings/" + id + "/stop", "");
            assertThat(server.get("/api/logs?build=" + build.get("id"))
                            .json()
                            .get(0)
                            .get("name")
                            .asString())
                    .isEqualTo("practice (simulated)");
        }
    }

    /** What the simulated gauge of a leak test says becomes its readings; nothing of it is a log. */
    @Test
    void theGaugeOfALeakTestIsRead() throws Exception {
        try (RunningServer server = new RunningServer(data, false)) {
            JsonNode build = server.freshBuild();
            ObjectNode request = request(build, "leak test").put("faster", 60).put("leakTest", "l1");
            ((ObjectNode) request.get("document"))
                    .putArray("leakTests")
                    .addObject()
                    .put("id", "l1")
                    .put("side", "charge")
                    .put("option", "A")
                    .put("by", "")
                    .put("on", "")
                    .put("gaugeError_kPa", 0.1)
                    .put("soaped", "")
                    .putArray("readings");
            ((tools.jackson.databind.node.ArrayNode) request.get("devices"))
                    .addObject()
                    .put("kind", "SIMULATED_LEAK_GAUGE");
            JsonNode begun = server.post("/api/recordings", request.toString()).json();
            assertThat(begun.get("leakTest").asString()).isEqualTo("l1");
            String at = "/api/recordings/" + begun.get("id").asString();
            JsonNode heard =
                    until(server, begun.get("id").asString(), h -> h.get("next").longValue() > 60);
            assertThat(heard.get("recording").get("simulated").booleanValue()).isTrue();
            JsonNode readings = server.get(at + "/leak-readings").json().get("readings");
            assertThat(readings.size()).isBetween(50, 200);
            assertThat(readings.get(0).get("time_s").doubleValue()).isZero();
            // The same numbers as on the screen, of the moment the pump was shut off.
            double shown = heard.get("values").get(0).get(0).doubleValue();
            assertThat(readings.get(0).get("gauge_kPa").doubleValue()).isCloseTo(shown, within(0.02 * shown));
            assertThat(readings.get(0).get("air_C").doubleValue())
                    .isGreaterThan(
                            readings.get(readings.size() - 1).get("air_C").doubleValue());

            request.put("leakTest", "l2");
            assertThat(server.post("/api/recordings", request.toString()).json().toString())
                    .contains("leak test is l2", "the id of one that is in the document");
            assertThat(server.delete(at).status()).isEqualTo(204);
            assertThat(server.get(at + "/rows").status()).isEqualTo(404);
            assertThat(server.get("/api/logs?build=" + build.get("id")).json()).isEmpty();
            assertThat(data.resolve("recordings")).isEmptyDirectory();
        }
    }

    /** As a killed program leaves it: its last line cut in two. */
    @Test
    void whatWasCutOffIsALogAtTheNextStart() throws Exception {
        long build;
        try (RunningServer server = new RunningServer(data, false)) {
            build = server.freshBuild().get("id").longValue();
        }
        Path left = Files.createDirectories(data.resolve("recordings"));
        Files.writeString(
                left.resolve(build + "_" + UUID.randomUUID() + ".csv"),
                "# hill\n# simulated\ntime [s],intake [°C]\n0.000,27.00\n0.500,28.00\n1.000,2");
        Files.writeString(left.resolve(build + "_" + UUID.randomUUID() + ".csv"), "# nothing came\n");
        try (RunningServer server = new RunningServer(data, false)) {
            JsonNode logs = server.get("/api/logs?build=" + build).json();
            assertThat(logs).hasSize(1);
            assertThat(logs.get(0).get("name").asString()).isEqualTo("hill, cut off (simulated)");
            assertThat(logs.get(0).get("rows").longValue()).isEqualTo(2);
            assertThat(left).isEmptyDirectory();
        }
    }

    @Test
    void whatCannotBeIsRefused() {
        try (RunningServer server = new RunningServer(data, false)) {
            JsonNode build = server.freshBuild();
            assertRefused(server, build, "[]", "1 to 8");
            assertRefused(
                    server, build, "[{\"kind\":\"SOCKET\",\"host\":\"8.8.8.8\",\"port\":80}]", "your own network");
            assertRefused(server, build, "[{\"kind\":\"SOCKET\",\"host\":\"127.0.0.1\",\"port\":99999}]", "65535");
            assertRefused(server, build, "[{\"kind\":\"SERIAL\",\"path\":\"/etc/passwd\"}]", "/dev/ttyUSB0");
            assertRefused(server, build, "[{\"kind\":\"SERIAL\",\"path\":\"/dev/../etc/passwd\"}]", "/dev/ttyUSB0");
            assertRefused(server, build, "[{}]", "a kind of device");
            assertThat(server.get("/api/recordings?build=" + build.get("id")).json())
                    .isEmpty();
        }
    }

    private static void assertRefused(RunningServer server, JsonNode build, String devices, String says) {
        ObjectNode request = request(build, "x");
        request.set("devices", JsonMapper.shared().readTree(devices));
        Reply reply = server.post("/api/recordings", request.toString());
        assertThat(reply.status()).as(devices).isEqualTo(422);
        assertThat(reply.raw().body()).contains(says);
    }
}
