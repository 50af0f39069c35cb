package elsom.core.plan;

import elsom.core.quantity.Bounds;
import org.jspecify.annotations.Nullable;

/**
 * What a question states, beyond which treatments it is about.
 *
 * @param step levels of a factor, where it names those; null where it names treatments
 * @param figure fixed beforehand, in the endpoint's unit; null where treatments are held against each other
 * @param look number of the look it is about; 0 for the newest
 * @param place whether it shares the trial's error, or is looked at beside
 */
public record Hypothesis(
        Claim claim, @Nullable Step step, @Nullable Double figure, int look, Place place) {
    /** Where a question stands. */
    public enum Place {
        /** One of those the trial is for: all of them share one chance of error. */
        PRIMARY("primary"),
        /** Looked at beside: what it shows is an idea for the next trial. */
        BESIDE("beside");

        private final String label;

        Place(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    public Hypothesis {
        Bounds.present("what is stated", claim);
        Bounds.present("where a question stands", place);
        Bounds.count("the number of a look", look, 0, Bounds.LOOKS);
        if (figure != null) {
            Bounds.number("the figure", figure, -Bounds.LARGEST, Bounds.LARGEST);
        }
        if (claim.fixed() != (figure != null)) {
            throw new IllegalArgumentException(
                    claim.fixed()
                            ? "“" + claim.label() + "” needs a figure. Accepted: 5.4"
                            : "a figure goes with “at least” or “at most”");
        }
        if (claim.fixed() && step != null) {
            throw new IllegalArgumentException("a figure is held against treatments, not against levels");
        }
    }

    /** Treatments beside another, at the newest look, as one of those the trial is for. */
    public static Hypothesis of(Direction direction) {
        return new Hypothesis(Claim.of(direction), null, null, 0, Place.PRIMARY);
    }

    public Hypothesis at(int number) {
        return new Hypothesis(claim, step, figure, number, place);
    }
}
