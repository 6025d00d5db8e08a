package io.enthalpa.server.duties;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.server.RunningServer;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The duty library, laps, rows of pieces, and logs sent as they are. */
class DutiesTest {
    private static final String CAR = "outside_kPa=95&boost_kPa=80&limiter_rpm=7000";

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

    private static ObjectNode asked() {
        ObjectNode request = JsonMapper.shared().createObjectNode();
        request.set("document", van);
        return request;
    }

    private static JsonNode rows(JsonNode duty) {
        ObjectNode document = van.deepCopy().asObject();
        document.set("duty", duty);
        ObjectNode request = JsonMapper.shared().createObjectNode();
        request.set("document", document);
        return server.post("/api/duties/rows", request.toString()).json();
    }

    @Test
    void everyDutyOfTheLibraryRunsInTheBuild() {
        JsonNode entries =
                server.post("/api/duties/library", asked().toString()).json().get("entries");
        assertThat(entries.size()).isEqualTo(10);
        for (JsonNode entry : entries) {
            JsonNode rows = rows(entry.get("duty"));
            assertThat(rows.get("time_s").size())
                    .isEqualTo(rows.get("boost_kPa").size())
                    .isGreaterThan(1);
            assertThat(rows.get("pieceEnds_s").size())
                    .isEqualTo(entry.at("/duty/pieces").size());
            assertThat(rows.at("/pieceEnds_s/" + (rows.get("pieceEnds_s").size() - 1))
                            .doubleValue())
                    .isCloseTo(rows.get("length_s").doubleValue(), within(1e-6));
        }
    }

    @Test
    void lapsComeToTheirTime() {
        ObjectNode request = asked().put("lap_s", 80)
                .put("corners", 5)
                .put("fast_km_h", 120)
                .put("slow_km_h", 60)
                .put("laps", 6);
        JsonNode laps = server.post("/api/duties/laps", request.toString()).json();
        assertThat(rows(laps.get("duty")).get("length_s").doubleValue())
                .isCloseTo(20 + 6 * 80 + 1.3 * 80, within(1e-6));
        assertThat(server.post("/api/duties/laps", request.put("corners", 0).toString())
                        .json()
                        .get("detail")
                        .asString())
                .contains("corners is 0", "1 and 40");
    }

    @Test
    void logIsReadAsItComes() {
        StringBuilder log = new StringBuilder("Time (s),RPM,Boost (kPa),Speed (km/h)\n");
        for (int i = 0; i < 5000; i++) {
            log.append("%.2f,%d,%.1f,%d\n".formatted(i * 0.1, 2000 + i % 900, 40 + 40 * Math.sin(i / 80.0), 60));
        }
        RunningServer.Reply reply = server.post("/api/duties/log?" + CAR, log.toString(), "Content-Type", "text/csv");
        assertThat(reply.status()).as(reply.raw().body()).isEqualTo(200);
        assertThat(reply.json().get("read").longValue()).isEqualTo(5000);
        assertThat(reply.json().get("rows").size())
                .isEqualTo(reply.json().get("kept").intValue())
                .isLessThan(3002);
        assertThat(reply.json().get("highestBoost_kPa").doubleValue()).isCloseTo(80, within(1.5));
    }

    @Test
    void columnsAreOfferedAndMayBeChosen() {
        String start = JsonMapper.shared().writeValueAsString(java.util.Map.of("start", "x;Boost [psi];rpm\n0;1;2\n"));
        JsonNode head = server.post("/api/duties/log-columns", start).json();
        assertThat(head.get("headings").size()).isEqualTo(3);
        JsonNode boost = head.at("/roles/3");
        assertThat(boost.get("role").asString()).isEqualTo("BOOST");
        assertThat(boost.get("column").intValue()).isEqualTo(1);
        assertThat(boost.get("unit").asString()).isEqualTo("psi");
        RunningServer.Reply read = server.post(
                "/api/duties/log?" + CAR + "&columns=TIME:0:min,BOOST:1:bar,ENGINE_SPEED:2:rpm",
                "x;Boost [psi];rpm\n0;0.1;2000\n1;0.8;5000\n",
                "Content-Type",
                "text/csv");
        assertThat(read.json().get("length_s").doubleValue()).isEqualTo(60);
        assertThat(server.post("/api/duties/log?" + CAR + "&columns=TIME:x:s", "a\n1\n", "Content-Type", "text/csv")
                        .json()
                        .get("detail")
                        .asString())
                .contains("TIME:x:s");
    }

    @Test
    void badLogsAreNamedByLineAndColumn() {
        RunningServer.Reply backwards = server.post(
                "/api/duties/log?" + CAR, "t,rpm,boost\n0,3000,0\n2,3000,0\n1,3000,0\n", "Content-Type", "text/csv");
        assertThat(backwards.status()).isEqualTo(422);
        assertThat(backwards.json().get("detail").asString()).contains("line 4, t is 1.00 s", "Time runs backwards");
        RunningServer.Reply noGears =
                server.post("/api/duties/log?" + CAR, "t,speed,boost\n0,30,0\n2,30,0\n", "Content-Type", "text/csv");
        assertThat(noGears.json().get("detail").asString())
                .contains("no column for engine speed", "gearing in the Brief");
        RunningServer.Reply geared = server.post(
                "/api/duties/log?" + CAR
                        + "&ratios=3.4,2,1.3,1&tyre_mm=1950&finalDrive=3.9&changeUp_rpm=6000&idle_rpm=850",
                "t,speed,boost\n0,30,0\n2,90,0\n",
                "Content-Type",
                "text/csv");
        assertThat(geared.json().get("kept").intValue()).isEqualTo(2);
    }
}
