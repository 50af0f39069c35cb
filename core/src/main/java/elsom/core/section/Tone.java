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
            case WORSE -> WORSE;
            case NO_DIFFERENCE -> NO_DIFFERENCE;
            case CANT_TELL -> CANT_TELL;
        };
    }
}
