package elsom.web.findings;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * Prices and costs as typed.
 *
 * @param price of one kilogram, litre or piece
 * @param costs what a unit of each treatment costs, in their order
 * @param target a yield in all that is wanted; empty when nobody says
 */
public record MoneyForm(
        String priceText,
        List<String> costTexts,
        String targetText,
        double price,
        List<Double> costs,
        OptionalDouble target,
        Map<String, String> problems) {
    private static final double MOST = 1e9;

    /**
     * Reads what was sent; a cost that is missing is the shelf's, or nothing.
     *
     * @param known what a unit of each treatment costs by the shelf; empty where it is not known
     */
    static MoneyForm read(Map<String, String> sent, List<OptionalDouble> known) {
        Map<String, String> problems = new LinkedHashMap<>();
        String priceText = sent.getOrDefault("price", "").strip();
        double price = priceText.isEmpty() ? 0 : amount(priceText, "price", "4.20", problems);
        List<String> texts = new ArrayList<>();
        List<Double> costs = new ArrayList<>();
        for (int i = 0; i < known.size(); i++) {
            String field = "cost" + (i + 1);
            OptionalDouble shelf = known.get(i);
            String text = sent.getOrDefault(field, shelf.isPresent() ? Decimals.upTo(shelf.getAsDouble(), 3) : "")
                    .strip();
            texts.add(text);
            costs.add(text.isEmpty() ? 0 : amount(text, field, "0.35", problems));
        }
        String targetText = sent.getOrDefault("target", "").strip();
        return new MoneyForm(
                priceText,
                texts,
                targetText,
                price,
                costs,
                targetText.isEmpty()
                        ? OptionalDouble.empty()
                        : OptionalDouble.of(amount(targetText, "target", "25", problems)),
                problems);
    }

    private static double amount(String text, String field, String example, Map<String, String> problems) {
        if (Typed.parse(text, UnitOfMeasure.COUNT) instanceof Typed.Understood understood
                && understood.stored().value() >= 0
                && understood.stored().value() <= MOST) {
            return understood.stored().value();
        }
        problems.put(field, "A number from 0 on. Accepted: " + example);
        return 0;
    }

    public String problem(String field) {
        return problems.getOrDefault(field, "");
    }

    public boolean ready() {
        return problems.isEmpty() && price > 0;
    }
}
