package elsom.core.notebook;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Pattern;

/**
 * A line of a notebook: one pot, bag or tray.
 *
 * @param treatment as it is called there
 * @param values one for each thing that was measured; empty where it is not known
 * @param on when it was measured; empty where it is not known
 * @param note whatever else is written; may be empty
 */
public record Line(String treatment, List<OptionalDouble> values, Optional<LocalDate> on, String note) {
    private static final Pattern NUMBER = Pattern.compile("[-−+]?\\d{1,9}(?:[.,]\\d{1,6})?");
    private static final Pattern UNKNOWN =
            Pattern.compile("[-–?]|n/?a|unknown|not known|lost", Pattern.CASE_INSENSITIVE);
    private static final List<DateTimeFormatter> DATES = List.of(
            DateTimeFormatter.ISO_LOCAL_DATE,
            DateTimeFormatter.ofPattern("d.M.yyyy", Locale.ENGLISH),
            DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH),
            DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH));

    public Line {
        values = List.copyOf(values);
    }

    /**
     * Reads "bag one; 420; 3 May 2026; dried out once": parts between semicolons or tabs.
     *
     * @param measures how many values stand in a line
     * @throws IllegalArgumentException saying what can't be read, with an accepted example
     */
    static Line read(String text, int measures) {
        List<String> parts =
                Arrays.stream(text.split("[;\\t]")).map(String::strip).toList();
        if (parts.get(0).isEmpty()) {
            throw new IllegalArgumentException("it begins with no treatment. Accepted: bag one; 420");
        }
        List<OptionalDouble> values = new ArrayList<>();
        for (int i = 1; i <= measures; i++) {
            values.add(i < parts.size() ? value(parts.get(i)) : OptionalDouble.empty());
        }
        Optional<LocalDate> on = Optional.empty();
        List<String> notes = new ArrayList<>();
        for (String part : parts.subList(Math.min(parts.size(), measures + 1), parts.size())) {
            Optional<LocalDate> date = on.isEmpty() ? date(part) : Optional.empty();
            if (date.isPresent()) {
                on = date;
            } else if (!part.isEmpty()) {
                notes.add(part);
            }
        }
        return new Line(parts.get(0), values, on, String.join("; ", notes));
    }

    private static OptionalDouble value(String part) {
        if (part.isEmpty() || UNKNOWN.matcher(part).matches()) {
            return OptionalDouble.empty();
        }
        if (!NUMBER.matcher(part).matches()) {
            throw new IllegalArgumentException(
                    "“" + part + "” is no number; a value that is not known is “?”. Accepted: 420 or 4.2 or ?");
        }
        return OptionalDouble.of(
                Double.parseDouble(part.replace(',', '.').replace('−', '-').replace("+", "")));
    }

    private static Optional<LocalDate> date(String part) {
        return DATES.stream().flatMap(format -> date(part, format).stream()).findFirst();
    }

    private static Optional<LocalDate> date(String part, DateTimeFormatter format) {
        try {
            return Optional.of(LocalDate.parse(part, format));
        } catch (DateTimeException other) {
            return Optional.empty();
        }
    }
}
