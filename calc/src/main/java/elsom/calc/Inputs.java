package elsom.calc;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import tools.jackson.databind.JsonNode;

/** Reads values out of a case's input, with messages that name the field. */
final class Inputs {
    private Inputs() {}

    static double number(JsonNode object, String field) {
        return optionalNumber(object, field).orElseThrow(() -> new BadInput("“" + field + "” is missing"));
    }

    static OptionalDouble optionalNumber(JsonNode object, String field) {
        JsonNode value = object.path(field);
        if (value.isMissingNode() || value.isNull()) {
            return OptionalDouble.empty();
        }
        if (!value.isNumber() || !Double.isFinite(value.doubleValue())) {
            throw new BadInput("“" + field + "” must be a number, got " + value);
        }
        return OptionalDouble.of(value.doubleValue());
    }

    static String text(JsonNode object, String field) {
        JsonNode value = object.path(field);
        if (!value.isString()) {
            throw new BadInput("“" + field + "” must be text, got " + (value.isMissingNode() ? "nothing" : value));
        }
        return value.stringValue();
    }

    static List<JsonNode> list(JsonNode object, String field) {
        JsonNode value = object.path(field);
        if (!value.isArray()) {
            throw new BadInput("“" + field + "” must be a list, got " + (value.isMissingNode() ? "nothing" : value));
        }
        List<JsonNode> items = new ArrayList<>();
        value.forEach(items::add);
        return items;
    }

    static List<Double> numbers(JsonNode object, String field) {
        return list(object, field).stream()
                .map(item -> {
                    if (!item.isNumber() || !Double.isFinite(item.doubleValue())) {
                        throw new BadInput("“" + field + "” must hold numbers only, got " + item);
                    }
                    return item.doubleValue();
                })
                .toList();
    }

    /** The numbers of a list in which null is a lost unit. */
    static List<Double> seen(JsonNode object, String field) {
        return list(object, field).stream()
                .filter(item -> !item.isNull())
                .map(item -> {
                    if (!item.isNumber() || !Double.isFinite(item.doubleValue())) {
                        throw new BadInput("“" + field + "” must hold numbers or null only, got " + item);
                    }
                    return item.doubleValue();
                })
                .toList();
    }

    static int whole(JsonNode object, String field) {
        return whole(field, number(object, field));
    }

    static int whole(String field, double value) {
        if (value != Math.rint(value) || Math.abs(value) > Integer.MAX_VALUE) {
            throw new BadInput("“" + field + "” must be a whole number, got " + value);
        }
        return (int) value;
    }

    static int[] wholes(String field, List<Double> values) {
        return values.stream().mapToInt(value -> whole(field, value)).toArray();
    }

    static double[] array(List<Double> values) {
        return values.stream().mapToDouble(Double::doubleValue).toArray();
    }

    static void sameLength(String one, List<?> first, String other, List<?> second) {
        if (first.size() != second.size()) {
            throw new BadInput("“" + one + "” and “" + other + "” must be equally long, got " + first.size() + " and "
                    + second.size());
        }
    }
}
