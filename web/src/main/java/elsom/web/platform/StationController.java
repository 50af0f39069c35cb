package elsom.web.platform;

import jakarta.servlet.http.HttpServletRequest;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Keeps the station's name on the device. */
@Controller
class StationController {
    @PostMapping("/station")
    ResponseEntity<String> choose(
            @RequestParam String name, @RequestParam(defaultValue = "/") String back, HttpServletRequest request) {
        String problem = Station.problem(name).orElse("");
        if (!problem.isEmpty()) {
            throw new Refusal(problem);
        }
        return DeviceCookie.kept(
                Station.COOKIE, URLEncoder.encode(name.strip(), StandardCharsets.UTF_8), back, request);
    }
}
