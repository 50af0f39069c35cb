package elsom.core.section;

import elsom.core.analysis.Answer;

/** How a word in a table is meant, beside what it says. */
public enum Tone {
    PLAIN,
    BETTER,
    WORSE,
    NO_DIFFERENCE,
    CANT_TELL,
    SILENT,
    FOR,
    AGAINST;

    /** The tone of an answer. */
    public static Tone of(Answer answer) {
        return switch (answer) {
            case BETTER -> BETTER;
            case WORSE, NOT_AS_GOOD -> WORSE;
            case NO_DIFFERENCE, AS_GOOD -> NO_DIFFERENCE;
            case CANT_TELL -> CANT_TELL;
        };
    }
}
