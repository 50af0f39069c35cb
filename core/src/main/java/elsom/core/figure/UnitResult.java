package elsom.core.figure;

import elsom.core.trial.ExperimentalUnit;
import java.util.List;
import java.util.Optional;

/** All figures of one unit. */
public record UnitResult(ExperimentalUnit unit, List<Figure> figures) {
    public UnitResult {
        figures = List.copyOf(figures);
    }

    public Optional<Figure> figure(FigureKind kind) {
        return figures.stream().filter(figure -> figure.kind().equals(kind)).findFirst();
    }

    public GroupKey group() {
        return new GroupKey(unit.position().bench(), unit.treatment());
    }
}
