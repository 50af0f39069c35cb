package elsom.core.seedling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HalfLivesTest {
    @ParameterizedTest
    @CsvSource({"7, 14, 14, 0.25, 0.5", "2, 2, 6, 0.125, 0.125", "10, 40, 0, 1, 1"})
    void eachHalfLifeLeavesHalf(double shortest, double longest, double days, double least, double most) {
        HalfLives.Left left = new HalfLives(shortest, longest).after(days);
        assertThat(left.least()).isCloseTo(least, within(1e-12));
        assertThat(left.most()).isCloseTo(most, within(1e-12));
    }

    @Test
    void theBandNarrowsNeverAndFallsAlways() {
        HalfLives usual = HalfLives.USUAL;
        for (int day = 0; day < 60; day++) {
            assertThat(usual.after(day).least())
                    .isLessThanOrEqualTo(usual.after(day).most());
            assertThat(usual.after(day + 1).most()).isLessThan(usual.after(day).most());
        }
    }

    @Test
    void halfLivesOutOfOrderAreRefused() {
        assertThatThrownBy(() -> new HalfLives(0, 3)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new HalfLives(5, 3)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new HalfLives(5, 1e9)).isInstanceOf(IllegalArgumentException.class);
    }
}
