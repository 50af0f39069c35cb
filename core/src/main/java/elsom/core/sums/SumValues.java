package elsom.core.sums;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Known;
import elsom.core.read.Typed;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;

/** What was written in a sum's blanks, with a message at each that can't be. */
public final class SumValues {
    private static final int LONGEST = 60;

    /** Numbers of a group, pasted. */
    private static final int LONGEST_TEXT = 600;

    private final Map<String, Double> quantities = new HashMap<>();
    private final Map<String, String> texts = new HashMap<>();
    private final Map<String, String> written = new LinkedHashMap<>();
    private final Map<String, String> problems = new LinkedHashMap<>();

    private final Known known;

    private SumValues(Known known) {
        this.known = known;
    }

    /** Reads what was typed; a blank that is missing has its example, an empty optional one stays empty. */
    public static SumValues read(List<SumField> fields, Map<String, String> typed, Known known) {
        SumValues values = new SumValues(known);
        for (SumField field : fields) {
            String text = typed.getOrDefault(field.code(), field.optional() ? "" : field.example())
                    .strip();
            int longest = field.kind() == SumField.Kind.TEXT ? LONGEST_TEXT : LONGEST;
            if (text.length() > longest) {
                values.problems.put(field.code(), "At most " + longest + " characters. Accepted: " + field.example());
            } else if (!text.isEmpty() || !field.optional()) {
                values.take(field, text);
            }
        }
        return values;
    }

    private void take(SumField field, String text) {
        switch (field.kind()) {
            case TEXT -> texts.put(field.code(), text);
            case CHOICE -> {
                if (field.options().stream().anyMatch(option -> option.code().equals(text))) {
                    texts.put(field.code(), text);
                } else {
                    problems.put(field.code(), "Choose one of those offered. Accepted: " + field.example());
                }
            }
            case QUANTITY -> quantity(field, text);
        }
    }

    private void quantity(SumField field, String text) {
        written.put(field.code(), text);
        String bare = field.unit() == UnitOfMeasure.COUNT ? text.replace("%", "") : text;
        Typed typed = Typed.parse(bare, field.unit(), known);
        if (typed instanceof Typed.Refused refused) {
            problems.put(field.code(), refused.message("Accepted: " + field.example()));
            return;
        }
        double value = ((Typed.Understood) typed).stored().value();
        if (value < field.lowest() || value > field.highest()) {
            String symbol = field.unit().symbol();
            problems.put(
                    field.code(),
                    "It can be " + Decimals.upTo(field.lowest(), 4) + " to "
                            + (Decimals.upTo(field.highest(), 4) + " " + symbol).strip() + ", got "
                            + (Decimals.upTo(value, 4) + " " + symbol).strip() + ". Accepted: " + field.example());
            return;
        }
        quantities.put(field.code(), value);
    }

    /** A quantity in its field's unit. */
    public double quantity(String code) {
        return Objects.requireNonNull(quantities.get(code), code);
    }

    /** A quantity as it was typed. */
    public String written(String code) {
        return written.getOrDefault(code, "");
    }

    /** All quantities as they were typed. */
    Collection<String> amounts() {
        List<String> all = new ArrayList<>(written.values());
        all.addAll(texts.values());
        return all;
    }

    /** A quantity that may be missing. */
    public OptionalDouble optional(String code) {
        Double value = quantities.get(code);
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    /** A choice or a text; empty when it is missing. */
    public String text(String code) {
        return texts.getOrDefault(code, "");
    }

    /** What is known of who typed it. */
    Known known() {
        return known;
    }

    /** Messages by the code of their field. */
    public Map<String, String> problems() {
        return Map.copyOf(problems);
    }

    /** Adds what only the sum itself can see, such as a target that is stronger than its stock. */
    SumValues refuse(String code, String problem) {
        problems.putIfAbsent(code, problem);
        return this;
    }
}
