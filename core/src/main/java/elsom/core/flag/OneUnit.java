package elsom.core.flag;

import elsom.core.analysis.Observed;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** A treatment has one unit, others have more. */
final class OneUnit implements FlagRule {
    @Override
    public Optional<Flag> check(Scene scene) {
        List<Integer> single =
                scene.used().filter(arm -> scene.of(arm).size() == 1).boxed().toList();
        boolean others = scene.used().anyMatch(arm -> scene.of(arm).size() > 1);
        return single.isEmpty() || !others
                ? Optional.empty()
                : Optional.of(Flag.caution(
                        FlagCode.ONE_UNIT,
                        single.stream().map(scene::name).collect(Collectors.joining(", "))
                                + (single.size() == 1 ? " has" : " have") + " one unit left.",
                        "It is judged as if it scattered like the others, which nobody can see.",
                        "As many units of it as of the others.",
                        single.stream()
                                .flatMap(arm -> scene.of(arm).stream())
                                .map(Observed::unit)
                                .toList()));
    }
}
