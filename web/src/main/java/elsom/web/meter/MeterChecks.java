package elsom.web.meter;

import elsom.core.meter.MeterCheck;
import elsom.core.meter.MeterKind;
import elsom.core.quantity.Dimension;
import elsom.core.trial.Instrument;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** What stations know of their meters. */
@Repository
public class MeterChecks {
    /** A check holds for a day's work. */
    private static final Duration HOLDS = Duration.ofHours(16);

    private final MeterMapper mapper;

    MeterChecks(MeterMapper mapper) {
        this.mapper = mapper;
    }

    /** A check with when it was made. */
    public record Checked(MeterCheck check, Instant at) {}

    @Transactional
    void keep(MeterCheck check, String station, Instant at) {
        mapper.insert(new MeterMapper.Row(check.kind(), station, at, check.grade(), check.slopePercent(), check.off()));
    }

    /** The last checks of a station's meter, the latest first. */
    @Transactional(readOnly = true)
    public List<Checked> latest(String station, MeterKind kind, int most) {
        return mapper.latest(station, kind, most).stream()
                .map(row -> new Checked(row.check(), row.checkedAt()))
                .toList();
    }

    /** The check that a reading at this time can lean on; empty when there is none, or the meter failed it. */
    @Transactional(readOnly = true)
    public Optional<Checked> good(String station, MeterKind kind, Instant at) {
        return latest(station, kind, 20).stream()
                .filter(one -> !one.at().isAfter(at))
                .findFirst()
                .filter(one -> one.check().grade() != MeterCheck.Grade.BAD
                        && one.at().plus(HOLDS).isAfter(at));
    }

    /** Whether a station has such a meter, and it is to be checked before the day's next reading. */
    @Transactional(readOnly = true)
    public boolean due(String station, MeterKind kind, Instant at) {
        return !latest(station, kind, 1).isEmpty() && good(station, kind, at).isEmpty();
    }

    /** What a reading typed at a station was read with: pH and EC come from a meter, checked or not. */
    public Instrument instrument(Instrument typed, Dimension dimension, String station, Instant at) {
        Optional<MeterKind> meter = MeterKind.of(dimension);
        return (typed != Instrument.HAND && typed != Instrument.GAUGE) || meter.isEmpty()
                ? typed
                : good(station, meter.get(), at).isPresent() ? Instrument.METER : Instrument.METER_UNCHECKED;
    }
}
