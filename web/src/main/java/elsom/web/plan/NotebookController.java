package elsom.web.plan;

import elsom.core.notebook.Line;
import elsom.core.notebook.Note;
import elsom.core.notebook.Notebook;
import elsom.core.plan.Direction;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
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
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
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
            List<String> names,
            List<Shown> shown) {}

    /** A line as it was read: what is not known says so. */
    record Shown(String treatment, List<String> values, String on, String note, String told) {}

    private static List<Shown> shown(List<Line> lines, List<Notebook.Measured> measured) {
        return lines.stream()
                .map(line -> new Shown(
                        line.treatment(),
                        IntStream.range(0, measured.size())
                                .mapToObj(i -> shown(
                                        line.values().get(i), measured.get(i).unit()))
                                .toList(),
                        line.on().map(LocalDate::toString).orElse("not known"),
                        line.note(),
                        line.note().isEmpty()
                                ? ""
                                : Optional.of(Note.read(line.note()).says())
                                        .filter(said -> !said.isEmpty())
                                        .orElse("a note only")))
                .toList();
    }

    private static String shown(Line.Written written, UnitOfMeasure unit) {
        return written.value().isEmpty()
                ? "not known"
                : written.of() > 0
                        ? written.typed()
                        : (Decimals.upTo(written.value().getAsDouble(), 4) + " " + unit.symbol()).strip();
    }

    private static NotebookPage page(Form form, Problems problems, List<String> rows, UUID token) {
        return new NotebookPage(
                form, problems, rows, List.of(Direction.values()), Notebook.MOST_MEASURED, token, List.of(), List.of());
    }

    @GetMapping("/trials/notebook")
    String ask(Model model) {
        model.addAttribute("page", page(Form.sent(Map.of()), new Problems(), List.of(), UUID.randomUUID()));
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
        Optional<LocalDate> begun = form.text("begun").isEmpty()
                ? Optional.empty()
                : problems.tried("begun", () -> LocalDate.parse(form.text("begun")));
        Map<Integer, String> unreadable = new TreeMap<>();
        List<Line> lines =
                lines(form, measured, LocalDate.now(clock.withZone(ZoneId.systemDefault())), unreadable, problems);
        Optional<Notebook.Copied> copied = problems.none()
                ? problems.tried(
                        "lines",
                        () -> new Notebook(question, measured, begun, lines)
                                .copied(ZoneId.systemDefault(), clock.instant(), seeds.nextInt(1_000_000)))
                : Optional.empty();
        if (copied.isEmpty()) {
            List<String> rows = unreadable.entrySet().stream()
                    .map(row -> "Line " + row.getKey() + ": " + row.getValue())
                    .collect(Collectors.toList());
            return new ModelAndView(
                    "plan/notebook",
                    Map.of("page", page(form, problems, rows, token)),
                    HttpStatus.UNPROCESSABLE_CONTENT);
        }
        if (!form.text("read").equals(form.text("lines"))) {
            return new ModelAndView(
                    "plan/notebook",
                    Map.of(
                            "page",
                            new NotebookPage(
                                    form,
                                    problems,
                                    List.of(),
                                    List.of(Direction.values()),
                                    Notebook.MOST_MEASURED,
                                    token,
                                    measured.stream()
                                            .map(Notebook.Measured::name)
                                            .toList(),
                                    shown(lines, measured))));
        }
        TrialId id =
                trials.create(new WholeTrial(copied.get().record(), copied.get().plan(), List.of()), token);
        return new ModelAndView("redirect:/trials/" + id + "/fair");
    }

    private static List<Line> lines(
            Form form,
            List<Notebook.Measured> measured,
            LocalDate today,
            Map<Integer, String> unreadable,
            Problems problems) {
        String text = form.text("lines");
        if (text.length() > LONGEST) {
            problems.add("lines", "At most " + LONGEST + " characters.");
            return List.of();
        }
        List<Line> lines = Notebook.lines(text, measured, today, unreadable);
        if (!unreadable.isEmpty()) {
            problems.add(
                    "lines",
                    unreadable.size() == 1 ? "A line can't be read." : unreadable.size() + " lines can't be read.");
        } else if (lines.isEmpty()) {
            problems.add("lines", "A line for each pot. Accepted: bag one; 420; 3 May 2026; dried out once");
        } else if (lines.size() > Notebook.MOST_LINES) {
            problems.add("lines", "At most " + Notebook.MOST_LINES + " lines; there are " + lines.size() + ".");
        } else if (lines.stream()
                        .map(line -> line.treatment().toLowerCase(Locale.ROOT))
                        .distinct()
                        .count()
                > Treatment.MOST) {
            problems.add("lines", "At most " + Treatment.MOST + " treatments.");
        }
        return lines;
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
