package elsom.web.practice;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.practice.Levels;
import elsom.core.practice.Setting;
import org.junit.jupiter.api.Test;

/** The sliders of the free bench. */
class SettingFormTest {
    private static final Setting USUAL = Levels.free().setting();

    @Test
    void whatIsLeftOutIsAsTheLevelHasIt() {
        SettingForm none = new SettingForm(null, null, null, null);
        assertThat(none.isGiven()).isFalse();
        assertThat(none.or(USUAL)).isEqualTo(USUAL);
    }

    @Test
    void slidersArePercentAndKeptWithinTheirEnds() {
        Setting set = new SettingForm(-25, 99, 40, -5).or(USUAL);
        assertThat(set).isEqualTo(new Setting(-0.25, 0.5, 0.4, 0));
    }
}
