package elsom.web.report;

import elsom.core.audit.Audit;
import elsom.core.chain.Chain;
import elsom.core.next.Proposal;
import elsom.core.plan.Amendment;
import elsom.core.plan.Plan;
import elsom.core.results.Findings;
import elsom.core.section.Section;
import elsom.core.trial.TrialRecord;
import elsom.web.audit.FairMark;
import elsom.web.findings.MoneyPages;
import elsom.web.kit.Chapter;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * All that a report tells of a trial.
 *
 * @param money with prices that were typed; empty where none were, or nothing is sold
 * @param chapters what features tell beside the findings
 * @param proposals what to try next, at most three
 */
record ReportTold(
        TrialRecord record,
        Plan plan,
        Findings findings,
        Audit audit,
        FairMark mark,
        Optional<MoneyPages.MoneyPage> money,
        Chain chain,
        List<Proposal> proposals,
        List<Amendment> amendments,
        List<Chapter> chapters,
        Instant now) {
    /** The name of the bench that a section is about; empty where it is about all, or there is one only. */
    String benchOf(Section section) {
        return section.bench().isPresent() && record.benches().size() > 1
                ? record.bench(section.bench().getAsInt()).name()
                : "";
    }
}
