package elsom.core.analysis;

import elsom.core.stats.Interval;
import java.util.Optional;
import java.util.OptionalDouble;

/** Means of arms and how far combinations of them scatter. Arms without units have weight 0 in every combination. */
interface Model {
    /** Of each arm, adjusted for blocks; NaN for one without units. */
    double[] means();

    /** Covariance of two combinations of means, in squared units of the endpoint. */
    double covariance(double[] one, double[] other);

    /** How two combinations go together when several are judged at once. */
    default double correlation(double[] one, double[] other) {
        return covariance(one, other) / Math.sqrt(variance(one) * variance(other));
    }

    /** How the t of a combination is spread. */
    Spread spread(double[] combination);

    /** Of each seen unit, in the order of the rows. */
    double[] residuals();

    /** Standard deviation between units treated alike. */
    double scatter();

    /** Variance of one arm's mean by itself, without what its place adds. */
    double own(int arm);

    /** How the intervals of this model are made, when it is not by t. */
    default Optional<Method> method() {
        return Optional.empty();
    }

    /** An exact test of a pair for so many comparisons together, where the endpoint has one. */
    default OptionalDouble exact(Pairing.Pair pair, int comparisons) {
        return OptionalDouble.empty();
    }

    /** The interval of a combination that reaches this many standard errors. */
    default Interval interval(double[] combination, double critical) {
        double value = value(combination);
        double half = critical * Math.sqrt(variance(combination));
        return new Interval(value - half, value + half);
    }

    /** A combination as a ratio of odds, where the endpoint has odds and its plants are the units. */
    default Optional<Interaction.Odds> odds(double[] combination, double alpha) {
        return Optional.empty();
    }

    /** How many standard errors an interval may reach before it holds 0. */
    default double distance(double[] combination) {
        return Math.abs(value(combination)) / Math.sqrt(variance(combination));
    }

    /**
     * The interval of a difference in percent of the comparator's mean, which is itself uncertain (Fieller 1954).
     *
     * @return empty where the comparator can't be told from 0
     */
    default Optional<Interval> percent(int treatment, int comparator, double critical) {
        double[] difference = difference(means().length, treatment, comparator);
        double mean = means()[comparator];
        double base = own(comparator);
        double g = critical * critical * base / (mean * mean);
        if (!(mean > 0) || !(g < 1)) {
            return Optional.empty();
        }
        double ratio = value(difference) / mean;
        double variance = variance(difference);
        double inside = variance + 2 * ratio * base + ratio * ratio * base - g * (variance - base);
        double centre = (ratio + g) / (1 - g);
        double half = critical / mean * Math.sqrt(Math.max(0, inside)) / (1 - g);
        return Optional.of(new Interval(100 * (centre - half), 100 * (centre + half)));
    }

    default double variance(double[] combination) {
        return covariance(combination, combination);
    }

    /** The value of a combination of means that sums to zero. */
    default double value(double[] combination) {
        double sum = 0;
        for (int i = 0; i < combination.length; i++) {
            sum += combination[i] == 0 ? 0 : combination[i] * means()[i];
        }
        return sum;
    }

    /** Treatment less comparator. */
    static double[] difference(int arms, int treatment, int comparator) {
        double[] weights = new double[arms];
        weights[treatment] = 1;
        weights[comparator] = -1;
        return weights;
    }
}
