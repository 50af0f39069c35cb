package elsom.core.panel;

import elsom.core.stats.Interval;
import elsom.core.stats.Proportion;
import java.util.OptionalInt;
import org.apache.commons.statistics.distribution.BinomialDistribution;

/**
 * A choice that every taster had to make, judged exactly: the odd one of three plates, or the better of two.
 *
 * @param tasters each of whom chose once
 * @param chosen who picked the odd one, or the one that more preferred
 */
public record ForcedChoice(Kind kind, int tasters, int chosen) {
    private static final double ALPHA = 0.05;
    private static final double POWER = 0.8;
    private static final int MOST = 500;

    /** What is chosen, and how often chance alone gets it. */
    public enum Kind {
        /** Two plates alike and one other: by guessing one in three is right. One-sided: fewer right than that means nothing. */
        TRIANGLE(1 / 3.0, 1),
        /** Which of two is preferred: either could be, so it is two-sided. */
        PAIR(0.5, 2);

        private final double guess;
        private final int sides;

        Kind(double guess, int sides) {
            this.guess = guess;
            this.sides = sides;
        }

        /** The share that guessing alone gets. */
        public double guess() {
            return guess;
        }
    }

    public ForcedChoice {
        if (tasters < 1 || chosen < 0 || chosen > tasters) {
            throw new IllegalArgumentException("chosen are 0 to all tasters, got " + chosen + " of " + tasters);
        }
    }

    /** The chance that guessing alone would have done as well: the exact binomial tail, doubled for a pair. */
    public double p() {
        return Math.min(1, kind.sides * tail(tasters, winner(), kind.guess));
    }

    /** Who found the odd one; of a pair how many the more preferred of the two had, whichever it is. */
    private int winner() {
        return kind == Kind.PAIR ? Math.max(chosen, tasters - chosen) : chosen;
    }

    /** Whether of a pair the other one is liked by more. */
    public boolean otherWay() {
        return kind == Kind.PAIR && 2 * chosen < tasters;
    }

    private static double tail(int n, int least, double chance) {
        return least <= 0 ? 1 : BinomialDistribution.of(n, chance).survivalProbability(least - 1);
    }

    /** Whether it is shown at 1 in 20. */
    public boolean shown() {
        return p() <= ALPHA;
    }

    /**
     * The share of tasters who can truly tell, who others only add guesses to (Abbott's formula; Ennis and Jesionka 2011), with
     * the interval that Clopper and Pearson's of the right answers gives; below 0 counts as 0.
     */
    public Interval discriminators() {
        Interval right = new Proportion(winner(), tasters).clopperPearson95();
        return new Interval(trueShare(right.low()), trueShare(right.high()));
    }

    /** The likeliest share of tasters who can tell. */
    public double discriminating() {
        return trueShare(winner() / (double) tasters);
    }

    private double trueShare(double right) {
        return Math.max(0, (right - kind.guess) / (1 - kind.guess));
    }

    /** The fewest of so many that show it at 1 in 20; empty where even all would not. */
    public static OptionalInt leastOf(Kind kind, int tasters) {
        for (int chosen = 0; chosen <= tasters; chosen++) {
            if (kind.sides * tail(tasters, chosen, kind.guess) <= ALPHA && chosen > kind.guess * tasters) {
                return OptionalInt.of(chosen);
            }
        }
        return OptionalInt.empty();
    }

    /**
     * The fewest tasters who would likely show it (4 of 5 panels), when such a share can truly tell; empty when no 500 would.
     *
     * @param canTell above 0 to 1
     */
    public static OptionalInt tastersFor(Kind kind, double canTell) {
        double right = canTell + (1 - canTell) * kind.guess;
        for (int tasters = 2; tasters <= MOST; tasters++) {
            OptionalInt least = leastOf(kind, tasters);
            if (least.isPresent() && tail(tasters, least.getAsInt(), right) >= POWER) {
                return OptionalInt.of(tasters);
            }
        }
        return OptionalInt.empty();
    }
}
