package elsom.core.plan;

import elsom.core.stats.Summary;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * How much units of one treatment scattered in earlier trials.
 *
 * @param cv pooled coefficient of variation, weighted by degrees of freedom
 * @param sd pooled standard deviation in the endpoint's unit
 * @param mean over the groups' means
 * @param degreesOfFreedom over all groups
 * @param trials how many trials it comes from
 */
public record PastScatter(double cv, double sd, double mean, int degreesOfFreedom, int trials) {
    private static final int FEWEST_DF = 4;

    /**
     * Pools the last look of each trial that measured the endpoint; empty below 4 degrees of freedom.
     *
     * @param past trials of the same crop
     */
    public static Optional<PastScatter> of(List<TrialRecord> past, EndpointCode endpoint) {
        double squares = 0;
        double absolute = 0;
        double means = 0;
        int groups = 0;
        int df = 0;
        int trials = 0;
        for (TrialRecord record : past) {
            int before = df;
            for (Summary summary : groups(record, endpoint)) {
                OptionalDouble cv = summary.coefficientOfVariation();
                if (cv.isPresent()) {
                    double sd = summary.sd().orElse(0);
                    absolute += (summary.n() - 1) * sd * sd;
                    means += summary.mean();
                    groups++;
                    squares += (summary.n() - 1) * cv.getAsDouble() * cv.getAsDouble();
                    df += summary.n() - 1;
                }
            }
            trials += df > before ? 1 : 0;
        }
        return df >= FEWEST_DF && squares > 0
                ? Optional.of(
                        new PastScatter(Math.sqrt(squares / df), Math.sqrt(absolute / df), means / groups, df, trials))
                : Optional.empty();
    }

    /** Half of its units at least, whatever else was to be read at that look. */
    private static boolean read(TrialRecord record, Look look, EndpointCode endpoint) {
        long units = record.units().stream()
                .filter(unit -> record.current(new ReadingRef(unit.code(), look.number(), endpoint))
                        .map(Reading::value)
                        .isPresent())
                .count();
        return units > 0 && 2 * units >= record.units().size();
    }

    /** Values of each treatment on each bench at the last look with readings of the endpoint. */
    private static List<Summary> groups(TrialRecord record, EndpointCode endpoint) {
        return record.looks().stream()
                .filter(look -> look.endpoints().contains(endpoint) && read(record, look, endpoint))
                .reduce((a, b) -> b)
                .map(look -> {
                    Map<String, List<ExperimentalUnit>> byGroup = record.units().stream()
                            .collect(Collectors.groupingBy(
                                    unit -> unit.position().bench() + "/" + unit.treatment(),
                                    TreeMap::new,
                                    Collectors.toList()));
                    return byGroup.values().stream()
                            .map(units -> units.stream()
                                    .flatMap(unit ->
                                            record
                                                    .current(new ReadingRef(unit.code(), look.number(), endpoint))
                                                    .stream())
                                    .map(Reading::value)
                                    .filter(Objects::nonNull)
                                    .mapToDouble(Double::doubleValue)
                                    .toArray())
                            .filter(values -> values.length > 1)
                            .map(Summary::of)
                            .toList();
                })
                .orElse(List.of());
    }
}
