package elsom.core.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.apache.commons.statistics.distribution.TDistribution;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class QuadratureTest {
    @ParameterizedTest
    @ValueSource(doubles = {0.7, 1, 1.5, 2, 3, 5.5, 10, 27.3, 100, 1000, 10_000})
    void overTheScatterANormalsTailIsStudents(double df) {
        Quadrature.Scale scale = Quadrature.Scale.ofCentral(df);
        for (double t : new double[] {0, 0.1, 1, 2.5, 4, 8, 20, 60}) {
            double student = TDistribution.of(df).survivalProbability(t);
            if (student > 1e-14) {
                assertThat(scale.mean(s -> Quadrature.NORMAL.survivalProbability(t * s)) / student)
                        .as("t %s of %s df", t, df)
                        .isCloseTo(1, within(1e-9));
            }
            assertThat(scale.mean(s -> Quadrature.NORMAL.survivalProbability(-t * s)))
                    .isCloseTo(1 - student, within(1e-11));
        }
    }
}
