package elsom.core.audit;

import elsom.core.trial.Look;
import elsom.core.trial.Walk;
import java.util.List;
import java.util.stream.Collectors;

/** Looks that were due and were not made, with later ones made. */
final class MissedLooks implements AuditRule {
    @Override
    public List<Fault> check(AuditCase trial) {
        List<Look> begun = trial.record().looks().stream()
                .filter(look -> trial.record().touched(look))
                .toList();
        int last = begun.stream().mapToInt(Look::number).max().orElse(0);
        List<Look> missed = trial.record().looks().stream()
                .filter(look -> look.number() < last
                        && !begun.contains(look)
                        && trial.record().progress(look).expected() > 0
                        && !Walk.byHand(trial.record(), look).isEmpty())
                .toList();
        return missed.isEmpty()
                ? List.of()
                : List.of(Fault.of(
                        FaultCode.MISSED_LOOKS,
                        missed.size() >= begun.size() ? Grade.SHAKY : Grade.SOUND,
                        (missed.size() == 1 ? "A look was not made: " : missed.size() + " looks were not made: ")
                                + missed.stream()
                                        .map(look -> "“" + look.name() + "”")
                                        .collect(Collectors.joining(", ")) + ".",
                        "What happened between is not known: injury that came and went, or when it began.",
                        "Fewer looks that are made tell more than many that are missed."));
    }
}
