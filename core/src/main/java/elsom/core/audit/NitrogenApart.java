package elsom.core.audit;

import elsom.core.plan.Factor;
import elsom.core.quantity.Decimals;
import elsom.core.trial.Treatment;
import elsom.core.trial.TreatmentProperty;
import java.util.List;
import java.util.OptionalDouble;

/** Treatments that get unlike amounts of nitrogen, where nitrogen is not what is asked. */
final class NitrogenApart implements AuditRule {
    private static final double TENTH = 0.1;
    private static final double MILLIGRAMS = 1000;

    @Override
    public List<Fault> check(AuditCase trial) {
        List<Treatment> known = trial.record().treatments().stream()
                .filter(treatment -> gramsALitre(treatment).isPresent())
                .toList();
        boolean asked = trial.plan().treatments().factors().stream().anyMatch(Factor::dosed);
        if (asked || known.size() < 2) {
            return List.of();
        }
        double least = known.stream()
                .mapToDouble(treatment -> gramsALitre(treatment).getAsDouble())
                .min()
                .orElse(0);
        Treatment most = known.stream()
                .reduce((a, b) -> gramsALitre(a).getAsDouble() >= gramsALitre(b).getAsDouble() ? a : b)
                .orElseThrow();
        double highest = gramsALitre(most).getAsDouble();
        if (highest - least <= TENTH * highest) {
            return List.of();
        }
        return List.of(Fault.of(
                        FaultCode.NITROGEN,
                        Grade.SHAKY,
                        "Nitrogen given differs: " + milligrams(least) + " to " + milligrams(highest)
                                + " mg in a litre, the most with " + most.name() + ".",
                        "More nitrogen alone makes plants larger and greener, whatever else the product does.",
                        "Give all the same nitrogen, or add a treatment with that much nitrogen from a plain feed.")
                .pushing("Towards " + most.name() + "."));
    }

    /** Elemental nitrogen in a litre, by the product's content and rate. */
    private static OptionalDouble gramsALitre(Treatment treatment) {
        Double share = treatment.properties().get(TreatmentProperty.NITROGEN);
        Double rate = treatment.properties().get(TreatmentProperty.PRODUCT_RATE);
        return share == null || rate == null ? OptionalDouble.empty() : OptionalDouble.of(share * rate);
    }

    private static String milligrams(double grams) {
        return Decimals.significant(grams * MILLIGRAMS, 3);
    }
}
