package elsom.core.figure;

import elsom.core.working.Working;

/** A computed value of one unit, with its working. */
public record Figure(FigureKind kind, double value, Working working) {}
