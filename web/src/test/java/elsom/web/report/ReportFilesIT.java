package elsom.web.report;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.trial.TrialId;
import elsom.web.AppTest;
import elsom.web.Web;
import elsom.web.trial.TrialLists;
import elsom.web.trial.Wanted;
import java.io.ByteArrayInputStream;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import org.dhatim.fastexcel.reader.Sheet;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.TestPropertySource;
import org.springframework.web.util.HtmlUtils;

/** What a trial is handed over as: text, a spreadsheet, a card. */
@AppTest
@TestPropertySource(properties = "elsom.demo=true")
class ReportFilesIT {
    @LocalServerPort
    private int port;

    @Autowired
    private TrialLists lists;

    private String path(String trial, String page) {
        TrialId id = lists.search(Wanted.of(trial), 0, 10).trials().stream()
                .map(one -> one.id())
                .min(Comparator.comparing(TrialId::value))
                .orElseThrow();
        return "/trials/" + id + page;
    }

    private String get(String trial, String page) throws Exception {
        return new Web(port).get(path(trial, page)).body();
    }

    @Test
    void theReportAsTextSaysWhatThePrintedOneSays() throws Exception {
        String text = get("digestate", "/report.md?price=9");
        assertThat(text).startsWith("# How strong can digestate water be");
        assertThat(text)
                .contains("6 treatments (0 mL/L, 5 mL/L")
                .contains("| 20 mL/L | 0 mL/L | +15.70 g | +10.40 to +21.00 g | +34 % |")
                .contains("## Was it fair?")
                .contains("## Does it pay?")
                .contains("| pays |")
                .contains("## What next?")
                .contains("## How it was done")
                .contains("## Every unit")
                .contains("seed 6120");
        assertThat(get("Roof-tray", "/report.md"))
                .contains("## Over the trials of this series")
                .contains("## Corrected readings")
                .contains("typed wrong");
    }

    @Test
    void thePrintedReportHasPlanMapMoneyAndWhatNext() throws Exception {
        assertThat(get("digestate", "/report?price=9"))
                .contains("looked at 4 times over 28 days")
                .contains("Map of Glasshouse bench")
                .contains("At 9 a kg")
                .contains("What next?")
                .contains("Every unit");
        assertThat(get("digestate", "/report")).doesNotContain("Does it pay?");
    }

    @Test
    void theSpreadsheetHoldsReadingsFiguresAndWhatWasJudged() throws Exception {
        Map<String, List<Row>> sheets = new HashMap<>();
        try (ReadableWorkbook book = new ReadableWorkbook(
                new ByteArrayInputStream(new Web(port).download(path("digestate", "/trial.xlsx"))))) {
            for (Sheet sheet : book.getSheets().toList()) {
                sheets.put(sheet.getName(), sheet.read());
            }
        }
        assertThat(sheets.keySet())
                .contains(
                        "Trial",
                        "Answers",
                        "Facts",
                        "Differences",
                        "Means",
                        "Strengths",
                        "Fair test",
                        "Units",
                        "Readings");
        assertThat(sheets.get("Units")).hasSize(31);
        List<String> heads = sheets.get("Differences").get(0).stream()
                .map(cell -> cell == null ? "" : cell.getText())
                .toList();
        Row twenty = sheets.get("Differences").stream()
                .filter(row -> row.getCellText(0).equals("Yield")
                        && row.getCellText(heads.indexOf("Treatment")).equals("20 mL/L"))
                .findFirst()
                .orElseThrow();
        assertThat(twenty.getCellAsNumber(heads.indexOf("Difference"))
                        .orElseThrow()
                        .doubleValue())
                .isBetween(15.6, 15.8);
        assertThat(twenty.getCellText(heads.indexOf("Answer"))).isEqualTo("better");
        assertThat(sheets.get("Readings").size()).isGreaterThan(200);
    }

    /** What a notebook did not tell is in none of its files, and the order of its single units is in all. */
    @Test
    void filesOfACopiedNotebookInventNothing() throws Exception {
        StringBuilder book = new StringBuilder();
        try (ReadableWorkbook sheets = new ReadableWorkbook(
                new ByteArrayInputStream(new Web(port).download(path("old notebook", "/trial.xlsx"))))) {
            for (Sheet sheet : sheets.getSheets().toList()) {
                sheet.read()
                        .forEach(row -> row.forEach(cell ->
                                book.append(cell == null ? "" : cell.getText()).append('|')));
            }
        }
        Map<String, String> files = Map.of(
                "report", words(get("old notebook", "/report")),
                "text", get("old notebook", "/report.md"),
                "spreadsheet", book.toString(),
                "plan", words(get("old notebook", "/plan")),
                "card", words(get("old notebook", "/card")));
        for (String invented : List.of(
                "8108",
                ", drawn at random",
                "Completely random",
                "completely random",
                "atered",
                "1600",
                "Potting bench",
                "looked at 4")) {
            files.forEach((name, text) -> assertThat(text).as(name).doesNotContain(invented));
        }
        assertThat(List.of(files.get("report"), files.get("text"), files.get("spreadsheet")))
                .allSatisfy(text ->
                        assertThat(text).contains("+48 %, chance unknown").contains("Not judged: one unit of each"));
        assertThat(files.get("plan")).contains("was not written down");
    }

    private static String words(String html) {
        String main = html.substring(html.indexOf("<main"), html.indexOf("</main>"));
        return HtmlUtils.htmlUnescape(
                main.replaceAll("(?s)<header.*?</header>", "").replaceAll("<[^>]*>", " "));
    }

    @Test
    void theSpreadsheetOfABlindTrialTellsNoTreatment() throws Exception {
        try (ReadableWorkbook book = new ReadableWorkbook(
                new ByteArrayInputStream(new Web(port).download(path("Plant-back", "/trial.xlsx"))))) {
            assertThat(book.getSheets().map(Sheet::getName)).contains("Units", "Readings");
        }
    }

    @Test
    void theCardSaysWhatIsReadWhenAndHow() throws Exception {
        assertThat(get("rosemary", "/card"))
                .contains("How it is read")
                .contains("lift gently")
                .contains("write down its code");
        assertThat(new Web(port).get(path("kelp in an aerated", "/card")).statusCode())
                .isEqualTo(422);
    }
}
