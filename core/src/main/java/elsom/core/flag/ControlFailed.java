package elsom.core.flag;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** The control did not show what this kind of trial needs of it. */
final class ControlFailed implements FlagRule {
    @Override
    public Optional<Flag> check(Scene scene) {
        return scene.expected().flatMap(expected -> {
            List<Integer> failed = scene.used()
                    .filter(arm -> scene.observations().arms().get(arm).control())
                    .filter(arm -> {
                        double mean = Arrays.stream(scene.values(arm)).average().orElse(Double.NaN);
                        return mean < expected.range().low()
                                || mean > expected.range().high();
                    })
                    .boxed()
                    .toList();
            return failed.isEmpty()
                    ? Optional.<Flag>empty()
                    : Optional.of(new Flag(
                            FlagCode.CONTROL_FAILED,
                            Flag.Severity.WRONG,
                            failed.stream().map(scene::name).collect(Collectors.joining(", ")) + " failed: "
                                    + expected.sentence() + ".",
                            "When the control fails, seed, light or water were at fault, and treatments are judged against"
                                    + " nothing.",
                            "Repeat with fresh seed before blaming or praising a treatment.",
                            List.of()));
        });
    }
}
