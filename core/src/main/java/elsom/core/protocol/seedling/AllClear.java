package elsom.core.protocol.seedling;

import elsom.core.dose.DoseEffect;
import elsom.core.quantity.Decimals;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Whether a lot that injured nothing can be called clear. Silence is no all-clear: the trial must hold, must have been able
 * to see the least injury that matters, in every plant, until its last look, and no marked symptom may be commoner in the
 * lot.
 *
 * @param why reasons why it can't be told; none when it is clear
 * @param seen the least injury that would have been seen, in points
 */
record AllClear(List<String> why, double seen) {
    AllClear {
        why = List.copyOf(why);
    }

    static AllClear of(BioassayResult result) {
        List<String> why = new ArrayList<>();
        for (BioassayResult.Species species : result.species()) {
            doubt(species).ifPresent(why::add);
        }
        result.symptoms().stream()
                .filter(SymptomCounts.Excess::speaks)
                .max(Comparator.comparingDouble(excess -> -excess.p()))
                .ifPresent(excess -> why.add("symptoms are commoner in the lot"));
        if (!result.stillToCome().isEmpty()) {
            why.add("“" + result.stillToCome() + "” is still to come");
        }
        return new AllClear(
                why,
                result.species().stream()
                        .mapToDouble(species -> species.line().effect().tolerated())
                        .max()
                        .orElse(0));
    }

    private static Optional<String> doubt(BioassayResult.Species species) {
        DoseEffect effect = species.line().effect();
        DoseEffect.Tested tested = effect.tested();
        if (tested.refused().isPresent()) {
            return Optional.of(species.name() + " can't be told");
        }
        if (tested.died().isPresent()) {
            return Optional.of("more " + species.name() + " died in it than in the clean medium");
        }
        if (tested.noec().orElse(0) < species.most()) {
            return Optional.of("what stands in most of it, " + Decimals.upTo(species.most(), 0)
                    + " %, was not judged in " + species.name());
        }
        if (effect.proven()) {
            return Optional.empty();
        }
        double unseen = tested.unseen().orElse(Double.POSITIVE_INFINITY);
        return Optional.of("so few units of " + species.name() + " could have missed "
                + (Double.isInfinite(unseen) ? "any injury" : "an injury of " + Decimals.upTo(unseen, 1) + " points"));
    }

    boolean told() {
        return why.isEmpty();
    }

    String words() {
        return told()
                ? "Nothing here points to a contaminant: an injury of " + Decimals.upTo(seen, 1)
                        + " points, the least that matters, would have been seen, and no marked symptom is commoner in"
                        + " the lot."
                : "Whether something in it harms can't be told: " + String.join("; ", why) + ".";
    }
}
