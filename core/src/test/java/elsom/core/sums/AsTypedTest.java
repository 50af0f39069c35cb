package elsom.core.sums;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.read.Known;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Cups in, cups out. A US cup is 236.588 mL, a tablespoon 14.787, a gallon 3,785.4, an imperial one 4,546.1. */
class AsTypedTest {
    private static String answer(Known known, String volume) {
        return Sums.find("dilution")
                .orElseThrow()
                .worked(Map.of("stock", "10 %", "wanted", "1 %", "volume", volume), known)
                .answer()
                .orElseThrow()
                .sentence();
    }

    private static final Known NOBODY = Known.on(LocalDate.EPOCH);

    @Test
    void cupsAreAnsweredInCupsAndSpoonsWithMillilitresBeside() {
        assertThat(answer(NOBODY, "10 cups")).isEqualTo("1 cup (236.6 mL) of stock and 9 cups (2.129 L) of water.");
        assertThat(answer(NOBODY, "1 cup")).startsWith("1.6 tbsp (23.66 mL) of stock");
        assertThat(answer(NOBODY, "1 tsp")).startsWith("0.1 tsp (0.4929 mL) of stock");
    }

    @Test
    void gallonsAreWhoseverTheyWere() {
        assertThat(answer(NOBODY, "5 US gal"))
                .isEqualTo("0.5 US gal (1.893 L) of stock and 4.5 US gal (17.03 L) of water.");
        Known imperial = new Known(LocalDate.EPOCH, Optional.of(Known.Gallons.IMPERIAL), Map.of());
        assertThat(answer(imperial, "5 gal"))
                .isEqualTo("0.5 imp gal (2.273 L) of stock and 4.5 imp gal (20.46 L) of water.");
    }

    @Test
    void litresStayLitres() {
        assertThat(answer(NOBODY, "2 L")).isEqualTo("200 mL of stock and 1.8 L of water.");
    }
}
