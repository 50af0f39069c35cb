package elsom.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Questions typed as sentences, and said back. */
class QuestionTextTest {
    private final Plan listed = APlan.ofGrowth()
            .list("none", "kelp", "nettle")
            .better(Direction.HIGHER)
            .plan();
    private final Plan crossed = APlan.ofGrowth()
            .factors(APlan.doses(null, null, 0, 5, 10), APlan.factor("Crop", FactorKind.MATERIAL, "pea", "barley"))
            .plan();

    private static Question read(Plan plan, String line) {
        return new QuestionReader(plan.treatments(), new NamedTreatments(plan.treatments()))
                .read(new QuestionText(plan, plan.asked().measures()).read(line), Stated.BEFORE_START);
    }

    private static String saidBack(Plan plan, String line) {
        return read(plan, line).sentence(plan);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Height: higher in kelp than in none, by 15 % or more?|Height: higher in kelp than in none, by 15 % or more?",
                "height higher in B than A by 2 cm|Height: higher in kelp than in none, by 2 cm or more?",
                "Height: higher in kelp or nettle than in the control|Height: higher in kelp or nettle than in none?",
                "Height: as good in kelp as in nettle, not worse by 1,5 cm|Height: as good in kelp as in nettle, not worse by 1.5 cm or more?",
                "Height: the same in kelp as in nettle, to within 10 %|Height: the same in kelp as in nettle, to within 10 %?",
                "Height: at least 12 cm in every treatment|Height: at least 12 cm in every treatment?",
                "Height: at least 120 mm in kelp, to within 5 mm|Height: at least 12 cm in kelp, to within 0.5 cm?",
                "Height: different in kelp from none, by at least 1 cm|Height: different in kelp from none, by 1 cm or more?",
                "Height: lower in nettle than in kelp, by 1 cm, at day 14|Height: lower in nettle than in kelp, by 1 cm or more, at day 14?",
            })
    void whatIsTypedIsSaidBack(String typed, String said) {
        assertThat(saidBack(listed, typed)).isEqualTo(said);
        assertThat(saidBack(listed, said)).isEqualTo(said);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Height: higher in 10.0 % than in 0.0 %, in each crop and over all, by 2 cm|10.0 %|0.0 %",
                "Height: higher in 10% than in 0%|10.0 %|0.0 %",
                "Height: higher in 5 %, 10 % than in the control|5.0 %, 10.0 %|0.0 %",
                "Height: higher in wood vinegar 10 % than in 0 %|10.0 %|0.0 %",
                "Height: lower in barley than in pea|barley|pea",
            })
    void levelsAreReadAsLevels(String typed, String levels, String beside) {
        Step step = read(crossed, typed).hypothesis().step();
        assertThat(step).isNotNull();
        assertThat(String.join(", ", step.levels())).isEqualTo(levels);
        assertThat(step.beside()).isEqualTo(beside);
        String said = saidBack(crossed, typed);
        assertThat(said).contains(" and over all");
        assertThat(saidBack(crossed, said)).isEqualTo(said);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Colour: higher in B than in A",
                "Height: much better in B than in A",
                "Height: higher in B",
                "Height: higher in humus than in none",
                "Height: at least in B",
                "Height: as good in B as in A",
                "Height: higher in B than in A, at day 99",
                "Height: higher in B than in A, by 2 kg",
                "Height: not higher in B than in A",
                "Height: higher in B than in A, by 1 to 2 cm",
                "Height: at least 5 to 6 cm in B",
                "Height: at least -3 cm in B",
                "Height: at least 9000000 cm in B",
            })
    void whatCantBeReadIsRefusedWithWhatWouldBe(String typed) {
        assertThatThrownBy(() -> read(listed, typed))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("Accepted");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Height: higher in 10 % than in 7 %",
                "Height: higher in 10 %, pea than in 0 %",
                "Height: higher in 10 % than in B"
            })
    void levelsOfOneFactorAreHeldAgainstEachOther(String typed) {
        assertThatThrownBy(() -> read(crossed, typed)).hasMessageContaining("Accepted: 0.0 %, 5.0 %, 10.0 %");
    }

    @Test
    void asGoodNeedsToKnowWhichWayIsBetter() {
        Plan plan =
                APlan.ofGrowth().list("none", "kelp").better(Direction.EITHER).plan();
        assertThatThrownBy(() -> read(plan, "Height: as good in B as in A, not worse by 1 cm"))
                .hasMessageContaining("which way is better");
    }
}
