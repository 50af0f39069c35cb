package elsom.core.design;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.TreeSet;

/** Levels of a dose: the control, then steps of one ratio, with the label's rate among them. */
public final class DoseSeries {
    /** Fewer levels than this hold no curve (OECD 208 asks for at least five). */
    public static final int FEWEST_FOR_A_CURVE = 5;

    private DoseSeries() {}

    /**
     * A control at 0, then a geometric series from lowest to highest. The label's rate takes the place of the nearest
     * level between the ends, or is added when it lies outside them.
     *
     * @param levels how many in all, the control counted; at least 3
     * @return ascending, distinct, to three significant digits
     */
    public static List<Double> geometric(double lowest, double highest, int levels, OptionalDouble labelRate) {
        if (!(lowest > 0) || !(highest > lowest) || levels < 3) {
            throw new IllegalArgumentException(
                    "a series runs from a dose above 0 to a higher one over at least 3 levels," + " got " + lowest
                            + ", " + highest + ", " + levels);
        }
        int steps = levels - 2;
        List<Double> doses = new ArrayList<>();
        for (int i = 0; i <= steps; i++) {
            doses.add(threeDigits(lowest * Math.pow(highest / lowest, i / (double) steps)));
        }
        if (labelRate.isPresent() && !doses.contains(labelRate.getAsDouble())) {
            double label = labelRate.getAsDouble();
            if (label > lowest && label < highest && steps > 1) {
                doses.set(nearestInside(doses, label), label);
            } else {
                doses.add(label);
            }
        }
        TreeSet<Double> sorted = new TreeSet<>(doses);
        sorted.add(0.0);
        return List.copyOf(sorted);
    }

    private static int nearestInside(List<Double> doses, double label) {
        int nearest = 1;
        for (int i = 1; i < doses.size() - 1; i++) {
            if (Math.abs(Math.log(doses.get(i) / label)) < Math.abs(Math.log(doses.get(nearest) / label))) {
                nearest = i;
            }
        }
        return nearest;
    }

    private static double threeDigits(double dose) {
        return BigDecimal.valueOf(dose).round(new MathContext(3)).doubleValue();
    }
}
