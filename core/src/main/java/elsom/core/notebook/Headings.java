package elsom.core.notebook;

import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Box;
import elsom.core.read.Known;
import elsom.core.read.Read;
import elsom.core.read.Reader;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The first row of a table that was copied in: what each of its columns holds.
 *
 * @param columns in the order they stand in
 */
public record Headings(List<Column> columns) {
    private static final Pattern IN_BRACKETS = Pattern.compile("[(\\[,]([^)\\]]+)[)\\]]?\\s*$");

    /**
     * A column.
     *
     * @param day that its heading names; empty where it names none
     */
    public record Column(String title, Holds holds, Optional<LocalDate> day) {}

    public Headings {
        columns = List.copyOf(columns);
    }

    /**
     * What a first row tells, if it is one of headings: nothing in it is a value, and something is known by its heading.
     *
     * @param measured names of what was measured, in order
     */
    static Optional<Headings> of(List<String> cells, List<String> measured, LocalDate today) {
        if (cells.size() < 2 || cells.stream().anyMatch(cell -> value(cell, today))) {
            return Optional.empty();
        }
        cells.stream()
                .flatMap(cell -> twoDays(cell, today).stream())
                .findFirst()
                .ifPresent(ask -> {
                    throw new IllegalArgumentException(ask.why() + " Accepted: 3 May 2026");
                });
        List<Column> columns = new ArrayList<>();
        Set<Holds> taken = EnumSet.noneOf(Holds.class);
        boolean known = false;
        for (String cell : cells) {
            Optional<LocalDate> day = day(cell, today);
            Optional<Holds> holds = day.isPresent()
                    ? Optional.of(Holds.ON_ITS_DAY)
                    : named(cell, measured).or(() -> Holds.headed(cell));
            known |= holds.isPresent();
            if (holds.equals(Optional.of(Holds.TREATMENT)) && taken.contains(Holds.TREATMENT)) {
                holds = Optional.of(Holds.SECOND);
            }
            Optional<Holds> free = holds.filter(one -> one == Holds.ON_ITS_DAY || taken.add(one));
            columns.add(new Column(cell, free.orElse(Holds.NOTHING), day));
        }
        return known ? Optional.of(new Headings(filled(columns, taken, measured.size()))) : Optional.empty();
    }

    /** Columns that no heading tells of: the first is what is compared, the next are what was measured. */
    private static List<Column> filled(List<Column> columns, Set<Holds> taken, int measured) {
        List<Column> filled = new ArrayList<>();
        boolean onDays = columns.stream().anyMatch(column -> column.holds() == Holds.ON_ITS_DAY);
        for (Column column : columns) {
            Holds holds = column.holds();
            if (holds == Holds.NOTHING && !column.title().isBlank()) {
                if (taken.add(Holds.TREATMENT)) {
                    holds = Holds.TREATMENT;
                } else {
                    for (int i = 0; i < measured && holds == Holds.NOTHING && !onDays; i++) {
                        holds = taken.add(Holds.measured(i)) ? Holds.measured(i) : Holds.NOTHING;
                    }
                }
            }
            boolean unsaid = holds == Holds.NOTHING && !column.title().isBlank();
            filled.add(new Column(column.title(), unsaid ? Holds.UNSAID : holds, column.day()));
        }
        return filled;
    }

    private static boolean value(String cell, LocalDate today) {
        return !cell.isEmpty()
                && day(cell, today).isEmpty()
                && twoDays(cell, today).isEmpty()
                && cell.matches("[-+<>~]?[0-9].*|[?]|(?i)lost|dead|died|unknown");
    }

    /** What is asked of a heading that may be one day or another. */
    private static Optional<Read.Ask> twoDays(String cell, LocalDate today) {
        return cell.matches("[0-9]{1,4}[./-][0-9]{1,2}[./-][0-9]{2,4}")
                        && Reader.read(Box.DATE, cell, Known.on(today)) instanceof Read.Ask ask
                ? Optional.of(ask)
                : Optional.empty();
    }

    private static Optional<Holds> named(String cell, List<String> measured) {
        String plain = plain(cell);
        for (int i = 0; i < measured.size(); i++) {
            if (!plain.isEmpty() && plain.equals(plain(measured.get(i)))) {
                return Optional.of(Holds.measured(i));
            }
        }
        return Optional.empty();
    }

    /** Without a unit in brackets or behind a comma. */
    private static String plain(String name) {
        return name.replaceAll("[(\\[,].*$", "").strip().toLowerCase(Locale.ROOT);
    }

    private static Optional<LocalDate> day(String cell, LocalDate today) {
        return cell.chars().anyMatch(Character::isDigit)
                        && Reader.read(Box.DATE, cell, Known.on(today)) instanceof Read.Value value
                        && value.meaning() instanceof Read.Day day
                ? Optional.of(day.date())
                : Optional.empty();
    }

    /**
     * With what somebody said the columns hold.
     *
     * @param chosen one for each column; others are left as they are
     */
    Headings chosen(List<Holds> chosen) {
        if (chosen.size() != columns.size()) {
            return this;
        }
        List<Column> own = new ArrayList<>();
        for (int i = 0; i < columns.size(); i++) {
            own.add(new Column(
                    columns.get(i).title(), chosen.get(i), columns.get(i).day()));
        }
        return new Headings(own);
    }

    /** Why its columns can't be read like this; empty when they can. */
    Optional<String> problem(List<Notebook.Measured> things) {
        int measured = things.size();
        for (Column column : columns) {
            int measure = column.holds().measure();
            Matcher unit = IN_BRACKETS.matcher(column.title());
            if (measure >= 0 && measure < measured && unit.find()) {
                UnitOfMeasure own = things.get(measure).unit();
                if (UnitOfMeasure.spelled(unit.group(1).strip())
                        .filter(said -> said != own)
                        .isPresent()) {
                    return Optional.of("The heading “" + column.title() + "” says "
                            + unit.group(1).strip()
                            + "; above, it is " + (own == UnitOfMeasure.COUNT ? "a count" : own.symbol())
                            + ". Which is it?");
                }
            }
        }
        if (times(Holds.UNSAID) > 0) {
            return Optional.of("What does the column “" + title(Holds.UNSAID) + "” hold? Say it below.");
        }
        for (Holds holds : Holds.values()) {
            long times = times(holds);
            if (times > 1 && holds != Holds.ON_ITS_DAY && holds != Holds.NOTHING) {
                return Optional.of("Two columns are said to hold " + holds.label() + ". Which one does?");
            }
            if (times > 0 && holds.measure() >= measured) {
                return Optional.of("A column is said to hold " + holds.label() + "; above, "
                        + (measured == 1 ? "one thing was" : measured + " things were") + " measured.");
            }
        }
        if (times(Holds.TREATMENT) == 0) {
            return Optional.of("Which column holds the treatment?");
        }
        if (onDays() && (measured > 1 || times(Holds.MEASURED_1) > 0 || times(Holds.DAY) > 0)) {
            return Optional.of(
                    "Days stand in the headings, so there is one thing that was measured on them, and no other"
                            + " column of it or of days. Copy a second in as a trial of its own.");
        }
        if (columns.stream()
                .anyMatch(column ->
                        column.holds() == Holds.ON_ITS_DAY && column.day().isEmpty())) {
            return Optional.of("A column is said to be of the day in its heading, which names none.");
        }
        return !onDays() && times(Holds.MEASURED_1) == 0
                ? Optional.of("Which column holds what was measured?")
                : Optional.empty();
    }

    private long times(Holds holds) {
        return columns.stream().filter(column -> column.holds() == holds).count();
    }

    /** Whether a row holds values of several days. */
    boolean onDays() {
        return times(Holds.ON_ITS_DAY) > 0;
    }

    /** What stands in a row under the one column of a kind; empty where nothing does. */
    String in(List<String> cells, Holds holds) {
        for (int i = 0; i < Math.min(cells.size(), columns.size()); i++) {
            if (columns.get(i).holds() == holds) {
                return cells.get(i);
            }
        }
        return "";
    }

    /** The heading of the one column of a kind; empty without one. */
    public String title(Holds holds) {
        return columns.stream()
                .filter(column -> column.holds() == holds)
                .map(Column::title)
                .findFirst()
                .orElse("");
    }
}
