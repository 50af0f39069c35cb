package elsom.web.bench;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.Plan;
import elsom.core.plan.Pots;
import elsom.core.protocol.seedling.ABioassay;
import elsom.core.trial.MishapKind;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.AppTest;
import elsom.web.Web;
import elsom.web.trial.Logbook;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.net.http.HttpResponse;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Scores with symptoms, as the bench sends them: kept as typed, or refused with what would be accepted. */
@AppTest
class SymptomEntryIT {
    @LocalServerPort
    private int port;

    @Autowired
    private Plans plans;

    @Autowired
    private Trials trials;

    @Autowired
    private Logbook logbook;

    private TrialId id = new TrialId(0);

    @BeforeEach
    void sow() {
        id = begun(ABioassay.of(ABioassay.SEEDLINGS, ABioassay.LOT).plan());
    }

    private TrialId begun(Plan plan) {
        TrialId trial = plans.begin(plan, UUID.randomUUID());
        plans.start(trial);
        return trial;
    }

    private UnitCode unit() {
        TrialRecord record = trials.snapshot(id);
        return record.units().get(0).code();
    }

    private HttpResponse<String> enter(int look, String text) throws Exception {
        return new Web(port)
                .post(
                        "/trials/" + id + "/bench/readings",
                        Map.of(
                                "unit", unit().value(),
                                "look", String.valueOf(look),
                                "endpoint", "injury",
                                "sub", "1",
                                "text", text,
                                "timing", "AS_PLANNED",
                                "instrument", "HAND",
                                "ageMs", "0",
                                "token", UUID.randomUUID().toString()));
    }

    @Test
    void symptomsAreKeptAsTyped() throws Exception {
        assertThat(enter(1, "7 cupped, twisted").body())
                .contains("\"status\":\"SAVED\"")
                .contains("cupped leaf");
        assertThat(trials.snapshot(id).readings()).singleElement().satisfies(reading -> {
            assertThat(reading.typedText()).isEqualTo("7 cupped, twisted");
            assertThat(reading.value()).isEqualTo(7);
        });
    }

    @Test
    void theLongestListOfSymptomsFits() throws Exception {
        String all =
                "9 cupped, strap, yellow, veins, bleached, burnt, purple, twisted, swollen, leggy, stunted, wilted";
        assertThat(all.length()).isLessThanOrEqualTo(120);
        assertThat(enter(1, all).body()).contains("SAVED");
    }

    @Test
    void aDeadPlantShowsNothing() throws Exception {
        logbook.note(id, MishapKind.LOST, "slug", List.of(unit()), 1, Instant.now(), "Bench A", UUID.randomUUID());
        HttpResponse<String> refused = enter(2, "6 cupped");
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("lost or dead at day 7").contains("Accepted: 10");
        assertThat(trials.snapshot(id).readings()).isEmpty();
        assertThat(enter(2, "10 collapsed").statusCode()).isEqualTo(200);
    }

    @Test
    void whereNothingIsSownThereIsNoSymptom() throws Exception {
        Plan plan = ABioassay.of(ABioassay.LOT).plan();
        Pots bare = new Pots(plan.pots().container(), 0, 0, 0, 0, 0.15, 0.1, 0);
        id = begun(plan.with(plan.treatments(), bare));
        assertThat(enter(1, "6 cupped").body()).contains("Nothing is sown");
        assertThat(enter(1, "6").statusCode()).isEqualTo(200);
    }

    @Test
    void elevenAndUnknownWordsAreRefusedWithWhatCanBe() throws Exception {
        assertThat(enter(1, "11").body()).contains("can't be 11").contains("0 to 10");
        assertThat(enter(1, "7 curly").body())
                .contains("“curly” is no symptom known here")
                .contains("7 cupped, twisted");
        assertThat(trials.snapshot(id).readings()).isEmpty();
    }

    /** Everything a lot's page may send is a line; a name that is none is refused. */
    @Test
    void aQuarantineNeedsALot() throws Exception {
        Web web = new Web(port);
        assertThat(web.post("/shelf/quarantine", Map.of("lot", " ")).body()).contains("Which lot?");
        assertThat(web.post("/shelf/quarantine", Map.of("lot", "x".repeat(61))).statusCode())
                .isGreaterThanOrEqualTo(400);
        assertThat(web.post("/shelf/quarantine/lift", Map.of("lot", "GW-99", "why", ""))
                        .body())
                .contains("Say why");
        assertThat(web.post("/shelf/quarantine/lift", Map.of("lot", "GW-99", "why", "clean"))
                        .statusCode())
                .isEqualTo(404);
        assertThat(web.forge("/shelf/quarantine", Map.of("lot", "GW-98")).statusCode())
                .isEqualTo(403);
    }
}
