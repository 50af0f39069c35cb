package elsom.web.series;

import elsom.core.series.Measurand;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.TrialId;
import java.time.Instant;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Samples that were sent to a laboratory. */
@Repository
public class LabSlips {
    private final LabMapper mapper;

    LabSlips(LabMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * A slip: which units' samples went with it, when they were taken, and what is asked about them.
     *
     * @param look the samples were taken for; 0 for none: then the answer is a course only
     * @param endpoints what each answer becomes at that look; the others are a course only
     */
    public record Slip(
            int number,
            Instant sentAt,
            Instant sampledAt,
            String station,
            List<Measurand> asked,
            List<String> units,
            int look,
            Map<Measurand, EndpointCode> endpoints) {}

    /** Slips of a trial, the last first. */
    @Transactional(readOnly = true)
    public List<Slip> of(TrialId trial) {
        return mapper.of(trial).stream()
                .map(row -> new Slip(
                        row.number(),
                        row.sentAt(),
                        row.sampledAt(),
                        row.station(),
                        Arrays.stream(row.asked().split(" "))
                                .map(Measurand::valueOf)
                                .toList(),
                        List.of(row.units().split(" ")),
                        row.look(),
                        endpoints(row.endpoints())))
                .toList();
    }

    private static Map<Measurand, EndpointCode> endpoints(String stored) {
        Map<Measurand, EndpointCode> endpoints = new EnumMap<>(Measurand.class);
        for (String pair : stored.isEmpty() ? new String[0] : stored.split(" ")) {
            String[] parts = pair.split("=", 2);
            endpoints.put(Measurand.valueOf(parts[0]), new EndpointCode(parts[1]));
        }
        return endpoints;
    }

    @Transactional(readOnly = true)
    Optional<Slip> find(TrialId trial, int number) {
        return of(trial).stream().filter(slip -> slip.number() == number).findFirst();
    }

    /** A slip to be written. */
    public record NewSlip(
            Instant sampledAt,
            List<Measurand> asked,
            List<String> units,
            int look,
            Map<Measurand, EndpointCode> endpoints) {}

    /** Writes a slip; its number. */
    @Transactional
    public int send(TrialId trial, NewSlip slip, String station, Instant at) {
        int number = 1 + of(trial).stream().mapToInt(Slip::number).max().orElse(0);
        mapper.insert(
                trial,
                new LabMapper.Row(
                        number,
                        at,
                        slip.sampledAt(),
                        station,
                        slip.asked().stream().map(Enum::name).collect(Collectors.joining(" ")),
                        String.join(" ", slip.units()),
                        slip.look(),
                        slip.endpoints().entrySet().stream()
                                .map(one -> one.getKey().name() + "=" + one.getValue())
                                .collect(Collectors.joining(" "))));
        return number;
    }
}
