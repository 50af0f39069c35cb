package elsom.calc;

import elsom.core.stats.Interval;
import elsom.core.stats.PooledPosterior;
import elsom.core.stats.RandomEffects;
import java.util.Arrays;
import java.util.List;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.apache.commons.statistics.distribution.TDistribution;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** {@code pooled_ratios}: trials' logarithms of ratios put together, each way that is in use. */
final class PooledRatiosFamily implements Family {
    private static final double HUNDRED = 100;

    @Override
    public String name() {
        return "pooled_ratios";
    }

    @Override
    public Object work(JsonNode input) {
        List<JsonNode> trials = Inputs.list(input, "trials");
        double[] effects = trials.stream()
                .mapToDouble(trial -> Inputs.number(trial, "log_ratio"))
                .toArray();
        double[] errors =
                trials.stream().mapToDouble(trial -> Inputs.number(trial, "se")).toArray();
        double[] variances = Arrays.stream(errors).map(error -> error * error).toArray();
        double scale = Inputs.number(input, "prior_scale");
        if (effects.length < 2 || Arrays.stream(errors).anyMatch(error -> !(error > 0)) || !(scale > 0)) {
            throw new BadInput("two trials or more, each with “se” above 0, and a “prior_scale” above 0 are needed");
        }
        double end = GroupsInput.alpha(input) / 2;
        RandomEffects pooled = RandomEffects.of(effects, variances);
        double normal = NormalDistribution.of(0, 1).inverseSurvivalProbability(end);
        double student = TDistribution.of(effects.length - 1).inverseSurvivalProbability(end);
        ObjectNode answer = Answers.object()
                .put("k", effects.length)
                .put("Q", pooled.q())
                .put("I2", HUNDRED * pooled.inconsistency());
        answer.set(
                "common", interval(pooled.common().estimate(), pooled.common().error(), normal));
        ObjectNode between = answer.putObject("paule_mandel").put("tau2", pooled.betweenVariance());
        between.set("hartung_knapp", interval(pooled.estimate(), pooled.errors().hartungKnapp(), student));
        between.set(
                "hartung_knapp_not_narrower",
                interval(
                        pooled.estimate(),
                        Math.max(pooled.errors().hartungKnapp(), pooled.errors().normal()),
                        student));
        between.set("normal", interval(pooled.estimate(), pooled.errors().normal(), normal));
        return Answers.put(answer, "posterior", PooledPosterior.of(effects, errors, scale));
    }

    private static ObjectNode interval(double estimate, double error, double reach) {
        Interval within = new Interval(estimate - reach * error, estimate + reach * error);
        return Answers.object()
                .put("estimate", estimate)
                .put("se", error)
                .put("low", within.low())
                .put("high", within.high())
                .put("percent", HUNDRED * Math.expm1(estimate))
                .put("percent_low", HUNDRED * Math.expm1(within.low()))
                .put("percent_high", HUNDRED * Math.expm1(within.high()));
    }
}
