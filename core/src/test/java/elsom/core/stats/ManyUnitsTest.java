package elsom.core.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Benches of hundreds of units are judged by forms that need no counting. */
class ManyUnitsTest {
    private final Random random = new Random(7);

    private List<Double> values(int n) {
        return IntStream.range(0, n).mapToObj(i -> random.nextGaussian()).toList();
    }

    @Test
    void theDeadOfSixHundredUnits() {
        WorstRank ranked = WorstRank.of(values(300), 0, values(290), 10, true);
        assertThat(ranked.pExact()).isEqualTo(ranked.pNormalContinuity().orElseThrow());
        assertThat(ranked.pExactBetter() + ranked.pExactWorse()).isCloseTo(1, within(1e-9));
    }

    @Test
    void timesOfManyUnitsThatAllDiffer() {
        LogRank test = LogRank.of(IntStream.range(0, 120)
                .mapToObj(i -> new LogRank.Timed(i % 2 == 0, "", 5 + random.nextDouble(), true))
                .toList());
        assertThat(test.pExact()).isEmpty();
        assertThat(test.p()).isEqualTo(test.pChi2().orElseThrow());
    }
}
