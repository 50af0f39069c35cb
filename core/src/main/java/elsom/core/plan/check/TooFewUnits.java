package elsom.core.plan.check;

import elsom.core.flag.Flag;
import elsom.core.plan.Arrangement;
import elsom.core.plan.Plan;

/** How units came to stand there, and how many. */
final class TooFewUnits implements PlanRule {
    @Override
    public void check(Plan plan, Noted noted) {
        Arrangement arrangement = plan.arrangement();
        if (plan.kept().isEmpty() && arrangement.replicates() == 1) {
            noted.flag(
                    Flag.Severity.WRONG,
                    "One unit of each treatment.",
                    "A difference between two pots is a difference between two pots: it says nothing of the treatments.",
                    "Four of each is a beginning; see what they can tell.");
        }
        if (!plan.kept().isEmpty()) {
            noted.flag(
                    Flag.Severity.NOTE,
                    "The units were chosen, not drawn at random, from the earlier trial.",
                    "If the best were kept, what follows flatters their treatments.",
                    "Keep all units of a treatment, or say how they were chosen.");
        }
        if (plan.rules().blind() && plan.arrangement().moves().size() > 0) {
            noted.flag(
                    Flag.Severity.NOTE,
                    "Units were moved by hand in a blind trial.",
                    "Whoever moved them may remember which was which.",
                    "Draw again without moves, or let somebody else set up.");
        }
    }
}
