package elsom.core.analysis;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A question judged.
 *
 * @param checked what was checked before choosing the analysis and what was done about it, as sentences
 * @param means of each arm, adjusted for blocks where units are missing; NaN for one without units
 * @param letters of each arm: two that share one are not shown to differ; empty when they can't be given
 * @param mainEffects given for a factorial, and to be read only where no interaction is shown
 * @param refused why nothing can be judged, as a sentence; empty when it can
 */
public record Judgement(
        Method method,
        List<String> checked,
        List<Double> means,
        List<Comparison> comparisons,
        List<String> letters,
        Optional<Interaction> interaction,
        List<MainEffect> mainEffects,
        OptionalDouble scatter,
        List<Residual> residuals,
        Optional<String> refused) {
    /** What a unit's value has beyond what its treatment and place explain; index among the observations' units. */
    public record Residual(int unit, double value) {}

    public Judgement {
        checked = List.copyOf(checked);
        means = List.copyOf(means);
        comparisons = List.copyOf(comparisons);
        letters = List.copyOf(letters);
        mainEffects = List.copyOf(mainEffects);
        residuals = List.copyOf(residuals);
    }
}
