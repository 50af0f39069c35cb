package elsom.core.sums;

import elsom.core.panel.ForcedChoice;
import elsom.core.panel.Tasted;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.stats.Interval;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/** Whether tasters can tell, or prefer, and how many it takes. */
final class TastingSums {
    private static final double MOST = 500;
    private static final double HUNDRED = 100;

    private TastingSums() {}

    static Sum triangle() {
        return new Sum(
                "triangle",
                "Can they taste it?",
                "Three plates, two alike: so many picked the odd one.",
                "Exact binomial at 1/3; share of tasters who truly tell = (right − 1/3) ÷ (2/3), interval by Clopper and Pearson"
                        + " (1934)",
                fields("right", "Picked the odd one", "9", "You want to find it when so many in 100 can tell"),
                values -> answered(
                        ForcedChoice.Kind.TRIANGLE, values, "right", "they can tell", "they may have guessed"));
    }

    static Sum preference() {
        return new Sum(
                "preference",
                "Which do they prefer?",
                "Two plates: so many chose the one.",
                "Exact binomial at 1/2, two-sided; interval of the share by Clopper and Pearson (1934)",
                fields(
                        "chose",
                        "Chose the one that more preferred",
                        "16",
                        "You want to find it when so many in 100 prefer it"),
                values -> answered(ForcedChoice.Kind.PAIR, values, "chose", "it is preferred", "it may be chance"));
    }

    private static List<SumField> fields(String code, String label, String example, String wanted) {
        return List.of(
                SumField.quantity("tasters", "Tasters", UnitOfMeasure.COUNT, 1, MOST, "20"),
                SumField.quantity(code, label, UnitOfMeasure.COUNT, 0, MOST, example),
                SumField.quantity("can", wanted, UnitOfMeasure.COUNT, 1, 100, "40")
                        .orNone());
    }

    private static Optional<SumAnswer> answered(
            ForcedChoice.Kind kind, SumValues values, String code, String yes, String no) {
        int tasters = (int) Math.rint(values.quantity("tasters"));
        int chosen = (int) Math.rint(values.quantity(code));
        if (chosen > tasters) {
            values.refuse(code, "At most as many as there are tasters, " + tasters + ". Accepted: " + tasters / 2);
            return Optional.empty();
        }
        ForcedChoice choice = new ForcedChoice(kind, tasters, chosen);
        Interval tell = choice.discriminators();
        OptionalInt least = ForcedChoice.leastOf(kind, tasters);
        SumAnswer answer = SumAnswer.of(headline(choice, yes, no))
                .line(
                        kind == ForcedChoice.Kind.PAIR ? "Who prefer it beyond an even split" : "Who can truly tell",
                        Decimals.percent(choice.discriminating(), 0) + " % (95 % interval "
                                + Decimals.percent(tell.low(), 0) + " to " + Decimals.percent(tell.high(), 0) + " %)")
                .line(
                        "It takes",
                        least.isPresent()
                                ? least.getAsInt() + " of " + tasters
                                : "more tasters: of so few even all would not show it")
                .step(
                        kind == ForcedChoice.Kind.PAIR
                                ? "an even split is 50 %"
                                : "guessing alone gets " + Decimals.percent(kind.guess(), 0) + " % right")
                .number("p", choice.p())
                .number("can_tell", choice.discriminating())
                .number("can_tell_low", tell.low())
                .number("can_tell_high", tell.high());
        if (values.optional("can").isPresent()) {
            OptionalInt needed =
                    ForcedChoice.tastersFor(kind, values.optional("can").getAsDouble() / HUNDRED);
            answer = answer.line(
                    "Tasters who would likely show it",
                    needed.isPresent() ? String.valueOf(needed.getAsInt()) : "more than " + (int) MOST);
            if (needed.isPresent()) {
                answer = answer.number("tasters_needed", needed.getAsInt());
            }
        }
        return Optional.of(
                answer.mind(
                                "One person who tastes ten times is one taster: the panel is counted in people. Codes on the plates, order by"
                                        + " lot, nobody talks.")
                        .mind(
                                "Ask for allergies first; nothing that was sprayed, drenched or grown in a suspect lot is tasted."));
    }

    private static String headline(ForcedChoice choice, String yes, String no) {
        String votes = choice.chosen() + " of " + choice.tasters();
        if (choice.tasters() < Tasted.LEAST_PANEL) {
            return (choice.tasters() == 1
                            ? "One taster’s vote is not a panel"
                            : choice.tasters() + " tasters are not a panel")
                    + ": " + votes + ". From " + Tasted.LEAST_PANEL + " people on something is said here.";
        }
        String says = !choice.shown()
                ? "Not shown: " + no
                : choice.otherWay() ? "Yes, the other is preferred" : "Yes, " + yes;
        return says + ". " + votes + " (p " + Decimals.significant(choice.p(), 2) + ").";
    }
}
