package elsom.web.next;

import elsom.core.trial.TrialId;
import elsom.web.findings.SeriesLead;
import elsom.web.trial.Plans;
import java.util.List;
import org.springframework.stereotype.Component;

/** The pooled comparisons of a chain, for the findings of each of its trials. */
@Component
class PooledLead implements SeriesLead {
    private static final int MOST = 2;

    private final Chains chains;
    private final Plans plans;

    PooledLead(Chains chains, Plans plans) {
        this.chains = chains;
        this.plans = plans;
    }

    @Override
    public List<Lead> of(TrialId trial) {
        return plans.chain(trial).size() < 2
                ? List.of()
                : chains.of(trial).pooledWith(trial.value()).stream()
                        .limit(MOST)
                        .map(pooled ->
                                new Lead(pooled.verdict(), pooled.repeats().size()))
                        .toList();
    }
}
