package elsom.core.next;

import elsom.core.plan.FollowUp;
import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.plan.PlanOrigin;
import elsom.core.plan.PlannedLook;

/**
 * A follow-up trial with its reason.
 *
 * @param what is done, as a sentence
 * @param reason why that would tell, as a sentence
 * @param plan filled in
 * @param narrowing by which share the interval that decides is expected to narrow; 1 where it can't be trusted now and could
 *     be then
 * @param cost bench and hours beside those of the trial before, each counting half; 1 for the same again
 */
public record Proposal(FollowUp kind, String what, String reason, Plan plan, double narrowing, double cost) {
    private static final double HOUR = 3600;

    static Proposal of(FollowUp kind, String what, String reason, Ended before, Plan plan, double narrowing) {
        PlanOrigin origin = plan.origin();
        Plan told = origin == null ? plan : plan.from(origin.told(kind.label() + ": " + what, kind));
        double bench = bench(plan) / bench(before.plan());
        double hours = hours(plan) / Math.max(1e-6, hours(before.plan()));
        return new Proposal(kind, what, reason, told, narrowing, (bench + hours) / 2);
    }

    /** Narrowing for what it takes. */
    double worth() {
        return narrowing / Math.max(0.1, cost);
    }

    /** Units for so many days. */
    private static double bench(Plan plan) {
        return Math.max(1, plan.treatments().size() * plan.arrangement().replicates())
                * Math.max(1, plan.schedule().length().toHours());
    }

    /** What reading takes by the endpoints' own times, half a minute where none is given. */
    private static double hours(Plan plan) {
        double seconds = 0;
        for (PlannedLook look : plan.schedule().looks()) {
            for (var code : look.endpoints()) {
                int each = plan.asked().measure(code).map(Measure::secondsEach).orElse(0);
                seconds += each > 0 ? each : 30;
            }
        }
        return seconds
                * Math.max(1, plan.treatments().size() * plan.arrangement().replicates())
                / HOUR;
    }
}
