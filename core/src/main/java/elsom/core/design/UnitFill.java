package elsom.core.design;

import java.util.List;
import java.util.stream.IntStream;

/**
 * What one treatment is filled into.
 *
 * @param wholePlot the level of the factor that is given to whole groups, in a split-plot; any number elsewhere
 */
public record UnitFill(int treatment, String container, double volumeMl, int wholePlot) {
    public UnitFill(int treatment, String container, double volumeMl) {
        this(treatment, container, volumeMl, 0);
    }

    /** Treatments numbered from 1, all filled alike. */
    public static List<UnitFill> alike(int treatments, String container, double volumeMl) {
        return IntStream.rangeClosed(1, treatments)
                .mapToObj(number -> new UnitFill(number, container, volumeMl))
                .toList();
    }
}
