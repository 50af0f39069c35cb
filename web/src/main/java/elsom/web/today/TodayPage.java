package elsom.web.today;

import elsom.core.protocol.Protocols;
import elsom.core.trial.Look;
import elsom.core.trial.LookState;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Swatch;
import elsom.web.kit.Times;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** What to do now, what comes next, and what is finished. */
record TodayPage(boolean empty, List<Task> due, List<Task> coming, List<Task> finished) {
    /** One look of one trial. */
    record Task(
            String question,
            String what,
            String when,
            String state,
            String progress,
            String href,
            String action,
            List<Swatch> swatches,
            Instant at) {}

    static TodayPage of(List<TrialRecord> trials, Instant now) {
        List<Task> due = new ArrayList<>();
        List<Task> coming = new ArrayList<>();
        List<Task> finished = new ArrayList<>();
        for (TrialRecord record : trials) {
            record.nextLook()
                    .ifPresentOrElse(
                            look -> (isDue(record, look, now) ? due : coming).add(task(record, look, now)),
                            () -> finished.add(finished(record)));
        }
        Comparator<Task> byTime = Comparator.comparing(Task::at);
        return new TodayPage(
                trials.isEmpty(),
                due.stream().sorted(byTime).toList(),
                coming.stream().sorted(byTime).toList(),
                finished.stream().sorted(byTime.reversed()).toList());
    }

    private static boolean isDue(TrialRecord record, Look look, Instant now) {
        LookState state = LookState.of(record, look, now);
        return state == LookState.DUE || state == LookState.LATE;
    }

    private static Task task(TrialRecord record, Look look, Instant now) {
        Instant planned = look.plannedAt(record.trial().start());
        TrialRecord.Progress progress = record.progress(look);
        String step = Protocols.find(record.trial().protocol())
                .map(protocol -> protocol.stepBefore(record, look).name())
                .orElse(look.name());
        return new Task(
                record.trial().question(),
                step + " · “" + look.name() + "”",
                Times.dayAndTime(planned, record.trial().zone()) + " · " + Times.away(planned, now),
                LookState.of(record, look, now).label(),
                progress.done() + " of " + progress.expected(),
                "/trials/" + record.trial().id() + "/bench?look=" + look.number(),
                progress.begun() ? "Go on weighing" : "Start weighing",
                Swatch.of(record),
                planned);
    }

    private static Task finished(TrialRecord record) {
        Look last = record.looks().get(record.looks().size() - 1);
        Instant ended = last.plannedAt(record.trial().start());
        return new Task(
                record.trial().question(),
                "all looks are done",
                Times.day(ended, record.trial().zone()),
                LookState.DONE.label(),
                record.units().size() + " units",
                "/trials/" + record.trial().id() + "/findings",
                "Read the findings",
                Swatch.of(record),
                ended);
    }
}
