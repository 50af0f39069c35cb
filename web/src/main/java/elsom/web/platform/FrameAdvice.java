package elsom.web.platform;

import elsom.core.quantity.UsMeasures;
import elsom.web.kit.Json;
import jakarta.servlet.http.HttpServletRequest;
import org.jspecify.annotations.Nullable;
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
     * @param person who is signed in; empty where nobody is
     */
    record Frame(String path, String station, boolean us, String person) {
        /** What the page of a template is for. */
        public String help(String template) {
            return PageHelp.of(template);
        }

        /** What drawings say of their scale, by the unit's symbol, as JSON; null where only metric is shown. */
        public @Nullable String scales() {
            return us ? SCALES : null;
        }
    }

    private static final String SCALES = Json.of(UsMeasures.scales());

    @ModelAttribute("frame")
    Frame frame(HttpServletRequest request) {
        String query = request.getQueryString();
        return new Frame(
                request.getRequestURI() + (query == null ? "" : "?" + query),
                StationResolver.of(request).name().orElse(""),
                UnitsController.us(request),
                Acting.person());
    }

    /** The address of a link by which somebody without an account sees this; empty for all others. */
    @ModelAttribute("sharedAt")
    String sharedAt(HttpServletRequest request) {
        return SharedPage.at(request);
    }
}
