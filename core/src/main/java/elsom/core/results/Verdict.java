package elsom.core.results;

/**
 * An answer as a sentence.
 *
 * @param wouldChange what would change it, or make it firmer
 * @param brief it in few words, where its sentence takes many; empty where the sentence serves
 */
public record Verdict(Firmness firmness, String sentence, String wouldChange, String brief) {
    public Verdict(Firmness firmness, String sentence, String wouldChange) {
        this(firmness, sentence, wouldChange, "");
    }

    /** The same with its few words. */
    public Verdict briefly(String words) {
        return new Verdict(firmness, sentence, wouldChange, words);
    }

    /** What it says in a word, or how far it can be relied on. */
    public enum Firmness {
        /** The highest: shown over three lots and two seasons. */
        HOLDS("holds"),
        BETTER("better"),
        WORSE("worse"),
        DIFFERENT("different"),
        NO_DIFFERENCE("no difference that matters"),
        AS_GOOD("as good"),
        NOT_AS_GOOD("not as good"),
        PARTLY("clear in part"),
        SETTLED("clear"),
        HELD("held"),
        NOT_HELD("not held"),
        SOUND("clear"),
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
