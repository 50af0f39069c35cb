package elsom.web.platform;

import jakarta.servlet.http.HttpServletRequest;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;

/** Gives controllers the station of the device that asks. */
final class StationResolver implements HandlerMethodArgumentResolver {
    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType().equals(Station.class);
    }

    @Override
    public Object resolveArgument(
            MethodParameter parameter,
            @Nullable ModelAndViewContainer container,
            NativeWebRequest request,
            @Nullable WebDataBinderFactory binders) {
        HttpServletRequest servlet = request.getNativeRequest(HttpServletRequest.class);
        return servlet == null ? new Station(Optional.empty()) : of(servlet);
    }

    static Station of(HttpServletRequest request) {
        return new Station(DeviceCookie.values(request, Station.COOKIE)
                .flatMap(value -> decoded(value).stream())
                .filter(name -> Station.problem(name).isEmpty())
                .findFirst());
    }

    private static Optional<String> decoded(String value) {
        try {
            return Optional.of(URLDecoder.decode(value, StandardCharsets.UTF_8));
        } catch (IllegalArgumentException damaged) {
            return Optional.empty();
        }
    }
}
