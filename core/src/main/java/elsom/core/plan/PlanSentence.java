package elsom.core.plan;

import elsom.core.quantity.Decimals;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Collectors;

/** A plan in one sentence, as one tells it to somebody: what, how many, where, how long, how watered, blind or not. */
public final class PlanSentence {
    private static final int FEW = 6;
    private static final int HOURS_A_DAY = 24;

    private PlanSentence() {}

    public static String of(Plan plan) {
        int treatments = plan.treatments().size();
        String names = treatments <= FEW
                ? " ("
                        + plan.treatments().all().stream()
                                .map(PlannedTreatment::name)
                                .collect(Collectors.joining(", ")) + ")"
                : "";
        if (plan.copied()) {
            return treatments + (treatments == 1 ? " treatment" : " treatments") + names + ", copied from a notebook. "
                    + Objects.requireNonNull(plan.origin()).change() + ".";
        }
        int replicates = plan.arrangement().replicates();
        String places = plan.arrangement().sites().stream().map(Site::name).collect(Collectors.joining(" and "));
        String crop = plan.asked().crop();
        int looks = plan.schedule().looks().size();
        return treatments + (treatments == 1 ? " treatment" : " treatments") + names + " in " + replicates
                + (replicates == 1 ? " unit" : " units") + " of each"
                + (plan.arrangement().sites().size() > 1 && plan.arrangement().everySite() ? " on " : " at ") + places
                + (crop.isEmpty() ? "" : ", with " + crop) + ", drawn at random: "
                + plan.arrangement().kind().label().toLowerCase(Locale.ROOT) + "; looked at " + looks
                + (looks == 1 ? " time" : " times") + " over " + length(plan) + "; watered "
                + plan.rules().watering().label().toLowerCase(Locale.ROOT)
                + (plan.rules().blind() ? "; read blind." : ".");
    }

    private static String length(Plan plan) {
        long hours = plan.schedule().length().toHours();
        return hours < 2 * HOURS_A_DAY
                ? hours + (hours == 1 ? " hour" : " hours")
                : Decimals.upTo(hours / (double) HOURS_A_DAY, 1) + " days";
    }
}
