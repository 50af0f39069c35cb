package elsom.core.figure;

import elsom.core.stats.Summary;
import elsom.core.working.Working;

/** A figure summarised over the units of a group. */
public record GroupFigure(FigureKind kind, Summary summary, Working working) {}
