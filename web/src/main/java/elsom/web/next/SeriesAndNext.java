package elsom.web.next;

import elsom.core.next.WhatNext;
import elsom.core.results.Findings;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.findings.BeyondTrial;
import elsom.web.trial.Plans;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** The pooled comparisons of a chain and the first proposal after a trial, for its findings. */
@Component
class SeriesAndNext implements BeyondTrial {
    private static final int MOST = 2;

    private final Chains chains;
    private final Plans plans;

    SeriesAndNext(Chains chains, Plans plans) {
        this.chains = chains;
        this.plans = plans;
    }

    @Override
    public List<Lead> series(TrialId trial) {
        return plans.chain(trial).size() < 2
                ? List.of()
                : chains.of(trial).pooledWith(trial.value()).stream()
                        .limit(MOST)
                        .map(pooled ->
                                new Lead(pooled.verdict(), pooled.repeats().size()))
                        .toList();
    }

    @Override
    public Optional<Next> next(TrialRecord record, Findings findings) {
        return WhatNext.after(chains.ended(record, findings)).stream()
                .findFirst()
                .map(proposal -> new Next(proposal.kind().label(), proposal.what()));
    }
}
