package elsom.core.plan;

import elsom.core.formula.Formula;
import elsom.core.quantity.Bounds;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.series.Measurand;
import elsom.core.series.Sensed;
import elsom.core.series.SeriesSummary;
import elsom.core.trial.Counting;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import org.jspecify.annotations.Nullable;

/**
 * An endpoint with how it is measured in this trial.
 *
 * @param rule in words, so that two people measure the same: "from the surface to the top of the canopy"
 * @param scorer who scores or measures; empty when it does not matter
 * @param weight in a combined ranking; 0 leaves it out
 * @param better which way is better
 * @param typicalCv what units of one treatment usually scatter, as a fraction of their mean
 * @param secondsEach what one unit takes
 * @param sensed what it is made of, for an endpoint from a sensor's series; null for one that is read by hand
 * @param formula what it is worked out by from other endpoints; null for one that is read
 */
public record Measure(
        Endpoint endpoint,
        String rule,
        String scorer,
        double weight,
        Direction better,
        double typicalCv,
        int secondsEach,
        @Nullable Sensed sensed,
        @Nullable Formula formula) {
    public static final int LONGEST_RULE = 240;
    private static final double LONGEST_DAYS = 1000;
    private static final double HOURS_A_DAY = 24;
    private static final double USUAL_CV = 0.2;
    private static final double LEAST_CV = 0.0001;
    private static final double MOST_CV = 5;
    private static final int SECONDS_A_PROBE = 20;

    public Measure {
        Bounds.present("an endpoint", endpoint);
        Bounds.number("a weight", weight, 0, 100);
        Bounds.present("which way is better", better);
        Bounds.line("who scores", scorer, Bounds.NAME);
        Bounds.number("a typical CV", typicalCv, LEAST_CV, MOST_CV);
        Bounds.count("seconds a unit takes", secondsEach, 0, 86_400);
        Bounds.note("a rule", rule, LONGEST_RULE);
    }

    /** An endpoint that is read by hand. */
    public static Measure byHand(
            Endpoint endpoint,
            String rule,
            String scorer,
            double weight,
            Direction better,
            double typicalCv,
            int secondsEach) {
        return new Measure(endpoint, rule, scorer, weight, better, typicalCv, secondsEach, null, null);
    }

    /** An endpoint that a sensor's series gives: it takes nobody's time at the bench. */
    public static Measure sensed(EndpointCode code, Sensed sensed) {
        Measurand what = sensed.what();
        boolean ofItself = sensed.summary().unit(what) == what.unit();
        return new Measure(
                new Endpoint(
                        code,
                        sensed.name(),
                        sensed.summary().unit(what),
                        sensed.byHand() ? Counting.SINGLE : Counting.SENSED,
                        1,
                        ofItself ? what.lowest() : Math.min(0, what.lowest() * LONGEST_DAYS),
                        ofItself
                                ? what.highest()
                                : sensed.summary() == SeriesSummary.HOURS_ABOVE
                                        ? HOURS_A_DAY * LONGEST_DAYS
                                        : what.highest() * LONGEST_DAYS,
                        // An area is a bare number; with decimals it is no count.
                        ofItself ? what.decimals() : 1,
                        null),
                sensed.rule(),
                "",
                0,
                Direction.EITHER,
                USUAL_CV,
                sensed.byHand() ? SECONDS_A_PROBE : 0,
                sensed,
                null);
    }

    /** An endpoint that is worked out from others: nobody reads it. */
    public static Measure worked(
            EndpointCode code, String name, Formula formula, UnitOfMeasure unit, int decimals, Direction better) {
        return new Measure(
                new Endpoint(code, name, unit, Counting.WORKED_OUT, 1, -Bounds.LARGEST, Bounds.LARGEST, decimals, null),
                "Worked out: " + formula.text(),
                "",
                0,
                better,
                USUAL_CV,
                0,
                null,
                formula);
    }

    /** Whether it is taken at looks, by hand or by a sensor, and not worked out from what is. */
    public boolean taken() {
        return formula == null;
    }

    /** The same, of units that scatter by as much. */
    public Measure scattering(double cv) {
        double within = Math.max(LEAST_CV, Math.min(MOST_CV, cv));
        return new Measure(endpoint, rule, scorer, weight, better, within, secondsEach, sensed, formula);
    }

    public Measure with(String newRule, String newScorer, double newWeight, Direction newBetter) {
        return new Measure(endpoint, newRule, newScorer, newWeight, newBetter, typicalCv, secondsEach, sensed, formula);
    }
}
