package elsom.calc;

import elsom.core.curve.BrokenLine;
import elsom.core.curve.ProfileInterval;
import elsom.core.curve.SalinityResponse;
import elsom.core.curve.XyData;
import elsom.core.stats.Outcome;
import elsom.core.stats.StraightLine;
import elsom.core.stats.Tests.FTest;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** {@code threshold_slope}: threshold and slope, two slopes, line and plateau. */
final class ThresholdFamily implements Family {
    @Override
    public String name() {
        return "threshold_slope";
    }

    @Override
    public ObjectNode work(JsonNode input) {
        String kind = Inputs.text(input, "kind");
        List<Double> x = Inputs.numbers(input, "x");
        List<Double> y = Inputs.numbers(input, "y");
        Inputs.sameLength("x", x, "y", y);
        XyData data = new XyData(Inputs.array(x), Inputs.array(y));
        ObjectNode answer = switch (kind) {
            case "maas_hoffman" ->
                salinity(SalinityResponse.fit(data, input.path("clamp_zero").asBoolean(false)));
            case "segmented" -> broken(BrokenLine.segmented(data), false);
            case "linear_plateau" -> broken(BrokenLine.plateau(data), true);
            default ->
                throw new BadInput("“kind” must be maas_hoffman, segmented or linear_plateau, got “" + kind + "”");
        };
        Optional<StraightLine> line = data.line().asOptional();
        ObjectNode linear = answer.putObject("linear");
        Answers.put(linear, "intercept", line.map(StraightLine::intercept));
        Answers.put(linear, "slope", line.map(StraightLine::slope));
        Answers.put(linear, "slope_p", line.map(StraightLine::slopeP).orElse(OptionalDouble.empty()));
        Answers.put(linear, "rss", line.map(l -> data.lineSquares()));
        return answer;
    }

    private static ObjectNode begin(Outcome<?> outcome) {
        ObjectNode answer =
                Answers.object().put("identifiable", outcome.asOptional().isPresent());
        outcome.whyNot().ifPresent(reason -> answer.put("reason", reason));
        return answer;
    }

    private static void rest(ObjectNode answer, double squares, int df) {
        answer.put("rss", squares).put("df", df).put("residual_se", Math.sqrt(squares / df));
    }

    private static ObjectNode f(FTest test) {
        return Answers.put(Answers.object(), "F", test.f())
                .put("df1", test.df1())
                .put("df2", test.df2())
                .put("p", test.p());
    }

    private static void interval(ObjectNode node, String name, ProfileInterval interval) {
        ObjectNode sides = node.putObject(name);
        Answers.put(sides, "lower", interval.low());
        Answers.put(sides, "upper", interval.high());
    }

    private static ObjectNode salinity(Outcome<SalinityResponse> outcome) {
        ObjectNode answer = begin(outcome);
        outcome.asOptional().ifPresent(fit -> {
            answer.put("at_lower_bound", fit.atLowerBound());
            answer.put("threshold_a", fit.threshold())
                    .put("slope_b", fit.slopePercent())
                    .put("ymax", fit.highest());
            rest(answer, fit.squares(), fit.df());
            ObjectNode errors = answer.putObject("se");
            List<String> names = List.of("threshold_a", "slope_b", "ymax");
            for (int i = 0; i < names.size(); i++) {
                int index = i;
                Answers.put(errors, names.get(i), fit.errors().map(list -> list.get(index)));
            }
            answer.put("ec50", fit.halfYieldAt()).put("zero_yield_x", fit.zeroYieldAt());
            ObjectNode profile = answer.putObject("profile_ci");
            interval(profile, "threshold_a", fit.thresholdInterval());
            interval(profile, "slope_b", fit.slopeInterval());
            interval(profile, "ec50", fit.halfYieldInterval());
            answer.set("model_F", f(fit.againstMean()));
        });
        return answer;
    }

    private static ObjectNode broken(Outcome<BrokenLine> outcome, boolean plateau) {
        ObjectNode answer = begin(outcome);
        outcome.asOptional().ifPresent(fit -> {
            answer.put("breakpoint", fit.breakAt());
            if (plateau) {
                answer.put("plateau", fit.atBreak())
                        .put("slope", fit.slopeLeft())
                        .put("intercept", fit.intercept());
            } else {
                answer.put("slope_left", fit.slopeLeft()).put("slope_right", fit.slopeRight());
                answer.put("intercept_left", fit.intercept());
            }
            rest(answer, fit.squares(), fit.df());
            interval(answer.putObject("profile_ci"), "breakpoint", fit.breakInterval());
            answer.set(plateau ? "model_F" : "F_vs_straight_line", f(fit.against()));
        });
        return answer;
    }
}
