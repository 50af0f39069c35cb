package elsom.core.analysis;

/**
 * How far the readings speak for one scatter of all treatments.
 *
 * @param squares of each arm's residuals
 * @param free how many units' worth of scatter is left in them
 */
@SuppressWarnings("ArrayRecordComponent")
record Alike(SeenRows rows, double[] squares, double[] free) {
    /** With less than this left nothing is seen of how an arm scatters. */
    static final double FEWEST_FREE = 0.5;

    static Alike of(SeenRows.Fitted fit) {
        SeenRows rows = fit.rows();
        double[] squares = new double[rows.arms()];
        double[] free = new double[rows.arms()];
        double[] residuals = fit.regression().residuals();
        double[] freedom = fit.freedom();
        for (int i = 0; i < residuals.length; i++) {
            int arm = rows.seen().get(i).arm();
            squares[arm] += residuals[i] * residuals[i];
            free[arm] += freedom[i];
        }
        return new Alike(rows, squares, free);
    }

    /** The chance that all scatter alike, given the readings and an even chance before them (Bartlett 1937, Schwarz 1978). */
    double chance() {
        double all = 0;
        double logs = 0;
        double inverse = 0;
        double total = 0;
        int k = 0;
        for (int arm : rows.present()) {
            if (free[arm] >= FEWEST_FREE) {
                double own = Math.max(squares[arm] / free[arm], rows.digitVariance());
                all += free[arm];
                total += free[arm] * own;
                logs += free[arm] * Math.log(own);
                inverse += 1 / free[arm];
                k++;
            }
        }
        if (k < 2) {
            return 1;
        }
        double bartlett = (all * Math.log(total / all) - logs) / (1 + (inverse - 1 / all) / (3 * (k - 1)));
        double odds = Math.exp(-(bartlett - (k - 1) * Math.log(rows.n() / (double) k)) / 2);
        return odds / (1 + odds);
    }
}
