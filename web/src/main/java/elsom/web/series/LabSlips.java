package elsom.web.series;

import elsom.core.series.Measurand;
import elsom.core.trial.TrialId;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
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

    /** A slip: which units' samples went with it, and what is asked about them. */
    public record Slip(int number, Instant sentAt, String station, List<Measurand> asked, List<String> units) {}

    /** Slips of a trial, the last first. */
    @Transactional(readOnly = true)
    public List<Slip> of(TrialId trial) {
        return mapper.of(trial).stream()
                .map(row -> new Slip(
                        row.number(),
                        row.sentAt(),
                        row.station(),
                        Arrays.stream(row.asked().split(" "))
                                .map(Measurand::valueOf)
                                .toList(),
                        List.of(row.units().split(" "))))
                .toList();
    }

    @Transactional(readOnly = true)
    Optional<Slip> find(TrialId trial, int number) {
        return of(trial).stream().filter(slip -> slip.number() == number).findFirst();
    }

    /** Writes a slip; its number. */
    @Transactional
    public int send(TrialId trial, List<Measurand> asked, List<String> units, String station, Instant at) {
        int number = 1 + of(trial).stream().mapToInt(Slip::number).max().orElse(0);
        mapper.insert(
                trial,
                new LabMapper.Row(
                        number,
                        at,
                        station,
                        asked.stream().map(Enum::name).collect(Collectors.joining(" ")),
                        String.join(" ", units)));
        return number;
    }
}
