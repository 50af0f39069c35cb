package elsom.core;

/**
 * How many trials tests simulate: a tenth of them where a developer waits, all of them in {@code bin/test all}. What a share
 * may come to is widened by what chance does to so few.
 */
public final class Simulations {
    private static final boolean WHOLE = Boolean.getBoolean("elsom.whole");
    private static final int PART = 10;
    private static final double WIDE = 3;

    private Simulations() {}

    /** Of so many trials, those to run now. */
    public static int of(int trials) {
        return WHOLE ? trials : Math.max(1, trials / PART);
    }

    /** The most that a share may come to, which is {@code limit} of all trials. */
    public static double most(double limit, int trials) {
        return limit + slack(limit, trials);
    }

    /** The least that a share may come to. */
    public static double least(double limit, int trials) {
        return limit - slack(limit, trials);
    }

    private static double slack(double limit, int trials) {
        return WHOLE ? 0 : WIDE * Math.sqrt(limit * (1 - limit) / of(trials));
    }
}
