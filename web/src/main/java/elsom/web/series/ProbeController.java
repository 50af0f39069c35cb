package elsom.web.series;

import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.platform.Refusal;
import elsom.web.trial.Trials;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The simulated probe, as far as it is a device: a log that can be read out. */
@Controller
class ProbeController {
    private final Trials trials;
    private final SimulatedProbe probe;

    ProbeController(Trials trials, SimulatedProbe probe) {
        this.trials = trials;
        this.probe = probe;
    }

    @GetMapping("/device/probe/{trial}.csv")
    void csv(@PathVariable long trial, HttpServletResponse response) throws IOException {
        TrialRecord record = trials.key(new TrialId(trial));
        if (!record.trial().started()) {
            throw new Refusal("The trial has not started: the probe stands in no unit yet.");
        }
        response.setContentType("text/csv;charset=UTF-8");
        response.setHeader(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"probe-" + trial + ".csv\"");
        probe.write(record, response.getOutputStream());
    }
}
