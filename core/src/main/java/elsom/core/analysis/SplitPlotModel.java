package elsom.core.analysis;

import elsom.core.stats.Outcome;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Two scatters: between whole plots and between units within them. Their sizes come from two mean squares (Henderson's
 * third method, 1953), means from generalised least squares, and the degrees of freedom of a combination from how it
 * leans on either mean square (Satterthwaite 1946). In complete layouts this is the textbook's analysis of a split-plot.
 */
final class SplitPlotModel implements Model {
    private static final double STEP = 1e-4;

    /** One scatter for all never counts for more, however alike treatments look. */
    private static final double MOST = 0.8;

    private final SeenRows rows;
    private final int[] plotSizes;
    private final int[] plotOf;
    private final double within;
    private final double between;
    private final double dfWithin;
    private final double dfBetween;
    private final double unitsAPlot;
    private final double ratio;
    private final SeenRows.Fitted fit;
    private final SeenRows.Fitted steeper;
    private final SeenRows.Fitted flatter;
    private final OwnOfPlots own;
    private final double alike;

    private SplitPlotModel(SeenRows rows, Squares squares, int[] plotOf, int[] plotSizes, Scaled scaled, double alike) {
        this.rows = rows;
        this.within = squares.within;
        this.between = squares.between;
        this.dfWithin = squares.dfWithin;
        this.dfBetween = squares.dfBetween;
        this.unitsAPlot = squares.unitsAPlot;
        this.ratio = squares.ratio(1);
        this.plotOf = plotOf;
        this.plotSizes = plotSizes;
        this.fit = scaled.fit;
        this.steeper = scaled.steeper;
        this.flatter = scaled.flatter;
        this.own = OwnOfPlots.of(rows);
        this.alike = alike;
    }

    /** The mean square of whole plots, that of units within them, and how many units a whole plot counts for. */
    private record Squares(double within, double between, double dfWithin, double dfBetween, double unitsAPlot) {
        /** Variance between whole plots over that within; negative when whole plots are more alike than chance allows. */
        double ratio(double lean) {
            return (between * lean / within - 1) / unitsAPlot;
        }
    }

    private record Scaled(SeenRows.Fitted fit, SeenRows.Fitted steeper, SeenRows.Fitted flatter) {}

    static Outcome<Model> of(SeenRows rows, boolean weighed) {
        List<Integer> plots =
                rows.seen().stream().map(Observed::wholePlot).distinct().toList();
        int[] plotOf = rows.seen().stream()
                .mapToInt(unit -> plots.indexOf(unit.wholePlot()))
                .toArray();
        int[] sizes = new int[plots.size()];
        for (int plot : plotOf) {
            sizes[plot]++;
        }
        return squares(rows, plotOf, sizes).then(squares -> {
            List<SeenRows.Fitted> fits = new ArrayList<>();
            for (double lean : new double[] {1, 1 + STEP, 1 - STEP}) {
                double ratio = squares.ratio(lean);
                Outcome<SeenRows.Fitted> fit = rows.fit(rows.places(), column -> evened(column, plotOf, sizes, ratio));
                if (fit.asOptional().isEmpty()) {
                    return Outcome.notEstimable(fit.whyNot().orElseThrow());
                }
                fits.add(fit.asOptional().orElseThrow());
            }
            return Outcome.found(new SplitPlotModel(
                    rows,
                    squares,
                    plotOf,
                    sizes,
                    new Scaled(fits.get(0), fits.get(1), fits.get(2)),
                    weighed
                            ? Math.min(
                                    MOST,
                                    rows.fit(rows.places(), column -> column)
                                            .asOptional()
                                            .map(plain -> Alike.of(plain).chance())
                                            .orElse(1.0))
                            : 1));
        });
    }

    private static Outcome<Squares> squares(SeenRows rows, int[] plotOf, int[] sizes) {
        List<double[]> plots = new ArrayList<>();
        for (int plot = 0; plot < sizes.length; plot++) {
            double[] column = new double[rows.n()];
            for (int i = 0; i < column.length; i++) {
                column[i] = plotOf[i] == plot ? 1 : 0;
            }
            plots.add(column);
        }
        List<double[]> fixed = new ArrayList<>(rows.places());
        rows.present().forEach(arm -> fixed.add(rows.indicator(arm)));
        List<double[]> both = new ArrayList<>(fixed);
        both.addAll(plots);
        double[][] without = fixed.toArray(double[][]::new);
        Regression wide = Regression.of(both.toArray(double[][]::new), rows.y());
        Regression narrow = Regression.of(without, rows.y());
        int dfBetween = wide.rank() - narrow.rank();
        if (dfBetween < 1 || wide.df() < 1) {
            return Outcome.notEstimable(
                    "Too few whole plots: how much they differ by themselves can't be seen, so nothing can be judged");
        }
        double ownOfPlots = 0;
        for (double[] plot : plots) {
            ownOfPlots += Regression.of(without, plot).squares();
        }
        double within = Math.max(wide.squares() / wide.df(), rows.digitVariance());
        double between = Math.max((narrow.squares() - wide.squares()) / dfBetween, rows.digitVariance());
        return Outcome.found(new Squares(within, between, wide.df(), dfBetween, ownOfPlots / dfBetween));
    }

    /** Takes from each whole plot's mean the part that its own scatter makes doubtful. */
    private static double[] evened(double[] column, int[] plotOf, int[] sizes, double ratio) {
        double[] means = new double[sizes.length];
        for (int i = 0; i < column.length; i++) {
            means[plotOf[i]] += column[i] / sizes[plotOf[i]];
        }
        double[] evened = new double[column.length];
        for (int i = 0; i < column.length; i++) {
            // Whole plots more alike than chance: the ratio may be negative, yet never as far as a variance below zero.
            double whole = Math.max(1e-6, 1 + sizes[plotOf[i]] * ratio);
            evened[i] = column[i] - (1 - 1 / Math.sqrt(whole)) * means[plotOf[i]];
        }
        return evened;
    }

    @Override
    public double[] means() {
        return fit.means();
    }

    @Override
    public double covariance(double[] one, double[] other) {
        double pooled = within * fit.covariance(one, other);
        return Arrays.equals(one, other)
                ? own(one).map(byItself -> alike * pooled + (1 - alike) * byItself.variance())
                        .orElse(pooled)
                : pooled;
    }

    /** By the layout alone: that of one scatter for all. */
    @Override
    public double correlation(double[] one, double[] other) {
        return fit.covariance(one, other) / Math.sqrt(fit.covariance(one, one) * fit.covariance(other, other));
    }

    /** Its own scatter, with the units that stand in blocks of which not all is seen counted as they are for all. */
    private Optional<OwnOfPlots.Own> own(double[] combination) {
        return alike == 1
                ? Optional.empty()
                : own.of(combination)
                        .map(found -> found.with(Math.min(
                                1,
                                fit.covariance(combination, combination)
                                        / own.ofComplete(combination, Math.max(0, ratio)))));
    }

    @Override
    public Spread spread(double[] combination) {
        double error = Math.sqrt(variance(combination));
        double pooled = Math.sqrt(within * fit.covariance(combination, combination));
        return own(combination)
                .map(byItself -> new Spread(List.of(
                        new Spread.Part(1 - alike, Math.sqrt(byItself.variance()) / error, byItself.df()),
                        new Spread.Part(alike, pooled / error, pooledFreedom(combination)))))
                .orElseGet(() -> Spread.of(pooledFreedom(combination)));
    }

    /** By how the variance changes when either mean square does. */
    private double pooledFreedom(double[] combination) {
        double variance = fit.covariance(combination, combination);
        double lean = (steeper.covariance(combination, combination) - flatter.covariance(combination, combination))
                / (2 * STEP);
        // The variance is within · f(between ÷ within): one slope gives both.
        double onBetween = lean;
        double onWithin = variance - lean;
        return variance * variance / (onBetween * onBetween / dfBetween + onWithin * onWithin / dfWithin);
    }

    /** Half the mean variance of its differences from the others. */
    @Override
    public double own(int arm) {
        return rows.present().stream()
                .filter(other -> other != arm)
                .mapToDouble(other -> variance(Model.difference(rows.arms(), arm, other)) / 2)
                .average()
                .orElse(Double.POSITIVE_INFINITY);
    }

    @Override
    public double[] residuals() {
        double[] means = means();
        double[] own = new double[rows.n()];
        double[] plots = new double[plotSizes.length];
        for (int i = 0; i < own.length; i++) {
            own[i] = Observations.number(rows.seen().get(i))
                    - means[rows.seen().get(i).arm()];
            plots[plotOf[i]] += own[i] / plotSizes[plotOf[i]];
        }
        for (int i = 0; i < own.length; i++) {
            own[i] -= plots[plotOf[i]];
        }
        return own;
    }

    /** Between units of one whole plot and treatment, and whole plots together. */
    @Override
    public double scatter() {
        return Math.sqrt(within + Math.max(0, (between - within) / unitsAPlot));
    }
}
