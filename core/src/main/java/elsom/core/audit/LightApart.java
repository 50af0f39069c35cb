package elsom.core.audit;

import elsom.core.design.Balance;
import elsom.core.design.Rotation;
import elsom.core.quantity.Decimals;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialRecord;
import java.util.List;
import java.util.stream.Collectors;

/** Treatments that had unlike light, where it was measured. */
final class LightApart implements AuditRule {
    @Override
    public List<Fault> check(AuditCase trial) {
        TrialRecord stood = Rotation.at(trial.record(), trial.now());
        Balance balance = Balance.of(stood.benches(), stood.units());
        if (balance.meanLight().isEmpty() || !trial.compares()) {
            return List.of();
        }
        double mean = balance.meanLight().getAsDouble();
        List<Balance.Share> off = balance.shares().stream()
                .filter(share -> share.meanLight().isPresent()
                        && Math.abs(share.meanLight().getAsDouble() / mean - 1) > Balance.LIGHT_TOLERANCE)
                .toList();
        if (off.isEmpty()) {
            return List.of();
        }
        String who = off.stream()
                .map(share -> trial.name(share.treatment()) + " had "
                        + Decimals.percent(share.meanLight().getAsDouble() / mean, 0) + " %")
                .collect(Collectors.joining(", "));
        return List.of(Fault.of(
                        FaultCode.LIGHT,
                        Grade.SHAKY,
                        who + " of the mean light of the bench.",
                        "Growth follows light closely: a tenth more light is about a tenth more growth.",
                        "Blocks across the light, and turning the units.")
                .pushing("What had more light looks better than it is, what had less looks worse.")
                .at(stood.units().stream()
                        .filter(unit -> off.stream().anyMatch(share -> share.treatment() == unit.treatment()))
                        .map(ExperimentalUnit::code)
                        .toList()));
    }
}
