package elsom.core.material;

import elsom.core.column.FittedMedium;
import elsom.core.mix.Property;
import elsom.core.water.RetentionCurve;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * How a lot holds its water, from what is known of it.
 *
 * @param from what it stands on
 */
public record LotCurve(RetentionCurve curve, From from) {
    private static final double WHOLE = 100;

    /** What a curve stands on, the better first. */
    public enum From {
        TWO_DEPTHS("fitted to two depths that were measured"),
        ONE_DEPTH("typical, made to hold what was told at one depth");

        private final String label;

        From(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** Whether a lot fills pots and enough is known of it for a curve. */
    public static boolean known(Lot lot) {
        return lot.kind().fills()
                && lot.value(Property.WATER).isPresent()
                && lot.value(Property.AIR).isPresent();
    }

    /** The curve of a lot; empty without water and air, or when none fits. */
    public static Optional<LotCurve> of(Lot lot) {
        OptionalDouble air = lot.value(Property.AIR);
        Optional<LotFigure> water = lot.best(Property.WATER);
        if (water.isEmpty() || air.isEmpty()) {
            return Optional.empty();
        }
        double pores = Math.min(1, (water.get().value() + air.getAsDouble()) / WHOLE);
        return twoDepths(lot, pores)
                .or(() -> held(water.get().depthCm(), water.get().value())
                        .flatMap(held -> FittedMedium.oneHeight(held, pores).asOptional())
                        .map(curve -> new LotCurve(curve, From.ONE_DEPTH)));
    }

    /** From the shallowest and the deepest container it was measured in, means of each. */
    private static Optional<LotCurve> twoDepths(Lot lot, double pores) {
        Map<Double, Double> byDepth = lot.figures().stream()
                .filter(figure -> figure.property() == Property.WATER && figure.origin() == Origin.MEASURED)
                .collect(Collectors.groupingBy(
                        LotFigure::depthCm, TreeMap::new, Collectors.averagingDouble(LotFigure::value)));
        if (byDepth.size() < 2) {
            return Optional.empty();
        }
        List<Double> depths =
                byDepth.keySet().stream().sorted(Comparator.naturalOrder()).toList();
        double shallow = depths.get(0);
        double deep = depths.get(depths.size() - 1);
        return held(shallow, byDepth.getOrDefault(shallow, 0.0))
                .flatMap(one -> held(deep, byDepth.getOrDefault(deep, 0.0))
                        .flatMap(other ->
                                FittedMedium.twoHeights(one, other, pores).asOptional()))
                .map(curve -> new LotCurve(curve, From.TWO_DEPTHS));
    }

    private static Optional<FittedMedium.Held> held(double depthCm, double percent) {
        return depthCm > 0 && percent > 0 && percent < WHOLE
                ? Optional.of(new FittedMedium.Held(depthCm, percent / WHOLE))
                : Optional.empty();
    }
}
