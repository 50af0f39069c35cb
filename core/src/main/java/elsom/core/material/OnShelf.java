package elsom.core.material;

import elsom.core.mix.Mix;
import elsom.core.mix.Property;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;

/**
 * A lot as it is compared with others at a depth: its own figures; of a mix, what is not measured is predicted from its parts.
 *
 * @param prediction of a mix from the lots of its parts
 * @param all that is known, by property
 */
public record OnShelf(Lot lot, double depthCm, Optional<Prediction> prediction, Map<Property, Known> all) {
    public OnShelf {
        all = Map.copyOf(all);
    }

    /** A value with where it comes from; empty when it is predicted. */
    public record Known(double value, Optional<LotFigure> told) {
        public boolean predicted() {
            return told.isEmpty();
        }
    }

    /** A lot beside the lots of its parts. */
    public static OnShelf of(Lot lot, double depthCm, Function<String, Optional<Lot>> shelf) {
        Optional<Prediction> prediction = lot.kind() == MaterialKind.MIX
                ? Optional.of(Prediction.of(Mix.parse(lot.recipe()), shelf, depthCm))
                : Optional.empty();
        AtDepth at = AtDepth.of(lot, depthCm);
        Map<Property, Known> all = new EnumMap<>(Property.class);
        for (Property property : Property.values()) {
            OptionalDouble own = at.value(property);
            if (own.isPresent()) {
                all.put(property, new Known(own.getAsDouble(), at.told(property)));
            } else {
                prediction
                        .map(found -> found.value(property))
                        .filter(OptionalDouble::isPresent)
                        .ifPresent(value -> all.put(property, new Known(value.getAsDouble(), Optional.empty())));
            }
        }
        return new OnShelf(lot, depthCm, prediction, all);
    }

    /** What is known of a property. */
    public Optional<Known> known(Property property) {
        return Optional.ofNullable(all.get(property));
    }

    public OptionalDouble value(Property property) {
        Known known = all.get(property);
        return known == null ? OptionalDouble.empty() : OptionalDouble.of(known.value());
    }

    /** By how much a measured mix differs from what was predicted, in the property's unit; empty without both. */
    public OptionalDouble error(Property property) {
        OptionalDouble predicted =
                prediction.map(found -> found.value(property)).orElse(OptionalDouble.empty());
        Known known = all.get(property);
        return known != null && !known.predicted() && predicted.isPresent()
                ? OptionalDouble.of(known.value() - predicted.getAsDouble())
                : OptionalDouble.empty();
    }
}
