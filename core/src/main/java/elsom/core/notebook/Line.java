package elsom.core.notebook;

import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Box;
import elsom.core.read.Known;
import elsom.core.read.Read;
import elsom.core.read.Reader;
import elsom.core.read.Typed;
import elsom.core.trial.UnderLimit;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Pattern;

/**
 * A line of a notebook: one pot, bag or tray on one day.
 *
 * @param treatment as it is called there
 * @param second the level of a second thing that was varied; empty where there is none
 * @param pot what the pot is called among those of its treatment; empty for one that has only this line
 * @param values one for each thing that was measured
 * @param on when it was measured; empty where it is not known
 * @param note whatever else is written; may be empty
 */
public record Line(
        String treatment, String second, String pot, List<Written> values, Optional<LocalDate> on, String note) {
    /**
     * A value as it was written.
     *
     * @param value empty where it is not known
     * @param of what a count was counted among; 0 for what is none
     */
    public record Written(OptionalDouble value, int of, String typed) {
        static final Written UNKNOWN = new Written(OptionalDouble.empty(), 0, "?");
    }

    /** What a pot is called that has no name there, with its row. */
    static final String ROW = "row ";

    /** Figures that may be a day. */
    private static final Pattern DATED = Pattern.compile(
            "^[0-9]{1,4}[./-][0-9]{1,2}(?:[./-][0-9]{0,4})?$|(?i)\\b(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*\\b.*[0-9]|"
                    + "[0-9].*\\b(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)");

    public Line {
        values = List.copyOf(values);
    }

    /**
     * Reads "bag one; 420; 3 May 2026; dried out once": parts between semicolons or tabs.
     *
     * @param units of the values that stand in a line
     * @throws IllegalArgumentException saying what can't be read, with an accepted example
     */
    static Line read(String text, List<UnitOfMeasure> units, LocalDate today) {
        List<String> parts = parts(text);
        if (parts.get(0).isEmpty()) {
            throw new IllegalArgumentException("it begins with no treatment. Accepted: bag one; 420");
        }
        List<Written> values = new ArrayList<>();
        for (int i = 1; i <= units.size(); i++) {
            values.add(i < parts.size() ? value(parts.get(i), units.get(i - 1)) : Written.UNKNOWN);
        }
        Optional<LocalDate> on = Optional.empty();
        boolean dated = false;
        List<String> notes = new ArrayList<>();
        for (String part : parts.subList(Math.min(parts.size(), units.size() + 1), parts.size())) {
            Optional<Read> day = dated ? Optional.empty() : day(part, today);
            if (day.isPresent()) {
                dated = true;
                on = date(part, day.get());
            } else if (!part.isEmpty()) {
                notes.add(part);
            }
        }
        return new Line(parts.get(0), "", "", values, on, String.join("; ", notes));
    }

    Line called(String name) {
        return new Line(treatment, second, name, values, on, note);
    }

    static List<String> parts(String text) {
        return Arrays.stream(text.split("[;\\t]", -1)).map(String::strip).toList();
    }

    /**
     * Reads a row of a table: a line, or one for each day that has a value.
     *
     * @param row its number, which stands for a pot that has no name
     * @throws IllegalArgumentException saying what can't be read, with an accepted example
     */
    static List<Line> read(List<String> cells, Headings headings, List<UnitOfMeasure> units, int row, LocalDate today) {
        String treatment = headings.in(cells, Holds.TREATMENT);
        if (treatment.isEmpty()) {
            throw new IllegalArgumentException(
                    "nothing stands under “" + headings.title(Holds.TREATMENT) + "”, which holds the treatment");
        }
        if (cells.size() > headings.columns().size()
                && cells.subList(headings.columns().size(), cells.size()).stream()
                        .anyMatch(cell -> !cell.isEmpty())) {
            throw new IllegalArgumentException("it has " + cells.size() + " parts, and there are "
                    + headings.columns().size() + " headings");
        }
        String second = headings.in(cells, Holds.SECOND);
        String pot = headings.in(cells, Holds.POT);
        String note = headings.in(cells, Holds.NOTE);
        if (!headings.onDays()) {
            List<Written> values = new ArrayList<>();
            for (int i = 0; i < units.size(); i++) {
                values.add(value(headings.in(cells, Holds.measured(i)), units.get(i)));
            }
            return List.of(new Line(treatment, second, pot, values, told(headings.in(cells, Holds.DAY), today), note));
        }
        List<Line> lines = new ArrayList<>();
        for (int i = 0; i < Math.min(cells.size(), headings.columns().size()); i++) {
            if (headings.columns().get(i).holds() == Holds.ON_ITS_DAY
                    && !cells.get(i).isEmpty()) {
                lines.add(new Line(
                        treatment,
                        second,
                        pot.isEmpty() ? ROW + row : pot,
                        List.of(value(cells.get(i), units.get(0))),
                        headings.columns().get(i).day(),
                        ""));
            }
        }
        if (lines.isEmpty()) {
            return List.of(new Line(treatment, second, pot, List.of(Written.UNKNOWN), Optional.empty(), note));
        }
        Line last = lines.remove(lines.size() - 1);
        lines.add(new Line(treatment, second, last.pot(), last.values(), last.on(), note));
        return lines;
    }

    /** A day that stands under a heading for days. */
    private static Optional<LocalDate> told(String cell, LocalDate today) {
        if (cell.isEmpty() || known(cell, Known.on(today))) {
            return Optional.empty();
        }
        return date(cell, Reader.read(Box.DATE, cell, Known.on(today)));
    }

    private static Written value(String part, UnitOfMeasure unit) {
        Known known = Known.on(LocalDate.EPOCH);
        if (part.isEmpty() || part.equalsIgnoreCase("lost") || known(part, known)) {
            return Written.UNKNOWN;
        }
        boolean counted = unit == UnitOfMeasure.COUNT && part.matches("(?i).*(?:[0-9] ?/ ?[0-9]|\\bof\\b).*");
        if (counted) {
            Read read = Reader.read(Box.COUNT_OF_N, part, known);
            if (read instanceof Read.Value value
                    && value.meaning() instanceof Read.Counted count
                    && value.note().isEmpty()) {
                return new Written(OptionalDouble.of(count.count()), count.of(), count.count() + " of " + count.of());
            }
            throw new IllegalArgumentException(why(part, read, "7 of 10"));
        }
        Typed typed = UnderLimit.typed(part, unit).orElseGet(() -> Typed.parse(part, unit));
        if (typed instanceof Typed.Refused refused) {
            throw new IllegalArgumentException(
                    "“" + part + "”: " + refused.problem().replaceAll("[.]$", "")
                            + "; a value that is not known is “?”. Accepted: 420 or 4.2 or ?");
        }
        return new Written(OptionalDouble.of(((Typed.Understood) typed).stored().value()), 0, part);
    }

    private static boolean known(String part, Known known) {
        return Reader.read(Box.FREE, part, known) instanceof Read.Value value
                && value.meaning() instanceof Read.Unknown;
    }

    private static String why(String part, Read read, String accepted) {
        return read instanceof Read.Ask ask
                ? ask.why() + " Accepted: " + accepted
                : read instanceof Read.Refused refused
                        ? refused.problem() + ". Accepted: " + accepted
                        : "“" + part + "” says more than a value; put the rest behind it. Accepted: " + accepted;
    }

    /** What is written as a day, or is unknown; anything else is a note. */
    private static Optional<Read> day(String part, LocalDate today) {
        Read read = Reader.read(Box.DATE, part, Known.on(today));
        boolean figures = part.chars().anyMatch(Character::isDigit)
                && part.matches("[\\p{L}0-9 ./,-]{3,30}")
                && DATED.matcher(part).find();
        return read instanceof Read.Value || figures ? Optional.of(read) : Optional.empty();
    }

    private static Optional<LocalDate> date(String part, Read read) {
        if (read instanceof Read.Value value) {
            return value.meaning() instanceof Read.Day day ? Optional.of(day.date()) : Optional.empty();
        }
        throw new IllegalArgumentException(why(part, read, "3 May 2026, or ?"));
    }
}
