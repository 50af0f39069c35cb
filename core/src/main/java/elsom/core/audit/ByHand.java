package elsom.core.audit;

import elsom.core.plan.Arrangement;
import elsom.core.plan.PlanOrigin;
import elsom.core.trial.Mishap;
import elsom.core.trial.MishapKind;
import elsom.core.trial.UnitCode;
import java.util.ArrayList;
import java.util.List;

/** Units chosen, replaced or put elsewhere by hand, where lots should have decided. */
final class ByHand implements AuditRule {
    private static final double TENTH = 0.1;

    @Override
    public List<Fault> check(AuditCase trial) {
        List<Fault> faults = new ArrayList<>();
        List<UnitCode> kept =
                trial.plan().kept().stream().map(PlanOrigin.Kept::unit).toList();
        if (!kept.isEmpty()) {
            faults.add(Fault.of(
                            FaultCode.BY_HAND,
                            Grade.SHAKY,
                            kept.size() + " units were chosen from an earlier trial to go on.",
                            "Who is chosen for being good goes on being good; what it got has little to do with that.",
                            "Let lots choose among all that stand, or take them all.")
                    .pushing("Towards treatments of which the best were kept.")
                    .at(kept));
        }
        List<UnitCode> replaced = trial.record().mishaps().stream()
                .filter(mishap -> mishap.stands() && mishap.kind() == MishapKind.REPLACED)
                .map(Mishap::units)
                .flatMap(List::stream)
                .distinct()
                .toList();
        if (!replaced.isEmpty()) {
            faults.add(Fault.of(
                            FaultCode.BY_HAND,
                            Grade.SHAKY,
                            replaced.size() + (replaced.size() == 1 ? " unit was" : " units were")
                                    + " replaced by hand.",
                            "A new plant is younger, and was picked; the one that failed is no longer counted.",
                            "Leave the place empty and write the unit down as lost.")
                    .pushing("What failed looks better than it was.")
                    .at(replaced));
        }
        List<UnitCode> moved = trial.plan().arrangement().moves().stream()
                .map(Arrangement.Move::unit)
                .distinct()
                .toList();
        if (!moved.isEmpty()) {
            faults.add(Fault.of(
                            FaultCode.BY_HAND,
                            moved.size() > TENTH * trial.record().units().size() ? Grade.SHAKY : Grade.SOUND,
                            moved.size() + (moved.size() == 1 ? " unit was" : " units were")
                                    + " put on another place by hand after the draw.",
                            "Where a hand decides, it decides by what it knows of the units.",
                            "Draw again rather than move.")
                    .at(moved));
        }
        return faults;
    }
}
