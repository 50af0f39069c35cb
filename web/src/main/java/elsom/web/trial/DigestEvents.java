package elsom.web.trial;

import elsom.core.plan.Plan;
import elsom.core.plan.PlanEvent;
import elsom.core.plan.PlanEvents;
import elsom.core.plan.Preparing;
import elsom.core.plan.WateringSchool;
import elsom.core.protocol.water.RefillDue;
import elsom.core.trial.Given;
import elsom.core.trial.GivenKind;
import elsom.core.trial.TrialRecord;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** The events of a plan as lists across trials keep them. */
final class DigestEvents {
    private static final int LONGEST_TITLE = 60;
    private static final int LONGEST_NAME = 300;
    private static final double MINUTES_A_UNIT = 0.5;
    private static final DateTimeFormatter HALF = DateTimeFormatter.ofPattern("EEE HH:mm", Locale.ENGLISH);

    private DigestEvents() {}

    /** Events, each with what is best prepared the day before. */
    static List<DigestMapper.ChoreRow> of(TrialRecord record, Plan plan) {
        return Stream.concat(
                        PlanEvents.of(plan).stream().map(event -> row(record, plan, event)),
                        byWeight(record, plan).stream())
                .toList();
    }

    /** Water that is due by the units' own weighings, while there is still something to weigh. */
    private static Optional<DigestMapper.ChoreRow> byWeight(TrialRecord record, Plan plan) {
        boolean weighed = plan.rules().watering() == WateringSchool.EACH_TO_REFILL_WEIGHT
                && record.trial().started()
                && record.nextLook().isPresent();
        return (weighed ? RefillDue.of(record, plan.rules().refillFraction()) : Optional.<RefillDue>empty())
                .map(due -> new DigestMapper.ChoreRow(
                        record.trial().id(),
                        record.trial().question(),
                        record.trial().zone(),
                        due.at(),
                        PlanEvent.Kind.STEP,
                        GivenKind.WATER.label(),
                        "by weight, " + due.first() + " first"
                                + (due.units() > 1
                                        ? "; half of " + due.units() + " by "
                                                + HALF.format(due.half()
                                                        .atZone(record.trial().zone()))
                                        : ""),
                        (int) Math.ceil(due.units() * MINUTES_A_UNIT),
                        "",
                        given(record, GivenKind.WATER.label(), due.at())));
    }

    private static DigestMapper.ChoreRow row(TrialRecord record, Plan plan, PlanEvent event) {
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
                (event.kind() == PlanEvent.Kind.STEP && given(record, event.title(), event.at()))
                        || (event.kind() == PlanEvent.Kind.TURN && turned(record, event.at())));
    }

    private static boolean turned(TrialRecord record, Instant at) {
        LocalDate day = LocalDate.ofInstant(at, record.trial().zone());
        return record.turns().stream()
                .anyMatch(turn ->
                        LocalDate.ofInstant(turn.at(), record.trial().zone()).equals(day));
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
