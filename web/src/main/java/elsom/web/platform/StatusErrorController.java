package elsom.web.platform;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.ModelAndView;

/** Pages for what failed before a controller was reached: a stale form key, a request the container refused. */
@Controller
class StatusErrorController implements ErrorController {
    private final Settings settings;

    StatusErrorController(Settings settings) {
        this.settings = settings;
    }

    @RequestMapping("/error")
    ModelAndView error(HttpServletRequest request, HttpServletResponse response) {
        Object code = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        int status = code instanceof Integer number ? number : 404;
        response.setStatus(status);
        ErrorPage page = page(request, status);
        return ErrorPages.wantsJson(request)
                ? new ModelAndView(new JsonMessageView(page.message()))
                : new ModelAndView("error/error", Map.of("page", page));
    }

    private String names() {
        return settings.hosts().stream().sorted().collect(Collectors.joining(", "));
    }

    private ErrorPage page(HttpServletRequest request, int status) {
        if (request.getAttribute(SecurityConfiguration.OTHER_NAME) != null) {
            return ErrorPage.of(
                    "Another name",
                    "Elsom answers to the names it was given only, which are " + names()
                            + ". Use one of them, or start it with this one added: --elsom.hosts="
                            + String.join(",", settings.hosts()) + ",NAME.");
        }
        if (request.getAttribute(SignInFirst.NOBODY) != null) {
            return new ErrorPage(
                    "Sign in first",
                    "Nobody is signed in on this device, so nothing was changed. Sign in, then go back and send it again: what"
                            + " you typed is still there.",
                    "/sign-in",
                    "Sign in");
        }
        if (request.getAttribute(SignInFirst.NOT_YOURS) != null) {
            String may = Acting.actor().map(actor -> actor.role().label()).orElse("nothing");
            return ErrorPage.of(
                    "Not with your account",
                    "You may " + may
                            + " here, and this takes more. Nothing was changed. Whoever keeps Elsom here can give you"
                            + " the right; at a device where you are by a PIN, sign in with your password.");
        }
        return request.getAttribute(OwnPagesOnly.ELSEWHERE) == null
                ? ErrorPage.ofStatus(status)
                : ErrorPage.of(
                        "Not from here",
                        "A page of another site tried to change something here, so nothing was changed. If it was you, open"
                                + " Elsom itself and do it there.");
    }
}
