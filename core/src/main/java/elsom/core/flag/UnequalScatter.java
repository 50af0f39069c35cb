package elsom.core.flag;

import elsom.core.analysis.Judge;
import java.util.List;
import java.util.Optional;

/** Treatments scatter differently. */
final class UnequalScatter implements FlagRule {
    @Override
    public Optional<Flag> check(Scene scene) {
        boolean unequal = Judge.scatterUnlike(scene.observations());
        return unequal
                ? Optional.of(Flag.note(
                        FlagCode.UNEQUAL_SCATTER,
                        "Treatments scatter differently.",
                        "One scatter for all would judge the quiet ones too harshly and the wild ones too kindly; each counts by"
                                + " its own as far as it shows.",
                        "Look at the units: one treatment that works in some pots only is a finding too.",
                        List.of()))
                : Optional.empty();
    }
}
