package elsom.core.stats;

import elsom.core.stats.Factorial.Factor;
import elsom.core.stats.Factorial.Line;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.apache.commons.statistics.distribution.FDistribution;

/**
 * A split-plot: one factor on whole plots, one on the parts of each. Whole plots lie in blocks, one of each treatment a
 * block, or are randomised freely.
 *
 * @param block empty without blocks
 * @param wholeError what whole plots differ by within treatments (and blocks)
 */
public record SplitPlot(
        Optional<Line> block,
        Line whole,
        Line wholeError,
        Line sub,
        Line interaction,
        Line subError,
        Optional<Errors> errorsOfDifferences) {

    /** Standard errors of differences between means, for a balanced design. */
    public record Errors(double wholeMeans, double subMeans, double subWithinWhole, double wholeWithinSub) {}

    /**
     * Works a split-plot out.
     *
     * @param place the block of each unit, or its whole plot when they are randomised freely
     * @param inBlocks whether places are blocks
     */
    public static Outcome<SplitPlot> of(double[] y, Factor place, boolean inBlocks, Factor whole, Factor sub) {
        LinearTerms model = new LinearTerms(y);
        List<double[]> wholeTerm = LinearTerms.contrasts(whole.values(), whole.levels());
        List<double[]> subTerm = LinearTerms.contrasts(sub.values(), sub.levels());
        List<String> plotNames = new ArrayList<>();
        for (int i = 0; i < y.length; i++) {
            plotNames.add(place.values().get(i) + "\u0000" + whole.values().get(i));
        }
        Factor plot = new Factor("plot", plotNames);
        List<double[]> plotTerm = LinearTerms.contrasts(plot.values(), plot.levels());
        List<double[]> both = LinearTerms.products(wholeTerm, subTerm);
        List<List<double[]>> blocks =
                inBlocks ? List.of(LinearTerms.contrasts(place.values(), place.levels())) : List.of();
        List<List<double[]>> upToWhole = new ArrayList<>(blocks);
        upToWhole.add(wholeTerm);
        LinearTerms.Fit none = model.fit(List.of());
        LinearTerms.Fit afterBlocks = model.fit(blocks);
        LinearTerms.Fit afterWhole = model.fit(upToWhole);
        LinearTerms.Fit afterPlots = model.fit(List.of(plotTerm));
        LinearTerms.Fit afterSub = model.fit(List.of(plotTerm, subTerm));
        LinearTerms.Fit all = model.fit(List.of(plotTerm, subTerm, both));
        int wholeDf = afterPlots.rank() - afterWhole.rank();
        int subDf = y.length - all.rank();
        if (wholeDf < 1 || subDf < 1) {
            return Outcome.notEstimable("Both whole plots and their parts need replicates");
        }
        double wholeMs = Math.max(0, afterWhole.squares() - afterPlots.squares()) / wholeDf;
        double subMs = all.squares() / subDf;
        return Outcome.found(new SplitPlot(
                inBlocks ? Optional.of(line(place.name(), none, afterBlocks, wholeMs, wholeDf)) : Optional.empty(),
                line(whole.name(), afterBlocks, afterWhole, wholeMs, wholeDf),
                error(wholeDf, wholeMs),
                line(sub.name(), afterPlots, afterSub, subMs, subDf),
                line(whole.name() + ":" + sub.name(), afterSub, all, subMs, subDf),
                error(subDf, subMs),
                errors(y.length, plot, whole, sub, wholeMs, subMs)));
    }

    private static Line error(int df, double ms) {
        return new Line("error", df, ms * df, OptionalDouble.empty(), OptionalDouble.empty());
    }

    private static Line line(String term, LinearTerms.Fit less, LinearTerms.Fit more, double ms, int errorDf) {
        int df = more.rank() - less.rank();
        double squares = Math.max(0, less.squares() - more.squares());
        if (df == 0 || !(ms > 0)) {
            return new Line(term, df, squares, OptionalDouble.empty(), OptionalDouble.empty());
        }
        double f = squares / df / ms;
        return new Line(
                term,
                df,
                squares,
                OptionalDouble.of(f),
                OptionalDouble.of(FDistribution.of(df, errorDf).survivalProbability(f)));
    }

    private static Optional<Errors> errors(
            int units, Factor plot, Factor whole, Factor sub, double wholeMs, double subMs) {
        int a = whole.levels().size();
        int b = sub.levels().size();
        double replicates = (double) plot.levels().size() / a;
        if (units != plot.levels().size() * b || replicates != Math.rint(replicates)) {
            return Optional.empty();
        }
        return Optional.of(new Errors(
                Math.sqrt(2 * wholeMs / (replicates * b)),
                Math.sqrt(2 * subMs / (replicates * a)),
                Math.sqrt(2 * subMs / replicates),
                Math.sqrt(2 * ((b - 1) * subMs + wholeMs) / (replicates * b))));
    }
}
