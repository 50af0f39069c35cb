package elsom.core.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class RandomEffectsTest {
    /**
     * The thirteen trials of BCG vaccine collected by Colditz et al. (1994), JAMA 271:698–702, ill and well among vaccinated and
     * others, as log relative risks.
     */
    private static final int[][] BCG = {
        {4, 119, 11, 128},
        {6, 300, 29, 274},
        {3, 228, 11, 209},
        {62, 13536, 248, 12619},
        {33, 5036, 47, 5761},
        {180, 1361, 372, 1079},
        {8, 2537, 10, 619},
        {505, 87886, 499, 87892},
        {29, 7470, 45, 7232},
        {17, 1699, 65, 1600},
        {186, 50448, 141, 27197},
        {5, 2493, 3, 2338},
        {27, 16886, 29, 17825}
    };

    private static RandomEffects bcg() {
        double[] estimates = new double[BCG.length];
        double[] variances = new double[BCG.length];
        for (int i = 0; i < BCG.length; i++) {
            double ill = BCG[i][0];
            double all = BCG[i][0] + BCG[i][1];
            double otherIll = BCG[i][2];
            double others = BCG[i][2] + BCG[i][3];
            estimates[i] = Math.log(ill / all / (otherIll / others));
            variances[i] = 1 / ill - 1 / all + 1 / otherIll - 1 / others;
        }
        return RandomEffects.of(estimates, variances);
    }

    /** Q 152.233 and τ² 0.318 as published for these trials; interval and prediction worked out apart, by Newton's steps. */
    @Test
    void poolsPublishedTrials() {
        RandomEffects pooled = bcg();
        assertThat(pooled.q()).isCloseTo(152.2330, within(1e-3));
        assertThat(pooled.inconsistency()).isCloseTo(0.9212, within(1e-4));
        assertThat(pooled.betweenVariance()).isCloseTo(0.31807, within(1e-5));
        assertThat(pooled.estimate()).isCloseTo(-0.714968, within(1e-6));
        assertThat(pooled.interval95().low()).isCloseTo(-1.10910, within(1e-4));
        assertThat(pooled.interval95().high()).isCloseTo(-0.32084, within(1e-4));
        assertThat(pooled.prediction95().orElseThrow().low()).isCloseTo(-2.0186, within(1e-3));
        assertThat(pooled.prediction95().orElseThrow().high()).isCloseTo(0.5886, within(1e-3));
        assertThat(pooled.qP()).isLessThan(1e-20);
    }

    /** By hand: 1 and 3 with variance 1 each have mean 2, Q 2 for 1 degree of freedom, so τ² 1, and t(1) 12.706. */
    @Test
    void twoTrialsSayLittle() {
        RandomEffects pooled = RandomEffects.of(new double[] {1, 3}, new double[] {1, 1});
        assertThat(pooled.estimate()).isCloseTo(2, within(1e-9));
        assertThat(pooled.betweenVariance()).isCloseTo(1, within(1e-6));
        assertThat(pooled.interval95().high()).isCloseTo(2 + 12.7062, within(1e-3));
        assertThat(pooled.prediction95()).isEmpty();
    }

    @Test
    void neverNarrowerThanChanceAllows() {
        RandomEffects alike = RandomEffects.of(new double[] {2, 2, 2}, new double[] {1, 1, 1});
        assertThat(alike.betweenVariance()).isZero();
        assertThat(alike.inconsistency()).isZero();
        assertThat(alike.interval95().high() - 2).isCloseTo(4.30265 / Math.sqrt(3), within(1e-4));
    }

    @Test
    void refusesWhatCantBePooled() {
        assertThatThrownBy(() -> RandomEffects.of(new double[] {1}, new double[] {1}))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> RandomEffects.of(new double[] {1, 2}, new double[] {1, 0}))
                .isInstanceOf(IllegalArgumentException.class);
    }

    /** The common effect: 0.1908, error 0.048, and its normal interval (values of another environment). */
    @Test
    void theCommonEffectOfTheseTrials() {
        RandomEffects.Common common = RandomEffects.of(new double[] {0.18, 0.21}, new double[] {0.0036, 0.0064})
                .common();
        assertThat(common.estimate()).isCloseTo(0.1908, within(1e-12));
        assertThat(common.error()).isCloseTo(0.048, within(1e-12));
        assertThat(common.interval95(1e9).low()).isCloseTo(0.0967217287, within(1e-7));
        assertThat(common.interval95(1e9).high()).isCloseTo(0.2848782713, within(1e-7));
        assertThat(common.interval95(6).high()).isCloseTo(0.1908 + 2.4469118511 * 0.048, within(1e-9));
    }
}
