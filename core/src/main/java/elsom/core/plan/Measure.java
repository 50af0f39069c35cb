package elsom.core.plan;

import elsom.core.quantity.Bounds;
import elsom.core.trial.Endpoint;

/**
 * An endpoint with how it is measured in this trial.
 *
 * @param rule in words, so that two people measure the same: "from the surface to the top of the canopy"
 * @param scorer who scores or measures; empty when it does not matter
 * @param weight in a combined ranking; 0 leaves it out
 * @param better which way is better
 * @param typicalCv what units of one treatment usually scatter, as a fraction of their mean
 * @param secondsEach what one unit takes
 */
public record Measure(
        Endpoint endpoint,
        String rule,
        String scorer,
        double weight,
        Direction better,
        double typicalCv,
        int secondsEach) {
    public static final int LONGEST_RULE = 240;

    public Measure {
        Bounds.present("an endpoint", endpoint);
        Bounds.number("a weight", weight, 0, 100);
        Bounds.present("which way is better", better);
        Bounds.line("who scores", scorer, Bounds.NAME);
        Bounds.number("a typical CV", typicalCv, 0.0001, 5);
        Bounds.count("seconds a unit takes", secondsEach, 0, 86_400);
        Bounds.note("a rule", rule, LONGEST_RULE);
    }

    public Measure with(String newRule, String newScorer, double newWeight, Direction newBetter) {
        return new Measure(endpoint, newRule, newScorer, newWeight, newBetter, typicalCv, secondsEach);
    }
}
