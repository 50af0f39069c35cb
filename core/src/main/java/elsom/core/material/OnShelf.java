package elsom.core.material;

import elsom.core.mix.Mix;
import elsom.core.mix.Property;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;

/**
 * A lot as it is compared with others at a depth: its own figures; of a mix, what is not measured is predicted from its parts.
 *
 * @param prediction of a mix from the lots of its parts
 */
public record OnShelf(Lot lot, double depthCm, Optional<Prediction> prediction) {
    private static final double FIRST = 1;

    /** A value with where it comes from. */
    public record Known(double value, Optional<LotFigure> told) {
        public boolean predicted() {
            return told.isEmpty();
        }
    }

    /** A lot beside the lots of its parts. */
    public static OnShelf of(Lot lot, double depthCm, Function<String, Optional<Lot>> shelf) {
        return new OnShelf(
                lot,
                depthCm,
                lot.kind() == MaterialKind.MIX
                        ? Optional.of(Prediction.of(Mix.parse(lot.recipe()), shelf, depthCm))
                        : Optional.empty());
    }

    /** What is known of a property. */
    public Optional<Known> known(Property property) {
        OptionalDouble own = new AtDepth(lot, depthCm).value(property);
        if (own.isPresent()) {
            return Optional.of(new Known(own.getAsDouble(), lot.best(property)));
        }
        OptionalDouble predicted =
                prediction.map(found -> found.value(property)).orElse(OptionalDouble.empty());
        return predicted.isPresent()
                ? Optional.of(new Known(predicted.getAsDouble(), Optional.empty()))
                : Optional.empty();
    }

    public OptionalDouble value(Property property) {
        return known(property).map(known -> OptionalDouble.of(known.value())).orElse(OptionalDouble.empty());
    }

    /** By how much a measured mix differs from what was predicted, in the property's unit; empty without both. */
    public OptionalDouble error(Property property) {
        OptionalDouble own = new AtDepth(lot, depthCm).value(property);
        OptionalDouble predicted =
                prediction.map(found -> found.value(property)).orElse(OptionalDouble.empty());
        return own.isPresent() && predicted.isPresent()
                ? OptionalDouble.of(own.getAsDouble() - predicted.getAsDouble())
                : OptionalDouble.empty();
    }

    /** 1 for the highest value; those that share a value share a place. */
    public static int place(double value, java.util.stream.DoubleStream all) {
        return (int) (FIRST + all.filter(other -> other > value).count());
    }
}
