package elsom.core.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.stats.Noec;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class QuantalTest {
    private static List<QuantalLevel> levels(double unit, int... affected) {
        List<QuantalLevel> levels = new ArrayList<>();
        for (int i = 0; i < affected.length; i++) {
            levels.add(new QuantalLevel(unit * Math.pow(2, i), 20, affected[i]));
        }
        return levels;
    }

    @ParameterizedTest
    @EnumSource(QuantalLink.class)
    void anotherUnitOfDoseScalesTheLethalDose(QuantalLink link) {
        QuantalFit one = QuantalFit.fit(levels(1, 1, 4, 9, 15, 19), link, false)
                .asOptional()
                .orElseThrow();
        QuantalFit thousand = QuantalFit.fit(levels(1000, 1, 4, 9, 15, 19), link, false)
                .asOptional()
                .orElseThrow();
        assertThat(thousand.logDoseAt(0.5).x()).isCloseTo(3 + one.logDoseAt(0.5).x(), within(1e-8));
        assertThat(thousand.deviance()).isCloseTo(one.deviance(), within(1e-8));
        assertThat(one.logDoseAt(0.1).x()).isLessThan(one.logDoseAt(0.9).x());
    }

    @Test
    void saysWhyThereIsNoCurve() {
        assertThat(QuantalFit.fit(levels(1, 0, 0, 20, 20), QuantalLink.LOGIT, false)
                        .whyNot())
                .hasValueSatisfying(why -> assertThat(why).contains("from 2.0 to 4.0"));
        assertThat(QuantalFit.refusal(levels(1, 0, 0, 0))).contains(QuantalFit.Refusal.NO_RESPONSE);
        assertThat(QuantalFit.refusal(levels(1, 20, 20))).contains(QuantalFit.Refusal.TOTAL_KILL);
        List<QuantalLevel> dead = new ArrayList<>(levels(1, 20, 20));
        dead.add(new QuantalLevel(0, 10, 10));
        assertThat(QuantalFit.refusal(dead)).contains(QuantalFit.Refusal.DEAD_CONTROL);
        assertThatThrownBy(() -> new QuantalLevel(1, 5, 6)).hasMessageContaining("6 of 5");
    }

    @Test
    void sharesThatFallArePooled() {
        SpearmanKaerber method = SpearmanKaerber.of(levels(1, 0, 8, 6, 20));
        assertThat(method.monotone()).containsExactly(0.0, 0.35, 0.35, 1.0);
        assertThat(method.logDose50(0)).isPresent();
        assertThat(SpearmanKaerber.of(levels(1, 3, 8, 15)).logDose50(0.1)).isEmpty();
    }

    @Test
    void aNoecIsATestedLevelOrNone() {
        assertThat(Noec.lowest(List.of(false, true, false, true)).loec()).hasValue(1);
        assertThat(Noec.monotone(List.of(false, true, false, true)).loec()).hasValue(3);
        assertThat(Noec.lowest(List.of(true, true)).noec()).isEmpty();
        assertThat(Noec.lowest(List.of(false, false)).noec()).hasValue(1);
    }
}
