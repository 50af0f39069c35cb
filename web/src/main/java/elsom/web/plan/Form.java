package elsom.web.plan;

import elsom.web.platform.TooLarge;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * What was typed into a form, exactly as typed, so that a refused form comes back unchanged. Lines of a list are named
 * {@code list[0].field}.
 */
public final class Form {
    private static final Pattern LINE = Pattern.compile("([a-z]+)\\[(\\d{1,3})]\\.[a-zA-Z]+");
    static final String REVISION = "revision";
    private static final Pattern REVISION_SHAPE = Pattern.compile("[0-9]{1,15}");
    private static final int LONGEST = 20_000;
    private static final int MOST_LINES = 60;

    private final Map<String, String> typed;

    private Form(Map<String, String> typed) {
        this.typed = typed;
    }

    /** A form as it was sent; of fields sent more than once, all values are kept, parted by spaces. */
    static Form sent(Map<String, String[]> parameters) {
        Map<String, String> typed = new TreeMap<>();
        parameters.forEach((name, values) -> {
            String text = String.join(" ", values);
            if (text.length() > LONGEST) {
                throw new TooLarge("A field of a plan has at most " + LONGEST + " characters; one of these has "
                        + text.length() + ". Go back: what you typed is still there.");
            }
            typed.put(name, text);
        });
        return new Form(typed);
    }

    /** Fills a form from what is stored. */
    static final class UnitFill {
        private final Map<String, String> typed = new LinkedHashMap<>();

        UnitFill put(String name, Object value) {
            typed.put(name, value.toString());
            return this;
        }

        UnitFill put(String list, int line, String field, Object value) {
            return put(name(list, line, field), value);
        }

        UnitFill tick(String name, boolean ticked) {
            if (ticked) {
                typed.put(name, "true");
            }
            return this;
        }

        Form form() {
            return new Form(Map.copyOf(typed));
        }
    }

    static String name(String list, int line, String field) {
        return list + "[" + line + "]." + field;
    }

    /** The text of a field without spaces around it; empty when it was not sent. */
    public String text(String name) {
        return typed.getOrDefault(name, "").strip();
    }

    public String text(String list, int line, String field) {
        return text(name(list, line, field));
    }

    public boolean ticked(String name) {
        return !text(name).isEmpty();
    }

    public boolean ticked(String list, int line, String field) {
        return ticked(name(list, line, field));
    }

    /** The revision of the plan that the form was filled from; null when it was not sent. */
    @Nullable
    Long revision() {
        String text = text(REVISION);
        return REVISION_SHAPE.matcher(text).matches() ? Long.valueOf(text) : null;
    }

    /** The fields that were sent. */
    Set<String> names() {
        return typed.keySet();
    }

    /** The values of a field that is sent once for each tick. */
    public List<String> values(String name) {
        return text(name).isEmpty() ? List.of() : List.of(text(name).split(" +"));
    }

    /** Lines of a list that were sent, blank ones too. */
    public int lines(String list) {
        int last = -1;
        for (String name : typed.keySet()) {
            Matcher line = LINE.matcher(name);
            if (line.matches() && line.group(1).equals(list)) {
                last = Math.max(last, Integer.parseInt(line.group(2)));
            }
        }
        return Math.min(last + 1, MOST_LINES);
    }
}
