package kiver.server.account;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.regex.Pattern;
import kiver.server.clock.NurseryClock;
import kiver.server.wording.Wording;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.ProviderManager;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextHolderFilter;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.DefaultCookieSerializer;

/** Who may call what. Whose orders a grower sees is decided where orders are read. */
@Configuration
class SecurityConfiguration {

    private static final String PROPAGATOR = Role.PROPAGATOR.name();
    private static final Pattern SESSION_NUMBER = Pattern.compile("[0-9a-f-]{36}");
    private static final String BENCH_HAND = Role.BENCH_HAND.name();

    @Bean
    SecurityFilterChain chain(
            HttpSecurity http,
            SecurityContextRepository contexts,
            AccountMapper accounts,
            NurseryClock clock,
            Wording wording)
            throws Exception {
        return http.authorizeHttpRequests(calls -> calls.dispatcherTypeMatchers(
                                DispatcherType.ERROR, DispatcherType.FORWARD)
                        .permitAll()
                        .requestMatchers(
                                "/api/session",
                                "/api/session/link",
                                "/api/session/reset",
                                "/api/setup",
                                // Shown the word that the copy was opened with, which is looked at there.
                                "/api/play/door",
                                "/actuator/health/**")
                        .permitAll()
                        .requestMatchers("/api/session/**")
                        .authenticated()
                        .requestMatchers("/actuator/**")
                        .denyAll()
                        .requestMatchers(
                                "/api/people/**",
                                "/api/nursery",
                                "/api/growers/**",
                                "/api/messages/**",
                                "/api/prices/**",
                                "/api/invoicing",
                                "/api/demo/**",
                                "/api/play/**",
                                "/api/plans",
                                "/api/promises",
                                "/api/season-again",
                                "/api/data-package/**",
                                "/api/plant-health",
                                "/api/paths",
                                "/api/successions/**",
                                "/api/own-table/**")
                        .hasRole(PROPAGATOR)
                        .requestMatchers("/calendar/*")
                        .permitAll()
                        // Shown a device's token, which is looked at there.
                        .requestMatchers(HttpMethod.POST, "/api/readings", "/api/forecast")
                        .permitAll()
                        .requestMatchers(HttpMethod.POST, "/api/orders/*/lines/*/requests")
                        .authenticated()
                        .requestMatchers(
                                HttpMethod.GET,
                                "/api/board/**",
                                "/api/space/**",
                                "/api/drafts/**",
                                "/api/sheets/**",
                                "/api/weather/**")
                        .hasAnyRole(PROPAGATOR, BENCH_HAND)
                        .requestMatchers(
                                "/api/board/**",
                                "/api/space/**",
                                "/api/drafts/**",
                                "/api/sheets/**",
                                "/api/weather/**",
                                "/api/reschedule/**")
                        .hasRole(PROPAGATOR)
                        .requestMatchers("/api/founding", "/api/grown", "/api/safekeeping/**")
                        .hasRole(PROPAGATOR)
                        .requestMatchers(
                                HttpMethod.PUT,
                                "/api/week/hands",
                                "/api/media/**",
                                "/api/feeding/**",
                                "/api/hardening/**",
                                "/api/lessons/**",
                                "/api/loading/**",
                                "/api/places/**",
                                "/api/crops/**")
                        .hasRole(PROPAGATOR)
                        .requestMatchers(
                                HttpMethod.POST,
                                "/api/week/clearings",
                                "/api/media/**",
                                "/api/orders/**",
                                "/api/releases",
                                "/api/batches",
                                "/api/batches/bought-in",
                                "/api/batches/*/withdrawals",
                                "/api/batches/*/resowings",
                                "/api/devices",
                                "/api/feeding/**",
                                "/api/hardening/**",
                                "/api/lessons/**",
                                "/api/trials",
                                "/api/devices/*/withdrawals",
                                "/api/nursery",
                                "/api/places",
                                "/api/varieties",
                                "/api/lots",
                                "/api/packets",
                                "/api/growers")
                        .hasRole(PROPAGATOR)
                        .requestMatchers(HttpMethod.GET, "/api/lots/*/claim.pdf")
                        .hasRole(PROPAGATOR)
                        .requestMatchers(HttpMethod.GET, "/api/orders/**", "/api/releases/*/note.pdf")
                        .authenticated()
                        // Growers ask and tell, each of their own.
                        .requestMatchers(HttpMethod.POST, "/api/requests/*/answers", "/api/losses/*/replacements")
                        .hasRole(PROPAGATOR)
                        .requestMatchers("/api/requests", "/api/free/**", "/api/losses/**", "/api/releases/*/losses")
                        .authenticated()
                        // Growers note what they see at their own sites.
                        .requestMatchers("/api/sites/*/pests/**")
                        .authenticated()
                        .requestMatchers(HttpMethod.POST, "/api/calendar-feeds/mine")
                        .authenticated()
                        .requestMatchers("/api/**", "/v3/**")
                        .hasAnyRole(PROPAGATOR, BENCH_HAND)
                        .anyRequest()
                        .permitAll())
                .csrf(csrf -> csrf.spa().ignoringRequestMatchers("/api/readings", "/api/forecast"))
                .securityContext(context -> context.securityContextRepository(contexts))
                .exceptionHandling(failures ->
                        failures.authenticationEntryPoint(new HttpStatusEntryPoint(HttpStatus.UNAUTHORIZED)))
                .headers(headers -> headers.referrerPolicy(
                                referrer -> referrer.policy(ReferrerPolicyHeaderWriter.ReferrerPolicy.SAME_ORIGIN))
                        .contentSecurityPolicy(policy -> policy.policyDirectives(
                                "default-src 'self'; img-src 'self' data: blob:; style-src 'self' 'unsafe-inline'; "
                                        + "frame-ancestors 'none'; base-uri 'self'; form-action 'self'")))
                .addFilterAfter(new AccountStillStands(accounts, clock, wording), SecurityContextHolderFilter.class)
                .logout(logout -> logout.disable())
                .requestCache(cache -> cache.disable())
                .build();
    }

    @Bean
    SecurityContextRepository contexts() {
        return new HttpSessionSecurityContextRepository();
    }

    @Bean
    PasswordEncoder passwordEncoder() {
        return Passwords.encoder();
    }

    /** A session's number is one that was given out here; anything else is no session, and nothing asks for it. */
    @Bean
    CookieSerializer sessionCookies(@Value("${kiver.session-cookie:SESSION}") String name) {
        DefaultCookieSerializer cookies = new DefaultCookieSerializer() {
            @Override
            public List<String> readCookieValues(HttpServletRequest request) {
                return super.readCookieValues(request).stream()
                        .filter(id -> SESSION_NUMBER.matcher(id).matches())
                        .toList();
            }
        };
        cookies.setCookieName(name);
        cookies.setUseHttpOnlyCookie(true);
        cookies.setSameSite("Lax");
        return cookies;
    }

    @Bean
    AuthenticationManager authenticationManager(AccountMapper accounts, PasswordEncoder encoder, NurseryClock clock) {
        DaoAuthenticationProvider provider = new DaoAuthenticationProvider(email -> accounts.byEmail(email)
                .filter(account -> !account.hasEnded(clock.today()))
                .map(Person::of)
                .orElseThrow(() -> new UsernameNotFoundException("unknown")));
        provider.setPasswordEncoder(encoder);
        return new ProviderManager(provider);
    }
}
