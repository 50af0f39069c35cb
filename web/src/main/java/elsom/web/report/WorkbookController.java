package elsom.web.report;

import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.ClosedPage;
import elsom.web.kit.TrialHeader;
import elsom.web.trial.Trials;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** A trial as a spreadsheet. */
@Controller
class WorkbookController {
    private static final String XLSX = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

    private final Trials trials;
    private final Reports reports;
    private final Clock clock;

    WorkbookController(Trials trials, Reports reports, Clock clock) {
        this.trials = trials;
        this.reports = reports;
        this.clock = clock;
    }

    @GetMapping("/trials/{trial}/trial.xlsx")
    void write(@PathVariable long trial, HttpServletResponse response) throws IOException {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        boolean closed = ClosedPage.ofFindings(record, clock.instant(), TrialHeader.Step.REPORT)
                .isPresent();
        Optional<ReportTold> told = closed ? Optional.empty() : Optional.of(reports.told(record, Map.of()));
        response.setContentType(XLSX);
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename("trial-" + trial + ".xlsx")
                        .build()
                        .toString());
        Workbook.write(record, told, response.getOutputStream());
    }
}
