package elsom.core.flag;

import elsom.core.analysis.Observed;
import elsom.core.analysis.Value;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** Units that were set up have no reading. */
final class LostUnits implements FlagRule {
    @Override
    public Optional<Flag> check(Scene scene) {
        List<Observed> missing =
                scene.observations().units().stream().filter(Observed::missing).toList();
        if (missing.isEmpty() || scene.observations().seen().isEmpty()) {
            return Optional.empty();
        }
        String reasons = missing.stream()
                .map(unit -> ((Value.Missing) unit.value()).reason())
                .collect(Collectors.groupingBy(reason -> reason, TreeMap::new, Collectors.counting()))
                .entrySet()
                .stream()
                .map(reason -> reason.getValue() + " " + reason.getKey())
                .collect(Collectors.joining(", "));
        return Optional.of(Flag.note(
                FlagCode.LOST_UNITS,
                missing.size() + " of " + scene.observations().units().size() + " units have no reading: " + reasons
                        + ".",
                "If they were lost because of their treatment, what is left looks better than it was.",
                "Count losses as an answer of their own: what share of units came through?",
                missing.stream().map(Observed::unit).toList()));
    }
}
