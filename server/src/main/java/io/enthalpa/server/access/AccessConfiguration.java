package io.enthalpa.server.access;

import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.MediaType;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/**
 * Loopback only, so no accounts yet; but a page of another site in the same browser must not be able to change or read anything:
 * CSRF tokens, a strict content policy, and only loopback host names ({@link LoopbackHostFilter}).
 */
@Configuration(proxyBeanMethods = false)
class AccessConfiguration {
    private static final String CONTENT_POLICY = "default-src 'self'; script-src 'self'; style-src 'self' 'unsafe-inline'; "
            + "font-src 'self' data:; img-src 'self' data:; connect-src 'self'; object-src 'none'; base-uri 'none'; "
            + "form-action 'self'; frame-ancestors 'none'";
    private static final String FORBIDDEN = """
            {"type":"urn:enthalpa:forbidden","title":"Not allowed","status":403,\
            "detail":"The page is out of date with the server. Reload it; unsaved edits are kept."}""";

    @Bean
    SecurityFilterChain filters(HttpSecurity http) throws Exception {
        return http
                .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
                .csrf(csrf -> csrf.spa())
                .headers(headers -> headers
                        .contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(policy -> policy.policy(ReferrerPolicy.NO_REFERRER))
                        .frameOptions(frame -> frame.deny()))
                .exceptionHandling(handling -> handling.accessDeniedHandler((request, response, denied) -> {
                    response.setStatus(HttpServletResponse.SC_FORBIDDEN);
                    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
                    response.getOutputStream().write(FORBIDDEN.getBytes(StandardCharsets.UTF_8));
                }))
                .formLogin(form -> form.disable())
                .httpBasic(basic -> basic.disable())
                .logout(logout -> logout.disable())
                .requestCache(cache -> cache.disable())
                .build();
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
