package elsom.core.flag;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Treatments have different numbers of units. */
final class UnequalNumbers implements FlagRule {
    @Override
    public Optional<Flag> check(Scene scene) {
        int[] numbers =
                scene.used().map(arm -> scene.of(arm).size()).filter(n -> n > 0).toArray();
        int most = Arrays.stream(numbers).max().orElse(0);
        int fewest = Arrays.stream(numbers).min().orElse(0);
        return most == fewest
                ? Optional.empty()
                : Optional.of(Flag.note(
                        FlagCode.UNEQUAL_NUMBERS,
                        "Treatments have " + fewest + " to " + most + " units.",
                        "Comparisons with the smaller ones are less sharp; the intervals allow for it.",
                        "Equal numbers; a few more of the control when all are compared with it.",
                        List.of()));
    }
}
