package elsom.web.plan;

import elsom.core.notebook.Going;
import elsom.core.notebook.Headings;
import elsom.core.notebook.Holds;
import elsom.core.notebook.Line;
import elsom.core.notebook.Note;
import elsom.core.notebook.Notebook;
import elsom.core.notebook.Stands;
import elsom.core.notebook.Watering;
import elsom.core.plan.Direction;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Box;
import elsom.core.read.Moments;
import elsom.core.trial.Treatment;
import elsom.core.trial.Trial;
import elsom.core.trial.TrialId;
import elsom.web.trial.Trials;
import elsom.web.trial.WholeTrial;
import jakarta.servlet.http.HttpServletRequest;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Copies in a trial that was done without Elsom, what is not known left unknown. */
@Controller
class NotebookController {
    private static final String MEASURED = "measured";
    private static final DateTimeFormatter WRITTEN = DateTimeFormatter.ofPattern("EEE d MMM uuuu", Locale.ENGLISH);
    private static final int LONGEST = 40_000;

    private final Trials trials;
    private final Clock clock;
    private final SecureRandom seeds = new SecureRandom();

    NotebookController(Trials trials, Clock clock) {
        this.trials = trials;
        this.clock = clock;
    }

    /**
     * What the form offers.
     *
     * @param rows the lines that can't be read, each with its number and why
     */
    record NotebookPage(
            Form form,
            Problems problems,
            List<String> rows,
            List<Direction> directions,
            int measures,
            UUID token,
            Optional<Read> read) {}

    /**
     * The lines as they were read.
     *
     * @param headings as they stand in the first row, joined; empty without such a row
     * @param second what the second factor is called; empty without one
     * @param going what is still to come, and where units stand; empty of a trial that is over
     * @param whole all that is read, to know whether it was shown as it now stands
     */
    record Read(
            String headings,
            List<Headings.Column> columns,
            List<Holds> holds,
            boolean pots,
            String second,
            Optional<String> again,
            String going,
            List<String> names,
            List<Shown> shown,
            String whole) {}

    /** A line as it was read: what is not known says so. */
    record Shown(
            String treatment, String second, String pot, List<String> values, String on, String note, String told) {}

    private static Read read(
            Form form, Notebook.Pages pages, List<Notebook.Measured> measured, Optional<String> again, Going going) {
        return new Read(
                titles(pages.headings()),
                pages.headings().map(Headings::columns).orElse(List.of()),
                List.of(Holds.values()),
                pages.lines().stream().anyMatch(line -> !line.pot().isEmpty()),
                pages.headings().map(read -> read.title(Holds.SECOND)).orElse(""),
                again,
                says(going),
                measured.stream().map(Notebook.Measured::name).toList(),
                pages.lines().stream().map(line -> shown(line, measured)).toList(),
                whole(form, pages));
    }

    private static String says(Going going) {
        String coming = going.coming().stream().map(WRITTEN::format).collect(Collectors.joining(", "));
        String stands = going.stands()
                .map(where -> "Units stand in rows of "
                        + where.rows().stream()
                                .map(row -> Integer.toString(row.size()))
                                .collect(Collectors.joining(", "))
                        + " places.")
                .orElse(coming.isEmpty() ? "" : "Where units stand is not known.");
        return (coming.isEmpty() ? stands : "Looks to come: " + coming + ". " + stands).strip();
    }

    private static Shown shown(Line line, List<Notebook.Measured> measured) {
        return new Shown(
                line.treatment(),
                line.second(),
                line.pot(),
                IntStream.range(0, measured.size())
                        .mapToObj(
                                i -> shown(line.values().get(i), measured.get(i).unit()))
                        .toList(),
                line.on().map(Moments::written).orElse("not known"),
                line.note(),
                line.note().isEmpty()
                        ? ""
                        : Optional.of(Note.read(line.note()).says())
                                .filter(said -> !said.isEmpty())
                                .orElse("a note only"));
    }

    /** Browsers send a line's end as two characters. */
    private static String oneBreak(String text) {
        return text.replace("\r\n", "\n").strip();
    }

    private static String titles(Optional<Headings> headings) {
        return headings.map(read ->
                        read.columns().stream().map(Headings.Column::title).collect(Collectors.joining("; ")))
                .orElse("");
    }

    /** All that decides how the lines are read. */
    private static String whole(Form form, Notebook.Pages pages) {
        return oneBreak(String.join(
                "\n",
                form.text("lines"),
                form.text("waterings"),
                form.text("again"),
                form.text("coming"),
                form.text("stands"),
                pages.headings().map(Headings::toString).orElse("")));
    }

    private static String shown(Line.Written written, UnitOfMeasure unit) {
        return written.value().isEmpty()
                ? "not known"
                : written.of() > 0 || written.typed().startsWith("<")
                        ? written.typed()
                        : (Decimals.upTo(written.value().getAsDouble(), 4) + " " + unit.symbol()).strip();
    }

    private static NotebookPage page(Form form, Problems problems, List<String> rows, UUID token, Optional<Read> read) {
        return new NotebookPage(form, problems, rows, List.of(Direction.values()), Notebook.MOST_MEASURED, token, read);
    }

    @GetMapping("/trials/notebook")
    String ask(Model model) {
        model.addAttribute(
                "page", page(Form.sent(Map.of()), new Problems(), List.of(), UUID.randomUUID(), Optional.empty()));
        return "plan/notebook";
    }

    @PostMapping("/trials/notebook")
    ModelAndView copy(HttpServletRequest request, @RequestParam UUID token) {
        Form form = Form.sent(request.getParameterMap());
        Problems problems = new Problems();
        String question = problems.required(
                "question",
                form.text("question"),
                Trial.LONGEST_QUESTION,
                "What was it about, as a sentence? Accepted: Three bags, three mixes: which holds longest?");
        List<Notebook.Measured> measured = measured(form, problems);
        LocalDate today = LocalDate.now(clock.withZone(ZoneId.systemDefault()));
        Optional<LocalDate> begun = form.text("begun").isEmpty()
                ? Optional.empty()
                : problems.tried("begun", () -> Moments.day(form.text("begun"), Box.DATE, today));
        Map<Integer, String> unreadable = new TreeMap<>();
        Notebook.Pages typed = pages(form, measured, today, unreadable, problems);
        Optional<String> unclear = typed.again();
        boolean same = form.text("again").equals("SAME");
        if (problems.none() && unclear.isPresent() && form.text("again").isEmpty()) {
            problems.add(
                    "again", "“" + unclear.get() + "” stands there for several days. Other pots, or the same again?");
        }
        Notebook.Pages pages = unclear.isPresent() && same ? typed.samePots() : typed;
        List<String> rows = rows(unreadable);
        List<Watering> waterings = waterings(form, today, problems);
        Going going = going(form, today, problems);
        Optional<Notebook.Copied> copied = problems.none()
                ? copied(
                        () -> new Notebook(question, measured, begun, pages.lines(), waterings, factors(pages), going),
                        problems)
                : Optional.empty();
        Optional<Read> read = typed.headings().isPresent() || (copied.isPresent() || unclear.isPresent())
                ? Optional.of(read(form, pages, measured, unclear, going))
                : Optional.empty();
        if (copied.isEmpty()) {
            return new ModelAndView(
                    "plan/notebook",
                    Map.of("page", page(form, problems, rows, token, read)),
                    HttpStatus.UNPROCESSABLE_CONTENT);
        }
        if (!oneBreak(form.text("read")).equals(whole(form, typed))) {
            return new ModelAndView("plan/notebook", Map.of("page", page(form, problems, List.of(), token, read)));
        }
        TrialId id =
                trials.create(new WholeTrial(copied.get().record(), copied.get().plan(), List.of()), token);
        return new ModelAndView("redirect:/trials/" + id + (going.goesOn() ? "/bench" : "/fair"));
    }

    private Optional<Notebook.Copied> copied(Supplier<Notebook> notebook, Problems problems) {
        try {
            return problems.tried(
                    "lines",
                    () -> notebook.get().copied(ZoneId.systemDefault(), clock.instant(), seeds.nextInt(1_000_000)));
        } catch (Stands.Unfit unfit) {
            problems.add("stands", String.valueOf(unfit.getMessage()));
            return Optional.empty();
        }
    }

    private static Going going(Form form, LocalDate today, Problems problems) {
        List<LocalDate> coming = problems.tried("coming", () -> Going.days(form.text("coming"), today))
                .orElse(List.of());
        Optional<Stands> stands = form.text("stands").isEmpty()
                ? Optional.empty()
                : problems.tried("stands", () -> Stands.read(form.text("stands")));
        return new Going(coming, stands, today);
    }

    private static Notebook.Factors factors(Notebook.Pages pages) {
        return pages.headings()
                .map(read -> new Notebook.Factors(read.title(Holds.TREATMENT), read.title(Holds.SECOND)))
                .orElse(Notebook.Factors.NONE);
    }

    private static List<String> rows(Map<Integer, String> unreadable) {
        return unreadable.entrySet().stream()
                .map(row -> "Line " + row.getKey() + ": " + row.getValue())
                .toList();
    }

    private static List<Watering> waterings(Form form, LocalDate today, Problems problems) {
        Map<Integer, String> unreadable = new TreeMap<>();
        List<Watering> all = Watering.read(form.text("waterings"), today, unreadable);
        if (!unreadable.isEmpty()) {
            problems.add("waterings", String.join(" ", rows(unreadable)));
        }
        return all;
    }

    /** What was said that the columns hold, where it was said of these headings. */
    private static List<Holds> chosen(Form form) {
        String first = form.text("lines")
                .lines()
                .filter(line -> !line.isBlank())
                .findFirst()
                .orElse("");
        String titles =
                Arrays.stream(first.split("[;\\t]", -1)).map(String::strip).collect(Collectors.joining("; "));
        List<Holds> chosen = new ArrayList<>();
        for (int i = 0;
                titles.strip().equals(form.text("headings"))
                        && !form.text("column", i, "holds").isEmpty();
                i++) {
            chosen.add(Problems.choice(Holds.class, form.text("column", i, "holds"), Holds.NOTHING));
        }
        return chosen;
    }

    private static Notebook.Pages pages(
            Form form,
            List<Notebook.Measured> measured,
            LocalDate today,
            Map<Integer, String> unreadable,
            Problems problems) {
        String text = form.text("lines");
        if (text.length() > LONGEST) {
            problems.add("lines", "At most " + LONGEST + " characters.");
            return new Notebook.Pages(Optional.empty(), List.of());
        }
        Notebook.Pages pages = Notebook.read(text, measured, chosen(form), today, unreadable);
        if (!unreadable.isEmpty()) {
            problems.add(
                    "lines",
                    unreadable.size() == 1 ? "A line can't be read." : unreadable.size() + " lines can't be read.");
        } else if (pages.lines().isEmpty()) {
            problems.add("lines", "A line for each pot. Accepted: bag one; 420; 3 May 2026; dried out once");
        } else if (pages.lines().size() > Notebook.MOST_LINES) {
            problems.add(
                    "lines",
                    "At most " + Notebook.MOST_LINES + " lines; there are "
                            + pages.lines().size() + ".");
        } else if (pages.lines().stream()
                        .map(line -> line.treatment().toLowerCase(Locale.ROOT))
                        .distinct()
                        .count()
                > Treatment.MOST) {
            problems.add("lines", "At most " + Treatment.MOST + " treatments.");
        }
        return pages;
    }

    private static List<Notebook.Measured> measured(Form form, Problems problems) {
        List<Notebook.Measured> measured = new ArrayList<>();
        for (int i = 0; i < Notebook.MOST_MEASURED; i++) {
            String name = form.text(MEASURED, i, "name");
            String field = Form.name(MEASURED, i, "name");
            if (name.isEmpty()) {
                continue;
            }
            String spelled = form.text(MEASURED, i, "unit");
            Optional<UnitOfMeasure> unit =
                    spelled.isEmpty() ? Optional.of(UnitOfMeasure.COUNT) : UnitOfMeasure.spelled(spelled);
            if (unit.isEmpty()) {
                problems.add(
                        field,
                        "“" + spelled + "” is not a unit known here. Accepted: g, cm, %, or nothing for a count.");
            } else {
                measured.add(new Notebook.Measured(
                        problems.limited(field, name, Treatment.LONGEST_NAME),
                        unit.get(),
                        Problems.choice(Direction.class, form.text(MEASURED, i, "better"), Direction.HIGHER)));
            }
        }
        if (measured.isEmpty() && problems.none()) {
            problems.add(Form.name(MEASURED, 0, "name"), "What was measured? Accepted: weight, in g.");
        }
        return measured;
    }
}
