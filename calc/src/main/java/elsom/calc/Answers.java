package elsom.calc;

import elsom.core.stats.Interval;
import elsom.core.stats.Outcome;
import java.lang.reflect.RecordComponent;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Writes results as the command's contract wants them: records by the names of their components, with underscores; null
 * for what can't be had, infinities as words.
 */
final class Answers {
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
    private static final Pattern HUMP = Pattern.compile("(?<=[a-z0-9])(?=[A-Z])|(?<=[A-Z])(?=[A-Z][a-z])");

    private Answers() {}

    static ObjectNode object() {
        return NODES.objectNode();
    }

    static ArrayNode list() {
        return NODES.arrayNode();
    }

    /** A result of core: a record, a list, a map, a number, or what stands for nothing. */
    static JsonNode tree(@Nullable Object value) {
        if (value == null) {
            return NODES.nullNode();
        }
        if (value instanceof JsonNode node) {
            return node;
        }
        if (value instanceof Optional<?> some) {
            return tree(some.orElse(null));
        }
        if (value instanceof Outcome<?> outcome) {
            return tree(outcome.asOptional());
        }
        if (value instanceof OptionalDouble some) {
            return some.isPresent() ? number(some.getAsDouble()) : NODES.nullNode();
        }
        if (value instanceof OptionalInt some) {
            return some.isPresent() ? NODES.numberNode(some.getAsInt()) : NODES.nullNode();
        }
        if (value instanceof Integer whole) {
            return NODES.numberNode(whole);
        }
        if (value instanceof Number number) {
            return number(number.doubleValue());
        }
        if (value instanceof Boolean yes) {
            return NODES.booleanNode(yes);
        }
        if (value instanceof Enum<?> choice) {
            return NODES.stringNode(choice.name().toLowerCase(Locale.ROOT));
        }
        return value instanceof Record record ? members(record) : collected(value);
    }

    private static JsonNode collected(Object value) {
        if (value instanceof Iterable<?> items) {
            ArrayNode list = list();
            items.forEach(item -> list.add(tree(item)));
            return list;
        }
        if (value instanceof Map<?, ?> named) {
            ObjectNode object = object();
            named.forEach((name, item) -> object.set(String.valueOf(name), tree(item)));
            return object;
        }
        return NODES.stringNode(value.toString());
    }

    private static ObjectNode members(Record record) {
        ObjectNode object = object();
        for (RecordComponent member : record.getClass().getRecordComponents()) {
            object.set(name(member.getName()), tree(of(record, member)));
        }
        return object;
    }

    private static String name(String component) {
        return HUMP.matcher(component).replaceAll("_").toLowerCase(Locale.ROOT);
    }

    private static @Nullable Object of(Record record, RecordComponent member) {
        try {
            member.getAccessor().setAccessible(true);
            return member.getAccessor().invoke(record);
        } catch (ReflectiveOperationException impossible) {
            throw new IllegalStateException("a record's component can't be read: " + member, impossible);
        }
    }

    private static JsonNode number(double value) {
        if (Double.isInfinite(value)) {
            return NODES.stringNode(value > 0 ? "Infinity" : "-Infinity");
        }
        return Double.isNaN(value) ? NODES.nullNode() : NODES.numberNode(value);
    }

    /** A field by a name that is the contract's alone. */
    static ObjectNode put(ObjectNode node, String field, @Nullable Object value) {
        node.set(field, tree(value));
        return node;
    }

    /** An interval as two fields; null when there is none. */
    static ObjectNode put(ObjectNode node, String lower, String upper, Optional<Interval> interval) {
        put(node, lower, interval.map(Interval::low));
        return put(node, upper, interval.map(Interval::high));
    }
}
