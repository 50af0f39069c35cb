package elsom.core.sums;

import elsom.core.column.DrainedPot;
import elsom.core.column.FittedMedium;
import elsom.core.column.TypicalMedium;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.stats.Outcome;
import elsom.core.trial.Container;
import elsom.core.water.RetentionCurve;
import java.util.List;
import java.util.Optional;

/** Water in one drained pot. */
final class Columns {
    private static final List<Integer> DEPTHS = List.of(4, 6, 10, 15, 20);

    private Columns() {}

    static Sum column() {
        return new Sum(
                "column",
                "Water in a drained pot",
                "I fill a straight pot with a medium between fine and coarse, with or without gravel below.",
                "mean of θ(z) over the sections, suction z cm at height z (van Genuchten 1980)",
                List.of(
                        SumField.quantity("depth", "Depth of the pot", UnitOfMeasure.CENTIMETRE, 2, 100, "12 cm"),
                        SumField.quantity("width", "Its width", UnitOfMeasure.CENTIMETRE, 1, 100, "11 cm"),
                        SumField.quantity("texture", "Medium, 0 fine to 100 coarse", UnitOfMeasure.COUNT, 0, 100, "60"),
                        SumField.quantity("gravel", "Gravel at the bottom", UnitOfMeasure.CENTIMETRE, 0, 90, "0 cm")),
                values -> {
                    double depth = values.quantity("depth");
                    double gravel = values.quantity("gravel");
                    if (gravel >= depth) {
                        values.refuse(
                                "gravel",
                                "That leaves no room for the medium. Accepted: less than " + Amounts.number(depth)
                                        + " cm");
                        return Optional.empty();
                    }
                    RetentionCurve medium = TypicalMedium.of(values.quantity("texture") / 100);
                    DrainedPot pot = DrainedPot.of(
                            Container.straightRound("pot", depth, values.quantity("width")), medium, gravel);
                    return Optional.of(SumAnswer.of("It holds " + Amounts.ml(pot.waterMl()) + ", "
                                    + Decimals.percent(pot.water(), 0) + " % of the medium; roots drown below "
                                    + Decimals.fixed(pot.wetFootCm(), 1) + " cm.")
                            .line("Air in the medium", Decimals.percent(pot.air(medium), 0) + " %")
                            .line("Room for medium", Amounts.ml(pot.mediumMl()))
                            .step("θ from "
                                    + Decimals.percent(pot.levels().get(0).water(), 0) + " % at its foot to "
                                    + Decimals.percent(
                                            pot.levels()
                                                    .get(pot.levels().size() - 1)
                                                    .water(),
                                            0)
                                    + " % at its top")
                            .mind(
                                    "A typical medium, judged by us: weigh yours drained and dry in a water-holding trial.")
                            .number("water", pot.water())
                            .number("water_ml", pot.waterMl())
                            .number("wet_foot_cm", pot.wetFootCm())
                            .number("air", pot.air(medium)));
                });
    }

    static Sum twoHeights() {
        return new Sum(
                "two_heights",
                "A medium from two containers",
                "I filled a shallow and a deep container with the same medium, soaked, drained and weighed both.",
                "mean of θ(z) over each depth (Fonteno 1989), θ by van Genuchten 1980",
                List.of(
                        depth("shallow", "Depth of the medium in one", "6 cm"),
                        volume("shallow_volume", "Medium in it", "1700 mL"),
                        grams("shallow_dry", "It weighs dry", "330 g"),
                        grams("shallow_wet", "and drained", "1290 g"),
                        depth("deep", "Depth of the medium in the other", "18 cm"),
                        volume("deep_volume", "Medium in it", "4400 mL"),
                        grams("deep_dry", "It weighs dry", "820 g"),
                        grams("deep_wet", "and drained", "2900 g"),
                        SumField.quantity("pores", "Pores, % of the volume", UnitOfMeasure.COUNT, 5, 99, "90")),
                Columns::fitted);
    }

    private static SumField depth(String code, String label, String example) {
        return SumField.quantity(code, label, UnitOfMeasure.CENTIMETRE, 1, 100, example);
    }

    private static SumField volume(String code, String label, String example) {
        return SumField.quantity(code, label, UnitOfMeasure.MILLILITRE, 1, 1e6, example);
    }

    private static SumField grams(String code, String label, String example) {
        return SumField.quantity(code, label, UnitOfMeasure.GRAM, 0, 1e6, example);
    }

    private static Optional<SumAnswer> fitted(SumValues values) {
        Optional<FittedMedium.Held> shallow = held(values, "shallow");
        Optional<FittedMedium.Held> deep = held(values, "deep");
        if (shallow.isEmpty() || deep.isEmpty()) {
            return Optional.empty();
        }
        Outcome<RetentionCurve> fit =
                FittedMedium.twoHeights(shallow.get(), deep.get(), values.quantity("pores") / 100);
        if (fit.asOptional().isEmpty()) {
            values.refuse("deep_wet", fit.whyNot().orElse("") + ". Accepted: a drained weight of the same filling");
            return Optional.empty();
        }
        RetentionCurve medium = fit.asOptional().orElseThrow();
        SumAnswer answer = SumAnswer.of("Pores begin to empty at a suction of about "
                        + Amounts.number(1 / medium.alphaPerCm()) + " cm: a pot of 10 cm holds "
                        + Decimals.percent(FittedMedium.water(medium, 10), 0) + " %.")
                .step("shallow " + Decimals.percent(shallow.get().water(), 1) + " %, deep "
                        + Decimals.percent(deep.get().water(), 1) + " % of the medium's volume held")
                .mind(
                        "It stands on two weighings: fill both alike, drain both to the last drop, repeat with four of each.")
                .number("alpha_per_cm", medium.alphaPerCm())
                .number("n", medium.n());
        for (int depth : DEPTHS) {
            double water = FittedMedium.water(medium, depth);
            answer = answer.line(
                    "In " + depth + " cm",
                    Decimals.percent(water, 0) + " % water, " + Decimals.percent(medium.saturated() - water, 0)
                            + " % air");
        }
        return Optional.of(answer);
    }

    /** Empty, with its problem told, when the weighings can't be. */
    private static Optional<FittedMedium.Held> held(SumValues values, String which) {
        double water = (values.quantity(which + "_wet") - values.quantity(which + "_dry"))
                / values.quantity(which + "_volume");
        if (!(water > 0 && water < 1)) {
            values.refuse(
                    which + "_wet",
                    "Drained less dry must be some water, and less than the medium's volume. Accepted: "
                            + Amounts.grams(values.quantity(which + "_dry") + values.quantity(which + "_volume") / 2));
            return Optional.empty();
        }
        return Optional.of(new FittedMedium.Held(values.quantity(which), water));
    }
}
