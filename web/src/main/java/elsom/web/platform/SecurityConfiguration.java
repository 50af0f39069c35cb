package elsom.web.platform;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.properties.EnableConfigurationProperties;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.Customizer;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.AnonymousAuthenticationFilter;
import org.springframework.security.web.authentication.session.NullAuthenticatedSessionStrategy;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.firewall.RequestRejectedHandler;
import org.springframework.security.web.firewall.StrictHttpFirewall;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/** Who is let in, and no script, frame, form or request from elsewhere. */
@Configuration
@EnableConfigurationProperties(Settings.class)
public class SecurityConfiguration {
    private static final String CONTENT_SECURITY_POLICY = "default-src 'none'; script-src 'self'; style-src 'self';"
            + " img-src 'self' data:; font-src 'self'; connect-src 'self'; form-action 'self'; base-uri 'none';"
            + " frame-ancestors 'none'";
    private static final String PERMISSIONS = "camera=(), microphone=(), geolocation=(), payment=()";
    private static final Logger LOG = LoggerFactory.getLogger(SecurityConfiguration.class);
    private static final String ERRORS = "/error";

    /** On a request that was made to a name which is not this machine's. */
    static final String OTHER_NAME = "elsom.otherName";

    private static final Duration KEY_KEPT = Duration.ofDays(30);

    @Bean
    SecurityFilterChain security(HttpSecurity http, Settings settings, SignIns signIns) throws Exception {
        return http.addFilterBefore(new OwnPagesOnly(settings.hosts()), CsrfFilter.class)
                .addFilterBefore(new SignedInFilter(signIns), AnonymousAuthenticationFilter.class)
                .authorizeHttpRequests(Rights::apply)
                .exceptionHandling(refused ->
                        refused.authenticationEntryPoint(SignInFirst::ask).accessDeniedHandler(SignInFirst::refuse))
                .csrf(csrf -> csrf.csrfTokenRepository(cookieKeys())
                        // Every request says anew who asks: with the usual strategy each of them would change the key
                        // that
                        // the pages open meanwhile still have.
                        .sessionAuthenticationStrategy(new NullAuthenticatedSessionStrategy())
                        // A script has no page: its key in a header is what no other site can send along.
                        .ignoringRequestMatchers("/intake/readings", "/intake/readings/batch"))
                .sessionManagement(sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .requestCache(cache -> cache.disable())
                .logout(logout -> logout.disable())
                .anonymous(Customizer.withDefaults())
                .headers(headers -> headers.contentSecurityPolicy(
                                policy -> policy.policyDirectives(CONTENT_SECURITY_POLICY))
                        .httpStrictTransportSecurity(strict -> strict.includeSubDomains(false))
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN))
                        .permissionsPolicyHeader(permissions -> permissions.policy(PERMISSIONS)))
                .build();
    }

    /** In a cookie, so that a page left open at the bench still saves after a restart. */
    private static CookieCsrfTokenRepository cookieKeys() {
        CookieCsrfTokenRepository keys = new CookieCsrfTokenRepository();
        keys.setCookieCustomizer(
                cookie -> cookie.httpOnly(true).sameSite("Lax").maxAge(KEY_KEPT).path("/"));
        return keys;
    }

    /** Only its own names, so that a page elsewhere can't reach it by pointing a name of its own at this machine. */
    @Bean
    StrictHttpFirewall ownNamesOnly(Settings settings) {
        StrictHttpFirewall firewall = new StrictHttpFirewall();
        firewall.setAllowedHostnames(settings.hosts()::contains);
        return firewall;
    }

    /** What the firewall refuses gets our page and a line in the log; the way there is no request to check again. */
    @Bean
    RequestRejectedHandler refusedByFirewall(Settings settings) {
        return (request, response, refused) -> {
            LOG.warn("refused: {}", refused.getMessage());
            headed(response);
            response.setStatus(HttpStatus.BAD_REQUEST.value());
            if (!settings.hosts().contains(request.getServerName())) {
                request.setAttribute(OTHER_NAME, true);
            }
            request.setAttribute(RequestDispatcher.ERROR_STATUS_CODE, HttpStatus.BAD_REQUEST.value());
            try {
                request.getRequestDispatcher(ERRORS).forward(request, response);
            } catch (ServletException unrenderable) {
                throw new IOException(unrenderable);
            }
        };
    }

    /** What the chain of filters would have written, which a request refused before it never reaches. */
    private static void headed(HttpServletResponse response) {
        response.setHeader("Content-Security-Policy", CONTENT_SECURITY_POLICY);
        response.setHeader("X-Content-Type-Options", "nosniff");
        response.setHeader("X-Frame-Options", "DENY");
        response.setHeader("X-XSS-Protection", "0");
        response.setHeader("Referrer-Policy", ReferrerPolicy.SAME_ORIGIN.getPolicy());
        response.setHeader("Permissions-Policy", PERMISSIONS);
        response.setHeader("Cache-Control", "no-cache, no-store, max-age=0, must-revalidate");
    }

    /** Signing in is our own page; without this a default user with a printed password would be made. */
    @Bean
    UserDetailsService nobody() {
        return name -> {
            throw new UsernameNotFoundException("nobody signs in this way");
        };
    }
}
