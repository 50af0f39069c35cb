package elsom.web.findings;

import elsom.core.results.Verdict;
import elsom.core.trial.TrialId;
import java.util.List;

/** What the trials of a series say together, which goes before what one of them says alone. */
public interface SeriesLead {
    /**
     * Of the comparisons that this trial and others made, those of most trials first; none where it stands alone.
     *
     * @param trials how many trials it is told from
     */
    record Lead(Verdict verdict, int trials) {}

    List<Lead> of(TrialId trial);
}
