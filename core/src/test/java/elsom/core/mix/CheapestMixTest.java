package elsom.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.material.TypicalLots;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** The cheapest mix in its windows, against a search by hand, and the window that rules a mix out. */
class CheapestMixTest {
    private static MixPart part(String name, double water, double air, double price) {
        return new MixPart(name, Map.of(Property.WATER, water, Property.AIR, air), price, 0, 1);
    }

    private final MixPart wet = part("leaf mould", 60, 20, 9);
    private final MixPart airy = part("rice hulls", 20, 65, 5);

    private static CheapestMix found(List<MixPart> parts, MixWindow... windows) {
        return CheapestMix.of(parts, List.of(windows)).asOptional().orElseThrow();
    }

    @Test
    void theCheapestWithoutWindowsIsTheCheapestMaterial() {
        CheapestMix mix = found(List.of(wet, airy));
        assertThat(mix.shares()).containsOnlyKeys("rice hulls");
        assertThat(mix.price()).isEqualTo(5);
        assertThat(mix.text()).isEqualTo("rice hulls");
    }

    /** Water of 50 % or more: 20 + 40 s ≥ 50, so s = 0.75 of the wet one; 0.75·9 + 0.25·5 = 8. */
    @Test
    void aWindowCostsWhatItCosts() {
        CheapestMix mix = found(List.of(wet, airy), new MixWindow(Property.WATER, 50, 100));
        assertThat(mix.shares().get("leaf mould")).isCloseTo(0.75, within(1e-9));
        assertThat(mix.price()).isCloseTo(8, within(1e-9));
        assertThat(mix.predicted().get(Property.AIR)).isCloseTo(31.25, within(1e-9));
        assertThat(mix.text()).isEqualTo("75 % leaf mould + 25 % rice hulls");
        // 50 L after a fifth is lost are 62.5 L loose.
        assertThat(Mix.parse(mix.text()).share("leaf mould")).isCloseTo(0.75, within(1e-9));
    }

    @Test
    void leastAndMostSharesAreKept() {
        MixPart some = new MixPart("leaf mould", wet.properties(), 9, 0.2, 0.5);
        CheapestMix mix = found(List.of(some, airy));
        assertThat(mix.shares().get("leaf mould")).isCloseTo(0.2, within(1e-9));
        MixPart little = new MixPart("rice hulls", airy.properties(), 5, 0, 0.3);
        assertThat(CheapestMix.of(List.of(some, little), List.of()).whyNot().orElseThrow())
                .isEqualTo("The most that each may have does not fill the whole");
    }

    /** Water 55 % leaves 12.5 % of the airy one, so air of 25.6 % at the most; 40 % are wanted. */
    @Test
    void whatRulesItOutIsNamedWithHowMuch() {
        String why = CheapestMix.of(
                        List.of(wet, airy),
                        List.of(new MixWindow(Property.WATER, 55, 100), new MixWindow(Property.AIR, 40, 100)))
                .whyNot()
                .orElseThrow();
        assertThat(why)
                .startsWith("No mix does this: ")
                .contains("rules it out")
                .contains("short");
        CheapestMix.Limiting air = CheapestMix.limiting(
                        List.of(wet, airy),
                        List.of(new MixWindow(Property.WATER, 0, 100), new MixWindow(Property.AIR, 70, 100)))
                .orElseThrow();
        assertThat(air.window().property()).isEqualTo(Property.AIR);
        assertThat(air.reached()).isCloseTo(65, within(1e-9));
        assertThat(air.misses()).isCloseTo(5, within(1e-9));
    }

    @Test
    void aMaterialOfWhichNothingIsKnownStaysOut() {
        MixPart unknown = new MixPart("mystery", Map.of(), 0, 0, 1);
        assertThat(found(List.of(unknown, wet), new MixWindow(Property.WATER, 10, 100))
                        .shares())
                .containsOnlyKeys("leaf mould");
        assertThat(CheapestMix.of(List.of(unknown), List.of(new MixWindow(Property.WATER, 10, 100)))
                        .whyNot())
                .hasValueSatisfying(why -> assertThat(why).startsWith("No material has"));
    }

    /** Of random shares in a million none that keeps the windows is cheaper. */
    @Test
    void nothingThatIsTriedIsCheaper() {
        List<MixPart> parts = typical();
        List<MixWindow> windows = List.of(
                new MixWindow(Property.WATER, 45, 60),
                new MixWindow(Property.AIR, 25, 45),
                new MixWindow(Property.EC, 0, 0.6),
                new MixWindow(Property.DENSITY, 0, 350));
        CheapestMix best = CheapestMix.of(parts, windows).asOptional().orElseThrow();
        assertThat(best.shares().values().stream().mapToDouble(share -> share).sum())
                .isCloseTo(1, within(1e-9));
        windows.forEach(window -> assertThat(window.misses(best.predicted().get(window.property())))
                .isLessThan(1e-6));
        Random chance = new Random(2);
        for (int i = 0; i < 100_000; i++) {
            double[] shares =
                    chance.doubles(parts.size()).map(x -> -Math.log(x)).toArray();
            double sum = java.util.Arrays.stream(shares).sum();
            double price = 0;
            Map<Property, Double> values = new HashMap<>();
            for (int p = 0; p < shares.length; p++) {
                MixPart part = parts.get(p);
                double share = shares[p] / sum;
                price += share * part.price();
                part.properties().forEach((property, value) -> values.merge(property, share * value, Double::sum));
            }
            if (windows.stream().allMatch(window -> window.misses(values.get(window.property())) == 0)) {
                assertThat(price).isGreaterThanOrEqualTo(best.price() - 1e-9);
            }
        }
    }

    private static List<MixPart> typical() {
        return TypicalLots.all(LocalDate.EPOCH).stream()
                .map(lot -> new MixPart(
                        lot.name(),
                        Property.mixing().stream()
                                .collect(Collectors.toMap(
                                        property -> property,
                                        property -> lot.value(property).orElseThrow())),
                        lot.value(Property.PRICE).orElseThrow(),
                        0,
                        1))
                .toList();
    }

    @Test
    void whatCantBeIsRefused() {
        assertThatThrownBy(() -> new MixWindow(Property.WATER, 60, 40)).hasMessageContaining("Water held");
        assertThatThrownBy(() -> new MixPart("x", Map.of(Property.AIR, 120.0), 1, 0, 1))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new MixPart("x", Map.of(), 1, 0.5, 0.2))
                .hasMessageContaining("least not above its most");
    }
}
