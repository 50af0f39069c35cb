package elsom.calc;

import elsom.core.stats.Interval;
import elsom.core.stats.Outcome;
import java.util.Optional;
import java.util.OptionalDouble;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Writes values as the command's contract wants them: null for what can't be had, infinities as words. */
final class Answers {
    private Answers() {}

    static ObjectNode object() {
        return JsonNodeFactory.instance.objectNode();
    }

    static ArrayNode list() {
        return JsonNodeFactory.instance.arrayNode();
    }

    static ObjectNode put(ObjectNode node, String field, double value) {
        if (Double.isInfinite(value)) {
            return node.put(field, value > 0 ? "Infinity" : "-Infinity");
        }
        return Double.isNaN(value) ? node.putNull(field) : node.put(field, value);
    }

    static ObjectNode put(ObjectNode node, String field, OptionalDouble value) {
        return value.isPresent() ? put(node, field, value.getAsDouble()) : node.putNull(field);
    }

    static ObjectNode put(ObjectNode node, String field, Outcome<Double> value) {
        Optional<Double> found = value.asOptional();
        return found.isPresent() ? put(node, field, found.get()) : node.putNull(field);
    }

    /** An interval as two fields; null when there is none. */
    static ObjectNode put(ObjectNode node, String lower, String upper, Optional<Interval> interval) {
        put(node, lower, interval.map(i -> OptionalDouble.of(i.low())).orElse(OptionalDouble.empty()));
        return put(node, upper, interval.map(i -> OptionalDouble.of(i.high())).orElse(OptionalDouble.empty()));
    }

    static ObjectNode number(ObjectNode node, String field, Optional<Double> value) {
        return put(node, field, value.map(OptionalDouble::of).orElse(OptionalDouble.empty()));
    }
}
