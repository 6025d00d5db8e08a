package io.enthalpa.server.problem;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import tools.jackson.databind.json.JsonMapper;

/** A problem document written where no controller is reached. */
public final class ProblemText {
    private ProblemText() {}

    public static void write(HttpServletResponse response, int status, String type, String title, String detail)
            throws IOException {
        response.setStatus(status);
        response.setContentType("application/problem+json");
        response.getOutputStream()
                .write(JsonMapper.shared()
                        .createObjectNode()
                        .put("type", "urn:enthalpa:" + type)
                        .put("title", title)
                        .put("status", status)
                        .put("detail", detail)
                        .toString()
                        .getBytes(StandardCharsets.UTF_8));
    }
}
