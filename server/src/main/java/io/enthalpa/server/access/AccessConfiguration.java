package io.enthalpa.server.access;

import io.enthalpa.server.problem.ProblemText;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.EnumSet;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/**
 * Loopback only, so no accounts yet; but a page of another site in the same browser must not be able to change or read anything:
 * CSRF tokens, a strict content policy, and only loopback host names ({@link LoopbackHostFilter}).
 */
@Configuration(proxyBeanMethods = false)
class AccessConfiguration {
    private static final String CONTENT_POLICY =
            "default-src 'self'; script-src 'self'; style-src 'self' 'unsafe-inline'; "
                    + "font-src 'self' data:; img-src 'self' data:; connect-src 'self'; object-src 'none'; base-uri 'none'; "
                    + "form-action 'self'; frame-ancestors 'none'";
    private static final String FORBIDDEN =
            "The request carries no token of this server, so nothing was changed. A page: reload it; unsaved edits are kept. "
                    + "A script: ask for GET /api/fields first, keep the cookie XSRF-TOKEN that comes with it, and send the cookie and its value as the header X-XSRF-TOKEN with every request that changes or computes something.";

    @Bean
    SecurityFilterChain filters(HttpSecurity http) throws Exception {
        return http.authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
                .csrf(csrf -> csrf.spa().csrfTokenRepository(tokens()))
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(policy -> policy.policy(ReferrerPolicy.NO_REFERRER))
                        .frameOptions(frame -> frame.deny()))
                .exceptionHandling(
                        handling -> handling.accessDeniedHandler((request, response, denied) -> ProblemText.write(
                                response, HttpServletResponse.SC_FORBIDDEN, "forbidden", "Not allowed", FORBIDDEN)))
                .formLogin(form -> form.disable())
                .httpBasic(basic -> basic.disable())
                .logout(logout -> logout.disable())
                .requestCache(cache -> cache.disable())
                .build();
    }

    /** The page reads the cookie to send it back; no other site's page makes a browser send it. */
    private static CookieCsrfTokenRepository tokens() {
        CookieCsrfTokenRepository tokens = CookieCsrfTokenRepository.withHttpOnlyFalse();
        tokens.setCookieCustomizer(cookie -> cookie.sameSite("Strict"));
        return tokens;
    }

    @Bean
    FilterRegistrationBean<BodyFilter> bodies() {
        FilterRegistrationBean<BodyFilter> bodies = new FilterRegistrationBean<>(new BodyFilter());
        bodies.setDispatcherTypes(EnumSet.of(DispatcherType.REQUEST, DispatcherType.ASYNC));
        bodies.setOrder(Ordered.HIGHEST_PRECEDENCE + 1);
        return bodies;
    }

    /** There are no accounts; this keeps the framework from inventing one. */
    @Bean
    UserDetailsService noAccounts() {
        return name -> {
            throw new UsernameNotFoundException(name);
        };
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
