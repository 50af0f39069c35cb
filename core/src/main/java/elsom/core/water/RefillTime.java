package elsom.core.water;

import elsom.core.stats.Outcome;
import java.util.List;

/**
 * When one unit falls to its refill weight.
 *
 * @param hours since the end of drainage
 * @param extrapolated true when it lies after the last weighing
 * @param method how it was found
 */
public record RefillTime(double hours, boolean extrapolated, Method method) {
    /** How far past the last weighing a curve is trusted, as a multiple of the time weighed. */
    public static final double FURTHEST = 2;

    /** A curve is used only while it misses the weighings by less than this share of the water first held. */
    private static final double LARGEST_MISFIT = 0.05;

    /** How the time was found. */
    public enum Method {
        CURVE("exponential dry-down curve through this unit's weighings"),
        STRAIGHT_LINE("straight line between the weighings before and after");

        private final String label;

        Method(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /**
     * The time from the fitted curve; where the points don't hold one, from the weighings on both sides.
     *
     * @param refillShare the share of the water first held
     */
    public static Outcome<RefillTime> of(Gravimetry unit, double refillShare) {
        return unit.refillWeightG(refillShare).then(trigger -> {
            Outcome<ExponentialDryDown> curve = trusted(unit);
            return curve.asOptional().isPresent()
                    ? curve.then(c -> onCurve(c, trigger, unit.wet()))
                    : onStraightLines(unit.wet(), trigger);
        });
    }

    /** The unit's dry-down curve, if it follows the weighings closely enough to be read off. */
    public static Outcome<ExponentialDryDown> trusted(Gravimetry unit) {
        return DryDown.exponential(unit.wet()).then(curve -> {
            double held = unit.heldMl().asOptional().orElseThrow();
            double misfit = Math.sqrt(curve.fit().residualVariance());
            return misfit <= LARGEST_MISFIT * held
                    ? Outcome.found(curve)
                    : Outcome.notEstimable("The weighings do not follow an exponential curve");
        });
    }

    private static Outcome<RefillTime> onCurve(ExponentialDryDown curve, double trigger, List<TimedMass> wet) {
        double last = wet.get(wet.size() - 1).hours();
        return curve.timeTo(trigger)
                .then(crossing -> crossing.hours() <= FURTHEST * last
                        ? Outcome.found(new RefillTime(crossing.hours(), crossing.hours() > last, Method.CURVE))
                        : Outcome.notEstimable("Far beyond the last weighing; weigh for longer"));
    }

    private static Outcome<RefillTime> onStraightLines(List<TimedMass> wet, double trigger) {
        return DryDown.interpolatedTimeTo(wet, trigger)
                .then(hours -> Outcome.found(new RefillTime(hours, false, Method.STRAIGHT_LINE)));
    }
}
