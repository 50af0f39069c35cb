package elsom.core.notebook;

import elsom.core.plan.Direction;
import elsom.core.plan.Plan;
import elsom.core.quantity.Bounds;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.TrialRecord;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A trial as somebody wrote it into a notebook: what was asked, what was measured, a line for each pot and day.
 *
 * @param begun when it began; empty where it is not known
 * @param waterings what every pot got, where that is written down
 * @param factors what the treatments and the second thing that was varied are called; both empty without a second
 * @param going what is still to come of it
 */
public record Notebook(
        String question,
        List<Measured> measured,
        Optional<LocalDate> begun,
        List<Line> lines,
        List<Watering> waterings,
        Factors factors,
        Going going) {
    public static final int MOST_MEASURED = 3;
    public static final int MOST_LINES = 600;
    /** What is said where the day of some readings is not known. */
    public static final String SOME_DAYS = "when some were measured";

    /** Where units stood that nobody wrote down. */
    static final String PLACE = "Not written down";

    static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM uuuu", Locale.ENGLISH);
    private static final int MOST_WATERINGS = 200;

    /** Something that was measured. */
    public record Measured(String name, UnitOfMeasure unit, Direction better) {}

    /** What became of it: a plan and a trial that has run. */
    public record Copied(Plan plan, TrialRecord record) {}

    /** What two factors are called. */
    public record Factors(String first, String second) {
        public static final Factors NONE = new Factors("", "");
    }

    /** A pot with its lines, in order of time. */
    record Pot(String name, List<Line> lines) {}

    /**
     * What was read.
     *
     * @param headings of a table; empty for lines that follow the order of the form
     */
    public record Pages(Optional<Headings> headings, List<Line> lines) {
        /** A treatment whose lines are of several days and of pots without a name: other pots, or the same again? */
        public Optional<String> again() {
            Map<String, Set<LocalDate>> days = new HashMap<>();
            return lines.stream()
                    .filter(line -> line.pot().isEmpty() && line.on().isPresent())
                    .filter(line -> {
                        Set<LocalDate> own = days.computeIfAbsent(key(line), none -> new HashSet<>());
                        return own.add(line.on().orElseThrow()) && own.size() > 1;
                    })
                    .map(Line::treatment)
                    .findFirst();
        }

        /** With the first line of each day as the first pot, the second as the second, and so on. */
        public Pages samePots() {
            Map<String, Integer> times = new HashMap<>();
            return new Pages(
                    headings,
                    lines.stream()
                            .map(line -> line.pot().isEmpty()
                                    ? line.called(Line.ROW + times.merge(key(line) + '\n' + line.on(), 1, Integer::sum))
                                    : line)
                            .toList());
        }
    }

    public Notebook {
        Bounds.name("a question", question, Bounds.QUESTION);
        measured = Bounds.list("things that were measured", measured, 1, MOST_MEASURED);
        lines = Bounds.list("lines", lines, 1, MOST_LINES);
        for (int i = 0; i < measured.size(); i++) {
            int measure = i;
            long counted = lines.stream()
                    .filter(line -> line.values().get(measure).of() > 0)
                    .count();
            long known = lines.stream()
                    .filter(line -> line.values().get(measure).value().isPresent())
                    .count();
            if (counted > 0 && counted < known) {
                throw new IllegalArgumentException(measured.get(i).name()
                        + " is a count of so many in some lines and a bare number in others: of how many are those?"
                        + " Accepted: 7 of 10");
            }
        }
        waterings = Bounds.list("waterings", waterings, 0, MOST_WATERINGS);
        lines.stream()
                .filter(line -> line.on().filter(going.coming()::contains).isPresent())
                .findFirst()
                .ifPresent(line -> {
                    throw new IllegalArgumentException(DAY.format(line.on().orElseThrow())
                            + " was read already, and is still to come. Which is right?");
                });
        onlyOnceADay(lines);
        LocalDate first = begun.orElse(LocalDate.MIN);
        lines.stream()
                .filter(line -> line.on().isPresent() && line.on().get().isBefore(first))
                .findFirst()
                .ifPresent(line -> {
                    throw new IllegalArgumentException("“" + line.treatment() + "” was measured on "
                            + DAY.format(line.on().orElseThrow()) + ", before it began on " + DAY.format(first)
                            + ". Which day is right?");
                });
    }

    /** Whether units stand where nobody wrote down. */
    public static boolean copied(TrialRecord record) {
        return standsOn(record, PLACE);
    }

    /** Whether it was taken up under way, with its units where they stood. */
    public static boolean takenUp(TrialRecord record) {
        return standsOn(record, Stands.NAME);
    }

    private static boolean standsOn(TrialRecord record, String bench) {
        return !record.benches().isEmpty()
                && record.benches().stream().allMatch(one -> one.name().equals(bench));
    }

    private static void onlyOnceADay(List<Line> lines) {
        Set<String> seen = new HashSet<>();
        for (Line line : lines) {
            if (!line.pot().isEmpty() && !seen.add(key(line) + '\n' + name(line.pot()) + '\n' + line.on())) {
                throw new IllegalArgumentException("“" + line.treatment() + "”, pot " + line.pot() + ", stands twice "
                        + line.on().map(day -> "on " + DAY.format(day)).orElse("without a day")
                        + ". Is it another pot, or another day?");
            }
        }
    }

    static String name(String text) {
        return text.toLowerCase(Locale.ROOT);
    }

    /** What its treatment is known by. */
    static String key(Line line) {
        return name(line.treatment()) + '\n' + name(line.second());
    }

    /** The pots of each treatment, as they come. */
    Map<String, List<Pot>> pots() {
        Map<String, Map<String, List<Line>>> all = new LinkedHashMap<>();
        int alone = 0;
        for (Line line : lines) {
            String pot = line.pot().isEmpty() ? "\n" + ++alone : name(line.pot());
            all.computeIfAbsent(key(line), none -> new LinkedHashMap<>())
                    .computeIfAbsent(pot, none -> new ArrayList<>())
                    .add(line);
        }
        Map<String, List<Pot>> pots = new LinkedHashMap<>();
        all.forEach((key, own) -> pots.put(
                key,
                own.values().stream()
                        .map(of -> new Pot(
                                of.get(0).pot(),
                                of.stream()
                                        .sorted(Comparator.comparing(
                                                line -> line.on().orElse(LocalDate.MAX)))
                                        .toList()))
                        .toList()));
        return pots;
    }

    /**
     * Reads the lines, or a table under headings; each that can't be read is told.
     *
     * @param chosen what somebody said that the columns hold; empty for what their headings tell
     * @param problems what is wrong, by the number of the line
     */
    public static Pages read(
            String text, List<Measured> measured, List<Holds> chosen, LocalDate today, Map<Integer, String> problems) {
        List<UnitOfMeasure> units = measured.stream().map(Measured::unit).toList();
        List<Line> lines = new ArrayList<>();
        Optional<Headings> headings = Optional.empty();
        String[] typed = text.split("\\R");
        boolean first = true;
        for (int i = 0; i < typed.length; i++) {
            if (typed[i].isBlank()) {
                continue;
            }
            try {
                if (first) {
                    first = false;
                    headings = Headings.of(
                                    Line.parts(typed[i]),
                                    measured.stream().map(Measured::name).toList(),
                                    today)
                            .map(read -> read.chosen(chosen));
                    if (headings.isPresent()) {
                        Optional<String> problem = headings.get().problem(measured);
                        if (problem.isPresent()) {
                            problems.put(i + 1, problem.get());
                            return new Pages(headings, List.of());
                        }
                        continue;
                    }
                }
                if (headings.isPresent()) {
                    lines.addAll(Line.read(Line.parts(typed[i]), headings.get(), units, i + 1, today));
                } else {
                    lines.add(Line.read(typed[i], units, today));
                }
            } catch (IllegalArgumentException unreadable) {
                problems.put(i + 1, String.valueOf(unreadable.getMessage()));
            }
        }
        return new Pages(headings, lines);
    }

    /**
     * The trial, begun and read. Nobody knows where units stood, what they stood in or whether places were drawn at random: the plan
     * says so, and nothing is concluded from it.
     *
     * @param now the day that stands where none is known
     * @throws IllegalArgumentException if lines contradict each other, saying how
     */
    public Copied copied(ZoneId zone, Instant now, long seed) {
        return new Copying(this, zone, now, seed).copied();
    }
}
