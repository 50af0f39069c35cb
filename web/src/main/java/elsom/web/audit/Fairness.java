package elsom.web.audit;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import elsom.core.audit.Audit;
import elsom.core.audit.AuditCase;
import elsom.core.plan.Plan;
import elsom.core.results.Findings;
import elsom.core.results.WorkedEndpoints;
import elsom.core.trial.TrialRecord;
import elsom.web.trial.Plans;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import org.springframework.stereotype.Component;

/** Audits of trials, each made once an hour for the same findings. */
@Component
public class Fairness {
    private static final int MOST = 60;

    private final Plans plans;
    private final Clock clock;
    private final Cache<Findings, Made> kept =
            Caffeine.newBuilder().weakKeys().maximumSize(MOST).build();

    private record Made(Instant hour, int amendments, Audit audit) {}

    Fairness(Plans plans, Clock clock) {
        this.plans = plans;
        this.clock = clock;
    }

    /** Whether it was a fair test, by what these findings know of it. */
    public Audit of(TrialRecord record, Findings findings) {
        Instant hour = clock.instant().truncatedTo(ChronoUnit.HOURS);
        var amendments = plans.amendments(record.trial().id());
        Made made = kept.getIfPresent(findings);
        if (made != null && made.hour().equals(hour) && made.amendments() == amendments.size()) {
            return made.audit();
        }
        Plan plan = plans.plan(record.trial().id());
        Audit audit =
                Audit.of(new AuditCase(plan, WorkedEndpoints.in(plan, record), findings, amendments, clock.instant()));
        kept.put(findings, new Made(hour, amendments.size(), audit));
        return audit;
    }
}
