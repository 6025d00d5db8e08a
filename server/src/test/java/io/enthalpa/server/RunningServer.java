package io.enthalpa.server;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The real application on a free port with a folder of its own, spoken to over HTTP as the page speaks to it. */
public final class RunningServer implements AutoCloseable {
    private final ConfigurableApplicationContext context;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private final URI base;

    public RunningServer(Path data, boolean demo) {
        this(data, demo, "--springdoc.api-docs.enabled=false");
    }

    /** @param settings further ones, as on a command line */
    public RunningServer(Path data, boolean demo, String... settings) {
        context = new SpringApplicationBuilder(EnthalpaApplication.class)
                .run(Stream.concat(
                                Stream.of("--server.port=0", "--enthalpa.data=" + data, "--enthalpa.demo=" + demo),
                                Stream.of(settings))
                        .toArray(String[]::new));
        base = URI.create("http://127.0.0.1:" + context.getEnvironment().getProperty("local.server.port"));
    }

    /** An answer with its body as JSON, missing when it has none. */
    public record Reply(int status, HttpResponse<String> raw, JsonNode json) {}

    /** @return the document of a build by its name */
    public JsonNode document(String build) {
        for (JsonNode each : get("/api/builds").json()) {
            if (each.get("name").asString().equals(build)) {
                return get("/api/builds/" + each.get("id")).json().get("document");
            }
        }
        throw new IllegalArgumentException("no build \"" + build + "\"");
    }

    /** @return a new build, kept, as it is answered */
    public JsonNode freshBuild() {
        return post(
                        "/api/builds?change=new%20build",
                        get("/api/builds/starter").json().get("document").toString())
                .json();
    }

    public Reply get(String path) {
        return send(request(path).GET());
    }

    public Reply post(String path, String body, String... headers) {
        return send(write(path, headers).POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    public Reply post(String path, HttpRequest.BodyPublisher body, String type) {
        return send(write(path, "Content-Type", type).POST(body));
    }

    /** @return an answer as it comes */
    public HttpResponse<byte[]> bytes(String path) {
        try {
            return client.send(request(path).build(), HttpResponse.BodyHandlers.ofByteArray());
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    public Reply put(String path, String body, String... headers) {
        return send(write(path, headers).PUT(HttpRequest.BodyPublishers.ofString(body)));
    }

    public Reply delete(String path, String... headers) {
        return send(write(path, headers).DELETE());
    }

    /** Sends as it is: no token added. */
    public Reply send(HttpRequest.Builder request) {
        try {
            HttpResponse<String> response = client.send(request.build(), HttpResponse.BodyHandlers.ofString());
            String type = response.headers().firstValue("Content-Type").orElse("");
            return new Reply(
                    response.statusCode(),
                    response,
                    type.contains("json") ? JsonMapper.shared().readTree(response.body()) : null);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    public HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(base.resolve(path));
    }

    private HttpRequest.Builder write(String path, String... headers) {
        HttpRequest.Builder request =
                request(path).header("Content-Type", "application/json").header("X-XSRF-TOKEN", token());
        for (int i = 0; i < headers.length; i += 2) {
            request.setHeader(headers[i], headers[i + 1]);
        }
        return request;
    }

    /** @return the token's cookie as a fresh visitor is given it */
    public String cookie() {
        try {
            return HttpClient.newHttpClient()
                    .send(request("/api/fields").build(), HttpResponse.BodyHandlers.discarding())
                    .headers()
                    .firstValue("Set-Cookie")
                    .orElse("");
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private String token() {
        if (cookies.getCookieStore().getCookies().isEmpty()) {
            get("/api/fields");
        }
        return cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .findFirst()
                .orElseThrow()
                .getValue();
    }

    public int port() {
        return base.getPort();
    }

    @Override
    public void close() {
        context.close();
    }
}
