package elsom.core.results;

import elsom.core.figure.FigureKind;
import elsom.core.trial.Look;
import elsom.core.trial.UnitCode;
import java.util.Map;

/**
 * What an endpoint is judged by when its readings alone say little: water by volume instead of the weight of a pot.
 *
 * @param kind what it is called, and its unit
 * @param perReading how much of it one unit of the endpoint is, for margins that are given in the endpoint's unit
 * @param resolution the step that a reading's last digit makes in it
 * @param values of each unit that has one, at each look
 */
public record Derived(FigureKind kind, double perReading, double resolution, Map<Look, Map<UnitCode, Double>> values) {
    public Derived {
        values = Map.copyOf(values);
    }
}
