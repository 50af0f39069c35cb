package elsom.core.sums;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import java.util.List;
import java.util.Optional;

/** Lime or sulfur for a pH, from one jar of one's own. */
final class Acidity {
    /** Molar masses of CaCO₃ and S: a gram of sulfur, once oxidised, undoes so many of lime. */
    private static final double LIME_A_SULFUR = 100.087 / 32.06;

    private static final double LARGEST_DOSE = 200;
    private static final double LEAST_RISE = 0.2;
    private static final double FURTHEST_DOWN = 1;

    private Acidity() {}

    static Sum target() {
        return new Sum(
                "lime_target",
                "Lime or sulfur for a pH",
                "I stirred some lime into one jar and left another as it is.",
                "straight line between the two jars; 1 g S = 3.12 g CaCO₃",
                List.of(
                        ph("bare", "pH of the jar as it is", "4.8"),
                        ph("limed", "pH of the limed jar, a week later", "6.6"),
                        SumField.quantity(
                                "dose", "Lime in it", UnitOfMeasure.GRAM_PER_LITRE, 0.01, LARGEST_DOSE, "4 g/L"),
                        ph("target", "pH wanted", "6.0"),
                        SumField.quantity("volume", "For so much medium", UnitOfMeasure.MILLILITRE, 1, 1e9, "50 L"),
                        SumField.quantity(
                                "tested",
                                "Neutralising value of the lime in the jar, %",
                                UnitOfMeasure.COUNT,
                                10,
                                200,
                                "95"),
                        SumField.quantity("used", "of the lime that is bought, %", UnitOfMeasure.COUNT, 10, 200, "95")),
                Acidity::answer);
    }

    private static SumField ph(String code, String label, String example) {
        return SumField.quantity(code, label, UnitOfMeasure.PH, 0, 14, example);
    }

    private static Optional<SumAnswer> answer(SumValues values) {
        double bare = values.quantity("bare");
        double rise = values.quantity("limed") - bare;
        double target = values.quantity("target");
        if (rise < LEAST_RISE) {
            values.refuse(
                    "limed",
                    "The lime must have raised it by " + LEAST_RISE
                            + " or more, else nothing can be read off it. Accepted: "
                            + Decimals.fixed(Math.min(14, bare + 1.5), 1));
            return Optional.empty();
        }
        if (target > values.quantity("limed")) {
            values.refuse(
                    "target",
                    "Above what the jar reached, where nobody knows how it goes on. Lime another jar more, or accept up to "
                            + Decimals.fixed(values.quantity("limed"), 1) + ". Accepted: "
                            + Decimals.fixed((bare + values.quantity("limed")) / 2, 1));
            return Optional.empty();
        }
        if (target < bare - FURTHEST_DOWN) {
            values.refuse(
                    "target",
                    "More than one pH below the jar as it is; sulfur can't be foretold so far. Accepted: "
                            + Decimals.fixed(Math.max(0, bare - 0.5), 1));
            return Optional.empty();
        }
        double pure = values.quantity("dose") * (target - bare) / rise * values.quantity("tested") / 100;
        return Optional.of(
                target >= bare
                        ? lime(values, pure * 100 / values.quantity("used"), rise)
                        : sulfur(values, -pure / LIME_A_SULFUR, rise));
    }

    private static SumAnswer lime(SumValues values, double gramsALitre, double rise) {
        double all = gramsALitre * values.quantity("volume") / 1000;
        return SumAnswer.of("Lime: " + Amounts.number(gramsALitre) + " g/L, " + Amounts.grams(all) + " for all.")
                .step(line(values, rise))
                .mind(
                        "Buffering is no straight line: a titration in jars of several amounts tells it better, and a trial"
                                + " here fits its curve. Stay under, wait a week, measure again.")
                .mind("Lime dust burns eyes and wet skin: goggles, gloves; the label rules over this.")
                .number("lime_g_per_l", gramsALitre)
                .number("lime_g", all);
    }

    private static SumAnswer sulfur(SumValues values, double gramsALitre, double rise) {
        double all = gramsALitre * values.quantity("volume") / 1000;
        return SumAnswer.of(
                        "Sulfur: about " + Amounts.number(gramsALitre) + " g/L, " + Amounts.grams(all) + " for all.")
                .step(line(values, rise))
                .step("divided by 3.12: what 1 g of sulfur makes of acid undoes 3.12 g of lime")
                .mind(
                        "Sulfur works only as microbes oxidise it: weeks in a warm, moist medium, hardly at all in a cold or"
                                + " sterile one. Give half, wait six weeks, measure again; a jar with sulfur in it tells more (“Sulfur for a pH”).")
                .mind("Sulfur dust irritates eyes and lungs and can catch fire; the label rules over this.")
                .number("sulfur_g_per_l", gramsALitre)
                .number("sulfur_g", all);
    }

    private static String line(SumValues values, double rise) {
        return Amounts.number(values.quantity("dose")) + " g/L raised pH by " + Decimals.fixed(rise, 1) + "; wanted is "
                + Decimals.fixed(values.quantity("target") - values.quantity("bare"), 1);
    }
}
