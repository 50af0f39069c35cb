package elsom.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.analysis.Together.Pair;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class TogetherTest {
    /** Two treatments far apart in both, but within each the one falls as the other rises. */
    @Test
    void whatTreatmentsMoveIsNoCorrelation() {
        List<Pair> pairs = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            pairs.add(new Pair(1, i, 10 - i));
            pairs.add(new Pair(2, 100 + i, 110 - i));
        }
        assertThat(Together.of(pairs).orElseThrow().r()).isCloseTo(-1, within(1e-12));
    }

    /**
     * One treatment: Anscombe's first set (1973), Am. Stat. 27:17–21, r 0.81642; Fisher's interval with 11 − 3 by hand is tanh
     * (1.1461 ± 1.95996/√8).
     */
    @Test
    void isPearsonsWithFishersInterval() {
        double[] x = {10, 8, 13, 9, 11, 14, 6, 4, 12, 7, 5};
        double[] y = {8.04, 6.95, 7.58, 8.81, 8.33, 9.96, 7.24, 4.26, 10.84, 4.82, 5.68};
        List<Pair> pairs = new ArrayList<>();
        for (int i = 0; i < x.length; i++) {
            pairs.add(new Pair(1, x[i], y[i]));
        }
        Together together = Together.of(pairs).orElseThrow();
        assertThat(together.way()).isEqualTo(Together.Way.TOGETHER);
        assertThat(together.r()).isCloseTo(0.81642, within(1e-5));
        assertThat(together.interval95().orElseThrow().low()).isCloseTo(0.4244, within(1e-3));
        assertThat(together.interval95().orElseThrow().high()).isCloseTo(0.9507, within(1e-3));
    }

    @Test
    void aWeakOrUnsureTieIsNotShown() {
        List<Pair> few = List.of(new Pair(1, 1, 1), new Pair(1, 2, 3), new Pair(1, 3, 2), new Pair(1, 4, 4));
        assertThat(Together.of(few).orElseThrow().way()).isEqualTo(Together.Way.NOT_SHOWN);
    }

    @Test
    void saysNothingOfWhatDoesNotDiffer() {
        assertThat(Together.of(List.of(new Pair(1, 3, 1), new Pair(1, 3, 2)))).isEmpty();
        assertThat(Together.of(List.of())).isEmpty();
    }
}
