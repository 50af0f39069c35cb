package elsom.core.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;

class AgreementTest {
    /** Six targets and four judges, Shrout & Fleiss 1979, table 2. */
    private static final double[][] SHROUT_AND_FLEISS = {
        {9, 2, 5, 8}, {6, 1, 3, 2}, {8, 4, 6, 8}, {7, 1, 2, 6}, {10, 5, 6, 9}, {6, 2, 4, 7}
    };

    private static Agreement of(double[] first, double[] second) {
        return Agreement.of(first, second).asOptional().orElseThrow();
    }

    @Test
    void theIntraclassCorrelationIsThatOfThePaper() {
        Agreement.Intraclass icc = Agreement.Intraclass.of(SHROUT_AND_FLEISS);
        assertThat(icc.value()).isCloseTo(0.29, within(0.005));
        // Lower and upper limits as published for ICC(2,1) of these data.
        assertThat(icc.interval95().orElseThrow().low()).isCloseTo(0.019, within(0.002));
        assertThat(icc.interval95().orElseThrow().high()).isCloseTo(0.761, within(0.002));
    }

    @Test
    void weightedKappaIsThatOfTheTableOfCounts() {
        double[] first = {0, 0, 1, 1, 2, 2, 3, 3, 3, 0};
        double[] second = {0, 1, 1, 1, 2, 3, 3, 3, 2, 0};
        double seen = 0;
        double chance = 0;
        int most = 3;
        for (int a = 0; a <= most; a++) {
            for (int b = 0; b <= most; b++) {
                double weight = Math.pow(a - b, 2) / (most * most);
                int i = a;
                int j = b;
                double both = java.util.stream.IntStream.range(0, 10)
                        .filter(unit -> first[unit] == i && second[unit] == j)
                        .count();
                double row = Arrays.stream(first).filter(value -> value == i).count();
                double column =
                        Arrays.stream(second).filter(value -> value == j).count();
                seen += weight * both / 10;
                chance += weight * row * column / 100;
            }
        }
        assertThat(of(first, second).kappa()).isCloseTo(1 - seen / chance, within(1e-12));
    }

    @Test
    void twoWhoAgreeInAllAreAtOneAndAShiftIsSeenInTheDifference() {
        double[] scores = {0, 2, 5, 7, 9, 3};
        Agreement same = of(scores, scores);
        assertThat(same.kappa()).isEqualTo(1);
        assertThat(same.icc()).isEqualTo(1);
        assertThat(same.difference()).isZero();
        Agreement shifted =
                of(scores, Arrays.stream(scores).map(score -> score + 1).toArray());
        assertThat(shifted.difference()).isEqualTo(1);
        assertThat(shifted.kappa()).isLessThan(1);
        assertThat(shifted.icc()).isLessThan(1);
    }

    @Test
    void whatCantBeToldIsRefused() {
        assertThat(Agreement.of(new double[] {1, 2}, new double[] {1, 2}).asOptional())
                .isEmpty();
        assertThat(Agreement.of(new double[] {4, 4, 4}, new double[] {4, 4, 4}).asOptional())
                .isEmpty();
    }

    @Test
    void theIntervalHoldsTheTruthAboutAsOftenAsItSays() {
        Random random = new Random(12);
        double truth = 4.0 / (4 + 1);
        int held = 0;
        int times = 400;
        for (int time = 0; time < times; time++) {
            double[] first = new double[30];
            double[] second = new double[30];
            for (int i = 0; i < 30; i++) {
                double unit = 2 * random.nextGaussian();
                first[i] = unit + random.nextGaussian();
                second[i] = unit + random.nextGaussian();
            }
            Agreement agreement = of(first, second);
            Interval icc = agreement.icc95().orElseThrow();
            held += icc.low() <= truth && truth <= icc.high() ? 1 : 0;
            Interval kappa = agreement.kappa95().orElseThrow();
            assertThat(agreement.kappa()).isBetween(kappa.low(), kappa.high());
        }
        assertThat(held / (double) times).isBetween(0.91, 0.99);
    }
}
