package elsom.web.findings;

import elsom.core.dose.Ratio;
import elsom.core.dose.WorkingRate;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Typed;
import elsom.core.quantity.UnitOfMeasure;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * What was typed on a mixing sheet, and what of it can't be.
 *
 * @param volume as typed; {@code volumeMl} as understood
 * @param factor as typed; {@code safety} as understood
 * @param reason why the factor is not the usual one
 * @param stock what the bottle's label says of its strength
 */
public record WorkingStrengthForm(
        String volume,
        double volumeMl,
        String factor,
        double safety,
        String reason,
        String stock,
        int series,
        Map<String, String> problems) {
    private static final double LARGEST_ML = 10_000_000;
    private static final int LONGEST = 120;

    /** Reads what was typed; every field that can't be has a message with what is accepted. */
    static WorkingStrengthForm read(String volume, String factor, String reason, String stock, int series) {
        Map<String, String> problems = new LinkedHashMap<>();
        double millilitres = volume(volume, problems);
        double safety = factor(factor, problems);
        if (safety != WorkingRate.USUAL_FACTOR && reason.isBlank()) {
            problems.putIfAbsent(
                    "reason",
                    "Say why the factor is not " + Decimals.upTo(WorkingRate.USUAL_FACTOR, 0)
                            + ": it is printed on the sheet. Accepted: young plants, so 5.");
        }
        if (reason.length() > LONGEST || stock.length() > LONGEST) {
            problems.put(reason.length() > LONGEST ? "reason" : "stock", "At most " + LONGEST + " characters.");
        }
        Ratio.parse(stock)
                .filter(ratio -> ratio.readings().size() != 1)
                .ifPresent(ratio -> problems.putIfAbsent("stock", ratio.question() + "."));
        return new WorkingStrengthForm(
                volume.strip(), millilitres, factor.strip(), safety, reason.strip(), stock.strip(), series, problems);
    }

    private static double volume(String text, Map<String, String> problems) {
        Typed typed = Typed.parse(text, UnitOfMeasure.MILLILITRE);
        if (typed instanceof Typed.Understood understood) {
            double value = understood.stored().value();
            if (value > 0 && value <= LARGEST_ML) {
                return value;
            }
            problems.put("volume", "A volume above 0 and up to 10,000 L. Accepted: 2 L.");
        } else {
            problems.put("volume", ((Typed.Refused) typed).message());
        }
        return 1;
    }

    private static double factor(String text, Map<String, String> problems) {
        Typed typed = Typed.parse(text, UnitOfMeasure.COUNT);
        if (typed instanceof Typed.Understood understood
                && understood.stored().value() >= 1
                && understood.stored().value() <= WorkingRate.LARGEST_FACTOR) {
            return understood.stored().value();
        }
        problems.put("factor", "A safety factor from 1 to 1000. Accepted: 2.");
        return WorkingRate.USUAL_FACTOR;
    }

    public String problem(String field) {
        return problems.getOrDefault(field, "");
    }
}
