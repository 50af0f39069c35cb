package elsom.web.kit;

import elsom.core.design.Grid;
import elsom.core.trial.Bench;
import elsom.core.trial.BenchPosition;
import elsom.core.trial.Container;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Influence;
import elsom.core.trial.Outline;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;

/** One bench, measured out: where its rows, units, light and places are drawn. */
final class BenchDrawing {
    private static final double WIDEST = 760;
    static final double LABELS = 74;
    static final double TOP = 34;
    private static final double BOTTOM = 30;
    private static final double SPREAD = 0.8;
    private static final double SMALLEST_CELL = 66;
    private static final double LARGEST_CELL = 122;
    /** On a bench of many columns a cell is as narrow as its code and its value allow. */
    private static final double NARROW_CELL = 54;

    private static final int MANY_COLUMNS = 10;
    private static final double NARROW_GAP = 5;
    private static final double READABLE_CELL = 46;
    /** So that a bench of a few rows is seen whole beside the entry panel. */
    private static final double HIGHEST = 510;

    private final TrialRecord record;
    private final Bench bench;
    private final List<ExperimentalUnit> here;
    private final double scale;
    private final double pitchX;
    private final double pitchY;
    private final boolean plated;

    BenchDrawing(TrialRecord record, Bench bench, boolean readable) {
        this.record = record;
        this.bench = bench;
        this.here = record.units().stream()
                .filter(unit -> unit.position().bench() == bench.number())
                .toList();
        double longest = here.stream()
                .mapToDouble(u -> record.container(u).topLengthCm())
                .max()
                .orElse(10);
        double widest = here.stream()
                .mapToDouble(u -> record.container(u).topWidthCm())
                .max()
                .orElse(10);
        double fitting = (WIDEST - LABELS) / (bench.columns() * (longest + Grid.GAP_CM));
        double upright = (HIGHEST - TOP) / (bench.rows() * (widest + Grid.GAP_CM));
        double fit = Math.min(Math.min(fitting, upright), LARGEST_CELL / longest);
        this.plated = readable || fit * longest >= READABLE_CELL;
        boolean many = plated && bench.columns() > MANY_COLUMNS;
        double smallest = many ? NARROW_CELL : SMALLEST_CELL;
        this.scale = plated ? Math.max(smallest / longest, fit) : Math.min(fitting, LARGEST_CELL / longest);
        double stretched = plated ? (WIDEST - LABELS) / bench.columns() * SPREAD : 0;
        this.pitchX = Math.max(
                many && fit * longest < NARROW_CELL ? NARROW_CELL + NARROW_GAP : (longest + Grid.GAP_CM) * scale,
                stretched);
        this.pitchY = Math.max((widest + Grid.GAP_CM) * scale, plated ? SMALLEST_CELL + 6 : 0);
    }

    private double x(double column) {
        return LABELS + (column - 0.5) * pitchX;
    }

    private double y(double row) {
        return TOP + (row - 0.5) * pitchY;
    }

    BenchMap.Drawn drawn(Function<ExperimentalUnit, BenchMap.Face> face) {
        return drawn(face, List.of());
    }

    /** From each unit to its other place. */
    private List<BenchMap.Arrow> arrows(List<ExperimentalUnit> moved) {
        Map<String, BenchPosition> to =
                moved.stream().collect(Collectors.toMap(unit -> unit.code().value(), ExperimentalUnit::position));
        return here.stream()
                .flatMap(unit -> Optional.ofNullable(to.get(unit.code().value()))
                        .filter(place -> !place.equals(unit.position()))
                        .map(place -> new BenchMap.Arrow(
                                unit.code().value(),
                                x(unit.position().column()),
                                y(unit.position().row()),
                                x(place.column()),
                                y(place.row())))
                        .stream())
                .toList();
    }

    BenchMap.Drawn drawn(Function<ExperimentalUnit, BenchMap.Face> face, List<ExperimentalUnit> moved) {
        Map<Integer, BenchMap.Shape> shapes = new TreeMap<>();
        List<BenchMap.Cell> cells = new ArrayList<>();
        for (ExperimentalUnit unit : here) {
            BenchMap.Shape shape =
                    shapes.computeIfAbsent(unit.treatment(), number -> shape(number, record.container(unit)));
            cells.add(BenchMap.Cell.of(
                    unit,
                    record.treatment(unit).name(),
                    record.treatment(unit).hidden()
                            ? ""
                            : record.treatment(unit).code(),
                    shape,
                    x(unit.position().column()),
                    y(unit.position().row()),
                    face.apply(unit)));
        }
        Set<BenchPosition> taken =
                here.stream().map(ExperimentalUnit::position).collect(Collectors.toCollection(HashSet::new));
        List<BenchPosition> guards = bench.guards().toList();
        return new BenchMap.Drawn(
                bench.number(),
                bench.name(),
                BenchMap.round(LABELS + bench.columns() * pitchX + 12),
                BenchMap.round(TOP + bench.rows() * pitchY + BOTTOM),
                BenchMap.round(pitchX),
                BenchMap.round(pitchY),
                bench.rows(),
                bench.columns(),
                bench.light(),
                rows(),
                List.copyOf(shapes.values()),
                cells,
                lit(),
                bench.influences().stream().map(this::area).toList(),
                guards.stream().map(this::spot).toList(),
                bench.places()
                        .filter(at -> !taken.contains(at) && !guards.contains(at))
                        .map(this::spot)
                        .toList(),
                arrows(moved),
                BenchMap.round(0.32 * Math.min(pitchX, pitchY)),
                lightWords(),
                "door at the " + bench.door().label(),
                bench.lengthCm() > 0 ? Math.round(bench.lengthCm()) + " × " + Math.round(bench.depthCm()) + " cm" : "");
    }

    private BenchMap.Spot spot(BenchPosition at) {
        return new BenchMap.Spot(BenchMap.round(x(at.column())), BenchMap.round(y(at.row())), at.row(), at.column());
    }

    /** A row is labelled with its block when all its units share one. */
    private List<BenchMap.RowLabel> rows() {
        Map<Integer, Set<Integer>> blocks = new TreeMap<>();
        here.forEach(unit -> blocks.computeIfAbsent(unit.position().row(), row -> new HashSet<>())
                .add(unit.block()));
        boolean manyBlocks =
                here.stream().mapToInt(ExperimentalUnit::block).distinct().count() > 1;
        return blocks.entrySet().stream()
                .filter(row -> row.getValue().size() == 1 && manyBlocks)
                .map(row -> new BenchMap.RowLabel(
                        "block " + row.getValue().iterator().next(), BenchMap.round(y(row.getKey()))))
                .toList();
    }

    /** Measured light, a rectangle for each reading of the meter, brighter where there is more. */
    private List<BenchMap.Area> lit() {
        var map = bench.lightMap();
        List<BenchMap.Area> areas = new ArrayList<>();
        double most = map.ppfd().stream().mapToDouble(v -> v).max().orElse(0);
        double least = map.ppfd().stream().mapToDouble(v -> v).min().orElse(0);
        double width = bench.columns() * pitchX / Math.max(1, map.columns());
        double height = bench.rows() * pitchY / Math.max(1, map.rows());
        for (int i = 0; i < map.ppfd().size(); i++) {
            int row = i / map.columns();
            int column = i % map.columns();
            double value = map.ppfd().get(i);
            areas.add(new BenchMap.Area(
                    BenchMap.round(LABELS + column * width),
                    BenchMap.round(TOP + row * height),
                    BenchMap.round(width),
                    BenchMap.round(height),
                    most > least ? Math.round(100 * (value - least) / (most - least)) / 100.0 : 1,
                    Long.toString(Math.round(value))));
        }
        return areas;
    }

    private String lightWords() {
        var map = bench.lightMap();
        if (!map.known()) {
            return "light from the " + bench.light().label();
        }
        return "light " + Math.round(Collections.min(map.ppfd())) + "–" + Math.round(Collections.max(map.ppfd()))
                + " µmol/m²/s";
    }

    private BenchMap.Area area(Influence influence) {
        int toColumn = Math.min(influence.toColumn(), bench.columns());
        int toRow = Math.min(influence.toRow(), bench.rows());
        return new BenchMap.Area(
                BenchMap.round(LABELS + (influence.fromColumn() - 1) * pitchX + 2),
                BenchMap.round(TOP + (influence.fromRow() - 1) * pitchY + 2),
                BenchMap.round(Math.max(0, (toColumn - influence.fromColumn() + 1) * pitchX - 4)),
                BenchMap.round(Math.max(0, (toRow - influence.fromRow() + 1) * pitchY - 4)),
                1,
                influence.kind().label());
    }

    private BenchMap.Shape shape(int treatment, Container container) {
        double width = container.topLengthCm() * scale;
        double height = container.topWidthCm() * scale;
        boolean round = container.outline() == Outline.ROUND;
        // Where a pot is small, its plates stand out over its rim rather than over each other.
        boolean inset = round && height >= SMALLEST_CELL;
        return new BenchMap.Shape(
                "cell-" + bench.number() + "-" + treatment,
                "url(#tex-" + treatment + ")",
                BenchMap.round(width),
                BenchMap.round(height),
                round ? BenchMap.round(Math.min(width, height) / 2) : 3,
                BenchMap.round(-height / 2 + (inset ? 10 : 4)),
                BenchMap.round(height / 2 - (inset ? 32 : 23)),
                plated);
    }
}
