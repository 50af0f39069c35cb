package elsom.core.money;

import elsom.core.analysis.Comparison;
import elsom.core.stats.Interval;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Whether a treatment pays beside another: what its extra yield is worth less what it costs more, of one unit. The price
 * and the costs are taken as known, so the interval is the yield's, times the price.
 *
 * @param net extra revenue less extra cost
 * @param net95 its 95 % interval, adjusted as the comparison's is; empty when yields can't be judged
 * @param perCost net over the extra cost; empty when it costs no more
 * @param breakEven price at which it neither gains nor loses; empty unless it yields more and costs more
 * @param cheapEnough extra cost up to which it would pay, at the yield seen
 */
public record Pay(
        Comparison comparison,
        double extraCost,
        double net,
        Optional<Interval> net95,
        OptionalDouble perCost,
        OptionalDouble breakEven,
        double cheapEnough,
        Says says) {
    /** What can be said of it. */
    public enum Says {
        PAYS("pays"),
        COSTS("does not pay"),
        CANT_TELL("can't tell");

        private final String label;

        Says(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /**
     * Works it out.
     *
     * @param price of one of the endpoint's unit
     * @param costs of a unit of each treatment, by index
     */
    public static Pay of(Comparison comparison, double price, List<Double> costs) {
        double extraCost = costs.get(comparison.treatment()) - costs.get(comparison.comparator());
        double net = comparison.difference() * price - extraCost;
        Optional<Interval> net95 = comparison
                .interval()
                .filter(yields -> Double.isFinite(yields.low()) && Double.isFinite(yields.high()))
                .map(yields -> new Interval(yields.low() * price - extraCost, yields.high() * price - extraCost));
        return new Pay(
                comparison,
                extraCost,
                net,
                net95,
                extraCost > 0 ? OptionalDouble.of(net / extraCost) : OptionalDouble.empty(),
                extraCost > 0 && comparison.difference() > 0
                        ? OptionalDouble.of(extraCost / comparison.difference())
                        : OptionalDouble.empty(),
                comparison.difference() * price,
                net95.map(Pay::says).orElse(Says.CANT_TELL));
    }

    private static Says says(Interval net) {
        return net.low() > 0 ? Says.PAYS : net.high() < 0 ? Says.COSTS : Says.CANT_TELL;
    }

    /** Units that bring a yield in all, at a mean of one; empty when it yields nothing. */
    public static OptionalDouble unitsFor(double target, double mean) {
        return mean > 0 ? OptionalDouble.of(Math.ceil(target / mean - 1e-9)) : OptionalDouble.empty();
    }
}
