package elsom.web.next;

import elsom.core.next.Proposal;
import elsom.core.next.WhatNext;
import elsom.core.results.Findings;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.findings.WorkedOut;
import elsom.web.kit.ClosedPage;
import elsom.web.kit.TrialHeader;
import elsom.web.platform.Refusal;
import elsom.web.trial.Plans;
import elsom.web.trial.Seeds;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What next: the story so far, and at most three trials that would tell more, filled in. */
@Controller
@RequestMapping("/trials/{trial}/next")
class NextController {
    private final Trials trials;
    private final Plans plans;
    private final WorkedOut workedOut;
    private final Chains chains;
    private final Clock clock;

    NextController(Trials trials, Plans plans, WorkedOut workedOut, Chains chains, Clock clock) {
        this.trials = trials;
        this.plans = plans;
        this.workedOut = workedOut;
        this.chains = chains;
        this.clock = clock;
    }

    @GetMapping
    String show(@PathVariable long trial, Model model) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        Optional<ClosedPage> closed = closed(record);
        if (closed.isPresent()) {
            model.addAttribute("page", closed.get());
            return "kit/closed";
        }
        Findings findings = workedOut.of(record, OptionalInt.empty());
        model.addAttribute(
                "page",
                NextPage.of(
                        record,
                        chains.of(record.trial().id()),
                        WhatNext.after(chains.ended(record, findings)),
                        clock.instant()));
        return "next/next";
    }

    private Optional<ClosedPage> closed(TrialRecord record) {
        return ClosedPage.ofFindings(record, clock.instant(), TrialHeader.Step.FINDINGS);
    }

    /** Begins the follow-up as a draft, filled in. */
    @PostMapping
    String begin(@PathVariable long trial, @RequestParam String kind, @RequestParam UUID token) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        if (closed(record).isPresent()) {
            throw new Refusal("There are no findings to go on from yet.");
        }
        Proposal proposal = WhatNext.after(chains.ended(record, workedOut.of(record, OptionalInt.empty())), kind)
                .orElseThrow(() ->
                        new Refusal("Findings have changed, and give no reason for that trial any more. Look again."));
        return "redirect:/trials/" + plans.begin(Seeds.secretIfBlind(proposal.plan()), token) + "/plan";
    }
}
