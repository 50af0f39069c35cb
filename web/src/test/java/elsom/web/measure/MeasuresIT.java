package elsom.web.measure;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.web.AppTest;
import elsom.web.Web;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** A scoop and a gallon are told once, and read from then on. */
@AppTest
class MeasuresIT {
    @LocalServerPort
    private int port;

    @Autowired
    private Measures measures;

    @AfterEach
    void forget() {
        measures.all().forEach(one -> measures.remove(one.word()));
        measures.say(Optional.empty());
    }

    @Test
    void whatAScoopHoldsAndWhoseGallonsAreMeantIsKept() throws Exception {
        Web web = new Web(port);
        assertThat(web.post("/measures", Map.of("word", "scoop", "size", "40", "of", "biochar"))
                        .body())
                .contains("needs its unit", "value=\"40\"");
        assertThat(web.post("/measures", Map.of("word", "scoop", "size", "40 mL", "of", ""))
                        .statusCode())
                .isEqualTo(302);
        assertThat(web.get("/measures").body()).contains("1 scoop = 40 mL");
        assertThat(web.get("/sums/dilution?volume=3+scoops").body()).contains("By your", "1 scoop = 40 mL");
        assertThat(web.get("/sums/dilution?volume=2+gal").body()).contains("imp gal");
        web.post("/measures/gallons", Map.of("whose", "US"));
        assertThat(web.get("/sums/dilution?volume=2+gal").body()).doesNotContain("imp gal");
        web.post("/measures/remove", Map.of("word", "scoop"));
        assertThat(web.get("/sums/dilution?volume=3+scoops").body()).doesNotContain("By your");
    }

    @Test
    void moneyIsSaidOnceAndStandsWherePricesDo() throws Exception {
        Web web = new Web(port);
        web.post("/shelf/typical", Map.of());
        assertThat(web.get("/shelf").body()).contains("a litre").doesNotContain("CHF");
        assertThat(web.post("/measures/currency", Map.of("sign", "5 euros")).body())
                .contains("Accepted: €, or CHF");
        assertThat(web.post("/measures/currency", Map.of("sign", "CHF")).statusCode())
                .isEqualTo(302);
        assertThat(web.get("/measures").body()).contains("value=\"CHF\"");
        assertThat(web.get("/shelf").body()).contains("CHF, a litre");
        assertThat(web.post("/measures/currency", Map.of("sign", "")).statusCode())
                .isEqualTo(302);
        assertThat(web.get("/shelf").body()).doesNotContain("CHF");
    }
}
