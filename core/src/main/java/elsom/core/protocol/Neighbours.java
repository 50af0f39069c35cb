package elsom.core.protocol;

import elsom.core.quantity.Decimals;
import elsom.core.trial.Endpoint;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import java.util.List;
import java.util.Optional;

/** Values that stand far from those of the other units of their treatment are saved, and asked about. */
public final class Neighbours {
    private static final int FEWEST = 3;
    private static final double FARTHEST_DEVIATIONS = 6;

    /** Scales the median absolute deviation to a standard deviation of normal data (Hampel 1974). */
    private static final double NORMAL = 1.4826;

    private Neighbours() {}

    public static Optional<Concern> concern(TrialRecord record, ReadingRef ref, double value) {
        ExperimentalUnit unit = record.unit(ref.unit()).orElseThrow();
        List<Double> others = record.units().stream()
                .filter(other ->
                        other.treatment() == unit.treatment() && !other.code().equals(unit.code()))
                .flatMap(other ->
                        record
                                .current(new ReadingRef(other.code(), ref.look(), ref.endpoint(), ref.subReading()))
                                .stream())
                .flatMap(reading -> Optional.ofNullable(reading.value()).stream())
                .toList();
        if (others.size() < FEWEST) {
            return Optional.empty();
        }
        double middle = median(others);
        double spread = NORMAL
                * median(others.stream().map(other -> Math.abs(other - middle)).toList());
        Endpoint endpoint = record.endpoint(ref.endpoint());
        double least = 2 * Math.pow(10, -endpoint.decimals());
        return Math.abs(value - middle) > FARTHEST_DEVIATIONS * Math.max(spread, least)
                ? Optional.of(new Concern(
                        (record.treatment(unit).hidden() ? "The other units" : "Units of the same treatment")
                                + " read about "
                                + Decimals.fixed(middle, endpoint.decimals())
                                + (endpoint.unit().symbol().isEmpty()
                                        ? ""
                                        : " " + endpoint.unit().symbol()) + ".",
                        "Right unit, and read right?"))
                : Optional.empty();
    }

    private static double median(List<Double> values) {
        List<Double> sorted = values.stream().sorted().toList();
        int middle = sorted.size() / 2;
        return sorted.size() % 2 == 1 ? sorted.get(middle) : (sorted.get(middle - 1) + sorted.get(middle)) / 2;
    }
}
