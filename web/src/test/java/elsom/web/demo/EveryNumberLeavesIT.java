package elsom.web.demo;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.web.AppTest;
import elsom.web.Web;
import java.io.ByteArrayInputStream;
import java.math.BigDecimal;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import org.dhatim.fastexcel.reader.Sheet;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.TestPropertySource;
import org.springframework.web.util.HtmlUtils;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What the findings page of a trial shows leaves Elsom by machine too: as JSON, as text and in a spreadsheet. */
@AppTest
@TestPropertySource(properties = "elsom.demo=true")
class EveryNumberLeavesIT {
    private static final int MOST_TRIALS = 30;
    private static final Pattern SECTION =
            Pattern.compile("<section class=\"sheet account.*?</section>", Pattern.DOTALL);
    private static final Pattern NUMBER = Pattern.compile("\\d+(?:\\.\\d+)?");
    private static final Pattern WORKING =
            Pattern.compile("href=\"(/trials/\\d+/findings/working\\?kind=([^&]+)&[^\"]*)\"");
    private static final Pattern RESULT = Pattern.compile("<p class=\"result\">([^<]*)</p>");
    private static final BigDecimal HALF = new BigDecimal("0.5000001");
    private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

    @LocalServerPort
    private int port;

    private static Set<String> numbers(String text) {
        Set<String> numbers = new TreeSet<>();
        Matcher found = NUMBER.matcher(text);
        while (found.find()) {
            numbers.add(found.group());
        }
        return numbers;
    }

    /** The numbers in the words of the page's sections. */
    private static Set<String> shown(String html) {
        StringBuilder words = new StringBuilder();
        Matcher section = SECTION.matcher(html);
        while (section.find()) {
            // A p that is too small to be told is in files as it is.
            words.append(HtmlUtils.htmlUnescape(section.group()
                    .replace("&lt; 0.0001", "")
                    .replaceAll("(?s)<!--.*?-->", "")
                    .replaceAll("<[^>]*>", " ")));
        }
        return numbers(words.toString());
    }

    private static final class Book {
        private final Set<String> said = new HashSet<>();
        private final List<BigDecimal> values = new ArrayList<>();

        Book(byte[] file) throws Exception {
            try (ReadableWorkbook book = new ReadableWorkbook(new ByteArrayInputStream(file))) {
                for (Sheet sheet : book.getSheets().toList()) {
                    for (Row row : sheet.read()) {
                        row.forEach(this::keep);
                    }
                }
            }
        }

        private void keep(Cell cell) {
            if (cell != null && cell.getType() == CellType.NUMBER) {
                values.add(cell.asNumber());
            } else if (cell != null) {
                said.addAll(numbers(cell.getText()));
            }
        }

        /** Whether a number is there, in words or as a value that rounds to it; a percentage as its share. */
        boolean has(String number) {
            BigDecimal shown = new BigDecimal(number);
            BigDecimal near = HALF.movePointLeft(shown.scale());
            return said.contains(number)
                    || values.stream()
                            .map(BigDecimal::abs)
                            .anyMatch(value -> value.subtract(shown).abs().compareTo(near) <= 0
                                    || value.multiply(HUNDRED)
                                                    .subtract(shown)
                                                    .abs()
                                                    .compareTo(near)
                                            <= 0);
        }
    }

    private static void told(String what, JsonNode section) {
        List<String> method = new ArrayList<>();
        section.path("notes").forEach(note -> method.add(note.stringValue()));
        section.path("method").path("lines").forEach(line -> method.add(line.stringValue()));
        assertThat(method).as(what + " says how it was worked out").isNotEmpty();
        for (JsonNode part : section.path("parts")) {
            part.findValues("facts").forEach(facts -> facts.forEach(fact -> measured(what, fact.path("value"))));
            for (JsonNode row : part.findValues("cells")) {
                row.forEach(cell -> measured(what, cell));
            }
        }
    }

    /** A number has its unit, and is none where it is a count or a share of 1. */
    private static void measured(String what, JsonNode cell) {
        assertThat(cell.path("value").isNumber())
                .as(what + ": " + cell)
                .isEqualTo(cell.path("unit").isString());
    }

    @Test
    void everyNumberOfThePageIsInItsFiles() throws Exception {
        Web web = new Web(port);
        int trials = 0;
        for (int id = 1; id <= MOST_TRIALS; id++) {
            HttpResponse<String> json = web.get("/trials/" + id + "/findings.json");
            if (json.statusCode() != 200) {
                continue;
            }
            trials++;
            JsonNode file = JsonMapper.shared().readTree(json.body());
            String name = id + " " + file.path("question").stringValue();
            file.path("sections")
                    .forEach(section -> told(name + ": " + section.path("title").stringValue(), section));
            Set<String> shown = shown(web.get("/trials/" + id + "/findings").body());
            assertThat(numbers(json.body())).as("JSON of " + name).containsAll(shown);
            assertThat(numbers(web.get("/trials/" + id + "/report.md").body()))
                    .as("Markdown of " + name)
                    .containsAll(shown);
            Book book = new Book(web.download("/trials/" + id + "/trial.xlsx"));
            assertThat(shown.stream().filter(number -> !book.has(number)))
                    .as("not in the spreadsheet of " + name)
                    .isEmpty();
        }
        assertThat(trials).isGreaterThan(9);
    }

    /** All numbers under a node: those in its words, and its values. */
    private static final class Known {
        private final Set<String> said = new HashSet<>();
        private final List<BigDecimal> values = new ArrayList<>();

        void keep(JsonNode node) {
            if (node.isNumber()) {
                values.add(node.decimalValue().abs());
            } else if (node.isString()) {
                said.addAll(numbers(node.stringValue()));
            } else {
                node.forEach(this::keep);
            }
        }

        boolean has(String number) {
            BigDecimal shown = new BigDecimal(number);
            BigDecimal near = HALF.movePointLeft(shown.scale());
            return said.contains(number)
                    || Stream.of(BigDecimal.ONE, HUNDRED)
                            .anyMatch(scale -> values.stream()
                                    .anyMatch(value -> value.multiply(scale)
                                                    .subtract(shown)
                                                    .abs()
                                                    .compareTo(near)
                                            <= 0));
        }
    }

    /** Read aloud: every number in an answer's sentence stands in a table, a picture or a working of its findings. */
    @Test
    void everyNumberOfASentenceStandsInATableOrAPicture() throws Exception {
        Web web = new Web(port);
        int sentences = 0;
        for (int trial = 1; trial <= MOST_TRIALS; trial++) {
            var file = web.get("/trials/" + trial + "/findings.json");
            if (file.statusCode() != 200) {
                continue;
            }
            JsonNode findings = JsonMapper.shared().readTree(file.body());
            Known known = new Known();
            known.keep(findings.path("sections"));
            findings.path("questions").forEach(question -> {
                known.keep(question.path("judged"));
                known.keep(question.path("judgement"));
            });
            for (JsonNode answer : findings.path("answers")) {
                String sentence = answer.path("sentence").stringValue();
                assertThat(numbers(sentence).stream().filter(number -> !known.has(number)))
                        .as("trial %d: %s", trial, sentence)
                        .isEmpty();
                sentences++;
            }
        }
        assertThat(sentences).isGreaterThan(20);
    }

    /** Read aloud: what stands over a working is what its own sum comes to, to the last digit. */
    @Test
    void everyResultIsWhatItsWorkingComesTo() throws Exception {
        Web web = new Web(port);
        int results = 0;
        for (int trial = 1; trial <= MOST_TRIALS; trial++) {
            Set<String> kinds = new HashSet<>();
            for (String page : List.of("/findings", "/findings/units")) {
                Matcher link = WORKING.matcher(HtmlUtils.htmlUnescape(
                        web.get("/trials/" + trial + page).body()));
                while (link.find()) {
                    boolean first = kinds.add(page + link.group(2));
                    if (first) {
                        isWhatItsSumComesTo(web.get(link.group(1)).body());
                        results++;
                    }
                }
            }
        }
        assertThat(results).isGreaterThan(120);
    }

    private static void isWhatItsSumComesTo(String working) {
        Matcher result = RESULT.matcher(working);
        assertThat(result.find()).isTrue();
        String paper = working.substring(result.end());
        assertThat(numbers(paper.substring(paper.indexOf("on-paper"), paper.indexOf("</ol>"))))
                .as(paper)
                .containsAll(numbers(result.group(1)));
    }
}
