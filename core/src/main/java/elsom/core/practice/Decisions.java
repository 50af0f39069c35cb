package elsom.core.practice;

import java.util.ArrayList;
import java.util.List;

/** What each decision of a plan cost: what its reruns tell, and what they would tell with that one thing done as in the fair plan. */
public final class Decisions {
    private static final int RERUNS = 400;
    private static final double NOTHING = 0.02;

    private Decisions() {}

    /** What was decided. */
    public enum What {
        UNITS,
        PLACING,
        TREATMENTS,
        LAST_DAY,
        PICKING
    }

    /**
     * One thing that could have been done otherwise.
     *
     * @param instead the plan with it done as in the fair one
     * @param gained how much more often the truth would have been told, in shares of all reruns; may be below 0
     */
    public record Decision(What what, Trialled instead, double gained) {}

    /** Each decision that differs from the fair plan and made a difference, the dearest first. */
    public static List<Decision> of(Level level, Truth truth, Setting setting, Trialled own, long seed) {
        Trialled fair = level.fair();
        double told = share(level, truth, setting, own, seed);
        List<Decision> all = new ArrayList<>();
        for (What what : What.values()) {
            Trialled instead = instead(what, own, fair);
            if (!instead.equals(own)) {
                double gained = share(level, truth, setting, instead, seed) - told;
                if (Math.abs(gained) > NOTHING) {
                    all.add(new Decision(what, instead, gained));
                }
            }
        }
        all.sort((one, other) -> Double.compare(other.gained(), one.gained()));
        return all;
    }

    private static double share(Level level, Truth truth, Setting setting, Trialled plan, long seed) {
        Rerun.Tally tally = new Rerun(level, truth, setting, plan).times(RERUNS, seed);
        return tally.share(tally.right());
    }

    private static Trialled instead(What what, Trialled own, Trialled fair) {
        return switch (what) {
            case UNITS -> own.units() < fair.units() ? own.units(fair.units()) : own;
            case PLACING -> own.placed(fair.placing());
            case TREATMENTS ->
                own.treatments().containsAll(fair.treatments())
                        ? own
                        : new Trialled(fair.treatments(), own.units(), own.placing(), own.lastDay(), own.best());
            case LAST_DAY ->
                own.lastDay() < fair.lastDay()
                        ? new Trialled(own.treatments(), own.units(), own.placing(), fair.lastDay(), own.best())
                        : own;
            case PICKING -> own.best(fair.best());
        };
    }
}
