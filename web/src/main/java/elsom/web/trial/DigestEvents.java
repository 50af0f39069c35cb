package elsom.web.trial;

import elsom.core.plan.Plan;
import elsom.core.plan.PlanEvent;
import elsom.core.plan.PlanEvents;
import elsom.core.plan.Preparing;
import elsom.core.trial.Given;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;

/** The events of a plan as lists across trials keep them. */
final class DigestEvents {
    private static final int LONGEST_TITLE = 60;
    private static final int LONGEST_NAME = 300;

    private DigestEvents() {}

    /** Events with the preparations of the day before. */
    static List<DigestMapper.ChoreRow> of(TrialRecord record, Plan plan) {
        List<DigestMapper.ChoreRow> rows = new ArrayList<>();
        TrialId id = record.trial().id();
        for (PlanEvent event : PlanEvents.of(plan)) {
            rows.add(row(id, record, event.at(), event.kind(), event.title(), event.detail(), (int)
                    event.takes().toMinutes()));
            Preparing.dayBefore(plan, event)
                    .ifPresent(what -> rows.add(row(
                            id,
                            record,
                            event.at().minus(Duration.ofDays(1)),
                            PlanEvent.Kind.PREPARE,
                            event.title(),
                            what,
                            0)));
        }
        return rows;
    }

    private static DigestMapper.ChoreRow row(
            TrialId id, TrialRecord record, Instant at, PlanEvent.Kind kind, String title, String name, int minutes) {
        return new DigestMapper.ChoreRow(
                id,
                record.trial().question(),
                record.trial().zone(),
                at,
                kind,
                Digest.clipped(title, LONGEST_TITLE),
                Digest.clipped(name, LONGEST_NAME),
                minutes,
                kind == PlanEvent.Kind.STEP && given(record, title, at));
    }

    /** Whether the log of water and feed has such an entry of that day. */
    private static boolean given(TrialRecord record, String title, Instant at) {
        ZoneId zone = record.trial().zone();
        LocalDate day = LocalDate.ofInstant(at, zone);
        return record.given().stream()
                .filter(Given::stands)
                .filter(one -> one.kind().label().equals(title))
                .anyMatch(one -> LocalDate.ofInstant(one.happenedAt(), zone).equals(day));
    }
}
