package elsom.core.next;

import elsom.core.dose.DoseEffect;
import elsom.core.plan.Factor;
import elsom.core.plan.FactorKind;
import elsom.core.plan.FollowUp;
import elsom.core.plan.Plan;
import elsom.core.plan.Treatments;
import elsom.core.protocol.dose.DoseResult;
import elsom.core.quantity.UnitOfMeasure;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;

/** Doses where the answer lies: between the highest harmless and the lowest harmful one, or beyond all that was tested. */
final class Bracket implements Proposer {
    private static final int BETWEEN = 3;

    @Override
    public Optional<Proposal> after(Ended trial) {
        Optional<DoseResult> doses =
                trial.findings().sections(DoseResult.class).stream().findFirst();
        Optional<Factor> factor = doses.flatMap(result -> trial.plan().treatments().factors().stream()
                .filter(one -> one.name().equals(result.factor())
                        && (one.dosed() || (one.kind() == FactorKind.SHARE && one.measured())))
                .findFirst());
        return factor.isEmpty() ? Optional.empty() : around(trial, doses.get(), factor.get());
    }

    private static Optional<Proposal> around(Ended trial, DoseResult result, Factor factor) {
        DoseEffect.Tested tested = result.lines().get(0).effect().tested();
        if (tested.refused().isPresent()) {
            return Optional.empty();
        }
        double highest = factor.levels().stream()
                .mapToDouble(level -> level.amount() == null ? 0 : level.amount())
                .max()
                .orElse(0);
        SortedSet<Double> levels = new TreeSet<>();
        String reason;
        double narrowing;
        if (tested.loec().isEmpty() && tested.died().isEmpty()) {
            if (highest <= 0 || (factor.unit() == UnitOfMeasure.PERCENT && highest >= 100)) {
                return Optional.empty();
            }
            levels.addAll(List.of(0.0, highest, 2 * highest, 4 * highest));
            reason = "No dose up to " + result.dose(highest) + " did harm, so the limit lies beyond what was tested.";
            narrowing = 0.5;
        } else {
            double low = tested.noec().isPresent() ? tested.noec().getAsDouble() : 0;
            double high = tested.died().orElseGet(() -> tested.loec().getAsDouble());
            levels.addAll(List.of(0.0, high));
            if (low > 0) {
                levels.add(low);
            }
            double from = low > 0 ? low : high / 16;
            for (int i = 1; i <= BETWEEN; i++) {
                levels.add(rounded(from * Math.pow(high / from, i / (BETWEEN + 1.0))));
            }
            reason = low > 0
                    ? "Harmless at " + result.dose(low) + ", harmful at " + result.dose(high)
                            + ": the limit lies somewhere between, and doses between tell where."
                    : "Even the lowest dose, " + result.dose(high) + ", did harm: only lower ones can be safe.";
            narrowing = 1 - 1.0 / (BETWEEN + 1);
        }
        return Optional.of(proposal(trial, result, factor, levels, reason, narrowing));
    }

    private static Proposal proposal(
            Ended trial, DoseResult result, Factor factor, SortedSet<Double> levels, String reason, double narrowing) {
        List<Factor.Level> named = new ArrayList<>();
        for (double level : levels) {
            named.add(new Factor.Level(result.dose(level), level, level == 0));
        }
        Factor closer = new Factor(
                factor.name(),
                factor.kind(),
                factor.unit(),
                named,
                factor.labelRate(),
                factor.expectedEffect(),
                factor.stock());
        List<Factor> factors = trial.plan().treatments().factors().stream()
                .map(one -> one.equals(factor) ? closer : one)
                .toList();
        Plan again = trial.anew();
        Plan bracketed = again.with(
                        Treatments.crossed(factors, again.treatments().base(), List.of()), again.pots())
                .with(NextQuestions.ofAll(again));
        return Proposal.of(
                FollowUp.BRACKET,
                "Doses of "
                        + String.join(
                                ", ", named.stream().map(Factor.Level::name).toList()) + ".",
                reason,
                trial,
                bracketed,
                narrowing);
    }

    /** To two digits, as doses are made up. */
    private static double rounded(double dose) {
        double step = Math.pow(10, Math.floor(Math.log10(dose)) - 1);
        return Math.round(dose / step) * step;
    }
}
