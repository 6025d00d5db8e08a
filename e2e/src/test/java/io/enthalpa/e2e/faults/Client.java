package io.enthalpa.e2e.faults;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Speaks to a program as a page does. */
final class Client {
    static final JsonMapper JSON = JsonMapper.shared();
    private final String address;
    private final String page;
    private final HttpClient client;
    private final String token;

    /** An answer with its body as JSON, missing when it has none. */
    record Answer(int status, JsonNode json) {}

    Client(String address) throws IOException, InterruptedException {
        this(address, "client");
    }

    Client(String address, String page) throws IOException, InterruptedException {
        this.address = address;
        this.page = page;
        CookieManager cookies = new CookieManager();
        this.client = HttpClient.newBuilder()
                .cookieHandler(cookies)
                .version(HttpClient.Version.HTTP_1_1)
                .connectTimeout(Duration.ofSeconds(10))
                .build();
        client.send(
                HttpRequest.newBuilder(URI.create(address + "/api/fields")).build(),
                HttpResponse.BodyHandlers.discarding());
        this.token = cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .findFirst()
                .orElseThrow()
                .getValue();
    }

    Answer get(String path) throws IOException, InterruptedException {
        return send(request(path).GET());
    }

    Answer post(String path, String body) throws IOException, InterruptedException {
        return send(request(path).POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    Answer put(String path, int revision, String body) throws IOException, InterruptedException {
        return send(request(path)
                .header("If-Match", "\"" + revision + "\"")
                .PUT(HttpRequest.BodyPublishers.ofString(body)));
    }

    Answer save(long build, int revision, JsonNode document, String change, String edit)
            throws IOException, InterruptedException {
        ObjectNode body = JSON.createObjectNode().put("change", change).put("edit", edit);
        body.set("document", document);
        return put("/api/builds/" + build, revision, body.toString());
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(address + path))
                .timeout(Duration.ofSeconds(60))
                .header("X-XSRF-TOKEN", token)
                .header("X-Page", page)
                .header("Content-Type", "application/json");
    }

    private Answer send(HttpRequest.Builder request) throws IOException, InterruptedException {
        HttpResponse<String> answer = client.send(request.build(), HttpResponse.BodyHandlers.ofString());
        boolean json = answer.headers().firstValue("Content-Type").orElse("").contains("json");
        return new Answer(
                answer.statusCode(),
                json ? JSON.readTree(answer.body()) : JSON.getNodeFactory().missingNode());
    }

    /** @return a new build, kept */
    JsonNode freshBuild() throws IOException, InterruptedException {
        return post(
                        "/api/builds",
                        get("/api/builds/starter").json().get("document").toString())
                .json();
    }
}
