package elsom.core.plan.check;

import elsom.core.flag.Flag;
import elsom.core.mix.Mix;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;

/** A mix that can not be read has no batch. */
final class MixUnread implements PlanRule {
    @Override
    public boolean ofTreatments() {
        return true;
    }

    @Override
    public void check(Plan plan, Noted noted) {
        for (PlannedTreatment treatment : plan.treatments().all()) {
            if (treatment.mix().isBlank()) {
                continue;
            }
            try {
                Mix.parse(treatment.mix());
                if (Mix.withoutShares(treatment.mix())) {
                    noted.flag(
                            Flag.Severity.CAUTION,
                            "The mix of " + treatment.name() + " names no shares: it is read as equal parts, "
                                    + Mix.parse(treatment.mix()).text() + ".",
                            "Another share makes another mix.",
                            "Write parts: 3 leaf mould + 1 GW-32.");
                }
            } catch (IllegalArgumentException unreadable) {
                noted.flag(
                        Flag.Severity.CAUTION,
                        "The mix of " + treatment.name() + " can't be read: "
                                + String.valueOf(unreadable.getMessage()).replaceFirst("(?<![?.])$", "."),
                        "Its batch can't be worked out.",
                        "Write parts: 3 leaf mould + 1 GW-32.");
            }
        }
    }
}
