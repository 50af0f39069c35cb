package elsom.core.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.junit.jupiter.api.Test;

class SummaryTest {
    // The sleep data of Student (1908); values of R's t.test(extra ~ group): t = -1.8608, df = 17.776.
    private static final double[] DRUG_1 = {0.7, -1.6, -0.2, -1.2, -0.1, 3.4, 3.7, 0.8, 0.0, 2.0};
    private static final double[] DRUG_2 = {1.9, 0.8, 1.1, 0.1, -0.1, 4.4, 5.5, 1.6, 4.6, 3.4};

    @Test
    void meanAndScatterOfStudentsData() {
        Summary summary = Summary.of(DRUG_1);
        assertThat(summary.mean()).isCloseTo(0.75, within(1e-12));
        assertThat(summary.sd().getAsDouble()).isCloseTo(1.78901, within(1e-5));
        assertThat(summary.interval95().orElseThrow().low()).isCloseTo(-0.5297804, within(1e-6));
        assertThat(summary.interval95().orElseThrow().high()).isCloseTo(2.0297804, within(1e-6));
    }

    @Test
    void theDifferenceOfStudentsDrugs() {
        MeanDifference difference = MeanDifference.welch(Summary.of(DRUG_1), Summary.of(DRUG_2))
                .asOptional()
                .orElseThrow();
        assertThat(difference.degreesOfFreedom()).isCloseTo(17.77647, within(1e-5));
        assertThat(difference.interval95().low()).isCloseTo(-3.3654832, within(1e-6));
        assertThat(difference.interval95().high()).isCloseTo(0.2054832, within(1e-6));
        assertThat(difference.clear()).isFalse();
    }

    @Test
    void oneUnitHasNoScatter() {
        Summary one = Summary.of(new double[] {5});
        assertThat(one.sd()).isEmpty();
        assertThat(one.interval95()).isEmpty();
        assertThat(MeanDifference.welch(one, Summary.of(DRUG_1)).whyNot())
                .hasValueSatisfying(why -> assertThat(why).contains("One unit"));
    }

    @Test
    void unitsExactlyAlikeCanNotBeJudged() {
        Summary same = Summary.of(new double[] {2, 2, 2});
        assertThat(MeanDifference.welch(same, same).whyNot()).isPresent();
    }

    @Test
    void shiftingAllDataShiftsTheMeanOnly() {
        Summary shifted =
                Summary.of(Arrays.stream(DRUG_1).map(value -> value + 100).toArray());
        assertThat(shifted.mean()).isCloseTo(100.75, within(1e-9));
        assertThat(shifted.sd().getAsDouble()).isCloseTo(Summary.of(DRUG_1).sd().getAsDouble(), within(1e-9));
    }

    @Test
    void refusesWhatIsNotANumber() {
        assertThatThrownBy(() -> Summary.of(new double[] {1, Double.NaN})).hasMessageContaining("finite");
        assertThatThrownBy(() -> Summary.of(new double[0])).hasMessageContaining("at least one");
    }
}
