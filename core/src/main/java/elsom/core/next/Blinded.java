package elsom.core.next;

import elsom.core.audit.Fault;
import elsom.core.audit.FaultCode;
import elsom.core.plan.FollowUp;
import elsom.core.plan.Plan;
import elsom.core.plan.Rules;
import java.util.Optional;

/** What was scored by eye with the treatments in view, scored again by codes. */
final class Blinded implements Proposer {
    @Override
    public Optional<Proposal> after(Ended trial) {
        Optional<Fault> fault = trial.fault(FaultCode.NOT_BLIND);
        if (fault.isEmpty() || !trial.shown()) {
            return Optional.empty();
        }
        Plan again = trial.anew();
        Rules rules = again.rules();
        return Optional.of(Proposal.of(
                FollowUp.BLIND,
                "The same again, with codes only at the bench until it is read.",
                fault.get().seen() + " Who knows what a unit got sees what was hoped for.",
                trial,
                again.with(new Rules(rules.watering(), rules.refillFraction(), true)),
                0.4));
    }
}
