package elsom.core.figure;

/** The units of one treatment on one bench; both numbers 1-based. */
public record GroupKey(int bench, int treatment) {}
