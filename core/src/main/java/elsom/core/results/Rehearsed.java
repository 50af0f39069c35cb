package elsom.core.results;

import elsom.core.analysis.Answer;
import elsom.core.analysis.Arm;
import elsom.core.analysis.Ask;
import elsom.core.analysis.Comparison;
import elsom.core.analysis.Design;
import elsom.core.analysis.EndpointKind;
import elsom.core.analysis.Judge;
import elsom.core.analysis.Observations;
import elsom.core.analysis.Observed;
import elsom.core.analysis.Value;
import elsom.core.design.LayoutKind;
import elsom.core.plan.Factor;
import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.stats.Interval;
import elsom.core.trial.Endpoint;
import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.stream.IntStream;

/**
 * A plan run many times before a pot is filled: the same layout, the same question and the same judge as will judge it,
 * under a truth that somebody supposes. What it says so often is what the plan can promise.
 *
 * @param runs how many were simulated
 * @param better share of runs that call the treatment that truly differs better; {@code worse}, {@code none} (no difference
 *     that matters) and {@code cantTell} likewise
 * @param truth the supposed difference in the better direction, as a fraction of the control's mean; of a score, of half its
 *     scale; of a count, of the control's share
 * @param shown the first runs, of which a page draws a ruler each
 */
public record Rehearsed(
        int runs, double better, double worse, double none, double cantTell, double truth, List<Run> shown) {
    /** Runs that are drawn. */
    public static final int RULERS = 20;

    private static final int FEWEST = 5;
    private static final double MIDDLE = 0.5;

    /** What one run said of the treatment that truly differs; the interval in fractions as the truth is. */
    public record Run(double seen, Interval interval, Answer answer) {}

    /**
     * What a run is like.
     *
     * @param replicates units of each treatment
     * @param cv scatter between units of one treatment as a fraction of the control's mean, above 0
     * @param matters the difference that matters as a fraction of the same; empty when nobody said
     */
    public record Supposed(int replicates, double cv, OptionalDouble matters, double truth) {}

    public Rehearsed {
        shown = List.copyOf(shown);
    }

    /**
     * Runs a plan.
     *
     * @param most runs at most
     * @param longest ends sooner than at {@code most} where this much time has gone by, yet never before five
     */
    public static Rehearsed of(Plan plan, Measure measure, Supposed supposed, int most, Duration longest) {
        Draw draw = new Draw(plan, measure, supposed);
        long until = System.nanoTime() + longest.toNanos();
        Map<Answer, Integer> answers = new EnumMap<>(Answer.class);
        List<Run> shown = new ArrayList<>();
        int runs = 0;
        while (runs < most && (runs < FEWEST || System.nanoTime() < until)) {
            Run run = draw.once();
            answers.merge(run.answer(), 1, Integer::sum);
            if (shown.size() < RULERS) {
                shown.add(run);
            }
            runs++;
        }
        return new Rehearsed(
                runs,
                share(answers, Answer.BETTER, runs),
                share(answers, Answer.WORSE, runs),
                share(answers, Answer.NO_DIFFERENCE, runs),
                share(answers, Answer.CANT_TELL, runs),
                supposed.truth(),
                shown);
    }

    private static double share(Map<Answer, Integer> answers, Answer answer, int runs) {
        return answers.getOrDefault(answer, 0) / (double) runs;
    }

    /** Draws one trial after another. */
    private static final class Draw {
        private final SplittableRandom random = new SplittableRandom(20261130);
        private final Plan plan;
        private final Supposed supposed;
        private final Design design;
        private final List<Arm> arms;
        private final boolean counted;
        private final int among;
        private final int treated;
        private final Ask ask;

        Draw(Plan plan, Measure measure, Supposed supposed) {
            Endpoint endpoint = measure.endpoint();
            this.plan = plan;
            this.supposed = supposed;
            this.counted = endpoint.judged() == EndpointKind.COUNT_OF;
            this.among = Math.max(1, endpoint.among());
            this.arms = arms(plan);
            this.design = design(plan);
            int control = control();
            this.treated = arms.size() - 1 == control ? arms.size() - 2 : arms.size() - 1;
            OptionalDouble margin = supposed.matters().isEmpty()
                    ? OptionalDouble.empty()
                    : OptionalDouble.of(supposed.matters().getAsDouble() * (counted ? MIDDLE : 1));
            this.ask = new Ask(List.of(), new Ask.Against.Control(), margin, false, 0.05);
        }

        private int control() {
            return IntStream.range(0, arms.size())
                    .filter(i -> arms.get(i).control())
                    .findFirst()
                    .orElse(0);
        }

        /** With fewer than two treatments, as if there were two. */
        private static List<Arm> arms(Plan plan) {
            List<PlannedTreatment> planned = plan.treatments().all();
            if (planned.size() < 2) {
                return List.of(new Arm("A", "control", List.of(), true), new Arm("B", "other", List.of(), false));
            }
            List<Factor> factors = plan.treatments().factors();
            return IntStream.range(0, planned.size())
                    .mapToObj(i -> new Arm(
                            "T" + i,
                            planned.get(i).name(),
                            IntStream.range(0, planned.get(i).levels().size())
                                    .mapToObj(f -> factors.get(f)
                                            .levels()
                                            .get(planned.get(i).levels().get(f))
                                            .name())
                                    .toList(),
                            UnitValues.control(planned.get(i), factors)))
                    .toList();
        }

        private static Design design(Plan plan) {
            LayoutKind kind = plan.arrangement().kind();
            boolean apart = plan.treatments().factorial() && plan.arrangement().wholePlotFactor() > 0;
            return switch (kind) {
                case SPLIT_PLOT -> apart ? Design.SPLIT_PLOT : Design.BLOCKS;
                case LATIN_SQUARE, BLOCKS -> Design.BLOCKS;
                case COMPLETELY_RANDOM -> Design.COMPLETELY_RANDOM;
            };
        }

        Run once() {
            List<Observed> rows = new ArrayList<>();
            for (int unit = 0; unit < supposed.replicates(); unit++) {
                double[] plots = new double[Factor.MOST_LEVELS];
                for (int i = 0; i < plots.length; i++) {
                    plots[i] = design == Design.SPLIT_PLOT ? supposed.cv() * random.nextGaussian() : 0;
                }
                for (int arm = 0; arm < arms.size(); arm++) {
                    int plot = plot(arm);
                    rows.add(new Observed(
                            "U" + rows.size(),
                            arm,
                            design == Design.COMPLETELY_RANDOM ? 0 : unit + 1,
                            0,
                            0,
                            design == Design.SPLIT_PLOT ? (unit + 1) * Factor.MOST_LEVELS + plot : 0,
                            value(arm, plots[plot])));
                }
            }
            return told(Judge.of(
                            new Observations(
                                    design,
                                    plan.treatments().factors().stream()
                                            .map(Factor::name)
                                            .toList(),
                                    arms,
                                    counted ? EndpointKind.COUNT_OF : EndpointKind.MEASURED,
                                    Observations.Better.HIGHER,
                                    counted ? 1 : supposed.cv() / 1000,
                                    rows),
                            ask,
                            treated)
                    .comparisons());
        }

        /** The whole plot of a block that an arm stands in. */
        private int plot(int arm) {
            if (design != Design.SPLIT_PLOT) {
                return 0;
            }
            return plan.treatments()
                    .all()
                    .get(arm)
                    .levels()
                    .get(plan.arrangement().wholePlotFactor() - 1);
        }

        /** Better is drawn as higher: which way is better changes no chance. */
        private Value value(int arm, double plot) {
            double shift = arm == treated ? supposed.truth() : 0;
            if (!counted) {
                return new Value.Measured(1 + shift + plot + supposed.cv() * random.nextGaussian());
            }
            double mean = MIDDLE * (1 + shift);
            double chance = mean * (1 - mean) / among;
            double beyond = Math.sqrt(Math.max(0, Math.pow(supposed.cv() * MIDDLE, 2) - chance));
            double share = Math.max(0, Math.min(1, mean + plot + beyond * random.nextGaussian()));
            int k = 0;
            for (int plant = 0; plant < among; plant++) {
                k += random.nextDouble() < share ? 1 : 0;
            }
            return new Value.CountOf(k, among);
        }

        private Run told(List<Comparison> comparisons) {
            return comparisons.stream()
                    .filter(one -> one.treatment() == treated || one.comparator() == treated)
                    .findFirst()
                    .map(one -> run(one, one.treatment() == treated))
                    .orElseGet(() -> new Run(0, new Interval(0, 0), Answer.CANT_TELL));
        }

        private Run run(Comparison one, boolean forward) {
            double scale = counted ? MIDDLE : 1;
            Interval interval = one.interval().orElse(new Interval(0, 0));
            double seen = one.difference() / scale;
            return forward
                    ? new Run(seen, new Interval(interval.low() / scale, interval.high() / scale), one.answer())
                    : new Run(
                            -seen,
                            new Interval(-interval.high() / scale, -interval.low() / scale),
                            switch (one.answer()) {
                                case BETTER -> Answer.WORSE;
                                case WORSE -> Answer.BETTER;
                                default -> one.answer();
                            });
        }
    }
}
