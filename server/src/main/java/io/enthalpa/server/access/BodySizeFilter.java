package io.enthalpa.server.access;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Refuses a body that is larger than any build file, before reading it. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class BodySizeFilter extends OncePerRequestFilter {
    /** Bytes; a build file has at most 4 million characters, and a change carries one with a label. */
    static final long LARGEST = 9_000_000;
    /** Logs are read as a stream: ten hours at 50 Hz with many columns. */
    private static final String LOG_FILE = "/api/duties/log";
    private static final long LARGEST_LOG = 600_000_000;
    private static final String TOO_LARGE = """
            {"type":"urn:enthalpa:too-large","title":"Too large","status":413,\
            "detail":"The request has more than 9 MB (a log: 600 MB); a build file has at most 4. Choose a file saved from a build's page, or cut the log."}""";

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean untold = request.getHeader("Transfer-Encoding") != null;
        long largest = request.getRequestURI().equals(LOG_FILE) ? LARGEST_LOG : LARGEST;
        if (request.getContentLengthLong() > largest || untold) {
            response.setStatus(untold ? HttpServletResponse.SC_LENGTH_REQUIRED : HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE);
            response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
            response.getOutputStream().write(TOO_LARGE.getBytes(StandardCharsets.UTF_8));
        } else {
            chain.doFilter(request, response);
        }
    }
}
