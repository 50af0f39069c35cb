package elsom.core.chemistry;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.Simulations;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.DoubleUnaryOperator;
import org.apache.commons.statistics.distribution.TDistribution;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** How often the interval of an amount holds the true one, over titrations of six amounts in three jars each. */
class LimeErrorsTest {
    private static final int TRIALS = 2000;
    private static final double[] AMOUNTS = {0, 1, 2, 3, 4, 6};
    private static final int JARS = 3;
    private static final double SCATTER = 0.06;

    /** How pH goes with the amount; {@code at}, 1 to 4, is where it turns. */
    private enum Truth {
        STRAIGHT,
        LEVELLING,
        RISING,
        GENTLE_STEP,
        STEEP_STEP,
        JUMP;

        double ph(double grams, double at) {
            return switch (this) {
                case STRAIGHT -> 4.2 + 0.5 * grams;
                case LEVELLING -> 4.2 + 3.2 * (1 - Math.exp(-grams / at));
                case RISING -> 4.2 + 0.07 * Math.pow(grams, 1 + at / 4);
                case GENTLE_STEP -> 4.2 + 0.15 * grams + 2.2 / (1 + Math.exp(-(grams - at) / 0.7));
                case STEEP_STEP -> 4.2 + 0.15 * grams + 2.2 / (1 + Math.exp(-(grams - at) / 0.15));
                case JUMP -> 4.2 + 0.15 * grams + 2.2 / (1 + Math.exp(-(grams - at) / 0.02));
            };
        }
    }

    private static double grams(DoubleUnaryOperator ph, double target) {
        double low = 0;
        double high = AMOUNTS[AMOUNTS.length - 1];
        for (int i = 0; i < 60; i++) {
            double middle = (low + high) / 2;
            if (ph.applyAsDouble(middle) < target) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }

    private static Titration drawn(SplittableRandom random, DoubleUnaryOperator ph) {
        List<Titration.Jar> jars = new ArrayList<>();
        for (double amount : AMOUNTS) {
            for (int i = 0; i < JARS; i++) {
                jars.add(new Titration.Jar(amount, ph.applyAsDouble(amount) + SCATTER * random.nextGaussian()));
            }
        }
        return Titration.of(jars).asOptional().orElseThrow();
    }

    @ParameterizedTest
    @EnumSource
    void theIntervalHoldsTheAmountWhereverPhJumps(Truth truth) {
        SplittableRandom random = new SplittableRandom(20261205L + truth.ordinal());
        double half = TDistribution.of(AMOUNTS.length * (JARS - 1.0)).inverseSurvivalProbability(0.025)
                * SCATTER
                / Math.sqrt(JARS);
        int held = 0;
        int of = 0;
        double wide = 0;
        double widePlain = 0;
        while (of < Simulations.of(TRIALS)) {
            double at = 1 + 3 * random.nextDouble();
            DoubleUnaryOperator ph = grams -> truth.ph(grams, at);
            double target = ph.applyAsDouble(0.5 + 5 * random.nextDouble());
            var dose = LimeDose.of(drawn(random, ph), target, half, 100, 100).asOptional();
            if (dose.isEmpty()
                    || dose.get().low().isEmpty()
                    || dose.get().high().isEmpty()) {
                continue;
            }
            double low = dose.get().low().getAsDouble();
            double high = dose.get().high().getAsDouble();
            double grams = grams(ph, target);
            held += low <= grams && grams <= high ? 1 : 0;
            wide += high - low;
            of++;
        }
        if (Boolean.getBoolean("elsom.print")) {
            System.out.printf("%s held %.1f wide %.2f%n", truth, 100.0 * held / of, wide / of);
        }
        assertThat(held / (double) of).isGreaterThanOrEqualTo(Simulations.least(0.93, TRIALS));
    }
}
