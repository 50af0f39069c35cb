package elsom.web.trial;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.Asked;
import elsom.core.plan.Plan;
import elsom.core.trial.TrialId;
import elsom.web.AppTest;
import elsom.web.GrowthPlan;
import elsom.web.Web;
import elsom.web.exchange.ExchangeFixture;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

/** Lists ask the store for what they show, and stay right as trials change. */
@AppTest
class TrialListsIT {
    @LocalServerPort
    private int port;

    @Autowired
    private Plans plans;

    @Autowired
    private Trials trials;

    @Autowired
    private TrialLists lists;

    @Autowired
    private JdbcTemplate jdbc;

    private TrialId called(String question) {
        Plan plan = GrowthPlan.plan();
        return plans.begin(
                plan.with(
                        new Asked(question, "marigold", List.of(), plan.asked().measures())),
                UUID.randomUUID());
    }

    private List<TrialId> found(String query) {
        return lists.search(Wanted.of(query), 0, 1000).trials().stream()
                .map(Digest::id)
                .toList();
    }

    @Test
    void aTrialIsFoundByItsQuestionATreatmentOrAUnitsCode() {
        TrialId id = called("Does zeolite 100 % help?");
        String code = trials.key(id).units().get(0).code().value();
        assertThat(found("ZEOLITE")).containsExactly(id);
        assertThat(found("100 %")).contains(id);
        assertThat(found("seaweed · wood")).contains(id);
        assertThat(found(code.toLowerCase(java.util.Locale.ROOT))).contains(id);
        assertThat(found(code.substring(0, 2))).doesNotContain(id);
        assertThat(found("nothing is called so")).isEmpty();
        assertThat(found("")).contains(id);
    }

    @Test
    void aChangedQuestionIsFoundUnderItsNewNameOnly() {
        TrialId id = called("Does perlite help?");
        assertThat(found("perlite")).containsExactly(id);
        plans.revise(
                id,
                null,
                plan -> java.util.Optional.of(plan.with(new Asked(
                        "Does pumice help?", "marigold", List.of(), plan.asked().measures()))));
        assertThat(found("perlite")).isEmpty();
        assertThat(found("pumice")).containsExactly(id);
    }

    @Test
    void theListComesInPages() throws Exception {
        List<TrialId> made = new ArrayList<>();
        for (int i = 0; i < 103; i++) {
            made.add(called("Vermiculite trial " + i));
        }
        assertThat(lists.search(Wanted.of("vermiculite"), 0, 50).inAll()).isEqualTo(103);
        assertThat(lists.search(Wanted.of("vermiculite"), 100, 50).trials()).hasSize(3);
        Web web = new Web(port);
        String last = web.get("/trials?q=vermiculite&page=3").body();
        assertThat(last)
                .contains("103 trials for “vermiculite”", "page 3 of 3", "Later starts")
                .doesNotContain("Earlier starts");
        assertThat(web.get("/trials?q=vermiculite&page=-7").statusCode()).isEqualTo(200);
        made.forEach(trials::delete);
    }

    @Test
    void aTrialThatCantBeReadIsSaidSoOnEveryPageThatListsIt() throws Exception {
        TrialId broken = trials.create(ExchangeFixture.fresh(), UUID.randomUUID());
        jdbc.update("update endpoint set decimals = 999999999 where trial_id = ?", broken.value());
        jdbc.update("update trial set plan_revision = 7, revision = revision + 7 where id = ?", broken.value());
        Web web = new Web(port);
        assertThat(web.get("/").body()).contains("can’t be read");
        assertThat(web.get("/trials").body()).contains("/trials/" + broken + "/raw.zip", "decimals of");
        assertThat(web.get("/trials/" + broken).statusCode()).isEqualTo(422);
        assertThat(web.get("/trials/" + broken + "/bench").body()).contains("can&#39;t be read");
        assertThat(web.get("/trials/" + broken + "/raw.zip").statusCode()).isEqualTo(200);
        assertThat(web.get("/trials/" + broken + "/remove").statusCode()).isEqualTo(200);
        trials.delete(broken);
        assertThat(web.get("/trials").body()).doesNotContain("/trials/" + broken + "/raw.zip");
    }

    @Test
    void scatterIsTakenFromMeasuredTrialsOfTheCrop() {
        TrialId draft = called("Not measured");
        TrialId measured = trials.create(elsom.web.load.LargeTrials.measured(12, 3, 1), UUID.randomUUID());
        assertThat(lists.measuredOf("MARIGOLD", 500)).contains(measured).doesNotContain(draft);
        assertThat(lists.measuredOf("lupin", 500)).isEmpty();
        assertThat(lists.day(Instant.now(), 1, 1).due()).hasSizeLessThanOrEqualTo(1);
    }
}
