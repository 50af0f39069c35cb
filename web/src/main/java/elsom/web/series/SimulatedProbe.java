package elsom.web.series;

import elsom.core.series.Channel;
import elsom.core.series.Columns;
import elsom.core.series.DayOrder;
import elsom.core.series.DecimalSign;
import elsom.core.series.Mapping;
import elsom.core.series.RowReader;
import elsom.core.series.Sample;
import elsom.core.sim.ProbeLog;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.trial.Trials;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** A stand-in for a probe with three depths in every unit, whose log is a file like any other. */
@Component
public class SimulatedProbe {
    private static final Duration EVERY = Duration.ofHours(1);
    private static final Duration LONGEST = Duration.ofDays(60);
    private static final DateTimeFormatter WRITTEN = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm", Locale.ENGLISH);
    private static final String NAME = "Simulated probe";

    private final Trials trials;
    private final SeriesStore store;
    private final SensedReadings sensed;
    private final Clock clock;

    SimulatedProbe(Trials trials, SeriesStore store, SensedReadings sensed, Clock clock) {
        this.trials = trials;
        this.store = store;
        this.sensed = sensed;
        this.clock = clock;
    }

    private static ProbeLog of(ExperimentalUnit unit) {
        return new ProbeLog(unit.code().value(), unit.treatment());
    }

    private static Instant end(TrialRecord record, Instant now) {
        Instant longest = record.trial().start().plus(LONGEST);
        return now.isBefore(longest) ? now : longest;
    }

    /** Writes its log as CSV, an hour a row and unit, by the clock of the trial's zone. */
    void write(TrialRecord record, OutputStream to) throws IOException {
        Writer out = new OutputStreamWriter(to, StandardCharsets.UTF_8);
        out.write(String.join(",", ProbeLog.headings()) + "\r\n");
        Instant start = record.trial().start();
        for (Instant moment :
                ProbeLog.moments(start, end(record, clock.instant()), EVERY).toList()) {
            String when = WRITTEN.format(moment.atZone(record.trial().zone()));
            for (ExperimentalUnit unit : record.units()) {
                out.write(when + "," + unit.code() + "," + String.join(",", of(unit).at(start, moment)) + "\r\n");
            }
        }
        out.flush();
    }

    /** Takes its log into a trial, as if its file had been sent. */
    @Transactional
    public void log(TrialId trial, Instant until, String station) {
        TrialRecord record = trials.key(trial);
        Instant start = record.trial().start();
        List<Channel> channels = ProbeLog.channels();
        SeriesWriter writer = store.write(trial, new SeriesStore.Taken(0, "probe.csv", NAME, NAME, 0, until, station));
        long rows = 0;
        for (Instant moment : ProbeLog.moments(start, end(record, until), EVERY).toList()) {
            for (ExperimentalUnit unit : record.units()) {
                List<String> values = of(unit).at(start, moment);
                for (int i = 0; i < channels.size(); i++) {
                    writer.add(new RowReader.Read(
                            channels.get(i),
                            unit.code().value(),
                            channels.get(i).depthCm(),
                            new Sample(moment.toEpochMilli(), Double.parseDouble(values.get(i)))));
                }
                rows++;
            }
        }
        writer.finish(rows);
        store.remember(
                NAME,
                ProbeLog.headings(),
                Mapping.plain(
                        Columns.of(0, 1), record.trial().zone(), DayOrder.DAY_FIRST, DecimalSign.POINT, channels));
        sensed.enter(trial, station);
    }
}
