package elsom.core.stats;

import java.util.Map;
import java.util.TreeMap;

/**
 * The largest of several t statistics that share a control and a standard deviation: Dunnett's (1955) multivariate t,
 * whose correlations are products λiλj, so that two integrals give it exactly for any group sizes. The inner one depends
 * on t·s alone and is tabulated; both are of tails, so that small probabilities keep their digits.
 */
public final class MaximumT {
    private final Map<Double, Integer> lambdas;
    private final double widest;
    private final double narrowest;
    private final Quadrature.Scale scale;
    private final TabulatedTail either = new TabulatedTail(a -> beyond(a, true));
    private final TabulatedTail above = new TabulatedTail(a -> beyond(a, false));

    /** Treatments of equal size share a λ, and its normal probabilities. */
    private MaximumT(Map<Double, Integer> lambdas, double df) {
        this.lambdas = lambdas;
        this.widest = lambdas.keySet().stream().mapToDouble(l -> l).max().orElse(0);
        this.narrowest = Math.sqrt(1 - widest * widest);
        this.scale = Quadrature.Scale.of(df);
    }

    /**
     * The distribution.
     *
     * @param control units of the control
     * @param treatments units of each treatment
     * @param df degrees of freedom of the shared standard deviation, above 0
     */
    public static MaximumT of(int control, int[] treatments, double df) {
        if (control < 1 || treatments.length < 1 || !(df > 0)) {
            throw new IllegalArgumentException("a control, a treatment and df above 0 are needed");
        }
        Map<Double, Integer> lambdas = new TreeMap<>();
        for (int n : treatments) {
            lambdas.merge(Math.sqrt(n / (double) (n + control)), 1, Integer::sum);
        }
        return new MaximumT(lambdas, df);
    }

    /** P(max |T| > t). */
    public double twoSided(double t) {
        return Math.min(1, scale.mean(s -> either.at(Math.abs(t) * s)));
    }

    /** P(max T > t). */
    public double oneSided(double t) {
        return Math.min(1, scale.mean(s -> above.at(t * s)));
    }

    /** P(one of the normals lies beyond a), over what they share with the control. */
    private double beyond(double a, boolean eitherSide) {
        double reach = Quadrature.FURTHEST + Math.max(0, a) * widest;
        int panels = (int) Math.min(400, Math.ceil(2 * reach / Math.min(1.4, 4 * narrowest)));
        return Quadrature.integrate(
                z -> {
                    double none = 0;
                    for (Map.Entry<Double, Integer> group : lambdas.entrySet()) {
                        double lambda = group.getKey();
                        double own = Math.sqrt(1 - lambda * lambda);
                        double beyond = Quadrature.NORMAL.survivalProbability((a + lambda * z) / own)
                                + (eitherSide ? Quadrature.NORMAL.survivalProbability((a - lambda * z) / own) : 0);
                        none += group.getValue() * Math.log1p(-Math.min(1, beyond));
                    }
                    return Quadrature.NORMAL.density(z) * -Math.expm1(none);
                },
                -reach,
                reach,
                panels);
    }

    /** The t that max |T| exceeds with this probability. */
    public double twoSidedQuantile(double probability) {
        return Quadrature.quantile(this::twoSided, probability, 0, 1e-11);
    }

    /** The t that max T exceeds with this probability. */
    public double oneSidedQuantile(double probability) {
        return Quadrature.quantile(this::oneSided, probability, -1, 1e-11);
    }
}
