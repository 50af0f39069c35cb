package elsom.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.Simulations;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Split plots whose treatments scatter by different amounts: two whole plots in a block, three units in each. */
class SplitPlotScatterTest {
    private static final int TRIALS = 1000;
    private static final int SUB = 3;

    /** What scatters more, in how many blocks, and of which factor the levels are compared. */
    private enum Truth {
        ALL_ALIKE(0.06, 6, 1, 0, 1, 0),
        NOISY_CONTROL(0.07, 6, 1, 0, 3, 0),
        NOISY_SUB_LEVEL(0.06, 6, 1, 2, 3, 0),
        NOISY_SUB_LEVEL_IN_FOUR(0.07, 4, 1, 2, 4, 0),
        NOISY_WHOLE_LEVEL(0.06, 6, 0, 1, 3, 0),
        NOISY_WHOLE_LEVEL_OF_SUBS(0.07, 6, 1, -1, 3, 0),
        ALIKE_WITH_GAPS(0.06, 6, 1, 0, 1, 0.12),
        NOISY_WITH_GAPS(0.07, 6, 1, 2, 3, 0.12);

        private final double most;
        private final int blocks;
        private final int factor;
        private final int noisy;
        private final double times;
        private final double gaps;

        Truth(double most, int blocks, int factor, int noisy, double times, double gaps) {
            this.most = most;
            this.blocks = blocks;
            this.factor = factor;
            this.noisy = noisy;
            this.times = times;
            this.gaps = gaps;
        }

        Ask ask() {
            return Ask.againstControl(OptionalDouble.empty());
        }

        Observations drawn(SplittableRandom random, double shift) {
            List<Arm> arms = new ArrayList<>();
            for (int whole = 0; whole < 2; whole++) {
                for (int sub = 0; sub < SUB; sub++) {
                    arms.add(new Arm(
                            String.valueOf((char) ('A' + arms.size())),
                            "T" + arms.size(),
                            List.of("w" + whole, "s" + sub),
                            factor == 0 ? whole == 0 : sub == 0));
                }
            }
            List<Observed> rows = new ArrayList<>();
            for (int block = 0; block < blocks; block++) {
                double ofBlock = 1.5 * random.nextGaussian();
                for (int whole = 0; whole < 2; whole++) {
                    double ofPlot = scatter(whole, -2) * random.nextGaussian();
                    for (int sub = 0; sub < SUB; sub++) {
                        double value = 20
                                + ofBlock
                                + ofPlot
                                + scatter(whole, sub) * random.nextGaussian()
                                + (factor == 0 ? whole * shift : sub == SUB - 1 ? shift : 0);
                        rows.add(new Observed(
                                "U" + rows.size(),
                                whole * SUB + sub,
                                block + 1,
                                0,
                                0,
                                block * 2 + whole + 1,
                                random.nextDouble() < gaps
                                        ? new Value.Missing("lost", false)
                                        : new Value.Measured(value)));
                    }
                }
            }
            return new Observations(
                    Design.SPLIT_PLOT,
                    List.of("whole", "sub"),
                    arms,
                    EndpointKind.MEASURED,
                    Observations.Better.HIGHER,
                    1e-6,
                    rows);
        }

        /** Of a whole plot ({@code sub} −2) or of a unit in it. */
        private double scatter(int whole, int sub) {
            boolean more = factor == 0 || noisy == -1 ? whole == Math.abs(noisy) : sub == noisy;
            return more ? times : 1;
        }
    }

    @ParameterizedTest
    @EnumSource
    void scatterAloneIsSeldomADifference(Truth truth) {
        SplittableRandom random = new SplittableRandom(20261203L + truth.ordinal());
        int trials = Simulations.of(TRIALS);
        long claimed = Stream.generate(() -> truth.drawn(random, 0))
                .limit(trials)
                .filter(trial -> Judge.unlettered(trial, truth.ask()).comparisons().stream()
                        .anyMatch(one -> one.answer() == Answer.BETTER || one.answer() == Answer.WORSE))
                .count();
        assertThat(claimed / (double) trials).isLessThanOrEqualTo(Simulations.most(truth.most, TRIALS));
    }

    /** What it costs where all scatter alike: beside one scatter for all, as before. */
    @Test
    void littlePowerIsGivenWhereScatterIsAlike() {
        Truth truth = Truth.ALL_ALIKE;
        SplittableRandom random = new SplittableRandom(20261204L);
        int trials = Simulations.of(TRIALS);
        double seen = 0;
        double alike = 0;
        for (int i = 0; i < trials; i++) {
            Observations trial = truth.drawn(random, 1.55);
            seen += better(trial, truth.ask());
            alike += better(trial, truth.ask().alike());
        }
        assertThat((alike - seen) / trials).isLessThanOrEqualTo(Simulations.most(0.08, TRIALS));
    }

    private static int better(Observations trial, Ask ask) {
        return Judge.unlettered(trial, ask).comparisons().stream().anyMatch(one -> one.answer() == Answer.BETTER)
                ? 1
                : 0;
    }
}
