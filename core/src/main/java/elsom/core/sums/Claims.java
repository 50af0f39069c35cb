package elsom.core.sums;

import elsom.core.claim.Checked;
import elsom.core.claim.Claim;
import elsom.core.claim.ClaimedGroup;
import elsom.core.claim.Order;
import elsom.core.quantity.UnitOfMeasure;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Claims in words, held against pasted numbers. */
final class Claims {
    private static final String ACCEPTED =
            "Values with spaces between, a mean with scatter and number, or k of n. Accepted: 12.4 ± 2.1 n 8";

    private static final double LEAST = 1e-6;
    private static final double MOST = 1e9;

    private Claims() {}

    static Sum check() {
        return new Sum(
                "claim",
                "Is the claim true?",
                "Somebody says it is so much better, and has numbers.",
                "Ratio of means by Fieller (1954) with Welch's degrees of freedom; of shares on the log scale (Katz et al."
                        + " 1978), points by Newcombe (1998); the best of many by Blom (1958)",
                List.of(
                        SumField.text("claim", "What is claimed", "30 % more than usual practice"),
                        SumField.text("first", "Numbers of what it praises", "12.4 ± 2.1 n 8"),
                        SumField.text("other", "Numbers of what it is held against", "9.8 ± 1.9 n 8"),
                        of("firstOf", "What it praises stood on, or was, so many (area or plants)"),
                        of("otherOf", "What it is held against")),
                values -> {
                    Optional<Order> order = Order.read(values.text("claim"));
                    if (order.isPresent()) {
                        return ordered(order.get(), values);
                    }
                    Optional<ClaimedGroup> first = ClaimedGroup.read(values.text("first"));
                    Optional<ClaimedGroup> other = ClaimedGroup.read(values.text("other"));
                    if (first.isEmpty()) {
                        values.refuse("first", ACCEPTED);
                    }
                    if (other.isEmpty()) {
                        values.refuse("other", ACCEPTED);
                    }
                    return first.isEmpty() || other.isEmpty()
                            ? Optional.empty()
                            : Optional.of(told(Checked.per(
                                    Claim.read(values.text("claim")),
                                    first.get(),
                                    values.optional("firstOf").orElse(1),
                                    other.get(),
                                    values.optional("otherOf").orElse(1))));
                });
    }

    private static SumField of(String code, String label) {
        return SumField.quantity(code, label, UnitOfMeasure.COUNT, LEAST, MOST, "1")
                .orNone();
    }

    /** "kelp > nettle > none", with numbers of each in the first field. */
    private static Optional<SumAnswer> ordered(Order order, SumValues values) {
        Optional<Map<String, ClaimedGroup>> samples = Order.samples(values.text("first") + ";" + values.text("other"));
        if (samples.isEmpty()) {
            values.refuse(
                    "first",
                    "An order needs numbers of each, with names. Accepted: kelp: 12 13 14; nettle: 10 9 11; none: 8 9 8");
            return Optional.empty();
        }
        return Optional.of(told(order.check(samples.get())));
    }

    private static SumAnswer told(Checked checked) {
        String label = checked.outcome().label();
        SumAnswer answer =
                SumAnswer.of(Character.toUpperCase(label.charAt(0)) + label.substring(1) + ". " + checked.sentence());
        if (!checked.test().isEmpty()) {
            answer = answer.line("What would test it", checked.test());
        }
        for (String remark : checked.remarks()) {
            answer = answer.mind(remark);
        }
        answer = answer.mind(
                "Same area, spacing, age and number of plants for both? If not, it is not this that is compared.");
        answer = answer.number("outcome", supported(checked.outcome()));
        if (checked.percent().isPresent() && checked.percent95().isPresent()) {
            answer = answer.number("percent", checked.percent().get())
                    .number("percent_low", checked.percent95().get().low())
                    .number("percent_high", checked.percent95().get().high());
        }
        return answer;
    }

    /** For scripts: 1 supported, −1 not, 0 not testable. */
    private static double supported(Checked.Outcome outcome) {
        return switch (outcome) {
            case SUPPORTED -> 1;
            case NOT_SUPPORTED -> -1;
            case NOT_TESTABLE -> 0;
        };
    }
}
