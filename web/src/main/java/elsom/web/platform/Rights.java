package elsom.web.platform;

import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpMethod;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AuthorizeHttpRequestsConfigurer;

/**
 * Who may do what: every address that changes something stands here, the first that fits decides, and what stands nowhere takes
 * the right to keep. What only shows takes the right to read.
 */
public final class Rights {
    /**
     * A rule.
     *
     * @param role null for everybody, signed in or not
     */
    public record Rule(
            HttpMethod method, String pattern, @Nullable Role role) {}

    private static final List<String> OPEN_TO_SEE = List.of(
            "/static/**",
            "/webjars/**",
            "/worker.js",
            "/offline",
            "/error",
            "/actuator/health",
            "/sign-in",
            "/join/{token}",
            "/shared/{token}",
            "/shared/{token}/report.md",
            "/shared/{token}/findings.json",
            "/trust",
            "/trust/authority.crt",
            "/intake/openapi.json");

    private static final List<String> OPEN_TO_SEND =
            List.of("/sign-in", "/join/{token}", "/intake/readings", "/intake/readings/batch", "/error");

    private static final List<String> BY_READERS =
            List.of("/units", "/station", "/sign-out", "/me/**", "/change-person", "/practice/**");

    private static final List<String> BY_MEASURERS = List.of(
            "/device/**",
            "/meters",
            "/trials/{trial}/again",
            "/trials/{trial}/bench/**",
            "/trials/{trial}/brews/counts",
            "/trials/{trial}/brews/done",
            "/trials/{trial}/brews/not-ended",
            "/trials/{trial}/brews/log/**",
            "/trials/{trial}/lab/**",
            "/trials/{trial}/light/**",
            "/trials/{trial}/photos/**",
            "/trials/{trial}/readings",
            "/trials/{trial}/series/**",
            "/trials/{trial}/tasting/{number}/taste",
            "/trials/{trial}/tasting/{number}/handed",
            "/trials/{trial}/turn/**",
            "/trials/{trial}/water/**");

    private static final List<String> BY_PLANNERS = List.of(
            "/likelihoods/**",
            "/measures/**",
            "/mix/**",
            "/shelf/**",
            "/trials/import",
            "/trials/new",
            "/trials/notebook",
            "/trials/quick/**",
            "/practice/example/**",
            "/trials/{trial}/brews/recipe",
            "/trials/{trial}/brews/use",
            "/trials/{trial}/copy",
            "/trials/{trial}/discard",
            "/trials/{trial}/findings/**",
            "/trials/{trial}/next",
            "/trials/{trial}/plan/**",
            "/trials/{trial}/put-away",
            "/trials/{trial}/share/**",
            "/trials/{trial}/start",
            "/trials/{trial}/tasting",
            "/trials/{trial}/tasting/{number}/again",
            "/trials/{trial}/tasting/{number}/reveal");

    private static final List<String> BY_KEEPERS = List.of(
            "/intake/keys/**",
            "/intake/not-taken/clear",
            "/people/**",
            "/trials/{trial}/delete",
            "/trials/{trial}/key.zip",
            "/trials/{trial}/unblind");

    private static final List<String> SEEN_BY_KEEPERS = List.of("/people/**", "/log", "/log.csv");
    private static final List<String> SEEN_BY_PLANNERS =
            List.of("/trials/{trial}/raw.zip", "/trials/{trial}/share", "/trials/{trial}/tasting/{number}/sheets");

    private Rights() {}

    /** The rules for what is sent. */
    public static List<Rule> sending() {
        return Stream.of(
                        rules(HttpMethod.POST, OPEN_TO_SEND, null),
                        rules(HttpMethod.POST, BY_KEEPERS, Role.KEEP),
                        rules(HttpMethod.POST, BY_PLANNERS, Role.PLAN),
                        rules(HttpMethod.POST, BY_MEASURERS, Role.MEASURE),
                        rules(HttpMethod.POST, BY_READERS, Role.READ))
                .flatMap(List::stream)
                .toList();
    }

    /** The rules for what is shown. */
    public static List<Rule> showing() {
        return Stream.of(
                        rules(HttpMethod.GET, OPEN_TO_SEE, null),
                        rules(HttpMethod.GET, SEEN_BY_KEEPERS, Role.KEEP),
                        rules(HttpMethod.GET, SEEN_BY_PLANNERS, Role.PLAN),
                        rules(HttpMethod.GET, List.of("/**"), Role.READ),
                        rules(HttpMethod.HEAD, List.of("/**"), Role.READ))
                .flatMap(List::stream)
                .toList();
    }

    private static List<Rule> rules(HttpMethod method, List<String> patterns, @Nullable Role role) {
        return patterns.stream().map(pattern -> new Rule(method, pattern, role)).toList();
    }

    static void apply(
            AuthorizeHttpRequestsConfigurer<HttpSecurity>.AuthorizationManagerRequestMatcherRegistry requests) {
        showing().forEach(rule -> apply(requests, rule));
        sending().forEach(rule -> apply(requests, rule));
        requests.anyRequest().hasRole(Role.KEEP.name());
    }

    private static void apply(
            AuthorizeHttpRequestsConfigurer<HttpSecurity>.AuthorizationManagerRequestMatcherRegistry requests,
            Rule rule) {
        var matched = requests.requestMatchers(rule.method(), rule.pattern());
        if (rule.role() == null) {
            matched.permitAll();
        } else {
            matched.hasRole(rule.role().name());
        }
    }
}
