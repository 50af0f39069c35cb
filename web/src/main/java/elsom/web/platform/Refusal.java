package elsom.web.platform;

/** A request that can't be done as asked. The message says why, and what would be accepted. */
public class Refusal extends RuntimeException {
    private final String message;

    public Refusal(String message) {
        super(message);
        this.message = message;
    }

    public String message() {
        return message;
    }
}
