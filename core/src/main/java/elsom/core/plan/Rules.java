package elsom.core.plan;

import elsom.core.quantity.Bounds;
import org.jspecify.annotations.Nullable;

/**
 * How the trial is run.
 *
 * @param refillFraction the share of the water first held at which a unit is due for watering, 0 to 1
 * @param blind whether bench, labels and files show codes only until somebody unblinds the trial
 * @param ending null where it runs to its last look
 */
public record Rules(
        WateringSchool watering,
        double refillFraction,
        boolean blind,
        @Nullable Ending ending) {
    /** How a trial may end before its last look. */
    public enum Ending {
        /** As soon as an answer is clear by a limit that is stricter the earlier it is. */
        WHEN_CLEAR
    }

    public Rules {
        Bounds.present("the way of watering", watering);
        Bounds.number("the share at which a unit is watered", refillFraction, 0.01, 0.99);
    }

    /** Of a trial that runs to its last look. */
    public Rules(WateringSchool watering, double refillFraction, boolean blind) {
        this(watering, refillFraction, blind, null);
    }

    public boolean mayEndEarly() {
        return ending != null;
    }

    public static final Rules USUAL = new Rules(WateringSchool.SAME_FOR_ALL, 0.5, false);
}
