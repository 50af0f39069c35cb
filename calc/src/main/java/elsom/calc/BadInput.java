package elsom.calc;

/** An input that can't be worked with; its message is for the person who wrote the file. */
final class BadInput extends RuntimeException {
    BadInput(String message) {
        super(message);
    }
}
