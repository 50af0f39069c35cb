package elsom.core.analysis;

import elsom.core.stats.Outcome;

/** A scatter for each treatment (Welch 1947; degrees of freedom by Satterthwaite 1946). */
final class UnequalModel implements Model {
    private final SeenRows rows;
    private final double[] means;
    private final double[] variances;
    private final int[] n;

    private UnequalModel(SeenRows rows) {
        this.rows = rows;
        this.means = new double[rows.arms()];
        this.variances = new double[rows.arms()];
        this.n = new int[rows.arms()];
        for (Observed unit : rows.seen()) {
            n[unit.arm()]++;
            means[unit.arm()] += Observations.number(unit);
        }
        for (int i = 0; i < means.length; i++) {
            means[i] = n[i] == 0 ? Double.NaN : means[i] / n[i];
        }
        for (Observed unit : rows.seen()) {
            double off = Observations.number(unit) - means[unit.arm()];
            variances[unit.arm()] += off * off / (n[unit.arm()] - 1);
        }
        for (int i = 0; i < variances.length; i++) {
            variances[i] = Math.max(variances[i], rows.digitVariance());
        }
    }

    /** Needs two units of each treatment that has any. */
    static Outcome<Model> of(SeenRows rows) {
        UnequalModel model = new UnequalModel(rows);
        return rows.present().stream().allMatch(arm -> model.n[arm] > 1)
                ? Outcome.found(model)
                : Outcome.notEstimable("A treatment with one unit shows no scatter of its own");
    }

    @Override
    public double[] means() {
        return means.clone();
    }

    @Override
    public double covariance(double[] one, double[] other) {
        double sum = 0;
        for (int i = 0; i < means.length; i++) {
            sum += one[i] * other[i] == 0 ? 0 : one[i] * other[i] * variances[i] / n[i];
        }
        return sum;
    }

    @Override
    public double df(double[] combination) {
        double sum = 0;
        double squares = 0;
        for (int i = 0; i < means.length; i++) {
            if (combination[i] != 0) {
                double part = combination[i] * combination[i] * variances[i] / n[i];
                sum += part;
                squares += part * part / (n[i] - 1);
            }
        }
        return sum * sum / squares;
    }

    @Override
    public double own(int arm) {
        return variances[arm] / n[arm];
    }

    @Override
    public double[] residuals() {
        return rows.seen().stream()
                .mapToDouble(unit -> Observations.number(unit) - means[unit.arm()])
                .toArray();
    }

    /** The root of the mean variance. */
    @Override
    public double scatter() {
        return Math.sqrt(rows.present().stream()
                .mapToDouble(arm -> variances[arm])
                .average()
                .orElse(0));
    }
}
