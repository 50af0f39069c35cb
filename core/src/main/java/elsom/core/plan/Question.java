package elsom.core.plan;

import elsom.core.quantity.Bounds;
import elsom.core.trial.EndpointCode;
import java.util.List;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/**
 * What is compared with what, and which difference would matter.
 *
 * @param treatments numbers of those asked about; empty for all others
 * @param comparator the treatment compared with; 0 for the control
 * @param matters the smallest difference that matters (SDM), in percent of the comparator or in the endpoint's unit; 0
 *     when nobody said
 * @param inPercent whether it is in percent of the comparator
 * @param more what it states beyond a direction of treatments; null where that is all
 */
public record Question(
        List<Integer> treatments,
        int comparator,
        EndpointCode endpoint,
        Direction direction,
        double matters,
        boolean inPercent,
        Stated stated,
        @Nullable Hypothesis more) {
    public static final int MOST = 8;
    private static final double LEAST = 1e-9;

    public Question {
        treatments = Bounds.list("treatments in a comparison", treatments, 0, Bounds.TREATMENTS);
        treatments.forEach(number -> Bounds.count("a treatment's number", number, 1, Bounds.TREATMENTS));
        Bounds.count("the comparator", comparator, 0, Bounds.TREATMENTS);
        Bounds.present("an endpoint", endpoint);
        Bounds.present("a direction", direction);
        if (matters != 0) {
            Bounds.number("the difference that matters", matters, LEAST, Bounds.LARGEST / 10);
        }
        Bounds.present("when it was stated", stated);
        more = more == null || more.equals(Hypothesis.of(direction)) ? null : more;
        if (more != null) {
            checked(more, treatments, comparator, matters);
        }
    }

    /** Treatments beside another, in a direction. */
    public Question(
            List<Integer> treatments,
            int comparator,
            EndpointCode endpoint,
            Direction direction,
            double matters,
            boolean inPercent,
            Stated stated) {
        this(treatments, comparator, endpoint, direction, matters, inPercent, stated, null);
    }

    private static void checked(Hypothesis more, List<Integer> treatments, int comparator, double matters) {
        if (more.claim().needsMargin() && !(matters > 0)) {
            throw new IllegalArgumentException("“" + more.claim().label()
                    + "” can only be judged beside a difference that would matter. Accepted: 10 %");
        }
        if (more.step() != null && (comparator != 0 || !treatments.isEmpty())) {
            throw new IllegalArgumentException("a question is about levels or about treatments, not both");
        }
        if (more.figure() != null && comparator != 0) {
            throw new IllegalArgumentException("a question holds treatments against a figure or a treatment, not both");
        }
    }

    /** The same of another look. */
    Question at(int look) {
        return new Question(
                treatments,
                comparator,
                endpoint,
                direction,
                matters,
                inPercent,
                stated,
                hypothesis().at(look));
    }

    /** What it states. */
    public Hypothesis hypothesis() {
        return more == null ? Hypothesis.of(direction) : more;
    }

    /** Whether it shares the trial's error: one of those the trial is for, asked before anything was read. */
    public boolean primary() {
        return stated != Stated.AFTER_READINGS && hypothesis().place() == Hypothesis.Place.PRIMARY;
    }

    /** The smallest difference that matters; empty when nobody said. */
    public OptionalDouble margin() {
        return matters > 0 ? OptionalDouble.of(matters) : OptionalDouble.empty();
    }

    public Question as(Stated when) {
        return new Question(treatments, comparator, endpoint, direction, matters, inPercent, when, more);
    }

    /** In words: "Dry mass: higher in seaweed or kelp than in none, by 15 % or more?" */
    public String sentence(Plan plan) {
        return new QuestionSentence(plan, this).text();
    }
}
