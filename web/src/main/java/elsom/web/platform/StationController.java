package elsom.web.platform;

import jakarta.servlet.http.HttpServletRequest;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseCookie;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Keeps the station's name on the device. */
@Controller
class StationController {
    private static final Duration KEPT = Duration.ofDays(3650);

    @PostMapping("/station")
    ResponseEntity<String> choose(
            @RequestParam String name, @RequestParam(defaultValue = "/") String back, HttpServletRequest request) {
        String problem = Station.problem(name).orElse("");
        if (!problem.isEmpty()) {
            throw new Refusal(problem);
        }
        ResponseCookie cookie = ResponseCookie.from(
                        Station.COOKIE, URLEncoder.encode(name.strip(), StandardCharsets.UTF_8))
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

    /** Only paths of this application: no other host, no scheme, no line break. */
    static String ownPath(String back) {
        return back.matches("/(?![/\\\\])[\\x21-\\x7e]*") ? back : "/";
    }
}
