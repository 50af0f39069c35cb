package elsom.web.sums;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.sums.Sum;
import elsom.core.sums.Sums;
import elsom.web.AppTest;
import elsom.web.Web;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Each sum has a sheet whose address holds what was typed, and keeps what can't be with a message beside it. */
@AppTest
class SumsPagesIT {
    @LocalServerPort
    private int port;

    private HttpResponse<String> get(String path) throws Exception {
        return new Web(port).get(path);
    }

    @Test
    void everySumHasItsSheetAndIsInTheList() throws Exception {
        String list = get("/sums").body();
        for (Sum sum : Sums.all()) {
            assertThat(list).contains("href=\"/sums/" + sum.code() + "\"");
            HttpResponse<String> sheet = get("/sums/" + sum.code());
            assertThat(sheet.statusCode()).as(sum.code()).isEqualTo(200);
            assertThat(sheet.body()).contains("class=\"result worded\"").contains("Working");
        }
        assertThat(get("/sums/horoscope").statusCode()).isEqualTo(404);
    }

    @Test
    void theAddressHoldsWhatWasTyped() throws Exception {
        String page = get("/sums/dilution?stock=6&wanted=0.5&volume=1+US+gal").body();
        assertThat(page)
                .contains("10.7 US fl oz (315.5 mL) of stock and 0.917 US gal (3.47 L) of water.")
                .contains("value=\"1 US gal\"");
    }

    @Test
    void whatCantBeStaysAndIsSaidBesideItsBlank() throws Exception {
        String page = get("/sums/dilution?stock=6&wanted=12&volume=1+L").body();
        assertThat(page)
                .contains("id=\"wanted-problem\"")
                .contains("stronger than the stock")
                .contains("value=\"12\"")
                .doesNotContain("class=\"result worded\"");
    }

    @Test
    void whatIsTypedIsText() throws Exception {
        String evil = URLEncoder.encode("<script>alert(1)</script>", StandardCharsets.UTF_8);
        assertThat(get("/sums/ratio?ratio=" + evil).body())
                .doesNotContain("<script>alert")
                .contains("&lt;script&gt;");
    }

    @Test
    void thePotsAreDrawnForAnySlider() throws Exception {
        for (String query : new String[] {
            "depth=4&texture=0&gravel=8", "depth=30&texture=100&gravel=0", "depth=NaN&texture=-9&gravel=1e9"
        }) {
            assertThat(get("/column/pots?" + query).statusCode()).as(query).isEqualTo(200);
            assertThat(get("/column?" + query).statusCode()).as(query).isEqualTo(200);
        }
        assertThat(get("/column?depth=deep").statusCode()).isEqualTo(400);
    }
}
