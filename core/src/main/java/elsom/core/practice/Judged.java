package elsom.core.practice;

import elsom.core.quantity.Bounds;
import java.util.List;
import java.util.OptionalDouble;

/**
 * A call, held against the truth.
 *
 * @param confidence how sure one was, 0.5 to 1; of no account with "can't tell"
 */
public record Judged(Call call, Call right, double confidence) {
    /** Half of all reruns: a trial that tells less often than that can't tell. */
    private static final double COULD_TELL = 0.5;

    public Judged {
        Bounds.number("how sure", confidence, 0.5, 1);
    }

    /** How a call was. */
    public enum Kind {
        RIGHT("right"),
        WRONG("wrong"),
        /** Nothing was claimed that the trial could not tell. */
        RIGHTLY_OPEN("rightly open"),
        /** The trial could have told. */
        NEEDLESSLY_OPEN("could have been told");

        private final String label;

        Kind(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /**
     * How it was, by what the plan could have told.
     *
     * @param toldInReruns in what share of its reruns the plan told what is true
     */
    public Kind kind(double toldInReruns) {
        if (call == Call.CANT_TELL) {
            return toldInReruns < COULD_TELL ? Kind.RIGHTLY_OPEN : Kind.NEEDLESSLY_OPEN;
        }
        return call == right ? Kind.RIGHT : Kind.WRONG;
    }

    /** The squared distance of what was said from what came (Brier 1950): 0 is best, 0.25 what a coin gets; empty for "can't tell". */
    public OptionalDouble brier() {
        if (call == Call.CANT_TELL) {
            return OptionalDouble.empty();
        }
        double off = confidence - (call == right ? 1 : 0);
        return OptionalDouble.of(off * off);
    }

    /**
     * How well confidence and outcome go together.
     *
     * @param from least confidence of the group
     * @param said mean of what was said
     * @param came share of calls that were right
     */
    public record Calibration(double from, double to, int calls, double said, double came) {}

    /** Calls grouped by how sure they were; groups without a call are left out. */
    public static List<Calibration> calibration(List<Judged> all) {
        return List.of(new double[] {0.5, 0.7}, new double[] {0.7, 0.9}, new double[] {0.9, 1.01}).stream()
                .map(ends -> {
                    List<Judged> own = all.stream()
                            .filter(one -> one.call() != Call.CANT_TELL
                                    && one.confidence() >= ends[0]
                                    && one.confidence() < ends[1])
                            .toList();
                    return new Calibration(
                            ends[0],
                            Math.min(1, ends[1]),
                            own.size(),
                            own.stream()
                                    .mapToDouble(Judged::confidence)
                                    .average()
                                    .orElse(0),
                            own.stream()
                                            .filter(one -> one.call() == one.right())
                                            .count()
                                    / (double) Math.max(1, own.size()));
                })
                .filter(group -> group.calls() > 0)
                .toList();
    }
}
