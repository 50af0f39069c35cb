package elsom.core.analysis;

import elsom.core.stats.WorstRank;
import java.util.List;
import java.util.Optional;

/**
 * What means say where units died. The mean of those that lived flatters a treatment that killed its weakest: it is called
 * better only where that holds with the dead ranked behind all that lived (Lachin 1999).
 */
final class Survivors {
    private Survivors() {}

    /** The answer of a pair's means, kept only where its dead don't speak against it. */
    static Answer of(Observations all, Pairing.Pair pair, double alpha, Answer byMeans) {
        int treated = all.deaths(pair.treatment());
        int beside = all.deaths(pair.comparator());
        if (treated == 0 && beside == 0) {
            return byMeans;
        }
        WorstRank ranked = WorstRank.of(
                living(all, pair.comparator()),
                beside,
                living(all, pair.treatment()),
                treated,
                all.better() == Observations.Better.HIGHER);
        boolean better = ranked.pExactBetter() <= alpha / 2;
        boolean worse = ranked.pExactWorse() <= alpha / 2;
        return switch (byMeans) {
            case BETTER -> better ? Answer.BETTER : Answer.CANT_TELL;
            case WORSE -> worse ? Answer.WORSE : Answer.CANT_TELL;
            case NO_DIFFERENCE -> treated == beside ? Answer.NO_DIFFERENCE : worse ? Answer.WORSE : Answer.CANT_TELL;
            case CANT_TELL -> Answer.CANT_TELL;
        };
    }

    private static List<Double> living(Observations all, int arm) {
        return all.seen().stream()
                .filter(unit -> unit.arm() == arm)
                .map(Observations::number)
                .toList();
    }

    /** What is told of how means are read where something died. */
    static Optional<String> remark(Observations all, Pairing pairing) {
        boolean any = pairing.pairs().stream()
                .anyMatch(pair -> all.deaths(pair.treatment()) > 0 || all.deaths(pair.comparator()) > 0);
        return any
                ? Optional.of(
                        "Units died, and means are of those that lived: “better” or “worse” is said only where it holds"
                                + " with the dead ranked behind all others (Lachin 1999).")
                : Optional.empty();
    }
}
