package io.enthalpa.server;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.server.RunningServer.Reply;
import java.io.IOException;
import java.net.Socket;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class AccessTest {
    @TempDir
    static Path data;

    private static RunningServer server;

    @BeforeAll
    static void start() {
        server = new RunningServer(data, false);
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    @Test
    void changingWithoutTokenIsForbiddenInPlainWords() {
        Reply reply = server.send(server.request("/api/builds")
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString("{}")));
        assertThat(reply.status()).isEqualTo(403);
        assertThat(reply.json().get("detail").asString())
                .contains("reload")
                .contains("X-XSRF-TOKEN")
                .contains("GET /api/fields");
        assertThat(server.get("/api/builds").json()).isEmpty();
    }

    @Test
    void contentPolicyAllowsOnlyOurselves() {
        String policy = server.get("/")
                .raw()
                .headers()
                .firstValue("Content-Security-Policy")
                .orElseThrow();
        assertThat(policy)
                .contains("default-src 'self'")
                .contains("script-src 'self';")
                .contains("frame-ancestors 'none'")
                .doesNotContain("http");
    }

    @Test
    void foreignHostNameIsNotServed() throws IOException {
        try (Socket socket = new Socket("127.0.0.1", server.port())) {
            socket.getOutputStream()
                    .write("GET /api/builds HTTP/1.1\r\nHost: shop.example\r\nConnection: close\r\n\r\n"
                            .getBytes(StandardCharsets.US_ASCII));
            String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertThat(answer).startsWith("HTTP/1.1 421");
        }
    }

    @Test
    void bodyLargerThanAnyBuildFileIsRefusedUnread() {
        Reply reply = server.post("/api/builds", " ".repeat(9_100_000));
        assertThat(reply.status()).isEqualTo(413);
        assertThat(reply.json().get("detail").asString()).contains("at most 4");
        HttpRequest.BodyPublisher untold =
                HttpRequest.BodyPublishers.ofInputStream(() -> new java.io.ByteArrayInputStream(new byte[10]));
        assertThat(server.send(server.request("/api/builds").POST(untold)).status())
                .isEqualTo(411);
        assertThat(server.post("/api/builds", " ".repeat(4_100_000))
                        .json()
                        .get("detail")
                        .asString())
                .contains("at most 4000000");
    }

    /** The body is taken in by a filter of ours first; the token is asked for all the same. */
    @Test
    void wrongTokenIsForbiddenToo() {
        server.get("/api/fields");
        assertThat(server.post("/api/builds", "{}", "X-XSRF-TOKEN", "guessed").status())
                .isEqualTo(403);
    }

    @Test
    void tokenIsForThisSiteOnly() {
        assertThat(server.cookie()).contains("SameSite=Strict");
    }

    @Test
    void pageIsServedForItsOwnAddressesOnly() {
        assertThat(server.get("/build/3/core").raw().body()).contains("<div id=\"app\">");
        assertThat(server.get("/assets/none.js").status()).isEqualTo(404);
        assertThat(server.get("/api/none").status()).isEqualTo(404);
    }
}
