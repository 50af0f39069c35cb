package elsom.core.dose;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.Simulations;
import elsom.core.analysis.Arm;
import elsom.core.analysis.Design;
import elsom.core.analysis.EndpointKind;
import elsom.core.analysis.Observations;
import elsom.core.analysis.Observed;
import elsom.core.analysis.Value;
import elsom.core.stats.Outcome;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** How often a dose's interval holds the truth, and how often a working rate goes above the true EC10, in ten truths. */
class DoseErrorsTest {
    private static final double[] DOSES = {0, 0.25, 0.5, 1, 2, 4, 8};
    private static final int[] PERCENTS = {10, 20, 50};
    private static final int TRIALS = 500;
    private static final double LEAST = 0.92;
    private static final int RATES = 60;
    private static final int PLANTS = 20;
    private static final List<DoseEffect.Given> GIVEN = IntStream.range(0, DOSES.length)
            .mapToObj(arm -> new DoseEffect.Given(arm, DOSES[arm]))
            .toList();
    private static final double TOP = 10;

    private enum Truth {
        LOG_LOGISTIC(x -> 20 / (1 + Math.pow(x / 1.2, 2.5)), 1.5, 0, 6),
        SHALLOW(x -> 20 / (1 + Math.pow(x / 2, 1)), 1.5, 0, 4),
        PLATEAU_FIFTH(x -> 4 + 16 / (1 + Math.pow(x / 1.2, 2.5)), 1.5, 0, 6),
        PLATEAU_THIRD(x -> 6 + 14 / (1 + Math.pow(x / 1.2, 2.5)), 1.5, 0, 6),
        PLATEAU_ABOVE_HALF(x -> 12 + 8 / (1 + Math.pow(x / 1.2, 2.5)), 1.5, 0, 6),
        WEIBULL_SLOW_THEN_FAST(x -> 20 * Math.exp(-Math.pow(x / 1.8, 1.5)), 1.5, 0, 6),
        WEIBULL_FAST_THEN_SLOW(x -> x == 0 ? 20 : 20 * -Math.expm1(-Math.pow(x / 1.1, -1.5)), 1.5, 0, 6),
        HORMESIS(x -> (20 + 20 * x) / (1 + Math.pow(x / 1.2, 3)), 1.5, 0, 6),
        SCATTER_IN_PROPORTION(x -> 20 / (1 + Math.pow(x / 1.2, 2.5)), 0, 0.2, 6),
        SCORES(x -> x == 0 ? 0.4 : 0.4 + 9 / (1 + Math.pow(2 / x, 1.8)), 1.3, 0, 6),
        COUNTS(x -> 0.95 * (1 - shareDead(x)), 0, 0, 4),
        COUNTS_OF_TRAYS(x -> 0.95 * (1 - shareDead(x)), 0, 0.2, 4);

        private final DoubleUnaryOperator mean;
        private final double sd;
        private final double more;
        private final int units;

        /**
         * A truth.
         *
         * @param more scatter in proportion to the mean; of counts, how much the plants of a tray go together
         */
        Truth(DoubleUnaryOperator mean, double sd, double more, int units) {
            this.mean = mean;
            this.sd = sd;
            this.more = more;
            this.units = units;
        }

        boolean counted() {
            return name().startsWith("COUNTS");
        }

        Value drawn(SplittableRandom random, double dose) {
            double at = mean.applyAsDouble(dose);
            if (counted()) {
                double share = more == 0 ? at : beta(random, at, (1 - more) / more);
                return new Value.CountOf(
                        (int) IntStream.range(0, PLANTS)
                                .filter(i -> random.nextDouble() < share)
                                .count(),
                        PLANTS);
            }
            double drawn = at + (sd + more * at) * random.nextGaussian();
            return new Value.Measured(this == SCORES ? score(drawn) : drawn);
        }

        /** What is truly read on average, for a score is cut off and rounded. */
        double read(double dose) {
            if (this != SCORES) {
                return mean.applyAsDouble(dose);
            }
            NormalDistribution around = NormalDistribution.of(mean.applyAsDouble(dose), sd);
            return IntStream.range(0, (int) TOP)
                    .mapToDouble(i -> around.survivalProbability(i + 0.5))
                    .sum();
        }

        /** The true dose; infinite where the effect is never reached. */
        double dose(int percent) {
            double none = read(0);
            double target = this == SCORES ? none + (TOP - none) * percent / 100 : none * (1 - percent / 100.0);
            double sign = this == SCORES ? -1 : 1;
            double from = this == HORMESIS ? 0.9 : 1e-3;
            return sign * (read(1e4) - target) > 0
                    ? Double.POSITIVE_INFINITY
                    : new BracketingNthOrderBrentSolver(1e-10, 1e-10, 5)
                            .solve(500, x -> sign * (read(x) - target), from, 1e4);
        }

        private boolean rises() {
            return this == SCORES;
        }

        private Observations trial(SplittableRandom random) {
            List<Arm> arms = new ArrayList<>();
            List<Observed> all = new ArrayList<>();
            for (int arm = 0; arm < DOSES.length; arm++) {
                String code = String.valueOf((char) ('A' + arm));
                arms.add(new Arm(code, DOSES[arm] + " %", List.of(), DOSES[arm] == 0));
                for (int i = 0; i < units; i++) {
                    all.add(new Observed(code + i, arm, 0, 0, 0, 0, drawn(random, DOSES[arm])));
                }
            }
            return new Observations(
                    Design.COMPLETELY_RANDOM,
                    List.of("dose"),
                    arms,
                    counted() ? EndpointKind.COUNT_OF : rises() ? EndpointKind.SCORE : EndpointKind.MEASURED,
                    rises() ? Observations.Better.LOWER : Observations.Better.HIGHER,
                    0.01,
                    all);
        }

        private OptionalDouble end() {
            return rises() ? OptionalDouble.of(TOP) : OptionalDouble.empty();
        }

        Outcome<DoseCurve> curve(SplittableRandom random) {
            return DoseEffect.curve(trial(random), GIVEN, end());
        }

        DoseEffect effect(SplittableRandom random) {
            return DoseEffect.of(trial(random), GIVEN, 0.05, counted() ? 0.2 : rises() ? 2 : 5, end());
        }
    }

    private static double shareDead(double dose) {
        return dose == 0 ? 0 : 1 / (1 + Math.pow(1.2 / dose, 2.5));
    }

    private static double score(double drawn) {
        return Math.max(0, Math.min(TOP, Math.round(drawn)));
    }

    private static double beta(SplittableRandom random, double share, double both) {
        double one = gamma(random, share * both);
        return one / (one + gamma(random, (1 - share) * both));
    }

    /** Marsaglia and Tsang 2000. */
    private static double gamma(SplittableRandom random, double shape) {
        double d = (shape < 1 ? shape + 1 : shape) - 1 / 3.0;
        while (true) {
            double z = random.nextGaussian();
            double v = Math.pow(1 + z / Math.sqrt(9 * d), 3);
            if (v > 0 && Math.log(random.nextDouble()) < z * z / 2 + d - d * v + d * Math.log(v)) {
                return d * v * (shape < 1 ? Math.pow(random.nextDouble(), 1 / shape) : 1);
            }
        }
    }

    /** What was found over many trials of a truth, for one percentage. */
    private static final class Tally {
        private int told;
        private int held;
        private int below;
        private int above;

        void add(DoseCurve.Effective found, double truth) {
            told++;
            below += found.interval95().high() < truth ? 1 : 0;
            above += found.interval95().low() > truth ? 1 : 0;
            held = told - below - above;
        }

        double share() {
            return held / (double) told;
        }

        String row(int percent) {
            return String.format(
                    "EC%d %.1f of %d (%.1f below, %.1f above)",
                    percent, 100 * share(), told, 100.0 * below / told, 100.0 * above / told);
        }
    }

    @ParameterizedTest
    @EnumSource(Truth.class)
    void intervalsHoldTheTruth(Truth truth) {
        Map<Integer, Tally> tallies = new TreeMap<>();
        SplittableRandom seeds = new SplittableRandom(20_261_130 + truth.ordinal());
        for (int trial = 0; trial < Simulations.of(TRIALS); trial++) {
            Outcome<DoseCurve> curve = truth.curve(seeds.split());
            for (int percent : PERCENTS) {
                curve.asOptional()
                        .flatMap(found -> found.effective(percent))
                        .filter(found -> found.tells(DOSES[1], DOSES[DOSES.length - 1]))
                        .ifPresent(found -> tallies.computeIfAbsent(percent, p -> new Tally())
                                .add(found, truth.dose(percent)));
            }
        }
        if (Boolean.getBoolean("elsom.print")) {
            tallies.forEach((percent, tally) -> System.out.println(truth + " " + tally.row(percent)));
        }
        assertThat(tallies)
                .hasSize(PERCENTS.length)
                .allSatisfy((percent, tally) -> assertThat(tally.share())
                        .as("EC" + percent)
                        .isGreaterThanOrEqualTo(Simulations.least(LEAST, TRIALS)));
    }

    @ParameterizedTest
    @EnumSource(Truth.class)
    void noRateToWorkWithIsAboveTheTrueEc10(Truth truth) {
        SplittableRandom seeds = new SplittableRandom(20_261_131 + truth.ordinal());
        for (int trial = 0; trial < Simulations.of(RATES); trial++) {
            DoseEffect effect = truth.effect(seeds.split());
            WorkingRate.of(effect, WorkingRate.USUAL_FACTOR)
                    .asOptional()
                    .ifPresent(rate -> assertThat(rate.rate()).isLessThanOrEqualTo(truth.dose(10)));
        }
    }
}
