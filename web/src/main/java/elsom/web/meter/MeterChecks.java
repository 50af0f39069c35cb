package elsom.web.meter;

import elsom.core.meter.MeterCheck;
import elsom.core.meter.MeterKind;
import elsom.core.meter.MeterLog;
import elsom.core.quantity.Dimension;
import elsom.core.trial.Instrument;
import java.time.Instant;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** What stations know of their meters. */
@Repository
public class MeterChecks {
    private static final int MOST = 20;

    private final MeterMapper mapper;

    MeterChecks(MeterMapper mapper) {
        this.mapper = mapper;
    }

    @Transactional
    void keep(MeterCheck check, String station, Instant at) {
        mapper.insert(new MeterMapper.Row(check.kind(), station, at, check.grade(), check.slopePercent(), check.off()));
    }

    /** The last checks of a station's meter. */
    @Transactional(readOnly = true)
    public MeterLog log(String station, MeterKind kind) {
        return new MeterLog(mapper.latest(station, kind, MOST).stream()
                .map(row -> new MeterLog.Checked(row.check(), row.checkedAt()))
                .toList());
    }

    /** Whether a station has such a meter, and it is to be checked before the day's next reading. */
    @Transactional(readOnly = true)
    public boolean due(String station, MeterKind kind, Instant at) {
        return log(station, kind).due(at);
    }

    /** What a reading typed at a station was read with: pH and EC come from a meter, checked or not. */
    @Transactional(readOnly = true)
    public Instrument instrument(Instrument typed, Dimension dimension, String station, Instant at) {
        return MeterKind.of(dimension)
                .map(kind -> log(station, kind).instrument(typed, at))
                .orElse(typed);
    }
}
