package elsom.web.platform;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.csrf.CsrfException;

/** What somebody gets who did not sign in, or may not do that. */
final class SignInFirst {
    /** On a request of somebody who did not sign in. */
    static final String NOBODY = "elsom.nobody";

    /** On a request of somebody who may not do that. */
    static final String NOT_YOURS = "elsom.notYours";

    private SignInFirst() {}

    /** Whoever wants to see a page is led to it by way of the sign-in; what was sent is told that it was not taken. */
    static void ask(HttpServletRequest request, HttpServletResponse response, AuthenticationException missing)
            throws IOException {
        if ("GET".equals(request.getMethod()) && opened(request) && !ErrorPages.wantsJson(request)) {
            String query = request.getQueryString();
            String back = request.getRequestURI() + (query == null ? "" : "?" + query);
            response.sendRedirect("/sign-in?back=" + URLEncoder.encode(back, StandardCharsets.UTF_8));
        } else {
            request.setAttribute(NOBODY, true);
            response.sendError(HttpStatus.UNAUTHORIZED.value());
        }
    }

    /** Whether somebody opens a page, and no script of one fetches something: a script has no use for another page. */
    private static boolean opened(HttpServletRequest request) {
        String mode = request.getHeader("Sec-Fetch-Mode");
        return mode == null || mode.equals("navigate");
    }

    static void refuse(HttpServletRequest request, HttpServletResponse response, AccessDeniedException refused)
            throws IOException {
        if (!(refused instanceof CsrfException)) {
            request.setAttribute(NOT_YOURS, true);
        }
        response.sendError(HttpStatus.FORBIDDEN.value());
    }
}
