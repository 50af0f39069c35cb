package elsom.web.trial;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.Asked;
import elsom.core.plan.Plan;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.AppTest;
import elsom.web.GrowthPlan;
import elsom.web.Web;
import elsom.web.load.LargeTrials;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

/** The page of trials: what there is to do first, narrowed by how they stand, kind and year, each with its answer. */
@AppTest
class TrialsPageIT {
    @LocalServerPort
    private int port;

    @Autowired
    private Plans plans;

    @Autowired
    private Trials trials;

    @Autowired
    private TrialLists lists;

    @Autowired
    private Answers answers;

    @Autowired
    private JdbcTemplate jdbc;

    private Web web = new Web(0);

    @BeforeEach
    void aBrowser() {
        web = new Web(port);
    }

    /** The answer of a trial once it is worked out: a page does not wait for long. */
    private AnswerLines.Line answered(TrialId id) {
        for (int times = 0; times < 200; times++) {
            AnswerLines.Line line =
                    answers.of(lists.search(Wanted.ALL, 0, 1000).trials()).get(id);
            if (line != null) {
                return line;
            }
        }
        throw new AssertionError("no answer of trial " + id);
    }

    private String narrowed(String by) throws Exception {
        return web.get("/trials?" + by).body();
    }

    @Test
    void anAnswerIsShownInALineFoundByItsWordsAndGoesWithItsTrial() throws Exception {
        TrialId measured = trials.create(LargeTrials.measured(12, 3, 1), UUID.randomUUID());
        AnswerLines.Line line = answered(measured);
        assertThat(line.words()).isNotBlank();
        assertThat(line.firmness()).isNotBlank();
        String question = trials.snapshot(measured).trial().question();
        assertThat(narrowed("q=" + URLEncoder.encode(question, StandardCharsets.UTF_8)))
                .contains("answer-line", "small-bar", "class=\"chip");
        String part = line.words().substring(0, Math.min(25, line.words().length()));
        assertThat(lists.search(Wanted.of(part), 0, 1000).trials())
                .extracting(Digest::id)
                .contains(measured);
        jdbc.update(
                "update answer_line set basis = 'older', words = 'what it said before' where trial_id = ?",
                measured.value());
        assertThat(answered(measured)).as("what is stale is worked out anew").isEqualTo(line);
        trials.delete(measured);
        assertThat(jdbc.queryForObject(
                        "select count(*) from answer_line where trial_id = ?", Integer.class, measured.value()))
                .isZero();
    }

    @Test
    void aPlanHasNoAnswerAndAStartedTrialWithoutReadingsHasNone() {
        TrialId plan = plans.begin(GrowthPlan.plan(), UUID.randomUUID());
        assertThat(answers.of(lists.search(Wanted.ALL, 0, 1000).trials())).doesNotContainKey(plan);
        plans.startNow(plan);
        assertThat(answers.of(lists.search(Wanted.ALL, 0, 1000).trials())).doesNotContainKey(plan);
        trials.delete(plan);
    }

    /** Of a blind trial no list tells what is in it, nor what it found. */
    @Test
    void aBlindTrialThatRunsTellsNeitherItsTreatmentsNorAnAnswer() {
        TrialId blind = plans.begin(GrowthPlan.blind(), UUID.randomUUID());
        String name = trials.snapshot(blind).treatments().get(0).name();
        plans.startNow(blind);
        Digest listed = lists.search(Wanted.ALL, 0, 1000).trials().stream()
                .filter(digest -> digest.id().equals(blind))
                .findFirst()
                .orElseThrow();
        assertThat(listed.treatments()).isEmpty();
        assertThat(listed.materials()).doesNotContain(name);
        assertThat(answers.of(List.of(listed))).isEmpty();
        trials.delete(blind);
    }

    /** Other tests' trials may fill pages of the same store: it is looked for by words that no other has. */
    @Test
    void itIsNarrowedByHowTrialsStandTheirKindAndYear() throws Exception {
        Plan plain = GrowthPlan.plan();
        TrialId plan = plans.begin(
                plain.with(new Asked(
                        "Does zirconite help?",
                        "marigold",
                        List.of(),
                        plain.asked().measures())),
                UUID.randomUUID());
        TrialRecord record = trials.snapshot(plan);
        String href = "href=\"/trials/" + plan + "\"";
        int year = record.trial().start().atZone(record.trial().zone()).getYear();
        String named = "q=zirconite&";
        assertThat(narrowed(named + "state=PLANNED")).contains(href, "1 trial for “zirconite”");
        assertThat(narrowed(named + "state=RUNNING")).doesNotContain(href);
        assertThat(narrowed(named + "kind=" + record.trial().protocol())).contains(href);
        assertThat(narrowed(named + "kind=water-holding")).doesNotContain(href);
        assertThat(narrowed(named + "year=" + year)).contains(href, "show all");
        assertThat(narrowed(named + "year=1999")).doesNotContain(href).contains("Nothing matches");
        assertThat(narrowed("state=ELSEWHERE&kind=%3Cb%3E&q=%25_")).doesNotContain("<b>");
        plans.startNow(plan);
        assertThat(narrowed(named + "state=RUNNING") + narrowed(named + "state=DUE"))
                .contains(href);
        assertThat(narrowed(named + "state=PLANNED")).doesNotContain(href);
        trials.delete(plan);
    }
}
