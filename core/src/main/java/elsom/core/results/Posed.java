package elsom.core.results;

import elsom.core.plan.Claim;
import elsom.core.plan.Direction;
import elsom.core.plan.Hypothesis;
import elsom.core.plan.Question;
import elsom.core.plan.Stated;

/**
 * A question as it was posed.
 *
 * @param number 1-based, in the order asked; 0 when nobody asked and the usual question was taken
 * @param words the question in words
 * @param stated when it was asked
 * @param sharing how many primary questions share the trial's error with it, itself among them; 0 when it is looked at
 *     beside
 */
public record Posed(int number, String words, Stated stated, Hypothesis hypothesis, int sharing) {
    private static final double ALPHA = 0.05;

    /** What nobody asked and is judged all the same, by itself. */
    static Posed usual(String words) {
        return new Posed(0, words, Stated.BEFORE_START, Hypothesis.of(Direction.EITHER), 1);
    }

    static Posed of(int number, String words, Question question, int primary) {
        return new Posed(number, words, question.stated(), question.hypothesis(), question.primary() ? primary : 0);
    }

    /** Its part of 5 in 100 trials: primary questions share them alike (Bonferroni). */
    public double alpha() {
        return ALPHA / Math.max(1, sharing);
    }

    public Claim claim() {
        return hypothesis.claim();
    }

    /** Whether it was asked as one that is looked at beside. */
    public boolean beside() {
        return number > 0 && sharing == 0;
    }
}
