package elsom.web.platform;

/** Nothing is kept under that address. The message says what was looked for. */
public final class NotFound extends RuntimeException {
    private final String message;
    private final String backTo;
    private final String backLabel;

    /**
     * A missing thing.
     *
     * @param message what is missing, as a sentence
     * @param backTo the address of the way back
     * @param backLabel what the way back is called
     */
    public NotFound(String message, String backTo, String backLabel) {
        super(message);
        this.message = message;
        this.backTo = backTo;
        this.backLabel = backLabel;
    }

    String backTo() {
        return backTo;
    }

    String backLabel() {
        return backLabel;
    }

    String message() {
        return message;
    }
}
