package elsom.core.trial;

import elsom.core.quantity.Bounds;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A place where units stand: a shelf, a sill, a table, drawn from above in rows and columns.
 *
 * @param number 1-based within the trial
 * @param lengthCm along the rows, left to right; 0 when it was not measured
 * @param depthCm across the rows, top to bottom; 0 when it was not measured
 * @param light the side the light comes from
 * @param door the side people come from
 * @param guarded whether the outer ring of places holds guard units, which are not measured
 */
public record Bench(
        int number,
        String name,
        int rows,
        int columns,
        double lengthCm,
        double depthCm,
        Side light,
        Side door,
        LightMap lightMap,
        List<Influence> influences,
        boolean guarded) {
    public static final double LARGEST_CM = 10_000;

    public Bench {
        influences = Bounds.list("influences on a bench", influences, 0, Bounds.INFLUENCES);
        Bounds.count("a bench's number", number, 1, Bounds.BENCHES);
        Bounds.name("a bench's name", name, Bounds.NAME);
        Bounds.count("rows of a bench", rows, 1, Bounds.PLACES_ALONG);
        Bounds.count("columns of a bench", columns, 1, Bounds.PLACES_ALONG);
        Bounds.count("places of a bench", rows * columns, 1, Bounds.PLACES);
        Bounds.present("the side of the light", light);
        Bounds.present("the side of the door", door);
        Bounds.present("the light", lightMap);
        if (!(lengthCm >= 0 && lengthCm <= LARGEST_CM && depthCm >= 0 && depthCm <= LARGEST_CM)) {
            throw new IllegalArgumentException(
                    "a bench is up to " + LARGEST_CM + " cm long and deep, got " + lengthCm + " and " + depthCm);
        }
        if (guarded && (rows < 3 || columns < 3)) {
            throw new IllegalArgumentException("guard units need a place on every side of the others");
        }
    }

    /** A bench of which only rows and columns are known, lit from the top. */
    public static Bench plain(int number, String name, int rows, int columns) {
        return new Bench(number, name, rows, columns, 0, 0, Side.TOP, Side.RIGHT, LightMap.NONE, List.of(), false);
    }

    /** Whether a place is on this bench. */
    public boolean has(BenchPosition at) {
        return at.bench() == number && at.row() <= rows && at.column() <= columns;
    }

    /** Whether a place is on the rim, where units dry and light differs. */
    public boolean rim(BenchPosition at) {
        return at.row() == 1 || at.row() == rows || at.column() == 1 || at.column() == columns;
    }

    /** Whether a unit there has a bare side: never on a guarded bench. */
    public boolean edge(BenchPosition at) {
        return !guarded && rim(at);
    }

    /** Measured light at the middle of a place in µmol/m²/s; only when it was measured. */
    public double lightAt(BenchPosition at) {
        return lightMap.at((at.column() - 0.5) / columns, (at.row() - 0.5) / rows);
    }

    /** Places for guard units, none on a bench without them. */
    public Stream<BenchPosition> guards() {
        return guarded ? places().filter(this::rim) : Stream.empty();
    }

    /** Every place, row by row. */
    public Stream<BenchPosition> places() {
        return IntStream.rangeClosed(1, rows)
                .boxed()
                .flatMap(row ->
                        IntStream.rangeClosed(1, columns).mapToObj(column -> new BenchPosition(number, row, column)));
    }
}
