package elsom.core.flag;

import java.util.List;
import java.util.Optional;

/** No treatment has a second unit. */
final class OneUnitEach implements FlagRule {
    @Override
    public Optional<Flag> check(Scene scene) {
        boolean single = scene.used().allMatch(arm -> scene.of(arm).size() <= 1);
        return single && !scene.observations().seen().isEmpty()
                ? Optional.of(Flag.caution(
                        FlagCode.ONE_UNIT_EACH,
                        "There is one unit of each treatment.",
                        "Two units treated alike differ too, and here nobody can see by how much.",
                        "Four units of each or more; plants in one container are no replacement for them.",
                        List.of()))
                : Optional.empty();
    }
}
