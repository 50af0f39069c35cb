package elsom.web.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses a form or script of another site that changes something, by what browsers say of where a request comes from: a key in
 * a cookie can be planted, and these two headers can't.
 */
final class OwnPagesOnly extends OncePerRequestFilter {
    private static final Logger LOG = LoggerFactory.getLogger(OwnPagesOnly.class);
    private static final Set<String> READS = Set.of("GET", "HEAD", "OPTIONS", "TRACE");
    private static final Set<String> OWN_SITES = Set.of("same-origin", "none");

    /** On a request that was refused because it came from another site. */
    static final String ELSEWHERE = "elsom.elsewhere";

    private final Set<String> hosts;

    OwnPagesOnly(Set<String> hosts) {
        this.hosts = Set.copyOf(hosts);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (READS.contains(request.getMethod()) || own(request)) {
            chain.doFilter(request, response);
        } else {
            LOG.warn("refused: a request to {} from a page elsewhere", request.getRequestURI());
            request.setAttribute(ELSEWHERE, true);
            response.sendError(HttpStatus.FORBIDDEN.value());
        }
    }

    private boolean own(HttpServletRequest request) {
        String site = request.getHeader("Sec-Fetch-Site");
        String origin = request.getHeader(HttpHeaders.ORIGIN);
        return (site == null || OWN_SITES.contains(site)) && (origin == null || here(origin, request));
    }

    /** Of this address: the same name and port as were asked, and a name that is ours. */
    private boolean here(String origin, HttpServletRequest request) {
        try {
            URI from = URI.create(origin);
            int port = from.getPort() >= 0 ? from.getPort() : "https".equals(from.getScheme()) ? 443 : 80;
            return from.getHost() != null
                    && hosts.contains(from.getHost())
                    && from.getHost().equalsIgnoreCase(request.getServerName())
                    && port == request.getServerPort();
        } catch (IllegalArgumentException noAddress) {
            return false;
        }
    }
}
