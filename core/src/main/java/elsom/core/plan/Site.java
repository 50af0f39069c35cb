package elsom.core.plan;

import elsom.core.design.Grid;
import elsom.core.quantity.Bounds;
import elsom.core.trial.Bench;
import elsom.core.trial.Container;
import elsom.core.trial.Influence;
import elsom.core.trial.LightMap;
import elsom.core.trial.Side;
import java.util.List;

/**
 * A shelf, sill or table to stand units on.
 *
 * @param lengthCm left to right; 0 makes it as large as it needs to be
 * @param depthCm top to bottom; 0 likewise
 */
public record Site(
        String name,
        double lengthCm,
        double depthCm,
        Side light,
        Side door,
        LightMap lightMap,
        List<Influence> influences) {
    public static final int MOST = Bounds.BENCHES;

    public Site {
        Bounds.name("a bench's name", name, Bounds.NAME);
        Bounds.number("a bench's length in cm", lengthCm, 0, Bench.LARGEST_CM);
        Bounds.number("a bench's depth in cm", depthCm, 0, Bench.LARGEST_CM);
        Bounds.present("the side of the light", light);
        Bounds.present("the side of the door", door);
        Bounds.present("the light", lightMap);
        influences = Bounds.list("influences on a bench", influences, 0, Bounds.INFLUENCES);
    }

    public static Site named(String name) {
        return new Site(name, 0, 0, Side.TOP, Side.RIGHT, LightMap.NONE, List.of());
    }

    public boolean measured() {
        return lengthCm > 0 && depthCm > 0;
    }

    /**
     * The bench with its places.
     *
     * @param wanted rows and columns when its size was not measured, guards left out
     */
    Bench bench(int number, Grid wanted, List<Container> containers, boolean guarded) {
        Grid grid = measured() ? Grid.fitting(lengthCm, depthCm, containers) : guarded ? wanted.guarded() : wanted;
        return new Bench(
                number,
                name,
                grid.rows(),
                grid.columns(),
                measured() ? lengthCm : grid.columns() * Grid.pitchX(containers),
                measured() ? depthCm : grid.rows() * Grid.pitchY(containers),
                light,
                door,
                lightMap,
                influences,
                guarded && grid.rows() > 2 && grid.columns() > 2);
    }
}
