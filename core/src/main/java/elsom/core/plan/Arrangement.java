package elsom.core.plan;

import elsom.core.design.LayoutKind;
import elsom.core.quantity.Bounds;
import elsom.core.trial.BenchPosition;
import elsom.core.trial.UnitCode;
import java.util.ArrayList;
import java.util.List;

/**
 * How many units, where, and drawn from which seed.
 *
 * @param replicates units of each treatment: on each site, or in all, as {@code everySite} says
 * @param everySite true when every treatment stands on each site with all its replicates
 * @param wholePlotFactor number of the factor that is given to whole groups in a split-plot, from 1
 * @param guards whether a ring of unmeasured units stands around the others
 * @param rotateEveryDays how often every unit moves on by one place within its block; 0 for never
 * @param moves changes made by hand after the draw, in order
 */
public record Arrangement(
        LayoutKind kind,
        int replicates,
        List<Site> sites,
        boolean everySite,
        int wholePlotFactor,
        boolean guards,
        int rotateEveryDays,
        long seed,
        List<Move> moves) {
    public static final int MOST_REPLICATES = 50;

    /** A unit put on another place by hand; what stands there changes places with it. */
    public record Move(UnitCode unit, BenchPosition to) {
        public Move {
            Bounds.present("the unit that is moved", unit);
            Bounds.present("where a unit is moved", to);
        }
    }

    public Arrangement {
        Bounds.present("the kind of layout", kind);
        Bounds.count("replicates", replicates, 1, MOST_REPLICATES);
        sites = Bounds.list("benches", sites, 1, Site.MOST);
        Bounds.count("the factor of whole plots", wholePlotFactor, 0, Factor.MOST);
        Bounds.count("days between turns", rotateEveryDays, 0, 365);
        moves = Bounds.list("moves by hand", moves, 0, Bounds.MOVES);
    }

    /** A seed from here on is one of so many that nobody can try them all; what is read blind is drawn from such a one. */
    public static final long SECRET_FROM = 1L << 32;

    /** Whether its seed is one that nobody can find by trying. */
    public boolean secret() {
        return seed >= SECRET_FROM;
    }

    /** Drawn from a seed, nothing moved by hand. */
    public Arrangement drawnFrom(long newSeed) {
        return new Arrangement(
                kind, replicates, sites, everySite, wholePlotFactor, guards, rotateEveryDays, newSeed, List.of());
    }

    public Arrangement moved(Move move) {
        List<Move> all = new ArrayList<>(moves);
        all.add(move);
        return new Arrangement(kind, replicates, sites, everySite, wholePlotFactor, guards, rotateEveryDays, seed, all);
    }

    public Arrangement withReplicates(int number) {
        return new Arrangement(
                kind, number, sites, everySite, wholePlotFactor, guards, rotateEveryDays, seed, List.of());
    }
}
