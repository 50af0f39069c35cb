package elsom.web.kit;

import elsom.core.design.Grid;
import elsom.core.trial.Bench;
import elsom.core.trial.BenchPosition;
import elsom.core.trial.Container;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Influence;
import elsom.core.trial.Outline;
import elsom.core.trial.Side;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;

/** The benches from above, to scale within each bench, with every unit on its place. Lengths are px of the drawing. */
public record BenchMap(List<Drawn> benches) {
    private static final double WIDEST = 760;
    private static final double WIDE = 960;
    private static final double LABELS = 74;
    private static final double TOP = 34;
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

    /** How a unit stands on the map. */
    public enum State {
        TODO,
        DONE,
        NOW,
        LOST,
        ABOVE,
        BELOW
    }

    /**
     * What is shown on a unit: a value, how it stands, and where a click leads.
     *
     * @param shade how deep it is coloured, 1 to {@link elsom.core.results.Shades#STEPS}; 0 for not at all
     */
    public record Face(String value, State state, String href, int shade) {
        public Face(String value, State state, String href) {
            this(value, state, href, 0);
        }
    }

    /**
     * What the units of one treatment look like on this bench, drawn once and placed often; centred on 0, 0.
     *
     * @param plated whether code and value stand on plates; too small for that, a unit shows its treatment's letter, and
     *     is drawn by itself: hundreds of shared shapes take a browser twice as long
     */
    public record Shape(
            String id,
            String fill,
            double width,
            double height,
            double corner,
            double codeY,
            double faceY,
            boolean plated) {
        static final double PLATE = 19;

        public double left() {
            return -width / 2;
        }

        public double top() {
            return -height / 2;
        }

        public double faceWidth() {
            return Math.min(60, width + 4);
        }

        public double codePlateX() {
            return corner > 3 ? -22 : left() + 4;
        }
    }

    /** A unit on the map. */
    public record Cell(
            String code,
            String css,
            String words,
            String href,
            Shape body,
            String place,
            int row,
            int column,
            double codeX,
            double codeY,
            double faceY,
            String shown,
            String value,
            boolean small) {
        /** Where the shape is drawn, for a cell that shares it with others. */
        public String shape() {
            return "#" + body.id();
        }

        static Cell of(
                ExperimentalUnit unit, String treatment, String letter, Shape shape, double x, double y, Face face) {
            String code = unit.code().value();
            String stands = switch (face.state()) {
                case DONE, ABOVE, BELOW -> face.value().isEmpty() ? "" : ", " + face.value();
                case LOST -> ", lost";
                case NOW -> ", measuring now";
                case TODO -> ", to do";
            };
            return new Cell(
                    code,
                    "unit " + face.state().name().toLowerCase(Locale.ROOT) + (shape.plated() ? "" : " small")
                            + (face.shade() > 0 ? " shade-" + face.shade() : ""),
                    code + ", " + treatment + stands,
                    face.href(),
                    shape,
                    "translate(" + round(x) + " " + round(y) + ")",
                    unit.position().row(),
                    unit.position().column(),
                    shape.plated() ? shape.codePlateX() + 22 : 0,
                    shape.plated() ? shape.codeY() + 14.5 : 4,
                    shape.faceY() + 14.5,
                    shape.plated() ? code : letter,
                    shape.plated() ? face.value() : "",
                    !shape.plated());
        }
    }

    /** A row's label. */
    public record RowLabel(String text, double y) {}

    /** A rectangle of the bench: measured light, or something that makes a part unlike the rest. */
    public record Area(double x, double y, double width, double height, double strength, String label) {}

    /** Where a unit is to be moved: from the middle of its place to the middle of the other. */
    public record Arrow(String code, double fromX, double fromY, double toX, double toY) {
        private static final double ROOM = 34;
        private static final double BOW = 0.12;

        /** A line that leaves room for the units at either end, bowed where it passes over others. */
        public String line() {
            double acrossX = toX - fromX;
            double acrossY = toY - fromY;
            double part = Math.min(0.4, ROOM / Math.hypot(acrossX, acrossY));
            return "M" + round(fromX + acrossX * part) + " " + round(fromY + acrossY * part) + "Q"
                    + round((fromX + toX) / 2 + acrossY * BOW) + " " + round((fromY + toY) / 2 - acrossX * BOW) + " "
                    + round(toX - acrossX * part) + " " + round(toY - acrossY * part);
        }
    }

    /** A place without a unit, or with a guard unit on it. */
    public record Spot(double x, double y, int row, int column) {}

    /**
     * One bench.
     *
     * @param pitchX from the middle of a place to the next along a row
     */
    public record Drawn(
            int number,
            String name,
            double width,
            double height,
            double pitchX,
            double pitchY,
            int rowCount,
            int columnCount,
            Side light,
            List<RowLabel> rows,
            List<Shape> shapes,
            List<Cell> cells,
            List<Area> lit,
            List<Area> influences,
            List<Spot> guards,
            List<Spot> free,
            List<Arrow> arrows,
            double radius,
            String lightWords,
            String doorWords,
            String size) {
        /** Where the light wash runs from, by its side. */
        public String gradient() {
            return switch (light) {
                case TOP -> "0 0 0 1";
                case BOTTOM -> "0 1 0 0";
                case LEFT -> "0 0 1 0";
                case RIGHT -> "1 0 0 0";
            };
        }

        /** Whether it needs the width of a page for its codes to be read. */
        public boolean wide() {
            return width > WIDE;
        }

        public double originX() {
            return LABELS;
        }

        public double originY() {
            return TOP;
        }
    }

    /** Draws all benches of a trial, large enough to read codes and values on every unit. */
    public static BenchMap of(TrialRecord record, Function<ExperimentalUnit, Face> face) {
        return new BenchMap(record.benches().stream()
                .map(bench -> new Drawing(record, bench, true).drawn(face))
                .toList());
    }

    /** Draws all benches with an arrow from where each unit stands to where it shall stand. */
    public static BenchMap moving(TrialRecord record, TrialRecord to, Function<ExperimentalUnit, Face> face) {
        return new BenchMap(record.benches().stream()
                .map(bench -> new Drawing(record, bench, true).drawn(face, to.units()))
                .toList());
    }

    /** Draws one bench, 1-based. */
    public static BenchMap of(TrialRecord record, int bench, Function<ExperimentalUnit, Face> face) {
        return new BenchMap(List.of(new Drawing(record, record.bench(bench), true).drawn(face)));
    }

    /** Draws all benches so that each is seen whole; where units get small they show their treatment's letter only. */
    public static BenchMap whole(TrialRecord record, Function<ExperimentalUnit, Face> face) {
        return new BenchMap(record.benches().stream()
                .map(bench -> new Drawing(record, bench, false).drawn(face))
                .toList());
    }

    private static double round(double px) {
        return Math.round(px * 10) / 10.0;
    }

    /** The measures of one bench's drawing. */
    private static final class Drawing {
        private final TrialRecord record;
        private final Bench bench;
        private final List<ExperimentalUnit> here;
        private final double scale;
        private final double pitchX;
        private final double pitchY;
        private final boolean plated;

        Drawing(TrialRecord record, Bench bench, boolean readable) {
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

        Drawn drawn(Function<ExperimentalUnit, Face> face) {
            return drawn(face, List.of());
        }

        /** From each unit to its other place. */
        private List<Arrow> arrows(List<ExperimentalUnit> moved) {
            Map<String, BenchPosition> to =
                    moved.stream().collect(Collectors.toMap(unit -> unit.code().value(), ExperimentalUnit::position));
            return here.stream()
                    .flatMap(unit -> Optional.ofNullable(to.get(unit.code().value()))
                            .filter(place -> !place.equals(unit.position()))
                            .map(place -> new Arrow(
                                    unit.code().value(),
                                    x(unit.position().column()),
                                    y(unit.position().row()),
                                    x(place.column()),
                                    y(place.row())))
                            .stream())
                    .toList();
        }

        Drawn drawn(Function<ExperimentalUnit, Face> face, List<ExperimentalUnit> moved) {
            Map<Integer, Shape> shapes = new TreeMap<>();
            List<Cell> cells = new ArrayList<>();
            for (ExperimentalUnit unit : here) {
                Shape shape = shapes.computeIfAbsent(unit.treatment(), number -> shape(number, record.container(unit)));
                cells.add(Cell.of(
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
            return new Drawn(
                    bench.number(),
                    bench.name(),
                    round(LABELS + bench.columns() * pitchX + 12),
                    round(TOP + bench.rows() * pitchY + BOTTOM),
                    round(pitchX),
                    round(pitchY),
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
                    round(0.32 * Math.min(pitchX, pitchY)),
                    lightWords(),
                    "door at the " + bench.door().label(),
                    bench.lengthCm() > 0
                            ? Math.round(bench.lengthCm()) + " × " + Math.round(bench.depthCm()) + " cm"
                            : "");
        }

        private Spot spot(BenchPosition at) {
            return new Spot(round(x(at.column())), round(y(at.row())), at.row(), at.column());
        }

        /** A row is labelled with its block when all its units share one. */
        private List<RowLabel> rows() {
            Map<Integer, Set<Integer>> blocks = new TreeMap<>();
            here.forEach(unit -> blocks.computeIfAbsent(unit.position().row(), row -> new HashSet<>())
                    .add(unit.block()));
            boolean manyBlocks =
                    here.stream().mapToInt(ExperimentalUnit::block).distinct().count() > 1;
            return blocks.entrySet().stream()
                    .filter(row -> row.getValue().size() == 1 && manyBlocks)
                    .map(row ->
                            new RowLabel("block " + row.getValue().iterator().next(), round(y(row.getKey()))))
                    .toList();
        }

        /** Measured light, a rectangle for each reading of the meter, brighter where there is more. */
        private List<Area> lit() {
            var map = bench.lightMap();
            List<Area> areas = new ArrayList<>();
            double most = map.ppfd().stream().mapToDouble(v -> v).max().orElse(0);
            double least = map.ppfd().stream().mapToDouble(v -> v).min().orElse(0);
            double width = bench.columns() * pitchX / Math.max(1, map.columns());
            double height = bench.rows() * pitchY / Math.max(1, map.rows());
            for (int i = 0; i < map.ppfd().size(); i++) {
                int row = i / map.columns();
                int column = i % map.columns();
                double value = map.ppfd().get(i);
                areas.add(new Area(
                        round(LABELS + column * width),
                        round(TOP + row * height),
                        round(width),
                        round(height),
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

        private Area area(Influence influence) {
            int toColumn = Math.min(influence.toColumn(), bench.columns());
            int toRow = Math.min(influence.toRow(), bench.rows());
            return new Area(
                    round(LABELS + (influence.fromColumn() - 1) * pitchX + 2),
                    round(TOP + (influence.fromRow() - 1) * pitchY + 2),
                    round(Math.max(0, (toColumn - influence.fromColumn() + 1) * pitchX - 4)),
                    round(Math.max(0, (toRow - influence.fromRow() + 1) * pitchY - 4)),
                    1,
                    influence.kind().label());
        }

        private Shape shape(int treatment, Container container) {
            double width = container.topLengthCm() * scale;
            double height = container.topWidthCm() * scale;
            boolean round = container.outline() == Outline.ROUND;
            // Where a pot is small, its plates stand out over its rim rather than over each other.
            boolean inset = round && height >= SMALLEST_CELL;
            return new Shape(
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
}
