package elsom.web.trial;

import elsom.core.care.AsLastTime;
import elsom.core.care.CareAccount;
import elsom.core.care.CareStep;
import elsom.core.plan.Plan;
import elsom.core.plan.PlanEvent;
import elsom.core.plan.PlanEvents;
import elsom.core.plan.Preparing;
import elsom.core.plan.Recurring;
import elsom.core.plan.WateringSchool;
import elsom.core.protocol.water.RefillDue;
import elsom.core.trial.Chore;
import elsom.core.trial.GivenKind;
import elsom.core.trial.TrialRecord;
import java.time.format.DateTimeFormatter;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** The events of a plan as lists across trials keep them. */
final class DigestEvents {
    private static final int LONGEST_TITLE = 60;
    private static final int LONGEST_NAME = 300;
    private static final int LONGEST_LAST = 200;
    private static final DateTimeFormatter HALF = DateTimeFormatter.ofPattern("EEE HH:mm", Locale.ENGLISH);

    private DigestEvents() {}

    /** Events, each with what is best prepared the day before. */
    static List<DigestMapper.ChoreRow> of(TrialRecord record, Plan plan) {
        CareAccount account = CareAccount.of(record);
        Map<GivenKind, String> again = new EnumMap<>(GivenKind.class);
        for (GivenKind kind : GivenKind.values()) {
            AsLastTime.of(record, kind).ifPresent(same -> again.put(kind, same.words()));
        }
        return Stream.concat(
                        PlanEvents.of(plan).stream()
                                .map(event -> row(record, plan, event, account, lastTime(record, event, again))),
                        byWeight(record, plan).stream())
                .toList();
    }

    private static String lastTime(TrialRecord record, PlanEvent event, Map<GivenKind, String> again) {
        return record.trial().started()
                ? event.chore()
                        .given()
                        .map(kind -> again.getOrDefault(kind, ""))
                        .orElse("")
                : "";
    }

    /** Water that is due by the units' own weighings, while there is still something to weigh. */
    private static Optional<DigestMapper.ChoreRow> byWeight(TrialRecord record, Plan plan) {
        boolean weighed = plan.rules().watering() == WateringSchool.EACH_TO_REFILL_WEIGHT
                && record.trial().started()
                && record.nextLook().isPresent();
        return (weighed ? RefillDue.of(record, plan.rules().refillFraction()) : Optional.<RefillDue>empty())
                .map(due -> byWeight(record, due, CareAccount.one(record, Chore.Kind.WATER, due.at())));
    }

    private static DigestMapper.ChoreRow byWeight(TrialRecord record, RefillDue due, CareStep care) {
        return new DigestMapper.ChoreRow(
                record.trial().id(),
                record.trial().question(),
                record.trial().zone(),
                due.at(),
                PlanEvent.Kind.STEP,
                Recurring.Kind.WATER.label(),
                "by weight, " + due.first() + " first"
                        + (due.units() > 1
                                ? "; half of " + due.units() + " by "
                                        + HALF.format(
                                                due.half().atZone(record.trial().zone()))
                                : ""),
                (int) Math.ceil(due.takes().toSeconds() / 60.0),
                "",
                care.kind(),
                care.closes(),
                care.done(),
                care.of(),
                "");
    }

    private static DigestMapper.ChoreRow row(
            TrialRecord record, Plan plan, PlanEvent event, CareAccount account, String lastTime) {
        Optional<CareStep> care = account.at(event.chore(), event.at());
        return new DigestMapper.ChoreRow(
                record.trial().id(),
                record.trial().question(),
                record.trial().zone(),
                event.at(),
                event.kind(),
                Digest.clipped(event.title(), LONGEST_TITLE),
                Digest.clipped(event.detail(), LONGEST_NAME),
                (int) event.takes().toMinutes(),
                Preparing.dayBefore(plan, event).orElse(""),
                event.chore(),
                care.map(CareStep::closes).orElse(event.at()),
                care.map(CareStep::done).orElse(0),
                care.map(CareStep::of).orElse(0),
                Digest.clipped(lastTime, LONGEST_LAST));
    }
}
