package elsom.calc;

import elsom.core.curve.LeastSquaresFit;
import elsom.core.curve.XyData;
import elsom.core.stats.Outcome;
import elsom.core.water.DryDown;
import elsom.core.water.DryDownFit;
import elsom.core.water.ExponentialDryDown;
import elsom.core.water.TimedMass;
import elsom.core.water.TwoStageDryDown;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** {@code dry_down}: one- and two-stage fits of mass over time, with the time to each trigger. */
final class DryDownFamily implements Family {
    private static final List<String> EXPONENTIAL = List.of("M0", "Mr", "k");
    private static final List<String> TWO_STAGE = List.of("M0", "R", "tb", "Mr");

    @Override
    public String name() {
        return "dry_down";
    }

    @Override
    public ObjectNode work(JsonNode input) {
        String kind = Inputs.text(input, "kind");
        List<TimedMass> points = points(input);
        List<Double> triggers = input.has("triggers") ? Inputs.numbers(input, "triggers") : List.of();
        return switch (kind) {
            case "exponential" -> {
                ObjectNode answer = answer(DryDown.exponential(points), EXPONENTIAL, triggers);
                yield answer.path("identifiable").booleanValue() ? answer : withLine(answer, points);
            }
            case "two_stage" -> answer(DryDown.twoStage(points), TWO_STAGE, triggers);
            default -> throw new BadInput("“kind” must be exponential or two_stage, got “" + kind + "”");
        };
    }

    /** Where no exponential can be told, the straight line through the points is all there is. */
    private static ObjectNode withLine(ObjectNode answer, List<TimedMass> points) {
        XyData data = new XyData(
                points.stream().mapToDouble(TimedMass::hours).toArray(),
                points.stream().mapToDouble(TimedMass::grams).toArray());
        data.line()
                .asOptional()
                .ifPresent(line -> answer.putObject("linear")
                        .put("intercept", line.intercept())
                        .put("slope", line.slope())
                        .put("rss", data.lineSquares()));
        return answer;
    }

    private static List<TimedMass> points(JsonNode input) {
        List<Double> hours = Inputs.numbers(input, "t");
        List<Double> grams = Inputs.numbers(input, "mass");
        Inputs.sameLength("t", hours, "mass", grams);
        List<TimedMass> points = new ArrayList<>();
        for (int i = 0; i < hours.size(); i++) {
            points.add(new TimedMass(hours.get(i), grams.get(i)));
        }
        return points;
    }

    private static ObjectNode answer(Outcome<? extends DryDownFit> outcome, List<String> names, List<Double> triggers) {
        ObjectNode answer = JsonNodeFactory.instance.objectNode();
        answer.put("identifiable", outcome.asOptional().isPresent());
        outcome.whyNot().ifPresent(reason -> answer.put("reason", reason));
        outcome.asOptional().ifPresent(fit -> describe(answer, fit, names, triggers));
        return answer;
    }

    private static void describe(ObjectNode answer, DryDownFit curve, List<String> names, List<Double> triggers) {
        LeastSquaresFit fit = curve.fit();
        ObjectNode parameters = answer.putObject("params");
        for (int i = 0; i < names.size(); i++) {
            parameters
                    .putObject(names.get(i))
                    .put("estimate", fit.estimates()[i])
                    .put("se", fit.standardError(i));
        }
        if (curve instanceof ExponentialDryDown exponential) {
            answer.put("half_time", exponential.halfTimeHours());
        }
        if (curve instanceof TwoStageDryDown twoStage) {
            answer.put("mass_at_break", twoStage.massAtBreakG());
            answer.put("k_falling", twoStage.fallingRatePerHour());
        }
        answer.put("rss", fit.residualSumOfSquares());
        answer.put("df", fit.degreesOfFreedom());
        answer.put("residual_se", Math.sqrt(fit.residualVariance()));
        ArrayNode list = answer.putArray("triggers");
        triggers.forEach(trigger -> list.add(crossing(curve, trigger)));
    }

    private static ObjectNode crossing(DryDownFit curve, double trigger) {
        ObjectNode node = JsonNodeFactory.instance.objectNode().put("trigger", trigger);
        Outcome<DryDownFit.Crossing> outcome = curve.timeTo(trigger);
        node.put("reached", outcome.asOptional().isPresent());
        node.putNull("time").putNull("se").putNull("lower").putNull("upper");
        outcome.asOptional().ifPresent(crossing -> {
            node.put("time", crossing.hours());
            crossing.standardError().ifPresent(error -> node.put("se", error));
            crossing.interval95().ifPresent(i -> node.put("lower", i.low()).put("upper", i.high()));
        });
        return node;
    }
}
