package elsom.core.plan.check;

import elsom.core.flag.Flag;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Question;
import java.util.Optional;

/** What is asked after looking proves less. */
final class NothingAsked implements PlanRule {
    @Override
    public void check(Plan plan, Noted noted) {
        if (plan.asked().questions().isEmpty()) {
            noted.flag(
                    Flag.Severity.NOTE,
                    "No comparison is stated yet.",
                    "What is asked after looking proves less than what was asked before.",
                    "State what is compared with what, on which endpoint, and which difference would matter.");
        }
        for (Question asked : plan.asked().questions()) {
            Optional<PlannedTreatment> comparator = plan.comparator(asked);
            if (comparator.isEmpty()) {
                noted.flag(
                        Flag.Severity.CAUTION,
                        "“" + asked.sentence(plan) + "” has nothing to compare with.",
                        "There is no control among the treatments.",
                        "Mark a control, or choose another comparator.");
            }
        }
    }
}
