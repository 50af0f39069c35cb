package elsom.core.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.mix.Property;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class UseTest {
    private static final Use CUTTINGS = new Use(
            "cuttings",
            "Cuttings",
            6,
            "",
            List.of(new UseBound(Property.AIR, 12, 20, 45, 60, "Stems rot.", "It dries out.")));

    @ParameterizedTest
    @CsvSource({"11,FAIL", "12,CAUTION", "19,CAUTION", "20,PASS", "45.3,PASS", "46,CAUTION", "61,FAIL"})
    void withinTheInnerLimitsItIsFitBeyondTheOuterOnesItIsNot(double air, Fitness fitness) {
        assertThat(CUTTINGS.judge(property -> OptionalDouble.of(air)).fitness()).isEqualTo(fitness);
    }

    @Test
    void whyIsSaidFromTheSideOnWhichItLies() {
        assertThat(CUTTINGS.judge(property -> OptionalDouble.of(10)).against())
                .containsExactly("Air after draining 10 %; 20 to 45 % is wanted. Stems rot.");
        assertThat(CUTTINGS.judge(property -> OptionalDouble.of(70)).against())
                .containsExactly("Air after draining 70 %; 20 to 45 % is wanted. It dries out.");
    }

    @Test
    void whatIsNotKnownIsNotFitNorUnfit() {
        Use.Judged judged = CUTTINGS.judge(property -> OptionalDouble.empty());
        assertThat(judged.fitness()).isEqualTo(Fitness.UNKNOWN);
        assertThat(judged.against()).containsExactly("Air after draining is not known; 20 to 45 % is wanted.");
    }

    @Test
    void limitsOutOfOrderAreRefused() {
        assertThatThrownBy(() -> new UseBound(Property.AIR, 20, 10, 45, 60, "", ""))
                .hasMessageContaining("rise");
    }

    /** Every limit has its reason on the side it limits. */
    @Test
    void everyTypicalWindowSaysWhy() {
        assertThat(TypicalUses.all()).hasSize(7).allSatisfy(use -> {
            assertThat(use.bounds()).hasSizeGreaterThanOrEqualTo(4).allSatisfy(bound -> {
                assertThat(bound.leastOk() > 0 ? bound.below() : "open").isNotEmpty();
                assertThat(bound.mostOk() < bound.property().most() ? bound.above() : "open")
                        .isNotEmpty();
            });
        });
        assertThat(TypicalUses.all()).extracting(Use::code).doesNotHaveDuplicates();
    }

    @Test
    void limitsInWordsLeaveOutTheOpenSide() {
        assertThat(new UseBound(Property.EC, 0, 0, 0.6, 1, "", "").words()).isEqualTo("at most 0.6 mS/cm");
        assertThat(new UseBound(Property.WATER, 40, 50, 100, 100, "", "").words())
                .isEqualTo("at least 50 %");
    }
}
