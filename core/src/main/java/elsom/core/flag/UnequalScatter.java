package elsom.core.flag;

import java.util.List;
import java.util.Optional;

/** Treatments scatter differently. */
final class UnequalScatter implements FlagRule {
    @Override
    public Optional<Flag> check(Scene scene) {
        boolean unequal = switch (scene.judgement().method()) {
            case WELCH, DUNNETT_UNEQUAL, GAMES_HOWELL -> true;
            default -> false;
        };
        return unequal
                ? Optional.of(Flag.note(
                        FlagCode.UNEQUAL_SCATTER,
                        "Treatments scatter differently.",
                        "One scatter for all would judge the quiet ones too harshly and the wild ones too kindly; each was"
                                + " judged by its own.",
                        "Look at the units: one treatment that works in some pots only is a finding too.",
                        List.of()))
                : Optional.empty();
    }
}
