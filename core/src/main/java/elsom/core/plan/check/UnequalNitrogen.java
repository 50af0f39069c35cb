package elsom.core.plan.check;

import elsom.core.flag.Flag;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.quantity.Decimals;
import elsom.core.trial.TreatmentProperty;
import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;

/** Products of different strength by the same spoon. */
final class UnequalNitrogen implements PlanRule {
    private static final double ALIKE = 0.05;

    @Override
    public boolean ofTreatments() {
        return true;
    }

    @Override
    public void check(Plan plan, Noted noted) {
        List<PlannedTreatment> fed = plan.treatments().all().stream()
                .filter(t -> t.properties().getOrDefault(TreatmentProperty.PRODUCT_RATE, 0.0) > 0
                        && t.properties().getOrDefault(TreatmentProperty.NITROGEN, 0.0) > 0)
                .toList();
        if (fed.size() < 2
                || alike(fed.stream().map(UnequalNitrogen::nitrogenRate).toList())) {
            return;
        }
        boolean equalSpoon = alike(fed.stream().map(UnequalNitrogen::rate).toList());
        String given = fed.stream()
                .map(t -> t.name() + " " + Decimals.upTo(nitrogenRate(t), 3) + " g N/L")
                .collect(Collectors.joining(", "));
        double target = nitrogenRate(fed.get(0));
        String equal = fed.stream()
                .map(t -> t.name() + " "
                        + Decimals.upTo(
                                target / Objects.requireNonNull(t.properties().get(TreatmentProperty.NITROGEN)), 2)
                        + " g/L")
                .collect(Collectors.joining(", "));
        noted.flag(
                Flag.Severity.CAUTION,
                (equalSpoon ? "Equal spoon, not equal nitrogen: " : "Product and nitrogen both differ: ") + given + ".",
                "The stronger product wins by its nitrogen, and nothing is learnt of the products.",
                "For equal nitrogen give " + equal + "; or say that the spoon is the question.");
    }

    private static double rate(PlannedTreatment treatment) {
        return Objects.requireNonNull(treatment.properties().get(TreatmentProperty.PRODUCT_RATE));
    }

    private static double nitrogenRate(PlannedTreatment treatment) {
        return rate(treatment) * Objects.requireNonNull(treatment.properties().get(TreatmentProperty.NITROGEN));
    }

    private static boolean alike(List<Double> values) {
        double low = values.stream().mapToDouble(v -> v).min().orElse(0);
        double high = values.stream().mapToDouble(v -> v).max().orElse(0);
        return high - low <= ALIKE * high;
    }
}
