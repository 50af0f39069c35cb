package elsom.calc;

import elsom.core.stats.Group;
import elsom.core.stats.Interval;
import elsom.core.stats.Outcome;
import elsom.core.stats.RankTests;
import elsom.core.stats.Summary;
import elsom.core.stats.TwoSample;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.statistics.distribution.TDistribution;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** {@code t_tests}: two samples and pairs; x is the control, y the treatment. */
final class TTestsFamily implements Family {
    private static final double LEVEL = 0.95;
    private static final double EQUIVALENCE_LEVEL = 0.90;

    @Override
    public String name() {
        return "t_tests";
    }

    @Override
    public ObjectNode work(JsonNode input) {
        String kind = Inputs.text(input, "kind");
        return switch (kind) {
            case "two_sample" -> twoSample(input);
            case "paired" -> paired(input);
            default -> throw new BadInput("“kind” must be two_sample or paired, got “" + kind + "”");
        };
    }

    private static ObjectNode twoSample(JsonNode input) {
        Group x = new Group("x", Inputs.numbers(input, "x"));
        Group y = new Group("y", Inputs.numbers(input, "y"));
        TwoSample samples = new TwoSample(x, y);
        ObjectNode answer = Answers.object();
        answer.set("student", t(samples, samples.student()));
        answer.set("welch", t(samples, samples.welch()));
        answer.set("mann_whitney", ranks(RankTests.mannWhitney(x, y)));
        if (input.has("tost")) {
            double low = Inputs.number(input.path("tost"), "low");
            double high = Inputs.number(input.path("tost"), "high");
            ObjectNode tost = answer.putObject("tost");
            ObjectNode welch = tost.putObject("welch");
            equivalence(welch, samples.welch(), low, high);
            Answers.put(
                    welch,
                    "ci90_lower",
                    "ci90_upper",
                    samples.welch().asOptional().map(test -> test.interval(EQUIVALENCE_LEVEL)));
            equivalence(tost.putObject("student"), samples.student(), low, high);
        }
        answer.set("hedges", effect(samples.effect().asOptional()));
        answer.set("percent_change", percent(samples));
        return answer;
    }

    private static ObjectNode t(TwoSample samples, Outcome<TwoSample.T> outcome) {
        Optional<TwoSample.T> test = outcome.asOptional();
        ObjectNode node = Answers.object().put("diff", samples.difference());
        Answers.put(node, "t", test.map(TwoSample.T::t));
        Answers.put(node, "df", test.map(TwoSample.T::df));
        Answers.put(node, "p", test.map(TwoSample.T::p));
        return Answers.put(node, "lower", "upper", test.map(found -> found.interval(LEVEL)));
    }

    private static ObjectNode ranks(RankTests.MannWhitney test) {
        return Answers.object()
                .put("U_x", test.uFirst())
                .put("U_y", test.uSecond())
                .put("ties", test.ties())
                .put("p_exact", test.pExact())
                .put("p_exact_counted", test.counted())
                .put("p_normal_cc", test.pCorrected())
                .put("p_normal_nocc", test.pPlain())
                .put("hodges_lehmann", test.shift());
    }

    private static void equivalence(ObjectNode node, Outcome<TwoSample.T> outcome, double low, double high) {
        Optional<TwoSample.T> test = outcome.asOptional();
        Answers.put(node, "p_lower", test.map(found -> found.pAbove(low)));
        Answers.put(node, "p_upper", test.map(found -> found.pBelow(high)));
        Answers.put(node, "p", test.map(found -> Math.max(found.pAbove(low), found.pBelow(high))));
    }

    private static ObjectNode effect(Optional<TwoSample.Effect> effect) {
        ObjectNode node = Answers.object();
        Answers.put(node, "cohen_d", effect.map(TwoSample.Effect::d));
        Answers.put(node, "J_exact", effect.map(TwoSample.Effect::correction));
        Answers.put(node, "J_approx", effect.map(TwoSample.Effect::approximateCorrection));
        Answers.put(node, "g", effect.map(TwoSample.Effect::g));
        Answers.put(node, "g_approx", effect.map(e -> e.d() * e.approximateCorrection()));
        Answers.put(node, "lower_nct", "upper_nct", effect.map(TwoSample.Effect::noncentral95));
        return Answers.put(node, "lower_normal", "upper_normal", effect.map(TwoSample.Effect::normal95));
    }

    private static ObjectNode percent(TwoSample samples) {
        ObjectNode node = Answers.object();
        Answers.put(node, "percent", samples.percent());
        node.set("fieller_pooled", fieller(samples.fiellerPooled().asOptional()));
        node.set("fieller_welch", fieller(samples.fiellerWelch().asOptional()));
        Optional<TwoSample.LogRatio> ratio = samples.logRatio().asOptional();
        ObjectNode log = node.putObject("log_ratio");
        Answers.put(log, "lnrr", ratio.map(TwoSample.LogRatio::logRatio));
        Answers.put(log, "se", ratio.map(TwoSample.LogRatio::error));
        Answers.put(log, "lower_z", "upper_z", ratio.map(TwoSample.LogRatio::percentByZ));
        Answers.put(log, "lower_t", "upper_t", ratio.map(TwoSample.LogRatio::percentByT));
        return node;
    }

    private static ObjectNode fieller(Optional<TwoSample.Fieller> fieller) {
        ObjectNode node = Answers.object();
        Answers.put(node, "lower", "upper", fieller.flatMap(TwoSample.Fieller::percent95));
        Answers.put(node, "g", fieller.map(TwoSample.Fieller::g));
        return node.put("bounded", fieller.flatMap(TwoSample.Fieller::percent95).isPresent());
    }

    private static ObjectNode paired(JsonNode input) {
        List<Double> x = Inputs.numbers(input, "x");
        List<Double> y = Inputs.numbers(input, "y");
        Inputs.sameLength("x", x, "y", y);
        List<Double> differences = new ArrayList<>();
        for (int i = 0; i < x.size(); i++) {
            differences.add(y.get(i) - x.get(i));
        }
        Summary summary = Summary.of(Inputs.array(differences));
        Optional<Double> sd = summary.sd().isPresent() && summary.sd().getAsDouble() > 0
                ? Optional.of(summary.sd().getAsDouble())
                : Optional.empty();
        Optional<Double> t = sd.map(s -> summary.mean() / (s / Math.sqrt(summary.n())));
        ObjectNode answer = Answers.object().put("mean_diff", summary.mean());
        Answers.put(answer, "sd_diff", summary.sd());
        Answers.put(answer, "t", t);
        answer.put("df", summary.n() - 1);
        Answers.put(
                answer,
                "p",
                t.map(value -> 2 * TDistribution.of(summary.n() - 1).survivalProbability(Math.abs(value))));
        Optional<Interval> interval = sd.flatMap(s -> summary.interval95());
        Answers.put(answer, "lower", "upper", interval);
        RankTests.SignedRank ranks = RankTests.signedRank(differences);
        answer.putObject("wilcoxon_signed_rank").put("V", ranks.positive()).put("p_exact", ranks.pExact());
        return answer;
    }
}
