package elsom.core.sums;

import elsom.core.read.Box;
import elsom.core.read.Read;
import elsom.core.read.Reader;
import java.util.Optional;

/** A blank of a sum that takes whatever the reader of its box takes; what it asks is said at the blank. */
final class ReadBlank {
    private ReadBlank() {}

    static SumField of(String code, String label, String example) {
        return SumField.text(code, label, example);
    }

    /** What was read; empty with a message at the blank where it was not. */
    static Optional<Read.Value> read(SumValues values, String code, Box box) {
        Read read = Reader.read(box, values.text(code), values.known());
        if (read instanceof Read.Value value && !(value.meaning() instanceof Read.Unknown)) {
            return Optional.of(value);
        }
        values.refuse(
                code,
                read instanceof Read.Ask ask
                        ? ask.why() + " Accepted: " + box.example()
                        : read instanceof Read.Refused refused
                                ? refused.message()
                                : "It has to be known. Accepted: " + box.example());
        return Optional.empty();
    }

    /** One amount above 0, in the box's own unit. */
    static Optional<Double> amount(SumValues values, String code, Box box) {
        Optional<Double> amount = read(values, code, box)
                .map(Read.Value::meaning)
                .filter(Read.Amount.class::isInstance)
                .map(meaning -> ((Read.Amount) meaning).value())
                .filter(value -> value > 0);
        if (amount.isEmpty()) {
            values.refuse(code, "An amount above 0. Accepted: " + box.example());
        }
        return amount;
    }
}
