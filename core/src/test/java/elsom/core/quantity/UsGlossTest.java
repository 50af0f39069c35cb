package elsom.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class UsGlossTest {
    /** NIST Handbook 44: 29.5735 mL a fluid ounce, 28.3495 g an ounce, 2.54 cm an inch. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "380 mL|380 mL (1.61 cup)",
                "20 mL|20 mL (0.676 fl oz)",
                "50 L|50 L (13.2 US gal)",
                "1290 g of it.|1290 g (2.84 lb) of it.",
                "6 cm deep|6 cm (2.36 in) deep",
                "12.1 to 15.3 g|12.1 to 15.3 g (0.427 to 0.54 oz)",
                "−4.0 g|−4.0 g (−0.141 oz)",
                "from 20 °C on|from 20 °C (68 °F) on",
                "190 × 50 cm|190 × 50 cm (74.8 × 19.7 in)"
            })
    void theUsMeasureStandsBesideTheMetricOne(String metric, String both) {
        assertThat(UsGloss.of(metric)).isEqualTo(both);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "0.4 mS/cm",
                "4 g/L",
                "R87",
                "48 h",
                "GW-32",
                "12 %",
                "3 cm²",
                "2 grams",
                "1.5 mL/L",
                "5 points",
                "10 L (2.64 US gal)"
            })
    void ratesNamesAndWhatIsGlossedAlreadyStay(String text) {
        assertThat(UsGloss.of(text)).isEqualTo(text);
    }

    /** The metric amount can always be read back. */
    @Test
    void takingTheGlossAwayGivesTheTextBack() {
        String text = "Held 412.3 g in 6 cm; 1.2 to 3.4 L at 20 °C.";
        assertThat(UsGloss.of(text).replaceAll(" \\([^)]*\\)", "")).isEqualTo(text);
    }
}
