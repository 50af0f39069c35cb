package elsom.core.money;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.analysis.Answer;
import elsom.core.analysis.Comparison;
import elsom.core.material.Lot;
import elsom.core.material.LotFigure;
import elsom.core.material.MaterialKind;
import elsom.core.material.Origin;
import elsom.core.mix.Property;
import elsom.core.plan.APlan;
import elsom.core.plan.Factor;
import elsom.core.plan.FactorKind;
import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.plan.Pots;
import elsom.core.plan.Recurring;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.stats.Interval;
import elsom.core.stats.Summary;
import elsom.core.trial.Given;
import elsom.core.trial.GivenKind;
import elsom.core.trial.TrialRecord;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Function;
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

    @Test
    void soldByTheKilogramTheLitreOrThePiece() {
        assertThat(Sold.by(UnitOfMeasure.GRAM)).hasValue(new Sold("kg", 1000));
        assertThat(Sold.by(UnitOfMeasure.KILOGRAM)).hasValue(new Sold("kg", 1));
        assertThat(Sold.by(UnitOfMeasure.LITRE)).hasValue(new Sold("L", 1));
        assertThat(Sold.by(UnitOfMeasure.COUNT)).hasValue(new Sold("piece", 1));
        assertThat(Sold.by(UnitOfMeasure.POINT)).isEmpty();
    }

    /** Mean 10, sd 2, n 4: 95 % of the mean is 10 ± 3.182 · 1, so 100 takes 8 to 15 units. */
    @Test
    void unitsForATargetHaveARange() {
        UnitsNeeded needed = UnitsNeeded.of(100, new Summary(4, 10, OptionalDouble.of(2)));
        assertThat(needed.units()).hasValue(10);
        assertThat(needed.fewest()).hasValue(8);
        assertThat(needed.most()).hasValue(15);
        assertThat(UnitsNeeded.of(100, new Summary(1, 10, OptionalDouble.empty()))
                        .most())
                .isEmpty();
        assertThat(UnitsNeeded.of(100, new Summary(4, 2, OptionalDouble.of(4))).most())
                .isEmpty();
    }

    /** 20 mL/L of 200 mL at each of the plan's feedings, at 0.40 a litre; kelp feed, 100 mL in all, at 3 a litre. */
    @Test
    void whatIsDosedAndFedCostsWhatTheShelfSays() {
        Function<String, Optional<Lot>> shelf = name -> switch (name) {
            case "Liquor" -> Optional.of(priced(name, 0.4));
            case "kelp feed" -> Optional.of(priced(name, 3));
            default -> Optional.empty();
        };
        Factor factor = new Factor(
                "Liquor",
                FactorKind.DOSE,
                UnitOfMeasure.MILLILITRE_PER_LITRE,
                List.of(new Factor.Level("0", 0.0, true), new Factor.Level("20", 20.0, false)),
                null,
                null);
        Plan plan = APlan.ofGrowth()
                .factors(factor)
                .replicates(2)
                .pots(new Pots(APlan.POT, 0, 0, 0, 0, 0, 0, 200))
                .steps(new Recurring(
                        Recurring.Kind.FEED, "", Duration.ofDays(7), Duration.ofDays(7), Duration.ofDays(28)))
                .plan();
        TrialRecord record = Measured.started(plan).record();
        assertThat(UnitCost.of(plan, record, record.treatment(2), shelf).orElseThrow())
                .isCloseTo(0.4 * 0.02 * 0.2 * 4, within(1e-12));
        assertThat(UnitCost.of(plan, record, record.treatment(1), shelf)).hasValue(0);
        assertThat(UnitCost.of(plan, record, record.treatment(2), name -> Optional.empty()))
                .isEmpty();
        TrialRecord fed = record.with(record.beside()
                .given(List.of(new Given(
                        1,
                        GivenKind.FEED,
                        "kelp feed, 2 mL/L",
                        Map.of(record.units().get(0).code(), 100.0),
                        record.trial().start(),
                        "Bench A",
                        null))));
        int of = record.units().get(0).treatment();
        double before = UnitCost.of(plan, record, record.treatment(of), shelf).orElseThrow();
        assertThat(UnitCost.of(plan, fed, fed.treatment(of), shelf).orElseThrow() - before)
                .isCloseTo(3 * 0.05, within(1e-12));
    }

    private static Lot priced(String name, double price) {
        return Lot.named(name, name, MaterialKind.FEED)
                .with(List.of(LotFigure.of(Property.PRICE, price, Origin.TYPICAL, "", LocalDate.EPOCH)));
    }
}
