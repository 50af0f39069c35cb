package elsom.web.people;

import java.util.LinkedHashMap;
import java.util.Map;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A row as the log keeps it: what it says by what it is called, a document's parts each by their place in it. */
final class LoggedRow {
    private static final int LONGEST_VALUE = 300;
    private static final int LONGEST_TEXT = 20_000;
    private static final String SEED = "seed";

    private LoggedRow() {}

    /** Adds a column; of a document, its parts. */
    static void put(Map<String, String> told, String column, String value) {
        if (value.startsWith("{") || value.startsWith("[")) {
            try {
                flatten(told, "", JsonMapper.shared().readTree(value));
                return;
            } catch (JacksonException plainText) {
                // Text that only begins like a document is kept as it is.
            }
        }
        told.put(column.replace('_', ' '), shortened(value));
    }

    private static void flatten(Map<String, String> told, String place, JsonNode node) {
        if (node.isObject()) {
            node.properties().forEach(one -> flatten(told, joined(place, one.getKey()), one.getValue()));
        } else if (node.isArray()) {
            for (int i = 0; i < node.size(); i++) {
                flatten(told, joined(place, Integer.toString(i + 1)), node.get(i));
            }
        } else if (!node.isNull() && !place.endsWith(SEED)) {
            told.put(place, shortened(node.asString()));
        }
    }

    private static String joined(String place, String next) {
        return place.isEmpty() ? next : place + " " + next;
    }

    private static String shortened(String value) {
        return value.length() <= LONGEST_VALUE ? value : value.substring(0, LONGEST_VALUE) + "…";
    }

    /** A row as one text, of as many parts as fit. */
    static String text(Map<String, String> told) {
        Map<String, String> fitting = new LinkedHashMap<>();
        int length = 2;
        for (Map.Entry<String, String> one : told.entrySet()) {
            length += 2 * (one.getKey().length() + one.getValue().length()) + 8;
            if (length > LONGEST_TEXT) {
                break;
            }
            fitting.put(one.getKey(), one.getValue());
        }
        return JsonMapper.shared().writeValueAsString(fitting);
    }

    /** What a text of {@link #text} says. */
    static Map<String, String> read(String text) {
        Map<String, String> told = new LinkedHashMap<>();
        JsonMapper.shared()
                .readTree(text)
                .properties()
                .forEach(one -> told.put(one.getKey(), one.getValue().asString()));
        return told;
    }
}
