package elsom.core.flag;

import elsom.core.analysis.Design;
import elsom.core.analysis.Judgement;
import elsom.core.analysis.Observed;
import elsom.core.stats.StraightLine;
import java.util.List;
import java.util.Optional;
import java.util.function.ToIntFunction;

/** What treatments leave over runs from one side of the bench to the other. */
final class PlaceEffect implements FlagRule {
    private static final int FEWEST = 8;
    private static final double CLEAR = 0.01;

    @Override
    public Optional<Flag> check(Scene scene) {
        return trend(scene, Observed::column, "left to right").or(() -> trend(scene, Observed::row, "back to front"));
    }

    private static Optional<Flag> trend(Scene scene, ToIntFunction<Observed> place, String words) {
        List<Judgement.Residual> left = scene.judgement().residuals().stream()
                .filter(residual -> place.applyAsInt(unit(scene, residual)) > 0)
                .toList();
        if (left.size() < FEWEST || scene.observations().design() == Design.LATIN_SQUARE) {
            return Optional.empty();
        }
        double[] at = left.stream()
                .mapToDouble(residual -> place.applyAsInt(unit(scene, residual)))
                .toArray();
        double[] over = left.stream().mapToDouble(Judgement.Residual::value).toArray();
        return StraightLine.fit(at, over)
                .asOptional()
                .filter(line -> line.slopeP().orElse(1) < CLEAR)
                .map(line -> Flag.caution(
                        FlagCode.PLACE_EFFECT,
                        "What treatments leave unexplained " + (line.slope() > 0 ? "rises" : "falls") + " from " + words
                                + ".",
                        "The place did something too: light, draught or an edge. Treatments that stood at one end share it.",
                        "Blocks across that line next time, and turning the units.",
                        List.of()));
    }

    private static Observed unit(Scene scene, Judgement.Residual residual) {
        return scene.observations().units().get(residual.unit());
    }
}
