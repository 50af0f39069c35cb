package elsom.core.analysis;

import java.util.List;
import java.util.OptionalDouble;

/**
 * What is to be judged.
 *
 * @param treatments codes of those asked about; empty for all others
 * @param against with what they are compared
 * @param margin the smallest difference that matters, above 0; empty when nobody said
 * @param marginInPercent whether the margin is in percent of the comparator's mean
 * @param asGood whether it is asked if treatments are as good, not worse by the margin: then each end of an interval holds
 *     by itself, since only one of them decides
 * @param alpha chance of a wrong answer over all comparisons of the question; 0.05 for 95 % intervals
 * @param scatter whether treatments are taken to scatter alike
 */
public record Ask(
        List<String> treatments,
        Against against,
        OptionalDouble margin,
        boolean marginInPercent,
        boolean asGood,
        double alpha,
        Scatter scatter) {
    /** How treatments scatter. */
    public enum Scatter {
        /** As it is seen, alike or not ({@link WeighedModel}). */
        AS_SEEN,
        /** As one, which is the textbook's analysis of variance. */
        ALIKE
    }

    /** What treatments are compared with. */
    public sealed interface Against {
        /** The control at the same level of the other factors. */
        record Control() implements Against {}

        /** One treatment. */
        record Treatment(String code) implements Against {}

        /** A level of a factor, at the same levels of the others, and over all of them. */
        record Level(int factor, List<String> levels, String beside) implements Against {
            public Level {
                levels = List.copyOf(levels);
            }
        }

        /** Each other. */
        record AllPairs() implements Against {}
    }

    public Ask {
        treatments = List.copyOf(treatments);
        if (margin.isPresent() && !(margin.getAsDouble() > 0 && Double.isFinite(margin.getAsDouble()))) {
            throw new IllegalArgumentException("a margin must be above 0, got " + margin.getAsDouble());
        }
        if (!(alpha > 0 && alpha < 1)) {
            throw new IllegalArgumentException("alpha must be above 0 and below 1, got " + alpha);
        }
    }

    /** Scatter is taken as it is seen. */
    public Ask(
            List<String> treatments,
            Against against,
            OptionalDouble margin,
            boolean marginInPercent,
            boolean asGood,
            double alpha) {
        this(treatments, against, margin, marginInPercent, asGood, alpha, Scatter.AS_SEEN);
    }

    /** Which way they differ is asked. */
    public Ask(List<String> treatments, Against against, OptionalDouble margin, boolean marginInPercent, double alpha) {
        this(treatments, against, margin, marginInPercent, false, alpha);
    }

    /** The same at another chance of error. */
    public Ask at(double other) {
        return new Ask(treatments, against, margin, marginInPercent, asGood, other, scatter);
    }

    /** The same where treatments are taken to scatter alike. */
    public Ask alike() {
        return new Ask(treatments, against, margin, marginInPercent, asGood, alpha, Scatter.ALIKE);
    }

    /** The alpha of intervals, both ends together. */
    double bothEnds() {
        return asGood ? 2 * alpha : alpha;
    }

    public static Ask againstControl(OptionalDouble margin) {
        return new Ask(List.of(), new Against.Control(), margin, false, 0.05);
    }
}
