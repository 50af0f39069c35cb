package elsom.web.plan;

import elsom.core.plan.Arrangement;
import elsom.core.plan.Plan;

/** How many units of each treatment. */
final class SizePart implements PartOfForm {
    @Override
    public Form of(Plan plan) {
        return new Form.UnitFill()
                .put("replicates", plan.arrangement().replicates())
                .form();
    }

    @Override
    public Plan read(Form form, Plan plan, Problems problems) {
        Arrangement before = plan.arrangement();
        int replicates = problems.whole(
                "replicates",
                form.text("replicates"),
                1,
                Arrangement.MOST_REPLICATES,
                before.replicates(),
                "A whole number from 1 to " + Arrangement.MOST_REPLICATES + ". Accepted: 4.");
        return replicates == before.replicates() ? plan : plan.with(before.withReplicates(replicates));
    }
}
