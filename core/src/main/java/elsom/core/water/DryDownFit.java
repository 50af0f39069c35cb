package elsom.core.water;

import elsom.core.curve.LeastSquaresFit;
import elsom.core.stats.Interval;
import elsom.core.stats.Outcome;
import java.util.Optional;

/** A fitted dry-down curve. Masses in g, times in h. */
public sealed interface DryDownFit permits ExponentialDryDown, TwoStageDryDown {
    /** The fitted mass at a time. */
    double massAt(double hours);

    /** The time at which the fitted mass falls to a trigger; 0 if it starts at or below it. */
    Outcome<Crossing> timeTo(double triggerGrams);

    LeastSquaresFit fit();

    /**
     * When a mass is crossed.
     *
     * @param standardError of the hours; empty at time 0 and where none is defined
     * @param interval95 by Student's t on the hours
     */
    record Crossing(double hours, Optional<Double> standardError, Optional<Interval> interval95) {}
}
