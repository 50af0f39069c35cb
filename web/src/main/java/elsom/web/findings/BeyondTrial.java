package elsom.web.findings;

import elsom.core.results.Findings;
import elsom.core.results.Verdict;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import java.util.List;
import java.util.Optional;

/** What goes beyond one trial: what the trials of its series say together, and which trial would tell most after it. */
public interface BeyondTrial {
    /**
     * What goes before what a trial says alone.
     *
     * @param trials how many trials it is told from
     */
    record Lead(Verdict verdict, int trials) {}

    /** A trial to make after it, in a line. */
    record Next(String label, String what) {}

    /** Of the comparisons that this trial and others made, those of most trials first; none where it stands alone. */
    List<Lead> series(TrialId trial);

    /** The trial that would tell most after this one; empty where its findings ask for none. */
    Optional<Next> next(TrialRecord record, Findings findings);
}
