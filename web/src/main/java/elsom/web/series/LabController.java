package elsom.web.series;

import elsom.core.series.Measurand;
import elsom.core.sim.LabAnswer;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.device.Truths;
import elsom.web.kit.ClosedPage;
import elsom.web.kit.Times;
import elsom.web.kit.TrialHeader;
import elsom.web.platform.NotFound;
import elsom.web.platform.Refusal;
import elsom.web.platform.Station;
import elsom.web.trial.Trials;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Samples to a laboratory: a slip to print and put in the parcel, and the simulated laboratory's answer days later. */
@Controller
class LabController {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm", Locale.ENGLISH);

    private final Trials trials;
    private final LabSlips slips;
    private final Truths truths;
    private final Clock clock;

    LabController(Trials trials, LabSlips slips, Truths truths, Clock clock) {
        this.truths = truths;
        this.trials = trials;
        this.slips = slips;
        this.clock = clock;
    }

    /** What went to the laboratory, and what can be sent. */
    public record LabPage(TrialHeader header, List<Measurand> measures, List<String> units, List<Line> slips) {}

    /** A slip; {@code ready} is whether it is answered. */
    public record Line(int number, String sent, String asked, int samples, boolean ready, String when) {}

    /** The slip that goes into the parcel. */
    public record SlipPage(
            long trial, String question, int number, String sent, String station, String asked, List<String> units) {}

    @GetMapping("/trials/{trial}/lab")
    String show(@PathVariable long trial, Model model) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        Instant now = clock.instant();
        TrialHeader header = TrialHeader.of(record, now, TrialHeader.Step.BENCH);
        if (!record.trial().started()) {
            model.addAttribute("page", ClosedPage.beforeStart(header));
            return "kit/closed";
        }
        model.addAttribute(
                "page",
                new LabPage(
                        header,
                        LabAnswer.MEASURES,
                        record.units().stream().map(unit -> unit.code().value()).toList(),
                        slips.of(record.trial().id()).stream()
                                .map(slip -> line(record, slip, now))
                                .toList()));
        return "series/lab";
    }

    private static Line line(TrialRecord record, LabSlips.Slip slip, Instant now) {
        Instant ready = LabAnswer.ready(slip.sentAt());
        return new Line(
                slip.number(),
                Times.dayAndTime(slip.sentAt(), record.trial().zone()),
                asked(slip),
                slip.units().size(),
                !ready.isAfter(now),
                Times.dayAndTime(ready, record.trial().zone()));
    }

    private static String asked(LabSlips.Slip slip) {
        return String.join(", ", slip.asked().stream().map(Measurand::label).toList());
    }

    @PostMapping("/trials/{trial}/lab")
    String send(
            @PathVariable long trial,
            @RequestParam(defaultValue = "") List<Measurand> asked,
            @RequestParam(defaultValue = "") List<String> unit,
            Station station) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        List<String> units = record.units().stream()
                .map(one -> one.code().value())
                .filter(unit::contains)
                .toList();
        List<Measurand> measured =
                asked.stream().filter(LabAnswer.MEASURES::contains).distinct().toList();
        if (units.isEmpty() || measured.isEmpty()) {
            throw new Refusal("Tick the units whose samples go into the parcel, and what the laboratory is to measure."
                    + " Go back: what you ticked is still there.");
        }
        int number = slips.send(record.trial().id(), measured, units, station.signature(), clock.instant());
        return "redirect:/trials/" + trial + "/lab/" + number;
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
                        Times.day(slip.sentAt(), record.trial().zone()),
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

    /** What the simulated laboratory sends, once it has measured. */
    @GetMapping("/device/lab/{trial}/{number}.csv")
    void answer(@PathVariable long trial, @PathVariable int number, HttpServletResponse response) throws IOException {
        TrialRecord record = trials.key(new TrialId(trial));
        LabSlips.Slip slip = slip(record, number);
        Instant ready = LabAnswer.ready(slip.sentAt());
        if (ready.isAfter(clock.instant())) {
            throw new Refusal("The laboratory has not measured yet; it answers "
                    + Times.dayAndTime(ready, record.trial().zone()) + ".");
        }
        response.setContentType("text/csv;charset=UTF-8");
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"lab-" + trial + "-" + number + ".csv\"");
        Writer out = new OutputStreamWriter(response.getOutputStream(), StandardCharsets.UTF_8);
        out.write("Sampled on;Sample");
        for (Measurand what : slip.asked()) {
            out.write(";" + what.label()
                    + (what == Measurand.PH ? "" : " [" + what.unit().symbol() + "]"));
        }
        out.write("\r\n");
        String sampled = DAY.format(slip.sentAt().atZone(record.trial().zone()));
        for (ExperimentalUnit unit : record.units()) {
            if (slip.units().contains(unit.code().value())) {
                out.write(sampled + ";" + unit.code());
                for (Measurand what : slip.asked()) {
                    out.write(";"
                            + LabAnswer.value(what, unit.code().value(), truths.living(record, unit), number)
                                    .replace('.', ','));
                }
                out.write("\r\n");
            }
        }
        out.flush();
    }
}
