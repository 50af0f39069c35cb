package elsom.core.sums;

import elsom.core.dose.Ratio;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/** Stock and water: by strength, by ratio, and as a series. */
final class Dilutions {
    private static final double LARGEST_ML = 10_000_000;
    private static final int MOST_STEPS = 12;
    private static final Pattern OF_STOCK = Pattern.compile("(?i)m[lL]\\s*(?:/|per|in)|:| in |1\\s*\\+");

    private Dilutions() {}

    static Sum byStrength() {
        return new Sum(
                "dilution",
                "Dilute to a strength",
                "I have stock of one strength and want a volume of a weaker one.",
                "C₁V₁ = C₂V₂",
                List.of(
                        SumField.quantity("stock", "Strength of the stock, %", UnitOfMeasure.PERCENT, 1e-6, 100, "6 %"),
                        SumField.quantity("wanted", "Strength wanted, %", UnitOfMeasure.PERCENT, 0, 100, "0.5 %"),
                        SumField.quantity(
                                "volume", "How much of it", UnitOfMeasure.MILLILITRE, 0.01, LARGEST_ML, "2 L")),
                values -> {
                    double stock = values.quantity("stock");
                    double wanted = values.quantity("wanted");
                    double volume = values.quantity("volume");
                    if (OF_STOCK.matcher(values.written("wanted")).find()) {
                        values.refuse("wanted", twoReadings(values.written("wanted"), stock, wanted));
                        return Optional.empty();
                    }
                    if (wanted > stock) {
                        values.refuse(
                                "wanted",
                                "That is stronger than the stock, which water can't make. Accepted: up to "
                                        + Decimals.upTo(stock, 4) + " %");
                        return Optional.empty();
                    }
                    double share = wanted / stock;
                    return Optional.of(poured(share, volume)
                            .step(Decimals.upTo(wanted, 4) + " % / " + Decimals.upTo(stock, 4) + " % · "
                                    + Amounts.ml(volume) + " = " + Amounts.ml(share * volume) + " of stock"));
                });
    }

    /** So much a litre may be of the stock, or of what the stock holds. */
    private static String twoReadings(String typed, double stock, double wanted) {
        return "“" + typed + "” of the stock is " + Decimals.significant(wanted * stock / 100, 3)
                + " % of what it holds;"
                + " “" + typed + "” of what it holds is " + Decimals.significant(wanted, 3) + " %, or "
                + Decimals.significant(1000 * wanted / stock, 3) + " mL of stock in a litre. Which is wanted? Type that"
                + " percentage. Accepted: " + Decimals.significant(wanted * stock / 100, 3) + " %, or "
                + Decimals.significant(wanted, 3) + " %";
    }

    private static SumAnswer poured(double share, double volumeMl) {
        double stock = share * volumeMl;
        return SumAnswer.of(Amounts.ml(stock) + " of stock and " + Amounts.ml(volumeMl - stock) + " of water.")
                .line("In all", Amounts.ml(volumeMl))
                .line("Stock's share", Decimals.upTo(100 * share, 4) + " %")
                .mind("Water first, then the stock; acids and lyes into water, never the other way round. The label's"
                        + " rate and its cautions come before this sum.")
                .number("stock_ml", stock)
                .number("water_ml", volumeMl - stock)
                .number("share", share);
    }

    static Sum byRatio() {
        return new Sum(
                "ratio",
                "What does 2:1 mean?",
                "Somebody wrote a ratio, and I want a volume of it.",
                "parts of the whole",
                List.of(
                        SumField.text("ratio", "The ratio as it is written", "1 in 10"),
                        SumField.choice(
                                "water",
                                "Which part is water",
                                "ask",
                                List.of(
                                        new SumField.Option("ask", "it says so itself"),
                                        new SumField.Option("first", "the first number"),
                                        new SumField.Option("second", "the second number"))),
                        SumField.quantity(
                                "volume", "How much of it", UnitOfMeasure.MILLILITRE, 0.01, LARGEST_ML, "1 L")),
                Dilutions::ratio);
    }

    private static Optional<SumAnswer> ratio(SumValues values) {
        Optional<Ratio> ratio = Ratio.parse(values.text("ratio"));
        if (ratio.isEmpty()) {
            values.refuse("ratio", "That is no ratio of two numbers above 0. Accepted: 2:1, 1 + 9, 1 to 4, 1 in 10");
            return Optional.empty();
        }
        List<Ratio.Reading> readings = ratio.get().readings();
        String water = values.text("water");
        if (readings.isEmpty() || (readings.size() > 1 && water.equals("ask"))) {
            values.refuse(
                    readings.isEmpty() ? "ratio" : "water", ratio.get().question() + ", or say which part is water.");
            return Optional.empty();
        }
        Ratio.Reading meant = water.equals("ask")
                ? readings.get(0)
                : water.equals("first")
                        ? new Ratio.Reading(ratio.get().second(), ratio.get().first(), "")
                        : new Ratio.Reading(ratio.get().first(), ratio.get().second(), "");
        if (ratio.get().sign() == Ratio.Sign.IN) {
            meant = readings.get(0);
        }
        double volume = values.quantity("volume");
        SumAnswer answer = poured(meant.share(), volume)
                .step(Decimals.upTo(meant.stockParts(), 4) + " / ("
                        + Decimals.upTo(meant.stockParts(), 4) + " + " + Decimals.upTo(meant.waterParts(), 4) + ") = "
                        + Decimals.upTo(meant.percent(), 4) + " % stock");
        for (Ratio.Reading reading : readings) {
            answer = answer.line("Read as " + reading.words(), Decimals.upTo(reading.percent(), 4) + " %");
        }
        return Optional.of(answer);
    }

    static Sum series() {
        return new Sum(
                "dilution_series",
                "Dilute step by step",
                "I make each step from the one before, always by the same factor.",
                "Cₙ = C₀ / fⁿ",
                List.of(
                        SumField.quantity(
                                "stock", "Strength to begin with, %", UnitOfMeasure.PERCENT, 1e-6, 100, "4 %"),
                        SumField.quantity("factor", "Each step weaker by", UnitOfMeasure.COUNT, 1.01, 1000, "2"),
                        SumField.quantity("steps", "How many steps", UnitOfMeasure.COUNT, 1, MOST_STEPS, "5"),
                        SumField.quantity(
                                "volume",
                                "How much of each is needed",
                                UnitOfMeasure.MILLILITRE,
                                0.01,
                                LARGEST_ML,
                                "500 mL")),
                values -> {
                    double factor = values.quantity("factor");
                    int steps = (int) Math.rint(values.quantity("steps"));
                    double volume = values.quantity("volume");
                    // Each step also gives away what the next is made from, so more of it is made.
                    double made = volume * factor / (factor - 1);
                    double over = made / factor;
                    SumAnswer answer = SumAnswer.of("For each step " + Amounts.ml(over) + " of the one before and "
                                    + Amounts.ml(made - over) + " of water: " + Amounts.ml(volume)
                                    + " stay when the next is taken off.")
                            .step("made each time: " + Amounts.ml(volume) + " · " + Decimals.upTo(factor, 3) + " / ("
                                    + Decimals.upTo(factor, 3) + " − 1) = " + Amounts.ml(made))
                            .mind("Stir each step well, use a clean measure, and mark every jar before it is filled.")
                            .number("over_ml", over)
                            .number("made_ml", made);
                    for (int step = 1; step <= steps; step++) {
                        double strength = values.quantity("stock") / Math.pow(factor, step);
                        answer = answer.line("Step " + step, Decimals.upTo(strength, 6) + " %")
                                .number("step_" + step, strength);
                    }
                    return Optional.of(answer);
                });
    }
}
