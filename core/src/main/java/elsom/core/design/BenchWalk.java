package elsom.core.design;

import elsom.core.trial.Bench;
import elsom.core.trial.BenchPosition;
import elsom.core.trial.Side;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** The places of a bench in the order blocks are made: level by level across the light, from the bright side. */
final class BenchWalk {
    private BenchWalk() {}

    /** A level: places that share their distance from the light. */
    static List<List<BenchPosition>> levels(Bench bench) {
        boolean alongRows = alongRows(bench);
        boolean brightFirst = brightFirst(bench, alongRows);
        int levels = alongRows ? bench.rows() : bench.columns();
        int across = alongRows ? bench.columns() : bench.rows();
        List<List<BenchPosition>> all = new ArrayList<>();
        for (int level = 1; level <= levels; level++) {
            List<BenchPosition> places = new ArrayList<>();
            for (int place = 1; place <= across; place++) {
                BenchPosition at = alongRows
                        ? new BenchPosition(bench.number(), level, place)
                        : new BenchPosition(bench.number(), place, level);
                if (!bench.guarded() || !bench.rim(at)) {
                    places.add(at);
                }
            }
            if (!places.isEmpty()) {
                all.add(places);
            }
        }
        if (!brightFirst) {
            Collections.reverse(all);
        }
        return all;
    }

    /** All places, walked to and fro, so that neighbours in the list are neighbours on the bench. */
    static List<BenchPosition> walk(Bench bench) {
        List<BenchPosition> walk = new ArrayList<>();
        boolean back = false;
        for (List<BenchPosition> level : levels(bench)) {
            List<BenchPosition> line = new ArrayList<>(level);
            if (back) {
                Collections.reverse(line);
            }
            walk.addAll(line);
            back = !back;
        }
        return walk;
    }

    /** Whether light changes more from row to row than from column to column. */
    private static boolean alongRows(Bench bench) {
        return bench.lightMap().known()
                ? Math.abs(slope(bench, true)) >= Math.abs(slope(bench, false))
                : bench.light() == Side.TOP || bench.light() == Side.BOTTOM;
    }

    private static boolean brightFirst(Bench bench, boolean alongRows) {
        return bench.lightMap().known()
                ? slope(bench, alongRows) <= 0
                : bench.light() == Side.TOP || bench.light() == Side.LEFT;
    }

    /** Least-squares slope of light over all places, from the first to the last row or column. */
    private static double slope(Bench bench, boolean overRows) {
        double middle = (1 + (overRows ? bench.rows() : bench.columns())) / 2.0;
        double products = 0;
        double squares = 0;
        for (BenchPosition at : bench.places().toList()) {
            double off = (overRows ? at.row() : at.column()) - middle;
            products += off * bench.lightAt(at);
            squares += off * off;
        }
        // From one end to the other, so that a long bench's slope and a deep bench's compare.
        return squares > 0 ? products / squares * (middle - 1) * 2 : 0;
    }
}
