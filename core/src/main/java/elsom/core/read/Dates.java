package elsom.core.read;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.Month;
import java.time.Year;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;

/** A day: of a reading never one to come, of a plan any; none that may be two. */
final class Dates {
    private static final Map<String, Integer> WEEKDAYS =
            Map.of("monday", 1, "tuesday", 2, "wednesday", 3, "thursday", 4, "friday", 5, "saturday", 6, "sunday", 7);
    private static final int EARLIEST = 1970;
    private static final int CENTURY = 2000;
    private static final int SOON = 6;

    private Dates() {}

    static Read read(Piece piece) {
        LocalDate today = piece.known().today();
        String plain = Physical.lower(piece.plain()).replace(".", " . ").strip();
        return switch (plain) {
            case "today" -> day(piece, today);
            case "yesterday" -> day(piece, today.minusDays(1));
            case "tomorrow" -> future(piece, today.plusDays(1));
            default -> written(piece, today);
        };
    }

    private static Read day(Piece piece, LocalDate date) {
        return new Read.Value(new Read.Day(date), "date").noted(piece.about(), "", "");
    }

    private static Read future(Piece piece, LocalDate date) {
        return piece.box() == Box.DAY_PLANNED ? day(piece, date) : refusedAsToCome(piece, date);
    }

    private static Read refusedAsToCome(Piece piece, LocalDate date) {
        return new Read.Refused(
                "“" + piece.plain() + "” is " + date + ", and a reading can't lie in the future", Box.DATE.example());
    }

    private static Read written(Piece piece, LocalDate today) {
        List<Measured> span = piece.amounts().at(0);
        if (!span.isEmpty()
                && piece.has(span.get(0).next(), "ago")
                && piece.ends(span.get(0).next() + 1)) {
            return ago(piece, span, today);
        }
        Optional<Read> compact = compact(piece, today);
        if (compact.isPresent()) {
            return compact.get();
        }
        List<Integer> numbers = new ArrayList<>();
        OptionalInt month = OptionalInt.empty();
        boolean unread = false;
        int monthAt = -1;
        for (String part : piece.plain().split("[\\s,./-]+|(?<=[0-9])(?:st|nd|rd|th)\\b")) {
            String word = Physical.lower(part).replaceAll("^(\\d{1,2})(?:st|nd|rd|th)$", "$1");
            if (word.matches("\\d{1,4}")) {
                numbers.add(Integer.parseInt(word));
            } else if (month(word).isPresent() && month.isEmpty()) {
                month = month(word);
                monthAt = numbers.size();
            } else if (!word.isEmpty() && !word.equals("of") && !word.equals("the") && !WEEKDAYS.containsKey(word)) {
                unread = true;
            }
        }
        if (unread || (numbers.isEmpty() && month.isEmpty())) {
            return new Read.Ask("Which day is “" + piece.plain() + "”? Type it as " + Box.DATE.example() + ".");
        }
        return month.isPresent()
                ? named(piece, today, numbers, month.getAsInt(), monthAt)
                : numbered(piece, today, numbers);
    }

    private static Read ago(Piece piece, List<Measured> span, LocalDate today) {
        for (Measured m : span) {
            if (m.is(Units.TIME) && !m.range() && m.value() >= 0 && m.base() / 24 == Math.rint(m.base() / 24)) {
                double days = m.base() / 24;
                return days > 36_525
                        ? piece.refused("“" + piece.plain() + "” is too long ago")
                        : day(piece, today.minusDays((long) days));
            }
            if (m.is(Unit.Nature.MONTH) && m.value() == Math.rint(m.value()) && m.value() >= 0 && m.value() < 1200) {
                return day(piece, today.minusMonths((long) m.value()));
            }
            if (m.is(Unit.Nature.YEAR) && m.value() == Math.rint(m.value()) && m.value() >= 0 && m.value() < 100) {
                return day(piece, today.minusYears((long) m.value()));
            }
        }
        return new Read.Ask("Which day was “" + piece.plain() + "”? Type it as " + Box.DATE.example() + ".");
    }

    /** "20261119". */
    private static Optional<Read> compact(Piece piece, LocalDate today) {
        String text = piece.plain();
        if (!text.matches("(?:19|20)\\d{6}")) {
            return Optional.empty();
        }
        return Optional.of(dated(
                piece,
                today,
                Integer.parseInt(text.substring(0, 4)),
                Integer.parseInt(text.substring(4, 6)),
                Integer.parseInt(text.substring(6))));
    }

    private static OptionalInt month(String word) {
        if (word.length() < 3) {
            return OptionalInt.empty();
        }
        for (Month month : Month.values()) {
            String name = Physical.lower(month.name());
            if (name.equals(word)
                    || name.substring(0, 3).equals(word)
                    || (word.equals("sept") && month == Month.SEPTEMBER)) {
                return OptionalInt.of(month.getValue());
            }
        }
        return OptionalInt.empty();
    }

    private static Read named(Piece piece, LocalDate today, List<Integer> numbers, int month, int monthAt) {
        if (numbers.isEmpty()) {
            return new Read.Ask("Which day of it is “" + piece.plain() + "”? Type it as " + Box.DATE.example() + ".");
        }
        if (numbers.size() == 2) {
            boolean yearFirst = numbers.get(0) > 31;
            int day = yearFirst ? numbers.get(1) : numbers.get(0);
            int year = yearFirst ? numbers.get(0) : numbers.get(1);
            return dated(piece, today, year < 100 ? CENTURY + year : year, month, day);
        }
        if (numbers.size() > 2) {
            return new Read.Refused("“" + piece.plain() + "” holds too many numbers for a day", Box.DATE.example());
        }
        int number = numbers.get(0);
        if (number > 31) {
            return new Read.Ask("Which day of it is “" + piece.plain() + "”? Type it as " + Box.DATE.example() + ".");
        }
        if (monthAt == 0
                && number == today.getYear() % 100
                && number <= Month.of(month).maxLength()) {
            return new Read.Ask(
                    "“" + piece.plain() + "”: a day, or a year?",
                    List.of(number + " " + piece.plain().split(" ")[0] + " " + today.getYear()));
        }
        return withoutYear(piece, today, month, number);
    }

    /** The last such day, asked about where this year's is still to come. */
    private static Read withoutYear(Piece piece, LocalDate today, int month, int day) {
        if (day < 1 || day > Month.of(month).maxLength()) {
            return new Read.Refused("There is no such day as “" + piece.plain() + "”", Box.DATE.example());
        }
        if (day > Month.of(month).length(Year.isLeap(today.getYear()))) {
            return new Read.Ask("Of which year is “" + piece.plain() + "”?");
        }
        LocalDate date = LocalDate.of(today.getYear(), month, day);
        if (piece.box() == Box.DAY_PLANNED) {
            return nextSuch(piece, today, date);
        }
        return date.isAfter(today)
                ? new Read.Ask(
                        "“" + piece.plain() + "” of " + today.getYear() + " is still to come: is it last year's,",
                        List.of(date.minusYears(1).toString()))
                : day(piece, date);
    }

    /** A planned day without a year is the next such; asked about where this year's is hardly over. */
    private static Read nextSuch(Piece piece, LocalDate today, LocalDate date) {
        LocalDate next = date.plusYears(1);
        return !date.isBefore(today)
                ? day(piece, date)
                : next.isBefore(today.plusMonths(SOON))
                        ? day(piece, next)
                        : new Read.Ask(
                                "“" + piece.plain() + "” of " + today.getYear() + " is over: is it next year's,",
                                List.of(next.toString()));
    }

    private static Read numbered(Piece piece, LocalDate today, List<Integer> numbers) {
        if (numbers.size() == 3 && numbers.get(0) >= EARLIEST) {
            return dated(piece, today, numbers.get(0), numbers.get(1), numbers.get(2));
        }
        if (numbers.size() < 2 || numbers.size() > 3) {
            return new Read.Ask("Which day is “" + piece.plain() + "”? Type it as " + Box.DATE.example() + ".");
        }
        int a = numbers.get(0);
        int b = numbers.get(1);
        boolean yearless = numbers.size() == 2;
        int year = yearless ? today.getYear() : numbers.get(2) < 100 ? CENTURY + numbers.get(2) : numbers.get(2);
        if (a > 12 && b > 12) {
            return new Read.Refused("There is no such day as “" + piece.plain() + "”", Box.DATE.example());
        }
        if (a > 12 || b > 12 || a == b) {
            int day = a > 12 ? a : b;
            int month = a > 12 ? b : a;
            return yearless && month >= 1 && day >= 1
                    ? withoutYear(piece, today, month, day)
                    : dated(piece, today, year, month, day);
        }
        if (a < 1 || b < 1) {
            return new Read.Refused("There is no such day as “" + piece.plain() + "”", Box.DATE.example());
        }
        return new Read.Ask(
                "“" + piece.plain() + "” is read in two ways:",
                List.of(
                        LocalDate.of(year, b, a).toString(),
                        LocalDate.of(year, a, b).toString()));
    }

    private static Read dated(Piece piece, LocalDate today, int year, int month, int day) {
        if (year < EARLIEST || year > 2200) {
            return new Read.Refused("“" + piece.plain() + "” lies outside the years 1970 to 2199", Box.DATE.example());
        }
        try {
            LocalDate date = LocalDate.of(year, month, day);
            return date.isAfter(today) ? future(piece, date) : day(piece, date);
        } catch (DateTimeException none) {
            return new Read.Refused("There is no such day as “" + piece.plain() + "”", Box.DATE.example());
        }
    }
}
