package elsom.core.results;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import elsom.core.results.RiseAndReturn.Ending;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import elsom.core.trial.UnitCode;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Whether what rose came back, within the units that were measured at both looks. */
class RiseAndReturnTest {
    /** A course of three units, given look by look. */
    private static RiseAndReturn course(double[]... looks) {
        List<Look> all = new ArrayList<>();
        List<Map<UnitCode, Double>> values = new ArrayList<>();
        for (double[] look : looks) {
            all.add(new Look(
                    all.size() + 1,
                    "look " + (all.size() + 1),
                    Duration.ofDays(all.size()),
                    List.of(new EndpointCode("sodium"))));
            Map<UnitCode, Double> ofUnits = new LinkedHashMap<>();
            for (int i = 0; i < look.length; i++) {
                ofUnits.put(new UnitCode("K" + (10 + i)), look[i]);
            }
            values.add(ofUnits);
        }
        return new RiseAndReturn(all, values);
    }

    private static double[] at(double... values) {
        return values;
    }

    @Test
    void whatIsLeftIsJudgedWithinUnits() {
        // Units far apart, each back to within 0.1 of where it was: 0.1, 0.1, 0.4; mean 0.2, sd 0.1732, t(2) 4.3027.
        RiseAndReturn back = course(at(1, 5, 9), at(11, 15, 19), at(1.1, 5.1, 9.4));
        assertThat(back.left().orElseThrow().low()).isCloseTo(0.2 - 0.43027, within(1e-4));
        assertThat(back.left().orElseThrow().high()).isCloseTo(0.2 + 0.43027, within(1e-4));
        assertThat(back.ending(1)).isEqualTo(Ending.BACK);
        assertThat(back.ending(0.5)).isEqualTo(Ending.UNCLEAR);
    }

    @Test
    void everyEndingIsTold() {
        assertThat(course(at(1, 2, 3)).ending(1)).isEqualTo(Ending.ONE_LOOK);
        assertThat(course(at(1, 2, 3), at(1, 2, 2.9)).ending(1)).isEqualTo(Ending.NEVER_ROSE);
        assertThat(course(at(1, 2, 3), at(1.1, 2.2, 3.1), at(1, 2, 3)).ending(1))
                .isEqualTo(Ending.NEVER_ROSE);
        assertThat(course(at(1, 2, 3), at(9, 10, 12)).ending(1)).isEqualTo(Ending.NOT_FALLEN);
        assertThat(course(at(1, 2, 3), at(9, 10, 12), at(5, 6, 7.5)).ending(1)).isEqualTo(Ending.STAYS);
    }

    @Test
    void ofOneUnitNothingCanBeToldAndOfNoneNoCourseIsMade() {
        assertThat(course(at(1), at(9), at(1)).ending(1)).isEqualTo(Ending.UNCLEAR);
        assertThatIllegalArgumentException().isThrownBy(() -> course(at(1), at()));
    }

    @Test
    void theFirstOfEqualPeaksCounts() {
        assertThat(course(at(1), at(9), at(9), at(2)).peak()).isEqualTo(1);
    }
}
