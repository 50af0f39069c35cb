package elsom.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class MixTest {
    @ParameterizedTest
    @ValueSource(
            strings = {
                "3 leaf mould + 1 GW-32",
                "75 % leaf mould, 25 % GW-32",
                "leaf mould 75 %; GW-32 25%",
                "3 parts of leaf mould + 1 part GW-32",
                "1,5 leaf mould + 0,5 GW-32 + 0 wood fibre"
            })
    void readsPartsHoweverTheyAreWritten(String text) {
        Mix mix = Mix.parse(text);
        assertThat(mix.parts()).hasSize(2);
        assertThat(mix.share("Leaf mould")).isCloseTo(0.75, within(1e-12));
        assertThat(mix.share("GW-32")).isCloseTo(0.25, within(1e-12));
        assertThat(mix.share("sand")).isZero();
    }

    @Test
    void aMixCalledAfterAVesselIsAMixAndNoVessel() {
        assertThat(Mix.parse("1 Plug mix 1 + 3 coir").share("Plug mix 1")).isEqualTo(0.25);
        assertThat(Mix.parse("2 bed mix + 2 grit").share("bed mix")).isEqualTo(0.5);
    }

    @Test
    void aNameWithDigitsIsOneMaterial() {
        assertThat(Mix.parse("Green-waste compost GW-31").parts())
                .containsExactly(new Mix.Part("Green-waste compost GW-31", 1));
        assertThat(Mix.parse("Crushed brick 2–8 mm").parts()).hasSize(1);
        assertThat(Mix.parse("100 % leaf mould").share("leaf mould")).isEqualTo(1);
    }

    @Test
    void materialsWithoutNumbersAreEqualPartsAsInEarlierStoresAndSaidToBe() {
        assertThat(Mix.parse("leaf mould + wood fibre").share("wood fibre")).isEqualTo(0.5);
        assertThat(Mix.withoutShares("leaf mould + wood fibre")).isTrue();
        assertThat(Mix.withoutShares("3 leaf mould + 1 wood fibre")).isFalse();
        assertThatThrownBy(() -> Mix.parse("3 leaf mould + wood fibre")).hasMessageContaining("which share has each?");
        assertThat(Mix.parse("equal parts leaf mould and wood fibre").share("wood fibre"))
                .isEqualTo(0.5);
        assertThat(Mix.parse("sand and gravel").parts()).hasSize(1);
    }

    @Test
    void cupsAndSpoonsAreVolumesAndNoMaterials() {
        assertThat(Mix.parse("3 cups coir + 0.5 cup castings").text()).isEqualTo("85.714 % coir + 14.286 % castings");
        assertThat(Mix.parse("1/2 cup coir + 3 1/2 cups grit").share("grit")).isCloseTo(0.875, within(1e-12));
        assertThatThrownBy(() -> Mix.parse("60 % + 30 %")).hasMessageContaining("of what?");
        assertThatThrownBy(() -> Mix.parse("60 % coir + 30 % grit")).hasMessageContaining("what is the rest?");
        assertThatThrownBy(() -> Mix.parse("2 L coir + 500 g grit")).hasMessageContaining("a volume and a weight");
        assertThatThrownBy(() -> Mix.parse("nothing known")).hasMessageContaining("names no material");
    }

    /** 10 L of 3 : 1 that settles by 20 % takes 10 · 3/4 ÷ 0.8 = 9.375 L and 3.125 L. */
    @Test
    void looseVolumesAllowForSettling() {
        Mix mix = Mix.parse("3 leaf mould + 1 GW-32");
        assertThat(mix.looseMl(mix.parts().get(0), 10_000, 0.2)).isCloseTo(9375, within(1e-9));
        assertThat(mix.looseMl(mix.parts().get(1), 10_000, 0.2)).isCloseTo(3125, within(1e-9));
        assertThatThrownBy(() -> mix.looseMl(mix.parts().get(0), 10, 1)).hasMessageContaining("settling");
    }

    @ParameterizedTest
    @ValueSource(strings = {"2:1 leaf mould", "2 : 1", "1 to 3 GW-31", "1 in 10 compost tea", "1:2 sand + leaf mould"})
    void aRatioThatDoesNotNameItsSidesIsAsked(String typed) {
        assertThatThrownBy(() -> Mix.parse(typed))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("3 parts leaf mould + 1 part grit");
    }

    @ParameterizedTest
    @ValueSource(strings = {"2 to 8 mm pumice", "0 to 25 mm bark", "3 leaf mould + 1 GW-32", "sand 0.2 to 2 mm"})
    void grainSizesAndPartsAreNoRatios(String typed) {
        assertThat(Mix.parse(typed).parts()).isNotEmpty();
    }

    @Test
    void theSameMixIsKnownWhateverTheOrderOfItsParts() {
        Mix mix = Mix.parse("3 wood fibre + 2 leaf mould");
        assertThat(mix.sameAs(Mix.parse("40 % leaf mould + 60 % Wood fibre"))).isTrue();
        assertThat(mix.sameAs(Mix.parse("2 wood fibre + 3 leaf mould"))).isFalse();
        assertThat(mix.sameAs(Mix.parse("wood fibre"))).isFalse();
        assertThat(Mix.read("2:1 sand")).isEmpty();
        assertThat(Mix.read(" ")).isEmpty();
    }
}
