package elsom.web.platform;

import elsom.core.quantity.Bounds;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.validation.BindException;
import org.springframework.web.HttpMediaTypeException;
import org.springframework.web.HttpRequestMethodNotSupportedException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.ServletRequestBindingException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.multipart.support.MissingServletRequestPartException;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.NoHandlerFoundException;
import org.springframework.web.servlet.resource.NoResourceFoundException;
import org.springframework.web.util.DisconnectedClientHelper;

/** Turns what went wrong into a page, or into JSON for a script, that says what to do next. */
@ControllerAdvice
class ErrorPages {
    private static final Logger LOG = LoggerFactory.getLogger(ErrorPages.class);

    @ExceptionHandler
    ModelAndView missing(NotFound missing, HttpServletRequest request, HttpServletResponse response) {
        return page(
                request,
                response,
                HttpStatus.NOT_FOUND,
                new ErrorPage("Not here", missing.message(), missing.backTo(), missing.backLabel()));
    }

    @ExceptionHandler({NoResourceFoundException.class, NoHandlerFoundException.class})
    ModelAndView missing(Exception missing, HttpServletRequest request, HttpServletResponse response) {
        return page(
                request, response, HttpStatus.NOT_FOUND, ErrorPage.of("Not here", "There is no page at this address."));
    }

    @ExceptionHandler
    ModelAndView refused(Refusal refusal, HttpServletRequest request, HttpServletResponse response) {
        return page(
                request,
                response,
                HttpStatus.UNPROCESSABLE_CONTENT,
                ErrorPage.of("That can't be done", refusal.message()));
    }

    /** What the core holds no trial can have, from whichever door it came in. */
    @ExceptionHandler
    ModelAndView outOfBounds(Bounds.OutOfBounds refused, HttpServletRequest request, HttpServletResponse response) {
        String message = String.valueOf(refused.getMessage());
        return page(
                request,
                response,
                HttpStatus.UNPROCESSABLE_CONTENT,
                ErrorPage.of(
                        "That can't be done",
                        Character.toUpperCase(message.charAt(0)) + message.substring(1)
                                + ". Go back and change it: what you typed is still there."));
    }

    @ExceptionHandler
    ModelAndView wrongType(
            MethodArgumentTypeMismatchException wrong, HttpServletRequest request, HttpServletResponse response) {
        boolean inPath = request.getRequestURI().contains("/" + wrong.getValue());
        return page(
                request,
                response,
                inPath ? HttpStatus.NOT_FOUND : HttpStatus.BAD_REQUEST,
                ErrorPage.of("Not here", "“" + wrong.getName() + "” can't be “" + wrong.getValue() + "”."));
    }

    @ExceptionHandler({
        MissingServletRequestParameterException.class,
        MissingServletRequestPartException.class,
        BindException.class
    })
    ModelAndView missingPart(Exception missing, HttpServletRequest request, HttpServletResponse response) {
        return page(
                request,
                response,
                HttpStatus.BAD_REQUEST,
                ErrorPage.of(
                        "Something is missing",
                        "The request left something out, or something in it can't be. Go back and send the form again."));
    }

    @ExceptionHandler
    ModelAndView tooLarge(MultipartException tooLarge, HttpServletRequest request, HttpServletResponse response) {
        return page(
                request,
                response,
                HttpStatus.CONTENT_TOO_LARGE,
                ErrorPage.of(
                        "Too large",
                        "The file is larger than 64 MB, or did not arrive whole. Nothing was read in. A trial's files are"
                                + " seldom above 1 MB: is it the right file?"));
    }

    @ExceptionHandler
    ModelAndView tooLarge(TooLarge tooLarge, HttpServletRequest request, HttpServletResponse response) {
        return page(request, response, HttpStatus.CONTENT_TOO_LARGE, ErrorPage.of("Too large", tooLarge.message()));
    }

    @ExceptionHandler
    ModelAndView diskFull(DiskFull full, HttpServletRequest request, HttpServletResponse response) {
        LOG.warn("{} {} refused: the disk is full", request.getMethod(), request.getRequestURI());
        return page(request, response, HttpStatus.INSUFFICIENT_STORAGE, ErrorPage.DISK_FULL);
    }

    /** Parameters that could not be taken apart: not UTF-8, too many, too long. */
    @ExceptionHandler({
        InvalidParameterException.class,
        HttpMessageNotReadableException.class,
        HttpMediaTypeException.class,
        ServletRequestBindingException.class
    })
    ModelAndView notUnderstood(Exception malformed, HttpServletRequest request, HttpServletResponse response) {
        HttpStatus status = malformed instanceof InvalidParameterException parameters
                        && parameters.getErrorCode() == HttpStatus.CONTENT_TOO_LARGE.value()
                ? HttpStatus.CONTENT_TOO_LARGE
                : HttpStatus.BAD_REQUEST;
        LOG.warn("{} not understood: {}", request.getMethod(), malformed.getMessage());
        return page(request, response, status, ErrorPage.ofStatus(status.value()));
    }

    @ExceptionHandler
    ModelAndView wrongMethod(
            HttpRequestMethodNotSupportedException wrong, HttpServletRequest request, HttpServletResponse response) {
        return page(
                request,
                response,
                HttpStatus.METHOD_NOT_ALLOWED,
                ErrorPage.of("Not that way", "This address takes no " + wrong.getMethod() + " request."));
    }

    @ExceptionHandler
    @Nullable
    ModelAndView unforeseen(Exception unforeseen, HttpServletRequest request, HttpServletResponse response) {
        // Whoever went on to another page meanwhile needs no answer.
        if (DisconnectedClientHelper.isClientDisconnectedException(unforeseen)) {
            return null;
        }
        LOG.error("{} {} failed", request.getMethod(), request.getRequestURI(), unforeseen);
        return page(request, response, HttpStatus.INTERNAL_SERVER_ERROR, ErrorPage.UNFORESEEN);
    }

    private static ModelAndView page(
            HttpServletRequest request, HttpServletResponse response, HttpStatus status, ErrorPage page) {
        response.setStatus(status.value());
        if (wantsJson(request)) {
            return new ModelAndView(new JsonMessageView(page.message()));
        }
        return new ModelAndView("error/error", Map.of("page", page), status);
    }

    static boolean wantsJson(HttpServletRequest request) {
        String accept = request.getHeader("Accept");
        // A script is answered in what it sends, whatever it says it accepts.
        return request.getRequestURI().startsWith("/intake/readings")
                || (accept != null && accept.startsWith("application/json"));
    }
}
