package elsom.web.next;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.trial.TrialId;
import elsom.web.AppTest;
import elsom.web.Web;
import elsom.web.trial.Plans;
import elsom.web.trial.TrialLists;
import elsom.web.trial.Wanted;
import java.net.http.HttpResponse;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.TestPropertySource;

/** What comes after a trial: its chain, follow-ups, claims, pictures and what is taken along, on the demo's trials. */
@AppTest
@TestPropertySource(properties = "elsom.demo=true")
class NextPagesIT {
    @LocalServerPort
    private int port;

    @Autowired
    private TrialLists lists;

    @Autowired
    private Plans plans;

    private TrialId id(String trial) {
        return lists.search(Wanted.of(trial), 0, 10).trials().stream()
                .map(one -> one.id())
                .min(Comparator.comparing(TrialId::value))
                .orElseThrow();
    }

    private HttpResponse<String> get(String trial, String page) throws Exception {
        return new Web(port).get("/trials/" + id(trial) + page);
    }

    @Test
    void aChainTellsItsStoryAndPutsItsRepeatsTogether() throws Exception {
        String page = get("Roof-tray", "/next").body();
        assertThat(page).contains("The story so far").contains("Another lot: the next delivery of each");
        assertThat(page).contains("Air stone and kelp in an aerated extract").contains("Planned.");
        assertThat(page).contains("over 2 trials").contains("Hartung and Knapp").contains("data-chart=\"contrasts\"");
        String findings = get("Roof-tray", "/findings").body();
        assertThat(findings.indexOf("2 trials of this series together"))
                .as("a series goes before what one of its trials says")
                .isPositive()
                .isLessThan(findings.indexOf("class=\"answers\""));
        List<TrialId> chain = plans.chain(id("Roof-tray"));
        assertThat(chain).hasSize(3).first().isEqualTo(id("Roof-tray"));
        assertThat(plans.chain(chain.get(2))).isEqualTo(chain);
    }

    @Test
    void anUnfairTrialIsFirstDrawnAgain() throws Exception {
        String page = get("old notebook", "/next").body();
        assertThat(page.indexOf("Drawn again, in blocks")).isPositive();
        assertThat(page).contains("An answer that can be relied on, where there is none now.");
    }

    @Test
    void aFollowUpThatNothingAsksForIsRefused() throws Exception {
        HttpResponse<String> answer = new Web(port)
                .post(
                        "/trials/" + id("under foxglove") + "/next",
                        Map.of("kind", "split", "token", UUID.randomUUID().toString()));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("give no reason for that trial any more");
    }

    @Test
    void twoFiguresStandAgainstEachOther() throws Exception {
        assertThat(get("digestate", "/findings/two?x=yield&y=drain-ec").body())
                .contains("Among units of one treatment yield and EC of the drain water")
                .contains("data-chart=\"scatter\"");
        assertThat(get("digestate", "/findings/two?x=nonsense").statusCode()).isEqualTo(200);
    }

    @Test
    void aMapIsColouredByTheFigureThatIsChosen() throws Exception {
        assertThat(get("digestate", "/findings/units?kind=yield-per-area").body())
                .contains("yield per area, kg/m², at harvest")
                .contains("shade-5");
        assertThat(get("digestate", "/findings/units?kind=yield&left=true").body())
                .contains("below shade-");
    }

    @Test
    void aClaimIsHeldAgainstTheTrialsOwnUnits() throws Exception {
        assertThat(get("digestate", "/claim?claim=30+%25+more&kind=yield&treatment=4&comparator=1")
                        .body())
                .contains("supported")
                .contains("+34 %");
        assertThat(get("digestate", "/claim?claim=F+%3E+D+%3E+A&kind=yield").body())
                .contains("not supported")
                .contains("A place has slipped");
        assertThat(get("digestate", "/claim").body()).contains("Type what somebody says");
    }
}
