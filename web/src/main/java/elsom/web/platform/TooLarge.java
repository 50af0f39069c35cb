package elsom.web.platform;

/** More was sent than can be taken. The message says what, and how much is taken. */
public final class TooLarge extends RuntimeException {
    private final String message;

    public TooLarge(String message) {
        super(message);
        this.message = message;
    }

    String message() {
        return message;
    }
}
