package elsom.core.flag;

import java.util.List;
import java.util.Optional;

/** Nobody said which difference would matter. */
final class NoMargin implements FlagRule {
    @Override
    public Optional<Flag> check(Scene scene) {
        return scene.judgement().comparisons().stream()
                                .noneMatch(comparison -> comparison.margin().isPresent())
                        && !scene.asksMargin()
                        && scene.judgement().refused().isEmpty()
                ? Optional.of(Flag.note(
                        FlagCode.NO_MARGIN,
                        "Nobody said which difference would matter.",
                        "So it can't be said that there is no difference that matters, only that none was seen.",
                        "Say what matters in the plan, before readings.",
                        List.of()))
                : Optional.empty();
    }
}
