package elsom.web.platform;

/** An error as a person reads it: what happened, and the way back. */
public record ErrorPage(String title, String message, String backTo, String backLabel) {
    static final ErrorPage UNFORESEEN = of(
            "Something broke",
            "Elsom met something it did not foresee. What was saved before is safe. Go back and try again; if it comes"
                    + " again, restart Elsom and look at its log.");

    static final ErrorPage DISK_FULL = of(
            "The disk is full",
            "The disk is full, so nothing was written. All that was saved before is safe and can be read. Free some space"
                    + " on the disk that holds Elsom's data; then it goes on by itself.");

    static ErrorPage of(String title, String message) {
        return new ErrorPage(title, message, "/trials", "All trials");
    }

    /** The page for a status that no handler met, such as one the container answered. */
    static ErrorPage ofStatus(int status) {
        return switch (status) {
            case 400 -> of("Not understood", "The request could not be understood. Go back and try again.");
            case 403 ->
                of(
                        "This page was open too long",
                        "Its key has run out, so nothing was changed. Go back, reload the page, and send it again: what"
                                + " you typed at the bench is still there.");
            case 404 -> of("Not here", "There is no page at this address.");
            case 405 -> of("Not that way", "This address does not take that kind of request.");
            case 413 -> of("Too large", "What was sent is larger than can be taken. Nothing was changed.");
            default -> UNFORESEEN;
        };
    }
}
