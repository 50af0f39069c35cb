package elsom.core.stats;

import java.util.ArrayList;
import java.util.List;
import org.apache.commons.statistics.distribution.TDistribution;

/** Each treatment against one control, with simultaneous intervals (Dunnett 1955). */
public final class Dunnett {
    private Dunnett() {}

    /**
     * One treatment; the difference is treatment less control.
     *
     * @param pRaw not adjusted
     * @param pTwoSided adjusted
     * @param pLess adjusted, for a treatment below the control
     * @param pGreater adjusted, for a treatment above the control
     */
    public record Comparison(
            String treatment,
            double difference,
            double error,
            double t,
            double pRaw,
            double pTwoSided,
            double pLess,
            double pGreater,
            Interval interval) {}

    /** All comparisons, with the critical values they share. */
    public record Compared(
            double meanSquareError,
            int df,
            double criticalTwoSided,
            double criticalOneSided,
            List<Comparison> comparisons) {}

    /**
     * Compares.
     *
     * @param alpha the level that holds for all comparisons together
     */
    public static Outcome<Compared> compare(Group control, List<Group> treatments, double alpha) {
        List<Group> all = new ArrayList<>(treatments);
        all.add(0, control);
        OneWay design = OneWay.of(all);
        if (design.meanSquareError().isEmpty() || !(design.meanSquareError().getAsDouble() > 0)) {
            return Outcome.notEstimable("Nothing scatters within the groups, so there is nothing to judge by");
        }
        double mse = design.meanSquareError().getAsDouble();
        int df = design.dfWithin();
        MaximumT maximum =
                MaximumT.of(control.n(), treatments.stream().mapToInt(Group::n).toArray(), df);
        double critical = maximum.twoSidedQuantile(alpha);
        List<Comparison> comparisons = treatments.stream()
                .map(group -> {
                    double difference = group.mean() - control.mean();
                    double error = Math.sqrt(mse * (1.0 / group.n() + 1.0 / control.n()));
                    double t = difference / error;
                    return new Comparison(
                            group.name(),
                            difference,
                            error,
                            t,
                            2 * TDistribution.of(df).survivalProbability(Math.abs(t)),
                            maximum.twoSided(t),
                            maximum.oneSided(-t),
                            maximum.oneSided(t),
                            new Interval(difference - critical * error, difference + critical * error));
                })
                .toList();
        return Outcome.found(new Compared(mse, df, critical, maximum.oneSidedQuantile(alpha), comparisons));
    }
}
