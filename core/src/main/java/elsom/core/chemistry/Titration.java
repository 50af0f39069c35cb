package elsom.core.chemistry;

import elsom.core.curve.MonotoneCubic;
import elsom.core.stats.Outcome;
import elsom.core.stats.StraightLine;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * pH against lime (or sulfur): a monotone cubic through the mean pH of each amount, read backwards for a dose. Amounts
 * in the unit they are given in, usually g/L.
 *
 * @param amounts distinct, rising
 * @param meanPh of each amount
 * @param line straight line through all jars, the linear buffer
 */
public record Titration(List<Double> amounts, List<Double> meanPh, MonotoneCubic curve, StraightLine line) {
    /** Where a target lies. */
    public enum Status {
        OK,
        ABOVE_RANGE,
        BELOW_RANGE
    }

    /** One jar. */
    public record Jar(double amount, double ph) {
        public Jar {
            if (!(amount >= 0) || Double.isInfinite(amount) || !(ph > 0 && ph < 14)) {
                throw new IllegalArgumentException(
                        "amount must be 0 or more and pH between 0 and 14, got " + amount + " and " + ph);
            }
        }
    }

    /** Fits jars; not estimable with fewer than two different amounts. */
    public static Outcome<Titration> of(List<Jar> jars) {
        Map<Double, Double> means = jars.stream()
                .collect(Collectors.groupingBy(Jar::amount, TreeMap::new, Collectors.averagingDouble(Jar::ph)));
        if (means.size() < 2) {
            return Outcome.notEstimable("Two different amounts are needed");
        }
        double[] x = means.keySet().stream().mapToDouble(Double::doubleValue).toArray();
        double[] y = means.values().stream().mapToDouble(Double::doubleValue).toArray();
        return StraightLine.fit(
                        jars.stream().mapToDouble(Jar::amount).toArray(),
                        jars.stream().mapToDouble(Jar::ph).toArray())
                .then(line -> Outcome.found(new Titration(
                        Arrays.stream(x).boxed().toList(),
                        Arrays.stream(y).boxed().toList(),
                        MonotoneCubic.through(x, y),
                        line)));
    }

    /** Whether the mean pH changes in one direction at every step. */
    public boolean monotone() {
        boolean rises = true;
        boolean falls = true;
        for (int i = 1; i < meanPh.size(); i++) {
            rises &= meanPh.get(i) > meanPh.get(i - 1);
            falls &= meanPh.get(i) < meanPh.get(i - 1);
        }
        return rises || falls;
    }

    /** Whether a target pH lies within the mean pH values that were measured. */
    public Status status(double targetPh) {
        double lowest = meanPh.stream().mapToDouble(Double::doubleValue).min().orElseThrow();
        double highest = meanPh.stream().mapToDouble(Double::doubleValue).max().orElseThrow();
        return targetPh > highest ? Status.ABOVE_RANGE : targetPh < lowest ? Status.BELOW_RANGE : Status.OK;
    }

    /** The smallest amount with the target pH on the curve; not estimable outside the tested range. */
    public Outcome<Double> dose(double targetPh) {
        return inRange(targetPh).then(target -> curve.firstWhere(target));
    }

    /**
     * The two tested amounts a target's dose lies between.
     *
     * @param unsure by how many pH the curve may be off between them: nothing where pH goes on as beside them, up to all of
     *     the rise where it jumps, since nobody looked where in between it does
     */
    public record Gap(double from, double phFrom, double to, double phTo, double unsure) {}

    /** The first gap that holds a target; not estimable outside the tested range. */
    public Outcome<Gap> gap(double targetPh) {
        return inRange(targetPh).then(target -> {
            for (int i = 0; i + 1 < meanPh.size(); i++) {
                if ((meanPh.get(i) - target) * (meanPh.get(i + 1) - target) <= 0) {
                    double alike = Math.min(likeness(i, i - 1), likeness(i, i + 1));
                    double unlike = Math.max(0, 1 - alike);
                    double rise = Math.abs(meanPh.get(i + 1) - meanPh.get(i));
                    return Outcome.found(new Gap(
                            amounts.get(i),
                            meanPh.get(i),
                            amounts.get(i + 1),
                            meanPh.get(i + 1),
                            unlike * unlike * rise));
                }
            }
            return Outcome.notEstimable("The target is not passed");
        });
    }

    /** How steep the step beside a gap is, of the gap's own steepness; as steep where there is none. */
    private double likeness(int gap, int beside) {
        if (beside < 0 || beside + 1 >= meanPh.size() || slope(gap) == 0) {
            return 1;
        }
        return slope(beside) / slope(gap);
    }

    private double slope(int gap) {
        return (meanPh.get(gap + 1) - meanPh.get(gap)) / (amounts.get(gap + 1) - amounts.get(gap));
    }

    /** The same on straight lines between the means. */
    public Outcome<Double> linearDose(double targetPh) {
        return inRange(targetPh).then(target -> {
            for (int i = 0; i < meanPh.size(); i++) {
                if (meanPh.get(i).equals(target)) {
                    return Outcome.found(amounts.get(i));
                }
                if (i + 1 < meanPh.size() && (meanPh.get(i) - target) * (meanPh.get(i + 1) - target) < 0) {
                    double share = (target - meanPh.get(i)) / (meanPh.get(i + 1) - meanPh.get(i));
                    return Outcome.found(amounts.get(i) + share * (amounts.get(i + 1) - amounts.get(i)));
                }
            }
            return Outcome.notEstimable("The target is not passed");
        });
    }

    private Outcome<Double> inRange(double targetPh) {
        return switch (status(targetPh)) {
            case OK -> Outcome.found(targetPh);
            case ABOVE_RANGE -> Outcome.notEstimable("Above every pH that was measured: test higher amounts");
            case BELOW_RANGE -> Outcome.notEstimable("Below every pH that was measured");
        };
    }
}
