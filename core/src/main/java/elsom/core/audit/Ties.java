package elsom.core.audit;

import elsom.core.trial.Reading;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * How a way of reading goes with treatments.
 *
 * @param levels how many ways there were
 * @param whole whether every treatment was read in one way only, and not all in the same
 */
record Ties(int levels, boolean whole) {
    static Optional<Ties> of(AuditCase trial, List<Reading> readings, Function<Reading, Object> way) {
        if (readings.isEmpty()) {
            return Optional.empty();
        }
        Set<Object> all = readings.stream().map(way).collect(Collectors.toSet());
        boolean whole = all.size() > 1
                && readings.stream()
                        .collect(Collectors.groupingBy(trial::treatmentOf, Collectors.mapping(way, Collectors.toSet())))
                        .values()
                        .stream()
                        .allMatch(ways -> ways.size() == 1);
        return Optional.of(new Ties(all.size(), whole));
    }
}
