package elsom.core.analysis;

import elsom.core.stats.Outcome;

/** One scatter for all units, after blocks or rows and columns are taken out: analysis of variance (Fisher 1935). */
final class PooledModel implements Model {
    static final String ONE_EACH =
            "One unit of each: how much units treated alike differ can't be seen, so nothing can be judged";

    private final SeenRows.Fitted fit;
    private final double[] means;
    private final double meanSquare;

    private PooledModel(SeenRows.Fitted fit, double meanSquare) {
        this.fit = fit;
        this.means = fit.means();
        this.meanSquare = meanSquare;
    }

    static Outcome<Model> of(SeenRows rows) {
        return rows.fit(rows.places(), column -> column).then(fit -> {
            int df = fit.regression().df();
            if (df < 1) {
                return Outcome.notEstimable(ONE_EACH);
            }
            return Outcome.found(new PooledModel(fit, Math.max(fit.regression().squares() / df, rows.digitVariance())));
        });
    }

    @Override
    public double[] means() {
        return means.clone();
    }

    @Override
    public double covariance(double[] one, double[] other) {
        return meanSquare * fit.covariance(one, other);
    }

    @Override
    public Spread spread(double[] combination) {
        return Spread.of(fit.regression().df());
    }

    @Override
    public double own(int arm) {
        return meanSquare
                / fit.rows().seen().stream().filter(unit -> unit.arm() == arm).count();
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
