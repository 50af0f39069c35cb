package elsom.core.practice;

import elsom.core.quantity.Bounds;

/**
 * How kind a bench is.
 *
 * @param effect what the thing asked about truly does, as a share of the comparator: 0.3 is 30 % more; for levels whose truth is
 *     drawn by lot it is what is done when something is
 * @param scatter standard deviation between units treated alike, on the log scale
 * @param gradient how much the light of the bright end lies above the middle, and that of the dark end below
 * @param dropOut share of units that are lost
 */
public record Setting(double effect, double scatter, double gradient, double dropOut) {
    public static final double MOST_EFFECT = 0.5;

    public Setting {
        Bounds.number("the effect", effect, -MOST_EFFECT, MOST_EFFECT);
        Bounds.number("the scatter", scatter, 0.01, 0.5);
        Bounds.number("the gradient", gradient, 0, 0.9);
        Bounds.number("the share lost", dropOut, 0, 0.5);
    }
}
