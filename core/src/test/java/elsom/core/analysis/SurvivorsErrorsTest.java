package elsom.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.Simulations;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A treatment that does nothing but kill its weakest is seldom called better than the control. */
class SurvivorsErrorsTest {
    private static final int TRIALS = 2000;

    private static Observed unit(int number, int arm, Value value) {
        return new Observed("U" + number, arm, 0, 0, 0, 0, value);
    }

    private static Observations trial(SplittableRandom random, int n, int killed) {
        List<Observed> units = new ArrayList<>();
        double[] control = draws(random, n);
        double[] treated = draws(random, n);
        Arrays.sort(treated);
        IntStream.range(0, n).forEach(i -> units.add(unit(i, 0, new Value.Measured(control[i]))));
        IntStream.range(0, n)
                .forEach(i -> units.add(
                        unit(n + i, 1, i < killed ? new Value.Missing("died", true) : new Value.Measured(treated[i]))));
        return new Observations(
                Design.COMPLETELY_RANDOM,
                List.of(),
                List.of(new Arm("A", "none", List.of(), true), new Arm("B", "drench", List.of(), false)),
                EndpointKind.MEASURED,
                Observations.Better.HIGHER,
                0.01,
                units);
    }

    private static double[] draws(SplittableRandom random, int n) {
        return IntStream.range(0, n)
                .mapToDouble(i -> 20 + 4 * random.nextGaussian())
                .toArray();
    }

    @ParameterizedTest
    @ValueSource(ints = {4, 6, 8, 12})
    void isSeldomCalledBetter(int n) {
        SplittableRandom random = new SplittableRandom(20261130L + n);
        int trials = Simulations.of(TRIALS);
        long better = IntStream.range(0, trials)
                .filter(i -> Judge.unlettered(trial(random, n, n / 2), Ask.againstControl(OptionalDouble.empty()))
                                .comparisons()
                                .get(0)
                                .answer()
                        == Answer.BETTER)
                .count();
        assertThat(better / (double) trials).isLessThanOrEqualTo(Simulations.most(0.03, TRIALS));
    }
}
