package io.enthalpa.e2e.faults;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
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
import tools.jackson.databind.node.ArrayNode;
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

    private static final class Odd {
        String method = "POST";
        String path = "/";
        String body;
        final List<String> headers = new ArrayList<>(List.of("Content-Type", "application/json"));
    }

    private <T> T any(Random random, List<T> list) {
        return list.get(random.nextInt(list.size()));
    }

    private Odd odd(Random random) {
        Odd odd = new Odd();
        JsonNode document = any(random, documents).deepCopy();
        String letter = any(random, List.of("A", "B", "C", "Z", "", "a", "AA"));
        String place = any(
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
        long build = any(random, builds);
        ObjectNode request = JSON.createObjectNode();
        switch (random.nextInt(22)) {
            case 0, 1, 2 -> {
                odd.path = "/api/preview";
                request.set("document", document);
                if (random.nextBoolean()) {
                    request.putArray("options").add(letter);
                }
                if (random.nextBoolean()) {
                    request.put("part", any(random, List.of("LINE", "DUTY", "OTHER", "")));
                }
            }
            case 3 -> asked(odd, request, document, letter, place, "/api/preview/core-steps");
            case 4 -> asked(odd, request, document, letter, place, "/api/preview/water-changes");
            case 5 -> {
                asked(odd, request, document, letter, place, "/api/preview/stack-orders");
                request.remove("place");
                request.put("way", any(random, List.of(0, 1, -1, 99, Integer.MAX_VALUE)));
            }
            case 6 ->
                asked(
                        odd,
                        request,
                        document,
                        letter,
                        place,
                        "/api/preview/trace/" + any(random, List.of("csv", "json", "xml", "..%2F..", "")));
            case 7 -> asked(odd, request, document, letter, place, "/api/preview/reasons");
            case 8 -> {
                odd.path = "/api/preview/map";
                request.put("csv", text(random));
            }
            case 9 -> asked(odd, request, document, letter, place, "/api/preview/changes");
            case 10 -> {
                odd.path = "/api/duties/" + any(random, List.of("library", "rows", "laps", "log-columns"));
                request.set("document", document);
                request.put("start", text(random))
                        .put("lap_s", 90)
                        .put("corners", 6)
                        .put("fast_km_h", 180)
                        .put("slow_km_h", 80)
                        .put("laps", 3);
            }
            case 11, 12 -> log(odd, random);
            case 13 -> {
                odd.path = "/api/catalogue" + any(random, List.of("", "/file", "/1", "/999999", "/abc", "/-1"));
                odd.method = any(random, List.of("POST", "PUT", "DELETE", "PATCH"));
                odd.headers.addAll(
                        List.of("If-Match", any(random, List.of("\"1\"", "1", "x", "*", "\"99999999999999\""))));
                request.put("kind", any(random, List.of("joint", "pipe", "core", "bend", "wing", "")))
                        .put("name", text(random))
                        .put("note", "")
                        .put("price", 20)
                        .put("mass_kg", 0.2)
                        .put("csv", text(random));
                request.putObject("figures")
                        .put("bore_mm", 63)
                        .put("hoseBore_mm", 67)
                        .put("gap_mm", 8);
            }
            case 14, 15 -> {
                odd.path = "/api/builds/" + build
                        + any(
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
                odd.method = any(random, List.of("PUT", "PUT", "POST", "PATCH"));
                odd.headers.addAll(List.of(
                        "If-Match",
                        any(random, List.of("\"1\"", "\"2\"", "1", "", "x", "W/\"1\"", "\"-1\"", "\"99999999999\""))));
                request.put("change", text(random))
                        .put("edit", any(random, List.of("e1", "", "x".repeat(100))))
                        .put("putAway", random.nextBoolean())
                        .put("name", text(random));
                request.set("document", document);
            }
            case 16 -> {
                odd.path = "/api/builds"
                        + any(
                                random,
                                List.of(
                                        "",
                                        "?uid=zz",
                                        "?uid=" + java.util.UUID.randomUUID(),
                                        "/starter",
                                        "?change=" + "x".repeat(5000)));
                odd.body = broken(document.toString(), random);
                return odd;
            }
            case 17 -> {
                odd.path = "/api/jobs/" + any(random, List.of("spread", "methods", "none", "x/events", "..", "%00"));
                odd.method = any(random, List.of("POST", "GET", "DELETE"));
                request.put("option", letter);
                request.set(
                        "document",
                        any(
                                random,
                                List.of(
                                        JSON.createObjectNode(),
                                        JSON.getNodeFactory().nullNode(),
                                        document.get("options"))));
            }
            case 18 -> {
                odd.path = any(random, List.of("/api/backups/restore", "/api/archive"));
                odd.headers.set(1, any(random, List.of("application/zip", "application/json", "text/plain", "x")));
                odd.body = broken("PK\u0003\u0004" + text(random), random);
                return odd;
            }
            case 19 -> {
                odd.method =
                        any(random, List.of("GET", "HEAD", "OPTIONS", "DELETE", "PUT", "POST", "TRACE", "PROPFIND"));
                odd.path = any(
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
                odd.body = random.nextInt(3) == 0 ? text(random) : null;
                if (odd.method.equals("DELETE") && odd.path.startsWith("/api/builds")) {
                    odd.method = "GET";
                }
                return odd;
            }
            case 20 -> {
                odd.path = "/api/preview";
                odd.body = any(
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
                odd.path = any(random, List.of("/api/preview", "/api/preview/changes", "/api/duties/rows"));
                odd.headers.set(
                        1,
                        any(
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
            change(request, random);
        }
        odd.body = random.nextInt(30) == 0 ? broken(request.toString(), random) : request.toString();
        return odd;
    }

    private static void asked(
            Odd odd, ObjectNode request, JsonNode document, String letter, String place, String path) {
        odd.path = path;
        request.set("document", document);
        request.put("option", letter).put("place", place);
    }

    private void log(Odd odd, Random random) {
        StringBuilder query = new StringBuilder("?");
        for (String key : List.of(
                "columns",
                "outside_kPa",
                "boost_kPa",
                "limiter_rpm",
                "ratios",
                "tyre_mm",
                "finalDrive",
                "changeUp_rpm",
                "idle_rpm")) {
            if (random.nextInt(8) > 0) {
                String value = random.nextInt(4) > 0
                        ? switch (key) {
                            case "columns" -> any(random, List.of("", "TIME:0:s,BOOST:1:kPa,ENGINE_SPEED:2:rpm"));
                            case "ratios" -> "3.4,2,1.35,1";
                            case "outside_kPa" -> "100";
                            case "boost_kPa" -> "90";
                            case "tyre_mm" -> "2000";
                            case "finalDrive" -> "3.9";
                            default -> "6000";
                        }
                        : any(
                                random,
                                List.of(
                                        "NaN",
                                        "Infinity",
                                        "-1",
                                        "1e309",
                                        "x",
                                        "",
                                        "0",
                                        "TIME:99:s",
                                        "TIME:-1:s",
                                        "TIME:0:parsec",
                                        "1,,2",
                                        "NaN,1"));
                query.append(key)
                        .append('=')
                        .append(URLEncoder.encode(value, StandardCharsets.UTF_8))
                        .append('&');
            }
        }
        odd.path = "/api/duties/log" + query;
        odd.headers.set(1, "text/csv");
        StringBuilder csv = new StringBuilder(any(
                random,
                List.of(
                        "Time [s],Boost [kPa],RPM,Note\n",
                        "t;p;n\n",
                        "",
                        "Time,Time,Boost\n",
                        "a,".repeat(16_000) + "\n",
                        "\uFEFFTime\tBoost\tRPM\n")));
        int rows = random.nextInt(60);
        for (int i = 0; i < rows; i++) {
            csv.append(
                            random.nextInt(20) == 0
                                    ? any(random, List.of("NaN", "", "x", "1e400", "-", "\""))
                                    : String.valueOf(i))
                    .append(',')
                    .append(
                            random.nextInt(20) == 0
                                    ? any(random, List.of("NaN", "", "Infinity", "9".repeat(400)))
                                    : String.valueOf(random.nextInt(90)))
                    .append(',')
                    .append(1000 + 100 * i)
                    .append(',')
                    .append(any(random, List.of("ok", "NaN", "bad cell", "")))
                    .append('\n');
        }
        odd.body = csv.toString();
    }

    private String text(Random random) {
        return any(
                random,
                List.of(
                        "",
                        " ",
                        "x",
                        "\u0000",
                        "=1+1",
                        "<script>",
                        "x".repeat(10_000),
                        "speed,flow,pressure ratio,efficiency\n90000,0.1,2,70\n",
                        "\uD800",
                        "a\nb,c\n1,2",
                        "kind,name\njoint,x\n",
                        "9".repeat(400),
                        "speed,flow,pressure ratio,efficiency\nNaN,NaN,NaN,NaN\n",
                        "\"",
                        "kind;name;price\njoint;x;NaN\n"));
    }

    private String broken(String text, Random random) {
        return switch (random.nextInt(4)) {
            case 0 -> text.substring(0, random.nextInt(text.length()));
            case 1 -> text;
            case 2 ->
                new StringBuilder(text)
                        .insert(
                                random.nextInt(text.length()),
                                any(random, List.of("{", "\"", ",", "\u0000", "9".repeat(500), "null")))
                        .toString();
            default ->
                text.replaceFirst(
                        "\\d+",
                        any(random, List.of("1e999", "-0", "NaN", "9".repeat(400), "0.0000000000000000000001")));
        };
    }

    /** Takes out, empties, turns or doubles one thing anywhere in a tree. */
    private void change(JsonNode root, Random random) {
        JsonNode node = root;
        for (int depth = random.nextInt(9); depth > 0 && node.size() > 0; depth--) {
            List<JsonNode> children = new ArrayList<>();
            node.forEach(children::add);
            JsonNode child = any(random, children);
            if (!child.isContainer()) {
                break;
            }
            node = child;
        }
        if (node instanceof ObjectNode object && !object.isEmpty()) {
            String key = any(random, List.copyOf(object.propertyNames()));
            switch (random.nextInt(4)) {
                case 0 -> object.remove(key);
                case 1 -> object.set(random.nextBoolean() ? key : "unheardOf", value(random));
                default -> object.set(key, value(random));
            }
        } else if (node instanceof ArrayNode array && !array.isEmpty()) {
            int at = random.nextInt(array.size());
            switch (random.nextInt(4)) {
                case 0 -> array.remove(at);
                case 1 -> array.insert(at, array.get(at).deepCopy());
                case 2 -> array.set(at, value(random));
                default -> array.removeAll();
            }
        }
    }

    private JsonNode value(Random random) {
        return switch (random.nextInt(14)) {
            case 0 -> JSON.getNodeFactory().nullNode();
            case 1 -> JSON.createObjectNode();
            case 2 -> JSON.createArrayNode();
            case 3 -> JSON.getNodeFactory().stringNode(text(random));
            case 4 -> JSON.getNodeFactory().numberNode(-1);
            case 5 -> JSON.getNodeFactory().numberNode(0);
            case 6 -> JSON.getNodeFactory().numberNode(1e308);
            case 7 -> JSON.getNodeFactory().numberNode(Double.MIN_VALUE);
            case 8 -> JSON.getNodeFactory().numberNode(new java.math.BigInteger("9".repeat(400)));
            case 9 -> JSON.getNodeFactory().booleanNode(random.nextBoolean());
            case 10 -> JSON.getNodeFactory().numberNode(random.nextInt(1000));
            case 11 -> JSON.getNodeFactory().numberNode(random.nextDouble() * 100);
            case 12 -> JSON.createArrayNode().addNull().add(1).add("x");
            default -> JSON.getNodeFactory().stringNode("NaN");
        };
    }
}
