package elsom.core.seedling;

import elsom.core.stats.Interval;
import elsom.core.stats.Outcome;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * How sure a germination index is: 95 % intervals of its two parts and of their product, as shares of the control, by how
 * dishes scatter. On the logarithm of a ratio of means (delta method), with the degrees of freedom of Welch and Satterthwaite;
 * germination never scatters less than a coin that falls as often would.
 *
 * @param germination G/Gc
 * @param roots L/Lc
 * @param index (G/Gc)·(L/Lc); within a dish the two go together, which is taken into account
 */
public record GerminationIntervals(Interval germination, Interval roots, Interval index) {
    private static final double TAIL = 0.025;
    private static final int FEWEST = 2;

    /** The variance of what is rounded to the millimetre. */
    private static final double MILLIMETRE = 1 / 12.0;

    /** The variance of a logarithm, with its degrees of freedom. */
    private record Part(double log, double variance, int df) {}

    /** Compares a sample with a control; not estimable with fewer than two dishes with roots on either side. */
    public static Outcome<GerminationIntervals> of(List<Dish> sample, List<Dish> control) {
        if (rooted(sample) < FEWEST || rooted(control) < FEWEST) {
            return Outcome.notEstimable(
                    "One dish alone tells nothing of chance: two or more with roots are needed on each side");
        }
        return Outcome.found(new GerminationIntervals(
                ratio(germinated(sample), germinated(control)),
                ratio(rootsOf(sample), rootsOf(control)),
                ratio(product(sample), product(control))));
    }

    private static long rooted(List<Dish> dishes) {
        return dishes.stream().filter(dish -> !dish.rootLengthsMm().isEmpty()).count();
    }

    private static Interval ratio(Part sample, Part control) {
        double variance = sample.variance() + control.variance();
        double df = variance
                * variance
                / (sample.variance() * sample.variance() / sample.df()
                        + control.variance() * control.variance() / control.df());
        double half = TDistribution.of(Math.max(1, df)).inverseSurvivalProbability(TAIL) * Math.sqrt(variance);
        double log = sample.log() - control.log();
        return new Interval(Math.exp(log - half), Math.exp(log + half));
    }

    private static Part germinated(List<Dish> dishes) {
        double mean = mean(dishes, Dish::germination);
        return new Part(
                Math.log(mean),
                Math.max(scatter(dishes, dish -> dish.germination() / mean), byChance(dishes)),
                dishes.size() - 1);
    }

    private static Part rootsOf(List<Dish> dishes) {
        List<Dish> rooted =
                dishes.stream().filter(dish -> !dish.rootLengthsMm().isEmpty()).toList();
        double mean = mean(rooted, Dish::meanRootMm);
        return new Part(
                Math.log(mean),
                Math.max(scatter(rooted, dish -> dish.meanRootMm() / mean), withinDishes(rooted, mean)),
                rooted.size() - 1);
    }

    private static Part product(List<Dish> dishes) {
        double germination = mean(dishes, Dish::germination);
        List<Dish> rooted =
                dishes.stream().filter(dish -> !dish.rootLengthsMm().isEmpty()).toList();
        double roots = mean(rooted, Dish::meanRootMm);
        double together = scatter(rooted, dish -> dish.germination() / germination + dish.meanRootMm() / roots);
        return new Part(
                Math.log(germination) + Math.log(roots),
                Math.max(together, byChance(dishes) + withinDishes(rooted, roots)),
                rooted.size() - 1);
    }

    /** The squared standard error of a mean over dishes. */
    private static double scatter(List<Dish> dishes, ToDoubleFunction<Dish> of) {
        double mean = mean(dishes, of);
        double squares = dishes.stream()
                .mapToDouble(of)
                .map(value -> (value - mean) * (value - mean))
                .sum();
        return squares / (dishes.size() - 1) / dishes.size();
    }

    /** Of the logarithm of a share, by seeds alone; half a seed is added on either side, so that all or none scatter too. */
    private static double byChance(List<Dish> dishes) {
        double seeds = dishes.stream().mapToInt(Dish::seeds).sum() + 1.0;
        double share = (dishes.stream().mapToInt(Dish::germinated).sum() + 0.5) / seeds;
        return (1 - share) / (share * seeds);
    }

    /** Of the logarithm of a mean length, by the roots within dishes alone; never less than reading to the millimetre makes it. */
    private static double withinDishes(List<Dish> rooted, double mean) {
        double squares = 0;
        int df = 0;
        int roots = 0;
        for (Dish dish : rooted) {
            double own = dish.meanRootMm();
            squares += dish.rootLengthsMm().stream()
                    .mapToDouble(length -> (length - own) * (length - own))
                    .sum();
            df += dish.rootLengthsMm().size() - 1;
            roots += dish.rootLengthsMm().size();
        }
        double each = Math.max(MILLIMETRE, df == 0 ? 0 : squares / df);
        return each / roots / (mean * mean);
    }

    private static double mean(List<Dish> dishes, ToDoubleFunction<Dish> of) {
        return dishes.stream().mapToDouble(of).average().orElseThrow();
    }
}
