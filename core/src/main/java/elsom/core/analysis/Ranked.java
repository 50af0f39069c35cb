package elsom.core.analysis;

import elsom.core.stats.Group;
import elsom.core.stats.Holm;
import elsom.core.stats.RankTests;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;

/** Ranks of two treatments, for endpoints whose steps need not be alike. */
final class Ranked {
    private Ranked() {}

    /** p of each pair by Mann and Whitney (1947), adjusted by Holm (1979). */
    static List<OptionalDouble> p(Observations all, List<Pairing.Pair> pairs) {
        double[] plain = pairs.stream()
                .mapToDouble(
                        pair -> RankTests.mannWhitney(values(all, pair.comparator()), values(all, pair.treatment()))
                                .pExact())
                .toArray();
        return Arrays.stream(Holm.adjust(plain)).mapToObj(OptionalDouble::of).toList();
    }

    /** What a treatment's units show; “not yet” as a value above all that were seen. */
    static Group values(Observations all, int arm) {
        double latest = all.seen().stream()
                .mapToDouble(Observations::number)
                .filter(Double::isFinite)
                .max()
                .orElse(0);
        return new Group(
                all.arms().get(arm).name(),
                all.seen().stream()
                        .filter(unit -> unit.arm() == arm)
                        .map(Observations::number)
                        .map(value -> Double.isInfinite(value) ? Math.abs(latest) * 2 + 1 : value)
                        .toList());
    }
}
