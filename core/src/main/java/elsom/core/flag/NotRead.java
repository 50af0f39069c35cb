package elsom.core.flag;

import java.util.List;
import java.util.Optional;

/** Nothing was seen at all. */
final class NotRead implements FlagRule {
    @Override
    public Optional<Flag> check(Scene scene) {
        return scene.observations().seen().isEmpty()
                ? Optional.of(Flag.caution(
                        FlagCode.NOT_READ,
                        "No unit has a reading of this yet.",
                        "Nothing can be judged without readings.",
                        "Read it at the next look.",
                        List.of()))
                : Optional.empty();
    }
}
