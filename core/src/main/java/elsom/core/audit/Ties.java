package elsom.core.audit;

import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Endpoints that were read in more than one way, and whether each way had treatments of its own. */
final class Ties {
    private Ties() {}

    /** How endpoints were mixed. */
    enum Mixed {
        /** Every treatment was read in one way only, and not all in the same. */
        BY_TREATMENT,
        WITHIN_TREATMENTS
    }

    /** Endpoints among these that were read in several ways at a look, the worst first. */
    static Map<Mixed, Set<EndpointCode>> at(
            AuditCase trial, Look look, Set<EndpointCode> among, Function<Reading, Object> way) {
        Map<Mixed, Set<EndpointCode>> mixed = new TreeMap<>(Comparator.naturalOrder());
        trial.standing(look).stream()
                .filter(reading -> among.contains(reading.ref().endpoint()))
                .collect(Collectors.groupingBy(reading -> reading.ref().endpoint()))
                .forEach((endpoint, readings) -> {
                    if (readings.stream().map(way).distinct().count() > 1) {
                        mixed.computeIfAbsent(of(trial, readings, way), none -> new HashSet<>())
                                .add(endpoint);
                    }
                });
        return mixed;
    }

    private static Mixed of(AuditCase trial, List<Reading> readings, Function<Reading, Object> way) {
        boolean whole = readings.stream()
                .collect(Collectors.groupingBy(trial::treatmentOf, Collectors.mapping(way, Collectors.toSet())))
                .values()
                .stream()
                .allMatch(ways -> ways.size() == 1);
        return whole ? Mixed.BY_TREATMENT : Mixed.WITHIN_TREATMENTS;
    }
}
