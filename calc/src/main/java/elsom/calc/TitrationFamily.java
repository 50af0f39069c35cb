package elsom.calc;

import elsom.core.chemistry.Titration;
import elsom.core.stats.Outcome;
import elsom.core.stats.StraightLine;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** {@code titration}: pH against lime, and the dose for a target. */
final class TitrationFamily implements Family {
    @Override
    public String name() {
        return "titration";
    }

    @Override
    public ObjectNode work(JsonNode input) {
        List<Double> amounts = Inputs.numbers(input, "amount");
        List<Double> ph = Inputs.numbers(input, "ph");
        Inputs.sameLength("amount", amounts, "ph", ph);
        List<Titration.Jar> jars = new ArrayList<>();
        for (int i = 0; i < amounts.size(); i++) {
            jars.add(new Titration.Jar(amounts.get(i), ph.get(i)));
        }
        Outcome<Titration> outcome = Titration.of(jars);
        ObjectNode answer = Answers.object();
        outcome.whyNot().ifPresent(reason -> answer.put("identifiable", false).put("reason", reason));
        outcome.asOptional()
                .ifPresent(titration ->
                        describe(answer, titration, numbersOrNone(input, "targets"), numbersOrNone(input, "eval_at")));
        return answer;
    }

    private static List<Double> numbersOrNone(JsonNode input, String field) {
        return input.has(field) ? Inputs.numbers(input, field) : List.of();
    }

    private static void describe(ObjectNode answer, Titration titration, List<Double> targets, List<Double> places) {
        answer.put("monotone", titration.monotone());
        ArrayNode means = answer.putArray("mean_ph");
        titration.meanPh().forEach(means::add);
        ArrayNode slopes = answer.putArray("derivatives");
        for (double slope : titration.curve().slopes()) {
            slopes.add(slope);
        }
        ArrayNode interpolated = answer.putArray("interpolated");
        places.forEach(place -> Answers.put(
                interpolated.addObject().put("amount", place),
                "ph",
                titration.curve().at(place)));
        ArrayNode doses = answer.putArray("targets");
        for (double target : targets) {
            ObjectNode dose = doses.addObject().put("target", target);
            Answers.put(dose, "dose_pchip", titration.dose(target));
            Answers.put(dose, "dose_linear", titration.linearDose(target));
            dose.put("status", titration.status(target).name().toLowerCase(Locale.ROOT));
        }
        answer.set("linear_buffer", buffer(titration.line(), targets));
    }

    private static ObjectNode buffer(StraightLine line, List<Double> targets) {
        ObjectNode buffer = Answers.object().put("intercept", line.intercept()).put("slope", line.slope());
        Answers.put(buffer, "slope_se", line.slopeError());
        Answers.put(buffer, "r2", line.rSquared());
        boolean flat = line.slope() == 0;
        Answers.put(buffer, "buffer_capacity", flat ? OptionalDouble.empty() : OptionalDouble.of(1 / line.slope()));
        ArrayNode doses = buffer.putArray("doses");
        targets.forEach(target -> Answers.put(
                doses.addObject().put("target", target),
                "dose",
                flat ? OptionalDouble.empty() : OptionalDouble.of((target - line.intercept()) / line.slope())));
        return buffer;
    }
}
