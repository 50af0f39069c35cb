package elsom.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A lot is found wherever a mix holds it, by its name in any case, and only while its quarantine stands. */
class QuarantineTest {
    private static final Instant NOW = Instant.parse("2026-06-01T08:00:00Z");

    private static Quarantine kept(String lot) {
        return new Quarantine(lot, "injured peas", NOW, "Bench A", "", 0, null, "");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "GW-32 | true",
                "gw-32 | true",
                "3 leaf mould + 1 GW-32 | true",
                "leaf mould 75 %; GW-32 25 % | true",
                "leaf mould | false",
                "GW-321 | false",
                "0 GW-32 + 1 leaf mould | false",
                "'' | false",
                "1 GW-32 + leaf mould | true",
                "some gw-32, rest leaf mould | true",
                "1 GW-321 + leaf mould | false"
            })
    void isInWhatHoldsIt(String mix, boolean held) {
        assertThat(Quarantine.holds(mix, "GW-32")).isEqualTo(held);
    }

    @Test
    void onlyWhatStandsIsHeeded() {
        Quarantine lifted = new Quarantine("GW-31", "smelled", NOW, "Bench A", "", 0, NOW.plusSeconds(60), "aired");
        List<Quarantine> all = List.of(kept("GW-32"), lifted, kept("bracken"));
        assertThat(Quarantine.among(all, List.of("1 GW-31 + 1 GW-32", "leaf mould")))
                .extracting(Quarantine::lot)
                .containsExactly("GW-32");
    }

    @Test
    void aTextThatNamesItIsHeeded() {
        assertThat(Quarantine.named(List.of(kept("GW-32"), kept("kelp")), "GW-32 compost 15 g/L\nair 0.5 L/min per L"))
                .extracting(Quarantine::lot)
                .containsExactly("GW-32");
    }

    @Test
    void aLotHasAName() {
        assertThatThrownBy(() -> kept(" ")).isInstanceOf(IllegalArgumentException.class);
        assertThat(kept("GW-32").shownBy(7).trial()).isEqualTo(7);
    }

    @Test
    void aLotGoesWithAMixIntoTheNextAndAMixOfItselfEnds() {
        Map<String, String> shelf = Map.of(
                "Plug mix 1",
                "80 % leaf mould + 20 % GW-32",
                "House mix",
                "1 Plug mix 1 + 1 coir",
                "Round",
                "Round + coir");
        Set<String> all = Quarantine.withRecipes(List.of("3 House mix + 1 grit", "Round"), shelf);
        assertThat(Quarantine.among(List.of(kept("GW-32"), kept("GW-31")), all))
                .extracting(Quarantine::lot)
                .containsExactly("GW-32");
    }
}
