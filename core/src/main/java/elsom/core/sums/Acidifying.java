package elsom.core.sums;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import java.util.List;
import java.util.Optional;

/** Sulfur for a pH, from one jar of one's own: by purity and time, as lime's carbonate equivalents say nothing of it. */
final class Acidifying {
    private static final double LARGEST_DOSE = 50;
    private static final double LEAST_FALL = 0.2;

    /** Weeks in which most of a fine sulfur is oxidised in a warm, moist medium. */
    private static final double ACTS_WEEKS = 6;

    private Acidifying() {}

    static Sum target() {
        return new Sum(
                "sulfur_target",
                "Sulfur for a pH",
                "I stirred some sulfur into one jar and left another as it is.",
                "straight line between the two jars; amounts by purity",
                List.of(
                        ph("bare", "pH of the jar as it is", "7.6"),
                        ph("acidified", "pH of the jar with sulfur", "6.4"),
                        SumField.quantity("weeks", "Weeks since it was stirred in", UnitOfMeasure.COUNT, 0, 104, "6"),
                        SumField.quantity(
                                "dose", "Sulfur in it", UnitOfMeasure.GRAM_PER_LITRE, 0.01, LARGEST_DOSE, "1 g/L"),
                        ph("target", "pH wanted", "6.8"),
                        SumField.quantity("volume", "For so much medium", UnitOfMeasure.MILLILITRE, 1, 1e9, "50 L"),
                        SumField.quantity(
                                "tested", "Purity of the sulfur in the jar, %", UnitOfMeasure.COUNT, 10, 100, "90"),
                        SumField.quantity(
                                "used", "of the sulfur that is bought, %", UnitOfMeasure.COUNT, 10, 100, "90")),
                Acidifying::answer);
    }

    private static SumField ph(String code, String label, String example) {
        return SumField.quantity(code, label, UnitOfMeasure.PH, 0, 14, example);
    }

    private static Optional<SumAnswer> answer(SumValues values) {
        double bare = values.quantity("bare");
        double fall = bare - values.quantity("acidified");
        double target = values.quantity("target");
        if (fall < LEAST_FALL) {
            values.refuse(
                    "acidified",
                    "The sulfur must have lowered it by " + LEAST_FALL
                            + " or more, else nothing can be read off it: wait"
                            + " longer, warm and moist. Accepted: "
                            + Decimals.fixed(Math.max(0, bare - 1), 1));
            return Optional.empty();
        }
        if (target < values.quantity("acidified") || target > bare) {
            values.refuse(
                    "target",
                    (target > bare
                                    ? "Sulfur only lowers a pH: this is above the jar as it is."
                                    : "Below what the jar reached, where nobody knows how it goes on.")
                            + " Accepted: " + Decimals.fixed(bare - fall / 2, 1));
            return Optional.empty();
        }
        double gramsALitre =
                values.quantity("dose") * (bare - target) / fall * values.quantity("tested") / values.quantity("used");
        double all = gramsALitre * values.quantity("volume") / 1000;
        double weeks = values.quantity("weeks");
        SumAnswer answer = SumAnswer.of(
                        "Sulfur: " + Amounts.number(gramsALitre) + " g/L, " + Amounts.grams(all) + " for all.")
                .step(Amounts.number(values.quantity("dose")) + " g/L lowered pH by " + Decimals.fixed(fall, 1)
                        + "; wanted is " + Decimals.fixed(bare - target, 1))
                .number("sulfur_g_per_l", gramsALitre)
                .number("sulfur_g", all);
        return Optional.of((weeks < ACTS_WEEKS
                        ? answer.mind(
                                "After " + Amounts.number(weeks) + " weeks it has not all worked: most takes about "
                                        + Decimals.upTo(ACTS_WEEKS, 0)
                                        + ", so this is too much. Give half and measure again.")
                        : answer)
                .mind(
                        "Microbes make acid of it: weeks in a warm, moist medium, hardly any in a cold or sterile one; and the"
                                + " finer the faster. A medium that fizzes with vinegar holds free lime, which takes the acid first.")
                .mind(
                        "Sulfur dust irritates eyes and lungs and can catch fire: goggles, mask, no sparks; the label rules over"
                                + " this."));
    }
}
