package elsom.core.column;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.water.RetentionCurve;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FittedMediumTest {
    private static FittedMedium.Held held(RetentionCurve truth, double depth) {
        return new FittedMedium.Held(depth, FittedMedium.water(truth, depth));
    }

    /** What two depths of a known medium hold gives that medium back, and so what a third depth holds. */
    @ParameterizedTest
    @CsvSource({"0.05,1.8", "0.15,2.2", "0.4,1.5", "0.08,3.0"})
    void twoDepthsOfAKnownMediumGiveItBack(double alpha, double n) {
        RetentionCurve truth = new RetentionCurve(0.12 * 0.85, 0.85, alpha, n);
        RetentionCurve found = FittedMedium.twoHeights(held(truth, 6), held(truth, 18), 0.85)
                .asOptional()
                .orElseThrow();
        assertThat(found.alphaPerCm()).isCloseTo(alpha, within(alpha * 1e-3));
        assertThat(found.n()).isCloseTo(n, within(n * 1e-3));
        assertThat(FittedMedium.water(found, 30)).isCloseTo(FittedMedium.water(truth, 30), within(1e-4));
    }

    @Test
    void theOrderOfTheTwoDoesNotMatter() {
        RetentionCurve truth = new RetentionCurve(0.1, 0.85, 0.1, 2);
        assertThat(FittedMedium.twoHeights(held(truth, 18), held(truth, 6), 0.85))
                .isEqualTo(FittedMedium.twoHeights(held(truth, 6), held(truth, 18), 0.85));
    }

    @Test
    void oneDepthGivesTheTypicalMediumThatHoldsAsMuch() {
        RetentionCurve truth = TypicalMedium.of(0.4);
        RetentionCurve found = FittedMedium.oneHeight(held(truth, 10), truth.saturated())
                .asOptional()
                .orElseThrow();
        assertThat(FittedMedium.water(found, 10)).isCloseTo(FittedMedium.water(truth, 10), within(1e-5));
        assertThat(FittedMedium.water(found, 25)).isCloseTo(FittedMedium.water(truth, 25), within(1e-5));
    }

    @Test
    void whatCantBeIsRefusedWithTheReason() {
        FittedMedium.Held shallow = new FittedMedium.Held(6, 0.5);
        assertThat(FittedMedium.twoHeights(shallow, new FittedMedium.Held(7, 0.45), 0.8)
                        .whyNot()
                        .orElseThrow())
                .contains("too alike");
        assertThat(FittedMedium.twoHeights(shallow, new FittedMedium.Held(18, 0.6), 0.8)
                        .whyNot()
                        .orElseThrow())
                .contains("not drained to the end");
        assertThat(FittedMedium.twoHeights(shallow, new FittedMedium.Held(18, 0.4), 0.45)
                        .whyNot()
                        .orElseThrow())
                .contains("Pores");
        assertThat(FittedMedium.twoHeights(shallow, new FittedMedium.Held(18, 0.02), 0.8)
                        .whyNot())
                .isPresent();
    }
}
