package elsom.core.panel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;

class RankedPanelTest {
    /** By hand: four tasters rank three samples alike, sums 4, 8, 12: 12 · 224 ÷ (4 · 3 · 4) − 3 · 4 · 4 = 8, the most there can be. */
    @Test
    void isFriedmansStatistic() {
        RankedPanel panel = RankedPanel.of(List.of(
                List.of(1.0, 2.0, 3.0), List.of(2.0, 5.0, 9.0), List.of(1.0, 4.0, 6.0), List.of(3.0, 4.0, 5.0)));
        assertThat(panel.rankSums()).containsExactly(4.0, 8.0, 12.0);
        assertThat(panel.statistic()).isCloseTo(8, within(1e-9));
        // All four alike: 3! of 3!⁴ rankings.
        assertThat(panel.p()).isCloseTo(1 / 216.0, within(1e-12));
        assertThat(panel.counted()).isTrue();
        assertThat(panel.leastApart()).isCloseTo(2.3940 * Math.sqrt(8), within(1e-3));
    }

    /** Ties share their ranks: two tasters, one of whom can't part two of three; by hand (12 · 54.5 − 576) ÷ (24 − 3). */
    @Test
    void tiesShareTheirRanks() {
        RankedPanel panel = RankedPanel.of(List.of(List.of(1.0, 2.0, 2.0), List.of(1.0, 2.0, 3.0)));
        assertThat(panel.rankSums()).containsExactly(2.0, 4.5, 5.5);
        assertThat(panel.statistic()).isCloseTo((12 * 54.5 - 3 * 4 * 3 * 16) / (24 - 6 / 2.0), within(1e-9));
    }

    /** Three tasters, three samples: sums 4, 5, 9 (χ² 4.67) are reached or passed by 42 of 216 rankings (published tables: 0.194). */
    @Test
    void aSmallPanelIsCounted() {
        RankedPanel panel =
                RankedPanel.of(List.of(List.of(1.0, 2.0, 3.0), List.of(1.0, 2.0, 3.0), List.of(2.0, 1.0, 3.0)));
        assertThat(panel.rankSums()).containsExactly(4.0, 5.0, 9.0);
        assertThat(panel.p()).isCloseTo(42 / 216.0, within(1e-9));
    }

    @Test
    void aLargePanelIsByChiSquared() {
        List<Double> one = List.of(1.0, 2.0, 3.0, 4.0, 5.0, 6.0);
        RankedPanel panel = RankedPanel.of(Collections.nCopies(20, one));
        assertThat(panel.counted()).isFalse();
        assertThat(panel.p()).isLessThan(1e-9);
    }

    @Test
    void allTheSameSaysNothing() {
        RankedPanel same = RankedPanel.of(List.of(List.of(5.0, 5.0), List.of(5.0, 5.0)));
        assertThat(same.statistic()).isZero();
        assertThat(same.p()).isEqualTo(1);
        assertThatThrownBy(() -> RankedPanel.of(List.of(List.of(1.0, 2.0))))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
