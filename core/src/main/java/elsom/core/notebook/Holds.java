package elsom.core.notebook;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/** What a column of a notebook's table holds. */
public enum Holds {
    TREATMENT(
            "the treatment",
            "treatment|treated with|variety|medium|media|mix|substrate|compost|soil|bag|dose|rate|level|group|what"),
    SECOND("a second factor", ""),
    POT("which pot", "pot|unit|plant|tray|cell|id|code|label|no|nr|number|#|rep|replicate|pot no|pot number"),
    DAY("the day", "day|date|when|on|measured on"),
    NOTE("a note", "notes?|remarks?|comments?|observations?|seen|what happened"),
    MEASURED_1("what was measured, 1st", ""),
    MEASURED_2("what was measured, 2nd", ""),
    MEASURED_3("what was measured, 3rd", ""),
    ON_ITS_DAY("measured on that day", ""),
    NOTHING("nothing: leave it out", ""),
    /** Nobody has said, and its heading tells nothing. */
    UNSAID("say what it holds", "");

    private final String label;
    private final Pattern headings;

    Holds(String label, String headings) {
        this.label = label;
        this.headings = Pattern.compile(headings);
    }

    public String label() {
        return label;
    }

    /** Of the things that were measured, from 0. */
    static Holds measured(int index) {
        return switch (index) {
            case 0 -> MEASURED_1;
            case 1 -> MEASURED_2;
            default -> MEASURED_3;
        };
    }

    /** Which of the things that were measured it is, from 0; -1 for what is none. */
    int measure() {
        return switch (this) {
            case MEASURED_1, ON_ITS_DAY -> 0;
            case MEASURED_2 -> 1;
            case MEASURED_3 -> 2;
            default -> -1;
        };
    }

    /** What a heading alone tells. */
    static Optional<Holds> headed(String heading) {
        String plain = heading.toLowerCase(Locale.ROOT).replaceAll("[.:]+$", "").strip();
        for (Holds holds : values()) {
            if (!plain.isEmpty() && holds.headings.matcher(plain).matches()) {
                return Optional.of(holds);
            }
        }
        return Optional.empty();
    }
}
