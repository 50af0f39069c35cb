package elsom.core.plan;

import elsom.core.quantity.UnitOfMeasure;
import elsom.core.working.Working;

/**
 * Something to get ready.
 *
 * @param forWhat which treatment or mix it is for; empty when for all
 * @param working how the amount was worked out
 */
public record Need(Kind kind, String name, String forWhat, double amount, UnitOfMeasure unit, Working working) {
    /** What sort of thing it is. */
    public enum Kind {
        SHOPPING("Materials in all"),
        MEDIUM("Batches: loose volume before mixing"),
        SEED("Seed"),
        ADDITION("Mixed into the medium: lime, sulfur, feeds"),
        LIQUID("Feeds and stocks"),
        CONTAINER("Containers and labels");

        private final String label;

        Kind(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }
}
