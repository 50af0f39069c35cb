package elsom.web.platform;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Whether a device shows US measures beside metric ones; what is stored never changes. */
@Controller
class UnitsController {
    private static final String COOKIE = "units";
    private static final String US = "us";

    @PostMapping("/units")
    ResponseEntity<String> choose(
            @RequestParam boolean us, @RequestParam(defaultValue = "/") String back, HttpServletRequest request) {
        return DeviceCookie.kept(COOKIE, us ? US : "metric", back, request);
    }

    static boolean us(HttpServletRequest request) {
        return DeviceCookie.values(request, COOKIE).anyMatch(US::equals);
    }
}
