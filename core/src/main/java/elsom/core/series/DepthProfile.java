package elsom.core.series;

import elsom.core.stats.Interval;
import elsom.core.stats.Summary;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** What was measured against depth: for each treatment and depth the mean of its units, each unit counting once. */
public final class DepthProfile {
    private DepthProfile() {}

    /**
     * The mean over time of one probe in a unit at a depth.
     *
     * @param treatment 1-based number
     * @param unit its code; several probes of a unit at a depth are its mean first
     */
    public record OfUnit(int treatment, String unit, double depthCm, double mean) {}

    /**
     * A treatment at a depth.
     *
     * @param n units
     * @param interval 95 % of the mean, by Student's t over units; empty for one unit
     */
    public record Point(int treatment, double depthCm, double mean, int n, Optional<Interval> interval) {}

    /**
     * Points by treatment and then by depth.
     *
     * @return empty when there are not two depths to compare
     */
    public static List<Point> of(List<OfUnit> units) {
        if (units.stream().mapToDouble(OfUnit::depthCm).distinct().count() < 2) {
            return List.of();
        }
        Map<Integer, Map<Double, Map<String, List<Double>>>> grouped = new TreeMap<>();
        units.forEach(unit -> grouped.computeIfAbsent(unit.treatment(), none -> new TreeMap<>())
                .computeIfAbsent(unit.depthCm(), none -> new TreeMap<>())
                .computeIfAbsent(unit.unit(), none -> new ArrayList<>())
                .add(unit.mean()));
        List<Point> points = new ArrayList<>();
        grouped.forEach((treatment, depths) -> depths.forEach((depth, means) -> {
            Summary summary = Summary.of(
                    means.values().stream().mapToDouble(DepthProfile::mean).toArray());
            points.add(new Point(treatment, depth, summary.mean(), summary.n(), summary.interval95()));
        }));
        return List.copyOf(points);
    }

    private static double mean(List<Double> probes) {
        return probes.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
    }
}
