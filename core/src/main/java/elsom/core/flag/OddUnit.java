package elsom.core.flag;

import elsom.core.analysis.EndpointKind;
import elsom.core.analysis.Observed;
import elsom.core.analysis.Value;
import elsom.core.stats.Group;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** A unit stands far from the others of its treatment: robust z beyond 3.5 (Iglewicz and Hoaglin 1993). */
final class OddUnit implements FlagRule {
    private static final double FAR = 3.5;
    private static final double NORMAL = 1.4826;
    private static final int FEWEST = 4;

    @Override
    public Optional<Flag> check(Scene scene) {
        List<String> odd = scene.used()
                .filter(arm -> scene.values(arm).length >= FEWEST)
                .boxed()
                .flatMap(arm -> odd(scene, arm).stream())
                .toList();
        return odd.isEmpty()
                ? Optional.empty()
                : Optional.of(Flag.note(
                        FlagCode.ODD_UNIT,
                        String.join(", ", odd) + (odd.size() == 1 ? " stands" : " stand")
                                + " far from the others of the same treatment.",
                        "One odd unit moves a mean and widens every interval. It was kept: only you know whether it is wrong.",
                        "Look at it again; correct it with its reason if it was misread, leave it if it is true.",
                        odd));
    }

    private static List<String> odd(Scene scene, int arm) {
        double middle = new Group("units", list(scene.values(arm))).median();
        double spread = new Group(
                        "units",
                        list(Arrays.stream(scene.values(arm))
                                .map(value -> Math.abs(value - middle))
                                .toArray()))
                .median();
        double scale = Math.max(NORMAL * spread, step(scene));
        return scene.of(arm).stream()
                .filter(unit -> Double.isFinite(unit.value().inSums())
                        && Math.abs(unit.value().inSums() - middle) > FAR * scale)
                .map(Observed::unit)
                .toList();
    }

    /** Units can't be told closer than by their last digit, or by one plant of a tray. */
    private static double step(Scene scene) {
        return scene.observations().kind() == EndpointKind.COUNT_OF
                ? scene.observations().seen().stream()
                        .mapToDouble(unit -> 1.0 / ((Value.CountOf) unit.value()).n())
                        .max()
                        .orElse(1)
                : scene.observations().resolution();
    }

    private static List<Double> list(double[] values) {
        return Arrays.stream(values).boxed().toList();
    }
}
