package io.enthalpa.bench;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A running server from outside, over HTTP: {@code saves ADDRESS CLIENTS SECONDS} prints how long a save takes until it is on the disk;
 * {@code growth ADDRESS EDITS} edits one build so often and prints how long its history takes; {@code home ADDRESS BUILDS} makes so many builds
 * and prints how long the home page's two questions take, at first and when all is known. Run it against another release of the program
 * on the same machine by turns: the machine counts for more than the program.
 */
public final class StoreBenchmark {
    private static final Pattern ID = Pattern.compile("\"id\":(\\d+)");
    private final String address;
    private final HttpClient client;
    private final String token;

    private StoreBenchmark(String address) throws IOException, InterruptedException {
        this.address = address;
        CookieManager cookies = new CookieManager();
        this.client = HttpClient.newBuilder()
                .cookieHandler(cookies)
                .version(HttpClient.Version.HTTP_1_1)
                .build();
        get("/api/fields");
        this.token = cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .findFirst()
                .orElseThrow()
                .getValue();
    }

    public static void main(String[] args) throws Exception {
        switch (args[0]) {
            case "saves" -> saves(args[1], Integer.parseInt(args[2]), Integer.parseInt(args[3]));
            case "growth" ->
                growth(args[1], Integer.parseInt(args[2]), args.length > 3 ? Files.readString(Path.of(args[3])) : "");
            case "home" -> home(args[1], Integer.parseInt(args[2]));
            default -> throw new IllegalArgumentException("saves, growth or home");
        }
    }

    private String get(String path) throws IOException, InterruptedException {
        return client.send(
                        HttpRequest.newBuilder(URI.create(address + path)).build(),
                        HttpResponse.BodyHandlers.ofString())
                .body();
    }

    private HttpResponse<String> send(String method, String path, String body, int revision)
            throws IOException, InterruptedException {
        return client.send(
                HttpRequest.newBuilder(URI.create(address + path))
                        .header("Content-Type", "application/json")
                        .header("X-XSRF-TOKEN", token)
                        .header("If-Match", "\"" + revision + "\"")
                        .method(method, HttpRequest.BodyPublishers.ofString(body))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    private String starter() throws IOException, InterruptedException {
        String answer = get("/api/builds/starter");
        return answer.substring(answer.indexOf("{\"format"), answer.length() - 1);
    }

    private long made(String document) throws IOException, InterruptedException {
        Matcher id = ID.matcher(send("POST", "/api/builds", document, 0).body());
        if (!id.find()) {
            throw new IllegalStateException("no build was made");
        }
        return Long.parseLong(id.group(1));
    }

    private void edit(long build, String document, int revision) throws IOException, InterruptedException {
        String edited = document.replaceFirst("\"summary\" ?: ?\"[^\"]*\"", "\"summary\":\"edit " + revision + "\"");
        String body = "{\"change\":\"edit " + revision + "\",\"edit\":\"" + UUID.randomUUID() + "\",\"document\":"
                + edited + "}";
        HttpResponse<String> answer = send("PUT", "/api/builds/" + build, body, revision);
        if (answer.statusCode() != 200) {
            throw new IllegalStateException("not saved: " + answer.statusCode());
        }
    }

    private static void saves(String address, int clients, int seconds) throws Exception {
        ConcurrentLinkedQueue<Double> took = new ConcurrentLinkedQueue<>();
        ExecutorService threads = Executors.newFixedThreadPool(clients);
        List<Future<?>> all = new ArrayList<>();
        long until = System.nanoTime() + seconds * 1_000_000_000L;
        for (int i = 0; i < clients; i++) {
            all.add(threads.submit(() -> {
                StoreBenchmark client = new StoreBenchmark(address);
                String document = client.starter();
                long build = client.made(document);
                for (int revision = 1; System.nanoTime() < until; revision++) {
                    long began = System.nanoTime();
                    client.edit(build, document, revision);
                    took.add((System.nanoTime() - began) / 1e6);
                }
                return null;
            }));
        }
        for (Future<?> one : all) {
            one.get();
        }
        threads.shutdown();
        print(
                "saves, %d clients, %.0f a second".formatted(clients, took.size() / (double) seconds),
                new ArrayList<>(took));
    }

    /** @param file a build file; the starter where empty */
    private static void growth(String address, int edits, String file) throws Exception {
        StoreBenchmark client = new StoreBenchmark(address);
        String document = file.isEmpty() ? client.starter() : file;
        long build = client.made(document);
        List<Double> took = new ArrayList<>();
        for (int revision = 1; revision <= edits; revision++) {
            long began = System.nanoTime();
            client.edit(build, document, revision);
            took.add((System.nanoTime() - began) / 1e6);
        }
        print(edits + " edits of one build of " + document.length() + " characters", took);
        client.ask("its history", "/api/builds/" + build + "/revisions");
        client.ask("its document", "/api/builds/" + build);
    }

    private static void home(String address, int builds) throws Exception {
        StoreBenchmark client = new StoreBenchmark(address);
        List<Double> took = new ArrayList<>();
        for (int i = 0; i < builds; i++) {
            long build = client.made(client.starter());
            long began = System.nanoTime();
            client.send("POST", "/api/home/" + build, "", 0);
            took.add((System.nanoTime() - began) / 1e6);
        }
        print("verdict of a build, computed once", took);
        client.ask("list", "/api/builds");
        client.ask("verdicts that are known", "/api/home");
    }

    private void ask(String what, String path) throws IOException, InterruptedException {
        List<Double> took = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            long began = System.nanoTime();
            get(path);
            took.add((System.nanoTime() - began) / 1e6);
        }
        print(what, took);
    }

    private static void print(String what, List<Double> milliseconds) {
        Collections.sort(milliseconds);
        int n = milliseconds.size();
        System.out.printf(
                "%s: median %.1f, p95 %.1f, p99 %.1f, most %.1f ms%n",
                what,
                milliseconds.get(n / 2),
                milliseconds.get(n * 95 / 100),
                milliseconds.get(n * 99 / 100),
                milliseconds.get(n - 1));
    }
}
