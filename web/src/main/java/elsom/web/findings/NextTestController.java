package elsom.web.findings;

import elsom.core.plan.Plan;
import elsom.core.protocol.seedling.BioassayResult;
import elsom.core.protocol.seedling.NextTrial;
import elsom.core.trial.TrialRecord;
import elsom.web.platform.NotFound;
import elsom.web.platform.Refusal;
import elsom.web.trial.Plans;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Plans the test that would part the two likeliest causes of injury. */
@Controller
class NextTestController {
    private static final int SEEDS = 1_000_000;

    private final OpenFindings open;
    private final Plans plans;
    private final Clock clock;
    private final SecureRandom seeds = new SecureRandom();

    NextTestController(OpenFindings open, Plans plans, Clock clock) {
        this.open = open;
        this.plans = plans;
        this.clock = clock;
    }

    @PostMapping("/trials/{trial}/findings/next-test")
    String plan(@PathVariable long trial, @RequestParam String lot, @RequestParam UUID token) {
        OpenFindings.Found found = open.of(trial);
        TrialRecord record = found.record();
        BioassayResult result = found.findings().sections(BioassayResult.class).stream()
                .filter(one -> one.lot().equals(lot))
                .findFirst()
                .orElseThrow(() -> new NotFound(
                        "This trial says nothing of a lot “" + lot + "”.",
                        "/trials/" + trial + "/findings",
                        "Back to the findings"));
        Instant start = clock.instant().truncatedTo(ChronoUnit.HOURS).plus(1, ChronoUnit.DAYS);
        Plan next = NextTrial.of(plans.plan(record.trial().id()), record, result, start, seeds.nextInt(SEEDS))
                .orElseThrow(() -> new Refusal("A meter tells that, no trial: measure it at the next look."));
        return "redirect:/trials/" + plans.begin(next, token) + "/plan";
    }
}
