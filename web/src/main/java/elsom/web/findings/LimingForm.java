package elsom.web.findings;

import elsom.core.protocol.liming.Product;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * What was asked of a liming curve, and what of it can't be.
 *
 * @param tested of the product in the jars, in percent, as typed: a lime's calcium carbonate equivalent, else its purity
 * @param used of the product that will be used
 */
public record LimingForm(
        String target,
        double ph,
        String batch,
        double batchMl,
        String tested,
        double testedPercent,
        String used,
        double usedPercent,
        Map<String, String> problems) {
    private static final double LARGEST_ML = 100_000_000;
    private static final double MOST_EQUIVALENT = 200;
    private static final double WHOLE = 100;

    static LimingForm read(Product product, String target, String batch, String tested, String used) {
        Map<String, String> problems = new LinkedHashMap<>();
        return new LimingForm(
                target.strip(),
                number(target, UnitOfMeasure.PH, 0, 14, "target", "A pH from 0 to 14. Accepted: 6.0", problems),
                batch.strip(),
                number(
                        batch,
                        UnitOfMeasure.MILLILITRE,
                        1,
                        LARGEST_ML,
                        "batch",
                        "A volume from 1 mL to 100,000 L. Accepted: 50 L",
                        problems),
                tested.strip(),
                percent(product, tested, "tested", problems),
                used.strip(),
                percent(product, used, "used", problems),
                problems);
    }

    private static double percent(Product product, String text, String field, Map<String, String> problems) {
        boolean lime = product == Product.LIME;
        return number(
                text.replace("%", ""),
                UnitOfMeasure.COUNT,
                1,
                lime ? MOST_EQUIVALENT : WHOLE,
                field,
                lime
                        ? "A calcium carbonate equivalent from 1 to 200 %. Accepted: 100, or 109 for dolomite, 135 for slaked lime"
                        : "How much of it is what works, from 1 to 100 %. Accepted: 90",
                problems);
    }

    private static double number(
            String text,
            UnitOfMeasure unit,
            double lowest,
            double highest,
            String field,
            String ask,
            Map<String, String> problems) {
        if (Typed.parse(text, unit) instanceof Typed.Understood understood
                && understood.stored().value() >= lowest
                && understood.stored().value() <= highest) {
            return understood.stored().value();
        }
        problems.put(field, ask + ".");
        return lowest;
    }

    public String problem(String field) {
        return problems.getOrDefault(field, "");
    }
}
