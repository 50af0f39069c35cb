package elsom.core.stats;

import java.util.OptionalDouble;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * A mean beside a figure that is fixed beforehand: "pH at least 5.4". Student's t; empty where all values are the same.
 *
 * @param pAbove the chance of a mean as high, were the figure true
 */
public record FixedFigure(
        int n,
        double difference,
        double sd,
        double se,
        int df,
        OptionalDouble t,
        OptionalDouble pTwoSided,
        OptionalDouble pAbove,
        OptionalDouble pBelow,
        OptionalDouble low,
        OptionalDouble high) {
    /**
     * That the mean is the figure, to within a margin: two one-sided tests (Schuirmann 1987).
     *
     * @param lowTost of the interval at twice alpha that says the same
     */
    public record Equivalent(OptionalDouble pEquivalent, OptionalDouble lowTost, OptionalDouble highTost) {}

    /** Judges two values or more. */
    public static FixedFigure of(Group values, double figure, double alpha) {
        if (values.n() < 2) {
            throw new IllegalArgumentException("two values or more are needed, got " + values.n());
        }
        double difference = values.mean() - figure;
        double sd = Math.sqrt(values.values().stream()
                        .mapToDouble(value -> value - values.mean())
                        .map(off -> off * off)
                        .sum()
                / (values.n() - 1));
        int df = values.n() - 1;
        if (sd == 0) {
            OptionalDouble none = OptionalDouble.empty();
            return new FixedFigure(values.n(), difference, 0, 0, df, none, none, none, none, none, none);
        }
        double error = sd / Math.sqrt(values.n());
        double t = difference / error;
        TDistribution student = TDistribution.of(df);
        double reach = student.inverseSurvivalProbability(alpha / 2) * error;
        return new FixedFigure(
                values.n(),
                difference,
                sd,
                error,
                df,
                OptionalDouble.of(t),
                OptionalDouble.of(2 * student.survivalProbability(Math.abs(t))),
                OptionalDouble.of(student.survivalProbability(t)),
                OptionalDouble.of(student.cumulativeProbability(t)),
                OptionalDouble.of(difference - reach),
                OptionalDouble.of(difference + reach));
    }

    /** Half the interval of a mean of so many values whose standard deviation is known to be at least this. */
    public static double reach(double sd, int n, double alpha) {
        return TDistribution.of(n - 1).inverseSurvivalProbability(alpha / 2) * sd / Math.sqrt(n);
    }

    /** Whether it is the figure to within a margin. */
    public Equivalent within(double margin, double alpha) {
        if (t.isEmpty()) {
            return new Equivalent(OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());
        }
        TDistribution student = TDistribution.of(df);
        double reach = student.inverseSurvivalProbability(alpha) * se;
        return new Equivalent(
                OptionalDouble.of(Math.max(
                        student.survivalProbability((difference + margin) / se),
                        student.cumulativeProbability((difference - margin) / se))),
                OptionalDouble.of(difference - reach),
                OptionalDouble.of(difference + reach));
    }
}
