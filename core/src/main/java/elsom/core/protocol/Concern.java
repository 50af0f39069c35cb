package elsom.core.protocol;

/** A value that is saved but looks odd: what was noticed, and the question to ask in place. */
public record Concern(String noticed, String question) {
    public String sentence() {
        return noticed + " " + question;
    }
}
