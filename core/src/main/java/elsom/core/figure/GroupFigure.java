package elsom.core.figure;

import elsom.core.stats.Summary;
import elsom.core.working.Working;

/** A figure summarised over the units of a group. */
public record GroupFigure(FigureKind kind, Summary summary, Working working) {
    /** The mean with one decimal more than a unit has, as its own sum comes to. */
    public String result() {
        return kind.finer().show(summary.mean());
    }
}
