package elsom.core.figure;

import java.util.List;
import java.util.Optional;

/**
 * All figures of one group.
 *
 * @param name the treatment's name
 * @param planned units that were set up
 */
public record GroupResult(GroupKey key, String name, int planned, List<GroupFigure> figures) {
    public GroupResult {
        figures = List.copyOf(figures);
    }

    public Optional<GroupFigure> figure(FigureKind kind) {
        return figures.stream().filter(figure -> figure.kind().equals(kind)).findFirst();
    }
}
