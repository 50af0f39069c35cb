package elsom.core.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

class LogisticModelTest {
    private static final double[][] TWO_GROUPS = {{1, 0}, {1, 1}};

    /** With a coefficient a group the fit is the groups' own odds: log(3/7) and log(8·7/(2·3)). */
    @Test
    void asManyCoefficientsAsGroupsFitThemExactly() {
        LogisticModel model = LogisticModel.fit(TWO_GROUPS, List.of(new Proportion(3, 10), new Proportion(8, 10)));
        LogisticModel.Estimates found = model.estimates().asOptional().orElseThrow();
        assertThat(model.deviance()).isCloseTo(0, within(1e-9));
        assertThat(found.coefficients().get(0)).isCloseTo(Math.log(3 / 7.0), within(1e-8));
        assertThat(found.coefficients().get(1)).isCloseTo(Math.log(8 * 7 / (2.0 * 3)), within(1e-8));
        assertThat(found.errors().get(0)).isCloseTo(Math.sqrt(1 / 3.0 + 1 / 7.0), within(1e-6));
    }

    @Test
    void separatedGroupsHaveADevianceAndNoEstimates() {
        LogisticModel model = LogisticModel.fit(TWO_GROUPS, List.of(new Proportion(0, 10), new Proportion(8, 10)));
        assertThat(model.deviance()).isCloseTo(0, within(1e-6));
        assertThat(model.estimates().whyNot()).isPresent();
    }

    /** Days counted from a far-off year are the same days. */
    @Test
    void aLineDoesNotDependOnWhereDaysAreCountedFrom() {
        int[] n = {10, 10, 10, 10, 10};
        int[] k = {10, 8, 5, 2, 1};
        double[] days = {0, 2, 4, 6, 8};
        double far = 20_260;
        LogisticLine near = LogisticLine.fit(days, n, k).asOptional().orElseThrow();
        LogisticLine moved = LogisticLine.fit(
                        Arrays.stream(days).map(day -> day + far).toArray(), n, k)
                .asOptional()
                .orElseThrow();
        double nearDay = near.at(0.5).asOptional().orElseThrow().x();
        double movedDay = moved.at(0.5).asOptional().orElseThrow().x();
        assertThat(movedDay - far).isCloseTo(nearDay, within(1e-6));
        assertThat(moved.deviance()).isCloseTo(near.deviance(), within(1e-9));
        assertThat(moved.at(0.5).asOptional().orElseThrow().standardError())
                .isCloseTo(near.at(0.5).asOptional().orElseThrow().standardError(), within(1e-4));
    }
}
