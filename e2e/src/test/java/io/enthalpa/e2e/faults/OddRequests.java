package io.enthalpa.e2e.faults;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Queue;
import java.util.Random;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Requests that nobody in their right mind sends, from a stated seed: right ones with a part taken out, made null, of another kind, huge,
 * out of place; wrong addresses, methods, headers, kinds of body. None may end in a failure inside the program, or take long.
 */
final class OddRequests {
    private static final JsonMapper JSON = JsonMapper.shared();
    private static final Duration LONGEST = Duration.ofSeconds(5);
    private final String address;
    private final HttpClient client;
    private final String token;
    private final List<JsonNode> documents = new ArrayList<>();
    private final List<Long> builds = new ArrayList<>();
    private final Queue<String> wrong = new ConcurrentLinkedQueue<>();

    OddRequests(String address) throws IOException, InterruptedException {
        this.address = address;
        CookieManager cookies = new CookieManager();
        this.client = HttpClient.newBuilder()
                .cookieHandler(cookies)
                .version(HttpClient.Version.HTTP_1_1)
                .connectTimeout(Duration.ofSeconds(10))
                .build();
        get("/api/fields");
        this.token = cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .findFirst()
                .orElseThrow()
                .getValue();
        for (JsonNode card : JSON.readTree(get("/api/builds"))) {
            documents.add(JSON.readTree(get("/api/builds/" + card.get("id"))).get("document"));
        }
        // Only these are changed and deleted, so that the others stay whole.
        for (JsonNode document : documents) {
            builds.add(JSON.readTree(post("/api/builds", document.toString()))
                    .get("id")
                    .longValue());
        }
    }

    private String get(String path) throws IOException, InterruptedException {
        return client.send(
                        HttpRequest.newBuilder(URI.create(address + path)).build(),
                        HttpResponse.BodyHandlers.ofString())
                .body();
    }

    private String post(String path, String body) throws IOException, InterruptedException {
        return client.send(
                        HttpRequest.newBuilder(URI.create(address + path))
                                .header("Content-Type", "application/json")
                                .header("X-XSRF-TOKEN", token)
                                .POST(HttpRequest.BodyPublishers.ofString(body))
                                .build(),
                        HttpResponse.BodyHandlers.ofString())
                .body();
    }

    /** @return what ended badly: a failure inside, no answer, or too late a one, each with how to make it again */
    List<String> send(long seed, int count, int threads) throws InterruptedException {
        ExecutorService senders = Executors.newFixedThreadPool(threads);
        for (int i = 0; i < count; i++) {
            int number = i;
            senders.submit(() -> one(seed, number));
        }
        senders.shutdown();
        if (!senders.awaitTermination(3, TimeUnit.HOURS)) {
            wrong.add("the requests did not end");
        }
        return List.copyOf(wrong);
    }

    private void one(long seed, int number) {
        Random random = new Random(seed * 1_000_003 + number);
        Odd odd = odd(random);
        String what = "seed %d, request %d: %s %s"
                .formatted(seed, number, odd.method, odd.path.length() > 200 ? odd.path.substring(0, 200) : odd.path);
        long began = System.nanoTime();
        try {
            HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + odd.path))
                    .timeout(Duration.ofSeconds(60))
                    .header("X-XSRF-TOKEN", token)
                    .method(
                            odd.method,
                            odd.body == null
                                    ? HttpRequest.BodyPublishers.noBody()
                                    : HttpRequest.BodyPublishers.ofString(odd.body));
            for (int i = 0; i < odd.headers.size(); i += 2) {
                request.setHeader(odd.headers.get(i), odd.headers.get(i + 1));
            }
            HttpResponse<String> answer = client.send(request.build(), HttpResponse.BodyHandlers.ofString());
            if (answer.statusCode() >= 500 && answer.statusCode() != 503) {
                wrong.add(what + " -> " + answer.statusCode() + " " + short_(odd.body));
            }
        } catch (IllegalArgumentException notEvenARequest) {
            return;
        } catch (IOException | InterruptedException e) {
            wrong.add(what + " -> " + e);
        }
        Duration took = Duration.ofNanos(System.nanoTime() - began);
        if (took.compareTo(LONGEST) > 0) {
            wrong.add(what + " took " + took.toMillis() + " ms " + short_(odd.body));
        }
    }

    private static String short_(String body) {
        return body == null ? "" : body.length() > 300 ? body.substring(0, 300) : body;
    }

    private Odd odd(Random random) {
        Odd odd = new Odd();
        JsonNode document = OddBodies.any(random, documents).deepCopy();
        String letter = OddBodies.any(random, List.of("A", "B", "C", "Z", "", "a", "AA"));
        String place = OddBodies.any(
                random,
                List.of(
                        "/path/3",
                        "/path/0",
                        "/path/99",
                        "",
                        "path",
                        "/path/-1",
                        "/path/3/legs/0/path/1",
                        "/airWays/0",
                        "/path/999999999999",
                        "/path/3/water",
                        "~",
                        "/path//"));
        long build = OddBodies.any(random, builds);
        ObjectNode request = JSON.createObjectNode();
        switch (random.nextInt(22)) {
            case 0, 1, 2 -> {
                odd.path = "/api/preview";
                request.set("document", document);
                if (random.nextBoolean()) {
                    request.putArray("options").add(letter);
                }
                if (random.nextBoolean()) {
                    request.put("part", OddBodies.any(random, List.of("LINE", "DUTY", "OTHER", "")));
                }
            }
            case 3 -> asked(odd, request, document, letter, place, "/api/preview/core-steps");
            case 4 -> asked(odd, request, document, letter, place, "/api/preview/water-changes");
            case 5 -> {
                asked(odd, request, document, letter, place, "/api/preview/stack-orders");
                request.remove("place");
                request.put("way", OddBodies.any(random, List.of(0, 1, -1, 99, Integer.MAX_VALUE)));
            }
            case 6 ->
                asked(
                        odd,
                        request,
                        document,
                        letter,
                        place,
                        "/api/preview/trace/" + OddBodies.any(random, List.of("csv", "json", "xml", "..%2F..", "")));
            case 7 -> asked(odd, request, document, letter, place, "/api/preview/reasons");
            case 8 -> {
                odd.path = "/api/preview/map";
                request.put("csv", OddBodies.text(random));
            }
            case 9 -> asked(odd, request, document, letter, place, "/api/preview/changes");
            case 10 -> {
                odd.path = "/api/duties/" + OddBodies.any(random, List.of("library", "rows", "laps", "log-columns"));
                request.set("document", document);
                request.put("start", OddBodies.text(random))
                        .put("lap_s", 90)
                        .put("corners", 6)
                        .put("fast_km_h", 180)
                        .put("slow_km_h", 80)
                        .put("laps", 3);
            }
            case 11, 12 -> OddBodies.log(odd, random);
            case 13 -> {
                odd.path =
                        "/api/catalogue" + OddBodies.any(random, List.of("", "/file", "/1", "/999999", "/abc", "/-1"));
                odd.method = OddBodies.any(random, List.of("POST", "PUT", "DELETE", "PATCH"));
                odd.headers.addAll(List.of(
                        "If-Match", OddBodies.any(random, List.of("\"1\"", "1", "x", "*", "\"99999999999999\""))));
                request.put("kind", OddBodies.any(random, List.of("joint", "pipe", "core", "bend", "wing", "")))
                        .put("name", OddBodies.text(random))
                        .put("note", "")
                        .put("price", 20)
                        .put("mass_kg", 0.2)
                        .put("csv", OddBodies.text(random));
                request.putObject("figures")
                        .put("bore_mm", 63)
                        .put("hoseBore_mm", 67)
                        .put("gap_mm", 8);
            }
            case 14, 15 -> {
                odd.path = "/api/builds/" + build
                        + OddBodies.any(
                                random,
                                List.of(
                                        "",
                                        "/undo",
                                        "/redo",
                                        "/put-away",
                                        "/duplicate?uid=x",
                                        "/revisions/1/name",
                                        "/revisions/-1/name",
                                        "/file",
                                        "/nothing"));
                odd.method = OddBodies.any(random, List.of("PUT", "PUT", "POST", "PATCH"));
                odd.headers.addAll(List.of(
                        "If-Match",
                        OddBodies.any(
                                random,
                                List.of("\"1\"", "\"2\"", "1", "", "x", "W/\"1\"", "\"-1\"", "\"99999999999\""))));
                request.put("change", OddBodies.text(random))
                        .put("edit", OddBodies.any(random, List.of("e1", "", "x".repeat(100))))
                        .put("putAway", random.nextBoolean())
                        .put("name", OddBodies.text(random));
                request.set("document", document);
            }
            case 16 -> {
                odd.path = "/api/builds"
                        + OddBodies.any(
                                random,
                                List.of(
                                        "",
                                        "?uid=zz",
                                        "?uid=" + java.util.UUID.randomUUID(),
                                        "/starter",
                                        "?change=" + "x".repeat(5000)));
                odd.body = OddBodies.broken(document.toString(), random);
                return odd;
            }
            case 17 -> {
                odd.path = "/api/jobs/"
                        + OddBodies.any(random, List.of("spread", "methods", "none", "x/events", "..", "%00"));
                odd.method = OddBodies.any(random, List.of("POST", "GET", "DELETE"));
                request.put("option", letter);
                request.set(
                        "document",
                        OddBodies.any(
                                random,
                                List.of(
                                        JSON.createObjectNode(),
                                        JSON.getNodeFactory().nullNode(),
                                        document.get("options"))));
            }
            case 18 -> {
                odd.path = OddBodies.any(random, List.of("/api/backups/restore", "/api/archive"));
                odd.headers.set(
                        1, OddBodies.any(random, List.of("application/zip", "application/json", "text/plain", "x")));
                odd.body = OddBodies.broken("PK\u0003\u0004" + OddBodies.text(random), random);
                return odd;
            }
            case 19 -> {
                odd.method = OddBodies.any(
                        random, List.of("GET", "HEAD", "OPTIONS", "DELETE", "PUT", "POST", "TRACE", "PROPFIND"));
                odd.path = OddBodies.any(
                        random,
                        List.of(
                                "/error",
                                "/api",
                                "/api/",
                                "/api/builds/0",
                                "/api/builds/99999999999999999999",
                                "/api/builds/1.5",
                                "/api/home",
                                "/api/home/0",
                                "/api/home/x",
                                "/assets/../../etc",
                                "/api/openapi.json",
                                "/%2e%2e/",
                                "/api/builds/1/revisions?below=x",
                                "/api/builds/1/revisions?most=-5",
                                "/api/builds/1/revisions/99999999999",
                                "/api/backups/..%2f..%2fpasswd",
                                "/api/backups/x.zip",
                                "/api/preview/pages/x",
                                "/api/methods",
                                "/api/fields",
                                "/build/1/none",
                                "/;a=b",
                                "/api/catalogue?q=" + "%F0%9F%98%80".repeat(300),
                                "/api/catalogue?kind=%00",
                                "/actuator",
                                "/api/jobs/" + "x".repeat(3000)));
                odd.body = random.nextInt(3) == 0 ? OddBodies.text(random) : null;
                if (odd.method.equals("DELETE") && odd.path.startsWith("/api/builds")) {
                    odd.method = "GET";
                }
                return odd;
            }
            case 20 -> {
                odd.path = "/api/preview";
                odd.body = OddBodies.any(
                        random,
                        List.of(
                                "",
                                "null",
                                "[]",
                                "{}",
                                "0",
                                "\"x\"",
                                "{\"document\":" + "[".repeat(3000),
                                "{\"document\":" + "9".repeat(400) + "}",
                                "{\"document\":{\"a\":" + "9".repeat(400) + "}}",
                                "\u0000",
                                "{\"document\":NaN}",
                                "{\"document\":{},\"options\":[null]}",
                                "{\"document\":{\"format\":\"enthalpa-build\",\"version\":3}}",
                                "{".repeat(100_000),
                                "{\"document\":\"" + "x".repeat(2_000_000) + "\"}"));
                return odd;
            }
            default -> {
                odd.path = OddBodies.any(random, List.of("/api/preview", "/api/preview/changes", "/api/duties/rows"));
                odd.headers.set(
                        1,
                        OddBodies.any(
                                random,
                                List.of(
                                        "text/plain",
                                        "application/xml",
                                        "multipart/form-data",
                                        "application/json;charset=utf-16",
                                        "x/y;;",
                                        "application/x-www-form-urlencoded")));
                request.set("document", document);
            }
        }
        int changes = 1 + random.nextInt(3);
        for (int i = 0; i < changes; i++) {
            OddBodies.change(request, random);
        }
        odd.body = random.nextInt(30) == 0 ? OddBodies.broken(request.toString(), random) : request.toString();
        return odd;
    }

    private static void asked(
            Odd odd, ObjectNode request, JsonNode document, String letter, String place, String path) {
        odd.path = path;
        request.set("document", document);
        request.put("option", letter).put("place", place);
    }
}
