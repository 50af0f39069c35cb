package elsom.core.next;

import elsom.core.audit.Fault;
import elsom.core.audit.FaultCode;
import elsom.core.audit.Grade;
import elsom.core.design.LayoutKind;
import elsom.core.plan.Arrangement;
import elsom.core.plan.FollowUp;
import elsom.core.plan.Plan;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** A treatment that can't be told from its place, or stood in one unit only, drawn again in blocks. */
final class Drawn implements Proposer {
    private static final int FEWEST = 4;

    @Override
    public Optional<Proposal> after(Ended trial) {
        Optional<Fault> fault = trial.fault(
                        FaultCode.ONE_UNIT, FaultCode.PLACE, FaultCode.LIGHT, FaultCode.PLANTS_AS_UNITS)
                .filter(one -> one.grade() != Grade.SOUND);
        if (fault.isEmpty() || trial.plan().treatments().size() < 2) {
            return Optional.empty();
        }
        int units = Math.max(FEWEST, trial.plan().arrangement().replicates());
        Plan again = trial.anew(Set.of(), units);
        Arrangement a = again.arrangement();
        boolean whole = a.kind() == LayoutKind.LATIN_SQUARE || a.kind() == LayoutKind.SPLIT_PLOT;
        Plan blocked = again.with(new Arrangement(
                whole ? a.kind() : LayoutKind.BLOCKS,
                units,
                a.sites(),
                a.everySite(),
                a.wholePlotFactor(),
                a.guards(),
                a.rotateEveryDays(),
                trial.seed(),
                List.of()));
        return Optional.of(Proposal.of(
                FollowUp.DRAWN,
                units + " units of each, drawn anew" + (whole ? "." : ", every treatment once in each block."),
                fault.get().seen() + " What the treatment did can't be told from that; in blocks it can.",
                trial,
                blocked,
                fault.get().grade() == Grade.UNFAIR ? 1 : 0.5));
    }
}
