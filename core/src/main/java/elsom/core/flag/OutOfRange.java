package elsom.core.flag;

import elsom.core.analysis.Observed;
import elsom.core.analysis.Value;
import java.util.List;
import java.util.Optional;

/** A reading lies outside what can be true of its endpoint. */
final class OutOfRange implements FlagRule {
    @Override
    public Optional<Flag> check(Scene scene) {
        List<String> out = scene.range().stream()
                .flatMap(range -> scene.observations().seen().stream()
                        .filter(unit -> !(unit.value() instanceof Value.CountOf)
                                && Double.isFinite(unit.value().inSums())
                                && (unit.value().inSums() < range.low()
                                        || unit.value().inSums() > range.high())))
                .map(Observed::unit)
                .toList();
        return out.isEmpty()
                ? Optional.empty()
                : Optional.of(new Flag(
                        FlagCode.OUT_OF_RANGE,
                        Flag.Severity.WRONG,
                        String.join(", ", out) + (out.size() == 1 ? " lies" : " lie")
                                + " outside the range this endpoint was planned with.",
                        "A value that can't be true moves its mean like a true one.",
                        "Correct it with its reason.",
                        out));
    }
}
