package elsom.web.practice;

import elsom.core.plan.Plan;
import elsom.core.practice.Call;
import elsom.core.practice.Draft;
import elsom.core.practice.Level;
import elsom.core.practice.Levels;
import elsom.core.practice.PracticeBench;
import elsom.core.practice.Setting;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.truth.Living;
import elsom.web.device.StandIn;
import elsom.web.platform.Refusal;
import elsom.web.trial.Plans;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Practice benches: trials that no list of real work shows, and the truth behind each. */
@Repository
public class Practices implements StandIn {
    /** So long ago that every look of a practice bench may have been. */
    private static final Duration BACK = Duration.ofDays(60);

    private final PracticeMapper mapper;
    private final Plans plans;
    private final Clock clock;

    Practices(PracticeMapper mapper, Plans plans, Clock clock) {
        this.mapper = mapper;
        this.plans = plans;
        this.clock = clock;
    }

    /** Begins a bench with the level's plan to change, once for its token. */
    @Transactional
    public TrialId begin(Level level, Setting setting, long seed, UUID token) {
        ZoneId zone = ZoneId.systemDefault();
        Plan plan = Draft.of(
                level,
                level.trap(),
                zone,
                clock.instant()
                        .minus(BACK)
                        .atZone(zone)
                        .with(LocalTime.of(9, 0))
                        .toInstant(),
                seed);
        TrialId id = plans.begin(plan, token);
        if (mapper.find(id).isEmpty()) {
            mapper.keep(id, level.brief().code(), seed, setting);
            mapper.mark(id);
        }
        return id;
    }

    @Transactional(readOnly = true)
    Optional<Practice> find(TrialId id) {
        return mapper.find(id).flatMap(Practices::practice);
    }

    /** The latest benches, the last begun first. */
    @Transactional(readOnly = true)
    List<Practice> latest(int most) {
        return mapper.latest(most).stream()
                .flatMap(row -> practice(row).stream())
                .toList();
    }

    private static Optional<Practice> practice(PracticeMapper.Row row) {
        Setting setting = new Setting(row.effect(), row.scatter(), row.gradient(), row.dropOut());
        return Levels.find(row.level())
                .map(level -> new Practice(
                        row.trialId(),
                        level,
                        setting,
                        row.seed(),
                        row.best(),
                        row.called() == null || row.confidence() == null || row.toldInReruns() == null
                                ? Optional.empty()
                                : Optional.of(
                                        new Practice.Called(row.called(), row.confidence(), row.toldInReruns()))));
    }

    /** Measures only so many of the best of each treatment but the first from now on. */
    @Transactional
    void pick(TrialId id, int best) {
        mapper.pick(id, best);
    }

    /** Keeps what was called; it can't be called again. */
    @Transactional
    void call(TrialId id, Call call, double confidence, double toldInReruns) {
        if (mapper.call(id, call, confidence, toldInReruns, clock.instant()) == 0) {
            throw new Refusal("This bench has been called already: its truth is known.");
        }
    }

    /** On a practice bench instruments see what is true there. */
    @Override
    public OptionalDouble seen(TrialRecord record, ReadingRef what) {
        return bench(record).map(bench -> bench.seen(what)).orElse(OptionalDouble.empty());
    }

    @Override
    public Optional<Living> living(TrialRecord record, ExperimentalUnit unit) {
        return bench(record).flatMap(bench -> bench.living(unit));
    }

    private Optional<PracticeBench> bench(TrialRecord record) {
        return find(record.trial().id()).map(own -> new PracticeBench(record, own.level(), own.setting(), own.seed()));
    }
}
