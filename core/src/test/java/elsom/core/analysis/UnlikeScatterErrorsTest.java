package elsom.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.Simulations;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** How often something is claimed where nothing differs but scatter, and what it costs where scatter is alike. */
class UnlikeScatterErrorsTest {
    private static final int TRIALS = 1000;

    /** How values fall around their mean. */
    private enum Shape {
        NORMAL,
        LOGNORMAL,
        GAMMA
    }

    /** What is drawn: units and scatter of each treatment, the control first. */
    private enum Truth {
        NOISY_OF_THREE(0.08, Design.COMPLETELY_RANDOM, Shape.NORMAL, ints(8, 8, 8, 3), 1, 1, 1, 3),
        SIX_SIX_THREE_SIX(0.08, Design.COMPLETELY_RANDOM, Shape.NORMAL, ints(6, 6, 3, 6), 3, 3, 9, 3),
        EIGHT_AND_FOUR(0.06, Design.COMPLETELY_RANDOM, Shape.NORMAL, ints(8, 4), 1, 4),
        NOISY_CONTROL(0.06, Design.COMPLETELY_RANDOM, Shape.NORMAL, ints(6, 6, 6, 6), 3, 1, 1, 1),
        ONE_NOISY(0.07, Design.COMPLETELY_RANDOM, Shape.NORMAL, ints(5, 5, 5, 5), 1, 1, 1, 4),
        BLOCKS_NOISY_CONTROL(0.07, Design.BLOCKS, Shape.NORMAL, ints(6, 6, 6, 6), 3, 1, 1, 1),
        BLOCKS_NOISY_TREATED(0.06, Design.BLOCKS, Shape.NORMAL, ints(6, 6, 6, 6), 1, 1, 1, 4),
        BLOCKS_WITH_GAPS(0.06, Design.BLOCKS, Shape.NORMAL, ints(6, 6, 6, 6), 1, 1, 1, 1),
        FOUR_BLOCKS_NOISY_CONTROL(0.07, Design.BLOCKS, Shape.NORMAL, ints(4, 4, 4, 4), 3, 1, 1, 1),
        LOGNORMAL(0.06, Design.COMPLETELY_RANDOM, Shape.LOGNORMAL, ints(9, 8, 3, 6), 0.6, 0.6, 0.6, 0.6),
        GAMMA(0.06, Design.COMPLETELY_RANDOM, Shape.GAMMA, ints(9, 8, 3, 6), 2, 2, 2, 2),
        ALL_PAIRS(0.065, Design.COMPLETELY_RANDOM, Shape.NORMAL, ints(5, 5, 5, 5), 1, 1, 1, 3),
        ALL_PAIRS_UNEVEN(0.08, Design.COMPLETELY_RANDOM, Shape.NORMAL, ints(6, 6, 3, 6), 3, 3, 9, 3);

        private final double most;
        private final Design design;
        private final Shape shape;
        private final int[] units;
        private final double[] scatter;

        Truth(double most, Design design, Shape shape, int[] units, double... scatter) {
            this.most = most;
            this.design = design;
            this.shape = shape;
            this.units = units;
            this.scatter = scatter;
        }

        Ask ask() {
            return name().startsWith("ALL_PAIRS")
                    ? new Ask(List.of(), new Ask.Against.AllPairs(), OptionalDouble.empty(), false, 0.05)
                    : Ask.againstControl(OptionalDouble.empty());
        }

        Observations drawn(SplittableRandom random) {
            double gaps = this == BLOCKS_WITH_GAPS ? 0.15 : 0;
            return trial(random, design, shape, units, scatter, gaps, 0);
        }
    }

    private static int[] ints(int... units) {
        return units;
    }

    private static Observations trial(
            SplittableRandom random,
            Design design,
            Shape shape,
            int[] units,
            double[] scatter,
            double gaps,
            double lastShift) {
        List<Arm> arms = new ArrayList<>();
        List<Observed> rows = new ArrayList<>();
        double[] blocks = IntStream.range(0, Arrays.stream(units).max().orElseThrow())
                .mapToDouble(i -> design == Design.BLOCKS ? 1.5 * random.nextGaussian() : 0)
                .toArray();
        for (int arm = 0; arm < units.length; arm++) {
            arms.add(new Arm(String.valueOf((char) ('A' + arm)), "T" + arm, List.of("t" + arm), arm == 0));
            for (int i = 0; i < units[arm]; i++) {
                double value =
                        20 + blocks[i] + (arm == units.length - 1 ? lastShift : 0) + drawn(random, shape, scatter[arm]);
                rows.add(new Observed(
                        "U" + rows.size(),
                        arm,
                        design == Design.BLOCKS ? i + 1 : 0,
                        0,
                        0,
                        0,
                        random.nextDouble() < gaps ? new Value.Missing("lost", false) : new Value.Measured(value)));
            }
        }
        return new Observations(
                design, List.of("treatment"), arms, EndpointKind.MEASURED, Observations.Better.HIGHER, 1e-6, rows);
    }

    private static double drawn(SplittableRandom random, Shape shape, double scatter) {
        return switch (shape) {
            case NORMAL -> scatter * random.nextGaussian();
            case LOGNORMAL -> Math.exp(scatter * random.nextGaussian());
            case GAMMA -> -Math.log(1 - random.nextDouble()) - Math.log(1 - random.nextDouble());
        };
    }

    private static boolean claims(Judgement judged) {
        return judged.comparisons().stream()
                .anyMatch(one -> one.answer() == Answer.BETTER || one.answer() == Answer.WORSE);
    }

    @ParameterizedTest
    @EnumSource
    void scatterAloneIsSeldomADifference(Truth truth) {
        SplittableRandom random = new SplittableRandom(20261130L + truth.ordinal());
        seldomClaims(truth, truth.most, truth.ask(), () -> truth.drawn(random));
    }

    private static void seldomClaims(Enum<?> truth, double most, Ask ask, Supplier<Observations> drawn) {
        int trials = Simulations.of(TRIALS);
        long claimed = Stream.generate(drawn)
                .limit(trials)
                .filter(trial -> claims(Judge.unlettered(trial, ask)))
                .count();
        if (Boolean.getBoolean("elsom.print")) {
            System.out.printf("%s %.2f%n", truth, 100.0 * claimed / trials);
        }
        assertThat(claimed / (double) trials).isLessThanOrEqualTo(Simulations.most(most, TRIALS));
    }

    /** Plants counted: single ones, and trays of which two treatments' plants go together. */
    private enum Counted {
        THREE_PLANTS(3, 2, 0),
        FOUR_PLANTS(4, 4, 0),
        SIX_PLANTS(6, 3, 0),
        TEN_PLANTS(10, 3, 0),
        UNLIKE_TRAYS(6, 8, 0.5);

        private static final int PLANTS = 10;

        private final int units;
        private final int treatments;
        private final double together;

        Counted(int units, int treatments, double together) {
            this.units = units;
            this.treatments = treatments;
            this.together = together;
        }

        Observations drawn(SplittableRandom random) {
            List<Arm> arms = new ArrayList<>();
            List<Observed> rows = new ArrayList<>();
            for (int arm = 0; arm < treatments; arm++) {
                arms.add(new Arm(String.valueOf((char) ('A' + arm)), "T" + arm, List.of("t" + arm), arm == 0));
                for (int i = 0; i < units; i++) {
                    int n = together > 0 ? PLANTS : 1;
                    double icc = arm >= treatments - 2 ? together : 0;
                    rows.add(new Observed("U" + rows.size(), arm, 0, 0, 0, 0, new Value.CountOf(k(random, n, icc), n)));
                }
            }
            return new Observations(
                    Design.COMPLETELY_RANDOM,
                    List.of("treatment"),
                    arms,
                    EndpointKind.COUNT_OF,
                    Observations.Better.HIGHER,
                    1,
                    rows);
        }

        /** Each plant does as its tray's first with the root of the correlation, else by itself: half of all root. */
        private static int k(SplittableRandom random, int n, double icc) {
            boolean first = random.nextBoolean();
            int k = 0;
            for (int i = 0; i < n; i++) {
                boolean own = random.nextBoolean();
                k += (random.nextDouble() < Math.sqrt(icc) ? first : own) ? 1 : 0;
            }
            return k;
        }
    }

    @ParameterizedTest
    @EnumSource
    void fewOrTogetherPlantsAreSeldomADifference(Counted truth) {
        SplittableRandom random = new SplittableRandom(20261202L + truth.ordinal());
        seldomClaims(truth, 0.06, Ask.againstControl(OptionalDouble.empty()), () -> truth.drawn(random));
    }

    /** A layout in which all scatter alike, and how much power may be given for what was won. */
    private enum Alike {
        FOUR_OF_THREE(0.1, Design.COMPLETELY_RANDOM, 4, 3),
        FOUR_OF_FOUR(0.1, Design.COMPLETELY_RANDOM, 4, 4),
        FIVE_OF_FIVE(0.1, Design.COMPLETELY_RANDOM, 5, 5),
        FOUR_OF_SIX(0.04, Design.COMPLETELY_RANDOM, 4, 6),
        TWO_OF_SIX(0.04, Design.COMPLETELY_RANDOM, 2, 6),
        EIGHT_OF_SIX(0.045, Design.COMPLETELY_RANDOM, 8, 6),
        FOUR_BLOCKS(0.12, Design.BLOCKS, 4, 4),
        SIX_BLOCKS(0.06, Design.BLOCKS, 4, 6),
        EIGHT_BLOCKS(0.04, Design.BLOCKS, 5, 8);

        private final double price;
        private final Design design;
        private final int treatments;
        private final int units;

        Alike(double price, Design design, int treatments, int units) {
            this.price = price;
            this.design = design;
            this.treatments = treatments;
            this.units = units;
        }

        Observations drawn(SplittableRandom random) {
            double[] scatter = new double[treatments];
            int[] all = new int[treatments];
            Arrays.fill(scatter, 1);
            Arrays.fill(all, units);
            int df = (treatments - 1) * (units - 1) + (design == Design.BLOCKS ? 0 : units - 1);
            double reach = Simultaneous.one().critical(df, 0.05 / (treatments - 1)) + 0.9;
            return trial(random, design, Shape.NORMAL, all, scatter, 0, reach * Math.sqrt(2.0 / units));
        }
    }

    @ParameterizedTest
    @EnumSource
    void littlePowerIsGivenWhereScatterIsAlike(Alike layout) {
        int trials = Simulations.of(TRIALS);
        Ask ask = Ask.againstControl(OptionalDouble.empty());
        SplittableRandom random = new SplittableRandom(20261201L + layout.ordinal());
        List<Observations> all =
                Stream.generate(() -> layout.drawn(random)).limit(trials).toList();
        double seen = found(all, ask);
        double alike = found(all, ask.alike());
        if (Boolean.getBoolean("elsom.print")) {
            System.out.printf("%s alike %.1f as seen %.1f%n", layout, 100 * alike, 100 * seen);
        }
        assertThat(alike - seen).isLessThanOrEqualTo(Simulations.most(layout.price, TRIALS));
    }

    private static double found(List<Observations> trials, Ask ask) {
        return trials.stream()
                        .filter(one -> {
                            List<Comparison> said = Judge.unlettered(one, ask).comparisons();
                            return said.get(said.size() - 1).answer() == Answer.BETTER;
                        })
                        .count()
                / (double) trials.size();
    }
}
