package elsom.core.flag;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** A treatment has lost half of its units or more. */
final class LostHalf implements FlagRule {
    @Override
    public Optional<Flag> check(Scene scene) {
        if (scene.observations().seen().isEmpty()) {
            return Optional.empty();
        }
        List<Integer> halved = scene.used()
                .filter(arm -> 2 * scene.of(arm).size() <= scene.observations().planned(arm))
                .boxed()
                .toList();
        return halved.isEmpty()
                ? Optional.empty()
                : Optional.of(Flag.caution(
                        FlagCode.LOST_HALF,
                        halved.stream().map(scene::name).collect(Collectors.joining(", ")) + " lost half of "
                                + (halved.size() == 1 ? "its" : "their") + " units or more.",
                        "What is left is a choice that the losses made, not a sample.",
                        "Judge the losses themselves first; repeat before relying on the means.",
                        List.of()));
    }
}
