package elsom.web.platform;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.material.Lot;
import elsom.core.material.LotFigure;
import elsom.core.material.MaterialKind;
import elsom.core.material.Origin;
import elsom.core.mix.Property;
import elsom.web.AppTest;
import elsom.web.Web;
import elsom.web.lots.Lots;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** US measures stand beside metric ones where a device asks for them, and nowhere else. */
@AppTest
class UnitsIT {
    @LocalServerPort
    private int port;

    @Autowired
    private Lots lots;

    private String get(String path, String cookie) throws Exception {
        HttpRequest request = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                .header("Cookie", cookie)
                .build();
        return HttpClient.newHttpClient().send(request, BodyHandlers.ofString()).body();
    }

    @Test
    void aDeviceThatAsksSeesBothAndAnotherOne() throws Exception {
        lots.learn(List.of(Lot.named("units lot", "units lot", MaterialKind.ORGANIC)
                .with(List.of(new LotFigure(Property.WATER, 50, Origin.LAB, "", LocalDate.of(2026, 5, 4), 10, 0)))));
        assertThat(get("/shelf/lot?name=units%20lot", "units=us")).contains("in 10 cm (3.94 in)");
        assertThat(get("/shelf/lot?name=units%20lot", "units=metric"))
                .contains("in 10 cm")
                .doesNotContain("3.94 in");
        assertThat(get("/sums/pot_cost", "units=us")).contains("value=\"60 L\"").contains("447.1 mL (1.89 cup)");
    }

    @Test
    void whatScriptsShowHasBothAndDrawingsGetTheirScale() throws Exception {
        String pots = "/column/pots?depth=12&gravel=0";
        assertThat(get(pots, "units=us")).contains(" mL (").contains(" cm (");
        assertThat(get(pots, "units=metric")).doesNotContain("(");
        assertThat(get("/column", "units=us")).contains("2.54 cm are 1 in");
        assertThat(get("/column", "units=metric")).doesNotContain("are 1 in");
    }

    @Test
    void theSwitchKeepsItOnTheDeviceAndComesBack() throws Exception {
        HttpResponse<String> answer = new Web(port).post("/units", Map.of("us", "true", "back", "/sums"));
        assertThat(answer.statusCode()).isEqualTo(303);
        assertThat(answer.headers().firstValue("Set-Cookie").orElse("")).startsWith("units=us");
        assertThat(answer.headers().firstValue("Location")).hasValue("/sums");
        assertThat(new Web(port)
                        .post("/units", Map.of("us", "true", "back", "//elsewhere"))
                        .headers()
                        .firstValue("Location"))
                .hasValue("/");
    }
}
