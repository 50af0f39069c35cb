package elsom.core.brew;

import elsom.core.plan.Plan;
import elsom.core.plan.PlanOrigin;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Pots;
import elsom.core.plan.Treatments;
import elsom.core.protocol.growth.GrowthInPots;
import elsom.core.quantity.Bounds;
import elsom.core.trial.Container;
import elsom.core.trial.ControlKind;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialRecord;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/** A growth trial of brews used as a drench, beside plain water of the same volume. */
public final class Drench {
    private static final Container POT = Container.taperedRound("Round pot 9 cm", 8.5, 9, 6.5);

    private Drench() {}

    /**
     * The plan, as a draft that stands in one chain with the brews.
     *
     * @param treatments numbers of the brews' treatments
     * @param parts of water to one of brew; 0 for undiluted
     * @param rateMl a pot each time
     * @param said what else is to be known of the brews; may be empty
     */
    public static Plan plan(
            TrialRecord brews, List<Integer> treatments, int parts, double rateMl, String said, Instant now) {
        List<PlannedTreatment> drenches = new ArrayList<>();
        drenches.add(PlannedTreatment.of("plain water", "leaf mould", ControlKind.CONTROL));
        for (Treatment treatment : brews.treatments()) {
            if (treatments.contains(treatment.number())) {
                drenches.add(PlannedTreatment.of(name(treatment, parts), "leaf mould", ControlKind.NONE));
            }
        }
        Pots usual = Pots.of(POT);
        Plan begun = GrowthInPots.protocol()
                .begin(
                        "What does the extract do as a drench?",
                        brews.trial().zone(),
                        now.plus(Duration.ofDays(1)),
                        usual,
                        brews.trial().seed() + 1);
        Pots pots = begun.pots();
        return begun.with(
                        Treatments.listed(drenches),
                        new Pots(
                                pots.container(),
                                pots.volumeMl(),
                                pots.plants(),
                                pots.seeds(),
                                pots.thousandSeedG(),
                                pots.settling(),
                                pots.spare(),
                                rateMl))
                .from(new PlanOrigin(
                        brews.trial().id().value(),
                        brews.trial().question(),
                        "The brews are used: " + Math.round(rateMl) + " mL a pot, " + diluted(parts)
                                + (said.isEmpty() ? "" : ". " + said),
                        List.of()));
    }

    private static String name(Treatment treatment, int parts) {
        String name = treatment.name() + ", " + diluted(parts);
        return name.substring(0, Math.min(Bounds.NAME, name.length()));
    }

    private static String diluted(int parts) {
        return parts == 0 ? "undiluted" : "1 part brew in " + (parts + 1) + " total";
    }
}
