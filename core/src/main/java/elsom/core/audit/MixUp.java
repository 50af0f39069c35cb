package elsom.core.audit;

import elsom.core.trial.MishapKind;
import elsom.core.trial.UnitCode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/** Units that were swapped, lost their label, were fed by mistake, dried out or were knocked. */
final class MixUp implements AuditRule {
    private static final double TENTH = 0.1;

    @Override
    public List<Fault> check(AuditCase trial) {
        Set<MishapKind> kinds = EnumSet.of(
                MishapKind.SWAPPED,
                MishapKind.LABEL_LOST,
                MishapKind.FED,
                MishapKind.DRIED_OUT,
                MishapKind.WATERLOGGED,
                MishapKind.KNOCKED,
                MishapKind.SPILLED);
        List<Fault> faults = new ArrayList<>();
        for (MishapKind kind : kinds) {
            Set<UnitCode> units = new TreeSet<>(Comparator.comparing(UnitCode::value));
            trial.record().mishaps().stream()
                    .filter(mishap -> mishap.stands() && mishap.kind() == kind)
                    .forEach(mishap -> units.addAll(mishap.units()));
            if (!units.isEmpty()) {
                boolean many = units.size() > TENTH * trial.record().units().size();
                boolean names = kind == MishapKind.SWAPPED || kind == MishapKind.LABEL_LOST;
                faults.add(Fault.of(
                                FaultCode.MIX_UP,
                                many || names ? Grade.SHAKY : Grade.SOUND,
                                kind.label() + ": " + units.size() + (units.size() == 1 ? " unit." : " units."),
                                names
                                        ? "It is no longer certain which treatment they had."
                                        : "Part of what they show is that, and not their treatment.",
                                "Judge once with and once without them; say so where the result is told.")
                        .at(List.copyOf(units)));
            }
        }
        return faults;
    }
}
