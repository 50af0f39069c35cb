package elsom.core.flag;

import elsom.core.analysis.EndpointKind;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** Units of a treatment agree to the last digit. */
final class CoarseReadings implements FlagRule {
    @Override
    public Optional<Flag> check(Scene scene) {
        if (scene.observations().kind() == EndpointKind.COUNT_OF) {
            return Optional.empty();
        }
        List<Integer> alike = scene.used()
                .filter(arm -> scene.values(arm).length > 1
                        && Arrays.stream(scene.values(arm)).distinct().count() == 1)
                .boxed()
                .toList();
        return alike.isEmpty()
                ? Optional.empty()
                : Optional.of(Flag.note(
                        FlagCode.COARSE_READINGS,
                        "All units of " + alike.stream().map(scene::name).collect(Collectors.joining(", "))
                                + " read the same to the last digit.",
                        "Nothing is as even as that: they were given the scatter that rounding to that digit has.",
                        "A finer instrument, or more than one reading of each unit.",
                        List.of()));
    }
}
