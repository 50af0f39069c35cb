package elsom.web.platform;

import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** Who does what is being done in this thread. */
public final class Acting {
    private static final ThreadLocal<Boolean> QUIET = ThreadLocal.withInitial(() -> false);

    private Acting() {}

    /** Does what is one thing in many rows: a trial that goes, or comes with all it holds. The log tells of the trial only. */
    public static <T> T quietly(Supplier<T> doing) {
        boolean before = QUIET.get();
        QUIET.set(true);
        try {
            return doing.get();
        } finally {
            QUIET.set(before);
        }
    }

    /** Whether rows are parts of one thing now. */
    public static boolean quiet() {
        return QUIET.get();
    }

    /** Who asks; empty in what Elsom does by itself. */
    public static Optional<Actor> actor() {
        Authentication known = SecurityContextHolder.getContext().getAuthentication();
        return known != null && known.getPrincipal() instanceof Actor actor ? Optional.of(actor) : Optional.empty();
    }

    /** A person's name; empty where there are no accounts, or nobody asked. */
    public static String person() {
        return actor().map(Actor::person).orElse("");
    }

    /** The device that asks; empty where none does, or it was not named. */
    public static String station() {
        return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request
                ? StationResolver.of(request.getRequest()).name().orElse("")
                : "";
    }

    /** Whether who asks may do what a role may. */
    public static boolean may(Role role) {
        return actor().map(actor -> actor.role().includes(role)).orElse(false);
    }
}
