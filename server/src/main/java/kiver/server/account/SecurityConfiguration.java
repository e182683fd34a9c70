package kiver.server.account;

import jakarta.servlet.DispatcherType;
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
import org.springframework.security.crypto.password.Pbkdf2PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;

/** Who may call what. Whose orders a grower sees is decided where orders are read. */
@Configuration
class SecurityConfiguration {

    private static final String PROPAGATOR = Role.PROPAGATOR.name();
    private static final String BENCH_HAND = Role.BENCH_HAND.name();

    @Bean
    SecurityFilterChain chain(HttpSecurity http, SecurityContextRepository contexts) throws Exception {
        return http.authorizeHttpRequests(calls -> calls
                        .dispatcherTypeMatchers(DispatcherType.ERROR, DispatcherType.FORWARD).permitAll()
                        .requestMatchers("/api/session", "/api/setup", "/actuator/health/**").permitAll()
                        .requestMatchers("/api/demo/**", "/api/plans", "/api/promises", "/api/paths", "/api/successions/**").hasRole(PROPAGATOR)
                        .requestMatchers("/calendar/*").permitAll()
                        .requestMatchers(HttpMethod.GET, "/api/season/**", "/api/space/**", "/api/drafts/**", "/api/sheets/**",
                                "/api/weather/**").hasAnyRole(PROPAGATOR, BENCH_HAND)
                        .requestMatchers("/api/season/**", "/api/space/**", "/api/drafts/**", "/api/sheets/**",
                                "/api/weather/**", "/api/reschedule/**").hasRole(PROPAGATOR)
                        .requestMatchers(
                                HttpMethod.POST, "/api/orders", "/api/releases", "/api/people", "/api/places",
                                "/api/varieties", "/api/lots", "/api/growers").hasRole(PROPAGATOR)
                        .requestMatchers(HttpMethod.GET, "/api/orders/**", "/api/releases/*/note.pdf").authenticated()
                        .requestMatchers(HttpMethod.POST, "/api/calendar-feeds/mine").authenticated()
                        .requestMatchers("/api/**", "/v3/**").hasAnyRole(PROPAGATOR, BENCH_HAND)
                        .anyRequest().permitAll())
                .csrf(csrf -> csrf.spa())
                .securityContext(context -> context.securityContextRepository(contexts))
                .exceptionHandling(failures ->
                        failures.authenticationEntryPoint(new HttpStatusEntryPoint(HttpStatus.UNAUTHORIZED)))
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(
                        "default-src 'self'; img-src 'self' data:; style-src 'self' 'unsafe-inline'; "
                                + "frame-ancestors 'none'; base-uri 'self'; form-action 'self'")))
                .logout(logout -> logout.disable())
                .requestCache(cache -> cache.disable())
                .build();
    }

    @Bean
    SecurityContextRepository contexts() {
        return new HttpSessionSecurityContextRepository();
    }

    /** PBKDF2 with the framework's present strength: it needs no native code and stands in current guidance. */
    @Bean
    PasswordEncoder passwordEncoder() {
        return Pbkdf2PasswordEncoder.defaultsForSpringSecurity_v5_8();
    }

    @Bean
    AuthenticationManager authenticationManager(AccountMapper accounts, PasswordEncoder encoder) {
        DaoAuthenticationProvider provider = new DaoAuthenticationProvider(email -> accounts.byEmail(email)
                .map(Person::of)
                .orElseThrow(() -> new UsernameNotFoundException("unknown")));
        provider.setPasswordEncoder(encoder);
        return new ProviderManager(provider);
    }
}
