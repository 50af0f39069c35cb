package elsom.core.protocol.dose;

import elsom.core.dose.WorkingRate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Of several endpoints that each allow a rate the least is worked with, and it is said which sets it. */
final class OneRate {
    private OneRate() {}

    /** The same results, none with a rate beyond what another allows in the same series. */
    static List<DoseResult> of(List<DoseResult> results) {
        return results.stream()
                .map(result -> result.with(result.lines().stream()
                        .map(line -> limited(results, result, line))
                        .toList()))
                .toList();
    }

    private static DoseResult.Line limited(List<DoseResult> results, DoseResult result, DoseResult.Line line) {
        return results.stream()
                .filter(other -> !other.kind().equals(result.kind()))
                .flatMap(other -> other.lines().stream()
                        .filter(twin -> twin.name().equals(line.name()))
                        .filter(twin -> bound(twin) < bound(line))
                        .map(twin -> new DoseResult.Limit(other.kind(), twin.effect(), twin.rate())))
                .min(Comparator.comparingDouble(limit ->
                        limit.rate().asOptional().map(WorkingRate::rate).orElse(0.0)))
                .map(line::limitedBy)
                .orElse(line);
    }

    /** What a line allows at most: 0 where the lowest strength harms, all where it says nothing. */
    private static double bound(DoseResult.Line line) {
        Optional<WorkingRate> rate = line.rate().asOptional();
        boolean harms = line.voided().isEmpty()
                && line.effect().tested().refused().isEmpty()
                && line.effect().tested().noec().isEmpty();
        return rate.isPresent() ? rate.get().rate() : harms ? 0 : Double.POSITIVE_INFINITY;
    }
}
