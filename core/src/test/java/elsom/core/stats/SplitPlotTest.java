package elsom.core.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.stats.Factorial.Factor;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Two blocks, two whole plots in each, two parts in each whole plot; squares worked out by hand. */
class SplitPlotTest {
    private static final Factor BLOCK = new Factor("block", List.of("1", "1", "1", "1", "2", "2", "2", "2"));
    private static final Factor SHADE =
            new Factor("shade", List.of("no", "no", "yes", "yes", "no", "no", "yes", "yes"));
    private static final Factor FEED = new Factor("feed", List.of("0", "1", "0", "1", "0", "1", "0", "1"));

    @Test
    void wholePlotsAreJudgedByWhatWholePlotsDifferBy() {
        // Plot means: 11, 16 in block 1; 13, 20 in block 2. Block means 13.5, 16.5; shade means 12, 18; all 15.
        double[] y = {10, 12, 14, 18, 12, 14, 17, 23};
        SplitPlot split = SplitPlot.of(y, BLOCK, true, SHADE, FEED).asOptional().orElseThrow();
        assertThat(split.block().orElseThrow().squares()).isCloseTo(18, within(1e-9));
        assertThat(split.whole().squares()).isCloseTo(72, within(1e-9));
        // Plots less blocks less shade: 2·((11−15)²+1+(13−15)²+25) = 92, less 18 and 72.
        assertThat(split.wholeError().squares()).isCloseTo(2, within(1e-9));
        assertThat(split.wholeError().df()).isEqualTo(1);
        assertThat(split.whole().f().orElseThrow()).isCloseTo(36, within(1e-9));
        // Feed: means 13.25 and 16.75, so 8 · 1.75².
        assertThat(split.sub().squares()).isCloseTo(24.5, within(1e-9));
        // Gains 2, 4 and 2, 6: shade no 2, yes 5, all 3.5; 4 · 1.5² / 2 ... within plots Σ(gain/2)²·2 = 30 in all.
        assertThat(split.sub().squares()
                        + split.interaction().squares()
                        + split.subError().squares())
                .isCloseTo(30, within(1e-9));
        assertThat(split.interaction().squares()).isCloseTo(4.5, within(1e-9));
        assertThat(split.subError().squares()).isCloseTo(1, within(1e-9));
        assertThat(split.subError().df()).isEqualTo(2);
    }

    @Test
    void withoutReplicatesOfWholePlotsNothingIsJudged() {
        Factor one = new Factor("block", List.of("1", "1", "1", "1"));
        assertThat(SplitPlot.of(
                                new double[] {1, 2, 3, 5},
                                one,
                                true,
                                new Factor("shade", SHADE.values().subList(0, 4)),
                                new Factor("feed", FEED.values().subList(0, 4)))
                        .whyNot())
                .isPresent();
    }
}
