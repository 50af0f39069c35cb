package elsom.web.platform;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.util.Arrays;
import java.util.stream.Stream;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseCookie;
import org.springframework.http.ResponseEntity;

/** What a device remembers of itself, and nothing of anybody. */
public final class DeviceCookie {
    private static final Duration KEPT = Duration.ofDays(3650);

    private DeviceCookie() {}

    /** Keeps a value on the device and goes back to where it was chosen. */
    static ResponseEntity<String> kept(String name, String value, String back, HttpServletRequest request) {
        ResponseCookie cookie = ResponseCookie.from(name, value)
                .path("/")
                .maxAge(KEPT)
                .httpOnly(true)
                .sameSite("Lax")
                .secure(request.isSecure())
                .build();
        return ResponseEntity.status(HttpStatus.SEE_OTHER)
                .header(HttpHeaders.SET_COOKIE, cookie.toString())
                .header(HttpHeaders.LOCATION, ownPath(back))
                .build();
    }

    /** The values that a device sent under a name. */
    public static Stream<String> values(HttpServletRequest request, String name) {
        Cookie[] cookies = request.getCookies() == null ? new Cookie[0] : request.getCookies();
        return Arrays.stream(cookies)
                .filter(cookie -> cookie.getName().equals(name))
                .map(Cookie::getValue);
    }

    /** Only paths of this application: no other host, no scheme, no line break. */
    public static String ownPath(String back) {
        return back.matches("/(?![/\\\\])[\\x21-\\x7e]*") ? back : "/";
    }
}
