package elsom.web.shelf;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.material.AShelf;
import elsom.core.material.LabSheet;
import elsom.core.material.Lot;
import elsom.core.material.MaterialKind;
import elsom.core.mix.Property;
import elsom.web.AppTest;
import elsom.web.Web;
import elsom.web.lots.Lots;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** The shelf's pages and files: what can't be is told where it was typed, and files are taken whole or not at all. */
@AppTest
class ShelfPagesIT {
    private static final LocalDate MAY = LocalDate.of(2026, 5, 4);
    private static final String HEAD = String.join(",", LabSheet.COLUMNS) + "\n";

    @LocalServerPort
    private int port;

    @Autowired
    private Lots lots;

    private Web web;

    @BeforeEach
    void open() {
        web = new Web(port);
    }

    @Test
    void aLotIsPutOnTheShelfAndWhatCantBeIsToldAtItsField() throws Exception {
        Map<String, String> bad =
                Map.of("name", "", "kind", "COMPOST", "received", "one morning", "source", "<b>heap</b>", "recipe", "");
        HttpResponse<String> refused = web.post("/shelf/lot", bad);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body())
                .contains("A lot has a name", "Type it as 26 Nov 2026", "value=\"one morning\"")
                .contains("&lt;b&gt;heap&lt;/b&gt;");
        assertThat(web.post("/shelf/lot", Map.of("name", "Mix A", "kind", "MIX", "recipe", "2:1 leaf mould"))
                        .body())
                .contains("stands on each side");
        assertThat(web.post("/shelf/lot", Map.of("name", "GW-40", "kind", "COMPOST", "prepared", "SIEVED"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(web.post("/shelf/lot", Map.of("name", "gw-40", "kind", "COMPOST"))
                        .body())
                .contains("on the shelf already");
        assertThat(web.get("/shelf/lot?name=GW-40").body()).contains("Nothing yet", "checked=\"checked\"");
        assertThat(web.get("/shelf/lot?name=nothing").statusCode()).isEqualTo(404);
        assertThat(web.forge("/shelf/lot", Map.of("name", "forged", "kind", "COMPOST"))
                        .statusCode())
                .isEqualTo(403);
    }

    @Test
    void aFigureIsKeptWithWhereItComesFromAndCanBeTakenAway() throws Exception {
        lots.learn(List.of(Lot.named("LM figures", "leaf mould", MaterialKind.ORGANIC)));
        String name = "LM figures";
        assertThat(web.post("/shelf/figure", Map.of("name", name, "property", "PH", "value", "15", "origin", "LAB"))
                        .body())
                .contains("A pH from 0 to 14. Accepted: 6.2.", "value=\"15\"");
        assertThat(web.post(
                                "/shelf/figure",
                                Map.of("name", name, "property", "EC", "value", "700 ppm", "origin", "LAB"))
                        .body())
                .contains("never ppm without its factor");
        web.post(
                "/shelf/figure",
                Map.of(
                        "name",
                        name,
                        "property",
                        "EC",
                        "value",
                        "400 µS/cm",
                        "origin",
                        "LAB",
                        "said",
                        "sheet 9",
                        "on",
                        "2026-05-04"));
        assertThat(lots.find(name).orElseThrow().value(Property.EC)).hasValue(0.4);
        long figure = lots.figures(name).get(0).id();
        assertThat(web.get("/shelf/lot?name=LM%20figures").body()).contains("0.40 mS/cm", "sheet 9", "4 May 2026");
        web.post("/shelf/figure/remove", Map.of("name", name, "figure", String.valueOf(figure)));
        assertThat(lots.find(name).orElseThrow().figures()).isEmpty();
    }

    @Test
    void theShelfIsComparedSortedAndHeldAgainstAUse() throws Exception {
        lots.learn(List.of(
                AShelf.priced("airy one", 40, 45, 0.06),
                AShelf.priced("wet one", 70, 12, 0.05),
                AShelf.priced("grit one", 9, 60, 0.2)));
        String byAir = web.get("/shelf?sort=air").body();
        assertThat(byAir.indexOf(">grit one<")).isLessThan(byAir.indexOf(">airy one<"));
        assertThat(byAir.indexOf(">airy one<")).isLessThan(byAir.indexOf(">wet one<"));
        String cuttings = web.get("/shelf?use=cuttings").body();
        assertThat(cuttings).contains("unfit", "Stems without roots rot where air is short.", "Cuttings, 6 cm deep");
        assertThat(web.get("/shelf?depth=a%20hand").body()).contains("A depth from 1 to 100 cm", "value=\"a hand\"");
        assertThat(web.get("/shelf?use=nonsense&sort=nonsense&kind=nonsense").statusCode())
                .isEqualTo(200);
    }

    @Test
    void theBenchPredictsFindsTheCheapestAndSaysWhatRulesItOut() throws Exception {
        lots.learn(List.of(AShelf.priced("bench airy", 35, 50, 0.06), AShelf.priced("bench wet", 72, 13, 0.04)));
        String mixed = web.get("/mix/design?recipe=1%20bench%20airy%20%2B%201%20bench%20wet&use=sill&depth=10")
                .body();
        assertThat(mixed).contains("50 % bench airy + 50 % bench wet", "predicted", "54 %");
        assertThat(web.get("/mix/design?part0=bench%20airy&parts0=2:1&part1=bench%20wet")
                        .body())
                .contains("can&#39;t be. Accepted: 3, or 60.", "value=\"2:1\"");
        assertThat(web.get("/mix/design?use=sill&cheapest=true").body()).contains("bench wet");
        assertThat(web.get("/mix/design?cheapest=true").body()).contains("Choose what it is for first");
    }

    @Test
    void aUseIsEditedOrRefused() throws Exception {
        Map<String, String> turned =
                Map.of("code", "tray", "depth", "3 cm", "why", "", "leastOk_air", "50", "mostOk_air", "20");
        assertThat(web.post("/shelf/uses", turned).body()).contains("rise from 0", "value=\"50\"");
        assertThat(web.post(
                                "/shelf/uses",
                                Map.of(
                                        "code",
                                        "tray",
                                        "depth",
                                        "4",
                                        "why",
                                        "thin",
                                        "leastOk_air",
                                        "10",
                                        "mostOk_air",
                                        "30"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(web.get("/shelf/uses").body()).contains("edited here", "Air after draining 10 to 30 %");
        web.post("/shelf/uses/forget", Map.of("code", "tray"));
        assertThat(web.get("/shelf/uses").body()).doesNotContain("edited here");
    }

    @Test
    void aLabSheetOfTenThousandRowsIsTakenWholeOrNotAtAll() throws Exception {
        StringBuilder rows = new StringBuilder(HEAD);
        for (int i = 0; i < 10_000; i++) {
            rows.append("lab ")
                    .append(i / 20)
                    .append(",compost,compost,ph,")
                    .append(5 + i % 30 / 10.0)
                    .append(",,water,2026-05-")
                    .append(String.format("%02d", 1 + i % 20))
                    .append(",sheet ")
                    .append(i)
                    .append('\n');
        }
        String bad = rows + "lab x,compost,compost,ph,99,,water,2026-05-01,sheet\n,,,,,,,,\n";
        HttpResponse<String> refused = upload("/shelf/lab", bad);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("Nothing was read in", "row 10002", "row 10003");
        assertThat(lots.find("lab 0")).isEmpty();
        HttpResponse<String> taken = upload("/shelf/lab", rows.toString());
        assertThat(taken.body()).contains("500 new lots, 10000 figures added, 0 known already.");
        assertThat(upload("/shelf/lab", rows.toString()).body()).contains("0 new lots, 0 figures added, 10000 known");
        assertThat(web.get("/shelf?sort=ph").statusCode()).isEqualTo(200);
        for (int i = 0; i < 500; i++) {
            lots.remove("lab " + i);
        }
    }

    @Test
    void whatIsNoTextIsRefused() throws Exception {
        assertThat(web.upload("/shelf/lab", "x.csv", new byte[] {(byte) 0xff, (byte) 0xfe, 0, 1}, Map.of())
                        .body())
                .contains("not a text file in UTF-8");
        assertThat(web.upload("/shelf/import", "x.zip", new byte[] {1, 2, 3}, Map.of())
                        .body())
                .contains("this is no shelf");
    }

    @Test
    void aUseOfOnesOwnIsKeptUnderItsNameAndTakenAway() throws Exception {
        Map<String, String> typed = Map.of("code", "own", "name", "Roof, dry!", "depth", "8 cm", "least_air", "30");
        assertThat(web.post("/shelf/uses", typed).statusCode()).isEqualTo(302);
        assertThat(web.post("/shelf/uses", typed).statusCode()).isEqualTo(302);
        assertThat(web.get("/shelf/uses").body())
                .contains("id=\"own-roof-dry-\"", "id=\"own-roof-dry--2\"", "of this station");
        assertThat(web.get("/shelf?use=own-roof-dry-").body()).contains("Roof, dry!");
        assertThat(web.post("/shelf/uses", Map.of("code", "own", "name", " ", "depth", "8 cm"))
                        .body())
                .contains("A use has a name", "value=\"8 cm\"");
        web.post("/shelf/uses/forget", Map.of("code", "own-roof-dry-"));
        web.post("/shelf/uses/forget", Map.of("code", "own-roof-dry--2"));
        assertThat(web.get("/shelf/uses").body()).doesNotContain("Roof");
    }

    @Test
    void aShelfMayBeginWithTypicalMaterials() throws Exception {
        assertThat(web.post("/shelf/typical", Map.of()).statusCode()).isEqualTo(302);
        Lot mould = lots.find("leaf mould").orElseThrow();
        assertThat(mould.figures()).isNotEmpty();
        assertThat(web.get("/mix/design?use=outdoor&cheapest=true").statusCode())
                .isEqualTo(200);
    }

    @Test
    void theWholeShelfGoesOutAndInAgain() throws Exception {
        lots.learn(
                List.of(AShelf.priced("carried", 50, 30, 0.07), Lot.mixed("carried mix", "2 carried + 1 grit", MAY)));
        byte[] zip = web.download("/shelf/shelf.zip");
        Lot before = lots.find("carried").orElseThrow();
        lots.remove("carried");
        HttpResponse<String> back = web.upload("/shelf/import", "shelf.zip", zip, Map.of());
        assertThat(back.body()).contains("1 new lot, 7 figures added");
        assertThat(lots.find("carried")).contains(before);
        assertThat(web.upload("/shelf/import", "shelf.zip", zip, Map.of()).body())
                .contains("0 new lots, 0 figures added");
    }

    private HttpResponse<String> upload(String path, String text) throws Exception {
        return web.upload(path, "sheet.csv", text.getBytes(StandardCharsets.UTF_8), Map.of());
    }
}
