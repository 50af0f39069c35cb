package elsom.web.exchange;

import elsom.core.trial.Reading;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.TrialHeader;
import elsom.web.platform.Acting;
import elsom.web.platform.ReadingLimits;
import elsom.web.platform.Refusal;
import elsom.web.platform.Role;
import elsom.web.platform.Station;
import elsom.web.trial.Logbook;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import elsom.web.trial.WholeTrial;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;

/** Files out and in. */
@Controller
class ExchangeController {
    private static final MediaType CSV = new MediaType("text", "csv", StandardCharsets.UTF_8);
    private static final int LONGEST_REASON = 200;
    private static final MediaType ZIP = MediaType.parseMediaType("application/zip");

    private final Trials trials;
    private final Plans plans;
    private final Logbook logbook;
    private final PackageParts parts;
    private final TrialImport zips;
    private final SealOfStore seal;
    private final Clock clock;

    ExchangeController(
            Trials trials,
            Plans plans,
            Logbook logbook,
            PackageParts parts,
            TrialImport zips,
            SealOfStore seal,
            Clock clock) {
        this.seal = seal;
        this.zips = zips;
        this.parts = parts;
        this.trials = trials;
        this.plans = plans;
        this.logbook = logbook;
        this.clock = clock;
    }

    /**
     * The page of one trial's files.
     *
     * @param sealed whether nobody is to know yet what every unit got
     * @param outcome what became of a file just sent; empty for none
     */
    record FilesPage(TrialHeader header, boolean sealed, String fileName, List<BadRow> problems, String outcome) {}

    /** The page to read a whole trial in from. */
    record ImportPage(String fileName, List<BadRow> problems, UUID token) {}

    @GetMapping("/trials/{trial}/readings.csv")
    void readings(@PathVariable long trial, HttpServletResponse response) throws IOException {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        ReadingsCsv.write(record, Downloads.begin(response, CSV, "trial-" + trial + "-readings.csv"));
    }

    @GetMapping("/trials/{trial}/trial.zip")
    void whole(@PathVariable long trial, HttpServletResponse response) throws IOException {
        WholeTrial whole = plans.whole(new TrialId(trial));
        if (!whole.record().trial().started() && whole.plan().rules().blind() && !Acting.may(Role.PLAN)) {
            throw new Refusal(
                    "This trial is to be read blind: until it starts, only who plans may take its files out.");
        }
        TrialPackageWriter.write(
                whole,
                parts.of(whole.record()),
                clock.instant(),
                Optional.of(seal.get()),
                Downloads.begin(response, ZIP, "trial-" + trial + ".zip"));
    }

    /** The same with its key open, which the trial keeps: its report says so from then on. */
    @PostMapping("/trials/{trial}/key.zip")
    void withKey(
            @PathVariable long trial,
            @RequestParam(defaultValue = "") String reason,
            Station station,
            HttpServletResponse response)
            throws IOException {
        if (reason.isBlank() || reason.strip().length() > LONGEST_REASON) {
            throw new Refusal(
                    "Say in a line why the key is taken out; it is kept with the trial and stands in its report."
                            + " Accepted: it goes on at the other yard.");
        }
        TrialId id = new TrialId(trial);
        plans.keyTaken(id, reason.strip(), station.signature());
        WholeTrial whole = plans.whole(id);
        TrialPackageWriter.write(
                whole,
                parts.of(whole.record()),
                clock.instant(),
                Optional.empty(),
                Downloads.begin(response, ZIP, "trial-" + trial + "-with-key.zip"));
    }

    /** A trial's tables just as they are stored, for one that can't be read. */
    @GetMapping("/trials/{trial}/raw.zip")
    void raw(@PathVariable long trial, HttpServletResponse response) throws IOException {
        TrialId id = new TrialId(trial);
        trials.question(id);
        RawTables.write(trials, id, seal.get(), Downloads.begin(response, ZIP, "trial-" + trial + "-as-stored.zip"));
    }

    @GetMapping("/trials/{trial}/files")
    String files(@PathVariable long trial, Model model) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        model.addAttribute("page", page(record, "", List.of(), ""));
        return "exchange/files";
    }

    private FilesPage page(TrialRecord record, String fileName, List<BadRow> problems, String outcome) {
        return new FilesPage(
                TrialHeader.of(record, clock.instant(), TrialHeader.Step.REPORT),
                record.trial().blind() && record.trial().started(),
                fileName,
                problems,
                outcome);
    }

    @PostMapping("/trials/{trial}/readings")
    ModelAndView readIn(@PathVariable long trial, @RequestParam MultipartFile file, Station station)
            throws IOException {
        TrialId id = new TrialId(trial);
        TrialRecord record = trials.snapshot(id);
        List<BadRow> problems = new ArrayList<>();
        ReadingsCsv.Incoming incoming = ReadingsCsv.read(
                record,
                ReadingLimits.Bytes.of(
                        file.getInputStream(),
                        ReadingLimits.READINGS,
                        "The file is larger than " + PackageZip.LARGEST_ZIP + "."),
                station.signature(),
                clock.instant(),
                problems);
        if (problems.isEmpty()) {
            List<Reading> unseen = logbook.enterAll(id, incoming.entries());
            unseen.forEach(reading -> problems.add(new BadRow(
                    "",
                    0,
                    reading.ref().unit() + " was measured meanwhile, look "
                            + reading.ref().look() + ". Send the file again to correct it.")));
        }
        String outcome = problems.isEmpty()
                ? incoming.added() + " added, " + incoming.corrected() + " corrected, " + incoming.unchanged()
                        + " unchanged."
                : "";
        return answered("exchange/files", page(trials.snapshot(id), name(file), problems, outcome), problems.isEmpty());
    }

    @GetMapping("/trials/import")
    String importPage(Model model) {
        model.addAttribute("page", new ImportPage("", List.of(), UUID.randomUUID()));
        return "exchange/import";
    }

    @PostMapping("/trials/import")
    ModelAndView importTrial(@RequestParam MultipartFile file, @RequestParam UUID token) throws IOException {
        TrialImport.Outcome outcome = zips.readIn(file.getInputStream(), token);
        return outcome.trial()
                .map(id -> new ModelAndView("redirect:/trials/" + id))
                .orElseGet(() ->
                        answered("exchange/import", new ImportPage(name(file), outcome.problems(), token), false));
    }

    private static ModelAndView answered(String view, Object page, boolean good) {
        return new ModelAndView(view, Map.of("page", page), good ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
    }

    private static String name(MultipartFile file) {
        String name = file.getOriginalFilename();
        return name == null ? "" : name;
    }
}
