package elsom.web.findings;

import elsom.core.dose.Stock;
import elsom.core.dose.WorkingRate;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * What was typed on a mixing sheet, and what of it can't be.
 *
 * @param volume as typed; {@code volumeMl} as understood
 * @param factor as typed; {@code safety} as understood
 * @param reason why the factor is not the usual one
 * @param stock what the label of the bottle that was tested says of its strength; {@code strength} as a share of it
 * @param bottle the same of the one at hand; empty for the very stock that was tested
 */
public record WorkingStrengthForm(
        String volume,
        double volumeMl,
        String factor,
        double safety,
        String reason,
        String stock,
        OptionalDouble strength,
        String bottle,
        OptionalDouble atHand,
        int series,
        Map<String, String> problems) {
    private static final double LARGEST_ML = 10_000_000;
    private static final int LONGEST = 120;

    /** Labels that differ by less than this share say the same. */
    private static final double ALIKE = 0.02;

    /** Reads what was typed; every field that can't be has a message with what is accepted. */
    static WorkingStrengthForm read(String volume, String factor, String reason, String stock, int series) {
        return read(volume, factor, reason, stock, "", series);
    }

    /** The same with the bottle at hand, where it is another. */
    static WorkingStrengthForm read(
            String volume, String factor, String reason, String stock, String bottle, int series) {
        Map<String, String> problems = new LinkedHashMap<>();
        double millilitres = volume(volume, problems);
        double safety = factor(factor, problems);
        if (safety != WorkingRate.USUAL_FACTOR && reason.isBlank()) {
            problems.putIfAbsent(
                    "reason",
                    "Say why the factor is not " + Decimals.upTo(WorkingRate.USUAL_FACTOR, 0)
                            + ": it is printed on the sheet. Accepted: young plants, so 5.");
        }
        Map.of("reason", reason, "stock", stock, "bottle", bottle).forEach((field, text) -> {
            if (text.length() > LONGEST) {
                problems.put(field, "At most " + LONGEST + " characters.");
            }
        });
        OptionalDouble strength = strength("stock", stock.strip(), problems);
        OptionalDouble atHand = strength("bottle", bottle.strip(), problems);
        return new WorkingStrengthForm(
                volume.strip(),
                millilitres,
                factor.strip(),
                safety,
                reason.strip(),
                stock.strip(),
                strength,
                bottle.strip(),
                atHand,
                series,
                problems);
    }

    /** A label's strength in percent; words without a number name the bottle and no strength. */
    private static OptionalDouble strength(String field, String text, Map<String, String> problems) {
        try {
            return Stock.read(text).map(Stock::strength).orElse(OptionalDouble.empty());
        } catch (IllegalArgumentException wrong) {
            problems.putIfAbsent(field, String.valueOf(wrong.getMessage()));
            return OptionalDouble.empty();
        }
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

    /** Whether the bottle at hand is another than was tested: by its strength, or by what it is called. */
    boolean otherStock() {
        boolean known = strength.isPresent() && atHand.isPresent();
        boolean stronger =
                known && Math.abs(atHand.getAsDouble() - strength.getAsDouble()) > ALIKE * strength.getAsDouble();
        return !bottle.isEmpty() && (known ? stronger : !bottle.equalsIgnoreCase(stock));
    }

    public String problem(String field) {
        return problems.getOrDefault(field, "");
    }
}
