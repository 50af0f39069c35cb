package elsom.core.dose;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.analysis.Arm;
import elsom.core.analysis.Design;
import elsom.core.analysis.EndpointKind;
import elsom.core.analysis.Observations;
import elsom.core.analysis.Observed;
import elsom.core.analysis.Value;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;

/** Series as nobody plans them: nothing throws, nothing is not a number, and no interval lies beside its dose. */
class DoseFuzzTest {
    private static final int TRIALS = 150;

    private record Strange(Observations seen, List<DoseEffect.Given> given, OptionalDouble end) {
        static Strange drawn(SplittableRandom random) {
            EndpointKind kind = EndpointKind.values()[random.nextInt(EndpointKind.values().length)];
            boolean lower = random.nextBoolean();
            int doses = 2 + random.nextInt(7);
            int shape = random.nextInt(8);
            List<Arm> arms = new ArrayList<>();
            List<Observed> units = new ArrayList<>();
            List<DoseEffect.Given> given = new ArrayList<>();
            double size = Math.pow(10, random.nextInt(9) - 4);
            for (int arm = 0; arm < doses; arm++) {
                double dose = arm == 0 && random.nextInt(6) > 0 ? 0 : Math.pow(3, arm) * size;
                arms.add(new Arm("T" + arm, dose + " g", List.of(), dose == 0));
                given.add(new DoseEffect.Given(arm, dose));
                int n = random.nextInt(4) == 0 ? 1 : 1 + random.nextInt(6);
                for (int i = 0; i < n; i++) {
                    units.add(new Observed(
                            "U" + units.size(), arm, 0, 0, 0, 0, value(random, kind, shape, arm / (double) doses)));
                }
            }
            return new Strange(
                    new Observations(
                            Design.COMPLETELY_RANDOM,
                            List.of("dose"),
                            arms,
                            kind,
                            lower ? Observations.Better.LOWER : Observations.Better.HIGHER,
                            0.01,
                            units),
                    given,
                    kind == EndpointKind.SCORE ? OptionalDouble.of(10) : OptionalDouble.empty());
        }

        /** Flat, all nothing, falling, rising, a cliff, a hump, wild, far below nothing. */
        private static Value value(SplittableRandom random, EndpointKind kind, int shape, double place) {
            if (random.nextInt(9) == 0) {
                return new Value.Missing("lost", random.nextBoolean());
            }
            double way = switch (shape) {
                case 0 -> 0.5;
                case 1 -> 0;
                case 2 -> 1 - place;
                case 3 -> place;
                case 4 -> place < 0.5 ? 1 : 0;
                case 5 -> 4 * place * (1 - place);
                case 6 -> random.nextDouble();
                default -> -place;
            };
            double noise = shape == 1 ? 0 : 0.1 * random.nextGaussian();
            return switch (kind) {
                case COUNT_OF -> {
                    int n = 1 + random.nextInt(12);
                    yield new Value.CountOf((int) Math.round(n * Math.max(0, Math.min(1, way + noise))), n);
                }
                case SCORE -> new Value.Measured(Math.max(0, Math.min(10, Math.round(10 * (way + noise)))));
                case TIME ->
                    random.nextInt(8) == 0
                            ? new Value.NotYet(OptionalDouble.of(20))
                            : new Value.Measured(1 + Math.abs(20 * (way + noise)));
                case MEASURED -> new Value.Measured(30 * (way + noise));
            };
        }
    }

    @RepeatedTest(TRIALS)
    void saysADoseWithinItsIntervalOrWhyNot(RepetitionInfo trial) {
        Strange strange = Strange.drawn(new SplittableRandom(trial.getCurrentRepetition()));
        DoseEffect effect = DoseEffect.of(strange.seen(), strange.given(), 0.05, 1, strange.end());
        assertThat(effect.curve().asOptional().isPresent()
                        || !effect.curve().whyNot().orElse("").isBlank())
                .isTrue();
        for (double percent : new double[] {10, 20, 50}) {
            effect.effective(percent).ifPresent(found -> {
                assertThat(found.dose()).isNotNaN().isGreaterThanOrEqualTo(0);
                assertThat(found.interval95().low()).isNotNaN().isLessThanOrEqualTo(found.dose());
                assertThat(found.interval95().high()).isNotNaN().isGreaterThanOrEqualTo(found.dose());
            });
        }
        effect.curve().asOptional().ifPresent(curve -> {
            assertThat(curve.at(0)).isFinite();
            assertThat(curve.at(effect.highest())).isFinite();
            assertThat(curve.bandAt(effect.highest()).map(band -> band.low() <= band.high()))
                    .isNotEqualTo(Optional.of(false));
        });
        WorkingRate.of(effect, 2)
                .asOptional()
                .ifPresent(rate -> assertThat(rate.rate()).isPositive());
    }
}
