package elsom.web.platform;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.util.Arrays;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseCookie;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Whether a device shows US measures beside metric ones; what is stored never changes. */
@Controller
class UnitsController {
    private static final String COOKIE = "units";
    private static final String US = "us";
    private static final Duration KEPT = Duration.ofDays(3650);

    @PostMapping("/units")
    ResponseEntity<String> choose(
            @RequestParam boolean us, @RequestParam(defaultValue = "/") String back, HttpServletRequest request) {
        ResponseCookie cookie = ResponseCookie.from(COOKIE, us ? US : "metric")
                .path("/")
                .maxAge(KEPT)
                .httpOnly(true)
                .sameSite("Lax")
                .secure(request.isSecure())
                .build();
        return ResponseEntity.status(HttpStatus.SEE_OTHER)
                .header(HttpHeaders.SET_COOKIE, cookie.toString())
                .header(HttpHeaders.LOCATION, StationController.ownPath(back))
                .build();
    }

    static boolean us(HttpServletRequest request) {
        Cookie[] cookies = request.getCookies() == null ? new Cookie[0] : request.getCookies();
        return Arrays.stream(cookies)
                .anyMatch(cookie ->
                        cookie.getName().equals(COOKIE) && cookie.getValue().equals(US));
    }
}
