package elsom.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.flag.Flag;
import elsom.core.flag.UnevenCare;
import elsom.core.protocol.water.WaterTrial;
import elsom.core.read.Typed;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Water and feed between looks: what each treatment had, what a unit needs, and what is unequal. */
class CareTest {
    private final TrialRecord record = WaterTrial.aTrial()
            .medium("wood fibre")
            .medium("leaf mould")
            .dried((t, r) -> 40, (t, r) -> 200 + r, (t, r) -> 0.01)
            .drawn();

    private Given each(int number, GivenKind kind, double first, double second) {
        Map<UnitCode, Double> amounts = new LinkedHashMap<>();
        record.units().forEach(unit -> amounts.put(unit.code(), unit.treatment() == 1 ? first : second));
        return new Given(number, kind, "kelp", amounts, WaterTrial.START, "Bench A", null);
    }

    @Test
    void everyTreatmentsShareIsAUnitsMean() {
        TrialRecord watered = record.with(
                record.beside().given(List.of(each(1, GivenKind.WATER, 40, 50), each(2, GivenKind.WATER, 20, 20))));
        assertThat(CareTotals.of(watered))
                .extracting(CareTotals.Total::millilitres, CareTotals.Total::times)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(60.0, 2.0), org.assertj.core.groups.Tuple.tuple(70.0, 2.0));
    }

    /** 80 mL is a third more than 60, 74 less than a tenth more than 70. */
    @Test
    void aTenthMoreOrLessIsFlaggedAndMeantOrNot() {
        TrialRecord uneven = record.with(record.beside().given(List.of(each(1, GivenKind.FEED, 60, 80))));
        Flag flag = UnevenCare.of(uneven, true).get(0);
        assertThat(flag.severity()).isEqualTo(Flag.Severity.CAUTION);
        assertThat(flag.seen()).contains("60 mL", "80 mL");
        TrialRecord watered = record.with(record.beside().given(List.of(each(1, GivenKind.WATER, 60, 80))));
        assertThat(UnevenCare.of(watered, true)).extracting(Flag::severity).containsExactly(Flag.Severity.NOTE);
        assertThat(UnevenCare.of(record.with(record.beside().given(List.of(each(1, GivenKind.FEED, 70, 74)))), true))
                .isEmpty();
    }

    @Test
    void aUnitIsFilledUpToTheHeaviestItHasBeen() {
        UnitCode unit = record.units().get(0).code();
        double heaviest = record.readings().stream()
                .filter(reading -> reading.ref().unit().equals(unit)
                        && reading.ref().endpoint().equals(Refill.WHOLE))
                .mapToDouble(reading -> reading.value() == null ? 0 : reading.value())
                .max()
                .orElseThrow();
        assertThat(Refill.target(record, unit).orElseThrow()).isEqualTo(heaviest);
        assertThat(Refill.needMl(heaviest - 36, heaviest)).isCloseTo(36, within(1e-9));
        assertThat(Refill.needMl(heaviest + 5, heaviest)).isZero();
    }

    @Test
    void fromBelowTheGainInWeightIsWhatItDrank() {
        assertThat(((Typed.Understood) Refill.amount("338 - 301")).stored().value())
                .isEqualTo(37);
        assertThat(((Typed.Understood) Refill.amount("0.05 L")).stored().value())
                .isEqualTo(50);
        assertThat(Refill.amount("some")).isInstanceOf(Typed.Refused.class);
    }

    @Test
    void waterForAUnitThatIsNotThereIsRefused() {
        Given stray =
                new Given(1, GivenKind.WATER, "", Map.of(new UnitCode("Z99"), 5.0), WaterTrial.START, "Bench A", null);
        assertThatThrownBy(() -> record.with(record.beside().given(List.of(stray))))
                .hasMessageContaining("does not have");
        assertThatThrownBy(() -> new Given(
                        1, GivenKind.WATER, "", Map.of(new UnitCode("K22"), -5.0), WaterTrial.START, "Bench A", null))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
