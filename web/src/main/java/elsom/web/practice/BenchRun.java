package elsom.web.practice;

import elsom.core.plan.Plan;
import elsom.core.practice.Planned;
import elsom.core.practice.PracticeBench;
import elsom.core.practice.Rerun;
import elsom.core.practice.Trialled;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import elsom.web.platform.Refusal;
import elsom.web.trial.Logbook;
import elsom.web.trial.NewReading;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/** Runs days of a practice bench: what goes wrong is written down, and the instruments are read. */
@Component
class BenchRun {
    private static final String STATION = "Practice";
    private static final int SECONDS_A_UNIT = 25;
    private static final int RERUNS = 1000;

    private final Trials trials;
    private final Plans plans;
    private final Logbook logbook;

    BenchRun(Trials trials, Plans plans, Logbook logbook) {
        this.trials = trials;
        this.plans = plans;
        this.logbook = logbook;
    }

    /** The next look that was not read; empty when all were. */
    static Optional<Look> next(TrialRecord record) {
        return record.looks().stream()
                .filter(look -> record.progress(look).done() == 0
                        && record.progress(look).expected() > 0)
                .findFirst();
    }

    /** Runs up to the next look and reads it. */
    void runToNext(Practice practice, boolean unwatered) {
        TrialRecord record = trials.snapshot(practice.trial());
        Look look = next(record).orElseThrow(() -> new Refusal("Every look of this bench has been read."));
        PracticeBench bench = bench(practice, record);
        Instant at = look.plannedAt(record.trial().start());
        List<PracticeBench.Wrong> wrong = new ArrayList<>(bench.wrong(look));
        if (unwatered) {
            wrong.add(PracticeBench.unwatered(record));
        }
        for (PracticeBench.Wrong one : wrong) {
            logbook.note(
                    practice.trial(),
                    one.kind(),
                    one.note(),
                    one.units(),
                    look.number(),
                    at,
                    STATION,
                    token(practice, look, one.note() + one.units()));
        }
        TrialRecord now = trials.snapshot(practice.trial());
        logbook.enterAll(practice.trial(), readings(practice, now, look));
    }

    private static PracticeBench bench(Practice practice, TrialRecord record) {
        return new PracticeBench(record, practice.level(), practice.setting(), practice.seed());
    }

    private static List<NewReading> readings(Practice practice, TrialRecord record, Look look) {
        return typed(
                record,
                look,
                bench(practice, record).read(look, practice.best()),
                ref -> token(practice, look, ref.toString()));
    }

    /** What instruments show, as readings that are typed one after another. */
    static List<NewReading> typed(
            TrialRecord record, Look look, List<PracticeBench.Shown> all, Function<ReadingRef, UUID> token) {
        Instant at = look.plannedAt(record.trial().start());
        List<NewReading> readings = new ArrayList<>();
        for (PracticeBench.Shown shown : all) {
            Instant taken = at.plusSeconds((long) SECONDS_A_UNIT * readings.size());
            readings.add(new NewReading(
                    shown.ref(),
                    shown.value(),
                    shown.text(),
                    record.endpoint(shown.ref().endpoint()).unit(),
                    taken,
                    taken,
                    STATION,
                    Instrument.HAND,
                    null,
                    null,
                    token.apply(shown.ref())));
        }
        return readings;
    }

    private static UUID token(Practice practice, Look look, String what) {
        return UUID.nameUUIDFromBytes(
                ("practice " + practice.trial() + "/" + look.number() + "/" + what).getBytes(StandardCharsets.UTF_8));
    }

    /** What decides what the bench's plan can tell. */
    Optional<Trialled> plan(Practice practice) {
        Plan plan = plans.plan(practice.trial());
        return plan.layoutProblem().isPresent()
                ? Optional.empty()
                : Planned.of(practice.level(), plan, plan.draw(practice.trial()), practice.best());
    }

    /** What a thousand reruns of a plan would have told on a bench. */
    static Rerun.Tally reruns(Practice practice, Trialled plan) {
        return new Rerun(practice.level(), practice.truth(), practice.setting(), plan).times(RERUNS, practice.seed());
    }
}
