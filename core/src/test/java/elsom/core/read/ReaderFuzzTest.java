package elsom.core.read;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.Simulations;
import elsom.core.Tables;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

/** Whatever is typed: no exception, no value out of bounds, and what is understood is read back as the same. */
class ReaderFuzzTest {
    private static final int STRINGS = 100_000;
    private static final Known TODAY = Known.on(LocalDate.of(2026, 11, 26));
    private static final List<String> PIECES = List.of(
            "0",
            "1",
            "2.5",
            "2,5",
            "1,250",
            "1 250",
            "1e9",
            "½",
            "1/2",
            "-",
            "–",
            "±",
            "%",
            "g",
            "kg",
            "mL",
            "L",
            "gal",
            "US gal",
            "tsp",
            "cup",
            "per",
            "/",
            "in",
            "to",
            "of",
            "a",
            "half",
            "dozen",
            "m2",
            "m²",
            "sq ft",
            "°C",
            "F",
            "h",
            "days",
            "weeks",
            "ppm",
            "N",
            "mg/L",
            "meq",
            "mS/cm",
            "uS",
            "<",
            ">",
            "about",
            "~",
            "?",
            ",",
            ";",
            ":",
            "(",
            ")",
            "x",
            "×",
            "leaf mould",
            "grit",
            "coir",
            "parts",
            "rest",
            "and",
            "+",
            "neat",
            "water",
            "stock",
            "seeds",
            "capful",
            "pH",
            "Nov",
            "2026",
            "31",
            "none",
            "all",
            "£",
            "🌱",
            "\"",
            "'",
            "ft",
            "inch",
            "score",
            "n = 8",
            "1:50",
            "oz",
            "lb",
            "ha",
            "acre",
            "mm",
            "fold",
            "rate",
            "\t");

    private static String typed(Random random, List<String> real) {
        if (random.nextInt(3) == 0) {
            return broken(real.get(random.nextInt(real.size())), random);
        }
        StringBuilder text = new StringBuilder();
        int pieces = 1 + random.nextInt(7);
        for (int i = 0; i < pieces; i++) {
            text.append(PIECES.get(random.nextInt(PIECES.size()))).append(random.nextInt(3) == 0 ? "" : " ");
        }
        return text.toString();
    }

    /** What somebody typed, with a sign changed, left out or put in. */
    private static String broken(String text, Random random) {
        StringBuilder changed = new StringBuilder(text);
        int times = 1 + random.nextInt(2);
        for (int i = 0; i < times && !changed.isEmpty(); i++) {
            int at = random.nextInt(changed.length());
            switch (random.nextInt(3)) {
                case 0 -> changed.deleteCharAt(at);
                case 1 -> changed.insert(at, (char) (32 + random.nextInt(95)));
                default -> changed.setCharAt(at, (char) (32 + random.nextInt(95)));
            }
        }
        return changed.toString();
    }

    @Test
    @Timeout(value = 8, unit = TimeUnit.MINUTES)
    void nothingFailsAndWhatIsSaidBackIsReadAsTheSame() {
        Random random = new Random(231);
        List<String> real = Tables.rows("typed.csv").stream()
                .map((CSVRecord row) -> row.get("typed"))
                .filter(text -> text.length() < 200)
                .toList();
        List<String> wrong = new ArrayList<>();
        int understood = 0;
        for (int i = 0; i < Simulations.of(STRINGS) && wrong.size() < 40; i++) {
            String text = typed(random, real);
            Box box = Box.values()[random.nextInt(Box.values().length)];
            Read read = Reader.read(box, text, TODAY);
            if (read instanceof Read.Value value) {
                understood++;
                Read again = Reader.read(box, value.says(), TODAY);
                if (!(again instanceof Read.Value back)
                        || !Answered.sameValue(back, value.meaning().plain(), value.unit(), 1e-6)) {
                    wrong.add(box + " | " + text + " | says " + value.says() + " | " + value + " | again " + again);
                } else if (outOfBounds(box, value)) {
                    wrong.add(box + " | " + text + " | out of bounds " + value);
                }
            } else if (read instanceof Read.Ask ask) {
                for (String reading : ask.readings()) {
                    if (!(Reader.read(box, reading, TODAY) instanceof Read.Value)) {
                        wrong.add(box + " | " + text + " | offers " + reading);
                    }
                }
            }
        }
        assertThat(wrong).isEmpty();
        assertThat(understood).isGreaterThan(Simulations.of(STRINGS) / 50);
    }

    private static boolean outOfBounds(Box box, Read.Value value) {
        boolean below = value.meaning() instanceof Read.Amount amount
                && (!Double.isFinite(amount.value()) || Math.abs(amount.value()) > 1e12);
        boolean share = value.unit().equals(Units.FRACTION)
                && value.meaning() instanceof Read.Amount part
                && !(part.value() >= 0 && part.value() <= 1 + 1e-9);
        boolean later = box == Box.DATE
                && value.meaning() instanceof Read.Day day
                && day.date().isAfter(TODAY.today());
        return below || share || later;
    }
}
