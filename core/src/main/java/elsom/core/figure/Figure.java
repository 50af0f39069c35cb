package elsom.core.figure;

import elsom.core.working.Working;

/** A computed value of one unit, with its working. */
public record Figure(FigureKind kind, double value, Working working) {
    /** The value with as many decimals as its own sum comes to. */
    public String result() {
        String finer = kind.finer().show(value);
        return working.steps().stream().anyMatch(step -> step.contains(finer)) ? finer : kind.show(value);
    }
}
