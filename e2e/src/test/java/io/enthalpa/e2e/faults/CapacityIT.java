package io.enthalpa.e2e.faults;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.e2e.RunningProgram;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Many at a time, slow ones among them; and the end. */
class CapacityIT {
    @TempDir
    Path folder;

    @Test
    void manyPagesAreAnsweredBesideSlowAndIdleOnes() throws Exception {
        Path data = folder.resolve("store");
        int pages = Integer.getInteger("faults.pages", 12);
        try (RunningProgram program = RunningProgram.demo(data, 0)) {
            List<Socket> others = new ArrayList<>();
            for (int i = 0; i < 150; i++) {
                Socket socket = new Socket("127.0.0.1", program.port());
                others.add(socket);
                if (i % 2 == 0) {
                    // Says that it has much to say, and then hardly says anything.
                    socket.getOutputStream()
                            .write(
                                    "POST /api/preview HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\nContent-Length: 100000\r\n\r\n{"
                                            .getBytes(StandardCharsets.US_ASCII));
                }
            }
            Queue<String> wrong = new ConcurrentLinkedQueue<>();
            ExecutorService readers = Executors.newFixedThreadPool(pages);
            for (int p = 0; p < pages; p++) {
                String page = "page-" + p;
                readers.submit(() -> edit(program.address(), page, wrong));
            }
            readers.shutdown();
            assertThat(readers.awaitTermination(10, TimeUnit.MINUTES)).isTrue();
            assertThat(wrong).isEmpty();
            for (Socket socket : others) {
                socket.close();
            }
        }
        assertThat(Files.readString(data.resolve("enthalpa.log")))
                .as("clients that go away leave no stack trace")
                .doesNotContain("\tat ");
    }

    /** As a page does: edits, and asks after each what it comes to without waiting for what it asked before. */
    private static void edit(String address, String page, Queue<String> wrong) {
        try {
            Client client = new Client(address, page);
            JsonNode build = client.freshBuild();
            ObjectNode document = (ObjectNode) build.get("document");
            long id = build.get("id").longValue();
            ExecutorService asking = Executors.newFixedThreadPool(3);
            for (int i = 1; i <= 5; i++) {
                document.put("summary", "edit " + i + " of " + page);
                ObjectNode request = Client.JSON.createObjectNode();
                request.set("document", document.deepCopy());
                for (String part : List.of("LINE", "DUTY")) {
                    String body = request.deepCopy().put("part", part).toString();
                    asking.submit(() -> ask(client, page, body, wrong));
                }
                Client.Answer saved = client.save(id, i, document, "edit " + i, "e" + i);
                if (saved.status() != 200) {
                    wrong.add(page + " saved " + saved.status());
                }
            }
            asking.shutdown();
            if (!asking.awaitTermination(5, TimeUnit.MINUTES)) {
                wrong.add(page + " is not answered");
            }
        } catch (Exception e) {
            wrong.add(page + " " + e);
        }
    }

    private static Void ask(Client client, String page, String body, Queue<String> wrong) throws Exception {
        Client.Answer answer = client.post("/api/preview", body);
        boolean superseded = answer.status() == 409
                && answer.json().path("type").asString("").endsWith("superseded");
        if (answer.status() != 200 && !superseded) {
            wrong.add(page + " asked " + answer.status());
        }
        return null;
    }

    @Test
    void endsWhenAskedToWithAComputationAndItsEventsOpen() throws Exception {
        Path data = folder.resolve("store");
        RunningProgram program = RunningProgram.demo(data, 0);
        Client client = new Client(program.address());
        long id = client.get("/api/builds").json().get(0).get("id").longValue();
        ObjectNode request = Client.JSON.createObjectNode().put("option", "A");
        request.set("document", client.get("/api/builds/" + id).json().get("document"));
        String job = client.post("/api/jobs/spread", request.toString())
                .json()
                .get("id")
                .asString();
        try (Socket events = new Socket("127.0.0.1", program.port())) {
            events.getOutputStream()
                    .write(("GET " + URI.create("/api/jobs/" + job + "/events")
                                    + " HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n")
                            .getBytes(StandardCharsets.US_ASCII));
            assertThat(events.getInputStream().read()).isPositive();
            assertThat(program.ends(3)).as("ends within three seconds").isTrue();
        }
        assertThat(Files.readString(data.resolve("enthalpa.log"))).doesNotContain("\tat ");
    }
}
