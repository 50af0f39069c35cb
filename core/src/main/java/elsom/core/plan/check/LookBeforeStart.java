package elsom.core.plan.check;

import elsom.core.flag.Flag;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedLook;
import java.time.Instant;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** With staggered starts, what a look would find nothing of yet. */
final class LookBeforeStart implements PlanRule {
    @Override
    public void check(Plan plan, Noted noted) {
        for (PlannedLook look : plan.schedule().looks()) {
            Instant at = plan.schedule().start().plus(look.after());
            String absent = IntStream.rangeClosed(1, plan.treatments().all().size())
                    .filter(number -> plan.schedule().endsTogether()
                            && plan.schedule().startOf(number).isAfter(at))
                    .mapToObj(number -> plan.treatments().all().get(number - 1).name())
                    .collect(Collectors.joining(", "));
            if (!absent.isEmpty()) {
                noted.flag(
                        Flag.Severity.NOTE,
                        "Look “" + look.name() + "” comes before " + absent
                                + (absent.contains(", ") ? " start." : " starts."),
                        "There is nothing to read of them yet, so the look stays incomplete.",
                        "Move it after the last start, or read the others only.");
            }
        }
    }
}
