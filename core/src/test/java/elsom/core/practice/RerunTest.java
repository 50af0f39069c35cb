package elsom.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.design.RandomDraw;
import java.util.List;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.junit.jupiter.api.Test;

class RerunTest {
    private static final Level FREE = Levels.free();

    private static Rerun.Tally tally(Setting setting, Trialled plan, int runs) {
        return new Rerun(FREE, FREE.truth(setting, 5), setting, plan).times(runs, 11);
    }

    @Test
    void moreUnitsTellMoreOften() {
        Setting setting = new Setting(0.3, 0.2, 0, 0);
        Trialled few = FREE.fair().units(3);
        Trialled many = FREE.fair().units(12);
        assertThat(tally(setting, many, 300).right())
                .isGreaterThan(tally(setting, few, 300).right() + 60);
    }

    /** Two-sample t with 12 of each, CV 0.2 on the log scale: power at 30 % is a normal tail, nearly. */
    @Test
    void howOftenItTellsAgreesWithThePowerOfATTest() {
        Setting setting = new Setting(0.3, 0.2, 0, 0);
        Rerun.Tally told = tally(setting, FREE.fair().placed(Trialled.Placing.BY_LOT), 2000);
        double n = 12;
        double distance = Math.log(1.3) / (0.2 * Math.sqrt(2 / n));
        double power = NormalDistribution.of(0, 1).survivalProbability(2.074 - distance);
        assertThat(told.share(told.right())).isEqualTo(power, within(0.05));
        assertThat(told.bias().orElseThrow()).isEqualTo(0, within(1.5));
    }

    @Test
    void aSideEachIsOffByWhatTheLightDoesAndBlocksAreNot() {
        Setting setting = new Setting(0, 0.12, 0.6, 0);
        Rerun.Tally sides = tally(setting, FREE.fair().placed(Trialled.Placing.SIDE_BY_SIDE), 300);
        Rerun.Tally blocks = tally(setting, FREE.fair(), 300);
        assertThat(sides.bias().orElseThrow()).isLessThan(-15);
        assertThat(blocks.bias().orElseThrow()).isEqualTo(0, within(1.5));
        assertThat(sides.biased(true)).isTrue();
        assertThat(blocks.biased(true)).isFalse();
        assertThat(sides.wrong()).isGreaterThan(150);
        assertThat(blocks.wrong()).isLessThan(30);
    }

    @Test
    void theBestOfManyAreFarAboveAll() {
        Setting setting = new Setting(0, 0.2, 0, 0);
        Rerun.Tally best = tally(
                setting,
                Trialled.of(20, Trialled.Placing.BY_LOT, 28, "mix a", "mix b").best(5),
                300);
        assertThat(best.bias().orElseThrow()).isBetween(20.0, 40.0);
    }

    @Test
    void oneUnitOfEachNeverTells() {
        Rerun.Tally tally = tally(FREE.setting(), FREE.fair().units(1), 50);
        assertThat(tally.cantTell()).isEqualTo(50);
    }

    @Test
    void theSameSeedGivesTheSameBench() {
        Setting setting = FREE.setting();
        assertThat(tally(setting, FREE.fair(), 50)).isEqualTo(tally(setting, FREE.fair(), 50));
        RandomDraw draw = new RandomDraw(42);
        // SplitMix64 and the polar method by hand, so that another JDK can't change a bench unnoticed.
        assertThat(List.of(draw.below(1000), draw.below(1000), draw.below(1000)))
                .isEqualTo(List.of(31, 556, 481));
        assertThat(new RandomDraw(42).deviate()).isEqualTo(0.31144819489679865, within(1e-12));
    }

    /** 1,000 reruns of six treatments in five units; the figure for the limits of bin/run is in the methods. */
}
