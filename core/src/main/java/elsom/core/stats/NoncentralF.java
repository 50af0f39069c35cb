package elsom.core.stats;

import org.apache.commons.numbers.gamma.LogGamma;
import org.apache.commons.numbers.gamma.RegularizedBeta;

/** The noncentral F distribution as a Poisson mixture of beta distributions (Johnson, Kotz & Balakrishnan 1995). */
public final class NoncentralF {
    private static final double NEGLIGIBLE = 1e-17;
    private static final int MOST_TERMS = 100_000;

    private NoncentralF() {}

    /** P(F > f). */
    public static double survival(double f, double df1, double df2, double noncentrality) {
        double half = noncentrality / 2;
        double x = df1 * f / (df1 * f + df2);
        int middle = (int) Math.floor(half);
        double sum = 0;
        for (int j = middle; j < middle + MOST_TERMS; j++) {
            double weight = poisson(j, half);
            sum += weight * RegularizedBeta.complement(x, df1 / 2 + j, df2 / 2);
            if (weight < NEGLIGIBLE) {
                break;
            }
        }
        for (int j = middle - 1; j >= 0; j--) {
            double weight = poisson(j, half);
            sum += weight * RegularizedBeta.complement(x, df1 / 2 + j, df2 / 2);
            if (weight < NEGLIGIBLE) {
                break;
            }
        }
        return Math.min(1, sum);
    }

    private static double poisson(int count, double mean) {
        return mean == 0 ? count == 0 ? 1 : 0 : Math.exp(count * Math.log(mean) - mean - LogGamma.value(count + 1.0));
    }
}
