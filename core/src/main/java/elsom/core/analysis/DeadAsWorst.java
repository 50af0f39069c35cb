package elsom.core.analysis;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;

/**
 * What two means would differ by if every unit that died had the worst value there is: with the difference of those that
 * lived, the two ends between which the truth for all that were set up lies (Horowitz &amp; Manski 2000, the bound of the
 * worst case).
 */
public final class DeadAsWorst {
    private DeadAsWorst() {}

    /**
     * The difference of two means with the dead of both counted.
     *
     * @param endOfScale the worst value that can be read where lower is better; the worst that was read where that is
     *     unknown or further off
     * @return empty where neither has dead units, a side has none at all, or values are no amounts
     */
    public static OptionalDouble difference(
            Observations all, int treatment, int comparator, OptionalDouble endOfScale) {
        boolean amounts = all.kind() == EndpointKind.MEASURED || all.kind() == EndpointKind.SCORE;
        if (!amounts || all.deaths(treatment) + all.deaths(comparator) == 0) {
            return OptionalDouble.empty();
        }
        double worst = worst(all, endOfScale);
        OptionalDouble one = mean(all, treatment, worst);
        OptionalDouble other = mean(all, comparator, worst);
        return one.isPresent() && other.isPresent()
                ? OptionalDouble.of(one.getAsDouble() - other.getAsDouble())
                : OptionalDouble.empty();
    }

    private static double worst(Observations all, OptionalDouble endOfScale) {
        List<Double> read = all.seen().stream().map(Observations::number).toList();
        DoubleStream values = read.stream().mapToDouble(Double::doubleValue);
        return all.better() == Observations.Better.HIGHER
                ? Math.min(0, values.min().orElse(0))
                : Math.max(
                        endOfScale.orElse(Double.NEGATIVE_INFINITY),
                        values.max().orElse(0));
    }

    private static OptionalDouble mean(Observations all, int arm, double worst) {
        DoubleStream living =
                all.seen().stream().filter(unit -> unit.arm() == arm).mapToDouble(Observations::number);
        return DoubleStream.concat(living, DoubleStream.generate(() -> worst).limit(all.deaths(arm)))
                .average();
    }
}
