package elsom.web.findings;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.diagnosis.Cause;
import elsom.core.material.Lot;
import elsom.core.material.LotFigure;
import elsom.core.material.Origin;
import elsom.core.mix.Property;
import elsom.core.mix.Quarantine;
import elsom.core.protocol.seedling.BioassayResult;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.AppTest;
import elsom.web.Web;
import elsom.web.lots.Lots;
import elsom.web.trial.Quarantines;
import elsom.web.trial.Trials;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.TestPropertySource;

/** What the demo's bioassay found, what is done about its lot, and that a zip carries all of it. */
@AppTest
@TestPropertySource(properties = "elsom.demo=true")
class LotPagesIT {
    private static final int MOST_TRIALS = 30;

    @LocalServerPort
    private int port;

    @Autowired
    private Trials trials;

    @Autowired
    private WorkedOut workedOut;

    @Autowired
    private Quarantines quarantines;

    @Autowired
    private LikelihoodTable table;

    @Autowired
    private Lots lots;

    private TrialRecord asking(String question) throws Exception {
        for (int id = 1; id <= MOST_TRIALS; id++) {
            if (new Web(port).get("/trials/" + id).statusCode() == 200) {
                TrialRecord record = trials.snapshot(new TrialId(id));
                if (record.trial().question().startsWith(question)) {
                    return record;
                }
            }
        }
        throw new AssertionError("the demo has no trial “" + question + "”");
    }

    private List<BioassayResult> lots(TrialRecord record) {
        return workedOut.of(record, OptionalInt.empty()).sections(BioassayResult.class).stream()
                .toList();
    }

    @Test
    void theDemosFindingIsWhatItsScenarioSays() throws Exception {
        TrialRecord residue = asking("Does GW-32 carry weedkiller?");
        List<BioassayResult> lots = lots(residue);
        assertThat(lots).extracting(BioassayResult::lot).containsExactly("GW-32", "GW-31");
        assertThat(lots.get(0).contaminant().orElseThrow().label()).isEqualTo("auxin-type weedkiller residue");
        assertThat(lots.get(1).injurious()).isFalse();
        assertThat(lots(asking("Does charcoal take the harm")))
                .singleElement()
                .satisfies(
                        lot -> assertThat(lot.diagnosis().orElseThrow().first().reasons())
                                .anyMatch(reason -> reason.seen().words().equals("harm falls with charcoal")));
        String page = new Web(port)
                .get("/trials/" + residue.trial().id() + "/findings")
                .body();
        assertThat(page)
                .contains("in quarantine since")
                .contains("two barrows into the herb beds")
                .contains("Asked further");
    }

    @Test
    void aPlanThatUsesTheLotSaysSoUntilItIsLetGo() throws Exception {
        quarantines.keepApart(
                new Quarantine("bracken from heap 4", "smells", Instant.now(), "Bench A", "", 0, null, ""));
        assertThat(quarantines.of("Bracken from heap 4")).isPresent();
        quarantines.lift("bracken from heap 4", "aired for three weeks, peas grow in it");
        assertThat(quarantines.of("bracken from heap 4")).isEmpty();
        TrialRecord charcoal = asking("Does charcoal take the harm");
        assertThat(new Web(port)
                        .get("/trials/" + charcoal.trial().id() + "/plan/treatments")
                        .body())
                .contains("GW-32 is in quarantine");
        assertThat(new Web(port).get("/shelf/containers").body())
                .contains("GW-32")
                .contains("aired for three weeks");
    }

    /** Every page of a trial that holds the lot names it, and pages of none name it too; a blind trial stays blind. */
    @Test
    void whereverTheLotIsUsedItsQuarantineIsNamed() throws Exception {
        Web web = new Web(port);
        long charcoal = asking("Does charcoal take the harm").trial().id().value();
        for (String page : List.of("/plan", "/plan/labels", "/bench", "/findings", "/report", "/files")) {
            assertThat(web.get("/trials/" + charcoal + page).body())
                    .as(page)
                    .contains("GW-32 is in quarantine.", "Use it only to find out what is wrong with it.");
        }
        assertThat(web.get("/").body()).contains("GW-32 is in quarantine.");
        assertThat(web.get("/shelf").body()).contains("GW-32 is in quarantine.");
        long rosemary = asking("Seaweed dip").trial().id().value();
        assertThat(web.get("/trials/" + rosemary + "/bench").body()).doesNotContain("in quarantine");
    }

    /** A mix of the lot carries it: on the shelf, in the designer's batch sheet, in a mix of that mix, and for scripts. */
    @Test
    void aMixOfTheLotIsMarkedWhereItIsMixedAndForScripts() throws Exception {
        Web web = new Web(port);
        lots.add(Lot.mixed("Bed mix", "80 % leaf mould + 20 % GW-32", LocalDate.of(2026, 11, 20)));
        try {
            assertThat(web.get("/shelf/lot?name=Bed%20mix").body()).contains("It holds GW-32, which is in quarantine.");
            assertThat(web.get("/shelf?kind=ALL&q=Bed%20mix").body()).contains("tone worse\">quarantine");
            String batch =
                    web.get("/mix/design?recipe=1%20GW-32%20%2B%203%20grit").body();
            assertThat(batch).contains("GW-32 is in quarantine: do not mix this batch.", "tone worse\">quarantine");
            assertThat(web.get("/mix/design?recipe=1%20Bed%20mix%20%2B%203%20grit")
                            .body())
                    .contains("quarantine: GW-32");
            assertThat(web.get("/shelf/quarantine.json").body()).contains("\"lot\" : \"GW-32\"");
            assertThat(web.get("/trials/"
                                    + asking("Does charcoal take the harm")
                                            .trial()
                                            .id() + "/findings.json")
                            .body())
                    .containsPattern("\"quarantine\" : \\[ \\{\\s+\"lot\" : \"GW-32\"");
        } finally {
            lots.remove("Bed mix");
        }
    }

    /** Water, air and weight as a trial measured them become figures of the lots, once. */
    @Test
    void findingsOfAMediumAreKeptOnTheShelf() throws Exception {
        Web web = new Web(port);
        TrialRecord plugs = asking("Which plug medium carries a weekend");
        String path = "/trials/" + plugs.trial().id() + "/findings";
        assertThat(web.get(path).body()).contains("Keep them on the shelf", "sheep-wool compost");
        int before = lots.find("sheep-wool compost").orElseThrow().figures().size();
        assertThat(web.post(path + "/shelf", Map.of()).statusCode()).isEqualTo(302);
        Lot wool = lots.find("sheep-wool compost").orElseThrow();
        assertThat(wool.figures()).hasSize(before + 3);
        LotFigure water = wool.best(Property.WATER).orElseThrow();
        assertThat(water.origin()).isEqualTo(Origin.MEASURED);
        assertThat(water.trial()).isEqualTo(plugs.trial().id().value());
        assertThat(water.depthCm()).isEqualTo(8.5);
        web.post(path + "/shelf", Map.of());
        assertThat(lots.find("sheep-wool compost").orElseThrow().figures()).hasSize(before + 3);
        assertThat(web.get("/shelf/lot?name=sheep-wool%20compost").body())
                .contains("href=\"" + path + "\"", "in 8.5 cm");
    }

    /** The shelf of the demo: one mix measured, one only predicted, one lot apart, figures of every origin. */
    @Test
    void theDemosShelfIsWhatItsScenarioSays() throws Exception {
        Web web = new Web(port);
        assertThat(lots.all()).hasSizeGreaterThanOrEqualTo(18);
        assertThat(lots.find("Plug mix 1").orElseThrow().value(Property.WATER)).isPresent();
        assertThat(lots.find("Roof mix 2").orElseThrow().figures()).isEmpty();
        String mix = web.get("/shelf/lot?name=Plug%20mix%201").body();
        assertThat(mix).contains("Missed by", "measured", "What it is fit for");
        assertThat(web.get("/shelf/lot?name=GW-32").body()).contains("In quarantine.");
        assertThat(lots.all().stream().flatMap(lot -> lot.figures().stream()).map(LotFigure::origin))
                .contains(Origin.MEASURED, Origin.LAB, Origin.LABEL, Origin.TYPICAL);
        assertThat(web.get("/column?lot=wood%20fibre").body())
                .contains("typical, made to hold what was told at one depth", "tapered");
        assertThat(web.get("/mix/design?use=cuttings&cheapest=true").body()).doesNotContain("GW-32 is");
    }

    @Test
    void theZipCarriesSymptomsAndQuarantine() throws Exception {
        TrialRecord residue = asking("Does charcoal take the harm");
        Web web = new Web(port);
        byte[] zip = web.download("/trials/" + residue.trial().id() + "/trial.zip");
        String raw = new String(zip, StandardCharsets.ISO_8859_1);
        assertThat(raw).contains("quarantine.csv");
        HttpResponse<String> readIn = web.upload(
                "/trials/import",
                "trial.zip",
                zip,
                Map.of("token", UUID.randomUUID().toString()));
        TrialId again = new TrialId(Long.parseLong(
                readIn.headers().firstValue("location").orElseThrow().replaceAll(".*/trials/", "")));
        TrialRecord copy = trials.snapshot(again);
        assertThat(copy.readings())
                .extracting(reading -> reading.typedText())
                .containsExactlyElementsOf(residue.readings().stream()
                        .map(reading -> reading.typedText())
                        .toList());
        assertThat(copy.readings())
                .filteredOn(reading -> reading.ref().endpoint().equals(EndpointCode.INJURY))
                .extracting(reading -> reading.typedText())
                .anyMatch(text -> text.contains("cupped"));
        assertThat(quarantines.all())
                .filteredOn(one -> one.lot().equals("GW-32"))
                .hasSize(1);
        assertThat(lots(copy).get(0).species().get(0).line().effect().tested())
                .isEqualTo(lots(residue).get(0).species().get(0).line().effect().tested());
    }

    private static HttpResponse<String> upload(Web web, String csv) throws Exception {
        return web.upload("/likelihoods", "mine.csv", csv.getBytes(StandardCharsets.UTF_8), Map.of());
    }

    @Test
    void aTrialSaysWhatAskedOnAboutItsLotSoThatNoTestIsOfferedTwice() throws Exception {
        TrialRecord residue = asking("Does GW-32 carry weedkiller?");
        TrialRecord pair = asking("Does charcoal take the harm out of GW-32?");
        String page = new Web(port)
                .get("/trials/" + residue.trial().id().value() + "/findings")
                .body();
        assertThat(page)
                .contains(
                        "Asked further",
                        "/trials/" + pair.trial().id().value() + "/findings",
                        "Taken in from a later trial of it: harm falls with charcoal.");
        assertThat(page).doesNotContain("Plan this test");
    }

    @Test
    void anotherTableIsUsedAtOnceAndABrokenOneIsRefusedWhole() throws Exception {
        TrialRecord residue = asking("Does GW-32 carry weedkiller?");
        String head = table.current().csv().lines().findFirst().orElseThrow();
        String telling = "injured,legume" + ",0.5".repeat(Cause.values().length) + ",my own\n";
        Web web = new Web(port);
        try {
            HttpResponse<String> broken =
                    upload(web, head + "\ncurly,legume" + ",0.5".repeat(Cause.values().length) + ",x\n");
            assertThat(broken.statusCode()).isEqualTo(422);
            assertThat(broken.body()).contains("row 2: “curly” is no sign known here");
            assertThat(table.own()).isFalse();
            upload(web, head + "\n" + telling);
            assertThat(table.own()).isTrue();
            assertThat(lots(residue).get(0).contaminant()).isEmpty();
        } finally {
            table.restore();
        }
        assertThat(lots(residue).get(0).contaminant()).isPresent();
        assertThat(web.get("/likelihoods").body()).contains("cupped leaf").contains("0.95");
    }
}
