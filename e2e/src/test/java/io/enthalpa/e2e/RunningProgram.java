package io.enthalpa.e2e;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The packaged program as a process of its own. */
final class RunningProgram implements AutoCloseable {
    private static final Pattern READY = Pattern.compile("Enthalpa is ready: (http://127\\.0\\.0\\.1:(\\d+)/)");
    private final Process process;
    private final String address;
    private final int port;

    private RunningProgram(Process process, String address, int port) {
        this.process = process;
        this.address = address;
        this.port = port;
    }

    static RunningProgram demo(Path data, int port) throws IOException {
        Process process = start("demo", "--data", data.toString(), "--port", String.valueOf(port));
        BufferedReader lines = new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
        StringBuilder seen = new StringBuilder();
        for (String line = lines.readLine(); line != null; line = lines.readLine()) {
            seen.append(line).append('\n');
            Matcher ready = READY.matcher(line);
            if (ready.find()) {
                return new RunningProgram(process, ready.group(1).replaceAll("/$", ""), Integer.parseInt(ready.group(2)));
            }
        }
        throw new IllegalStateException("the program did not start:\n" + seen);
    }

    private static Process start(String... args) throws IOException {
        List<String> command = new ArrayList<>(List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                // Compiled quickly rather than well: these processes live for seconds.
                "-XX:TieredStopAtLevel=1", "-jar", System.getProperty("enthalpa.jar")));
        command.addAll(List.of(args));
        return new ProcessBuilder(command).redirectErrorStream(true).start();
    }

    /** What a command printed and how it ended. */
    record Outcome(int status, String printed) {
    }

    /** Runs a command to its end. */
    static Outcome run(String... args) throws IOException, InterruptedException {
        Process process = start(args);
        String printed = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        if (!process.waitFor(60, TimeUnit.SECONDS)) {
            process.destroyForcibly();
            throw new IllegalStateException("the command did not end:\n" + printed);
        }
        return new Outcome(process.exitValue(), printed);
    }

    String address() {
        return address;
    }

    int port() {
        return port;
    }

    @Override
    public void close() {
        process.destroy();
        try {
            if (!process.waitFor(20, TimeUnit.SECONDS)) {
                process.destroyForcibly();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            process.destroyForcibly();
        }
    }
}
