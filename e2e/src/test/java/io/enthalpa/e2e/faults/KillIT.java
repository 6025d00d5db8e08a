package io.enthalpa.e2e.faults;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.e2e.RunningProgram;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** kill -9 in the middle of writing: what was acknowledged is there, nothing is damaged, and the program comes up again. */
class KillIT {
    private static final int CLIENTS = 4;
    private static final long SEED = 11;

    @TempDir
    Path folder;

    /** An edit that the program said is on the disk. */
    private record Acknowledged(long build, int revision, String change) {}

    /** Saves one edit after the other until the program is gone. */
    private static final class Writer implements Runnable {
        private final String address;
        private final long build;
        private final int round;
        private final List<Acknowledged> acknowledged = new ArrayList<>();

        Writer(String address, long build, int round) {
            this.address = address;
            this.build = build;
            this.round = round;
        }

        @Override
        public void run() {
            try {
                Client client = new Client(address);
                JsonNode state = client.get("/api/builds/" + build).json();
                int revision = state.get("revision").intValue();
                ObjectNode document = (ObjectNode) state.get("document");
                for (int i = 0; ; i++) {
                    String change = "round %d, edit %d".formatted(round, i);
                    document.put("summary", change);
                    Client.Answer answer = client.save(build, revision, document, change, "r%d-%d".formatted(round, i));
                    if (answer.status() != 200) {
                        return;
                    }
                    revision = answer.json().get("revision").intValue();
                    acknowledged.add(new Acknowledged(build, revision, change));
                }
            } catch (IOException | InterruptedException killed) {
                // The program is gone: what was acknowledged until now counts.
            }
        }
    }

    @Test
    void whatWasAcknowledgedIsThereAfterEveryKill() throws Exception {
        Path data = folder.resolve("store");
        Random random = new Random(SEED);
        List<Long> builds = new ArrayList<>();
        try (RunningProgram program = RunningProgram.serve(data)) {
            for (int i = 0; i < CLIENTS; i++) {
                builds.add(new Client(program.address()).freshBuild().get("id").longValue());
            }
        }
        int all = 0;
        List<Acknowledged> acknowledged = List.of();
        int kills = Integer.getInteger("faults.kills", 3);
        for (int round = 0; round < kills; round++) {
            try (RunningProgram program = RunningProgram.serve(data)) {
                check(new Client(program.address()), builds, acknowledged);
                acknowledged = writeUntilKilled(program, builds, round, 700 + random.nextInt(1500));
            }
            all += acknowledged.size();
        }
        try (RunningProgram last = RunningProgram.serve(data)) {
            check(new Client(last.address()), builds, acknowledged);
        }
        System.out.printf("%d kills, %d acknowledged edits, all there%n", kills, all);
        assertThat(all).isPositive();
    }

    private static List<Acknowledged> writeUntilKilled(
            RunningProgram program, List<Long> builds, int round, int after_ms) throws Exception {
        ExecutorService clients = Executors.newFixedThreadPool(CLIENTS);
        List<Writer> writers = builds.stream()
                .map(build -> new Writer(program.address(), build, round))
                .toList();
        writers.forEach(clients::submit);
        Thread.sleep(after_ms);
        program.kill();
        clients.shutdown();
        assertThat(clients.awaitTermination(60, TimeUnit.SECONDS)).isTrue();
        return writers.stream().flatMap(w -> w.acknowledged.stream()).toList();
    }

    private static void check(Client client, List<Long> builds, List<Acknowledged> acknowledged) throws Exception {
        assertThat(client.get("/api/builds").json())
                .hasSize(builds.size())
                .allSatisfy(card -> assertThat(card.has("unreadable")).isFalse());
        for (long build : builds) {
            List<Acknowledged> mine =
                    acknowledged.stream().filter(a -> a.build() == build).toList();
            if (mine.isEmpty()) {
                continue;
            }
            JsonNode head = client.get("/api/builds/" + build).json();
            assertThat(head.get("revision").intValue())
                    .isGreaterThanOrEqualTo(mine.get(mine.size() - 1).revision());
            for (Acknowledged a : mine) {
                JsonNode revision = client.get("/api/builds/" + build + "/revisions/" + a.revision())
                        .json();
                assertThat(revision.get("change").asString()).isEqualTo(a.change());
                assertThat(revision.at("/document/summary").asString()).isEqualTo(a.change());
            }
        }
    }

    @Test
    void aFirstStartThatWasKilledIsBegunAnew() throws Exception {
        int times = Integer.getInteger("faults.starts", 1);
        for (int i = 0; i < times; i++) {
            Path data = folder.resolve("first-" + i);
            killedWhileStarting(data, i, times, "demo");
            try (RunningProgram again = RunningProgram.first(data)) {
                Client client = new Client(again.address());
                assertThat(client.get("/api/builds")
                                .json()
                                .valueStream()
                                .map(c -> c.get("name").asString()))
                        .contains("Juniper", "Pass Van", "Saltline", "Pilot Launch")
                        .hasSize(4);
                assertThat(client.get("/api/catalogue").json().size()).isGreaterThan(100);
            }
        }
    }

    @Test
    void anUpdateThatWasKilledIsBegunAnew() throws Exception {
        int times = Integer.getInteger("faults.starts", 1);
        for (int i = 0; i < times; i++) {
            Path data = Files.createDirectories(folder.resolve("earlier-" + i));
            try (var file = KillIT.class.getResourceAsStream("/earlier/schema-2.mv.db")) {
                Files.copy(file, data.resolve("enthalpa.mv.db"));
            }
            killedWhileStarting(data, i, times, "serve");
            try (RunningProgram again = RunningProgram.serve(data)) {
                Client client = new Client(again.address());
                JsonNode builds = client.get("/api/builds").json();
                assertThat(builds.valueStream().map(c -> c.get("name").asString()))
                        .contains("Juniper, renamed", "Pass Van", "Saltline", "Pilot Launch");
                for (JsonNode card : builds) {
                    assertThat(client.get("/api/builds/" + card.get("id")).status())
                            .isEqualTo(200);
                }
            }
            assertThat(data.resolve("backups").toFile().list())
                    .as("a backup from before the update")
                    .isNotEmpty();
        }
    }

    /** At evenly spread moments of a start. */
    private static void killedWhileStarting(Path data, int i, int times, String command) throws Exception {
        Process start = RunningProgram.start(command, "--data", data.toString(), "--port", "0");
        Thread.sleep(1200 + (3200L * i + 1600) / times);
        start.destroyForcibly().waitFor();
    }
}
