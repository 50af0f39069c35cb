package elsom.core.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class SalinityResponseTest {
    private static final double[] EC = {0, 1, 2, 3, 4, 5, 6, 7, 8, 9};

    /** 40 g up to 3 dS/m, then 10 % less for each more; scatter that cancels in pairs. */
    private static double[] yields(double scatter) {
        return IntStream.range(0, EC.length)
                .mapToDouble(i -> 40 * (EC[i] <= 3 ? 1 : 1 - 0.1 * (EC[i] - 3)) + (i % 2 == 0 ? scatter : -scatter))
                .toArray();
    }

    @Test
    void theTippingPointAndTheSlopeAreFound() {
        SalinityResponse found = SalinityResponse.fit(new XyData(EC, yields(0)), false)
                .asOptional()
                .orElseThrow();
        assertThat(found.threshold()).isCloseTo(3, within(1e-6));
        assertThat(found.slopePercent()).isCloseTo(10, within(1e-6));
        assertThat(found.halfYieldAt()).isCloseTo(8, within(1e-6));
        assertThat(found.zeroYieldAt()).isCloseTo(13, within(1e-6));
    }

    @Test
    void yieldInOtherUnitsTipsAtTheSamePlace() {
        SalinityResponse grams = SalinityResponse.fit(new XyData(EC, yields(0.5)), false)
                .asOptional()
                .orElseThrow();
        double[] milligrams = IntStream.range(0, EC.length)
                .mapToDouble(i -> yields(0.5)[i] * 1000)
                .toArray();
        SalinityResponse scaled = SalinityResponse.fit(new XyData(EC, milligrams), false)
                .asOptional()
                .orElseThrow();
        assertThat(scaled.threshold()).isCloseTo(grams.threshold(), within(1e-6));
        assertThat(scaled.slopePercent()).isCloseTo(grams.slopePercent(), within(1e-6));
    }
}
