package elsom.core.sums;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** What a feed's label says, and label rates on another basis. */
final class Feeds {
    /** Of P₂O₅ and K₂O, by atomic masses. */
    private static final double P_OF_OXIDE = 0.4364;

    private static final double K_OF_OXIDE = 0.8301;
    private static final double PPM_OF_PERCENT_A_GRAM = 10;
    private static final double CM2_A_M2 = 10_000;

    private Feeds() {}

    static Sum feed() {
        return new Sum(
                "feed",
                "Feed by nitrogen",
                "My feed's label says N-P-K, and I want so much nitrogen in the water.",
                "g/L = mg N/L ÷ (10 · % N); P = 0.4364 · P₂O₅, K = 0.8301 · K₂O",
                List.of(
                        SumField.quantity("n", "N on the label, %", UnitOfMeasure.COUNT, 0.01, 100, "12"),
                        SumField.quantity("p", "P₂O₅ on the label, %", UnitOfMeasure.COUNT, 0, 100, "5"),
                        SumField.quantity("k", "K₂O on the label, %", UnitOfMeasure.COUNT, 0, 100, "15"),
                        SumField.quantity(
                                "wanted", "Nitrogen wanted", UnitOfMeasure.MILLIGRAM_PER_LITRE, 0.1, 5000, "100 mg/L"),
                        SumField.quantity("volume", "Water to feed with", UnitOfMeasure.MILLILITRE, 1, 1e7, "10 L"),
                        SumField.quantity(
                                        "label",
                                        "The label's own rate, g/L",
                                        UnitOfMeasure.GRAM_PER_LITRE,
                                        0,
                                        1000,
                                        "1 g/L")
                                .orNone(),
                        SumField.quantity(
                                        "other", "N of another feed beside it, %", UnitOfMeasure.COUNT, 0.01, 100, "6")
                                .orNone()),
                Feeds::fed);
    }

    private static Optional<SumAnswer> fed(SumValues values) {
        double n = values.quantity("n");
        if (n + values.quantity("p") + values.quantity("k") > 100) {
            values.refuse("n", "N, P₂O₅ and K₂O come to more than 100 % together. Accepted: 12, 5 and 15");
            return Optional.empty();
        }
        double wanted = values.quantity("wanted");
        double gramsPerLitre = wanted / (PPM_OF_PERCENT_A_GRAM * n);
        double litres = values.quantity("volume") / 1000;
        double p = gramsPerLitre * PPM_OF_PERCENT_A_GRAM * values.quantity("p") * P_OF_OXIDE;
        double k = gramsPerLitre * PPM_OF_PERCENT_A_GRAM * values.quantity("k") * K_OF_OXIDE;
        SumAnswer answer = SumAnswer.of(Amounts.grams(gramsPerLitre * litres) + " of feed in "
                        + Amounts.ml(values.quantity("volume")) + ": " + Amounts.number(gramsPerLitre) + " g/L.")
                .line("Phosphorus with it", Amounts.number(p) + " mg P/L")
                .line("Potassium with it", Amounts.number(k) + " mg K/L")
                .step(Amounts.number(wanted) + " mg/L ÷ (10 · " + Decimals.upTo(n, 4) + ") = "
                        + Amounts.number(gramsPerLitre) + " g/L")
                .mind(
                        "A label gives phosphorus and potassium as oxides, not as elements. The label's rate comes first.")
                .number("g_per_l", gramsPerLitre)
                .number("product_g", gramsPerLitre * litres)
                .number("p_mg_per_l", p)
                .number("k_mg_per_l", k);
        OptionalDouble other = values.optional("other");
        if (other.isPresent()) {
            double same = wanted / (PPM_OF_PERCENT_A_GRAM * other.getAsDouble());
            answer = answer.line("Same nitrogen from the other", Amounts.number(same) + " g/L")
                    .line(
                            "Same spoon of the other",
                            Amounts.number(gramsPerLitre * PPM_OF_PERCENT_A_GRAM * other.getAsDouble()) + " mg N/L")
                    .number("other_g_per_l", same)
                    .number("same_spoon_mg_n_per_l", gramsPerLitre * PPM_OF_PERCENT_A_GRAM * other.getAsDouble());
        }
        OptionalDouble label = values.optional("label");
        if (label.isPresent() && label.getAsDouble() > 0) {
            double byLabel = label.getAsDouble() * PPM_OF_PERCENT_A_GRAM * n;
            answer = answer.line("At the label's rate", Amounts.number(byLabel) + " mg N/L")
                    .number("label_mg_n_per_l", byLabel);
            if (gramsPerLitre > label.getAsDouble()) {
                answer = answer.mind("This is above the label's rate of " + Amounts.number(label.getAsDouble())
                        + " g/L: never go above it.");
            }
        }
        return Optional.of(answer);
    }

    static Sum rates() {
        return new Sum(
                "rates",
                "A label's rate for my pots",
                "The label gives a rate on one basis, and I fill containers.",
                "amount · (area, volume, water or plants of a container)",
                List.of(
                        SumField.quantity("amount", "The label's amount, g", UnitOfMeasure.GRAM, 1e-6, 1e6, "50 g"),
                        SumField.choice(
                                "basis",
                                "for each",
                                "area",
                                List.of(
                                        new SumField.Option("area", "square metre"),
                                        new SumField.Option("medium", "litre of medium"),
                                        new SumField.Option("water", "litre of water"),
                                        new SumField.Option("container", "container"),
                                        new SumField.Option("plant", "plant"))),
                        SumField.quantity("top", "Top of a container, cm²", UnitOfMeasure.COUNT, 0.1, 1e6, "64"),
                        SumField.quantity("filled", "Medium in it", UnitOfMeasure.MILLILITRE, 0.1, 1e6, "380 mL"),
                        SumField.quantity("water", "Water it gets with it", UnitOfMeasure.MILLILITRE, 0, 1e6, "50 mL"),
                        SumField.quantity("plants", "Plants in it", UnitOfMeasure.COUNT, 1, 1000, "1"),
                        SumField.quantity("containers", "How many containers", UnitOfMeasure.COUNT, 1, 100_000, "24")),
                values -> {
                    double amount = values.quantity("amount");
                    double each = amount
                            * switch (values.text("basis")) {
                                case "area" -> values.quantity("top") / CM2_A_M2;
                                case "medium" -> values.quantity("filled") / 1000;
                                case "water" -> values.quantity("water") / 1000;
                                case "plant" -> values.quantity("plants");
                                default -> 1;
                            };
                    boolean converted = !values.text("basis").equals("container");
                    SumAnswer answer = SumAnswer.of(Amounts.grams(each) + " a container, "
                                    + Amounts.grams(each * values.quantity("containers")) + " for all.")
                            .line("By medium", Amounts.number(1000 * each / values.quantity("filled")) + " g/L")
                            .line("By area", Amounts.number(CM2_A_M2 * each / values.quantity("top")) + " g/m²")
                            .step(Amounts.number(amount) + " g · share of a container = " + Amounts.grams(each))
                            .number("g_per_container", each)
                            .number("g_per_litre_medium", 1000 * each / values.quantity("filled"))
                            .number("g_per_m2", CM2_A_M2 * each / values.quantity("top"))
                            .number("total_g", each * values.quantity("containers"));
                    return Optional.of(
                            converted
                                    ? answer.mind(
                                            "Converted to another basis than a container: a rate for open ground may"
                                                    + " be far too much in a pot. The label decides whether that use is meant at all.")
                                    : answer);
                });
    }

    static Sum plot() {
        return new Sum(
                "plot",
                "Plots and stands",
                "I plant rows and stations at a spacing, and give so much a square metre.",
                "rows · stations; area = rows · row width · stations · spacing",
                List.of(
                        SumField.quantity("rows", "Rows", UnitOfMeasure.COUNT, 1, 100_000, "4"),
                        SumField.quantity("stations", "Stations in a row", UnitOfMeasure.COUNT, 1, 100_000, "10"),
                        SumField.quantity("between", "Between rows", UnitOfMeasure.CENTIMETRE, 0.1, 10_000, "30 cm"),
                        SumField.quantity("within", "Between stations", UnitOfMeasure.CENTIMETRE, 0.1, 10_000, "20 cm"),
                        SumField.quantity("each", "Plants at a station", UnitOfMeasure.COUNT, 1, 1000, "1"),
                        SumField.quantity("rate", "Product, g for each m²", UnitOfMeasure.COUNT, 0, 1e6, "35")),
                values -> {
                    double stations = values.quantity("rows") * values.quantity("stations");
                    double area = stations * values.quantity("between") * values.quantity("within") / CM2_A_M2;
                    double plants = stations * values.quantity("each");
                    return Optional.of(SumAnswer.of(Amounts.number(plants) + " plants on " + Amounts.number(area)
                                    + " m²: " + Amounts.grams(area * values.quantity("rate")) + " of product a plot.")
                            .line(
                                    "Stand",
                                    Amounts.number(plants / area) + " plants/m², "
                                            + Amounts.number(10_000 * plants / area) + " a hectare")
                            .step(Amounts.number(stations) + " stations · " + Amounts.number(values.quantity("between"))
                                    + " cm · " + Amounts.number(values.quantity("within")) + " cm = "
                                    + Amounts.number(area)
                                    + " m²")
                            .number("plants", plants)
                            .number("area_m2", area)
                            .number("product_g", area * values.quantity("rate"))
                            .number("plants_per_m2", plants / area));
                });
    }

    static Sum seed() {
        return new Sum(
                "seed",
                "How much seed",
                "I want so many plants, and not every seed comes up.",
                "seeds = plants ÷ germination · (1 + spare)",
                List.of(
                        SumField.quantity("plants", "Plants wanted", UnitOfMeasure.COUNT, 1, 1e7, "240"),
                        SumField.quantity(
                                "germination", "Of a hundred seeds come up", UnitOfMeasure.COUNT, 1, 100, "85"),
                        SumField.quantity("spare", "Spare, %", UnitOfMeasure.COUNT, 0, 300, "10"),
                        SumField.quantity("mass", "A thousand seeds weigh", UnitOfMeasure.GRAM, 1e-4, 1e5, "2.1 g")),
                values -> {
                    double seeds = Math.ceil(values.quantity("plants")
                                    / (values.quantity("germination") / 100)
                                    * (1 + values.quantity("spare") / 100)
                            - 1e-9);
                    double grams = seeds * values.quantity("mass") / 1000;
                    return Optional.of(SumAnswer.of(Amounts.number(seeds) + " seeds, " + Amounts.grams(grams) + ".")
                            .step(Amounts.number(values.quantity("plants")) + " ÷ "
                                    + Amounts.number(values.quantity("germination")) + " % · (1 + "
                                    + Amounts.number(values.quantity("spare")) + " %) = " + Amounts.number(seeds))
                            .number("seeds", seeds)
                            .number("grams", grams));
                });
    }
}
