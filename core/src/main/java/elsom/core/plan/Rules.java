package elsom.core.plan;

import elsom.core.quantity.Bounds;

/**
 * How the trial is run.
 *
 * @param refillFraction the share of the water first held at which a unit is due for watering, 0 to 1
 * @param blind whether bench, labels and files show codes only until somebody unblinds the trial
 */
public record Rules(WateringSchool watering, double refillFraction, boolean blind) {
    public Rules {
        Bounds.present("the way of watering", watering);
        Bounds.number("the share at which a unit is watered", refillFraction, 0.01, 0.99);
    }

    public static final Rules USUAL = new Rules(WateringSchool.SAME_FOR_ALL, 0.5, false);
}
