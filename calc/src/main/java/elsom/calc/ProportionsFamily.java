package elsom.calc;

import elsom.core.stats.CountTables;
import elsom.core.stats.FisherExact;
import elsom.core.stats.Holm;
import elsom.core.stats.Interval;
import elsom.core.stats.LogisticModel;
import elsom.core.stats.Outcome;
import elsom.core.stats.PenalisedLogistic;
import elsom.core.stats.Proportion;
import elsom.core.stats.Tests.ChiSquaredTest;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** {@code proportions}: intervals, two-by-two tables, trends, controls and the two-by-two logistic. */
final class ProportionsFamily implements Family {
    @Override
    public String name() {
        return "proportions";
    }

    @Override
    public ObjectNode work(JsonNode input) {
        String kind = Inputs.text(input, "kind");
        return switch (kind) {
            case "wilson" -> intervals(groups(input));
            case "two_by_two" -> twoByTwo(input);
            case "trend" -> trend(groups(input), Inputs.array(Inputs.numbers(input, "scores")));
            case "vs_control" -> againstControl(groups(input), Inputs.whole(input, "control_index"));
            case "logit_2x2" -> logistic(groups(input));
            default ->
                throw new BadInput(
                        "“kind” must be wilson, two_by_two, trend, vs_control or logit_2x2, got “" + kind + "”");
        };
    }

    private static List<Proportion> groups(JsonNode input) {
        int[] affected = Inputs.wholes("x", Inputs.numbers(input, "x"));
        int[] n = Inputs.wholes("n", Inputs.numbers(input, "n"));
        if (affected.length != n.length || n.length == 0) {
            throw new BadInput("“x” and “n” must be equally long, got " + affected.length + " and " + n.length);
        }
        List<Proportion> groups = new ArrayList<>();
        for (int i = 0; i < n.length; i++) {
            groups.add(new Proportion(affected[i], n[i]));
        }
        return groups;
    }

    private static ObjectNode intervals(List<Proportion> groups) {
        ObjectNode answer = Answers.object();
        ArrayNode results = answer.putArray("results");
        for (Proportion group : groups) {
            ObjectNode result = results.addObject().put("p", group.share());
            Answers.put(result, "wilson_lower", "wilson_upper", Optional.of(group.wilson95()));
            Answers.put(
                    result, "clopper_pearson_lower", "clopper_pearson_upper", Optional.of(group.clopperPearson95()));
        }
        return answer;
    }

    private static ObjectNode twoByTwo(JsonNode input) {
        Proportion one = new Proportion(Inputs.whole(input, "x1"), Inputs.whole(input, "n1"));
        Proportion other = new Proportion(Inputs.whole(input, "x2"), Inputs.whole(input, "n2"));
        FisherExact fisher = FisherExact.of(one, other);
        ObjectNode answer = Answers.object().put("fisher_p", fisher.p());
        Answers.put(answer, "or_conditional_mle", fisher.oddsRatio());
        Answers.put(answer, "or_lower", "or_upper", Optional.of(fisher.oddsRatioInterval95()));
        Answers.put(answer, "or_sample", sampleOdds(one, other));
        answer.put(
                "or_haldane",
                (one.affected() + 0.5)
                        * (other.unaffected() + 0.5)
                        / ((one.unaffected() + 0.5) * (other.affected() + 0.5)));
        answer.set("newcombe", newcombe(one, other));
        chiSquared(answer, "chi2", "chi2_p", CountTables.overall(List.of(one, other)));
        chiSquared(answer, "chi2_yates", "chi2_yates_p", CountTables.yates(one, other));
        return answer;
    }

    private static Outcome<Double> sampleOdds(Proportion one, Proportion other) {
        int affected = one.affected() + other.affected();
        if (affected == 0 || affected == one.n() + other.n()) {
            return Outcome.notEstimable("Everything or nothing was affected");
        }
        double across = (double) one.unaffected() * other.affected();
        return Outcome.found(
                across == 0 ? Double.POSITIVE_INFINITY : (double) one.affected() * other.unaffected() / across);
    }

    private static ObjectNode newcombe(Proportion one, Proportion other) {
        ObjectNode node = Answers.object().put("diff", one.differenceFrom(other));
        return Answers.put(node, "lower", "upper", Optional.of(one.newcombe95(other)));
    }

    private static void chiSquared(ObjectNode node, String statistic, String p, Outcome<ChiSquaredTest> outcome) {
        Answers.put(node, statistic, outcome.asOptional().map(ChiSquaredTest::statistic));
        Answers.put(node, p, outcome.asOptional().map(ChiSquaredTest::p));
    }

    private static ObjectNode trend(List<Proportion> groups, double[] scores) {
        Optional<CountTables.Trend> trend = CountTables.trend(groups, scores).asOptional();
        ObjectNode answer = Answers.object();
        Answers.put(answer, "z", trend.map(CountTables.Trend::z));
        Answers.put(answer, "chi2_trend", trend.map(t -> t.z() * t.z()));
        Answers.put(answer, "p_two_sided", trend.map(CountTables.Trend::pTwoSided));
        Answers.put(answer, "p_one_sided_increasing", trend.map(CountTables.Trend::pIncreasing));
        Answers.put(answer, "chi2_overall", trend.map(t -> t.overall().statistic()));
        answer.put("df_overall", groups.size() - 1);
        Answers.put(answer, "p_overall", trend.map(t -> t.overall().p()));
        Answers.put(answer, "chi2_departure", trend.map(t -> t.departure().statistic()));
        return Answers.put(answer, "p_departure", trend.map(t -> t.departure().p()));
    }

    private static ObjectNode againstControl(List<Proportion> groups, int controlIndex) {
        if (controlIndex < 0 || controlIndex >= groups.size()) {
            throw new BadInput("“control_index” must be 0 to " + (groups.size() - 1) + ", got " + controlIndex);
        }
        Proportion control = groups.get(controlIndex);
        List<Integer> treated = new ArrayList<>();
        for (int i = 0; i < groups.size(); i++) {
            if (i != controlIndex) {
                treated.add(i);
            }
        }
        double[] p = treated.stream()
                .mapToDouble(i -> FisherExact.of(groups.get(i), control).p())
                .toArray();
        double[] adjusted = Holm.adjust(p);
        ObjectNode answer = Answers.object();
        ArrayNode comparisons = answer.putArray("comparisons");
        for (int i = 0; i < treated.size(); i++) {
            comparisons
                    .addObject()
                    .put("index", treated.get(i))
                    .put("fisher_p", p[i])
                    .put("p_holm", adjusted[i])
                    .set("newcombe", newcombe(groups.get(treated.get(i)), control));
        }
        Outcome<ChiSquaredTest> overall = CountTables.overall(groups);
        Answers.put(answer, "chi2", overall.asOptional().map(ChiSquaredTest::statistic));
        answer.put("df", groups.size() - 1);
        Answers.put(answer, "p", overall.asOptional().map(ChiSquaredTest::p));
        return answer.put("min_expected", CountTables.smallestExpected(groups));
    }

    /** Groups in the order A0B0, A1B0, A0B1, A1B1. */
    private static ObjectNode logistic(List<Proportion> groups) {
        if (groups.size() != 4) {
            throw new BadInput("a two-by-two logistic needs four groups, got " + groups.size());
        }
        boolean separated = groups.stream().anyMatch(group -> group.affected() == 0 || group.unaffected() == 0);
        LogisticModel additive = LogisticModel.fit(new double[][] {{1, 0, 0}, {1, 1, 0}, {1, 0, 1}, {1, 1, 1}}, groups);
        LogisticModel onlyA = LogisticModel.fit(new double[][] {{1, 0}, {1, 1}, {1, 0}, {1, 1}}, groups);
        LogisticModel onlyB = LogisticModel.fit(new double[][] {{1, 0}, {1, 0}, {1, 1}, {1, 1}}, groups);
        ObjectNode answer = Answers.object().put("separation", separated);
        answer.set("coefficients_full", separated ? JsonNodeFactory.instance.nullNode() : full(groups));
        answer.set("lr_interaction", likelihoodRatio(additive.deviance()));
        answer.set("lr_A_given_B", likelihoodRatio(onlyB.deviance() - additive.deviance()));
        answer.set("lr_B_given_A", likelihoodRatio(onlyA.deviance() - additive.deviance()));
        answer.set("additive", additive(additive));
        answer.set("haldane_interaction", haldane(groups));
        answer.set("penalised_interaction", penalised(groups));
        return answer;
    }

    private static ObjectNode penalised(List<Proportion> groups) {
        PenalisedLogistic fit = PenalisedLogistic.fit(
                        new double[][] {{1, 0, 0, 0}, {1, 1, 0, 0}, {1, 0, 1, 0}, {1, 1, 1, 1}}, groups)
                .asOptional()
                .orElseThrow();
        Interval interval = fit.interval(3, 0.05);
        ObjectNode node = Answers.object().put("estimate", fit.coefficients().get(3));
        return node.put("low", interval.low()).put("high", interval.high()).put("p", fit.p(3, 0));
    }

    private static ArrayNode full(List<Proportion> groups) {
        LogisticModel.Estimates full = LogisticModel.fit(
                        new double[][] {{1, 0, 0, 0}, {1, 1, 0, 0}, {1, 0, 1, 0}, {1, 1, 1, 1}}, groups)
                .estimates()
                .asOptional()
                .orElseThrow();
        List<String> terms = List.of("intercept", "A", "B", "A:B");
        ArrayNode list = Answers.list();
        for (int i = 0; i < terms.size(); i++) {
            list.add(wald(
                    Answers.object().put("term", terms.get(i)),
                    full.coefficients().get(i),
                    full.errors().get(i)));
        }
        return list;
    }

    private static ObjectNode wald(ObjectNode node, double estimate, double error) {
        double z = estimate / error;
        return node.put("estimate", estimate)
                .put("se", error)
                .put("z", z)
                .put("p", 2 * NormalDistribution.of(0, 1).survivalProbability(Math.abs(z)));
    }

    private static ObjectNode likelihoodRatio(double statistic) {
        double chi2 = Math.max(0, statistic);
        return Answers.object()
                .put("chi2", chi2)
                .put("df", 1)
                .put("p", ChiSquaredDistribution.of(1).survivalProbability(chi2));
    }

    private static JsonNode additive(LogisticModel model) {
        Optional<LogisticModel.Estimates> estimates = model.estimates().asOptional();
        if (estimates.isEmpty()) {
            return JsonNodeFactory.instance.nullNode();
        }
        ArrayNode list = Answers.list();
        List<String> terms = List.of("intercept", "A", "B");
        for (int i = 0; i < terms.size(); i++) {
            list.addObject()
                    .put("term", terms.get(i))
                    .put("estimate", estimates.get().coefficients().get(i))
                    .put("se", estimates.get().errors().get(i));
        }
        return list;
    }

    private static ObjectNode haldane(List<Proportion> groups) {
        double[] sign = {1, -1, -1, 1};
        double estimate = 0;
        double variance = 0;
        for (int i = 0; i < sign.length; i++) {
            double yes = groups.get(i).affected() + 0.5;
            double no = groups.get(i).unaffected() + 0.5;
            estimate += sign[i] * Math.log(yes / no);
            variance += 1 / yes + 1 / no;
        }
        return wald(Answers.object(), estimate, Math.sqrt(variance));
    }
}
