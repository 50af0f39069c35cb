package elsom.web.platform;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;

/** Knows who is signed in. */
public interface SignIns {
    /** Whether anybody has an account here; as long as nobody has, whoever asks may do all. */
    boolean accounts();

    /** Who asks; empty for somebody who did not sign in, or whose time is over. */
    Optional<Actor> of(HttpServletRequest request);
}
