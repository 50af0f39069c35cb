package elsom.core.material;

import elsom.core.mix.Mix;
import elsom.core.mix.Property;
import elsom.core.stats.Interval;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;

/**
 * What a mix will be like, by its parts' shares of the volume. Fine parts fill the pores of coarse ones, so a mix really holds
 * less air and more water than this says: a prediction until it is measured.
 *
 * @param values of what adds up by volume, and the price
 * @param ph from the sourest of its parts to the least sour: where between depends on how each buffers, so it is measured
 * @param unknown for a property without a value, the parts of which it is not known
 */
public record Prediction(Map<Property, Double> values, Optional<Interval> ph, Map<Property, List<String>> unknown) {
    /** A part smaller than this does not set the pH's range. */
    private static final double MATTERS_TO_PH = 0.05;

    public Prediction {
        values = Map.copyOf(values);
        unknown = Map.copyOf(unknown);
    }

    /**
     * The prediction.
     *
     * @param shelf finds the lot of a part
     * @param depthCm of the container
     */
    public static Prediction of(Mix mix, Function<String, Optional<Lot>> shelf, double depthCm) {
        Map<String, AtDepth> parts = new HashMap<>();
        mix.parts()
                .forEach(part -> shelf.apply(part.material())
                        .ifPresent(lot -> parts.put(part.material(), AtDepth.of(lot, depthCm))));
        Map<Property, Double> values = new EnumMap<>(Property.class);
        Map<Property, List<String>> unknown = new EnumMap<>(Property.class);
        List<Property> adding = new ArrayList<>(Property.mixing());
        adding.add(Property.PRICE);
        for (Property property : adding) {
            List<String> without = new ArrayList<>();
            double sum = 0;
            for (Mix.Part part : mix.parts()) {
                OptionalDouble value = value(parts, part, property);
                if (value.isEmpty()) {
                    without.add(part.material());
                }
                sum += part.parts() / mix.total() * value.orElse(0);
            }
            if (without.isEmpty()) {
                values.put(property, sum);
            } else {
                unknown.put(property, List.copyOf(without));
            }
        }
        List<String> withoutPh = mix.parts().stream()
                .filter(part -> value(parts, part, Property.PH).isEmpty())
                .map(Mix.Part::material)
                .toList();
        if (!withoutPh.isEmpty()) {
            unknown.put(Property.PH, withoutPh);
        }
        return new Prediction(values, withoutPh.isEmpty() ? ph(mix, parts) : Optional.empty(), unknown);
    }

    private static OptionalDouble value(Map<String, AtDepth> parts, Mix.Part part, Property property) {
        AtDepth lot = parts.get(part.material());
        return lot == null ? OptionalDouble.empty() : lot.value(property);
    }

    private static Optional<Interval> ph(Mix mix, Map<String, AtDepth> parts) {
        double[] band = mix.parts().stream()
                .filter(part -> part.parts() / mix.total() >= MATTERS_TO_PH)
                .mapToDouble(part -> value(parts, part, Property.PH).orElseThrow())
                .sorted()
                .toArray();
        return band.length == 0 ? Optional.empty() : Optional.of(new Interval(band[0], band[band.length - 1]));
    }

    /** A property's predicted value; of pH the middle of its range. */
    public OptionalDouble value(Property property) {
        if (property == Property.PH) {
            return ph.map(band -> OptionalDouble.of((band.low() + band.high()) / 2))
                    .orElse(OptionalDouble.empty());
        }
        Double value = values.get(property);
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }
}
