package elsom.core.verdict;

/**
 * An answer as a sentence.
 *
 * @param wouldChange what would change it, or make it firmer
 */
public record Verdict(Firmness firmness, String sentence, String wouldChange) {
    /** How far it can be relied on. */
    public enum Firmness {
        SOUND("sound"),
        SO_FAR("so far"),
        CANT_TELL("can't tell yet");

        private final String label;

        Firmness(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }
}
