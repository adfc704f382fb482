package famulus.server.team;

import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Who may ask for what: the page itself for all, the API for those signed in. Roles are checked by each feature. */
@Configuration
class SecurityConfiguration implements WebMvcConfigurer {
    /** Everything comes from ourselves; nothing is framed. */
    private static final String CONTENT_POLICY = "default-src 'self'; img-src 'self' data:; object-src 'none';"
            + " base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    private final AskingColleague askingColleague;

    SecurityConfiguration(AskingColleague askingColleague) {
        this.askingColleague = askingColleague;
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(askingColleague);
    }

    @Bean
    SecurityFilterChain security(HttpSecurity http, SecurityContextRepository contexts) throws Exception {
        return http.authorizeHttpRequests(requests -> requests.requestMatchers(
                                "/api/session", "/api/session/*", "/api/first-run", "/api/choices")
                        .permitAll()
                        .requestMatchers("/api/**")
                        .authenticated()
                        .anyRequest()
                        .permitAll())
                // Readers of messages are nobody we know; mail programs post there too (RFC 8058).
                .csrf(csrf -> csrf.spa().ignoringRequestMatchers("/m/**"))
                .securityContext(context -> context.securityContextRepository(contexts))
                .exceptionHandling(
                        errors -> errors.authenticationEntryPoint(new HttpStatusEntryPoint(HttpStatus.UNAUTHORIZED)))
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(referrer -> referrer.policy(
                                org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter
                                        .ReferrerPolicy.SAME_ORIGIN)))
                .requestCache(AbstractHttpConfigurer::disable)
                .formLogin(AbstractHttpConfigurer::disable)
                .httpBasic(AbstractHttpConfigurer::disable)
                .logout(AbstractHttpConfigurer::disable)
                .build();
    }

    @Bean
    SecurityContextRepository contexts() {
        return new HttpSessionSecurityContextRepository();
    }

    @Bean
    PasswordEncoder passwordEncoder() {
        return new BCryptPasswordEncoder();
    }

    /** Keeps Spring from making up a user with a password of its own. */
    @Bean
    org.springframework.security.authentication.AuthenticationManager nobodyElse() {
        return authentication -> {
            throw new org.springframework.security.authentication.BadCredentialsException("Sign in at /api/session");
        };
    }
}
