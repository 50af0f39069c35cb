package elsom.core.results;

import elsom.core.stats.GroupSequential;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import java.util.List;

/**
 * What of the trial's error each look may spend, where it may end early: by O'Brien and Fleming's function (Lan and DeMets
 * 1983). Looks see the same pots again, and nobody knows how they lean on each other, so each is judged by its own part: the
 * parts add up to the whole, whatever the looks have in common.
 */
final class Spending {
    private Spending() {}

    /**
     * The part of a look.
     *
     * @param planned looks that take the endpoint
     * @param read those of them that were read, in order of time
     * @param alpha of all looks together
     */
    static double at(List<Look> planned, List<Look> read, Look at, double alpha) {
        double before = read.stream()
                .filter(look -> look.number() < at.number())
                .mapToDouble(look -> spent(planned, look, alpha))
                .max()
                .orElse(0);
        return Math.max(0, spent(planned, at, alpha) - before);
    }

    private static double spent(List<Look> planned, Look at, double alpha) {
        long done =
                planned.stream().filter(look -> look.number() <= at.number()).count();
        return done == 0 ? 0 : GroupSequential.spent((double) done / planned.size(), alpha);
    }

    /** Looks that are planned for an endpoint. */
    static List<Look> planned(Evidence evidence, EndpointCode endpoint) {
        return evidence.record().looks().stream()
                .filter(look -> look.endpoints().contains(endpoint))
                .toList();
    }
}
