package elsom.core.flag;

import java.util.List;

/**
 * Something about the readings that weakens what they say.
 *
 * @param seen what was seen, as a sentence
 * @param why why it matters
 * @param next what to do about it, or next time
 * @param units codes of the units it is about; empty when it is about the whole trial
 */
public record Flag(FlagCode code, Severity severity, String seen, String why, String next, List<String> units) {
    /** How much it weakens the findings. */
    public enum Severity {
        NOTE("note"),
        CAUTION("caution"),
        WRONG("can't be right");

        private final String label;

        Severity(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    public Flag {
        units = List.copyOf(units);
    }

    static Flag note(FlagCode code, String seen, String why, String next, List<String> units) {
        return new Flag(code, Severity.NOTE, seen, why, next, units);
    }

    static Flag caution(FlagCode code, String seen, String why, String next, List<String> units) {
        return new Flag(code, Severity.CAUTION, seen, why, next, units);
    }
}
