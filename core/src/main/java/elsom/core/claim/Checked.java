package elsom.core.claim;

import elsom.core.quantity.Decimals;
import elsom.core.stats.Interval;
import elsom.core.stats.Proportion;
import elsom.core.stats.Summary;
import elsom.core.stats.TwoSample;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * A claim held against its numbers.
 *
 * @param percent what the first group differs by, in percent of the other; empty where nothing can be told
 * @param percent95 its 95 % interval
 * @param test what would test it; empty when it is told
 * @param remarks what its words or numbers hide
 */
public record Checked(
        Outcome outcome,
        String sentence,
        Optional<Double> percent,
        Optional<Interval> percent95,
        String test,
        List<String> remarks) {
    /** What the numbers say of the claim. */
    public enum Outcome {
        SUPPORTED("supported"),
        NOT_SUPPORTED("not supported"),
        NOT_TESTABLE("not testable from this");

        private final String label;

        Outcome(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    private static final NormalDistribution NORMAL = NormalDistribution.of(0, 1);
    private static final double Z = NORMAL.inverseSurvivalProbability(0.025);
    private static final double HUNDRED = 100;
    private static final String MORE_UNITS = "Several units of each, placed by lot, and the mean of all of them.";

    /** A tenth either way is what "as good as" is held to where nobody says what matters. */
    private static final double SAME_WITHIN = 10;

    public Checked {
        remarks = List.copyOf(remarks);
    }

    /** A claim of the first group beside the other. */
    public static Checked of(Claim claim, ClaimedGroup first, ClaimedGroup other) {
        if (claim.kind() == Claim.Kind.BEST_OF_MANY
                || first instanceof ClaimedGroup.Best
                || other instanceof ClaimedGroup.Best) {
            return best(first, other);
        }
        if (claim.kind() == Claim.Kind.UNCLEAR) {
            return untestable(
                    "It names no difference that numbers could tell.",
                    "Say of what, how much, and beside what: “30 % more fresh mass than none”.",
                    List.of());
        }
        if (first instanceof ClaimedGroup.Measured one && other instanceof ClaimedGroup.Measured two) {
            return measured(claim, new TwoSample(two.group(), one.group()));
        }
        if (first instanceof ClaimedGroup.Counted one && other instanceof ClaimedGroup.Counted two) {
            return counted(claim, one.share(), two.share());
        }
        return bare(first, other);
    }

    /**
     * A claim of two groups that stood on unlike areas, or as unlike numbers of plants: judged for the same of both, with what
     * it looked like before.
     *
     * @param firstUnits of area or plants that the first's numbers are of, above 0; {@code otherUnits} likewise
     */
    public static Checked per(
            Claim claim, ClaimedGroup first, double firstUnits, ClaimedGroup other, double otherUnits) {
        Checked alike = of(claim, first.per(firstUnits), other.per(otherUnits));
        if (firstUnits == otherUnits) {
            return alike;
        }
        Checked unlike = of(claim, first, other);
        List<String> remarks = new ArrayList<>(alike.remarks());
        remarks.add("They are of unlike areas or numbers (" + Decimals.significant(firstUnits, 4) + " and "
                + Decimals.significant(otherUnits, 4) + "); of each as it stands: "
                + unlike.sentence().substring(0, 1).toLowerCase(Locale.ROOT)
                + unlike.sentence().substring(1));
        return new Checked(
                alike.outcome(),
                "For the same area or number: " + alike.sentence(),
                alike.percent(),
                alike.percent95(),
                alike.test(),
                remarks);
    }

    private static Checked measured(Claim claim, TwoSample sample) {
        Optional<Double> percent = sample.percent().asOptional();
        Optional<Interval> interval = sample.fiellerWelch().asOptional().flatMap(TwoSample.Fieller::percent95);
        if (percent.isEmpty() || interval.isEmpty()) {
            return untestable(
                    "The numbers do not scatter, or the group it is held against can't be told from 0.",
                    MORE_UNITS,
                    List.of());
        }
        return judged(claim, percent.get(), interval.get(), "", List.of());
    }

    /** The ratio of two shares, on the log scale (Katz et al. 1978). */
    private static Checked counted(Claim claim, Proportion one, Proportion other) {
        if (one.affected() == 0 || other.affected() == 0) {
            return untestable(
                    "One of them has none, and of none nothing is a percentage.",
                    "Count more, or claim points: “" + Decimals.percent(one.share() - other.share(), 0) + " points”.",
                    List.of());
        }
        double ratio = one.share() / other.share();
        double error = Math.sqrt(1.0 / one.affected() - 1.0 / one.n() + 1.0 / other.affected() - 1.0 / other.n());
        Interval points = one.newcombe95(other);
        return judged(
                claim,
                HUNDRED * (ratio - 1),
                new Interval(HUNDRED * (ratio * Math.exp(-Z * error) - 1), HUNDRED * (ratio * Math.exp(Z * error) - 1)),
                "",
                List.of("From " + Decimals.percent(other.share(), 0) + " % to " + Decimals.percent(one.share(), 0)
                        + " % is " + signed(HUNDRED * (one.share() - other.share()), 0)
                        + " points (95 % interval " + signed(HUNDRED * points.low(), 0) + " to "
                        + signed(HUNDRED * points.high(), 0)
                        + "), and that in percent of the other: percent of percent sounds like more."));
    }

    private static Checked judged(Claim claim, double percent, Interval interval, String test, List<String> remarks) {
        List<String> all = new ArrayList<>(remarks);
        if (!claim.doubtful().isEmpty()) {
            all.add(claim.doubtful());
        }
        boolean more = interval.low() > 0;
        boolean less = interval.high() < 0;
        String figure = "It is " + told(percent) + " (95 % interval " + told(interval.low()) + " to "
                + told(interval.high()) + ")";
        Verdict verdict = switch (claim.kind()) {
            case MORE -> new Verdict(more, more ? "more is shown" : less ? "it is less" : "it could be nothing");
            case LESS -> new Verdict(less, less ? "less is shown" : more ? "it is more" : "it could be nothing");
            case SAME ->
                new Verdict(
                        interval.low() > -SAME_WITHIN && interval.high() < SAME_WITHIN,
                        interval.low() > -SAME_WITHIN && interval.high() < SAME_WITHIN
                                ? "less than a tenth either way"
                                : more || less ? "they differ" : "not shown to differ is not shown to be the same");
            default -> sized(claim.percent(), interval, more, less);
        };
        return new Checked(
                verdict.holds() ? Outcome.SUPPORTED : Outcome.NOT_SUPPORTED,
                figure + ": " + verdict.words() + ".",
                Optional.of(percent),
                Optional.of(interval),
                verdict.holds() ? test : "More units of each narrow the interval; the plan says how many would tell.",
                all);
    }

    private record Verdict(boolean holds, String words) {}

    private static Verdict sized(double claimed, Interval interval, boolean more, boolean less) {
        boolean inside = claimed >= interval.low() && claimed <= interval.high();
        boolean shown = claimed > 0 ? more : less;
        if (inside && shown) {
            return new Verdict(true, told(claimed) + " lies within, and nothing at all does not");
        }
        if (inside) {
            return new Verdict(false, told(claimed) + " could be, and so could nothing at all");
        }
        return new Verdict(
                false, told(claimed) + " is not what they show" + (shown ? ", though the direction is right" : ""));
    }

    private static String signed(double value, int decimals) {
        return (value > 0 ? "+" : "") + Decimals.fixed(value, decimals);
    }

    private static String told(double percent) {
        return signed(percent, Math.abs(percent) < 10 ? 1 : 0) + " %";
    }

    /** What choosing the best alone does: the mean of the top of so many normal values (Blom 1958). */
    private static Checked best(ClaimedGroup first, ClaimedGroup other) {
        List<String> remarks = new ArrayList<>();
        if (first instanceof ClaimedGroup.Best best && other instanceof ClaimedGroup.Measured all) {
            double sds = liftOfBest(best.picked(), best.of());
            double sd = Summary.of(all.group().values().stream()
                            .mapToDouble(Double::doubleValue)
                            .toArray())
                    .sd()
                    .orElse(0);
            remarks.add("The best " + best.picked() + " of " + best.of() + " of the very same plants would stand "
                    + Decimals.fixed(sds, 1) + " standard deviations above their mean"
                    + (all.group().mean() > 0
                            ? ": here about "
                                    + told(HUNDRED * sds * sd / all.group().mean()) + ", by choosing alone."
                            : "."));
        }
        return untestable(
                "The best of many say what the best can do, not what all do: any group looks better by its best.",
                "The mean of all units of both, lost ones counted.",
                remarks);
    }

    /** How many standard deviations the mean of the best stands above that of all. */
    static double liftOfBest(int picked, int of) {
        double sum = 0;
        for (int rank = 1; rank <= picked; rank++) {
            sum += NORMAL.inverseCumulativeProbability((of + 1 - rank - 0.375) / (of + 0.25));
        }
        return sum / picked;
    }

    private static Checked bare(ClaimedGroup first, ClaimedGroup other) {
        List<String> remarks =
                first instanceof ClaimedGroup.Bare one && other instanceof ClaimedGroup.Bare two && two.mean() != 0
                        ? List.of("The two figures differ by " + told(HUNDRED * (one.mean() / two.mean() - 1))
                                + ", but of one unit or a bare mean nobody can say how much of that is chance.")
                        : List.of(
                                "Both need the same kind of numbers: values, a mean with its scatter and n, or k of n.");
        return untestable("A figure without its scatter can't be held against another.", MORE_UNITS, remarks);
    }

    private static Checked untestable(String sentence, String test, List<String> remarks) {
        return new Checked(Outcome.NOT_TESTABLE, sentence, Optional.empty(), Optional.empty(), test, remarks);
    }
}
