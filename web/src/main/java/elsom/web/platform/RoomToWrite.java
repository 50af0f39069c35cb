package elsom.web.platform;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Set;
import org.springframework.http.HttpMethod;
import org.springframework.web.servlet.HandlerInterceptor;

/** Refuses what would write while the disk is full, and lets through what reads. */
final class RoomToWrite implements HandlerInterceptor {
    private static final Set<String> READS =
            Set.of(HttpMethod.GET.name(), HttpMethod.HEAD.name(), HttpMethod.OPTIONS.name());

    private final DiskSpace disk;

    RoomToWrite(DiskSpace disk) {
        this.disk = disk;
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        boolean previews = request.getRequestURI().endsWith("/preview");
        if (!READS.contains(request.getMethod()) && !previews && !disk.sufficient()) {
            throw new DiskFull();
        }
        return true;
    }
}
