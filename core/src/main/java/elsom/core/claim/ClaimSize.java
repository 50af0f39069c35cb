package elsom.core.claim;

import org.jspecify.annotations.Nullable;

/**
 * How much.
 *
 * @param kind percent and parts are of the other; a factor is times it; an amount is in the measure's unit
 * @param high the other end of a span, else the same
 */
record ClaimSize(
        Kind kind, double low, double high, @Nullable String ask, int sign) {
    enum Kind {
        OF_OTHER,
        SHARE,
        FACTOR,
        AGAIN,
        AMOUNT
    }

    static ClaimSize of(Kind kind, double value) {
        return new ClaimSize(kind, value, value, null, 0);
    }

    static ClaimSize asked(String question) {
        return new ClaimSize(Kind.AMOUNT, 0, 0, question, 0);
    }
}
