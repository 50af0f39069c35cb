package elsom.calc;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.Reader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.TreeSet;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The families that read words answer as the tables of the core have it, in the words of the contract. */
class WordsFamiliesTest {
    private static List<CSVRecord> rows(String file) throws IOException {
        try (Reader reader = Files.newBufferedReader(Path.of("../core/src/test/resources/typed", file))) {
            return CSVFormat.RFC4180
                    .builder()
                    .setHeader()
                    .setSkipHeaderRecord(true)
                    .get()
                    .parse(reader)
                    .getRecords();
        }
    }

    private static ObjectNode input(CSVRecord row, String... fields) {
        ObjectNode input = JsonMapper.shared().createObjectNode();
        Arrays.stream(fields).forEach(field -> input.put(field, row.get(field)));
        return input;
    }

    @Test
    void readAnswersWithAnOutcomeAndANumberWhereThereIsOne() throws IOException {
        List<String> wrong = new ArrayList<>();
        for (CSVRecord row : rows("typed.csv")) {
            JsonNode answer = new ReadFamily().work(input(row, "context", "typed"));
            boolean hedged = row.get("why").startsWith("hedged:");
            if (!hedged && !answer.path("outcome").stringValue().equals(row.get("outcome"))) {
                wrong.add(row + " " + answer);
            }
            boolean number = row.get("value").matches("-?[0-9.]+");
            if (answer.path("outcome").stringValue().equals("value") && number && !hedged) {
                assertThat(answer.path("value").isNumber())
                        .as(answer.toString())
                        .isTrue();
                assertThat(answer.path("unit").stringValue()).isEqualTo(row.get("unit"));
            }
            assertThat(answer.path("says").stringValue()).isNotBlank();
        }
        assertThat(wrong).isEmpty();
    }

    @Test
    void claimAndNoteAnswerAsTheirTables() throws IOException {
        for (CSVRecord row : rows("claims.csv")) {
            JsonNode answer = new ClaimFamily().work(input(row, "claim", "measure", "unit", "first", "other", "about"));
            assertThat(answer.path("outcome").stringValue())
                    .as(row.get("claim"))
                    .isEqualTo(row.get("outcome"));
        }
        for (CSVRecord row : rows("notes.csv")) {
            ObjectNode input = JsonMapper.shared().createObjectNode().put("text", row.get("note"));
            JsonNode answer = new NoteFamily().work(input);
            assertThat(new TreeSet<>(
                            List.of(answer.path("mishaps").stringValue().split("; "))))
                    .as(row.get("note"))
                    .isEqualTo(new TreeSet<>(List.of(row.get("mishaps").split("; "))));
            assertThat(answer.path("unit_lost").stringValue()).isEqualTo(row.get("unit_lost"));
        }
    }

    @Test
    void whatIsNoContextSaysWhichThereAre() {
        ObjectNode input =
                JsonMapper.shared().createObjectNode().put("context", "colour").put("typed", "red");
        assertThatThrownBy(() -> new ReadFamily().work(input)).hasMessageContaining("known are mass, volume");
    }
}
