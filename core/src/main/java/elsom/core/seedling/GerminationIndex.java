package elsom.core.seedling;

import elsom.core.stats.Outcome;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Germination and root growth of a sample against a control: the germination index of Zucconi et al. (1981) and the
 * Munoo-Liisa vitality index. Fractions, not percent.
 *
 * @param index (G/Gc)·(L/Lc) with lengths as means of dish means
 * @param pooledIndex the same with lengths as means over all roots
 * @param vitalityOverControlMeans Σ g·L over the dishes, over dishes·Gc·Lc
 * @param vitalityOverControlProducts mean g·L of the sample over mean g·L of the control
 */
public record GerminationIndex(
        Side sample,
        Side control,
        double relativeGermination,
        double relativeRootLength,
        double index,
        double pooledIndex,
        double vitalityOverControlMeans,
        double vitalityOverControlProducts) {

    /**
     * One side of the comparison.
     *
     * @param germination mean of the dishes
     * @param rootMm mean of the means of dishes that have roots; empty when none has
     * @param pooledRootMm mean over all roots; empty when there is none
     */
    public record Side(double germination, OptionalDouble rootMm, OptionalDouble pooledRootMm) {
        /** Means over dishes, at least one. */
        public static Side of(List<Dish> dishes) {
            if (dishes.isEmpty()) {
                throw new IllegalArgumentException("a germination test needs at least one dish");
            }
            return new Side(
                    dishes.stream().mapToDouble(Dish::germination).average().orElseThrow(),
                    dishes.stream()
                            .filter(dish -> !dish.rootLengthsMm().isEmpty())
                            .mapToDouble(Dish::meanRootMm)
                            .average(),
                    dishes.stream()
                            .flatMap(dish -> dish.rootLengthsMm().stream())
                            .mapToDouble(Double::doubleValue)
                            .average());
        }
    }

    /** Compares a sample with a control; not estimable when the control did not germinate or has no roots. */
    public static Outcome<GerminationIndex> of(List<Dish> sample, List<Dish> control) {
        Side s = Side.of(sample);
        Side c = Side.of(control);
        double products = meanProduct(control);
        if (!(c.germination() > 0) || c.rootMm().isEmpty() || !(c.rootMm().getAsDouble() > 0)) {
            return Outcome.notEstimable(
                    "The control did not germinate or grew no roots, so there is nothing to compare with");
        }
        double germination = s.germination() / c.germination();
        double length = s.rootMm().orElse(0) / c.rootMm().getAsDouble();
        double pooled = s.pooledRootMm().orElse(0) / c.pooledRootMm().getAsDouble();
        return Outcome.found(new GerminationIndex(
                s,
                c,
                germination,
                length,
                germination * length,
                germination * pooled,
                meanProduct(sample) / (c.germination() * c.rootMm().getAsDouble()),
                meanProduct(sample) / products));
    }

    private static double meanProduct(List<Dish> dishes) {
        return dishes.stream()
                .mapToDouble(dish -> dish.germination() * dish.meanRootMm())
                .average()
                .orElseThrow();
    }
}
