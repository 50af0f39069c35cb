package elsom.core.analysis;

import elsom.core.stats.Outcome;
import java.util.Arrays;
import java.util.List;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.SingularValueDecomposition;

/**
 * Treatments may scatter alike or each by itself, and at a bench's few units nobody can tell which: a pretest finds a third
 * of the cases that matter. So neither is chosen. What one scatter for all says (analysis of variance) and what each
 * treatment's own says (Welch 1947, Satterthwaite 1946; out of blocks or rows and columns by Rao's 1970 estimators of
 * unequal variances) are averaged by how much the readings speak for either (Hoeting, Madigan, Raftery and Volinsky 1999;
 * the evidence by Bartlett's 1937 statistic and Schwarz 1978). A treatment's own scatter is drawn a little towards all
 * others' (Smyth 2004), and neither is trusted for a comparison that stands on fewer units than the rest: there one
 * scatter for all is the others' scatter.
 *
 * <p>How much is drawn and how far one scatter may ever count were set by simulation; {@code JudgeErrorsTest} keeps them.
 */
final class WeighedModel implements Model {
    /** One scatter for all never counts for more, however alike treatments look. */
    private static final double MOST = 0.75;

    /** Units' worth of all treatments' scatter that a treatment's own is drawn towards: where units are placed freely. */
    private static final double DRAWN = 0.6;

    /** Fewer units than the others have count against one scatter by this power of their share. */
    private static final double SHORT = 4;

    /** A variance that sums of squares make out to be less than this share of all others' is a slip of chance. */
    private static final double LEAST = 0.05;

    private static final double TENTHS = 10;

    private final SeenRows rows;
    private final SeenRows.Fitted fit;
    private final double[] means;
    private final double meanSquare;
    private final int df;
    private final double[][] leans;
    private final int[] n;
    private final double[] variances;
    private final double[] free;
    private final double alike;
    private final double drawn;

    private WeighedModel(SeenRows rows, SeenRows.Fitted fit) {
        this.rows = rows;
        this.fit = fit;
        this.means = fit.means();
        this.df = fit.regression().df();
        this.meanSquare = Math.max(fit.regression().squares() / df, rows.digitVariance());
        this.leans = fit.leans();
        this.n = new int[rows.arms()];
        rows.seen().forEach(unit -> n[unit.arm()]++);
        List<Integer> present = rows.present();
        double[][] shared = rows.all().design() == Design.COMPLETELY_RANDOM ? ownOnly(present) : fit.shared();

        Alike scatter = Alike.of(fit);
        this.free = scatter.free();
        this.variances = solved(present, shared, scatter.squares());
        boolean two = present.size() == 2;
        this.alike = two ? 0 : Math.min(MOST, scatter.chance());
        // Where treatments clearly scatter by different amounts, none is drawn towards another.
        this.drawn = two || rows.all().design() != Design.COMPLETELY_RANDOM
                ? 0
                : Math.min(1, 50 * alike) * Math.min(1, (present.size() - 2) / 2.0) * DRAWN;
    }

    static Outcome<Model> of(SeenRows rows) {
        return rows.fit(rows.places(), column -> column)
                .then(fit -> fit.regression().df() < 1
                        ? Outcome.notEstimable(PooledModel.ONE_EACH)
                        : Outcome.found(new WeighedModel(rows, fit)));
    }

    private double[][] ownOnly(List<Integer> present) {
        double[][] shared = new double[rows.arms()][rows.arms()];
        present.forEach(arm -> shared[arm][arm] = n[arm] - 1);
        return shared;
    }

    /** What each treatment's squares expect of each treatment's variance, turned round. */
    private double[] solved(List<Integer> present, double[][] shared, double[] squares) {
        int k = present.size();
        double[][] a = new double[k][k];
        double[] s = new double[k];
        for (int i = 0; i < k; i++) {
            s[i] = squares[present.get(i)];
            for (int j = 0; j < k; j++) {
                a[i][j] = shared[present.get(i)][present.get(j)];
            }
        }
        double[] found = new SingularValueDecomposition(MatrixUtils.createRealMatrix(a))
                .getSolver()
                .solve(MatrixUtils.createRealVector(s))
                .toArray();
        double[] variances = new double[rows.arms()];
        double least = rows.all().design() == Design.COMPLETELY_RANDOM ? 0 : LEAST * meanSquare;
        for (int i = 0; i < k; i++) {
            int arm = present.get(i);
            variances[arm] = free[arm] < Alike.FEWEST_FREE
                    ? meanSquare
                    : Math.max(Math.max(found[i], least), rows.digitVariance());
        }
        return variances;
    }

    /** How much the units of a combination are as many as others have: 1, or less where they are fewer. */
    private double enough(double[] combination) {
        double least = Double.POSITIVE_INFINITY;
        for (int arm = 0; arm < n.length; arm++) {
            least = combination[arm] == 0 ? least : Math.min(least, n[arm]);
        }
        double mean = rows.n() / (double) rows.present().size();
        return Math.pow(Math.min(1, least / mean), SHORT);
    }

    private double drawn(int arm, double towards) {
        double free = this.free[arm] < Alike.FEWEST_FREE ? 0 : this.free[arm];
        double weight = free == 0 ? Math.max(towards, 1) : towards;
        return (weight * meanSquare + free * variances[arm]) / (weight + free);
    }

    private double[] leaning(double[] combination) {
        double[] sum = new double[rows.n()];
        for (int arm = 0; arm < combination.length; arm++) {
            for (int i = 0; combination[arm] != 0 && i < sum.length; i++) {
                sum[i] += combination[arm] * leans[arm][i];
            }
        }
        return sum;
    }

    private double ownCovariance(double[] one, double[] other, double towards) {
        double[] first = leaning(one);
        double[] second = Arrays.equals(one, other) ? first : leaning(other);
        double sum = 0;
        for (int i = 0; i < first.length; i++) {
            sum += first[i] * second[i] * drawn(rows.seen().get(i).arm(), towards);
        }
        return sum;
    }

    /** Of each treatment's own scatter (Satterthwaite 1946). */
    private double ownFreedom(double[] combination, double towards) {
        double[] lean = leaning(combination);
        double[] parts = new double[rows.arms()];
        for (int i = 0; i < lean.length; i++) {
            int arm = rows.seen().get(i).arm();
            parts[arm] += lean[i] * lean[i] * drawn(arm, towards);
        }
        double sum = 0;
        double squares = 0;
        for (int arm = 0; arm < parts.length; arm++) {
            sum += parts[arm];
            squares += parts[arm] == 0 ? 0 : parts[arm] * parts[arm] / Math.max(1, free[arm] + towards);
        }
        // In tenths, which no answer depends on, so that what was worked out before can be found again.
        return Math.min(df, Math.floor(TENTHS * sum * sum / squares) / TENTHS);
    }

    @Override
    public double[] means() {
        return means.clone();
    }

    @Override
    public double covariance(double[] one, double[] other) {
        double pooled = alike == 0 ? 0 : alike * meanSquare * fit.covariance(one, other);
        return pooled + (1 - alike) * ownCovariance(one, other, drawn);
    }

    /** By the layout alone: that of one scatter for all. */
    @Override
    public double correlation(double[] one, double[] other) {
        return fit.covariance(one, other) / Math.sqrt(fit.covariance(one, one) * fit.covariance(other, other));
    }

    @Override
    public Spread spread(double[] combination) {
        double enough = enough(combination);
        double weight = Math.min(alike, MOST * enough);
        double error = Math.sqrt(variance(combination));
        double own = Math.sqrt(ownCovariance(combination, combination, drawn * enough));
        Spread.Part byOwn = new Spread.Part(1 - weight, own / error, ownFreedom(combination, drawn * enough));
        return weight == 0
                ? new Spread(List.of(byOwn))
                : new Spread(List.of(
                        byOwn,
                        new Spread.Part(
                                weight, Math.sqrt(meanSquare * fit.covariance(combination, combination)) / error, df)));
    }

    /** The share by which one scatter for all counts where no treatment has fewer units than the rest. */
    double alike() {
        return alike;
    }

    @Override
    public double own(int arm) {
        return (alike * meanSquare + (1 - alike) * drawn(arm, drawn)) / n[arm];
    }

    @Override
    public double[] residuals() {
        return fit.regression().residuals();
    }

    @Override
    public double scatter() {
        return Math.sqrt(meanSquare);
    }
}
