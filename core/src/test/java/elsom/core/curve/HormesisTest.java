package elsom.core.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A curve drawn without scatter but for what cancels within a dose is found again, parameter by parameter. */
class HormesisTest {
    private static final double[] DOSES = {0, 0.25, 0.5, 1, 2, 4, 8};

    private static double rising(double dose) {
        return dose == 0 ? 20 : (20 + 12 * dose) / (1 + Math.exp(3 * (Math.log(dose) - Math.log(2))));
    }

    private static DoseResponse points(double scatter) {
        List<DoseResponse.Point> points = new ArrayList<>();
        for (double dose : DOSES) {
            points.add(new DoseResponse.Point(dose, rising(dose) + scatter));
            points.add(new DoseResponse.Point(dose, rising(dose) - scatter));
        }
        return new DoseResponse(points);
    }

    private final Hormesis curve = Hormesis.fit(points(0.3)).asOptional().orElseThrow();

    @Test
    void itsParametersAreFound() {
        assertThat(curve.d()).isCloseTo(20, within(1e-4));
        assertThat(curve.f()).isCloseTo(12, within(1e-3));
        assertThat(curve.b()).isCloseTo(3, within(1e-4));
        assertThat(curve.e()).isCloseTo(2, within(1e-4));
        assertThat(curve.standardErrors()).hasSize(4).allMatch(error -> error > 0);
    }

    @Test
    void thePeakIsTheHighestPlace() {
        Hormesis.Peak peak = curve.peak();
        assertThat(peak.response())
                .isGreaterThan(curve.at(peak.dose() * 0.98))
                .isGreaterThan(curve.at(peak.dose() * 1.02));
        assertThat(curve.stimulation().p()).isLessThan(0.001);
    }

    @ParameterizedTest
    @ValueSource(doubles = {10, 20, 50})
    void anEffectiveDoseLiesBeyondThePeakAtItsLevel(double percent) {
        DoseResponse.Effective effective = curve.effective(percent).asOptional().orElseThrow();
        assertThat(effective.dose()).isGreaterThan(curve.peak().dose());
        assertThat(curve.at(effective.dose())).isCloseTo(curve.d() * (1 - percent / 100), within(1e-6));
        assertThat(effective.interval95().low()).isLessThan(effective.dose());
    }

    @Test
    void whatDoesNotRespondHasNoCurve() {
        List<DoseResponse.Point> flat = new ArrayList<>();
        for (double dose : DOSES) {
            flat.add(new DoseResponse.Point(dose, 10.1));
            flat.add(new DoseResponse.Point(dose, 9.9));
        }
        assertThat(Hormesis.fit(new DoseResponse(flat)).whyNot()).isPresent();
        assertThat(LogLogistic.fit(new DoseResponse(flat), false, DoseResponse.Direction.DECREASE)
                        .whyNot())
                .isPresent();
    }
}
