package elsom.web.mixing;

import elsom.core.mix.MixPart;
import elsom.core.mix.MixWindow;
import elsom.core.mix.Property;
import elsom.core.mix.TypicalParts;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Typed;
import elsom.core.quantity.UnitOfMeasure;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The mixing bench as it was typed: materials in rows, windows below.
 *
 * @param typed what stands in each field, by its name
 * @param problems by the name of their field
 */
record MixForm(
        Map<String, String> typed,
        List<MixPart> parts,
        List<MixWindow> windows,
        double batchMl,
        double settling,
        Map<String, String> problems) {
    static final int ROWS = 12;
    private static final double LARGEST_ML = 100_000_000;
    private static final double MOST_SETTLING = 0.6;

    /** Windows to begin with: a mix for plugs that is neither soggy nor salty. */
    private static final Map<String, String> USUAL = Map.of(
            "low_water",
            "45",
            "high_water",
            "60",
            "low_air",
            "25",
            "high_air",
            "45",
            "high_ec",
            "0.6",
            "batch",
            "50 L",
            "settling",
            "15");

    /** Without any field: the typical shelf with the usual windows. */
    static MixForm read(Map<String, String> sent) {
        Map<String, String> typed = sent.isEmpty() ? usual() : sent;
        Map<String, String> problems = new LinkedHashMap<>();
        List<MixPart> parts = new ArrayList<>();
        for (int row = 0; row < ROWS; row++) {
            part(typed, row, problems).ifPresent(parts::add);
        }
        List<MixWindow> windows = new ArrayList<>();
        for (Property property : Property.mixing()) {
            window(typed, property, problems).ifPresent(windows::add);
        }
        return new MixForm(
                typed,
                parts,
                windows,
                volume(typed, problems),
                number(typed, "settling", 0, 100 * MOST_SETTLING, problems).orElse(0.0) / 100,
                problems);
    }

    private static Map<String, String> usual() {
        Map<String, String> typed = new LinkedHashMap<>(USUAL);
        List<MixPart> parts = TypicalParts.all();
        for (int row = 0; row < parts.size(); row++) {
            MixPart part = parts.get(row);
            int number = row;
            typed.put("name" + row, part.name());
            part.properties()
                    .forEach((property, value) -> typed.put(property.code() + number, Decimals.upTo(value, 3)));
            typed.put("price" + row, Decimals.upTo(part.price(), 4));
        }
        return typed;
    }

    /** Empty for a row without a name. */
    private static Optional<MixPart> part(Map<String, String> typed, int row, Map<String, String> problems) {
        String name = typed.getOrDefault("name" + row, "").strip();
        if (name.isEmpty()) {
            return Optional.empty();
        }
        int before = problems.size();
        Map<Property, Double> properties = new EnumMap<>(Property.class);
        for (Property property : Property.mixing()) {
            number(typed, property.code() + row, 0, property.most(), problems)
                    .ifPresent(value -> properties.put(property, value));
        }
        double price = number(typed, "price" + row, 0, 1e6, problems).orElse(0.0);
        double least = number(typed, "least" + row, 0, 100, problems).orElse(0.0);
        double most = number(typed, "most" + row, 0, 100, problems).orElse(100.0);
        if (least > most) {
            problems.put(
                    "least" + row,
                    "At least " + Decimals.upTo(least, 1) + " % and at most " + Decimals.upTo(most, 1)
                            + " % can't both be. Accepted: 10 and 40");
        }
        if (problems.size() > before) {
            return Optional.empty();
        }
        try {
            return Optional.of(new MixPart(name, properties, price, least / 100, most / 100));
        } catch (IllegalArgumentException impossible) {
            problems.put("name" + row, String.valueOf(impossible.getMessage()));
            return Optional.empty();
        }
    }

    private static Optional<MixWindow> window(
            Map<String, String> typed, Property property, Map<String, String> problems) {
        Optional<Double> low = number(typed, "low_" + property.code(), 0, property.most(), problems);
        Optional<Double> high = number(typed, "high_" + property.code(), 0, property.most(), problems);
        if (low.isEmpty() && high.isEmpty()) {
            return Optional.empty();
        }
        if (low.orElse(0.0) > high.orElse(property.most())) {
            problems.put("low_" + property.code(), "It is above the other end. Accepted: 45 and 60");
            return Optional.empty();
        }
        return Optional.of(new MixWindow(property, low.orElse(0.0), high.orElse(property.most())));
    }

    /** Empty for an empty field, and for one with a problem. */
    private static Optional<Double> number(
            Map<String, String> typed, String field, double low, double high, Map<String, String> problems) {
        String text = typed.getOrDefault(field, "").replace("%", "").strip();
        if (text.isEmpty()) {
            return Optional.empty();
        }
        if (Typed.parse(text, UnitOfMeasure.COUNT) instanceof Typed.Understood understood
                && understood.stored().value() >= low
                && understood.stored().value() <= high) {
            return Optional.of(understood.stored().value());
        }
        problems.put(
                field,
                "“" + text + "” can't be: a number from " + Decimals.upTo(low, 1) + " to " + Decimals.upTo(high, 1)
                        + ". Accepted: " + Decimals.upTo(Math.min(high, 20), 0));
        return Optional.empty();
    }

    private static double volume(Map<String, String> typed, Map<String, String> problems) {
        if (Typed.parse(typed.getOrDefault("batch", "50 L"), UnitOfMeasure.MILLILITRE) instanceof Typed.Understood batch
                && batch.stored().value() >= 1
                && batch.stored().value() <= LARGEST_ML) {
            return batch.stored().value();
        }
        problems.put("batch", "A volume from 1 mL to 100,000 L. Accepted: 50 L");
        return 1000;
    }

    String value(String field) {
        return typed.getOrDefault(field, "");
    }
}
