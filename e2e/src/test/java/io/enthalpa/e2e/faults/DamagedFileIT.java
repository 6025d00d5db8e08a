package io.enthalpa.e2e.faults;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.e2e.RunningProgram;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A database file that something else has damaged: noticed at the start, left as it is, the way out named; and a backup put in its place
 * brings everything back. Never does the program come up with builds missing and say nothing.
 */
class DamagedFileIT {
    private static final int BUILDS = 5;

    @TempDir
    static Path folder;

    private static Path closed;
    private static Path killed;
    private static Path backup;

    /** Something that happens to a file. */
    @FunctionalInterface
    private interface Damage {
        void to(Path file) throws IOException;
    }

    @BeforeAll
    static void make() throws Exception {
        closed = folder.resolve("closed");
        killed = folder.resolve("killed");
        backup = folder.resolve("backup.zip");
        try (RunningProgram program = RunningProgram.demo(closed, 0)) {
            edit(new Client(program.address()));
            assertThat(RunningProgram.run("backup", backup.toString(), "--data", closed.toString())
                            .status())
                    .isZero();
        }
        RunningProgram program = RunningProgram.demo(killed, 0);
        edit(new Client(program.address()));
        program.kill();
    }

    private static void edit(Client client) throws IOException, InterruptedException {
        JsonNode build = client.freshBuild();
        ObjectNode document = (ObjectNode) build.get("document");
        for (int i = 1; i <= 60; i++) {
            document.put("summary", "edit " + i);
            assertThat(client.save(build.get("id").longValue(), i, document, "edit " + i, "e" + i)
                            .status())
                    .isEqualTo(200);
        }
    }

    private static Damage at(double share, int bytes, boolean zero) {
        return file -> {
            try (RandomAccessFile f = new RandomAccessFile(file.toFile(), "rw")) {
                long from = (long) (share * (f.length() - bytes));
                byte[] there = new byte[bytes];
                f.seek(from);
                f.readFully(there);
                for (int i = 0; i < bytes; i++) {
                    there[i] = zero ? 0 : (byte) (there[i] ^ 0x20);
                }
                f.seek(from);
                f.write(there);
            }
        };
    }

    private static Damage cutTo(double share) {
        return file -> {
            try (RandomAccessFile f = new RandomAccessFile(file.toFile(), "rw")) {
                f.setLength((long) (share * f.length()));
            }
        };
    }

    private static Map<String, Damage> kinds() {
        Map<String, Damage> kinds = new LinkedHashMap<>();
        kinds.put("cut to nothing", cutTo(0));
        kinds.put("cut in half", cutTo(0.5));
        kinds.put("the last tenth cut off", cutTo(0.9));
        kinds.put("a block of zeros in the middle", at(0.5, 4096, true));
        kinds.put("a letter turned", at(0.6, 1, false));
        kinds.put("its head wiped", at(0, 4096, true));
        kinds.put("both heads wiped", at(0, 8192, true));
        kinds.put("the last block cut off", file -> {
            try (RandomAccessFile f = new RandomAccessFile(file.toFile(), "rw")) {
                f.setLength(f.length() - 4096);
            }
        });
        kinds.put("a letter turned early", at(0.2, 1, false));
        kinds.put("a letter turned late", at(0.95, 1, false));
        kinds.put("zeros at a quarter", at(0.25, 8192, true));
        kinds.put("zeros at three quarters", at(0.75, 8192, true));
        kinds.put(
                "another file's bytes",
                file -> Files.writeString(file, "not a database at all ".repeat(2000), StandardCharsets.UTF_8));
        kinds.put("something appended", file -> {
            try (RandomAccessFile f = new RandomAccessFile(file.toFile(), "rw")) {
                f.seek(f.length());
                f.write(new byte[5000]);
            }
        });
        kinds.put("noise over a third", file -> {
            try (RandomAccessFile f = new RandomAccessFile(file.toFile(), "rw")) {
                byte[] noise = new byte[(int) (f.length() / 3)];
                new Random(1).nextBytes(noise);
                f.seek(f.length() / 3);
                f.write(noise);
            }
        });
        kinds.put("gone", Files::delete);
        return kinds;
    }

    @Test
    void isNoticedLeftAsItIsAndPutBack() throws Exception {
        List<String> seen = new ArrayList<>();
        int most = Integer.getInteger("faults.damages", 1);
        int number = 0;
        for (Map.Entry<String, Damage> kind : kinds().entrySet()) {
            if (number++ >= most) {
                break;
            }
            for (Path whole : List.of(closed, killed)) {
                Path data = copy(whole, "damaged-" + number + "-" + whole.getFileName());
                Path file = data.resolve("enthalpa.mv.db");
                kind.getValue().to(file);
                byte[] damaged = Files.exists(file) ? Files.readAllBytes(file) : null;
                seen.add(kind.getKey() + ", " + whole.getFileName() + ": " + told(data, file, damaged));
                putBack(data);
            }
        }
        seen.forEach(System.out::println);
        assertThat(seen).hasSize(2 * Math.min(most, kinds().size())).noneMatch(line -> line.contains("NOT"));
    }

    /** Either refused with the way out, or nothing is missing. */
    private static String told(Path data, Path file, byte[] damaged) throws Exception {
        Process start = RunningProgram.start("serve", "--data", data.toString(), "--port", "0");
        java.io.BufferedReader lines = start.inputReader(StandardCharsets.UTF_8);
        String first = lines.readLine();
        if (first != null && first.contains("Enthalpa is ready")) {
            try {
                return everythingIsThere(new Client(first.replaceAll(".*(http://[0-9.:]+)/.*", "$1")))
                        ? "harmless, nothing is missing"
                        : "NOT NOTICED";
            } finally {
                start.destroy();
                start.waitFor();
            }
        }
        int status = start.waitFor();
        boolean untouched =
                damaged == null ? !Files.exists(file) : java.util.Arrays.equals(damaged, Files.readAllBytes(file));
        boolean plain = first != null
                && first.startsWith("enthalpa: ")
                && first.contains(file.toString())
                && first.contains("backup")
                && !first.contains("Exception");
        return status == 2 && untouched && plain
                ? "refused"
                : "NOT REFUSED PLAINLY: " + status + " " + untouched + " " + first;
    }

    private static boolean everythingIsThere(Client client) throws IOException, InterruptedException {
        JsonNode builds = client.get("/api/builds").json();
        if (builds.size() != BUILDS) {
            return false;
        }
        for (JsonNode card : builds) {
            // One that cannot be read is named as such, and hides no other.
            boolean read = client.get("/api/builds/" + card.get("id")).status() == 200;
            if (!read && !card.has("unreadable")) {
                return false;
            }
            String expected = card.get("name").asString().equals("2.0 L, turbo") ? "edit 60" : "demo build";
            if (read && !card.get("change").asString().equals(expected)) {
                return false;
            }
        }
        return true;
    }

    private static void putBack(Path data) throws Exception {
        RunningProgram.Outcome restored = RunningProgram.run("restore", backup.toString(), "--data", data.toString());
        assertThat(restored.printed()).contains("are in " + data);
        assertThat(restored.status()).isZero();
        try (RunningProgram again = RunningProgram.serve(data)) {
            assertThat(everythingIsThere(new Client(again.address()))).isTrue();
        }
    }

    private static Path copy(Path from, String name) throws IOException {
        Path to = Files.createDirectories(folder.resolve(name));
        try (var files = Files.list(from)) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                Files.copy(file, to.resolve(file.getFileName()));
            }
        }
        return to;
    }
}
