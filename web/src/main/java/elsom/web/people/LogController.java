package elsom.web.people;

import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.exchange.CsvText;
import elsom.web.exchange.Downloads;
import elsom.web.kit.Times;
import elsom.web.kit.TrialHeader;
import elsom.web.trial.Trials;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.ZoneId;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.StreamSupport;
import org.apache.ibatis.cursor.Cursor;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Who did what, when, where, and what stood there before. */
@Controller
class LogController {
    private static final MediaType CSV = new MediaType("text", "csv", StandardCharsets.UTF_8);
    private static final List<String> COLUMNS =
            List.of("at", "person", "station", "trial", "thing", "did", "what", "before", "after");
    private static final int A_PAGE = 50;

    private final WriteLog log;
    private final Trials trials;
    private final Clock clock;

    LogController(WriteLog log, Trials trials, Clock clock) {
        this.log = log;
        this.trials = trials;
        this.clock = clock;
    }

    /** What one thing said before and says now. */
    record Change(String what, String was, String becomes) {}

    /** A line on the page. */
    record LogLine(
            String at,
            String person,
            String station,
            @Nullable Long trial,
            String did,
            List<Change> changes) {}

    /**
     * The page.
     *
     * @param header null for the log of all
     * @param older where the next page starts; 0 for none
     */
    record LogPage(@Nullable TrialHeader header, List<LogLine> lines, String csv, String here, int older) {}

    @GetMapping("/trials/{trial}/log")
    String ofTrial(@PathVariable long trial, @RequestParam(defaultValue = "0") int from, Model model) {
        TrialId id = new TrialId(trial);
        TrialRecord record = trials.snapshot(id);
        String here = "/trials/" + trial + "/log";
        model.addAttribute(
                "page",
                page(
                        TrialHeader.of(record, clock.instant(), TrialHeader.Step.REPORT),
                        log.ofTrial(id, A_PAGE + 1, Math.max(0, from)),
                        record.trial().zone(),
                        here,
                        from));
        return "people/log";
    }

    @GetMapping("/log")
    String all(@RequestParam(defaultValue = "0") int from, Model model) {
        model.addAttribute(
                "page", page(null, log.all(A_PAGE + 1, Math.max(0, from)), ZoneId.systemDefault(), "/log", from));
        return "people/log";
    }

    private static LogPage page(
            @Nullable TrialHeader header, List<WriteLog.Line> lines, ZoneId zone, String here, int from) {
        return new LogPage(
                header,
                lines.stream().limit(A_PAGE).map(line -> shown(line, zone)).toList(),
                here + ".csv",
                here,
                lines.size() > A_PAGE ? Math.max(0, from) + A_PAGE : 0);
    }

    private static LogLine shown(WriteLog.Line line, ZoneId zone) {
        return new LogLine(
                Times.dayAndTime(line.atTime(), zone),
                line.person(),
                line.station(),
                line.trialId(),
                line.thing().replace('_', ' ') + " " + line.did().label(),
                changes(line));
    }

    private static List<Change> changes(WriteLog.Line line) {
        Map<String, String> was = LoggedRow.read(line.was());
        Map<String, String> becomes = LoggedRow.read(line.becomes());
        Set<String> all = new LinkedHashSet<>(was.keySet());
        all.addAll(becomes.keySet());
        return all.stream()
                .map(what -> new Change(what, was.getOrDefault(what, ""), becomes.getOrDefault(what, "")))
                .toList();
    }

    @Transactional(readOnly = true)
    @GetMapping("/trials/{trial}/log.csv")
    public void csvOfTrial(@PathVariable long trial, HttpServletResponse response) throws IOException {
        TrialId id = new TrialId(trial);
        trials.question(id);
        try (Cursor<WriteLog.Line> lines = log.allOfTrial(id)) {
            write(lines, "trial-" + trial + "-log.csv", response);
        }
    }

    @Transactional(readOnly = true)
    @GetMapping("/log.csv")
    public void csv(HttpServletResponse response) throws IOException {
        try (Cursor<WriteLog.Line> lines = log.every()) {
            write(lines, "log.csv", response);
        }
    }

    private static void write(Cursor<WriteLog.Line> lines, String name, HttpServletResponse response)
            throws IOException {
        CsvText.write(
                Downloads.begin(response, CSV, name),
                COLUMNS,
                StreamSupport.stream(lines.spliterator(), false)
                        .flatMap(line -> changes(line).stream()
                                .map(change -> List.of(
                                        line.atTime(),
                                        line.person(),
                                        line.station(),
                                        line.trialId() == null ? "" : line.trialId(),
                                        line.thing(),
                                        line.did().label(),
                                        change.what(),
                                        change.was(),
                                        change.becomes()))));
    }
}
