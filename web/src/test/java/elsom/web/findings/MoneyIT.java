package elsom.web.findings;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.trial.TrialId;
import elsom.web.AppTest;
import elsom.web.Web;
import elsom.web.trial.TrialLists;
import elsom.web.trial.Wanted;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.TestPropertySource;

/** What treatments bring and cost, by prices in the link. */
@AppTest
@TestPropertySource(properties = "elsom.demo=true")
class MoneyIT {
    @LocalServerPort
    private int port;

    @Autowired
    private TrialLists lists;

    private HttpResponse<String> get(String trial, String query) throws Exception {
        TrialId id = lists.search(Wanted.of(trial), 0, 10).trials().get(0).id();
        return new Web(port).get("/trials/" + id + "/money" + query);
    }

    @Test
    void aPriceSaysWhatEachStrengthBringsBesideWhatItCosts() throws Exception {
        assertThat(get("digestate", "").body()).contains("Type a price").contains("Price of a kg");
        String page = get("digestate", "?price=9&cost1=0&cost2=0.02&cost3=0.04&target=10")
                .body();
        assertThat(page).contains("Extra yield").contains("Units for 10 kg").contains("value=\"0.02\"");
        assertThat(page).containsPattern("<b>(pays|does not pay|can&#39;t tell)</b>");
    }

    @Test
    void oneUnitOfEachDecidesNothingAndBadPricesAreToldAtTheirField() throws Exception {
        assertThat(get("old notebook", "?price=4").body()).contains("One unit of each can't carry a decision");
        String bad = get("digestate", "?price=dear&cost1=-3").body();
        assertThat(bad).contains("Accepted: 4.20").contains("Accepted: 0.35").contains("value=\"dear\"");
    }

    @Test
    void aTrialWithoutAYieldHasNoSuchPage() throws Exception {
        assertThat(get("composted bracken", "?price=4").statusCode()).isEqualTo(404);
    }
}
