package elsom.core.notebook;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.CsvSource;

/** Notes beside pots, with what they tell of. */
class NoteTest {
    @ParameterizedTest(name = "{0}")
    @CsvFileSource(resources = "/typed/notes.csv", numLinesToSkip = 1)
    void everyNoteIsReadAsItsTableSays(String note, String mishaps, String lost) {
        Note read = Note.read(note);
        assertThat(told(read)).isEqualTo(sorted(mishaps));
        assertThat(read.lost().name().toLowerCase(Locale.ROOT)).isEqualTo(lost);
    }

    /** Others of the kind: places, materials, plans and denials tell of nothing. */
    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "by the window|none|no",
                "dried in oven|none|no",
                "leaf-mould mulch|none|no",
                "no sign of slugs|none|no",
                "moved like all the others|none|no",
                "frost forecast, fleece put on|none|no",
                "good colour, roots at the base|none|no",
                "watered with rain water|none|no",
                "windowsill|none|no",
                "didn't dry out|none|no",
                "none died|none|no",
                "died on day 9|none|ask",
                "hen scratched it, eaten down|eaten|no",
                "slugs ate everything|eaten|yes",
                "flooded by the storm|waterlogged|no",
                "knocked over and dried out|dried_out; knocked|no",
                "lost|lost|ask",
                "stolen|lost|yes",
                "not fed on the 3rd|unfed|no",
                "mouldy crust|mould|no",
                "frozen solid overnight|wind_or_frost|no"
            })
    void otherNotes(String note, String mishaps, String lost) {
        everyNoteIsReadAsItsTableSays(note, mishaps, lost);
    }

    private static String told(Note read) {
        return read.mishaps().isEmpty()
                ? "none"
                : read.mishaps().stream().map(Note.Happened::code).sorted().collect(Collectors.joining("; "));
    }

    private static String sorted(String mishaps) {
        return java.util.Arrays.stream(mishaps.split("; ")).sorted().collect(Collectors.joining("; "));
    }
}
