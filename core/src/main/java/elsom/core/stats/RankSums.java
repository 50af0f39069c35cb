package elsom.core.stats;

import java.util.Arrays;

/** How often each sum of ranks comes about when so many units are chosen by lot: counted, also with ties. */
final class RankSums {
    private final double[] ways;
    private final double all;

    private RankSums(double[] ways) {
        this.ways = ways;
        this.all = Arrays.stream(ways).sum();
    }

    /**
     * Counts them.
     *
     * @param doubled twice the midrank of each unit
     * @param chosen how many are chosen
     */
    static RankSums of(int[] doubled, int chosen) {
        int most = Arrays.stream(doubled).sum();
        double[][] ways = new double[chosen + 1][most + 1];
        ways[0][0] = 1;
        int reached = 0;
        for (int rank : doubled) {
            reached += rank;
            for (int taken = chosen; taken >= 1; taken--) {
                for (int sum = reached; sum >= rank; sum--) {
                    ways[taken][sum] += ways[taken - 1][sum - rank];
                }
            }
        }
        return new RankSums(ways[chosen]);
    }

    /** Of two samples without ties. */
    static RankSums untied(int chosen, int others) {
        int[] ranks = new int[chosen + others];
        Arrays.setAll(ranks, i -> 2 * (i + 1));
        return of(ranks, chosen);
    }

    /** The chance of a doubled sum of at most this. */
    double atMost(double doubledSum) {
        double sum = 0;
        for (int i = 0; i < ways.length && i <= doubledSum + 1e-6; i++) {
            sum += ways[i];
        }
        return Math.min(1, sum / all);
    }

    /** The chance of a doubled sum of at least this. */
    double atLeast(double doubledSum) {
        double sum = 0;
        for (int i = (int) Math.max(0, Math.ceil(doubledSum - 1e-6)); i < ways.length; i++) {
            sum += ways[i];
        }
        return Math.min(1, sum / all);
    }
}
