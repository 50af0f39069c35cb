package elsom.core.plan.check;

import elsom.core.design.DoseSeries;
import elsom.core.flag.Flag;
import elsom.core.plan.Factor;
import elsom.core.plan.Plan;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Dimension;
import java.util.List;
import java.util.Objects;

/** A series of doses that stops short of the effect. */
final class ShortSeries implements PlanRule {
    @Override
    public boolean ofTreatments() {
        return true;
    }

    @Override
    public void check(Plan plan, Noted noted) {
        plan.treatments().factors().stream().filter(Factor::dosed).forEach(factor -> series(factor, noted));
    }

    private static void series(Factor factor, Noted noted) {
        List<Double> doses = factor.levels().stream()
                .map(level -> Objects.requireNonNull(level.amount()))
                .sorted()
                .toList();
        if (!doses.contains(0.0) && factor.unit().dimension() != Dimension.CONDUCTIVITY) {
            noted.flag(
                    Flag.Severity.CAUTION,
                    "No level of " + factor.name() + " is none.",
                    "Harm is what is beyond the untreated ones: without any, no strength can be called harmless, and there is"
                            + " no rate to work with.",
                    "Add 0 as a level.");
        }
        Double effect = factor.expectedEffect();
        if (effect != null && doses.get(doses.size() - 1) <= effect) {
            noted.flag(
                    Flag.Severity.CAUTION,
                    "No level of " + factor.name() + " lies above " + shown(factor, effect)
                            + ", where you expect the effect.",
                    "If nothing happens, you have only learnt that the series was too short.",
                    "Add a level well above it.");
        }
        if (effect != null && doses.stream().noneMatch(dose -> dose > 0 && dose < effect)) {
            noted.flag(
                    Flag.Severity.CAUTION,
                    "No level of " + factor.name() + " lies between none and " + shown(factor, effect) + ".",
                    "The dose without harm would be none at all.",
                    "Add a level well below the expected effect.");
        }
        if (doses.size() < DoseSeries.FEWEST_FOR_A_CURVE) {
            noted.flag(
                    Flag.Severity.NOTE,
                    factor.name() + " has " + doses.size() + " levels.",
                    "A dose-response curve needs " + DoseSeries.FEWEST_FOR_A_CURVE
                            + " or more; with fewer, levels are only compared with the control.",
                    "Add levels between the lowest and the highest.");
        }
        if (factor.labelRate() != null && !doses.contains(factor.labelRate())) {
            noted.flag(
                    Flag.Severity.NOTE,
                    "The label's rate, " + shown(factor, factor.labelRate()) + ", is not among the levels.",
                    "What people will do is then never tested.",
                    "Add it as a level.");
        }
    }

    private static String shown(Factor factor, double amount) {
        return (Decimals.upTo(amount, 4) + " " + factor.unit().symbol()).strip();
    }
}
