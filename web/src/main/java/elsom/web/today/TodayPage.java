package elsom.web.today;

import elsom.core.protocol.Protocol;
import elsom.core.protocol.Protocols;
import elsom.core.trial.LookState;
import elsom.core.trial.Standing;
import elsom.web.kit.Times;
import elsom.web.trial.Digest;
import elsom.web.trial.TrialLists;
import java.time.Instant;
import java.util.List;

/** What to do now, what comes next, what is still a plan, and what is finished. */
record TodayPage(boolean empty, Tasks due, List<Care> care, Tasks coming, Tasks plans, Tasks finished, int unreadable) {

    /**
     * Trials of one sort.
     *
     * @param more how many there are besides those shown
     */
    record Tasks(List<Task> shown, int more) {
        static Tasks of(List<Task> shown, int inAll) {
            return new Tasks(shown, Math.max(0, inAll - shown.size()));
        }
    }

    /** One look of one trial. */
    record Task(String question, String what, String when, String state, String progress, String href, String action) {}

    /** A watering, feed or other step of today that is no look. */
    record Care(String when, String what, String question, String href) {}

    static TodayPage of(TrialLists.Day day, Instant now) {
        return new TodayPage(
                day.dueInAll() + day.comingInAll() + day.plansInAll() + day.finishedInAll() == 0
                        && day.unreadable().isEmpty(),
                Tasks.of(day.due().stream().map(digest -> look(digest, now)).toList(), day.dueInAll()),
                day.chores().stream().map(TodayPage::care).toList(),
                Tasks.of(day.coming().stream().map(digest -> look(digest, now)).toList(), day.comingInAll()),
                Tasks.of(day.plans().stream().map(digest -> plan(digest, now)).toList(), day.plansInAll()),
                Tasks.of(day.finished().stream().map(TodayPage::finished).toList(), day.finishedInAll()),
                day.unreadable().size());
    }

    private static Task plan(Digest digest, Instant now) {
        return new Task(
                digest.question(),
                Protocols.find(digest.protocol()).map(Protocol::name).orElse("") + " · start planned",
                Times.dayAndTime(digest.start(), digest.zone()) + " · " + Times.away(digest.start(), now),
                "plan",
                digest.units() == 0 ? "nothing drawn yet" : digest.units() + " units",
                "/trials/" + digest.id() + "/plan",
                "Open the plan");
    }

    private static Care care(TrialLists.DueChore chore) {
        return new Care(
                Times.time(chore.at(), chore.zone()),
                chore.name(),
                chore.question(),
                "/trials/" + chore.trial() + "/plan/dates");
    }

    private static Task look(Digest digest, Instant now) {
        Standing.Next next = digest.standing().next();
        if (next == null) {
            return finished(digest);
        }
        return new Task(
                digest.question(),
                digest.step() + " · “" + next.name() + "”",
                Times.dayAndTime(next.plannedAt(), digest.zone()) + " · " + Times.away(next.plannedAt(), now),
                digest.standing().state(now).label(),
                next.done() + " of " + next.expected(),
                "/trials/" + digest.id() + "/bench?look=" + next.number(),
                (next.begun() ? "Go on " : "Start ") + (next.weighs() ? "weighing" : "measuring"));
    }

    private static Task finished(Digest digest) {
        return new Task(
                digest.question(),
                "all looks are done",
                Times.day(digest.standing().endsAt(), digest.zone()),
                LookState.DONE.label(),
                digest.units() + " units",
                "/trials/" + digest.id() + "/findings",
                "Read the findings");
    }
}
