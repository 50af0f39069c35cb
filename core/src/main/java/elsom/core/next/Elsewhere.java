package elsom.core.next;

import elsom.core.audit.Grade;
import elsom.core.plan.Asked;
import elsom.core.plan.FollowUp;
import elsom.core.plan.Plan;
import java.util.Optional;

/** What was shown fairly, tried where it might not hold: another lot first, another crop once that was done. */
final class Elsewhere implements Proposer {
    /** Lots differ by about as much as treatments do: half of what is not known is of that sort. */
    private static final double BETWEEN_LOTS = 0.4;

    @Override
    public Optional<Proposal> after(Ended trial) {
        if (!trial.shown() || trial.audit().grade() == Grade.UNFAIR) {
            return Optional.empty();
        }
        Plan again = trial.anew(trial.settled(), trial.plan().arrangement().replicates());
        if (again.treatments().size() < 2) {
            return Optional.empty();
        }
        boolean repeated =
                trial.plan().origin() != null && !trial.plan().asked().crop().isEmpty();
        if (!repeated) {
            return Optional.of(Proposal.of(
                    FollowUp.OTHER_LOT,
                    "The same with another lot of each material, bought or made apart from this one.",
                    "What one lot did, the next may not: an interval from one lot says nothing about that.",
                    trial,
                    again,
                    BETWEEN_LOTS));
        }
        return Optional.of(Proposal.of(
                FollowUp.OTHER_CROP,
                "The same with another crop; write which under the question.",
                "It was repeated with " + trial.plan().asked().crop()
                        + " already; another crop shows how far it reaches.",
                trial,
                again.with(new Asked(
                        again.question(),
                        "",
                        again.asked().questions(),
                        again.asked().measures())),
                BETWEEN_LOTS / 2));
    }
}
