package elsom.core.sums;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.stats.MeanDifference;
import elsom.core.stats.Summary;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** What it costs, what it brings, and how sure a change is. */
final class MoneySums {
    private static final double MOST = 1e9;

    private MoneySums() {}

    static Sum returns() {
        return new Sum(
                "money",
                "Does it pay?",
                "A treatment costs something and yields more.",
                "(yield · price − before) − cost; return = net ÷ cost; break-even = cost ÷ extra yield",
                List.of(
                        SumField.quantity("before", "Yield without it, kg", UnitOfMeasure.COUNT, 0, MOST, "18"),
                        SumField.quantity("after", "Yield with it, kg", UnitOfMeasure.COUNT, 0, MOST, "21.5"),
                        SumField.quantity("price", "Price for a kg", UnitOfMeasure.COUNT, 0, MOST, "4.20"),
                        SumField.quantity("cost", "What it costs in all", UnitOfMeasure.COUNT, 0, MOST, "9")),
                values -> {
                    double extra = values.quantity("after") - values.quantity("before");
                    double revenue = extra * values.quantity("price");
                    double cost = values.quantity("cost");
                    double net = revenue - cost;
                    SumAnswer answer = SumAnswer.of(
                                    net > 0
                                            ? "It brings " + Decimals.fixed(net, 2) + " more than it costs."
                                            : net < 0
                                                    ? "It costs " + Decimals.fixed(-net, 2) + " more than it brings."
                                                    : "It brings what it costs.")
                            .line("Extra yield", Amounts.number(extra) + " kg")
                            .line("Extra revenue", Decimals.fixed(revenue, 2))
                            .step(Amounts.number(extra) + " kg · " + Decimals.fixed(values.quantity("price"), 2) + " − "
                                    + Decimals.fixed(cost, 2) + " = " + Decimals.fixed(net, 2))
                            .mind(
                                    "Yields of two plots differ by chance alone: judge the difference by its interval first.")
                            .number("net", net)
                            .number("extra_revenue", revenue);
                    if (cost > 0) {
                        answer = answer.line("Return on the cost", Decimals.percent(net / cost, 0) + " %")
                                .number("return", net / cost);
                    }
                    return Optional.of(
                            extra > 0 && cost > 0
                                    ? answer.line(
                                                    "Breaks even at a price of",
                                                    Decimals.fixed(cost / extra, 2) + " a kg")
                                            .number("break_even_price", cost / extra)
                                    : answer);
                });
    }

    static Sum potCost() {
        return new Sum(
                "pot_cost",
                "What a pot of it costs",
                "I buy a medium by the bag and fill containers.",
                "price ÷ litres · volume ÷ (1 − settling)",
                List.of(
                        SumField.quantity("price", "Price of the bag", UnitOfMeasure.COUNT, 0, MOST, "11.50"),
                        SumField.quantity("bag", "What is in the bag", UnitOfMeasure.MILLILITRE, 1, MOST, "60 L"),
                        SumField.quantity(
                                "container", "A container holds", UnitOfMeasure.MILLILITRE, 1, MOST, "380 mL"),
                        SumField.quantity("settling", "It settles by, %", UnitOfMeasure.COUNT, 0, 90, "15"),
                        SumField.quantity("containers", "How many containers", UnitOfMeasure.COUNT, 1, 1e6, "24")),
                values -> {
                    double litre = 1000 * values.quantity("price") / values.quantity("bag");
                    double loose = values.quantity("container") / (1 - values.quantity("settling") / 100);
                    double pot = litre * loose / 1000;
                    double all = values.quantity("containers");
                    return Optional.of(SumAnswer.of(Decimals.fixed(pot, 3) + " a container, "
                                    + Decimals.fixed(pot * all, 2) + " for all.")
                            .line("A litre", Decimals.fixed(litre, 3))
                            .line(
                                    "Bags to buy",
                                    Decimals.upTo(Math.ceil(loose * all / values.quantity("bag") - 1e-9), 0))
                            .step(Amounts.ml(loose) + " loose · " + Decimals.fixed(litre, 3) + " a litre = "
                                    + Decimals.fixed(pot, 3))
                            .number("per_litre", litre)
                            .number("per_container", pot)
                            .number("total", pot * all)
                            .number("bags", Math.ceil(loose * all / values.quantity("bag") - 1e-9)));
                });
    }

    static Sum change() {
        return new Sum(
                "change",
                "Is it really more?",
                "I have two means with their standard deviations and numbers.",
                "Welch 1947, 95 %",
                List.of(
                        SumField.quantity("before", "Mean without", UnitOfMeasure.COUNT, -MOST, MOST, "18"),
                        SumField.quantity("before_sd", "its standard deviation", UnitOfMeasure.COUNT, 0, MOST, "2.1"),
                        SumField.quantity("before_n", "of so many units", UnitOfMeasure.COUNT, 2, 10_000, "5"),
                        SumField.quantity("after", "Mean with", UnitOfMeasure.COUNT, -MOST, MOST, "21.5"),
                        SumField.quantity("after_sd", "its standard deviation", UnitOfMeasure.COUNT, 0, MOST, "2.6"),
                        SumField.quantity("after_n", "of so many units", UnitOfMeasure.COUNT, 2, 10_000, "5")),
                values -> {
                    Optional<MeanDifference> found = MeanDifference.welch(side(values, "after"), side(values, "before"))
                            .asOptional();
                    if (found.isEmpty()) {
                        values.refuse("before_sd", "Neither scatters, so no interval can be had. Accepted: 2.1");
                        return Optional.empty();
                    }
                    MeanDifference difference = found.get();
                    double before = values.quantity("before");
                    SumAnswer answer = SumAnswer.of((difference.clear() ? "It differs" : "Chance alone may do that")
                                    + ": by " + Amounts.number(difference.difference()) + " (95 % interval "
                                    + Amounts.number(difference.interval95().low()) + " to "
                                    + Amounts.number(difference.interval95().high()) + ").")
                            .step("Welch's t with " + Decimals.fixed(difference.degreesOfFreedom(), 1)
                                    + " degrees of freedom")
                            .mind("Units are pots or plots that were treated apart, not the plants in one of them.")
                            .number("difference", difference.difference())
                            .number("low", difference.interval95().low())
                            .number("high", difference.interval95().high());
                    return Optional.of(
                            before > 0
                                    ? answer.line(
                                                    "In percent",
                                                    Decimals.fixed(100 * difference.difference() / before, 1)
                                                            + " %, the first mean taken as known")
                                            .number("percent", 100 * difference.difference() / before)
                                    : answer);
                });
    }

    /** What a treatment brings, with the interval of the yields carried through to the money. */
    static Sum sureReturn() {
        return new Sum(
                "sure_return",
                "Does it pay for sure?",
                "I have yields of both sides with their scatter, a price and a cost.",
                "Welch 1947, 95 %; net = difference · price − cost",
                List.of(
                        SumField.quantity(
                                "before", "Mean yield without, kg a unit", UnitOfMeasure.COUNT, 0, MOST, "18"),
                        SumField.quantity("before_sd", "its standard deviation", UnitOfMeasure.COUNT, 0, MOST, "2.1"),
                        SumField.quantity("before_n", "of so many units", UnitOfMeasure.COUNT, 2, 10_000, "5"),
                        SumField.quantity("after", "Mean yield with, kg a unit", UnitOfMeasure.COUNT, 0, MOST, "21.5"),
                        SumField.quantity("after_sd", "its standard deviation", UnitOfMeasure.COUNT, 0, MOST, "2.6"),
                        SumField.quantity("after_n", "of so many units", UnitOfMeasure.COUNT, 2, 10_000, "5"),
                        SumField.quantity("price", "Price for a kg", UnitOfMeasure.COUNT, 0, MOST, "4.20"),
                        SumField.quantity("cost", "Cost for a unit", UnitOfMeasure.COUNT, 0, MOST, "3")),
                values -> {
                    Optional<MeanDifference> found = MeanDifference.welch(side(values, "after"), side(values, "before"))
                            .asOptional();
                    if (found.isEmpty()) {
                        values.refuse("before_sd", "Neither scatters, so no interval can be had. Accepted: 2.1");
                        return Optional.empty();
                    }
                    double price = values.quantity("price");
                    double cost = values.quantity("cost");
                    double net = found.get().difference() * price - cost;
                    double low = found.get().interval95().low() * price - cost;
                    double high = found.get().interval95().high() * price - cost;
                    String verdict = low > 0 ? "It pays" : high < 0 ? "It does not pay" : "It may pay or not";
                    SumAnswer answer = SumAnswer.of(verdict + ": " + Decimals.fixed(net, 2) + " a unit (95 % interval "
                                    + Decimals.fixed(low, 2) + " to " + Decimals.fixed(high, 2) + ").")
                            .step(Amounts.number(found.get().difference()) + " kg · " + Decimals.fixed(price, 2) + " − "
                                    + Decimals.fixed(cost, 2) + " = " + Decimals.fixed(net, 2))
                            .mind("Prices move more than yields: try the lowest price you were ever paid.")
                            .number("net", net)
                            .number("low", low)
                            .number("high", high);
                    return Optional.of(
                            price > 0
                                    ? answer.line(
                                                    "Extra yield that pays for it",
                                                    Amounts.number(cost / price) + " kg a unit")
                                            .number("break_even_yield", cost / price)
                                    : answer);
                });
    }

    private static Summary side(SumValues values, String name) {
        return new Summary(
                (int) Math.rint(values.quantity(name + "_n")),
                values.quantity(name),
                OptionalDouble.of(values.quantity(name + "_sd")));
    }
}
