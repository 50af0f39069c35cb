package elsom.core.practice;

import elsom.core.plan.Direction;
import elsom.core.truth.Living;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;

/** A level with plants. */
abstract class PlantLevel extends Level {
    PlantLevel(Brief brief, Setting setting, Trialled trap, Trialled fair) {
        super(brief, setting, trap, fair);
    }

    /** What the plants of a treatment truly live in; empty for one that there is nothing for on the shelf. */
    abstract Optional<Living> living(Truth truth, String treatment);

    @Override
    final OptionalDouble figure(
            Truth truth, String treatment, double light, double days, double deviate, Setting given) {
        return living(truth, treatment)
                .map(living -> living.lit(light))
                .map(living -> OptionalDouble.of(
                        brief().measured().better() == Direction.LOWER
                                ? PlantReading.injury(living, days, deviate, given)
                                : PlantReading.freshMass(living, deviate, given)))
                .orElse(OptionalDouble.empty());
    }

    /** The treatment of the shelf whose every word is among these; the one with most words where several are. */
    @Override
    public Optional<String> meant(String words) {
        List<String> said = tokens(words);
        return shelf().stream()
                .filter(one -> said.containsAll(tokens(one)))
                .reduce((one, other) -> tokens(other).size() > tokens(one).size() ? other : one);
    }

    private static List<String> tokens(String words) {
        return List.of(words.toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9.]+", " ")
                .strip()
                .split(" "));
    }
}
