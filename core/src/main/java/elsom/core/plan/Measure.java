package elsom.core.plan;

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
        if (!(weight >= 0 && weight <= 100)) {
            throw new IllegalArgumentException("a weight is 0 to 100, got " + weight);
        }
        if (!(typicalCv > 0 && typicalCv < 5) || secondsEach < 0) {
            throw new IllegalArgumentException("a typical CV is above 0 and below 5 and seconds are 0 or more, got "
                    + typicalCv + ", " + secondsEach);
        }
        if (rule.length() > LONGEST_RULE) {
            throw new IllegalArgumentException("a rule has at most " + LONGEST_RULE + " characters");
        }
    }

    public Measure with(String newRule, String newScorer, double newWeight, Direction newBetter) {
        return new Measure(endpoint, newRule, newScorer, newWeight, newBetter, typicalCv, secondsEach);
    }
}
