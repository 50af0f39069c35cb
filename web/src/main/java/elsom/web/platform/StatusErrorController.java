package elsom.web.platform;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.ModelAndView;

/** Pages for what failed before a controller was reached: a stale form key, a request the container refused. */
@Controller
class StatusErrorController implements ErrorController {
    @RequestMapping("/error")
    ModelAndView error(HttpServletRequest request, HttpServletResponse response) {
        Object code = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        int status = code instanceof Integer number ? number : 404;
        response.setStatus(status);
        ErrorPage page = ErrorPage.ofStatus(status);
        return ErrorPages.wantsJson(request)
                ? new ModelAndView(new JsonMessageView(page.message()))
                : new ModelAndView("error/error", Map.of("page", page));
    }
}
