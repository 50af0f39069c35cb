package elsom.calc;

import elsom.core.sums.Sum;
import elsom.core.sums.SumAnswer;
import java.util.HashMap;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A sum by its code: blanks as numbers in their own units, or as text that is read as on its page. */
record SumFamily(Sum sum) implements Family {
    @Override
    public String name() {
        return sum.code();
    }

    @Override
    public ObjectNode work(JsonNode input) {
        Map<String, String> typed = new HashMap<>();
        input.properties().forEach(field -> {
            if (sum.fields().stream().noneMatch(known -> known.code().equals(field.getKey()))) {
                throw new BadInput("“" + field.getKey() + "” is no field of " + sum.code() + "; its fields are "
                        + String.join(
                                ", ",
                                sum.fields().stream().map(known -> known.code()).toList()));
            }
            typed.put(field.getKey(), text(field.getValue()));
        });
        sum.fields().stream()
                .filter(field -> !field.optional() && !typed.containsKey(field.code()))
                .findFirst()
                .ifPresent(missing -> {
                    throw new BadInput("“" + missing.code() + "” is missing");
                });
        Sum.Worked worked = sum.worked(typed);
        SumAnswer answer = worked.answer()
                .orElseThrow(() -> new BadInput(worked.values().problems().entrySet().stream()
                        .map(problem -> problem.getKey() + ": " + problem.getValue())
                        .sorted()
                        .reduce((a, b) -> a + " " + b)
                        .orElse("it can't be worked out")));
        ObjectNode result = Answers.object().put("answer", answer.sentence());
        answer.numbers().forEach(result::put);
        return result;
    }

    private static String text(JsonNode value) {
        return value.isNumber()
                ? value.decimalValue().toPlainString()
                : value.isString() ? value.stringValue() : value.toString();
    }
}
