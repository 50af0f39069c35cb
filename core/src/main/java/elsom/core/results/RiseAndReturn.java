package elsom.core.results;

import elsom.core.stats.Interval;
import elsom.core.stats.Summary;
import elsom.core.trial.Look;
import elsom.core.trial.UnitCode;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What rose in a treatment's units and may have come back since: where it stood first, at most, and last. Looks are
 * compared within units, by Student's t on the differences of those that were measured at both.
 *
 * @param looks in order of time, one or more
 * @param byLook what was measured at each look, by unit; none of them empty
 */
public record RiseAndReturn(List<Look> looks, List<Map<UnitCode, Double>> byLook) {
    /** How it ended. */
    public enum Ending {
        ONE_LOOK,
        NEVER_ROSE,
        NOT_FALLEN,
        BACK,
        STAYS,
        UNCLEAR
    }

    public RiseAndReturn {
        looks = List.copyOf(looks);
        byLook = byLook.stream().map(Map::copyOf).toList();
        if (looks.isEmpty() || looks.size() != byLook.size() || byLook.stream().anyMatch(Map::isEmpty)) {
            throw new IllegalArgumentException("every look needs at least one unit");
        }
    }

    public double mean(int look) {
        return byLook.get(look).values().stream()
                .mapToDouble(Double::doubleValue)
                .average()
                .orElseThrow();
    }

    public int first() {
        return 0;
    }

    /** The index of the look with the highest mean, the first of equals. */
    public int peak() {
        return IntStream.range(0, looks.size())
                .boxed()
                .max(Comparator.comparing(this::mean).thenComparing(Comparator.reverseOrder()))
                .orElseThrow();
    }

    public int last() {
        return looks.size() - 1;
    }

    /** What it is now more than at first, as a mean of the units. */
    public Optional<Interval> left() {
        return since(last());
    }

    private Optional<Interval> since(int look) {
        double[] differences = byLook.get(look).entrySet().stream()
                .filter(entry -> byLook.get(0).containsKey(entry.getKey()))
                .mapToDouble(entry -> entry.getValue() - byLook.get(0).getOrDefault(entry.getKey(), Double.NaN))
                .toArray();
        return differences.length < 2
                ? Optional.empty()
                : Summary.of(differences).interval95();
    }

    /**
     * How it ended: back when the interval of what is left lies below what matters, stayed when it lies above 0.
     *
     * @param matters the least that matters, in the unit of what was measured
     */
    public Ending ending(double matters) {
        if (looks.size() == 1) {
            return Ending.ONE_LOOK;
        }
        int peak = peak();
        if (peak == 0 || since(peak).map(rise -> rise.high() <= matters).orElse(false)) {
            return Ending.NEVER_ROSE;
        }
        if (peak == last()) {
            return Ending.NOT_FALLEN;
        }
        Optional<Interval> left = left();
        if (left.map(interval -> interval.high() <= matters).orElse(false)) {
            return Ending.BACK;
        }
        return left.map(interval -> interval.low() > 0).orElse(false) ? Ending.STAYS : Ending.UNCLEAR;
    }
}
