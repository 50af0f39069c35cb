package elsom.core.flag;

import elsom.core.analysis.SharesScatter;
import elsom.core.quantity.Decimals;
import java.util.List;
import java.util.Optional;

/** Trays differ more than chance among their plants. */
final class Overdispersed implements FlagRule {
    private static final double MUCH = 2;

    @Override
    public Optional<Flag> check(Scene scene) {
        double excess = SharesScatter.excess(scene.observations());
        return excess >= MUCH
                ? Optional.of(Flag.caution(
                        FlagCode.OVERDISPERSED,
                        "Containers of one treatment differ " + Decimals.fixed(excess, 1)
                                + " times as much as chance among their plants would make them.",
                        "What befalls a container befalls all its plants: they count as few, not many. Intervals are widened"
                                + " by it.",
                        "More containers with fewer plants each.",
                        List.of()))
                : Optional.empty();
    }
}
