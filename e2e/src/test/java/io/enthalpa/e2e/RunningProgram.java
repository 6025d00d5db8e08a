package io.enthalpa.e2e;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.json.JsonMapper;

/** The packaged program as a process of its own. */
public final class RunningProgram implements AutoCloseable {
    private static final Pattern READY = Pattern.compile("Enthalpa is ready: (http://127\\.0\\.0\\.1:(\\d+)/)");
    private final Process process;
    private final String address;
    private final int port;

    private RunningProgram(Process process, String address, int port) {
        this.process = process;
        this.address = address;
        this.port = port;
    }

    /** With the demo builds and their logs, all of which are there when it starts. */
    public static RunningProgram demo(Path data, int port) throws IOException {
        if (!Files.exists(data.resolve("enthalpa.mv.db"))) {
            InstalledProgram.demo(data);
        }
        return up("demo", data, port);
    }

    /** As the demo is made on a machine that has none yet. */
    public static RunningProgram first(Path data) throws IOException {
        return up("demo", data, 0);
    }

    /** Of the builds as they come. */
    private static final Map<Integer, Integer> DEMO_LOGS = Map.of(1, 2, 2, 2);

    void awaitDemoLogs() throws IOException {
        HttpClient client = HttpClient.newHttpClient();
        try {
            for (Map.Entry<Integer, Integer> build : DEMO_LOGS.entrySet()) {
                while (logs(client, build.getKey()) < build.getValue()) {
                    Thread.sleep(200);
                }
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private int logs(HttpClient client, int build) throws IOException, InterruptedException {
        HttpRequest asked = HttpRequest.newBuilder(URI.create(address + "/api/logs?build=" + build))
                .build();
        String told = client.send(asked, HttpResponse.BodyHandlers.ofString()).body();
        return JsonMapper.shared().readTree(told).size();
    }

    /** With what the folder holds. */
    public static RunningProgram serve(Path data) throws IOException {
        return up("serve", data, 0);
    }

    private static RunningProgram up(String command, Path data, int port) throws IOException {
        Process process = start(command, "--data", data.toString(), "--port", String.valueOf(port));
        BufferedReader lines =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
        StringBuilder seen = new StringBuilder();
        for (String line = lines.readLine(); line != null; line = lines.readLine()) {
            seen.append(line).append('\n');
            Matcher ready = READY.matcher(line);
            if (ready.find()) {
                drain(lines);
                return new RunningProgram(
                        process, ready.group(1).replaceAll("/$", ""), Integer.parseInt(ready.group(2)));
            }
        }
        throw new IllegalStateException("the program did not start:\n" + seen);
    }

    /** Nobody reads on; a program that cannot print would stand still. */
    private static void drain(BufferedReader lines) {
        Thread reader = new Thread(
                () -> {
                    try {
                        while (lines.readLine() != null) {
                            // Thrown away.
                        }
                    } catch (IOException over) {
                        // The program has ended.
                    }
                },
                "output");
        reader.setDaemon(true);
        reader.start();
    }

    /** Begins a command without waiting for anything. */
    public static Process start(String... args) throws IOException {
        List<String> command = InstalledProgram.command();
        command.addAll(List.of(args));
        return new ProcessBuilder(command).redirectErrorStream(true).start();
    }

    /** What a command printed and how it ended. */
    public record Outcome(int status, String printed) {}

    /** Runs a command to its end. */
    public static Outcome run(String... args) throws IOException, InterruptedException {
        Process process = start(args);
        String printed = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        if (!process.waitFor(60, TimeUnit.SECONDS)) {
            process.destroyForcibly();
            throw new IllegalStateException("the command did not end:\n" + printed);
        }
        return new Outcome(process.exitValue(), printed);
    }

    public String address() {
        return address;
    }

    public int port() {
        return port;
    }

    /** As kill -9: nothing is closed, nothing is said. */
    public void kill() throws InterruptedException {
        process.destroyForcibly().waitFor();
    }

    /** @return whether it ended by itself within that time after it was asked to */
    public boolean ends(long seconds) throws InterruptedException {
        process.destroy();
        return process.waitFor(seconds, TimeUnit.SECONDS);
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
