package elsom.core.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.mix.CheapestMix;
import elsom.core.mix.Mix;
import elsom.core.mix.Property;
import elsom.core.mix.Quarantine;
import elsom.core.stats.Outcome;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class CheapestFitTest {
    private static final Use AIRY =
            new Use("airy", "Airy", 10, "", List.of(new UseBound(Property.AIR, 30, 35, 90, 95, "wet", "dry")));

    private final Lot dear = AShelf.priced("rice hulls", 20, 65, 0.09);
    private final Lot cheap = AShelf.priced("leaf mould", 60, 25, 0.05);

    private static OnShelf at(Lot lot) {
        return OnShelf.of(lot, 10, name -> Optional.empty());
    }

    private Outcome<CheapestMix> of(List<Quarantine> apart, CheapestFit.Limit... limits) {
        return CheapestFit.of(List.of(at(dear), at(cheap)), apart, AIRY, List.of(limits));
    }

    /** 65 x + 25 (1 - x) = 35 at x = 1/4. */
    @Test
    void justSoMuchOfTheDearOneAsTheUseAsks() {
        CheapestMix mix = of(List.of()).asOptional().orElseThrow();
        assertThat(mix.shares().get("rice hulls")).isCloseTo(0.25, within(1e-9));
    }

    @Test
    void aLimitIsKept() {
        CheapestMix mix = of(List.of(), new CheapestFit.Limit("Leaf mould", 0, 0.4))
                .asOptional()
                .orElseThrow();
        assertThat(mix.shares().get("leaf mould")).isCloseTo(0.4, within(1e-9));
        assertThat(of(List.of(), new CheapestFit.Limit("nettle straw", 0.1, 1))
                        .whyNot()
                        .orElseThrow())
                .startsWith("nettle straw can't be in it");
        assertThatThrownBy(() -> new CheapestFit.Limit("x", 0.5, 0.4)).hasMessageContaining("above its most");
    }

    @Test
    void whatIsKeptApartOrSourStaysOut() {
        Quarantine kept = new Quarantine("leaf mould", "peas curled", Instant.EPOCH, "bench", "", 1, null, "");
        assertThat(of(List.of(kept)).asOptional().orElseThrow().shares()).containsOnlyKeys("rice hulls");
        Use mild = new Use("mild", "Mild", 10, "", List.of(new UseBound(Property.PH, 6.5, 6.6, 7, 7.5, "", "")));
        assertThat(CheapestFit.of(List.of(at(dear), at(cheap)), List.of(), mild, List.of())
                        .whyNot())
                .isPresent();
    }

    @Test
    void aTypicalShelfIsFitForSomething() {
        List<OnShelf> shelf =
                TypicalLots.all(AShelf.MAY).stream().map(CheapestFitTest::at).toList();
        for (Use use : TypicalUses.all()) {
            Outcome<CheapestMix> found = CheapestFit.of(shelf, List.of(), use, List.of());
            assertThat(found.asOptional().isPresent() || found.whyNot().isPresent())
                    .isTrue();
        }
        assertThat(TypicalUses.all().stream()
                        .filter(use -> CheapestFit.of(shelf, List.of(), use, List.of())
                                .asOptional()
                                .isPresent())
                        .count())
                .isGreaterThanOrEqualTo(3);
    }

    /** 50 L of 1:1 settling by a fifth are 62.5 L loose: 31.25 L of each. */
    @Test
    void aBatchCostsWhatItsLooseLitresCost() {
        Batch batch = Batch.of(
                Mix.parse("1 rice hulls + 1 leaf mould"),
                50_000,
                0.2,
                name -> name.equals("rice hulls") ? Optional.of(dear) : Optional.of(cheap));
        assertThat(batch.price().orElseThrow()).isCloseTo(31.25 * 0.14, within(1e-9));
        assertThat(Batch.of(Mix.parse("leaf mould"), 1000, 0, name -> Optional.empty())
                        .price())
                .isEmpty();
    }

    @Test
    void anAddedUseHasACodeOfItsOwn() {
        assertThat(Use.codeFor("Roof garden, dry and windy", Set.of())).isEqualTo("own-roof-garden-");
        assertThat(Use.codeFor("Roof", Set.of("own-roof"))).isEqualTo("own-roof-2");
    }
}
