package elsom.core.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class DoseGridTest {
    private static final double[] DOSES = {0, 0.25, 0.5, 1, 2, 4};

    /** The start is the answer: where the fit ends is no more than rounding away from it. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void theStartLiesOnTheFloorOfTheValley(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        double slope = 0.8 + 4 * random.nextDouble();
        double e = 0.4 + 2 * random.nextDouble();
        List<DoseResponse.Point> points = new ArrayList<>();
        for (double dose : DOSES) {
            for (int i = 0; i < 6; i++) {
                double share = dose == 0 ? 0 : 1 / (1 + Math.exp(-slope * (Math.log(dose) - Math.log(e))));
                points.add(new DoseResponse.Point(dose, 50 - 45 * share + 2 * random.nextDouble()));
            }
        }
        DoseResponse data = new DoseResponse(points);
        LogLogistic fitted = LogLogistic.fit(data, false, DoseResponse.Direction.DECREASE)
                .asOptional()
                .orElseThrow();
        double[] start =
                new DoseGrid(data.doses(), data.responses(), false).best(1).get(0);
        assertThat(start[0]).isCloseTo(fitted.b(), within(1e-4 * fitted.b()));
        assertThat(Math.exp(start[3])).isCloseTo(fitted.e(), within(1e-4 * fitted.e()));
    }
}
