package elsom.web.brew;

import elsom.core.brew.BrewCounts;
import elsom.core.trial.CorrectionReason;
import elsom.core.trial.Endpoint;
import elsom.core.trial.Instrument;
import elsom.core.trial.Reading;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.TrialHeader;
import elsom.web.platform.NotFound;
import elsom.web.platform.Station;
import elsom.web.trial.Logbook;
import elsom.web.trial.NewReading;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The laboratory's counts: pasted or sent as a table, its columns told once, entered all or not at all. */
@Controller
@RequestMapping("/trials/{trial}/brews/counts")
class CountsController {
    private final Trials trials;
    private final Brews brews;
    private final Logbook logbook;
    private final Clock clock;

    CountsController(Trials trials, Brews brews, Logbook logbook, Clock clock) {
        this.trials = trials;
        this.brews = brews;
        this.logbook = logbook;
        this.clock = clock;
    }

    /**
     * The form.
     *
     * @param columns headers that nobody told yet, with what each may be
     */
    record CountsPage(
            TrialHeader header,
            String base,
            String text,
            List<String> problems,
            List<String> columns,
            List<Endpoint> counts,
            String example) {}

    private TrialRecord record(long trial) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        if (!record.trial().protocol().equals(elsom.core.protocol.general.AeratedBrew.CODE)) {
            throw new NotFound("This trial has no brews.", "/trials/" + trial, "To the trial");
        }
        return record;
    }

    private CountsPage page(TrialRecord record, String text, List<String> problems, List<String> columns) {
        String code =
                record.units().isEmpty() ? "K34" : record.units().get(0).code().value();
        return new CountsPage(
                TrialHeader.of(record, clock.instant(), null),
                "/trials/" + record.trial().id() + "/brews",
                text,
                problems,
                columns,
                BrewCounts.counted(record),
                "Sample;Active bacteria;Active fungi\n" + code + ";41.2;2.35");
    }

    @GetMapping
    String show(@PathVariable long trial, Model model) {
        model.addAttribute("page", page(record(trial), "", List.of(), List.of()));
        return "brew/counts";
    }

    @PostMapping
    ModelAndView take(
            @PathVariable long trial,
            @RequestParam(defaultValue = "") String text,
            @RequestParam Map<String, String> all,
            Station station) {
        TrialRecord record = record(trial);
        Map<String, String> known = known(record, all);
        Optional<CountsFile> file = CountsFile.read(text, known);
        if (file.isEmpty()) {
            return again(
                    record,
                    text,
                    List.of("That is no table: a line of headings, then a line for each sample, parts between"
                            + " semicolons, commas or tabs."),
                    List.of());
        }
        if (!file.get().untold().isEmpty()) {
            return again(record, text, List.of(), file.get().untold());
        }
        CountsFile.Checked checked = file.get().checked(record);
        if (!checked.problems().isEmpty()) {
            return again(record, text, checked.problems(), List.of());
        }
        brews.keepColumns(told(all));
        logbook.enterAll(record.trial().id(), readings(record, checked.counts(), station));
        return new ModelAndView("redirect:/trials/" + trial + "/brews");
    }

    private ModelAndView again(TrialRecord record, String text, List<String> problems, List<String> columns) {
        return new ModelAndView(
                "brew/counts", Map.of("page", page(record, text, problems, columns)), HttpStatus.UNPROCESSABLE_CONTENT);
    }

    /** What this form tells, by header: fields are "column.Header of theirs". */
    private static Map<String, String> told(Map<String, String> all) {
        Map<String, String> told = new LinkedHashMap<>();
        all.forEach((name, what) -> {
            if (name.startsWith("column.") && !what.isEmpty()) {
                told.put(name.substring("column.".length()), what);
            }
        });
        return told;
    }

    /** What is told now, what was told once, and what headings say by themselves. */
    private Map<String, String> known(TrialRecord record, Map<String, String> all) {
        Map<String, String> known = new TreeMap<>(String.CASE_INSENSITIVE_ORDER);
        known.put("Sample", CountsFile.SAMPLE);
        known.put("Brew", CountsFile.SAMPLE);
        BrewCounts.counted(record).forEach(endpoint -> {
            known.put(endpoint.name(), endpoint.code().value());
            known.put(endpoint.name() + " [µg/mL]", endpoint.code().value());
        });
        known.putAll(brews.columns());
        known.putAll(told(all));
        return known;
    }

    private List<NewReading> readings(TrialRecord record, List<CountsFile.Count> counts, Station station) {
        Instant now = clock.instant();
        return counts.stream()
                .map(count -> {
                    Optional<Reading> before = record.current(count.ref());
                    return new NewReading(
                            count.ref(),
                            count.value(),
                            count.text(),
                            record.endpoint(count.ref().endpoint()).unit(),
                            now,
                            now,
                            station.signature(),
                            Instrument.FILE,
                            before.map(Reading::id).orElse(null),
                            before.isPresent() ? CorrectionReason.FILE : null,
                            UUID.randomUUID());
                })
                .toList();
    }
}
