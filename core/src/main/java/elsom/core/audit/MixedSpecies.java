package elsom.core.audit;

import java.util.List;
import java.util.regex.Pattern;

/** Several crops in one trial without a factor that parts them. */
final class MixedSpecies implements AuditRule {
    private static final Pattern SEVERAL = Pattern.compile(",|;|/| and | & ");

    @Override
    public List<Fault> check(AuditCase trial) {
        String crop = trial.plan().asked().crop();
        boolean several = SEVERAL.matcher(crop).find();
        boolean parted = trial.record().treatments().stream()
                .anyMatch(treatment -> SEVERAL.splitAsStream(crop)
                        .anyMatch(one -> !one.isBlank() && treatment.name().contains(one.strip())));
        return several && !parted
                ? List.of(Fault.of(
                        FaultCode.MIXED_SPECIES,
                        Grade.SHAKY,
                        "Several crops grow in the same units: " + crop + ".",
                        "They take light and water from each other, and a mean over them is of none.",
                        "One crop in a unit; several crops as a factor."))
                : List.of();
    }
}
