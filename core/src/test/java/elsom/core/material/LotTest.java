package elsom.core.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.column.FittedMedium;
import elsom.core.mix.Property;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

class LotTest {
    private static final LotFigure OLD =
            LotFigure.of(Property.PH, 6.0, Origin.MEASURED, "trial 3", AShelf.MAY.minusYears(1));

    @Test
    void whatWasMeasuredCountsMoreThanALabelHoweverOldAndTheLatestOfThoseCounts() {
        LotFigure label = LotFigure.of(Property.PH, 7.0, Origin.LABEL, "bag", AShelf.MAY);
        LotFigure later = LotFigure.of(Property.PH, 6.4, Origin.MEASURED, "trial 9", AShelf.MAY);
        Lot lot = Lot.named("GW-31", "green-waste compost", MaterialKind.COMPOST);
        assertThat(lot.with(List.of(OLD, label)).value(Property.PH)).hasValue(6.0);
        assertThat(lot.with(List.of(OLD, label, later)).value(Property.PH)).hasValue(6.4);
        assertThat(lot.value(Property.PH)).isEmpty();
    }

    @Test
    void onlyAMixHasARecipeAndItCanBeRead() {
        assertThat(Lot.mixed("Plug mix", "3 wood fibre + 2 leaf mould", AShelf.MAY)
                        .recipe())
                .isNotEmpty();
        assertThatThrownBy(() -> Lot.named("Plug mix", "Plug mix", MaterialKind.MIX))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Lot.mixed("Plug mix", "2:1 leaf mould", AShelf.MAY))
                .hasMessageContaining("stands on each side");
    }

    @Test
    void figuresThatCantBeAreRefusedAndWaterHasADepth() {
        assertThatThrownBy(() -> AShelf.typical(Property.WATER, 101)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> AShelf.typical(Property.PH, -1)).isInstanceOf(IllegalArgumentException.class);
        assertThat(AShelf.typical(Property.WATER, 50).depthCm()).isEqualTo(LotFigure.USUAL_DEPTH_CM);
        assertThat(AShelf.typical(Property.PH, 6).depthCm()).isZero();
    }

    @Test
    void inAShallowContainerItHoldsMoreWaterAndAsManyPores() {
        Lot lot = AShelf.medium("leaf mould", MaterialKind.ORGANIC, 50, 35, 260, 6);
        AtDepth shallow = AtDepth.of(lot, 4);
        AtDepth deep = AtDepth.of(lot, 20);
        assertThat(shallow.value(Property.WATER).orElseThrow())
                .isGreaterThan(50)
                .isGreaterThan(deep.value(Property.WATER).orElseThrow());
        assertThat(shallow.value(Property.WATER).orElseThrow()
                        + shallow.value(Property.AIR).orElseThrow())
                .isCloseTo(85, within(1e-9));
        assertThat(AtDepth.of(lot, 10).value(Property.WATER)).hasValue(50);
        assertThat(shallow.value(Property.PH)).hasValue(6);
    }

    @Test
    void aLotMeasuredAtTwoDepthsHasACurveOfItsOwn() {
        Lot told = AShelf.medium("wood fibre", MaterialKind.ORGANIC, 46, 46, 110, 5);
        assertThat(LotCurve.of(told).orElseThrow().from()).isEqualTo(LotCurve.From.ONE_DEPTH);
        Lot measured = told.with(List.of(
                AShelf.typical(Property.AIR, 40),
                new LotFigure(Property.WATER, 55, Origin.MEASURED, "trial 1", AShelf.MAY, 6, 1),
                new LotFigure(Property.WATER, 40, Origin.MEASURED, "trial 1", AShelf.MAY, 18, 1)));
        LotCurve curve = LotCurve.of(measured).orElseThrow();
        assertThat(curve.from()).isEqualTo(LotCurve.From.TWO_DEPTHS);
        assertThat(FittedMedium.water(curve.curve(), 6)).isCloseTo(0.55, within(1e-3));
        assertThat(FittedMedium.water(curve.curve(), 18)).isCloseTo(0.40, within(1e-3));
        assertThat(LotCurve.of(Lot.named("ash", "ash", MaterialKind.AMENDMENT))).isEmpty();
    }

    @Test
    void whatWasMeasuredAtADepthGoesBeforeWhatIsConvertedToItHoweverNew() {
        Lot lot = Lot.named("LM-1", "leaf mould", MaterialKind.ORGANIC)
                .with(List.of(
                        water(62, 4, AShelf.MAY.minusYears(1)),
                        water(50, 10, AShelf.MAY),
                        LotFigure.of(Property.AIR, 25, Origin.LAB, "", AShelf.MAY)));
        assertThat(AtDepth.of(lot, 4).value(Property.WATER)).hasValue(62);
        assertThat(AtDepth.of(lot, 10).value(Property.WATER)).hasValue(50);
        assertThat(AtDepth.of(lot, 7).value(Property.WATER).orElseThrow()).isBetween(50.0, 62.0);
    }

    private static LotFigure water(double percent, double depthCm, LocalDate on) {
        return new LotFigure(Property.WATER, percent, Origin.MEASURED, "drained", on, depthCm, 0);
    }
}
