package elsom.web.report;

import elsom.core.audit.Audit;
import elsom.core.next.WhatNext;
import elsom.core.plan.Plan;
import elsom.core.results.Findings;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.audit.FairMark;
import elsom.web.audit.Fairness;
import elsom.web.findings.MoneyPages;
import elsom.web.findings.WorkedOut;
import elsom.web.kit.Chapters;
import elsom.web.kit.TrialHeader;
import elsom.web.next.Chains;
import elsom.web.trial.Plans;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import org.springframework.stereotype.Component;

/** Gathers what a report tells. */
@Component
class Reports {
    private final Plans plans;
    private final WorkedOut workedOut;
    private final Fairness fairness;
    private final MoneyPages money;
    private final Chains chains;
    private final List<Chapters> features;
    private final Clock clock;

    Reports(
            Plans plans,
            WorkedOut workedOut,
            Fairness fairness,
            MoneyPages money,
            Chains chains,
            List<Chapters> features,
            Clock clock) {
        this.features = features;
        this.plans = plans;
        this.workedOut = workedOut;
        this.fairness = fairness;
        this.money = money;
        this.chains = chains;
        this.clock = clock;
    }

    /**
     * A trial's report by all that was read.
     *
     * @param sent prices and costs as they were typed; without them nothing is said of money
     */
    ReportTold told(TrialRecord record, Map<String, String> sent) {
        TrialId id = record.trial().id();
        Instant now = clock.instant();
        Findings findings = workedOut.of(record, OptionalInt.empty());
        Audit audit = fairness.of(record, findings);
        Plan plan = plans.plan(id);
        return new ReportTold(
                record,
                plan,
                findings,
                audit,
                FairMark.of(record, findings, audit),
                money.page(record, findings, TrialHeader.of(record, now, TrialHeader.Step.REPORT), sent)
                        .filter(page -> !page.rows().isEmpty()),
                chains.of(id),
                WhatNext.after(chains.ended(record, findings)),
                plans.amendments(id),
                features.stream()
                        .flatMap(feature -> feature.of(record, plan).stream())
                        .toList(),
                now);
    }
}
