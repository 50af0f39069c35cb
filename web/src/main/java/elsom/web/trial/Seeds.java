package elsom.web.trial;

import elsom.core.plan.Arrangement;
import elsom.core.plan.Plan;
import java.security.SecureRandom;

/** What places are drawn from: a short number that can be told and typed again, or, for what is read blind, one nobody can try out. */
public final class Seeds {
    private static final int SHORT = 1_000_000;
    private static final long LONG = 1L << 52;
    private static final SecureRandom RANDOM = new SecureRandom();

    private Seeds() {}

    public static long fresh(boolean blind) {
        return blind ? Arrangement.SECRET_FROM + RANDOM.nextLong(LONG) : RANDOM.nextInt(SHORT);
    }

    /** A new plan, drawn from a seed that nobody can try out where it is to be read blind. */
    public static Plan secretIfBlind(Plan plan) {
        return plan.rules().blind() && !plan.arrangement().secret()
                ? plan.with(plan.arrangement().drawnFrom(fresh(true)))
                : plan;
    }
}
