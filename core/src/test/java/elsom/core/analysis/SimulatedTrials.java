package elsom.core.analysis;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.function.DoubleSupplier;

/** Trials drawn from a known truth. */
public enum SimulatedTrials {
    ONE_WAY(Design.COMPLETELY_RANDOM, EndpointKind.MEASURED, 4, 1),
    BLOCKS(Design.BLOCKS, EndpointKind.MEASURED, 4, 1),
    FACTORIAL(Design.COMPLETELY_RANDOM, EndpointKind.MEASURED, 2, 3),
    SPLIT_PLOT(Design.SPLIT_PLOT, EndpointKind.MEASURED, 2, 3),
    TRAYS(Design.COMPLETELY_RANDOM, EndpointKind.COUNT_OF, 3, 1),
    SCORES(Design.COMPLETELY_RANDOM, EndpointKind.SCORE, 3, 1);

    /** What matters, in the endpoint's unit. */
    public static final double MARGIN = 2;

    private static final double SHARE_MARGIN = 0.25;
    private static final double PLACE_SCATTER = 1.5;
    private static final int PLANTS = 10;

    private final Design design;
    private final EndpointKind kind;
    private final int treatments;
    private final int media;

    SimulatedTrials(Design design, EndpointKind kind, int treatments, int media) {
        this.design = design;
        this.kind = kind;
        this.treatments = treatments;
        this.media = media;
    }

    double margin() {
        return kind == EndpointKind.COUNT_OF ? SHARE_MARGIN : MARGIN;
    }

    Ask ask() {
        return Ask.againstControl(OptionalDouble.of(margin()));
    }

    /**
     * A trial.
     *
     * @param units of each treatment
     * @param effect of every treatment but the control, in the endpoint's unit
     */
    public Observations drawn(SplittableRandom random, int units, double effect) {
        List<Arm> arms = new ArrayList<>();
        for (int medium = 0; medium < media; medium++) {
            for (int treatment = 0; treatment < treatments; treatment++) {
                List<String> levels = media == 1 ? List.of("t" + treatment) : List.of("t" + treatment, "m" + medium);
                arms.add(new Arm(String.valueOf((char) ('A' + arms.size())), "T", levels, treatment == 0));
            }
        }
        DoubleSupplier normal = () -> normal(random);
        List<Observed> rows = new ArrayList<>();
        for (int block = 1; block <= units; block++) {
            double blocks = design == Design.COMPLETELY_RANDOM ? 0 : PLACE_SCATTER * normal.getAsDouble();
            double[] plots = new double[media];
            for (int medium = 0; medium < media; medium++) {
                plots[medium] = design == Design.SPLIT_PLOT ? PLACE_SCATTER * normal.getAsDouble() : 0;
            }
            for (int arm = 0; arm < arms.size(); arm++) {
                int medium = arm / treatments;
                double truth = (arms.get(arm).control() ? 0 : effect) + (kind == EndpointKind.MEASURED ? medium : 0);
                rows.add(new Observed(
                        "U" + rows.size(),
                        arm,
                        design == Design.COMPLETELY_RANDOM ? 0 : block,
                        0,
                        0,
                        design == Design.SPLIT_PLOT ? block * media + medium : 0,
                        value(truth + blocks + plots[medium], random, normal)));
            }
        }
        return new Observations(
                design,
                media == 1 ? List.of("treatment") : List.of("treatment", "medium"),
                arms,
                kind,
                Observations.Better.HIGHER,
                kind == EndpointKind.MEASURED ? 0.1 : 1,
                rows);
    }

    private Value value(double truth, SplittableRandom random, DoubleSupplier normal) {
        return switch (kind) {
            case COUNT_OF -> tray(0.4 + truth, random, normal);
            case SCORE ->
                new Value.Measured(Math.max(0, Math.min(10, Math.rint(4 + truth + 1.2 * normal.getAsDouble()))));
            default -> new Value.Measured(Math.rint(10 * (20 + truth + normal.getAsDouble())) / 10);
        };
    }

    /** Plants of a tray share its luck: the trays' own shares scatter by 0.1. */
    private static Value tray(double share, SplittableRandom random, DoubleSupplier normal) {
        double own = Math.max(0, Math.min(1, share + 0.1 * normal.getAsDouble()));
        int k = 0;
        for (int plant = 0; plant < PLANTS; plant++) {
            k += random.nextDouble() < own ? 1 : 0;
        }
        return new Value.CountOf(k, PLANTS);
    }

    private static double normal(SplittableRandom random) {
        return Math.sqrt(-2 * Math.log(1 - random.nextDouble())) * Math.cos(2 * Math.PI * random.nextDouble());
    }
}
