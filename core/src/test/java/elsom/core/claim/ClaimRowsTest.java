package elsom.core.claim;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.Tables;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;

/** Worded claims with figures, what each means and whether the figures bear it out. */
class ClaimRowsTest {
    @Test
    void everyClaimIsReadAndHeldAsItsTableSays() {
        List<String> wrong = new ArrayList<>();
        for (CSVRecord row : Tables.rows("claims.csv")) {
            List<String> typed = new ArrayList<>(List.of(row.get("first")));
            typed.addAll(List.of(row.get("other").split("; ")));
            int about = row.get("about").equals("first") ? 0 : 1;
            Meant meant = ClaimCase.of(
                            row.get("claim"),
                            row.get("measure"),
                            row.get("unit"),
                            typed.stream().map(ClaimedGroup::name).toList(),
                            about)
                    .meant();
            Held held = Held.of(
                    meant,
                    typed.stream()
                            .map(one -> ClaimedGroup.read(one).orElseThrow())
                            .toList(),
                    about);
            boolean same = held.name().toLowerCase(Locale.ROOT).equals(row.get("outcome"))
                    && (held == Held.CANT_BE_READ || alike(meant.says(), row.get("meaning")));
            if (!same) {
                wrong.add(row.get("claim") + " | wanted " + row.get("meaning") + " " + row.get("outcome") + " | got "
                        + meant.says() + " " + held);
            }
        }
        assertThat(wrong).isEmpty();
    }

    /** The same words, and the same numbers: "2/3" is 0.6666667. */
    private static boolean alike(String got, String wanted) {
        return figures(got).equals(figures(wanted));
    }

    private static String figures(String text) {
        Matcher number = Pattern.compile("[0-9]+(?:\\.[0-9]+)?(?:/[0-9]+)?").matcher(text);
        return number.replaceAll(found -> {
            String[] parts = found.group().split("/");
            double value = Double.parseDouble(parts[0]) / (parts.length == 2 ? Double.parseDouble(parts[1]) : 1);
            return String.format(Locale.ROOT, "%.4g", value);
        });
    }
}
