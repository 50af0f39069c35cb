package elsom.core.stats;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.DoubleUnaryOperator;
import java.util.function.ToDoubleFunction;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * The largest of several t statistics that share a standard deviation: Dunnett's (1955) multivariate t. Those compared
 * with the same control have correlations that are products λiλj, so that two integrals give it exactly for any group
 * sizes; those with different controls are taken as independent, which is exact in complete layouts and on the safe side
 * elsewhere (Šidák 1967). The inner integral depends on t·s alone and is tabulated; both are of tails, so that small
 * probabilities keep their digits.
 */
public final class MaximumT {
    private final List<SharedControl> controls;
    private final int treatments;
    private final double df;
    private final Quadrature.Scale scale;

    private MaximumT(List<SharedControl> controls, double df) {
        this.controls = controls;
        this.treatments = controls.stream()
                .mapToInt(control -> control.treatments * control.alike)
                .sum();
        this.df = df;
        this.scale = Quadrature.Scale.ofCentral(df);
    }

    /**
     * The distribution for one control.
     *
     * @param control units of the control
     * @param treatments units of each treatment
     * @param df degrees of freedom of the shared standard deviation, above 0
     */
    public static MaximumT of(int control, int[] treatments, double df) {
        if (control < 1) {
            throw new IllegalArgumentException("a control, a treatment and df above 0 are needed");
        }
        return of(
                List.of(Arrays.stream(treatments)
                        .mapToDouble(n -> Math.sqrt(n / (double) (n + control)))
                        .toArray()),
                df);
    }

    /**
     * The distribution for several controls.
     *
     * @param lambdas of the treatments compared with each control, 0 to below 1: two of them correlate by their product
     * @param df degrees of freedom of the shared standard deviation, above 0
     */
    public static MaximumT of(List<double[]> lambdas, double df) {
        if (lambdas.isEmpty() || lambdas.stream().anyMatch(each -> each.length < 1) || !(df > 0)) {
            throw new IllegalArgumentException("a control, a treatment and df above 0 are needed");
        }
        Map<Map<Double, Integer>, Integer> families = new LinkedHashMap<>();
        for (double[] family : lambdas) {
            Map<Double, Integer> counted = new TreeMap<>();
            for (double lambda : family) {
                counted.merge(lambda, 1, Integer::sum);
            }
            families.merge(counted, 1, Integer::sum);
        }
        return new MaximumT(
                families.entrySet().stream()
                        .map(family -> new SharedControl(family.getKey(), family.getValue()))
                        .toList(),
                df);
    }

    /** The same comparisons with another standard deviation; what is tabulated is shared. */
    public MaximumT with(double otherDf) {
        return otherDf == df ? this : new MaximumT(controls, otherDf);
    }

    /** P(max |T| > t). */
    public double twoSided(double t) {
        return Math.min(1, scale.mean(s -> any(control -> control.either.at(Math.abs(t) * s))));
    }

    /** P(max T > t). */
    public double oneSided(double t) {
        return Math.min(1, scale.mean(s -> any(control -> control.above.at(t * s))));
    }

    private double any(ToDoubleFunction<SharedControl> tail) {
        if (controls.size() == 1 && controls.get(0).alike == 1) {
            return tail.applyAsDouble(controls.get(0));
        }
        double none = 0;
        for (SharedControl control : controls) {
            none += control.alike * Math.log1p(-Math.min(1, tail.applyAsDouble(control)));
        }
        return -Math.expm1(none);
    }

    /** The t that max |T| exceeds with this probability. */
    public double twoSidedQuantile(double probability) {
        return between(this::twoSided, probability, probability / 2);
    }

    /** The t that max T exceeds with this probability. */
    public double oneSidedQuantile(double probability) {
        return between(this::oneSided, probability, probability);
    }

    /** More than for one treatment alone, less than for each by itself (Bonferroni). */
    private double between(DoubleUnaryOperator tail, double probability, double oneSide) {
        TDistribution t = TDistribution.of(df);
        return Quadrature.quantile(
                tail,
                probability,
                t.inverseSurvivalProbability(oneSide),
                t.inverseSurvivalProbability(oneSide / treatments),
                1e-11);
    }

    /** Treatments compared with one control; those of equal size share a λ, and its normal probabilities. */
    private static final class SharedControl {
        /** Equal steps keep all digits of what is smooth and falls off at both ends. */
        private static final double WIDEST_STEP = 0.3;

        private static final int MOST_STEPS = 3000;

        private final double[] lambdas;
        private final int[] times;
        private final int treatments;
        private final int alike;
        private final double widest;
        private final double narrowest;
        private final TabulatedTail either = new TabulatedTail(a -> beyond(a, true));
        private final TabulatedTail above = new TabulatedTail(a -> beyond(a, false));

        SharedControl(Map<Double, Integer> lambdas, int alike) {
            this.lambdas = lambdas.keySet().stream().mapToDouble(l -> l).toArray();
            this.times = lambdas.values().stream().mapToInt(n -> n).toArray();
            this.treatments = Arrays.stream(times).sum();
            this.alike = alike;
            this.widest = Arrays.stream(this.lambdas).max().orElse(0);
            this.narrowest = Math.sqrt(1 - widest * widest);
        }

        /** P(one of the normals lies beyond a), over what they share with the control. */
        private double beyond(double a, boolean eitherSide) {
            double reach = Quadrature.FURTHEST + Math.max(0, a) * widest;
            double step = Math.max(reach / MOST_STEPS, Math.min(WIDEST_STEP, WIDEST_STEP * narrowest));
            int steps = (int) Math.ceil(reach / step);
            // Either side, what lies beyond is the same for z and −z.
            double sum = some(a, 0, eitherSide) * (eitherSide ? 0.5 : 1);
            for (int i = 1; i <= steps; i++) {
                sum += some(a, i * step, eitherSide) + (eitherSide ? 0 : some(a, -i * step, false));
            }
            return sum * step * (eitherSide ? 2 : 1);
        }

        private double some(double a, double z, boolean eitherSide) {
            double none = 0;
            for (int i = 0; i < lambdas.length; i++) {
                double own = Math.sqrt(1 - lambdas[i] * lambdas[i]);
                double beyond = Quadrature.NORMAL.survivalProbability((a + lambdas[i] * z) / own)
                        + (eitherSide ? Quadrature.NORMAL.survivalProbability((a - lambdas[i] * z) / own) : 0);
                none += times[i] * Math.log1p(-Math.min(1, beyond));
            }
            return Quadrature.NORMAL.density(z) * -Math.expm1(none);
        }
    }
}
