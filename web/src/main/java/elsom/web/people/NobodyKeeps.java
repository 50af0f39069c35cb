package elsom.web.people;

/** Elsom was to listen where others reach it, and nobody has an account. */
final class NobodyKeeps extends RuntimeException {
    private static final long serialVersionUID = 1;

    NobodyKeeps() {
        super("Elsom was asked to listen where others can reach it, and nobody has an account yet.");
    }
}
