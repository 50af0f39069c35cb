package elsom.web.series;

import elsom.core.plan.Measure;
import elsom.core.series.Guess;
import elsom.core.series.Mapping;
import elsom.core.series.Measurand;
import elsom.core.trial.Look;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.TrialHeader;
import elsom.web.platform.NotFound;
import elsom.web.platform.Refusal;
import elsom.web.platform.Station;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;

/** The sensors of a trial: files in, courses seen, files taken back. */
@Controller
@RequestMapping("/trials/{trial}/series")
class SeriesController {
    static final int LONGEST_NAME = 60;

    private final Trials trials;
    private final Plans plans;
    private final SeriesStore store;
    private final Uploads uploads;
    private final Takings takings;
    private final SensedReadings sensed;
    private final Watches watches;
    private final Clock clock;

    SeriesController(
            Trials trials,
            Plans plans,
            SeriesStore store,
            Uploads uploads,
            Takings takings,
            SensedReadings sensed,
            Watches watches,
            Clock clock) {
        this.trials = trials;
        this.plans = plans;
        this.store = store;
        this.uploads = uploads;
        this.takings = takings;
        this.sensed = sensed;
        this.watches = watches;
        this.clock = clock;
    }

    @GetMapping
    String show(@PathVariable long trial, Model model) {
        model.addAttribute("page", page(trials.snapshot(new TrialId(trial)), ""));
        return "series/series";
    }

    private SeriesPage page(TrialRecord record, String problem) {
        return page(record, problem, WatchController.Typing.EMPTY);
    }

    /** The page with a limit that can't be, as it was typed. */
    SeriesPage page(long trial, WatchController.Typing typing) {
        return page(trials.snapshot(new TrialId(trial)), "", typing);
    }

    private SeriesPage page(TrialRecord record, String problem, WatchController.Typing typing) {
        TrialId id = record.trial().id();
        List<Measure> measures = plans.plan(id).asked().measures();
        return SeriesPage.of(
                record,
                measures,
                store.all(id),
                store.files(id),
                store.sources(),
                watches.of(record),
                typing,
                problem,
                clock.instant());
    }

    /**
     * Courses of one thing as they are drawn, thinned to the width of a drawing; of the stretch before a look, or of all
     * time.
     */
    @GetMapping("/drawing")
    @ResponseBody
    SeriesDrawing drawing(
            @PathVariable long trial, @RequestParam Measurand what, @RequestParam(defaultValue = "0") int look) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        List<SeriesStore.Head> series = store.all(record.trial().id()).stream()
                .filter(head -> head.key().what() == what)
                .toList();
        Instant first = series.stream()
                .map(SeriesStore.Head::first)
                .min(Instant::compareTo)
                .orElse(Instant.EPOCH);
        Instant last = series.stream()
                .map(SeriesStore.Head::last)
                .max(Instant::compareTo)
                .orElse(Instant.EPOCH);
        Instant start = record.trial().start();
        Optional<Look> until = record.look(look);
        Instant from = until.flatMap(shown -> record.look(shown.number() - 1))
                .map(before -> before.plannedAt(start))
                .orElse(until.isPresent() ? start : first);
        Instant to = until.map(shown -> shown.plannedAt(start)).orElse(last);
        return SeriesDrawing.of(record, series, store, from, to.isAfter(from) ? to : from.plusSeconds(1));
    }

    @PostMapping("/files")
    ModelAndView send(
            @PathVariable long trial, @RequestParam MultipartFile file, @RequestParam(defaultValue = "") String source)
            throws IOException {
        TrialId id = new TrialId(trial);
        TrialRecord record = trials.snapshot(id);
        String name = shortened(Optional.ofNullable(file.getOriginalFilename()).orElse(""));
        String from = source.isBlank() ? "Sensor" : shortened(source.strip());
        Uploads.Upload upload = uploads.keep(id, name, from, file.getInputStream());
        Optional<SeriesStore.Taken> before = store.files(id).stream()
                .filter(taken -> taken.digest().equals(upload.digest()))
                .findFirst();
        String problem = before.map(taken -> "The very same file was taken already, as “" + taken.name() + "”.")
                .orElseGet(() -> unreadable(upload));
        if (!problem.isEmpty()) {
            uploads.forget(upload.id());
            return new ModelAndView(
                    "series/series", Map.of("page", page(record, problem)), HttpStatus.UNPROCESSABLE_CONTENT);
        }
        return new ModelAndView("redirect:" + address(upload));
    }

    private static String shortened(String text) {
        return text.length() <= LONGEST_NAME ? text : text.substring(text.length() - LONGEST_NAME);
    }

    private static String unreadable(Uploads.Upload upload) {
        try {
            MappingPage.Preview.of(upload);
            return "";
        } catch (TableRows.NoTable none) {
            return upload.name() + ": " + none.message();
        }
    }

    private static String address(Uploads.Upload upload) {
        return "/trials/" + upload.trial() + "/series/files/" + upload.id();
    }

    /** A file before it is taken, or how far it is. */
    @GetMapping("/files/{file}")
    ModelAndView look(@PathVariable long trial, @PathVariable UUID file) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        Optional<Taking> taking = takings.find(file);
        if (taking.isPresent() && taking.get().progress().state() == Taking.State.DONE) {
            return new ModelAndView(
                    "series/taken",
                    Map.of(
                            "header", TrialHeader.of(record, clock.instant(), TrialHeader.Step.BENCH),
                            "outcome", taking.get().progress().outcome()));
        }
        Uploads.Upload upload = uploads.find(record.trial().id(), file);
        MappingPage.Preview preview = preview(upload);
        Optional<Mapping> remembered = store.remembered(upload.source(), preview.headings());
        Optional<Mapping> guess = remembered.isPresent()
                ? remembered
                : Guess.of(
                        preview.headings(),
                        preview.rows(),
                        codes(record),
                        record.trial().zone());
        MappingForm form = guess.map(MappingForm::of)
                .orElseGet(() -> MappingForm.empty(record.trial().zone()));
        String recognised = remembered.isPresent()
                ? "Read as the last file of “" + upload.source() + "”."
                : guess.isPresent() ? "Recognised from its headings: look it over." : "";
        return mapping(
                record,
                upload,
                preview,
                form,
                recognised,
                taking.map(Taking::progress).orElse(null),
                HttpStatus.OK);
    }

    private static MappingPage.Preview preview(Uploads.Upload upload) {
        try {
            return MappingPage.Preview.of(upload);
        } catch (TableRows.NoTable none) {
            throw new Refusal(none.message());
        }
    }

    private ModelAndView mapping(
            TrialRecord record,
            Uploads.Upload upload,
            MappingPage.Preview preview,
            MappingForm form,
            String recognised,
            Taking.@Nullable Progress progress,
            HttpStatus status) {
        return new ModelAndView(
                "series/mapping",
                Map.of(
                        "page",
                        new MappingPage(
                                TrialHeader.of(record, clock.instant(), TrialHeader.Step.BENCH),
                                upload.id(),
                                upload.name(),
                                upload.source(),
                                recognised,
                                preview.columns(),
                                preview.rows(),
                                form,
                                progress)),
                status);
    }

    private static Set<String> codes(TrialRecord record) {
        return record.units().stream().map(unit -> unit.code().value()).collect(Collectors.toUnmodifiableSet());
    }

    @PostMapping("/files/{file}")
    ModelAndView take(
            @PathVariable long trial,
            @PathVariable UUID file,
            @RequestParam Map<String, String> typed,
            Station station) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        Uploads.Upload upload = uploads.find(record.trial().id(), file);
        MappingPage.Preview preview = preview(upload);
        MappingForm form = MappingForm.sent(typed);
        Optional<Mapping> mapping = form.read(preview.headings().size(), codes(record));
        if (mapping.isEmpty()) {
            return mapping(record, upload, preview, form, "", null, HttpStatus.UNPROCESSABLE_CONTENT);
        }
        takings.begin(record, upload, preview.head(), mapping.get(), station.signature());
        return new ModelAndView("redirect:" + address(upload));
    }

    @GetMapping("/files/{file}/progress")
    @ResponseBody
    Taking.Progress progress(@PathVariable long trial, @PathVariable UUID file) {
        return taking(trial, file).progress();
    }

    @PostMapping("/files/{file}/cancel")
    String cancel(@PathVariable long trial, @PathVariable UUID file) {
        taking(trial, file).cancel();
        return "redirect:/trials/" + trial + "/series/files/" + file;
    }

    private Taking taking(long trial, UUID file) {
        return takings.find(file)
                .orElseThrow(() -> new NotFound(
                        "That file is not being taken.", "/trials/" + trial + "/series", "To its sensors"));
    }

    @PostMapping("/taken/{file}/back")
    String takeBack(@PathVariable long trial, @PathVariable long file, Station station) {
        TrialId id = new TrialId(trial);
        store.takeBack(id, file);
        sensed.enter(id, station.signature());
        return "redirect:/trials/" + trial + "/series";
    }
}
