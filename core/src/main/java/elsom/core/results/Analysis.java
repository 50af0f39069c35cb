package elsom.core.results;

/**
 * One way to look at a trial's evidence. A protocol is its data plus a list of these: to give one findings of its own,
 * write an analysis, a {@link Section} if no kind of section fits, and put the analysis in the protocol's list.
 */
public interface Analysis {
    /** Adds what it finds: answers, sections, figures, flags; nothing when the evidence has nothing for it. */
    void add(Evidence evidence, Findings.Draft findings);
}
