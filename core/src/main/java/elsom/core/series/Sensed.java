package elsom.core.series;

import elsom.core.quantity.Bounds;
import elsom.core.quantity.Decimals;
import java.util.Locale;

/**
 * An endpoint of one thing at one depth: made of a sensor's series, one figure for each unit and look of the time since the
 * look before, or read there by hand.
 *
 * @param depthCm below the surface; 0 where there is no depth
 * @param limit in the unit of what is measured, for the time above it; 0 for the other summaries
 */
public record Sensed(Measurand what, double depthCm, SeriesSummary summary, double limit) {
    public Sensed {
        Bounds.present("what is measured", what);
        Bounds.number("a depth in cm", depthCm, 0, Channel.DEEPEST_CM);
        Bounds.present("what is made of it", summary);
        Bounds.number("a limit", limit, what.lowest(), what.highest());
    }

    /** "Mean EC at 10 cm", "Hours above 2.5 mS/cm EC". */
    public String name() {
        String at = depthCm > 0 ? " at " + Decimals.upTo(depthCm, 1) + " cm" : "";
        if (byHand()) {
            return what.label() + at + ", by hand";
        }
        String above = summary == SeriesSummary.HOURS_ABOVE
                ? " " + (Decimals.upTo(limit, 3) + " " + what.unit().symbol()).strip()
                : "";
        String word = what == Measurand.EC || what == Measurand.PH
                ? what.label()
                : what.label().substring(0, 1).toLowerCase(Locale.ROOT)
                        + what.label().substring(1);
        return summary.label() + above + " " + word + at;
    }

    /** How it is measured, in words. */
    public String rule() {
        return byHand()
                ? "With a hand probe" + (depthCm > 0 ? ", " + Decimals.upTo(depthCm, 1) + " cm below the surface" : "")
                        + ", one reading at the look, in the same place of each unit."
                : "From the sensor's file: " + summary.meaning() + " since the look before.";
    }

    /** Whether somebody reads it at the look; otherwise a file of a sensor tells it. */
    public boolean byHand() {
        return summary == SeriesSummary.BY_HAND;
    }

    /** Whether a series is the one this is made of. */
    public boolean isOf(Measurand other, double otherDepthCm) {
        return other == what && otherDepthCm == depthCm;
    }
}
