package elsom.calc;

import elsom.core.curve.DoseResponse;
import elsom.core.curve.Hormesis;
import elsom.core.curve.LeastSquaresFit;
import elsom.core.curve.LogLogistic;
import elsom.core.stats.Outcome;
import elsom.core.stats.Tests.FTest;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** {@code dose_response_continuous}: log-logistic and hormesis curves with effective doses. */
final class ContinuousDoseFamily implements Family {
    private static final double[] PERCENTS = {10, 20, 50};

    @Override
    public String name() {
        return "dose_response_continuous";
    }

    @Override
    public ObjectNode work(JsonNode input) {
        DoseResponse data = data(input);
        String model = Inputs.text(input, "model");
        boolean increase = "increase".equals(input.path("direction").asString("decrease"));
        DoseResponse.Direction direction = increase ? DoseResponse.Direction.INCREASE : DoseResponse.Direction.DECREASE;
        return switch (model) {
            case "LL.3" -> logLogistic(data, LogLogistic.fit(data, true, direction));
            case "LL.4" -> logLogistic(data, LogLogistic.fit(data, false, direction));
            case "BC.4" -> hormesis(data, Hormesis.fit(data));
            default -> throw new BadInput("“model” must be LL.3, LL.4 or BC.4, got “" + model + "”");
        };
    }

    private static DoseResponse data(JsonNode input) {
        List<Double> doses = Inputs.numbers(input, "dose");
        List<Double> responses = Inputs.numbers(input, "response");
        Inputs.sameLength("dose", doses, "response", responses);
        List<DoseResponse.Point> points = new ArrayList<>();
        for (int i = 0; i < doses.size(); i++) {
            points.add(new DoseResponse.Point(doses.get(i), responses.get(i)));
        }
        return new DoseResponse(points);
    }

    private static ObjectNode begin(DoseResponse data, Outcome<?> outcome) {
        ObjectNode answer =
                Answers.object().put("identifiable", outcome.asOptional().isPresent());
        outcome.whyNot()
                .ifPresent(
                        reason -> answer.put("reason", reason).putNull("params").putNull("ec"));
        int levels = data.levelCount();
        answer.set(
                "anova_dose",
                f(
                        data.anova(),
                        Optional.of(levels - 1),
                        Optional.of(data.points().size() - levels)));
        return answer;
    }

    private static ObjectNode f(Outcome<FTest> outcome, Optional<Integer> df1, Optional<Integer> df2) {
        Optional<FTest> test = outcome.asOptional();
        ObjectNode node = Answers.object();
        Answers.put(node, "F", test.map(FTest::f));
        Answers.put(node, "df1", test.map(FTest::df1).or(() -> df1.map(Integer::doubleValue)));
        Answers.put(node, "df2", test.map(FTest::df2).or(() -> df2.map(Integer::doubleValue)));
        return Answers.put(node, "p", test.map(FTest::p));
    }

    private static void common(
            ObjectNode answer,
            DoseResponse data,
            LeastSquaresFit fit,
            List<String> names,
            List<Double> values,
            List<Double> errors) {
        ObjectNode parameters = answer.putObject("params");
        for (int i = 0; i < names.size(); i++) {
            parameters.putObject(names.get(i)).put("estimate", values.get(i)).put("se", errors.get(i));
        }
        answer.put("rss", fit.residualSumOfSquares()).put("df", fit.degreesOfFreedom());
        answer.put("residual_se", Math.sqrt(fit.residualVariance()));
        answer.set("lack_of_fit", f(data.lackOfFit(fit), Optional.empty(), Optional.empty()));
    }

    private static ArrayNode effective(DoubleFunction<Optional<DoseResponse.Effective>> at) {
        ArrayNode list = Answers.list();
        for (double percent : PERCENTS) {
            Optional<DoseResponse.Effective> found = at.apply(percent);
            ObjectNode node = list.addObject().put("p", percent);
            Answers.put(node, "estimate", found.map(DoseResponse.Effective::dose));
            Answers.put(node, "se", found.map(DoseResponse.Effective::standardError));
            Answers.put(node, "lower", "upper", found.map(DoseResponse.Effective::interval95));
            Answers.put(node, "lower_log", "upper_log", found.map(DoseResponse.Effective::logInterval95));
            found.ifPresent(dose -> node.put("extrapolated", dose.extrapolated()));
        }
        return list;
    }

    private static ObjectNode logLogistic(DoseResponse data, Outcome<LogLogistic> outcome) {
        ObjectNode answer = begin(data, outcome);
        outcome.asOptional().ifPresent(curve -> {
            List<String> names = curve.lowerHeld() ? List.of("b", "d", "e") : List.of("b", "c", "d", "e");
            List<Double> values = curve.lowerHeld()
                    ? List.of(curve.b(), curve.d(), curve.e())
                    : List.of(curve.b(), curve.c(), curve.d(), curve.e());
            common(answer, data, curve.fit(), names, values, curve.standardErrors());
            answer.set("ec", effective(percent -> Optional.of(curve.effective(percent))));
        });
        return answer;
    }

    private static ObjectNode hormesis(DoseResponse data, Outcome<Hormesis> outcome) {
        ObjectNode answer = begin(data, outcome);
        outcome.asOptional().ifPresent(curve -> {
            List<Double> values = List.of(curve.b(), curve.d(), curve.e(), curve.f());
            common(answer, data, curve.fit(), List.of("b", "d", "e", "f"), values, curve.standardErrors());
            answer.set("ec", effective(percent -> curve.effective(percent).asOptional()));
            Hormesis.Peak peak = curve.peak();
            answer.put("max_dose", peak.dose()).put("max_response", peak.response());
            answer.put("max_percent_of_control", 100 * peak.response() / curve.d());
            FTest test = curve.stimulation();
            answer.putObject("hormesis_F_vs_LL3")
                    .put("F", test.f())
                    .put("df1", test.df1())
                    .put("df2", test.df2())
                    .put("p", test.p())
                    .put("rss_LL3", curve.withoutStimulation().fit().residualSumOfSquares());
        });
        return answer;
    }
}
