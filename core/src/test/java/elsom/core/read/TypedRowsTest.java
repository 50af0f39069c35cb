package elsom.core.read;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.Tables;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;

/** What people typed into boxes, with what it comes to. */
class TypedRowsTest {
    private static final Known TODAY = Known.on(LocalDate.of(2026, 11, 26));

    @Test
    void everyRowIsReadAsItsTableSays() {
        List<String> wrong = new ArrayList<>();
        for (CSVRecord row : Tables.rows("typed.csv")) {
            Read read = Reader.read(Box.coded(row.get("context")).orElseThrow(), row.get("typed"), TODAY);
            boolean hedged = row.get("why").startsWith("hedged:");
            boolean right = hedged && read instanceof Read.Ask
                    || hedged && row.get("outcome").equals("ask") && read instanceof Read.Value
                    || Answered.outcome(read).equals(row.get("outcome"))
                            && Answered.sameValue(read, row.get("value"), row.get("unit"), within(row.get("why")));
            if (!right) {
                wrong.add(row.get("context") + " | " + row.get("typed") + " | " + row.get("outcome") + " "
                        + row.get("value") + " " + row.get("unit") + " | got " + read);
            }
        }
        assertThat(wrong).isEmpty();
    }

    private static double within(String why) {
        return why.startsWith("kitchen:") ? 0.06 : why.startsWith("calendar:") ? 0.025 : 0.005;
    }
}
