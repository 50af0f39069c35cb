package elsom.web.today;

import elsom.core.protocol.Protocol;
import elsom.core.protocol.Protocols;
import elsom.core.quantity.Dimension;
import elsom.core.trial.Look;
import elsom.core.trial.LookState;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Swatch;
import elsom.web.kit.Times;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** What to do now, what comes next, what is still a plan, and what is finished. */
record TodayPage(
        boolean empty, List<Task> due, List<Care> care, List<Task> coming, List<Task> plans, List<Task> finished) {
    private static final String PLAN_OF = "/trials/%s/plan/dates";

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

    /** A watering, feed or other step of today that is no look. */
    record Care(String when, String what, String question, String href, Instant at) {}

    static TodayPage of(List<TrialRecord> trials, Instant now) {
        List<Task> due = new ArrayList<>();
        List<Task> coming = new ArrayList<>();
        List<Task> plans = new ArrayList<>();
        List<Task> finished = new ArrayList<>();
        List<Care> care = new ArrayList<>();
        for (TrialRecord record : trials) {
            if (!record.trial().started()) {
                plans.add(plan(record, now));
                continue;
            }
            care.addAll(care(record, now));
            record.nextLook()
                    .ifPresentOrElse(
                            look -> (isDue(record, look, now) ? due : coming).add(task(record, look, now)),
                            () -> finished.add(finished(record)));
        }
        Comparator<Task> byTime = Comparator.comparing(Task::at);
        return new TodayPage(
                trials.isEmpty(),
                due.stream().sorted(byTime).toList(),
                care.stream().sorted(Comparator.comparing(Care::at)).toList(),
                coming.stream().sorted(byTime).toList(),
                plans.stream().sorted(byTime).toList(),
                finished.stream().sorted(byTime.reversed()).toList());
    }

    private static boolean isDue(TrialRecord record, Look look, Instant now) {
        LookState state = LookState.of(record, look, now);
        return state == LookState.DUE || state == LookState.LATE;
    }

    private static Task plan(TrialRecord record, Instant now) {
        Instant start = record.trial().start();
        String units = record.units().size() + " units";
        return new Task(
                record.trial().question(),
                Protocols.find(record.trial().protocol()).map(Protocol::name).orElse("") + " · start planned",
                Times.dayAndTime(start, record.trial().zone()) + " · " + Times.away(start, now),
                "plan",
                record.units().isEmpty() ? "nothing drawn yet" : units,
                "/trials/" + record.trial().id() + "/plan",
                "Open the plan",
                Swatch.of(record),
                start);
    }

    private static List<Care> care(TrialRecord record, Instant now) {
        ZoneId zone = record.trial().zone();
        LocalDate today = LocalDate.ofInstant(now, zone);
        return record.chores().stream()
                .map(chore -> new Care(
                        Times.time(record.trial().start().plus(chore.afterStart()), zone),
                        chore.name(),
                        record.trial().question(),
                        PLAN_OF.formatted(record.trial().id()),
                        record.trial().start().plus(chore.afterStart())))
                .filter(step -> LocalDate.ofInstant(step.at(), zone).equals(today))
                .toList();
    }

    private static String action(TrialRecord record, Look look, boolean begun) {
        boolean weighs = look.endpoints().stream()
                .anyMatch(code -> record.endpoint(code).unit().dimension() == Dimension.MASS);
        return (begun ? "Go on " : "Start ") + (weighs ? "weighing" : "measuring");
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
                action(record, look, progress.begun()),
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
