package elsom.core.curve;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Where to start a log-logistic fit. For a given slope and EC50 the curve is linear in its limits, which are then solved
 * for (separable least squares, Golub & Pereyra 1973); so a small grid over slope and EC50 finds the valley, and a few
 * Gauss–Newton steps over the doses' means its floor. Replicates of a dose enter as their mean and number: about a mean
 * their squares do not depend on the curve.
 */
final class DoseGrid {
    private static final double[] SLOPES = {0.4, 0.7, 1.2, 2, 3.5, 6, 11};
    private static final int BETWEEN = 2;
    private static final int KEPT = 2;
    private static final int MOST_STEPS = 60;

    private final double[] log;
    private final double[] mean;
    private final double[] weight;
    private final boolean lowerHeld;

    DoseGrid(double[] x, double[] y, boolean lowerHeld) {
        Map<Double, double[]> byDose = new TreeMap<>();
        for (int i = 0; i < x.length; i++) {
            double[] sums = byDose.computeIfAbsent(x[i], dose -> new double[2]);
            sums[0] += y[i];
            sums[1]++;
        }
        int levels = byDose.size();
        log = new double[levels];
        mean = new double[levels];
        weight = new double[levels];
        int i = 0;
        for (Map.Entry<Double, double[]> level : byDose.entrySet()) {
            log[i] = Math.log(level.getKey());
            weight[i] = level.getValue()[1];
            mean[i] = level.getValue()[0] / weight[i];
            i++;
        }
        this.lowerHeld = lowerHeld;
    }

    /** A point of the grid, polished. */
    private record Candidate(double slope, double logE, double squares) {}

    /**
     * Starts in the order of the model's parameters, the best first.
     *
     * @param sign of the slope: 1 for a fall
     */
    List<double[]> best(double sign) {
        List<Candidate> grid = new ArrayList<>();
        for (double logE : places()) {
            for (double slope : SLOPES) {
                grid.add(candidate(sign * slope, logE));
            }
        }
        grid.sort(Comparator.comparingDouble(Candidate::squares));
        List<Candidate> polished = new ArrayList<>();
        for (Candidate one : grid.subList(0, Math.min(KEPT, grid.size()))) {
            polished.add(polish(one));
        }
        Candidate floor = polished.stream()
                .min(Comparator.comparingDouble(Candidate::squares))
                .orElseThrow();
        double[] limits = limits(floor.slope(), floor.logE());
        return List.of(
                lowerHeld
                        ? new double[] {floor.slope(), limits[1], floor.logE()}
                        : new double[] {floor.slope(), limits[0], limits[1], floor.logE()});
    }

    /** Every positive dose and places between neighbours. */
    private List<Double> places() {
        List<Double> places = new ArrayList<>();
        for (int i = 0; i < log.length; i++) {
            if (log[i] == Double.NEGATIVE_INFINITY) {
                continue;
            }
            for (int part = 0; part < BETWEEN && (i + 1 < log.length || part == 0); part++) {
                double next = i + 1 < log.length ? log[i + 1] : log[i];
                places.add(log[i] + (next - log[i]) * part / BETWEEN);
            }
        }
        return places;
    }

    /** The share of the way from the upper to the lower limit at a dose. */
    private double share(int i, double slope, double logE) {
        if (log[i] == Double.NEGATIVE_INFINITY) {
            return slope > 0 ? 0 : 1;
        }
        return 1 / (1 + Math.exp(-slope * (log[i] - logE)));
    }

    /** The lower and the upper limit that fit best. */
    private double[] limits(double slope, double logE) {
        double cc = 0;
        double cd = 0;
        double dd = 0;
        double cy = 0;
        double dy = 0;
        for (int i = 0; i < log.length; i++) {
            double c = share(i, slope, logE);
            double d = 1 - c;
            cc += weight[i] * c * c;
            cd += weight[i] * c * d;
            dd += weight[i] * d * d;
            cy += weight[i] * c * mean[i];
            dy += weight[i] * d * mean[i];
        }
        double determinant = cc * dd - cd * cd;
        if (lowerHeld || !(determinant > 1e-14 * cc * dd)) {
            return new double[] {0, dd > 0 ? dy / dd : 0};
        }
        return new double[] {(cy * dd - dy * cd) / determinant, (dy * cc - cy * cd) / determinant};
    }

    private Candidate candidate(double slope, double logE) {
        double[] limits = limits(slope, logE);
        double squares = 0;
        for (int i = 0; i < log.length; i++) {
            double off = mean[i] - limits[1] - (limits[0] - limits[1]) * share(i, slope, logE);
            squares += weight[i] * off * off;
        }
        return new Candidate(slope, logE, Double.isNaN(squares) ? Double.POSITIVE_INFINITY : squares);
    }

    /** Damped Gauss–Newton steps in slope and EC50, the limits solved for at each (Kaufman 1975). */
    private Candidate polish(Candidate from) {
        Candidate here = from;
        double damping = 1e-3;
        for (int step = 0; step < MOST_STEPS; step++) {
            Candidate next = stepped(here, damping);
            if (next.squares() <= here.squares()) {
                boolean settled = here.squares() - next.squares() <= 1e-15 * here.squares()
                        && Math.abs(next.slope() - here.slope()) <= 1e-9 * Math.abs(here.slope());
                here = next;
                damping = Math.max(1e-12, damping / 10);
                if (settled) {
                    break;
                }
            } else {
                damping *= 10;
                if (damping > 1e12) {
                    break;
                }
            }
        }
        return here;
    }

    private Candidate stepped(Candidate here, double damping) {
        double[] limits = limits(here.slope(), here.logE());
        double fall = limits[0] - limits[1];
        double bb = 0;
        double be = 0;
        double ee = 0;
        double br = 0;
        double er = 0;
        double[] projected = projection(here, fall);
        for (int i = 0; i < log.length; i++) {
            double off = mean[i] - limits[1] - fall * share(i, here.slope(), here.logE());
            double byB = projected[2 * i];
            double byE = projected[2 * i + 1];
            bb += weight[i] * byB * byB;
            be += weight[i] * byB * byE;
            ee += weight[i] * byE * byE;
            br += weight[i] * byB * off;
            er += weight[i] * byE * off;
        }
        bb *= 1 + damping;
        ee *= 1 + damping;
        double determinant = bb * ee - be * be;
        if (!(determinant > 0)) {
            return here;
        }
        return candidate(
                here.slope() + (br * ee - er * be) / determinant, here.logE() + (er * bb - br * be) / determinant);
    }

    /** Derivatives by slope and EC50 less what the limits take up of them, in pairs. */
    private double[] projection(Candidate here, double fall) {
        double[] raw = new double[2 * log.length];
        double cc = 0;
        double cd = 0;
        double dd = 0;
        double[] c = new double[2];
        double[] d = new double[2];
        for (int i = 0; i < log.length; i++) {
            double share = share(i, here.slope(), here.logE());
            boolean control = log[i] == Double.NEGATIVE_INFINITY;
            double slope = fall * share * (1 - share);
            raw[2 * i] = control ? 0 : slope * (log[i] - here.logE());
            raw[2 * i + 1] = control ? 0 : -slope * here.slope();
            cc += weight[i] * share * share;
            cd += weight[i] * share * (1 - share);
            dd += weight[i] * (1 - share) * (1 - share);
            for (int parameter = 0; parameter < 2; parameter++) {
                c[parameter] += weight[i] * share * raw[2 * i + parameter];
                d[parameter] += weight[i] * (1 - share) * raw[2 * i + parameter];
            }
        }
        double determinant = cc * dd - cd * cd;
        boolean both = !lowerHeld && determinant > 1e-14 * cc * dd;
        for (int parameter = 0; parameter < 2; parameter++) {
            double onC = both ? (c[parameter] * dd - d[parameter] * cd) / determinant : 0;
            double onD = both ? (d[parameter] * cc - c[parameter] * cd) / determinant : dd > 0 ? d[parameter] / dd : 0;
            for (int i = 0; i < log.length; i++) {
                double share = share(i, here.slope(), here.logE());
                raw[2 * i + parameter] -= onC * share + onD * (1 - share);
            }
        }
        return raw;
    }
}
