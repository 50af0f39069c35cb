package elsom.web.plan;

import elsom.core.plan.Arrangement;
import elsom.core.plan.Plan;
import elsom.web.platform.Acting;
import elsom.web.platform.Refusal;
import elsom.web.platform.Role;
import java.security.SecureRandom;

/** What places are drawn from: a short number that can be told and typed again, or, for who reads blind, one nobody can try out. */
final class Seeds {
    private static final int SHORT = 1_000_000;
    private static final long LONG = 1L << 52;
    private static final SecureRandom RANDOM = new SecureRandom();

    private Seeds() {}

    static long fresh(boolean blind) {
        return blind ? Arrangement.SECRET_FROM + RANDOM.nextLong(LONG) : RANDOM.nextInt(SHORT);
    }

    /** Before a blind trial starts its plan shows who gets what, to those who plan it and to nobody else. */
    static void forPlanners(Plan plan, boolean draft) {
        if (draft && plan.rules().blind() && !Acting.may(Role.PLAN)) {
            throw new Refusal(
                    "This trial is to be read blind: until it starts, only who plans sees where each treatment stands.");
        }
    }
}
