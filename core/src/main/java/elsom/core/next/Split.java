package elsom.core.next;

import elsom.core.audit.Fault;
import elsom.core.audit.FaultCode;
import elsom.core.audit.Grade;
import elsom.core.plan.FollowUp;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Treatments;
import elsom.core.quantity.Bounds;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What changed together, taken apart: the whole grid of factors, or one container and one filling for all. */
final class Split implements Proposer {
    @Override
    public Optional<Proposal> after(Ended trial) {
        Optional<Fault> fault =
                trial.fault(FaultCode.TIED_FACTORS, FaultCode.DIFFERENT_POTS).filter(one -> one.grade() != Grade.SOUND);
        if (fault.isEmpty()) {
            return Optional.empty();
        }
        Plan again = trial.anew();
        Treatments treatments = again.treatments();
        Plan apart = again.with(whole(treatments), again.pots()).with(NextQuestions.ofAll(again));
        if (apart.treatments().size() < 2
                || apart.treatments().equals(treatments)
                || apart.treatments().size() > Bounds.TREATMENTS) {
            return Optional.empty();
        }
        return Optional.of(Proposal.of(
                FollowUp.SPLIT,
                treatments.factorial()
                        ? "All " + apart.treatments().size() + " combinations, so that each factor stands alone too."
                        : "One container and one filling for all, so that only the treatment differs.",
                fault.get().seen() + " Either could have done it.",
                trial,
                apart,
                fault.get().grade() == Grade.UNFAIR ? 1 : 0.5));
    }

    private static Treatments whole(Treatments treatments) {
        if (treatments.factorial()) {
            return Treatments.crossed(treatments.factors(), treatments.base(), List.of());
        }
        List<PlannedTreatment> alike = new ArrayList<>();
        for (PlannedTreatment one : treatments.all()) {
            // What differed in its pot alone would be there twice.
            if (alike.stream().noneMatch(other -> other.mix().equals(one.mix()))) {
                alike.add(one.in(null, 0));
            }
        }
        return Treatments.listed(alike);
    }
}
