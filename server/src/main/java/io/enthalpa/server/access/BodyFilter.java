package io.enthalpa.server.access;

import io.enthalpa.server.problem.ProblemText;
import jakarta.servlet.AsyncContext;
import jakarta.servlet.AsyncEvent;
import jakarta.servlet.AsyncListener;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.Filter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.ServletRequest;
import jakarta.servlet.ServletResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Map;
import java.util.concurrent.Semaphore;

/**
 * Takes in a request's body before anything is done about it, without a thread waiting for it, so that slow senders starve nobody; refuses
 * one that is larger than any build file, before reading it. Whole files (logs, backups) are read as they come, a few at a time.
 */
final class BodyFilter implements Filter {
    /** Bytes; a build file has at most 4 million characters, and a change carries one with a label. */
    static final long LARGEST = 9_000_000;

    static final long PATIENCE_MS = 20_000;
    private static final int FILES_AT_A_TIME = 4;
    private static final String BODY = BodyFilter.class.getName() + ".body";
    /** What is read as a stream, and how many bytes it may have: ten hours of a log at 50 Hz with many columns, a file of triangles, a backup, an archive. */
    private static final Map<String, Long> FILES = Map.of(
            "/api/duties/log",
            600_000_000L,
            "/api/logs",
            600_000_000L,
            "/api/room/mesh",
            2_000_000_000L,
            "/api/backups/restore",
            2_000_000_000L,
            "/api/archive",
            2_000_000_000L);

    private final Semaphore files = new Semaphore(FILES_AT_A_TIME);

    @Override
    public void doFilter(ServletRequest from, ServletResponse to, FilterChain chain)
            throws IOException, ServletException {
        HttpServletRequest request = (HttpServletRequest) from;
        HttpServletResponse response = (HttpServletResponse) to;
        if (request.getDispatcherType() != DispatcherType.REQUEST) {
            byte[] body =
                    request.getDispatcherType() == DispatcherType.ASYNC ? (byte[]) request.getAttribute(BODY) : null;
            chain.doFilter(body == null ? request : new TakenRequest(request, body), response);
            return;
        }
        Long file = FILES.get(request.getRequestURI());
        long length = request.getContentLengthLong();
        if (request.getHeader("Transfer-Encoding") != null) {
            ProblemText.write(
                    response,
                    411,
                    "length-required",
                    "Length required",
                    "Send the body's length (Content-Length) instead of pieces of unknown length.");
        } else if (length > (file == null ? LARGEST : file)) {
            ProblemText.write(
                    response,
                    413,
                    "too-large",
                    "Too large",
                    "The request has more than 9 MB (a log: 600 MB, a backup or a file of triangles: 2 GB); a build file has at most 4. Choose a file saved from a build's page, or cut the log.");
        } else if (file != null) {
            stream(request, response, chain);
        } else if (length > 0) {
            take(request, response, (int) length);
        } else {
            chain.doFilter(request, response);
        }
    }

    private void stream(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        if (!files.tryAcquire()) {
            ProblemText.write(response, 503, "busy", "Busy", "Other files are being read now. Try again in a moment.");
            return;
        }
        try {
            chain.doFilter(request, response);
        } finally {
            files.release();
        }
    }

    private static void take(HttpServletRequest request, HttpServletResponse response, int length) throws IOException {
        AsyncContext later = request.startAsync();
        later.setTimeout(PATIENCE_MS);
        Taking taking = new Taking(later, request.getInputStream(), request, response, length);
        later.addListener(taking);
        request.getInputStream().setReadListener(taking);
    }

    /** Collects what has come so far whenever some more comes. */
    private static final class Taking implements ReadListener, AsyncListener {
        private final AsyncContext later;
        private final ServletInputStream in;
        private final HttpServletRequest request;
        private final HttpServletResponse response;
        private final ByteArrayOutputStream body;
        private boolean over;

        Taking(
                AsyncContext later,
                ServletInputStream in,
                HttpServletRequest request,
                HttpServletResponse response,
                int length) {
            this.later = later;
            this.in = in;
            this.request = request;
            this.response = response;
            this.body = new ByteArrayOutputStream(Math.min(length, 64 * 1024));
        }

        @Override
        public void onDataAvailable() throws IOException {
            byte[] buffer = new byte[16 * 1024];
            while (in.isReady() && !in.isFinished()) {
                int read = in.read(buffer);
                if (read < 0) {
                    return;
                }
                body.write(buffer, 0, read);
            }
        }

        @Override
        public void onAllDataRead() {
            if (!over) {
                over = true;
                request.setAttribute(BODY, body.toByteArray());
                later.dispatch();
            }
        }

        /** The sender went away. */
        @Override
        public void onError(Throwable gone) {
            end();
        }

        @Override
        public void onTimeout(AsyncEvent event) throws IOException {
            if (!over) {
                ProblemText.write(
                        response,
                        408,
                        "too-slow",
                        "Too slow",
                        "The request did not come within " + PATIENCE_MS / 1000
                                + " s; nothing was changed. Send it again.");
            }
            end();
        }

        private void end() {
            if (!over) {
                over = true;
                later.complete();
            }
        }

        @Override
        public void onError(AsyncEvent event) {
            end();
        }

        @Override
        public void onComplete(AsyncEvent event) {
            // Nothing is held.
        }

        @Override
        public void onStartAsync(AsyncEvent event) {
            // The request's handler has its own.
        }
    }
}
