package elsom.core.analysis;

/** How units were given their treatments, which decides what scatter a difference is judged by. */
public enum Design {
    /** Each unit drawn by itself. */
    COMPLETELY_RANDOM,
    /** Every treatment in each block: what blocks differ by is taken out. */
    BLOCKS,
    /** Every treatment once in each row and column: both are taken out. */
    LATIN_SQUARE,
    /** One factor given to whole plots, the others to units within them: whole plots scatter by themselves. */
    SPLIT_PLOT
}
