package elsom.core.flag;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.analysis.Arm;
import elsom.core.analysis.Ask;
import elsom.core.analysis.Design;
import elsom.core.analysis.EndpointKind;
import elsom.core.analysis.Judge;
import elsom.core.analysis.Observations;
import elsom.core.analysis.Observed;
import elsom.core.analysis.Value;
import elsom.core.stats.Interval;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Every rule on a trial that breaks it; and a sound trial that breaks none. */
class FlagsTest {
    private static final double[] OFF = {-0.6, 0.5, -0.2, 0.3, 0.7, -0.5};

    /** A trial to spoil: three arms of six units that scatter alike. */
    private static final class Trial {
        private EndpointKind kind = EndpointKind.MEASURED;
        private boolean control = true;
        private OptionalDouble margin = OptionalDouble.of(1);
        private boolean late;
        private Optional<Interval> range = Optional.of(new Interval(0, 100));
        private Optional<Scene.Expected> expected =
                Optional.of(new Scene.Expected(new Interval(15, 25), "the control must reach 15"));
        private double[] means = {20, 22, 24};
        private double[] scatter = {1, 1, 1};
        private int[] units = {6, 6, 6};
        private UnaryOperator<Value> spoiled = value -> value;
        private int spoilEvery = Integer.MAX_VALUE;
        private double slope;

        List<Flag> flags() {
            List<Arm> arms = new ArrayList<>();
            List<Observed> rows = new ArrayList<>();
            for (int arm = 0; arm < means.length; arm++) {
                arms.add(new Arm("T" + arm, "treatment " + arm, List.of(), control && arm == 0));
                for (int i = 0; i < units[arm]; i++) {
                    int column = rows.size() * 7 % 18 + 1;
                    Value value = kind == EndpointKind.COUNT_OF
                            ? new Value.CountOf(i % 2 == 0 ? 10 : 0, 10)
                            : new Value.Measured(means[arm] + scatter[arm] * OFF[i % OFF.length] + slope * column);
                    rows.add(new Observed(
                            "U" + rows.size(),
                            arm,
                            0,
                            1,
                            column,
                            0,
                            rows.size() % spoilEvery == spoilEvery - 1 ? spoiled.apply(value) : value));
                }
            }
            Observations observations = new Observations(
                    Design.COMPLETELY_RANDOM,
                    List.of("mix"),
                    arms,
                    kind,
                    Observations.Better.HIGHER,
                    kind == EndpointKind.MEASURED ? 0.1 : 1,
                    rows);
            return Flags.of(new Scene(
                    observations,
                    Judge.of(observations, Ask.againstControl(margin)),
                    margin.isPresent(),
                    late,
                    range,
                    expected));
        }
    }

    /** What spoils a trial. */
    private interface Spoil {
        void on(Trial trial);
    }

    private static Arguments broken(FlagCode code, Spoil spoil) {
        return Arguments.of(code, spoil);
    }

    static Stream<Arguments> breakers() {
        return Stream.of(
                broken(FlagCode.NOT_READ, t -> {
                    t.spoilEvery = 1;
                    t.spoiled = value -> new Value.Missing("not read");
                }),
                broken(FlagCode.ONE_UNIT_EACH, t -> t.units = new int[] {1, 1, 1}),
                broken(FlagCode.ONE_UNIT, t -> t.units = new int[] {6, 6, 1}),
                broken(FlagCode.NO_CONTROL, t -> t.control = false),
                broken(FlagCode.NO_MARGIN, t -> t.margin = OptionalDouble.empty()),
                broken(FlagCode.LOST_UNITS, t -> {
                    t.spoilEvery = 6;
                    t.spoiled = value -> new Value.Missing("lost on day 3");
                }),
                broken(FlagCode.LOST_HALF, t -> {
                    t.spoilEvery = 2;
                    t.spoiled = value -> new Value.Missing("lost on day 3");
                }),
                broken(FlagCode.UNEQUAL_NUMBERS, t -> t.units = new int[] {6, 6, 4}),
                broken(FlagCode.UNEQUAL_SCATTER, t -> t.scatter = new double[] {1, 1, 14}),
                broken(FlagCode.SCATTER_GROWS, t -> {
                    t.means = new double[] {2, 8, 32};
                    t.scatter = new double[] {0.5, 2, 8};
                }),
                broken(FlagCode.ODD_UNIT, t -> {
                    t.spoilEvery = 9;
                    t.spoiled = value -> new Value.Measured(60);
                }),
                broken(FlagCode.COARSE_READINGS, t -> t.scatter = new double[] {1, 0, 1}),
                broken(FlagCode.AT_LIMIT, t -> {
                    t.kind = EndpointKind.SCORE;
                    t.range = Optional.of(new Interval(0, 10));
                    t.means = new double[] {0, 0, 5};
                    t.scatter = new double[] {0, 0, 1};
                }),
                broken(FlagCode.OUT_OF_RANGE, t -> t.range = Optional.of(new Interval(0, 22))),
                broken(FlagCode.PLACE_EFFECT, t -> t.slope = 1),
                broken(FlagCode.OVERDISPERSED, t -> t.kind = EndpointKind.COUNT_OF),
                broken(FlagCode.CONTROL_FAILED, t -> t.means = new double[] {5, 22, 24}),
                broken(FlagCode.ASKED_LATE, t -> t.late = true));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("breakers")
    void isRaisedByATrialThatBreaksIt(FlagCode code, Spoil spoil) {
        Trial trial = new Trial();
        spoil.on(trial);
        assertThat(trial.flags()).extracting(Flag::code).contains(code);
        assertThat(trial.flags()).allSatisfy(flag -> {
            assertThat(flag.seen()).endsWith(".");
            assertThat(flag.why()).isNotBlank();
            assertThat(flag.next()).isNotBlank();
        });
    }

    @Test
    void aSoundTrialBreaksNone() {
        assertThat(new Trial().flags()).isEmpty();
    }

    @Test
    void everyRuleOfTheListIsTestedHere() {
        List<FlagCode> tested =
                breakers().map(arguments -> (FlagCode) arguments.get()[0]).toList();
        // Those of plans, weighings, the log of water and feed, and meters have tests of their own.
        assertThat(Stream.of(FlagCode.values())
                        .filter(code -> !List.of(
                                        FlagCode.PLAN,
                                        FlagCode.WEIGHINGS,
                                        FlagCode.UNEVEN_CARE,
                                        FlagCode.UNCHECKED_METER,
                                        FlagCode.BELOW_LIMIT)
                                .contains(code)))
                .allMatch(tested::contains);
    }
}
