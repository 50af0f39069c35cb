package elsom.core.money;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.analysis.Answer;
import elsom.core.analysis.Comparison;
import elsom.core.stats.Interval;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

/** Money by hand: a tray gives 40 g more, 10 to 70, at 0.02 a gram, for 0.50 more. */
class PayTest {
    private static Comparison more(double difference, Optional<Interval> interval) {
        return new Comparison(
                1,
                0,
                difference,
                interval,
                OptionalDouble.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Answer.CANT_TELL,
                OptionalInt.empty());
    }

    @Test
    void theIntervalOfTheYieldIsCarriedThrough() {
        Pay pay = Pay.of(more(40, Optional.of(new Interval(10, 70))), 0.02, List.of(0.1, 0.1 + 0.5));
        assertThat(pay.net()).isCloseTo(0.3, within(1e-12));
        assertThat(pay.net95().orElseThrow().low()).isCloseTo(-0.3, within(1e-12));
        assertThat(pay.net95().orElseThrow().high()).isCloseTo(0.9, within(1e-12));
        assertThat(pay.perCost().orElseThrow()).isCloseTo(0.6, within(1e-12));
        assertThat(pay.breakEven().orElseThrow()).isCloseTo(0.0125, within(1e-12));
        assertThat(pay.cheapEnough()).isCloseTo(0.8, within(1e-12));
        assertThat(pay.says()).isEqualTo(Pay.Says.CANT_TELL);
    }

    @Test
    void itPaysOrCostsOnlyWhenAllOfTheIntervalSaysSo() {
        Comparison comparison = more(40, Optional.of(new Interval(30, 50)));
        assertThat(Pay.of(comparison, 0.02, List.of(0.1, 0.1 + 0.5)).says()).isEqualTo(Pay.Says.PAYS);
        assertThat(Pay.of(comparison, 0.02, List.of(0.1, 0.1 + 1.5)).says()).isEqualTo(Pay.Says.COSTS);
        assertThat(Pay.of(comparison, 0.02, List.of(0.1, 0.1 + 0.7)).says()).isEqualTo(Pay.Says.CANT_TELL);
    }

    @Test
    void ofOneTrayEachNothingIsDecidedAndWhatCostsNoMoreHasNoReturn() {
        Pay pay = Pay.of(more(40, Optional.empty()), 0.02, List.of(0.1, 0.1 + 0));
        assertThat(pay.says()).isEqualTo(Pay.Says.CANT_TELL);
        assertThat(pay.net95()).isEmpty();
        assertThat(pay.perCost()).isEmpty();
        assertThat(pay.breakEven()).isEmpty();
    }

    @Test
    void unitsForATargetAreWholeOnes() {
        assertThat(Pay.unitsFor(1000, 62)).hasValue(17);
        assertThat(Pay.unitsFor(1000, 50)).hasValue(20);
        assertThat(Pay.unitsFor(1000, 0)).isEmpty();
    }
}
