package elsom.core.analysis;

import elsom.core.stats.AnswerChances;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.apache.commons.statistics.distribution.TDistribution;

/** What matters, in the endpoint's unit and as a share, and how many units would show it. */
final class Margins {
    private static final double POWER = 0.8;

    private static final int MOST_UNITS = 500;

    private Margins() {}

    /** The margin beside a comparator; empty when none was given, or it is a percentage of nothing. */
    static OptionalDouble of(Ask ask, double comparator) {
        if (ask.margin().isEmpty() || !ask.marginInPercent()) {
            return ask.margin();
        }
        double margin = ask.margin().getAsDouble() / 100 * Math.abs(comparator);
        return margin > 0 ? OptionalDouble.of(margin) : OptionalDouble.empty();
    }

    /**
     * Fewest units of each at which trials like this one tell in four of five, whichever answer it is, if the difference is
     * as seen.
     *
     * @param now the trial as it is; with more units its reach shrinks as Student's t does
     */
    static OptionalInt unitsToTell(Ask ask, Observations all, double difference, OptionalDouble margin, Now now) {
        boolean asGood = ask.asGood() && margin.isPresent();
        boolean higher = all.better() == Observations.Better.HIGHER;
        double truth = asGood ? (higher ? difference : -difference) + margin.getAsDouble() : difference;
        OptionalDouble matters = asGood ? OptionalDouble.empty() : margin;
        if (!(now.scatter() > 0) || now.nearly(truth, matters, MOST_UNITS) < POWER) {
            return OptionalInt.empty();
        }
        int few = 1;
        int enough = MOST_UNITS;
        while (enough - few > 1) {
            int middle = (few + enough) / 2;
            if (now.nearly(truth, matters, middle) >= POWER) {
                enough = middle;
            } else {
                few = middle;
            }
        }
        // What is nearly enough is seldom more than a few units short of it.
        while (enough < MOST_UNITS && now.told(truth, matters, enough) < POWER) {
            enough++;
        }
        return OptionalInt.of(enough);
    }

    /**
     * A trial as it is.
     *
     * @param units of each treatment, on average
     * @param df of the scatter
     * @param critical for all comparisons together
     */
    record Now(double scatter, double units, double df, double critical) {
        private double df(int n) {
            return Math.max(1, df * (n - 1) / Math.max(1, units - 1));
        }

        private double reach(int n) {
            double alone = 2 * TDistribution.of(df).survivalProbability(critical);
            return alone > 0 ? TDistribution.of(df(n)).inverseSurvivalProbability(alone / 2) : critical;
        }

        private double error(int n) {
            return scatter * Math.sqrt(2.0 / n);
        }

        /** The chance of any answer with so many units of each. */
        private double told(double truth, OptionalDouble matters, int n) {
            return AnswerChances.of(truth, error(n), df(n), reach(n), matters).told();
        }

        /** The same as if the scatter were seen as it is, which costs a hundredth. */
        private double nearly(double truth, OptionalDouble matters, int n) {
            return AnswerChances.knowingScatter(truth, error(n), reach(n), matters)
                    .told();
        }
    }
}
