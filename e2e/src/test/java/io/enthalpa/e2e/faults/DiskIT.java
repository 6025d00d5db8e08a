package io.enthalpa.e2e.faults;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import io.enthalpa.e2e.RunningProgram;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A disk that is full or gone while the program runs: told plainly, read on, nothing acknowledged that is not kept, saving comes back by itself. */
class DiskIT {
    @TempDir
    Path folder;

    private static final class Saver {
        private final Client client;
        private final long build;
        private final ObjectNode document;
        private int revision = 1;
        private int edits;

        Saver(String address) throws Exception {
            client = new Client(address);
            JsonNode made = client.freshBuild();
            build = made.get("id").longValue();
            document = (ObjectNode) made.get("document");
        }

        Client.Answer save() throws Exception {
            document.put("summary", "edit " + ++edits);
            Client.Answer answer = client.save(build, revision, document, "edit " + edits, "e" + edits);
            if (answer.status() == 200) {
                revision = answer.json().get("revision").intValue();
            }
            return answer;
        }

        void refused(int status, String words) throws Exception {
            int before = revision;
            for (int i = 0; i < 5; i++) {
                Client.Answer answer = save();
                assertThat(answer.status()).isEqualTo(status);
                assertThat(answer.json().get("detail").asString()).contains(words);
                assertThat(client.get("/api/builds").status())
                        .as("reading goes on")
                        .isEqualTo(200);
                assertThat(client.get("/api/builds/" + build)
                                .json()
                                .get("revision")
                                .intValue())
                        .isEqualTo(before);
            }
        }

        void kept() throws Exception {
            assertThat(save().status()).isEqualTo(200);
            assertThat(client.get("/api/builds/" + build)
                            .json()
                            .at("/document/summary")
                            .asString())
                    .isEqualTo("edit " + edits);
        }
    }

    private static boolean done(String... command) throws Exception {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        process.getInputStream().readAllBytes();
        return process.waitFor(20, TimeUnit.SECONDS) && process.exitValue() == 0;
    }

    /** Where mounting is not allowed, the store's own tests have a disk that fails on command, also one that may only be read. */
    @Test
    void full() throws Exception {
        Path disk = Files.createDirectories(folder.resolve("disk"));
        assumeTrue(
                done("mount", "-t", "tmpfs", "-o", "size=24m", "tmpfs", disk.toString()),
                "mounting is not allowed here");
        try {
            Path data = disk.resolve("store");
            try (RunningProgram program = RunningProgram.demo(data, 0)) {
                Saver saver = new Saver(program.address());
                saver.kept();
                Path filler = disk.resolve("filler");
                done("sh", "-c", "cat /dev/zero > " + filler);
                saver.refused(507, "is full");
                Files.delete(filler);
                saver.kept();
            }
            try (RunningProgram again = RunningProgram.serve(data)) {
                assertThat(new Client(again.address()).get("/api/builds").json())
                        .hasSize(5);
            }
        } finally {
            done("umount", disk.toString());
        }
    }

    @Test
    void folderMovedAwayAndBack() throws Exception {
        Path data = folder.resolve("store");
        Path away = folder.resolve("away");
        try (RunningProgram program = RunningProgram.demo(data, 0)) {
            Saver saver = new Saver(program.address());
            saver.kept();
            Files.move(data, away);
            saver.refused(503, "is gone");
            Files.move(away, data);
            saver.kept();
        }
        try (RunningProgram again = RunningProgram.serve(data)) {
            assertThat(new Client(again.address()).get("/api/builds").json()).hasSize(5);
        }
    }
}
