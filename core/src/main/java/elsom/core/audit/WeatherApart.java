package elsom.core.audit;

import elsom.core.trial.Mishap;
import elsom.core.trial.MishapKind;
import elsom.core.trial.UnitCode;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/** Weather or heat that one treatment met and another did not. */
final class WeatherApart implements AuditRule {
    private static final Set<MishapKind> WEATHER = EnumSet.of(MishapKind.HEAT, MishapKind.WEATHER);

    @Override
    public List<Fault> check(AuditCase trial) {
        List<UnitCode> hit = trial.record().mishaps().stream()
                .filter(mishap -> mishap.stands() && WEATHER.contains(mishap.kind()))
                .map(Mishap::units)
                .flatMap(List::stream)
                .distinct()
                .toList();
        Set<Integer> met = hit.stream()
                .flatMap(code -> trial.record().unit(code).stream())
                .map(unit -> unit.treatment())
                .collect(Collectors.toCollection(TreeSet::new));
        if (hit.isEmpty() || met.size() == trial.record().treatments().size()) {
            return List.of();
        }
        return List.of(Fault.of(
                        FaultCode.WEATHER,
                        Grade.SHAKY,
                        "Weather or heat met " + met.stream().map(trial::name).collect(Collectors.joining(", "))
                                + " and none of the others.",
                        "What they show is that hour as much as their treatment.",
                        "Stand all treatments side by side in blocks; judge once without the units that were hit.")
                .pushing("Against " + met.stream().map(trial::name).collect(Collectors.joining(", ")) + ".")
                .at(hit));
    }
}
