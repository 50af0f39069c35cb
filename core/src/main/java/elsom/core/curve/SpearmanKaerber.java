package elsom.core.curve;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;

/**
 * The LC50 without a curve: the trimmed mean of log10 dose over the tolerance distribution (Hamilton, Russo & Thurston
 * 1977), after Abbott's correction and pooling of shares that fall.
 *
 * @param logDoses rising
 * @param corrected shares after Abbott's correction, not below 0
 * @param monotone the same, made not to fall
 */
public record SpearmanKaerber(
        List<Double> logDoses,
        List<Double> corrected,
        List<Double> monotone,
        List<Integer> n,
        boolean controlAffected) {

    /** Prepares levels, dose 0 being the control; shares of a wholly affected control are left at 0. */
    public static SpearmanKaerber of(List<QuantalLevel> levels) {
        int controls = levels.stream()
                .filter(l -> l.dose() == 0)
                .mapToInt(QuantalLevel::n)
                .sum();
        int hit = levels.stream()
                .filter(l -> l.dose() == 0)
                .mapToInt(QuantalLevel::affected)
                .sum();
        double background = controls == 0 ? 0 : (double) hit / controls;
        List<QuantalLevel> treated = levels.stream()
                .filter(level -> level.dose() > 0)
                .sorted(Comparator.comparing(QuantalLevel::dose))
                .toList();
        List<Double> corrected = treated.stream()
                .map(l -> background < 1 ? Math.max(0, (l.share() - background) / (1 - background)) : 0.0)
                .toList();
        List<Integer> n = treated.stream().map(QuantalLevel::n).toList();
        return new SpearmanKaerber(
                treated.stream().map(QuantalLevel::logDose).toList(), corrected, pooled(corrected, n), n, hit > 0);
    }

    /** Neighbours that fall are pooled, weighted by n (Ayer et al. 1955). */
    private static List<Double> pooled(List<Double> shares, List<Integer> n) {
        List<double[]> blocks = new ArrayList<>();
        for (int i = 0; i < shares.size(); i++) {
            blocks.add(new double[] {shares.get(i), n.get(i), 1});
            while (blocks.size() > 1 && blocks.get(blocks.size() - 2)[0] > blocks.get(blocks.size() - 1)[0]) {
                double[] last = blocks.remove(blocks.size() - 1);
                double[] before = blocks.remove(blocks.size() - 1);
                double weight = before[1] + last[1];
                blocks.add(
                        new double[] {(before[0] * before[1] + last[0] * last[1]) / weight, weight, before[2] + last[2]
                        });
            }
        }
        List<Double> pooled = new ArrayList<>();
        for (double[] block : blocks) {
            for (int i = 0; i < block[2]; i++) {
                pooled.add(block[0]);
            }
        }
        return pooled;
    }

    /** The log10 LC50 with this share trimmed from each end; empty when the shares do not reach that far. */
    public OptionalDouble logDose50(double trim) {
        int last = monotone.size() - 1;
        if (last < 1 || monotone.get(0) > trim || monotone.get(last) < 1 - trim) {
            return OptionalDouble.empty();
        }
        double sum = 0;
        for (int i = 0; i < last; i++) {
            double from = Math.max(trim, monotone.get(i));
            double to = Math.min(1 - trim, monotone.get(i + 1));
            if (to > from) {
                sum += (to - from) * (place(i, from) + place(i, to)) / 2;
            }
        }
        return OptionalDouble.of(sum / (1 - 2 * trim));
    }

    private double place(int piece, double share) {
        double width = monotone.get(piece + 1) - monotone.get(piece);
        return logDoses.get(piece)
                + (share - monotone.get(piece)) / width * (logDoses.get(piece + 1) - logDoses.get(piece));
    }

    /** The standard error of the untrimmed estimate; empty when it has none or the control was affected. */
    public OptionalDouble untrimmedError() {
        if (controlAffected || logDose50(0).isEmpty() || n.stream().anyMatch(count -> count < 2)) {
            return OptionalDouble.empty();
        }
        double variance = 0;
        for (int i = 1; i < monotone.size() - 1; i++) {
            double half = (logDoses.get(i + 1) - logDoses.get(i - 1)) / 2;
            variance += monotone.get(i) * (1 - monotone.get(i)) / (n.get(i) - 1) * half * half;
        }
        return OptionalDouble.of(Math.sqrt(variance));
    }
}
