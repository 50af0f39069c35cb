package elsom.core.flag;

import elsom.core.analysis.EndpointKind;
import java.util.List;
import java.util.Optional;

/** Half of the readings or more stand at an end of their scale. */
final class AtLimit implements FlagRule {
    @Override
    public Optional<Flag> check(Scene scene) {
        if (scene.observations().kind() != EndpointKind.SCORE || scene.range().isEmpty()) {
            return Optional.empty();
        }
        double lowest = scene.range().get().low();
        double highest = scene.range().get().high();
        long at = scene.observations().seen().stream()
                .mapToDouble(unit -> unit.value().inSums())
                .filter(value -> value <= lowest || value >= highest)
                .count();
        return 2 * at >= scene.observations().seen().size()
                        && !scene.observations().seen().isEmpty()
                ? Optional.of(Flag.note(
                        FlagCode.AT_LIMIT,
                        at + " of " + scene.observations().seen().size() + " units stand at an end of the scale.",
                        "At the end of a scale worse and better can't be told apart, and means scatter less than units do.",
                        "A scale with room at both ends; the ranks beside the means do not mind.",
                        List.of()))
                : Optional.empty();
    }
}
