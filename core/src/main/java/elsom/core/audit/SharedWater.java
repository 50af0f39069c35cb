package elsom.core.audit;

import elsom.core.trial.Bench;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Influence;
import elsom.core.trial.UnitCode;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/** Units of unlike treatments in one saucer or on one wet mat: what drains from one is taken up by the next. */
final class SharedWater implements AuditRule {
    @Override
    public List<Fault> check(AuditCase trial) {
        List<UnitCode> sharing = new ArrayList<>();
        Set<Integer> treatments = new TreeSet<>();
        for (Bench bench : trial.record().benches()) {
            for (Influence influence : bench.influences()) {
                if (influence.kind() == Influence.Kind.SHARED_WATER) {
                    List<ExperimentalUnit> inIt = trial.record().units().stream()
                            .filter(unit ->
                                    unit.position().bench() == bench.number() && influence.covers(unit.position()))
                            .toList();
                    Set<Integer> unlike =
                            inIt.stream().map(ExperimentalUnit::treatment).collect(Collectors.toSet());
                    if (unlike.size() > 1) {
                        inIt.forEach(unit -> sharing.add(unit.code()));
                        treatments.addAll(unlike);
                    }
                }
            }
        }
        return sharing.isEmpty()
                ? List.of()
                : List.of(Fault.of(
                                FaultCode.SHARED_WATER,
                                Grade.SHAKY,
                                sharing.size() + " units of "
                                        + treatments.stream().map(trial::name).collect(Collectors.joining(", "))
                                        + " share a saucer or mat with other treatments.",
                                "What drains from one is drunk by its neighbour: treatments bleed into each other.",
                                "A saucer for each unit, or one for all units of a treatment in a block.")
                        .pushing("Towards no difference.")
                        .at(sharing));
    }
}
