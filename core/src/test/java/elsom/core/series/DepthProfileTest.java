package elsom.core.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.plan.Measure;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.stats.Interval;
import elsom.core.trial.Counting;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import java.util.List;
import org.junit.jupiter.api.Test;

class DepthProfileTest {
    private int units;

    private DepthProfile.OfUnit of(int treatment, double depth, double mean) {
        return new DepthProfile.OfUnit(treatment, "U" + units++, depth, mean);
    }

    @Test
    void twoProbesOfOneUnitCountAsOne() {
        DepthProfile.Point shallow = DepthProfile.of(List.of(
                        new DepthProfile.OfUnit(1, "K34", 5, 2),
                        new DepthProfile.OfUnit(1, "K34", 5, 4),
                        new DepthProfile.OfUnit(1, "M12", 5, 7),
                        new DepthProfile.OfUnit(1, "K34", 15, 3)))
                .get(0);
        assertThat(shallow.n()).isEqualTo(2);
        assertThat(shallow.mean()).isEqualTo(5);
    }

    @Test
    void eachUnitCountsOnceAndTheIntervalIsStudents() {
        List<DepthProfile.Point> points = DepthProfile.of(
                List.of(of(2, 15, 1), of(1, 5, 2), of(1, 5, 4), of(1, 5, 6), of(1, 15, 3), of(2, 5, 1)));
        assertThat(points).extracting(DepthProfile.Point::treatment).containsExactly(1, 1, 2, 2);
        DepthProfile.Point shallow = points.get(0);
        assertThat(shallow.depthCm()).isEqualTo(5);
        assertThat(shallow.mean()).isEqualTo(4);
        assertThat(shallow.n()).isEqualTo(3);
        // t of 2 degrees of freedom at 0.975 is 4.303, times 2 over the root of 3.
        Interval interval = shallow.interval().orElseThrow();
        assertThat(interval.low()).isCloseTo(4 - 4.303 * 2 / Math.sqrt(3), within(1e-3));
        assertThat(points.get(1).interval()).isEmpty();
    }

    @Test
    void oneDepthIsNoProfile() {
        assertThat(DepthProfile.of(List.of(of(1, 5, 2), of(2, 5, 4)))).isEmpty();
        assertThat(DepthProfile.of(List.of())).isEmpty();
    }

    @Test
    void anEndpointOfASeriesTakesNobodysTimeAndCanHaveWhatItsSummaryCan() {
        Endpoint mean = Measure.sensed(new EndpointCode("ec"), new Sensed(Measurand.EC, 10, SeriesSummary.MEAN, 0))
                .endpoint();
        assertThat(mean.counting()).isEqualTo(Counting.SENSED);
        assertThat(mean.unit()).isEqualTo(UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE);
        assertThat(mean.allows(1.85)).isTrue();
        assertThat(mean.allows(-1)).isFalse();
        Measure above = Measure.sensed(
                new EndpointCode("hot"), new Sensed(Measurand.TEMPERATURE, 0, SeriesSummary.HOURS_ABOVE, 30));
        assertThat(above.secondsEach()).isZero();
        assertThat(above.endpoint().unit()).isEqualTo(UnitOfMeasure.HOUR);
        assertThat(above.endpoint().allows(200)).isTrue();
        Endpoint area = Measure.sensed(
                        new EndpointCode("degree-days"), new Sensed(Measurand.TEMPERATURE, 0, SeriesSummary.AREA, 0))
                .endpoint();
        assertThat(area.whole()).isFalse();
        assertThat(area.allows(-12.5)).isTrue();
        assertThat(area.allows(312.5)).isTrue();
    }
}
