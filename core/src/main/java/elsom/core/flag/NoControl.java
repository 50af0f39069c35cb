package elsom.core.flag;

import elsom.core.analysis.Arm;
import java.util.List;
import java.util.Optional;

/** Nothing is marked as what the others are compared with. */
final class NoControl implements FlagRule {
    @Override
    public Optional<Flag> check(Scene scene) {
        return scene.observations().arms().stream().noneMatch(Arm::control)
                ? Optional.of(Flag.note(
                        FlagCode.NO_CONTROL,
                        "There is no control.",
                        "Treatments can be told from each other; whether any of them does anything can't.",
                        "Add one that is treated like the others in all but what is asked about.",
                        List.of()))
                : Optional.empty();
    }
}
