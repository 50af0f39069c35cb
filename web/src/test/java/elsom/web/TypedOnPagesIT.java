package elsom.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.TestPropertySource;

/** Each thing that people type, once through the page that asks for it: what it is taken for, or what is asked. */
@AppTest
@TestPropertySource(properties = "elsom.demo=true")
class TypedOnPagesIT {
    @LocalServerPort
    private int port;

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    /** Quotes and primes as a page writes them. */
    private static String plain(String body) {
        return body.replace("&#39;", "'")
                .replace("&quot;", "\"")
                .replace("&lt;", "<")
                .replace("&gt;", ">");
    }

    @ParameterizedTest(name = "{1}: {2}")
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "2|wet-mass|9 1/2 oz|true|269.32 g",
                "2|wet-mass|412,5|true|412.5 g",
                "2|wet-mass|0.4123 kg|true|412.3 g",
                "13|ec-out|1800 µS/cm|true|1.8 mS/cm",
                "13|ec-out|900 ppm|false|by 500 it is 1.8 mS/cm",
                "13|ec-out|<0.1|true|below 0.1 mS/cm, counts as half of it",
                "8|ph|6,4 at 18 °C|true|6.4 pH",
                "8|ph|<4|false|says only where",
                "4|injury|3 cupped, twisted|true|3 points, cupped leaf, twisted stem or petiole",
                "4|injury|2-3|false|Two numbers",
                "9|emerged|2 of 3|true|2",
                "9|emerged|5 of 3|false|3",
                "10|warmth|68 °F|true|20 °C",
                "4|height|4 in|true|10.16 cm",
                "4|height|-2|false|can't be −2 cm",
                "4|height|?|false|Accepted"
            })
    void atTheBench(int trial, String endpoint, String text, boolean good, String says) throws Exception {
        String body = new Web(port)
                .get("/trials/" + trial + "/bench/understood?endpoint=" + endpoint + "&text=" + encoded(text))
                .body();
        assertThat(body).contains("\"good\":" + good).contains(says);
    }

    @ParameterizedTest(name = "{0} {1}={2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "dilution|volume|9 1/2 L|9.5 L",
                "dilution|volume|1/2 gal|imp gal",
                "dilution|volume|1 to 2 L|Accepted",
                "dilution|wanted|5 mL/L|Which is wanted?",
                "tank|rate|2 tsp/US gal|tsp",
                "tank|rate|4:1|Accepted",
                "label_basis|rate|1 oz/sq yd|33.91 g",
                "label_basis|rate|2 L/m2|L",
                "water_loss|time|1.5 days|27 mL a day",
                "water_loss|before|1 lb|453.6 − 371.8",
                "water_loss|before|four hundred|400 − 371.8"
            })
    void inASum(String sum, String blank, String text, String says) throws Exception {
        assertThat(plain(new Web(port)
                        .get("/sums/" + sum + "?" + blank + "=" + encoded(text))
                        .body()))
                .contains(says);
    }

    private String previewed(Map<String, String> fields) throws Exception {
        Map<String, String> sent = new HashMap<>(Map.of("container", "Round pot 9 cm", "settling", "0", "spare", "10"));
        sent.putAll(fields);
        return plain(
                new Web(port).post("/trials/4/plan/treatments/preview", sent).body());
    }

    @ParameterizedTest(name = "{0}, label {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "0, 500 mg/L, 1 g/L, 2 g/L||0.5 g/L",
                "0, 1 in 5, 10 mL/L||10 mL/L",
                "0, 5:1||which",
                "0, 2, 4 mL/L|2-3 mL/L|4 mL/L",
                "0, 2, 4 mL/L|2 tsp/gal|imp gal",
                "0, 2, 4 mL/L|500 mg/L|what is the rate in mL/L?"
            })
    void inThePlan(String levels, String label, String says) throws Exception {
        assertThat(previewed(Map.of(
                        "as",
                        "grid",
                        "factors[0].name",
                        "Feed",
                        "factors[0].kind",
                        "DOSE",
                        "factors[0].levels",
                        levels,
                        "factors[0].label",
                        label == null ? "" : label)))
                .contains(says);
    }

    @Test
    void aMixThatDoesNotComeToAHundredIsAskedAbout() throws Exception {
        assertThat(previewed(Map.of(
                        "as",
                        "list",
                        "list[0].name",
                        "A",
                        "list[0].mix",
                        "60 % bark + 30 % grit",
                        "list[1].name",
                        "B")))
                .contains("90 %");
    }

    @Test
    void aDayThatMayBeTwoIsAskedAbout() throws Exception {
        assertThat(plain(new Web(port)
                        .post(
                                "/trials/notebook",
                                Map.of(
                                        "question",
                                        "Which?",
                                        "measured[0].name",
                                        "Weight",
                                        "measured[0].unit",
                                        "g",
                                        "lines",
                                        "one; 12; 3/4/2026",
                                        "token",
                                        "00000000-0000-0000-0000-000000000001"))
                        .body()))
                .contains("two ways");
    }
}
