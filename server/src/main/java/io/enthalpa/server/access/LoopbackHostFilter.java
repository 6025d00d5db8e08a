package io.enthalpa.server.access;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Answers only under loopback names, so that a foreign name pointed at this machine reaches nothing (DNS rebinding). */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class LoopbackHostFilter extends OncePerRequestFilter {
    private static final Set<String> NAMES = Set.of("127.0.0.1", "localhost", "[::1]", "::1");

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (NAMES.contains(request.getServerName())) {
            chain.doFilter(request, response);
        } else {
            response.setStatus(421);
        }
    }
}
