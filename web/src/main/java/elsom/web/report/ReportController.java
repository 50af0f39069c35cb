package elsom.web.report;

import elsom.core.results.Findings;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.audit.FairPage;
import elsom.web.findings.FindingsPage;
import elsom.web.findings.WorkedOut;
import elsom.web.kit.ClosedPage;
import elsom.web.kit.TrialHeader;
import elsom.web.next.NextPage;
import elsom.web.platform.Refusal;
import elsom.web.platform.Settings;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** The trial on paper, and as Markdown. */
@Controller
class ReportController {
    private static final MediaType MARKDOWN = MediaType.parseMediaType("text/markdown;charset=UTF-8");

    private final Trials trials;
    private final WorkedOut workedOut;
    private final Reports reports;
    private final Clock clock;
    private final String version;

    ReportController(Trials trials, WorkedOut workedOut, Reports reports, Clock clock, Settings settings) {
        this.trials = trials;
        this.workedOut = workedOut;
        this.reports = reports;
        this.clock = clock;
        this.version = settings.build();
    }

    @GetMapping("/trials/{trial}/report")
    String show(@PathVariable long trial, @RequestParam Map<String, String> sent, Model model) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        Optional<ClosedPage> closed = closed(record);
        if (closed.isPresent()) {
            model.addAttribute("page", closed.get());
            return "kit/closed";
        }
        ReportTold told = reports.told(record, sent);
        model.addAttribute("fair", told.mark());
        model.addAttribute("told", FairPage.of(record, told.mark(), told.audit(), 0, told.now()));
        model.addAttribute("money", told.money().orElse(null));
        model.addAttribute("stages", NextPage.stages(record, told.chain()));
        model.addAttribute("pooled", NextPage.pooled(told.chain()));
        model.addAttribute("offers", NextPage.offers(told.proposals()));
        model.addAttribute("chapters", told.chapters());
        model.addAttribute("kinds", told.findings().kinds());
        model.addAttribute("page", page(told));
        return "report/report";
    }

    private Optional<ClosedPage> closed(TrialRecord record) {
        return ClosedPage.ofFindings(record, clock.instant(), TrialHeader.Step.REPORT);
    }

    private ReportPage page(ReportTold told) {
        return ReportPage.of(
                told.record(),
                told.plan(),
                told.findings(),
                told.amendments(),
                places(told.record(), told.findings()),
                version,
                told.now());
    }

    private List<FindingsPage> places(TrialRecord record, Findings findings) {
        return record.benches().stream()
                .map(bench -> FindingsPage.of(
                        record,
                        findings,
                        workedOut.drawn(record, findings, bench.number()),
                        bench.number(),
                        TrialHeader.Step.REPORT,
                        clock.instant()))
                .toList();
    }

    @GetMapping("/trials/{trial}/report.md")
    ResponseEntity<String> markdown(@PathVariable long trial, @RequestParam Map<String, String> sent) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        if (closed(record).isPresent()) {
            throw new Refusal("There is nothing to report yet.");
        }
        ReportTold told = reports.told(record, sent);
        return ResponseEntity.ok()
                .contentType(MARKDOWN)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("trial-" + trial + ".md")
                                .build()
                                .toString())
                .body(ReportMarkdown.of(told, page(told)));
    }
}
