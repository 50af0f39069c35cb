package elsom.core.flag;

import elsom.core.analysis.EndpointKind;
import elsom.core.stats.Summary;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** The higher a treatment's mean, the more its units scatter. */
final class ScatterGrows implements FlagRule {
    private static final int FEWEST_UNITS = 3;
    private static final int FEWEST_ARMS = 3;
    private static final double TIMES = 3;
    private static final double CLEAR = 0.8;

    @Override
    public Optional<Flag> check(Scene scene) {
        List<Summary> arms = scene.used()
                .mapToObj(scene::values)
                .filter(values -> values.length >= FEWEST_UNITS)
                .map(Summary::of)
                .filter(summary -> summary.mean() > 0 && summary.sd().orElse(0) > 0)
                .toList();
        if (scene.observations().kind() == EndpointKind.COUNT_OF || arms.size() < FEWEST_ARMS) {
            return Optional.empty();
        }
        double most = arms.stream().mapToDouble(s -> s.sd().orElse(0)).max().orElse(0);
        double least = arms.stream().mapToDouble(s -> s.sd().orElse(0)).min().orElse(0);
        return most >= TIMES * least && together(arms) > CLEAR
                ? Optional.of(Flag.note(
                        FlagCode.SCATTER_GROWS,
                        "The higher the mean, the more units scatter.",
                        "Then differences are rather so many times than so much, and one scatter for all is too coarse.",
                        "Look at percentages; more units of the treatments with high means.",
                        List.of()))
                : Optional.empty();
    }

    /** Correlation of the logarithms of mean and standard deviation. */
    private static double together(List<Summary> arms) {
        double[] x = arms.stream().mapToDouble(s -> Math.log(s.mean())).toArray();
        double[] y = arms.stream().mapToDouble(s -> Math.log(s.sd().orElse(1))).toArray();
        double mx = Arrays.stream(x).average().orElse(0);
        double my = Arrays.stream(y).average().orElse(0);
        double xy = 0;
        double xx = 0;
        double yy = 0;
        for (int i = 0; i < x.length; i++) {
            xy += (x[i] - mx) * (y[i] - my);
            xx += (x[i] - mx) * (x[i] - mx);
            yy += (y[i] - my) * (y[i] - my);
        }
        return xx > 0 && yy > 0 ? xy / Math.sqrt(xx * yy) : 0;
    }
}
