package elsom.web.offline;

import elsom.core.trial.Look;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.platform.Settings;
import elsom.web.trial.Digest;
import elsom.web.trial.TrialLists;
import elsom.web.trial.Trials;
import elsom.web.trial.Unreadable;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.resource.ResourceUrlProvider;

/** What a device keeps, so that a bench opens there without a network. */
@Controller
class OfflineController {
    private static final int MOST_TRIALS = 20;
    private static final int LOOKS_EACH = 2;
    private static final MediaType SCRIPT = MediaType.parseMediaType("text/javascript;charset=UTF-8");

    private final TrialLists lists;
    private final Trials trials;
    private final Settings settings;
    private final ResourceUrlProvider files;
    private final Clock clock;
    private volatile @Nullable WorkerScript worker;

    OfflineController(TrialLists lists, Trials trials, Settings settings, ResourceUrlProvider files, Clock clock) {
        this.lists = lists;
        this.trials = trials;
        this.settings = settings;
        this.files = files;
        this.clock = clock;
    }

    /** A bench of a running trial at a look that comes next. */
    public record Bench(long trial, String question, int look, String lookName, boolean next) {
        /** Where it opens. */
        public String href() {
            return "/trials/" + trial + "/bench?look=" + look;
        }
    }

    /** The worker that answers where no network does; it says of which version it is, so that a new one takes over. */
    @GetMapping("/worker.js")
    ResponseEntity<String> worker() {
        return ResponseEntity.ok()
                .contentType(SCRIPT)
                .cacheControl(CacheControl.noCache())
                .body(script().text());
    }

    /** Made when it is first asked for: before, no file has its address. */
    private WorkerScript script() {
        WorkerScript made = worker;
        if (made == null) {
            made = WorkerScript.of(
                    settings.build(), path -> Objects.requireNonNullElse(files.getForLookupPath(path), path));
            worker = made;
        }
        return made;
    }

    /** Benches that are worth keeping: of each running trial, or of one, the looks that come next. */
    @GetMapping("/offline/benches")
    @ResponseBody
    List<Bench> benches(@RequestParam Optional<Long> trial) {
        return trial.map(id -> benches(new TrialId(id)).toList()).orElseGet(this::all);
    }

    /** The page that opens in the place of any other while the network is away. */
    @GetMapping("/offline")
    String page(Model model) {
        model.addAttribute("benches", all());
        return "offline/offline";
    }

    private List<Bench> all() {
        Instant now = clock.instant();
        TrialLists.Day day = lists.day(now, MOST_TRIALS, MOST_TRIALS);
        return Stream.of(day.due(), day.coming())
                .flatMap(List::stream)
                .map(Digest::id)
                .distinct()
                .limit(MOST_TRIALS)
                .flatMap(this::readable)
                .toList();
    }

    /** A trial that can't be read keeps no other from being kept. */
    private Stream<Bench> readable(TrialId id) {
        try {
            return benches(id);
        } catch (Unreadable damaged) {
            return Stream.empty();
        }
    }

    private Stream<Bench> benches(TrialId id) {
        TrialRecord record = trials.snapshot(id);
        if (!record.trial().started()) {
            return Stream.empty();
        }
        int next = record.nextLook().map(Look::number).orElse(Integer.MAX_VALUE);
        return record.looks().stream()
                .filter(look -> look.number() >= next)
                .limit(LOOKS_EACH)
                .map(look -> new Bench(
                        id.value(), record.trial().question(), look.number(), look.name(), look.number() == next));
    }
}
