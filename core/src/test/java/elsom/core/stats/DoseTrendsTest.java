package elsom.core.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

class DoseTrendsTest {
    private static Group group(String name, double... values) {
        return new Group(name, Arrays.stream(values).boxed().toList());
    }

    /** Williams (1972): t̄ at 5 % for one, two and three doses with endless degrees of freedom and equal groups. */
    @Test
    void theTableOfWilliamsIsMet() {
        assertThat(new WilliamsDistribution(5, new int[] {5}, 1e6).upperQuantile(0.05))
                .isCloseTo(1.645, within(1e-3));
        assertThat(new WilliamsDistribution(5, new int[] {5, 5}, 1e6).upperQuantile(0.05))
                .isCloseTo(1.716, within(1e-3));
        assertThat(new WilliamsDistribution(5, new int[] {5, 5, 5}, 1e6).upperQuantile(0.05))
                .isCloseTo(1.739, within(1e-3));
    }

    /** The level of the critical value over simulated trials; it was 0.080 with the same points for every group. */
    @Test
    void theLevelHoldsForVeryUnequalGroups() {
        int[] sizes = {100, 2, 2};
        int control = 4;
        double df = 104;
        double critical = new WilliamsDistribution(control, sizes, df).upperQuantile(0.05);
        SplittableRandom random = new SplittableRandom(7);
        int trials = 40_000;
        int above = 0;
        for (int trial = 0; trial < trials; trial++) {
            above += statistic(random, sizes, control, (int) df) > critical ? 1 : 0;
        }
        assertThat(above / (double) trials).isCloseTo(0.05, within(0.0045));
    }

    private static double statistic(SplittableRandom random, int[] sizes, int control, int df) {
        double[] mean = new double[sizes.length];
        for (int i = 0; i < sizes.length; i++) {
            mean[i] = normal(random) / Math.sqrt(sizes[i]);
        }
        double highest = Double.NEGATIVE_INFINITY;
        double sum = 0;
        double n = 0;
        for (int i = sizes.length - 1; i >= 0; i--) {
            sum += sizes[i] * mean[i];
            n += sizes[i];
            highest = Math.max(highest, sum / n);
        }
        double squares = 0;
        for (int i = 0; i < df; i++) {
            double z = normal(random);
            squares += z * z;
        }
        double s = Math.sqrt(squares / df);
        double error = Math.sqrt(1.0 / sizes[sizes.length - 1] + 1.0 / control);
        return (highest - normal(random) / Math.sqrt(control)) / (s * error);
    }

    private static double normal(SplittableRandom random) {
        return Math.sqrt(-2 * Math.log(1 - random.nextDouble())) * Math.cos(2 * Math.PI * random.nextDouble());
    }

    @Test
    void stepsGoDownFromTheHighestDoseAndStop() {
        List<DoseTrends.WilliamsStep> steps = DoseTrends.williams(
                        group("0", 0.1, 0.2, 0.0, 0.1),
                        List.of(
                                group("1", 0.2, 0.0, 0.1, 0.1),
                                group("2", 0.1, 0.1, 0.2, 0.2),
                                group("4", 3, 3.2, 2.9, 3.1)),
                        0.05)
                .asOptional()
                .orElseThrow();
        assertThat(steps).extracting(DoseTrends.WilliamsStep::significant).containsExactly(true, false, false);
    }

    /** Three groups of two, each above the one before: 12 of 12 pairs; mean 6, variance (6·5·17 − 3·2·1·9)/72. */
    @Test
    void pairsThatRiseAreCounted() {
        DoseTrends.JonckheereStep step = DoseTrends.jonckheere(
                        group("0", 1, 2), List.of(group("1", 3, 4), group("2", 5, 6)), 0.05)
                .get(0)
                .asOptional()
                .orElseThrow();
        assertThat(step.j()).isEqualTo(12);
        assertThat(step.mean()).isEqualTo(6);
        assertThat(step.variance()).isCloseTo((6 * 5 * 17 - 3 * 2 * 1 * 9) / 72.0, within(1e-12));
    }
}
