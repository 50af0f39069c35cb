package elsom.core.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AnswerChancesTest {
    private static final int TRIALS = 40_000;
    private static final int DF = 9;

    /** Trials drawn one by one, their intervals laid beside 0 and the margin. */
    @ParameterizedTest
    @CsvSource({"0, 0.5, 2", "1, 0.5, 2", "2, 0.5, 1", "-1.5, 0.7, 1", "0, 0.3, 1"})
    void chancesAreThoseOfTrialsDrawn(double truth, double error, double margin) {
        double critical = 2.262;
        SplittableRandom random = new SplittableRandom(7);
        int none = 0;
        int more = 0;
        int less = 0;
        for (int i = 0; i < TRIALS; i++) {
            double squares = 0;
            for (int j = 0; j < DF; j++) {
                squares += Math.pow(random.nextGaussian(), 2);
            }
            double seen = truth + error * random.nextGaussian();
            double half = critical * error * Math.sqrt(squares / DF);
            boolean within = seen - half > -margin && seen + half < margin;
            none += within ? 1 : 0;
            more += !within && seen - half > 0 ? 1 : 0;
            less += !within && seen + half < 0 ? 1 : 0;
        }
        AnswerChances chances = AnswerChances.of(truth, error, DF, critical, OptionalDouble.of(margin));
        assertThat(chances.noDifference()).isCloseTo(none / (double) TRIALS, within(0.01));
        assertThat(chances.more()).isCloseTo(more / (double) TRIALS, within(0.01));
        assertThat(chances.less()).isCloseTo(less / (double) TRIALS, within(0.01));
        assertThat(chances.told() + chances.cantTell()).isCloseTo(1, within(1e-12));
    }

    @Test
    void withManyDegreesOfFreedomScatterIsKnown() {
        OptionalDouble margin = OptionalDouble.of(1.2);
        AnswerChances known = AnswerChances.knowingScatter(0.6, 0.3, 1.98, margin);
        AnswerChances many = AnswerChances.of(0.6, 0.3, 1e6, 1.98, margin);
        assertThat(known.told()).isCloseTo(many.told(), within(1e-4));
        assertThat(known.different()).isCloseTo(many.different(), within(1e-4));
    }

    /** Half-way between nothing and what matters either answer would do, and far fewer units give one of them. */
    @Test
    void anyAnswerTakesFewerUnitsThanOneOfThem() {
        double difference = 0.5;
        OptionalDouble margin = OptionalDouble.of(1);
        int n = 40;
        AnswerChances chances = AnswerChances.of(difference, Math.sqrt(2.0 / n), 2 * n - 2, 1.99, margin);
        assertThat(chances.told()).isGreaterThan(chances.more() + 0.1).isGreaterThan(chances.noDifference() + 0.1);
    }
}
