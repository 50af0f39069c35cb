package elsom.web.practice;

import elsom.core.practice.Setting;
import org.jspecify.annotations.Nullable;

/**
 * How kind the free bench is, in percent, as its sliders send it; what is left out is as the level has it.
 *
 * @param effect −40 to 50
 */
record SettingForm(
        @Nullable Integer effect,
        @Nullable Integer scatter,
        @Nullable Integer gradient,
        @Nullable Integer dropOut) {
    private static final double PERCENT = 100;

    boolean isGiven() {
        return effect != null || scatter != null || gradient != null || dropOut != null;
    }

    Setting or(Setting usual) {
        return new Setting(
                share(effect, usual.effect(), -40, 50),
                share(scatter, usual.scatter(), 2, 50),
                share(gradient, usual.gradient(), 0, 80),
                share(dropOut, usual.dropOut(), 0, 40));
    }

    private static double share(@Nullable Integer percent, double usual, int least, int most) {
        return percent == null ? usual : Math.max(least, Math.min(most, percent)) / PERCENT;
    }
}
