package elsom.core.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.mix.Mix;
import elsom.core.mix.Property;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class PredictionTest {
    private final AShelf shelf = new AShelf()
            .with(AShelf.medium("wood fibre", MaterialKind.ORGANIC, 40, 50, 100, 5.0))
            .with(AShelf.medium("grit", MaterialKind.MINERAL, 20, 40, 1000, 8.0))
            .with(Lot.named("ash", "ash", MaterialKind.AMENDMENT));

    @Test
    void propertiesAddUpByVolumeAndLieBetweenThoseOfTheParts() {
        Prediction mix = Prediction.of(Mix.parse("3 wood fibre + 1 grit"), shelf::find, 10);
        assertThat(mix.value(Property.WATER).orElseThrow()).isCloseTo(35, within(1e-9));
        assertThat(mix.value(Property.DENSITY).orElseThrow()).isCloseTo(325, within(1e-9));
        assertThat(mix.value(Property.PRICE).orElseThrow()).isCloseTo(0.06, within(1e-12));
    }

    @Test
    void ofPhOnlyTheRangeOfItsPartsIsKnownAndATraceSetsNone() {
        assertThat(Prediction.of(Mix.parse("3 wood fibre + 1 grit"), shelf::find, 10)
                        .ph()
                        .orElseThrow())
                .satisfies(band -> {
                    assertThat(band.low()).isEqualTo(5.0);
                    assertThat(band.high()).isEqualTo(8.0);
                });
        assertThat(Prediction.of(Mix.parse("97 wood fibre + 3 grit"), shelf::find, 10)
                        .ph()
                        .orElseThrow()
                        .high())
                .isEqualTo(5.0);
    }

    @Test
    void aPartOfWhichAPropertyIsNotKnownIsNamed() {
        Prediction mix = Prediction.of(Mix.parse("9 wood fibre + 1 ash"), shelf::find, 10);
        assertThat(mix.value(Property.WATER)).isEmpty();
        assertThat(mix.unknown().get(Property.WATER)).containsExactly("ash");
        assertThat(mix.unknown().get(Property.PH)).containsExactly("ash");
    }

    @Test
    void measuredReplacesPredictedAndTheErrorIsTold() {
        Lot mix = Lot.mixed("Plug mix", "3 wood fibre + 1 grit", AShelf.MAY)
                .with(List.of(LotFigure.of(Property.WATER, 42, Origin.MEASURED, "trial 5", AShelf.MAY)));
        OnShelf seen = OnShelf.of(mix, 10, shelf::find);
        assertThat(seen.value(Property.WATER)).hasValue(42);
        assertThat(seen.known(Property.WATER).orElseThrow().predicted()).isFalse();
        assertThat(seen.error(Property.WATER).orElseThrow()).isCloseTo(7, within(1e-9));
        assertThat(seen.known(Property.AIR).orElseThrow().predicted()).isTrue();
        assertThat(seen.error(Property.AIR)).isEqualTo(OptionalDouble.empty());
    }

    @Test
    void aBatchIsMadeInOrderWithMassesAndCautionsOnce() {
        Batch batch = Batch.of(Mix.parse("1 ash + 2 grit + 7 wood fibre"), 10_000, 0.2, shelf::find);
        assertThat(batch.lines()).extracting(Batch.Line::material).containsExactly("wood fibre", "grit", "ash");
        // 10 L after settling by a fifth are 12.5 L of loose parts.
        assertThat(batch.lines().get(0).looseMl()).isCloseTo(8750, within(1e-9));
        assertThat(batch.fills(3000)).isEqualTo(3);
        assertThat(batch.fills(2500)).isEqualTo(4);
        assertThat(batch.looseIn(batch.lines().get(0), 2000)).isCloseTo(1750, within(1e-9));
        assertThat(batch.lines().get(1).massG().orElseThrow()).isCloseTo(2500, within(1e-9));
        assertThat(batch.lines().get(2).massG()).isEmpty();
        assertThat(batch.lines().get(2).how()).contains("thinly");
        assertThat(batch.cautions()).doesNotHaveDuplicates().anyMatch(text -> text.contains("Dust"));
        assertThat(batch.cautions()).anyMatch(text -> text.contains("goggles"));
        assertThat(Batch.of(Mix.parse("grit"), 1000, 0.2, shelf::find)
                        .lines()
                        .get(0)
                        .looseMl())
                .isEqualTo(1000);
    }
}
