package elsom.core.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

class PenalisedLogisticTest {
    private static final double[][] SATURATED = {{1, 0, 0, 0}, {1, 1, 0, 0}, {1, 0, 1, 0}, {1, 1, 1, 1}};

    private static double logOdds(double k, double n) {
        return Math.log(k / (n - k));
    }

    private static PenalisedLogistic fit(double[][] design, List<Proportion> groups) {
        return PenalisedLogistic.fit(design, groups).asOptional().orElseThrow();
    }

    /** Firth (1993): with a coefficient for each cell, the penalty adds half a plant to each count. */
    @Test
    void aFullDesignAddsHalfAPlantToEachCount() {
        List<Proportion> groups =
                List.of(new Proportion(0, 9), new Proportion(7, 9), new Proportion(9, 9), new Proportion(4, 8));
        PenalisedLogistic fit = fit(SATURATED, groups);
        double base = logOdds(0.5, 10);
        double a = logOdds(7.5, 10);
        double b = logOdds(9.5, 10);
        double both = logOdds(4.5, 9);
        assertThat(fit.coefficients().get(0)).isCloseTo(base, within(1e-8));
        assertThat(fit.coefficients().get(1)).isCloseTo(a - base, within(1e-8));
        assertThat(fit.coefficients().get(3)).isCloseTo(both - a - b + base, within(1e-8));
    }

    @Test
    void theIntervalEndsWhereTheTestSaysSoAndHoldsTheEstimate() {
        List<Proportion> groups =
                List.of(new Proportion(0, 12), new Proportion(10, 12), new Proportion(3, 12), new Proportion(6, 12));
        PenalisedLogistic fit = fit(SATURATED, groups);
        Interval interval = fit.interval(3, 0.05);
        assertThat(fit.p(3, interval.low())).isCloseTo(0.05, within(1e-7));
        assertThat(fit.p(3, interval.high())).isCloseTo(0.05, within(1e-7));
        assertThat(fit.coefficients().get(3)).isBetween(interval.low(), interval.high());
        assertThat(fit.p(3, fit.coefficients().get(3))).isCloseTo(1, within(1e-6));
    }

    /** One sample: the penalised likelihood is (k + ½) ln p + (n − k + ½) ln(1 − p), which a pocket calculator does. */
    @Test
    void theTestOfOneShareIsThatOfItsLikelihoodByHand() {
        PenalisedLogistic fit = fit(new double[][] {{1}}, List.of(new Proportion(2, 10)));
        double p = 2.5 / 11;
        double best = 2.5 * Math.log(p) + 8.5 * Math.log(1 - p);
        double half = 11 * Math.log(0.5);
        double chi = 2 * (best - half);
        assertThat(fit.coefficients().get(0)).isCloseTo(Math.log(2.5 / 8.5), within(1e-9));
        assertThat(fit.p(0, 0))
                .isCloseTo(
                        org.apache.commons.statistics.distribution.ChiSquaredDistribution.of(1)
                                .survivalProbability(chi),
                        within(1e-9));
    }

    @Test
    void twoCoefficientsThatCantBeToldApartAreRefused() {
        assertThat(PenalisedLogistic.fit(
                                new double[][] {{1, 1}, {1, 1}}, List.of(new Proportion(1, 4), new Proportion(2, 4)))
                        .whyNot())
                .isPresent();
    }

    @Test
    void withoutAnInteractionItIsSeldomShownThoughPlantsAreFewAndManyGroupsAreAllOrNothing() {
        SplittableRandom random = new SplittableRandom(20261126);
        double[] truth = {0.3, 0.6, 0.7, 0};
        // On the scale of odds the two factors do the same everywhere.
        double odds = truth[1] / (1 - truth[1]) * truth[2] / (1 - truth[2]) / (truth[0] / (1 - truth[0]));
        truth[3] = odds / (1 + odds);
        int shown = 0;
        for (int trial = 0; trial < 1000; trial++) {
            List<Proportion> groups = new ArrayList<>();
            for (double p : truth) {
                int k = 0;
                for (int plant = 0; plant < 8; plant++) {
                    k += random.nextDouble() < p ? 1 : 0;
                }
                groups.add(new Proportion(k, 8));
            }
            shown += fit(SATURATED, groups).p(3, 0) < 0.05 ? 1 : 0;
        }
        assertThat(shown).isLessThan(55);
    }
}
