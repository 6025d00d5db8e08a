package io.enthalpa.server.room;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.server.RunningServer;
import io.enthalpa.server.RunningServer.Reply;
import java.net.http.HttpRequest;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Files of triangles over the API: taken in, kept with their build, refused without anything lost, placed by three points. */
class MeshesTest {
    private static final String TYPE = "application/octet-stream";

    @TempDir
    static Path data;

    private static RunningServer server;

    @BeforeAll
    static void start() {
        server = new RunningServer(data, true);
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    /** A scan of a wall 0.6 by 0.6 m, each of its n by n points up to 2 mm off. */
    private static byte[] scan(int n) {
        Random random = new Random(11);
        float[] off = new float[n * n];
        for (int i = 0; i < off.length; i++) {
            off[i] = 700 + 2 * random.nextFloat();
        }
        ByteBuffer file = ByteBuffer.allocate(84 + 50 * 2 * (n - 1) * (n - 1)).order(ByteOrder.LITTLE_ENDIAN);
        file.putInt(80, 2 * (n - 1) * (n - 1)).position(84);
        for (int y = 0; y < n - 1; y++) {
            for (int x = 0; x < n - 1; x++) {
                int a = y * n + x;
                for (int[] t : new int[][] {{a, a + 1, a + n}, {a + 1, a + n + 1, a + n}}) {
                    file.position(file.position() + 12);
                    for (int p : t) {
                        int row = p / n;
                        file.putFloat(off[p]).putFloat(600f * (p % n) / n - 300).putFloat(600f * row / n - 300);
                    }
                    file.putShort((short) 0);
                }
            }
        }
        return file.array();
    }

    private static Reply take(byte[] file, String query) {
        return server.post("/api/room/mesh" + query, HttpRequest.BodyPublishers.ofByteArray(file), TYPE);
    }

    @Test
    void theLargestScanGoesWithItsBuildAndIsAnsweredFrom() {
        JsonNode taken = take(scan(316), "?unit=mm&name=wall").json();
        assertThat(taken.get("triangles").intValue()).isEqualTo(198_450);
        ObjectNode document = server.document("Pass Van").deepCopy().asObject();
        ((ObjectNode) document.get("room")).withArray("obstacles").add(taken.get("obstacle"));
        Reply made = server.post("/api/builds?uid=00000000-0000-4000-8000-000000000001", document.toString());
        assertThat(made.status()).isEqualTo(201);
        JsonNode kept = server.get("/api/builds/" + made.json().get("id").intValue() + "/file")
                .json();
        int last = kept.at("/room/obstacles").size() - 1;
        assertThat(kept.at("/room/obstacles/" + last + "/triangles")).isEqualTo(taken.at("/obstacle/triangles"));
        ObjectNode request = ((ObjectNode) kept).objectNode().put("part", "LINE");
        request.set("document", kept);
        JsonNode fit = server.post("/api/preview", request.toString()).json().at("/answers/0/fit");
        assertThat(fit.at("/obstacles/" + last + "/says").stringValue())
                .isEqualTo("198 450 triangles, 1260 edges open: gaps to it are true, but nothing counts as inside it.");
        // The plenum of the van stands 640 behind the datum; the wall from 700 on comes near.
        assertThat(fit.get("gaps")
                        .valueStream()
                        .filter(g -> g.get("to").stringValue().equals("wall")))
                .isNotEmpty();
    }

    @Test
    void whatIsTooLargeIsReadToItsEndAndRefusedInWords() {
        ByteBuffer head = ByteBuffer.allocate(84).order(ByteOrder.LITTLE_ENDIAN).putInt(80, 5_000_000);
        List<byte[]> pieces = new ArrayList<>(List.of(head.array()));
        pieces.addAll(Collections.nCopies(250, new byte[1_000_000]));
        Reply refused = server.post(
                "/api/room/mesh?unit=mm",
                HttpRequest.BodyPublishers.fromPublisher(HttpRequest.BodyPublishers.ofByteArrays(pieces), 250_000_084),
                TYPE);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.json().get("detail").stringValue())
                .startsWith("triangles of the file is 5 000 000; it must lie between 1 and 200 000.");
        assertThat(take(scan(3), "?name=wall").json().get("detail").stringValue())
                .startsWith("unit of the file: none; expected one of mm, cm, m, in, ft.");
    }

    /** Turned a quarter to the right about the datum, and 100 up. */
    @Test
    void threePointsPlaceItAndTellByHowMuchTheyMiss() {
        String body = """
                {"now": {"back_mm": 50, "right_mm": 0, "up_mm": 0, "turned_deg": 0, "tipped_deg": 0, "leaned_deg": 0},
                 "on": [{"back_mm": 0, "right_mm": 0, "up_mm": 0}, {"back_mm": 300, "right_mm": 0, "up_mm": 0}, {"back_mm": 0, "right_mm": 200, "up_mm": 0}],
                 "at": [{"back_mm": 0, "right_mm": 0, "up_mm": 100}, {"back_mm": 0, "right_mm": -304, "up_mm": 100}, {"back_mm": 200, "right_mm": 0, "up_mm": %s}]}""";
        JsonNode placed =
                server.post("/api/room/mesh/placed", body.formatted("100")).json();
        assertThat(placed.at("/stands/right_mm").doubleValue()).isCloseTo(-50, within(1e-3));
        assertThat(placed.at("/stands/up_mm").doubleValue()).isCloseTo(100, within(1e-3));
        assertThat(placed.at("/stands/turned_deg").doubleValue()).isCloseTo(90, within(1e-3));
        assertThat(placed.at("/off_mm/1").doubleValue()).isCloseTo(4, within(0.01));
        Reply missing = server.post("/api/room/mesh/placed", body.formatted("null"));
        assertThat(missing.status()).isEqualTo(422);
        assertThat(missing.json().get("detail").stringValue()).contains("point 3, up: not typed");
    }

    @Test
    void aTapeListIsAFileToPrint() {
        byte[] list = server.bytes("/api/room/presets/front/tape-list?unit=in").body();
        assertThat(new String(list, 0, 5, java.nio.charset.StandardCharsets.US_ASCII))
                .isEqualTo("%PDF-");
        assertThat(server.get("/api/room/presets/front/tape-list?unit=ell").status())
                .isEqualTo(422);
        assertThat(server.get("/api/room/presets/moon/tape-list").status()).isEqualTo(404);
    }
}
