package elsom.core.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class MaximumContrastTest {
    /** Two independent contrasts and their mean, by adaptive quadrature in another environment (QUADPACK, 1e-10). */
    @Test
    void aContrastThatFollowsFromTheOthersIsCountedWithThem() {
        double one = 1.16428327977;
        double other = 1.38067012715;
        double all = Math.hypot(one, other);
        double[][] correlation = {{1, 0, one / all}, {0, 1, other / all}, {one / all, other / all, 1}};
        assertThat(MaximumContrast.of(correlation, 10).twoSidedQuantile(0.05)).isCloseTo(2.70477809, within(2e-6));
    }

    /** Three that go nearly together, by nested Gauss rules of 500 points in another environment. */
    @Test
    void contrastsThatGoNearlyTogetherKeepTheirDigits() {
        double[][] near = {{1, 0.97652917, -0.97733809}, {0.97652917, 1, -0.95872683}, {-0.97733809, -0.95872683, 1}};
        assertThat(MaximumContrast.of(near, 4).twoSided(4.99665541633)).isCloseTo(0.0097647, within(3e-6));
        assertThat(MaximumContrast.of(near, 1e7).twoSided(3)).isCloseTo(0.00403668, within(3e-7));
    }

    @Test
    void independentOnesAreThoseOfSidakAndAlikeOnesAreOne() {
        double[][] apart = {{1, 0, 0}, {0, 1, 0}, {0, 0, 1}};
        double[][] same = {{1, 1}, {1, 1}};
        assertThat(MaximumContrast.of(same, 8).twoSidedQuantile(0.05)).isCloseTo(2.306004, within(1e-5));
        // 1 − Π P(|Z| ≤ 2) of three normals, as df grows.
        assertThat(MaximumContrast.of(apart, 1e7).twoSided(2)).isCloseTo(1 - Math.pow(0.9544997, 3), within(2e-4));
    }

    /** Many to one: Dunnett's, which is two integrals. */
    @Test
    void treatmentsBesideAControlAreDunnetts() {
        double[][] halves = {{1, 0.5, 0.5, 0.5}, {0.5, 1, 0.5, 0.5}, {0.5, 0.5, 1, 0.5}, {0.5, 0.5, 0.5, 1}};
        double exact = MaximumT.of(6, new int[] {6, 6, 6, 6}, 25).twoSidedQuantile(0.05);
        assertThat(MaximumContrast.of(halves, 25).twoSidedQuantile(0.05)).isCloseTo(exact, within(2e-4));
    }
}
