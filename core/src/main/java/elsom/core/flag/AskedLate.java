package elsom.core.flag;

import java.util.List;
import java.util.Optional;

/** The question was added when readings were there already. */
final class AskedLate implements FlagRule {
    @Override
    public Optional<Flag> check(Scene scene) {
        return scene.askedLate()
                ? Optional.of(Flag.note(
                        FlagCode.ASKED_LATE,
                        "This was asked after readings had been taken.",
                        "Among many things one could ask, some look clear by chance.",
                        "Take it as a hint, and ask it first next time.",
                        List.of()))
                : Optional.empty();
    }
}
