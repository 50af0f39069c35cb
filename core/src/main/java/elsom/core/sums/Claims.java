package elsom.core.sums;

import elsom.core.claim.Checked;
import elsom.core.claim.ClaimCase;
import elsom.core.claim.ClaimedGroup;
import elsom.core.quantity.UnitOfMeasure;
import java.util.ArrayList;
import java.util.Collections;
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
                        SumField.text(
                                        "measure",
                                        "What was measured, and which way is better",
                                        "fresh mass, more is better")
                                .orNone(),
                        SumField.text("unit", "Unit of the numbers", "g").orNone(),
                        of("firstOf", "What it praises stood on, or was, so many (area or plants)"),
                        of("otherOf", "What it is held against")),
                Claims::held);
    }

    private static Optional<SumAnswer> held(SumValues values) {
        String both = values.text("first") + ";" + values.text("other");
        Optional<Map<String, ClaimedGroup>> named =
                values.text("first").contains(":") && values.text("other").contains(":")
                        ? ClaimedGroup.several(both)
                        : Optional.empty();
        if (named.isPresent() && named.get().size() > 1) {
            return Optional.of(told(Checked.per(
                    said(values, new ArrayList<>(named.get().keySet())),
                    new ArrayList<>(named.get().values()),
                    units(values, named.get().size()))));
        }
        if (values.text("claim").contains(">")) {
            values.refuse(
                    "first",
                    "An order needs numbers of each, with names. Accepted: kelp: 12 13 14; nettle: 10 9 11; none: 8 9 8");
            return Optional.empty();
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
                : Optional.of(told(
                        Checked.per(said(values, List.of()), List.of(first.get(), other.get()), units(values, 2))));
    }

    private static ClaimCase said(SumValues values, List<String> names) {
        String measure = values.text("measure");
        boolean sided = measure.isBlank() || measure.contains("better");
        return ClaimCase.of(
                values.text("claim"), sided ? measure : measure + ", more is better", values.text("unit"), names, 0);
    }

    private static List<Double> units(SumValues values, int sides) {
        List<Double> units = new ArrayList<>(
                Collections.nCopies(sides, values.optional("otherOf").orElse(1)));
        units.set(0, values.optional("firstOf").orElse(1));
        return units;
    }

    private static SumField of(String code, String label) {
        return SumField.quantity(code, label, UnitOfMeasure.COUNT, LEAST, MOST, "1")
                .orNone();
    }

    private static SumAnswer told(Checked checked) {
        String label = checked.outcome().label();
        SumAnswer answer =
                SumAnswer.of(Character.toUpperCase(label.charAt(0)) + label.substring(1) + ". " + checked.sentence());
        if (!checked.read().isEmpty()) {
            answer = answer.line("Read as", checked.read());
        }
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

    /** For scripts: 1 supported, −1 not, 0 neither. */
    private static double supported(Checked.Outcome outcome) {
        return switch (outcome) {
            case SUPPORTED -> 1;
            case NOT_SUPPORTED -> -1;
            case CANT_TELL, CANT_BE_READ, NOT_TESTABLE -> 0;
        };
    }
}
