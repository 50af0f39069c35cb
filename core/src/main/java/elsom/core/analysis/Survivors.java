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
        double treated = share(all, pair.treatment());
        double beside = share(all, pair.comparator());
        boolean against = switch (byMeans) {
            case BETTER, AS_GOOD -> treated > beside;
            case WORSE, NOT_AS_GOOD -> treated < beside;
            case NO_DIFFERENCE -> treated != beside;
            case CANT_TELL -> false;
        };
        if (!against) {
            return byMeans;
        }
        WorstRank ranked = WorstRank.of(
                living(all, pair.comparator()),
                all.deaths(pair.comparator()),
                living(all, pair.treatment()),
                all.deaths(pair.treatment()),
                all.better() == Observations.Better.HIGHER);
        boolean holds = (byMeans == Answer.BETTER && ranked.pExactBetter() <= alpha / 2)
                || (byMeans == Answer.WORSE && ranked.pExactWorse() <= alpha / 2);
        return holds ? byMeans : Answer.CANT_TELL;
    }

    private static double share(Observations all, int arm) {
        int deaths = all.deaths(arm);
        return deaths == 0 ? 0 : deaths / (double) (deaths + all.seen(arm));
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
