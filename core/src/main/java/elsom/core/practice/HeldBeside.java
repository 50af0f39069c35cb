package elsom.core.practice;

import elsom.core.analysis.Answer;
import elsom.core.analysis.Ask;
import elsom.core.analysis.Comparison;
import elsom.core.analysis.Judge;
import elsom.core.analysis.Observations;
import elsom.core.analysis.Observed;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/**
 * What a trial's figures say when two treatments are held beside each other, by the same judge as everywhere.
 *
 * @param margin the smallest difference that matters
 */
record HeldBeside(Observations observations, double margin, boolean inPercent) {
    /** The answer; can't tell when one of them was not in the trial. */
    Answer beside(String treatment, String comparator) {
        return comparison(treatment, comparator).map(Comparison::answer).orElse(Answer.CANT_TELL);
    }

    boolean has(String treatment) {
        return observations.arms().stream().anyMatch(arm -> arm.name().equals(treatment));
    }

    Optional<Comparison> comparison(String treatment, String comparator) {
        int one = index(treatment);
        int other = index(comparator);
        if (one < 0 || other < 0) {
            return Optional.empty();
        }
        List<Observed> units = new ArrayList<>();
        for (Observed unit : observations.units()) {
            if (unit.arm() == one || unit.arm() == other) {
                units.add(new Observed(unit.unit(), unit.arm() == one ? 0 : 1, unit.block(), 0, 0, 0, unit.value()));
            }
        }
        Observations two = new Observations(
                observations.design(),
                List.of(),
                List.of(observations.arms().get(one), observations.arms().get(other)),
                observations.kind(),
                observations.better(),
                observations.resolution(),
                units);
        Ask ask = new Ask(
                List.of(two.arms().get(0).code()),
                new Ask.Against.Treatment(two.arms().get(1).code()),
                OptionalDouble.of(margin),
                inPercent,
                0.05);
        return Judge.of(two, ask).comparisons().stream().findFirst();
    }

    private int index(String name) {
        return IntStream.range(0, observations.arms().size())
                .filter(i -> observations.arms().get(i).name().equals(name))
                .findFirst()
                .orElse(-1);
    }
}
