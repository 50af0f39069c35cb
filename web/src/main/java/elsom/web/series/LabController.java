package elsom.web.series;

import elsom.core.plan.Measure;
import elsom.core.series.Headings;
import elsom.core.series.Measurand;
import elsom.core.sim.LabAnswer;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.device.Truths;
import elsom.web.kit.ClosedPage;
import elsom.web.kit.Times;
import elsom.web.kit.TrialHeader;
import elsom.web.platform.NotFound;
import elsom.web.platform.ReadingLimits;
import elsom.web.platform.Refusal;
import elsom.web.platform.Station;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;

/** Samples to a laboratory: a slip to print and put in the parcel, and the simulated laboratory's answer days later. */
@Controller
class LabController {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm", Locale.ENGLISH);

    private final Trials trials;
    private final Plans plans;
    private final LabSlips slips;
    private final LabAnswers answers;
    private final Uploads uploads;
    private final Truths truths;
    private final Clock clock;

    LabController(
            Trials trials,
            Plans plans,
            LabSlips slips,
            LabAnswers answers,
            Uploads uploads,
            Truths truths,
            Clock clock) {
        this.trials = trials;
        this.plans = plans;
        this.slips = slips;
        this.answers = answers;
        this.uploads = uploads;
        this.truths = truths;
        this.clock = clock;
    }

    /**
     * What went to the laboratory, and what can be sent.
     *
     * @param outcome what became of an answer that was just taken in; null for none
     */
    public record LabPage(TrialHeader header, LabForm form, List<Line> slips, LabAnswers.@Nullable Outcome outcome) {}

    /** A slip; {@code ready} is whether it is answered, {@code look} whether it names one, {@code read} how far it came. */
    public record Line(
            int number, String sent, String asked, String look, int samples, boolean ready, String when, String read) {}

    /** The slip that goes into the parcel. */
    public record SlipPage(
            long trial,
            String question,
            int number,
            String sampled,
            String look,
            String station,
            String asked,
            List<String> units) {}

    @GetMapping("/trials/{trial}/lab")
    ModelAndView show(@PathVariable long trial) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        if (!record.trial().started()) {
            return new ModelAndView(
                    "kit/closed",
                    Map.of(
                            "page",
                            ClosedPage.beforeStart(TrialHeader.of(record, clock.instant(), TrialHeader.Step.BENCH))));
        }
        return page(record, LabForm.begin(record, measures(record), clock.instant()), null, HttpStatus.OK);
    }

    private List<Measure> measures(TrialRecord record) {
        return plans.plan(record.trial().id()).asked().measures();
    }

    private ModelAndView page(
            TrialRecord record, LabForm form, LabAnswers.@Nullable Outcome outcome, HttpStatus status) {
        Instant now = clock.instant();
        return new ModelAndView(
                "series/lab",
                Map.of(
                        "page",
                        new LabPage(
                                TrialHeader.of(record, now, TrialHeader.Step.BENCH),
                                form,
                                slips.of(record.trial().id()).stream()
                                        .map(slip -> line(record, slip, now))
                                        .toList(),
                                outcome)),
                status);
    }

    private static Line line(TrialRecord record, LabSlips.Slip slip, Instant now) {
        Instant ready = LabAnswer.ready(slip.sentAt());
        long asked = (long) slip.units().size() * slip.endpoints().size();
        long read = record.readings().stream()
                .filter(reading -> reading.value() != null
                        && reading.instrument() == Instrument.LABORATORY
                        && reading.ref().look() == slip.look()
                        && slip.endpoints().containsValue(reading.ref().endpoint())
                        && slip.units().contains(reading.ref().unit().value()))
                .map(Reading::ref)
                .distinct()
                .count();
        return new Line(
                slip.number(),
                Times.dayAndTime(slip.sentAt(), record.trial().zone()),
                asked(slip),
                look(record, slip),
                slip.units().size(),
                !ready.isAfter(now),
                Times.dayAndTime(ready, record.trial().zone()),
                slip.endpoints().isEmpty() ? "a course only" : read + " of " + asked + " read");
    }

    private static String look(TrialRecord record, LabSlips.Slip slip) {
        return record.look(slip.look()).map(Look::name).orElse("no look");
    }

    private static String asked(LabSlips.Slip slip) {
        return String.join(", ", slip.asked().stream().map(Measurand::label).toList());
    }

    @PostMapping("/trials/{trial}/lab")
    ModelAndView send(
            @PathVariable long trial,
            @RequestParam Map<String, String> typed,
            @RequestParam(defaultValue = "") List<String> unit,
            Station station) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        LabForm form = LabForm.sent(record, measures(record), typed, unit);
        Optional<LabSlips.NewSlip> slip = form.read(clock.instant());
        if (slip.isEmpty()) {
            return page(record, form, null, HttpStatus.UNPROCESSABLE_CONTENT);
        }
        int number = slips.send(record.trial().id(), slip.get(), station.signature(), clock.instant());
        return new ModelAndView("redirect:/trials/" + trial + "/lab/" + number);
    }

    @GetMapping("/trials/{trial}/lab/{number}")
    String slip(@PathVariable long trial, @PathVariable int number, Model model) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        LabSlips.Slip slip = slip(record, number);
        model.addAttribute(
                "page",
                new SlipPage(
                        trial,
                        record.trial().question(),
                        number,
                        Times.dayAndTime(slip.sampledAt(), record.trial().zone()),
                        look(record, slip),
                        slip.station(),
                        asked(slip),
                        slip.units()));
        return "series/slip";
    }

    private LabSlips.Slip slip(TrialRecord record, int number) {
        TrialId id = record.trial().id();
        return slips.find(id, number)
                .orElseThrow(
                        () -> new NotFound("There is no such slip.", "/trials/" + id + "/lab", "To the laboratory"));
    }

    /** Takes the simulated laboratory's answer in. */
    @PostMapping("/trials/{trial}/lab/{number}/answer")
    ModelAndView take(@PathVariable long trial, @PathVariable int number) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        LabSlips.Slip slip = placed(record, number);
        TrialRecord key = trials.key(new TrialId(trial));
        List<List<String>> answer = answer(key, slip);
        return taken(record, slip, new Headings(answer.get(0), 1), answer.subList(1, answer.size()));
    }

    /** Takes the file of a laboratory in. */
    @PostMapping("/trials/{trial}/lab/{number}/file")
    ModelAndView takeFile(@PathVariable long trial, @PathVariable int number, @RequestParam MultipartFile file)
            throws IOException {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        LabSlips.Slip slip = placed(record, number);
        Uploads.Upload upload = uploads.keep(record.trial().id(), "answer", "Laboratory", file.getInputStream());
        List<List<String>> rows = new ArrayList<>();
        try {
            TableRows.read(upload.file(), (row, cells, share) -> {
                rows.add(cells);
                return rows.size() <= ReadingLimits.ANSWERS;
            });
            if (rows.isEmpty()) {
                throw new TableRows.NoTable("There is no table in it.");
            }
        } catch (TableRows.NoTable none) {
            return refused(record, none.message());
        } finally {
            uploads.forget(upload.id());
        }
        if (rows.size() > ReadingLimits.ANSWERS) {
            return refused(
                    record, "The file has more than " + ReadingLimits.ANSWERS + " rows: that is no answer to a slip.");
        }
        Headings head = Headings.of(rows);
        return taken(record, slip, head, rows.subList(head.rows(), rows.size()));
    }

    private ModelAndView refused(TrialRecord record, String why) {
        return page(
                record,
                LabForm.begin(record, measures(record), clock.instant()),
                new LabAnswers.Outcome(false, "Nothing was taken.", List.of(why)),
                HttpStatus.UNPROCESSABLE_CONTENT);
    }

    private LabSlips.Slip placed(TrialRecord record, int number) {
        LabSlips.Slip slip = slip(record, number);
        if (slip.endpoints().isEmpty()) {
            throw new Refusal(
                    "Slip " + number + " names no endpoint of a look, so its answer is a course only: take its"
                            + " file in under Sensors.");
        }
        return slip;
    }

    private ModelAndView taken(TrialRecord before, LabSlips.Slip slip, Headings head, List<List<String>> rows) {
        LabAnswers.Outcome outcome = answers.enter(before, slip, head, rows);
        TrialRecord record = trials.snapshot(before.trial().id());
        return page(
                record,
                LabForm.begin(record, measures(record), clock.instant()),
                outcome,
                outcome.taken() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
    }

    /** What the simulated laboratory sends, once it has measured. */
    @GetMapping("/device/lab/{trial}/{number}.csv")
    void answer(@PathVariable long trial, @PathVariable int number, HttpServletResponse response) throws IOException {
        TrialRecord record = trials.key(new TrialId(trial));
        List<List<String>> rows = answer(record, slip(record, number));
        response.setContentType("text/csv;charset=UTF-8");
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"lab-" + trial + "-" + number + ".csv\"");
        Writer out = new OutputStreamWriter(response.getOutputStream(), StandardCharsets.UTF_8);
        for (List<String> row : rows) {
            out.write(String.join(";", row) + "\r\n");
        }
        out.flush();
    }

    /** The sheet of the simulated laboratory, its headings first. */
    private List<List<String>> answer(TrialRecord record, LabSlips.Slip slip) {
        Instant ready = LabAnswer.ready(slip.sentAt());
        if (ready.isAfter(clock.instant())) {
            throw new Refusal("The laboratory has not measured yet; it answers "
                    + Times.dayAndTime(ready, record.trial().zone()) + ".");
        }
        List<List<String>> rows = new ArrayList<>();
        List<String> headings = new ArrayList<>(List.of("Sampled on", "Sample"));
        slip.asked()
                .forEach(what -> headings.add(what.label()
                        + (what == Measurand.PH ? "" : " [" + what.unit().symbol() + "]")));
        rows.add(headings);
        String sampled = DAY.format(slip.sampledAt().atZone(record.trial().zone()));
        for (ExperimentalUnit unit : record.units()) {
            if (slip.units().contains(unit.code().value())) {
                List<String> row = new ArrayList<>(List.of(sampled, unit.code().value()));
                slip.asked()
                        .forEach(what -> row.add(
                                LabAnswer.value(what, unit.code().value(), truths.living(record, unit), slip.number())
                                        .replace('.', ',')));
                rows.add(row);
            }
        }
        return rows;
    }
}
