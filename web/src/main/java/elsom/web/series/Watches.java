package elsom.web.series;

import elsom.core.series.Sensed;
import elsom.core.series.Watch;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Times;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Limits that are watched in running trials, and where they are passed. */
@Service
public class Watches {
    private static final int NAMED = 3;

    private final WatchMapper mapper;
    private final SeriesStore store;
    private final Trials trials;
    private final Plans plans;

    Watches(WatchMapper mapper, SeriesStore store, Trials trials, Plans plans) {
        this.mapper = mapper;
        this.store = store;
        this.trials = trials;
        this.plans = plans;
    }

    /** A limit with where it stands, in words. */
    public record Line(long id, String words, String state, boolean passed) {}

    /** A limit that is passed in a trial, in words. */
    public record Alarm(TrialId trial, String question, String limit, String places) {}

    @Transactional
    void set(TrialId trial, Watch watch, Instant at, String station) {
        mapper.set(trial, watch, at, station);
    }

    @Transactional
    void end(TrialId trial, long id) {
        mapper.end(trial, id);
    }

    List<Line> of(TrialRecord record) {
        return mapper.of(record.trial().id()).stream()
                .map(row -> {
                    List<Watch.Last> known = known(record, row.watch());
                    List<Watch.Last> passed = row.watch().passed(known);
                    return new Line(
                            row.id(),
                            row.watch().words(),
                            known.isEmpty()
                                    ? "nothing is measured of it yet"
                                    : passed.isEmpty() ? "not now" : "now: " + places(record, row.watch(), passed),
                            !passed.isEmpty());
                })
                .toList();
    }

    /** What is passed in trials that are running. */
    public List<Alarm> passed() {
        List<Alarm> alarms = new ArrayList<>();
        mapper.all().stream()
                .collect(Collectors.groupingBy(WatchMapper.Row::trialId))
                .forEach((trial, rows) -> {
                    TrialRecord record = trials.snapshot(trial);
                    if (record.trial().started() && record.nextLook().isPresent()) {
                        rows.forEach(row -> {
                            List<Watch.Last> passed = row.watch().passed(known(record, row.watch()));
                            if (!passed.isEmpty()) {
                                alarms.add(new Alarm(
                                        trial,
                                        record.trial().question(),
                                        row.watch().words(),
                                        places(record, row.watch(), passed)));
                            }
                        });
                    }
                });
        return alarms;
    }

    private static String places(TrialRecord record, Watch watch, List<Watch.Last> passed) {
        String named = passed.stream()
                .limit(NAMED)
                .map(one -> (watch.depthCm() > 0 && !one.unit().isEmpty() ? one.unit() : one.place()) + " ("
                        + watch.shown(one.value()) + ")")
                .collect(Collectors.joining(", "));
        Instant last =
                passed.stream().map(Watch.Last::at).max(Instant::compareTo).orElseThrow();
        return named + (passed.size() > NAMED ? " and " + (passed.size() - NAMED) + " more" : "") + ", last read "
                + Times.dayAndTime(last, record.trial().zone());
    }

    private List<Watch.Last> known(TrialRecord record, Watch watch) {
        Map<EndpointCode, Sensed> sensed = plans.plan(record.trial().id()).asked().measures().stream()
                .filter(measure -> measure.sensed() != null)
                .collect(Collectors.toMap(
                        measure -> measure.endpoint().code(), measure -> Objects.requireNonNull(measure.sensed())));
        List<Watch.Last> known = new ArrayList<>(watch.byHand(record, sensed));
        for (SeriesStore.Head head : store.all(record.trial().id())) {
            if (watch.covers(head.key().what(), head.key().depthCm())) {
                store.course(head.id(), head.last(), head.last()).stream((at, value) -> new Watch.Last(
                                head.key().unit(), head.key().depthCm(), value, Instant.ofEpochMilli(at)))
                        .reduce((before, after) -> after)
                        .ifPresent(known::add);
            }
        }
        return known;
    }
}
