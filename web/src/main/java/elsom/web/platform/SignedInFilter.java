package elsom.web.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/** Tells the rest of a request who asks, with all that a role includes. */
final class SignedInFilter extends OncePerRequestFilter {
    private final SignIns signIns;

    SignedInFilter(SignIns signIns) {
        this.signIns = signIns;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Optional<Actor> actor = signIns.accounts() ? signIns.of(request) : Optional.of(Actor.ALONE);
        actor.ifPresent(one -> {
            SecurityContext context = SecurityContextHolder.createEmptyContext();
            List<SimpleGrantedAuthority> may = one.role().all().stream()
                    .map(role -> new SimpleGrantedAuthority("ROLE_" + role))
                    .toList();
            context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(one, null, may));
            SecurityContextHolder.setContext(context);
        });
        try {
            chain.doFilter(request, response);
        } finally {
            SecurityContextHolder.clearContext();
        }
    }

    /** An error page says who asks as well. */
    @Override
    protected boolean shouldNotFilterErrorDispatch() {
        return false;
    }

    @Override
    protected boolean shouldNotFilterAsyncDispatch() {
        return false;
    }
}
