package elsom.core.dose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class OtherStockTest {
    /** By hand: 0.25 % of a stock of 6 % is 0.015 % of the active, and so is 0.06 % of one of 25 %. */
    @Test
    void asMuchOfTheActiveIsInLessOfAStrongerStock() {
        assertThat(OtherStock.sameActive(0.25, 6, 25)).isCloseTo(0.06, within(1e-12));
        assertThatThrownBy(() -> OtherStock.sameActive(0.25, 0, 25)).isInstanceOf(IllegalArgumentException.class);
    }
}
