package io.enthalpa.e2e;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.CRC32C;

/** The packaged program as the one command runs it: taken apart, with an archive of its classes, which more than halves the time to start. */
final class InstalledProgram {
    private static final String JAVA =
            Path.of(System.getProperty("java.home"), "bin", "java").toString();
    private static final Path PACKAGED = Path.of(System.getProperty("enthalpa.jar"));
    private static final Path FOLDER = Path.of("target", "installed").toAbsolutePath();
    private static final Path ARCHIVE = FOLDER.resolve("classes.jsa");
    /** A store with the demo builds and all their logs: to make it takes longer than most tests. */
    private static final Path DEMO = FOLDER.resolve("demo");

    private static final Path SUM = FOLDER.resolve("installed.sum");
    private static String installed = "";

    private InstalledProgram() {}

    /** @return what starts it, without its own arguments */
    static synchronized List<String> command() throws IOException {
        if (installed.isEmpty()) {
            install();
        }
        List<String> command = java();
        command.addAll(List.of(
                "-Xmx1g",
                "-XX:SharedArchiveFile=" + ARCHIVE,
                "-Xshare:auto",
                "-Xlog:disable",
                "-Xlog:all=off",
                "-jar",
                jar()));
        return command;
    }

    /** Puts the demo builds and their logs into a folder that is not there yet or empty. */
    static void demo(Path data) throws IOException {
        command();
        synchronized (InstalledProgram.class) {
            try (FileChannel file = FileChannel.open(FOLDER.resolve("lock"), StandardOpenOption.WRITE)) {
                file.lock();
                if (!Files.exists(DEMO)) {
                    Path making = Files.createTempDirectory(FOLDER, "making");
                    try (RunningProgram program = RunningProgram.first(making)) {
                        program.awaitDemoLogs();
                    }
                    Files.move(making, DEMO);
                }
            }
        }
        try (Stream<Path> all = Files.walk(DEMO)) {
            for (Path from : (Iterable<Path>) all::iterator) {
                Path to = data.resolve(DEMO.relativize(from).toString());
                if (Files.isDirectory(from)) {
                    Files.createDirectories(to);
                } else {
                    Files.copy(from, to);
                }
            }
        }
    }

    /** Compiled quickly rather than well: these processes live for seconds. */
    private static List<String> java() {
        return new ArrayList<>(List.of(JAVA, "-XX:TieredStopAtLevel=1"));
    }

    private static String jar() {
        return FOLDER.resolve(PACKAGED.getFileName()).toString();
    }

    /** Once for each packaged program, whichever process of the tests comes first; the file's time says nothing, it is the same in every package. */
    private static void install() throws IOException {
        Files.createDirectories(FOLDER);
        try (FileChannel file =
                FileChannel.open(FOLDER.resolve("lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
            // Given back when the file is closed.
            file.lock();
            installWhereStale();
        }
    }

    private static void installWhereStale() throws IOException {
        CRC32C crc = new CRC32C();
        crc.update(Files.readAllBytes(PACKAGED));
        installed = Long.toHexString(crc.getValue());
        if (Files.exists(SUM) && Files.readString(SUM).equals(installed)) {
            return;
        }
        Files.deleteIfExists(ARCHIVE);
        remove(DEMO);
        run(List.of(
                JAVA,
                "-Djarmode=tools",
                "-jar",
                PACKAGED.toString(),
                "extract",
                "--force",
                "--destination",
                FOLDER.toString()));
        Path store = Files.createTempDirectory("first");
        List<String> once = java();
        once.addAll(List.of(
                "-XX:ArchiveClassesAtExit=" + ARCHIVE,
                "-Dspring.context.exit=onRefresh",
                "-jar",
                jar(),
                "demo",
                "--data",
                store.toString(),
                "--port",
                "0"));
        run(once);
        Files.writeString(SUM, installed);
    }

    private static void remove(Path folder) throws IOException {
        if (Files.exists(folder)) {
            try (Stream<Path> all = Files.walk(folder)) {
                for (Path path : all.sorted(Comparator.reverseOrder()).toList()) {
                    Files.delete(path);
                }
            }
        }
    }

    private static void run(List<String> command) throws IOException {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        String printed = new String(process.getInputStream().readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
        try {
            if (process.waitFor() != 0) {
                throw new IllegalStateException("the program could not be taken apart:\n" + printed);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
