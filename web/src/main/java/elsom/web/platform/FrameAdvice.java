package elsom.web.platform;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Gives every page what its frame shows. */
@ControllerAdvice
class FrameAdvice {
    /**
     * The frame of one page.
     *
     * @param path the address being shown, to come back to
     * @param station the device's station; empty until chosen
     * @param us whether the device shows US measures beside metric ones
     */
    record Frame(String path, String station, boolean us) {}

    @ModelAttribute("frame")
    Frame frame(HttpServletRequest request) {
        String query = request.getQueryString();
        return new Frame(
                request.getRequestURI() + (query == null ? "" : "?" + query),
                StationResolver.of(request).name().orElse(""),
                UnitsController.us(request));
    }
}
