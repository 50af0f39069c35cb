package elsom.core.trial;

import elsom.core.quantity.Sentence;
import elsom.core.seedling.InjuryScore;
import elsom.core.seedling.Symptom;
import java.util.Comparator;
import java.util.Optional;
import java.util.function.BooleanSupplier;

/** Whether there is a plant on which a symptom can be seen. */
public final class SymptomCheck {
    private SymptomCheck() {}

    /**
     * What speaks against a score with symptoms.
     *
     * @param text as it was typed
     * @param sown whether anything was sown or planted in the trial's units
     * @return empty when nothing does, and for readings without symptoms
     */
    public static Optional<String> problem(TrialRecord record, ReadingRef ref, String text, BooleanSupplier sown) {
        Endpoint endpoint = record.endpoint(ref.endpoint());
        Optional<InjuryScore> score = endpoint.takesSymptoms() ? InjuryScore.typed(text) : Optional.empty();
        if (score.isEmpty() || score.get().symptoms().isEmpty()) {
            return Optional.empty();
        }
        if (!sown.getAsBoolean()) {
            return Optional.of("Nothing is sown in this trial's units, so there is no seedling to show "
                    + score.get().words()
                    + ". Accepted: the number alone, or say in the plan how many seeds or plants a"
                    + " unit has.");
        }
        if (score.get().symptoms().stream().allMatch(Symptom::ofTheDead)) {
            return Optional.empty();
        }
        return gone(record, ref)
                .map(since -> ref.unit() + " " + since + ": a dead plant shows no "
                        + score.get().words() + ". Accepted: 10, or 10 " + Symptom.COLLAPSED.code()
                        + "; or put right what was written first.");
    }

    /** Since when nothing lives in a unit; empty while something may. */
    private static Optional<String> gone(TrialRecord record, ReadingRef ref) {
        Optional<Mishap> ended = record.ended(ref.unit()).filter(mishap -> mishap.look() <= ref.look());
        if (ended.isPresent()) {
            return Optional.of(
                    "was written down as " + (ended.get().kind() == MishapKind.DIED ? "dead" : "lost or dead") + " at "
                            + record.look(ended.get().look()).map(Look::name).orElse("an earlier look"));
        }
        return record.looks().stream()
                .filter(look -> look.number() <= ref.look())
                .sorted(Comparator.comparing(Look::number).reversed())
                .flatMap(look -> look.endpoints().stream()
                        .map(record::endpoint)
                        .filter(counted -> counted.among() > 0)
                        .flatMap(counted ->
                                record.current(new ReadingRef(ref.unit(), look.number(), counted.code())).stream()
                                        .filter(reading -> reading.value() != null && reading.value() == 0)
                                        .map(reading ->
                                                "had " + Sentence.inside(counted.name()) + " 0 at " + look.name())))
                .findFirst();
    }
}
