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

/** Who may call what: each operation says it itself. */
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
            Wording wording,
            DeclaredCallers declared)
            throws Exception {
        return http.authorizeHttpRequests(
                        calls -> calls.dispatcherTypeMatchers(DispatcherType.ERROR, DispatcherType.FORWARD)
                                .permitAll()
                                .requestMatchers("/actuator/health/**")
                                .permitAll()
                                .requestMatchers("/actuator/**")
                                .denyAll()
                                .requestMatchers("/api/**", "/calendar/**")
                                .access(declared)
                                .requestMatchers("/v3/**")
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
