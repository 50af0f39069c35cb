package elsom.core.practice;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.analysis.Arm;
import elsom.core.analysis.Design;
import elsom.core.analysis.EndpointKind;
import elsom.core.analysis.Observations;
import elsom.core.analysis.Observed;
import elsom.core.analysis.Value;
import elsom.core.plan.Direction;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/** What a level's figures let one say, by figures set down by hand. */
class CallsTest {
    private static final double[] CHANCE = {-0.4, -0.2, 0, 0.2, 0.4, 0.1};

    /** Six units of each treatment around a mean. */
    private static Call call(String level, Map<String, Double> means) {
        Level found = Levels.find(level).orElseThrow();
        boolean injury = found.brief().measured().better() == Direction.LOWER;
        List<Arm> arms = new ArrayList<>();
        List<Observed> units = new ArrayList<>();
        means.forEach((name, mean) -> {
            arms.add(new Arm(String.valueOf(arms.size() + 1), name, List.of(), arms.isEmpty()));
            for (int i = 0; i < CHANCE.length; i++) {
                units.add(new Observed(name + i, arms.size() - 1, 0, 0, 0, 0, new Value.Measured(mean + CHANCE[i])));
            }
        });
        return found.call(new HeldBeside(
                new Observations(
                        Design.COMPLETELY_RANDOM,
                        List.of(),
                        arms,
                        EndpointKind.MEASURED,
                        injury ? Observations.Better.LOWER : Observations.Better.HIGHER,
                        0.01,
                        units),
                found.brief().measured().matters(),
                found.brief().measured().inPercent()));
    }

    private static Map<String, Double> means(Object... pairs) {
        Map<String, Double> means = new TreeMap<>();
        for (int i = 0; i < pairs.length; i += 2) {
            means.put((String) pairs[i], ((Number) pairs[i + 1]).doubleValue());
        }
        return means;
    }

    @Test
    void twoMixesAreBetterWorseAlikeOrNotTold() {
        assertThat(call("one-pot-each", means("mix a", 10, "mix b", 13))).isEqualTo(Call.BETTER);
        assertThat(call("one-pot-each", means("mix a", 13, "mix b", 10))).isEqualTo(Call.WORSE);
        assertThat(call("one-pot-each", means("mix a", 10, "mix b", 10.1))).isEqualTo(Call.NO_DIFFERENCE);
        assertThat(call("one-pot-each", means("mix a", 1, "mix b", 1.2))).isEqualTo(Call.CANT_TELL);
        assertThat(call("one-pot-each", means("mix a", 10))).isEqualTo(Call.CANT_TELL);
    }

    @Test
    void kelpIsJudgedWithinAMix() {
        assertThat(call(
                        "two-things-changed",
                        means("old mix", 10, "old mix with kelp", 10, "new mix", 14, "new mix with kelp", 14)))
                .isEqualTo(Call.NO_DIFFERENCE);
        assertThat(call(
                        "two-things-changed",
                        means("old mix", 10, "old mix with kelp", 14, "new mix", 10, "new mix with kelp", 14)))
                .isEqualTo(Call.BETTER);
        assertThat(call(
                        "two-things-changed",
                        means("old mix", 10, "old mix with kelp", 14, "new mix", 14, "new mix with kelp", 10)))
                .isEqualTo(Call.CANT_TELL);
        assertThat(call("two-things-changed", means("old mix", 10, "new mix with kelp", 14)))
                .as("both changed together, and taken for kelp")
                .isEqualTo(Call.BETTER);
    }

    @Test
    void aDoseThatWasNotGivenIsNotTold() {
        assertThat(call("label-rate-untested", means("0 %", 0.5, "1 %", 0.5))).isEqualTo(Call.CANT_TELL);
        assertThat(call("label-rate-untested", means("0 %", 0.5, "2 %", 5))).isEqualTo(Call.HARMFUL);
        assertThat(call("label-rate-untested", means("0 %", 0.5, "2 %", 0.6))).isEqualTo(Call.SAFE);
    }

    @Test
    void remediesTellWhatIsWrongWithALot() {
        assertThat(call("salts-like-residue", means("clean, peas", 0.5, "lot d, peas", 7, "lot d leached, peas", 1)))
                .isEqualTo(Call.SALTS);
        assertThat(call("salts-like-residue", means("clean, peas", 0.5, "lot d, peas", 7, "lot d charcoal, peas", 1)))
                .isEqualTo(Call.RESIDUE);
        assertThat(call("salts-like-residue", means("clean, peas", 0.5, "lot d, peas", 7)))
                .isEqualTo(Call.CANT_TELL);
        assertThat(call("salts-like-residue", means("clean, peas", 0.5, "lot d, peas", 0.6)))
                .isEqualTo(Call.NOTHING);
        assertThat(call(
                        "two-stressors",
                        means(
                                "clean, peas", 0.5,
                                "lot e, peas", 8,
                                "lot e leached, peas", 6,
                                "lot e charcoal, peas", 6)))
                .isEqualTo(Call.BOTH);
    }

    @Test
    void barleyBesidePeasPartsAResidueFromSalts() {
        assertThat(call(
                        "lot-with-residue",
                        means("clean, peas", 0.5, "lot c, peas", 7, "clean, barley", 0.5, "lot c, barley", 0.5)))
                .isEqualTo(Call.RESIDUE);
        assertThat(call(
                        "lot-with-residue",
                        means("clean, peas", 0.5, "lot c, peas", 7, "clean, barley", 0.5, "lot c, barley", 4)))
                .isEqualTo(Call.SALTS);
        assertThat(call("lot-with-residue", means("clean, barley", 0.5, "lot c, barley", 0.5)))
                .as("barley alone feels nothing of a residue")
                .isEqualTo(Call.NOTHING);
    }

    @Test
    void mixesAreHeldBesideEachOtherInOneContainerWhereTheyCanBe() {
        assertThat(call("bowl-and-tub", means("mix 1, bowl", 56, "mix 2, bowl", 62)))
                .isEqualTo(Call.WORSE);
        assertThat(call("bowl-and-tub", means("mix 1, tub", 56, "mix 2, tub", 50)))
                .isEqualTo(Call.BETTER);
        assertThat(call("bowl-and-tub", means("mix 1, bowl", 56, "mix 2, tub", 52)))
                .as("the bowl, taken for the mix")
                .isEqualTo(Call.BETTER);
        assertThat(call("bowl-and-tub", means("mix 1, bowl", 56))).isEqualTo(Call.CANT_TELL);
    }
}
