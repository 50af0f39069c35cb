package elsom.web.kit;

import elsom.core.trial.Bench;
import elsom.core.trial.Container;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Outline;
import elsom.core.trial.Side;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;

/** The benches from above, to scale within each bench, with every unit on its place. Lengths are px of the drawing. */
public record BenchMap(List<Drawn> benches) {
    private static final double GAP_CM = 2.5;
    private static final double WIDEST = 760;
    private static final double LABELS = 74;
    private static final double TOP = 34;
    private static final double SPREAD = 0.8;
    private static final double SMALLEST_CELL = 66;
    private static final double LARGEST_CELL = 122;

    /** So that a bench of a few rows is seen whole beside the entry panel. */
    private static final double HIGHEST = 510;

    /** How a unit stands on the map. */
    public enum State {
        TODO,
        DONE,
        NOW,
        LOST
    }

    /** What is shown on a unit: a value, how it stands, and where a click leads. */
    public record Face(String value, State state, String href) {}

    /** What the units of one treatment look like on this bench, drawn once and placed often; centred on 0, 0. */
    public record Shape(
            String id, String fill, double width, double height, double corner, double codeY, double faceY) {
        static final double PLATE = 19;

        public double left() {
            return -width / 2;
        }

        public double top() {
            return -height / 2;
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
            String shape,
            String place,
            double codeX,
            double codeY,
            double faceY,
            String value) {
        static Cell of(String code, String treatment, Shape shape, double x, double y, Face face) {
            String stands = switch (face.state()) {
                case DONE -> face.value().isEmpty() ? "" : ", " + face.value();
                case LOST -> ", lost";
                case NOW -> ", measuring now";
                case TODO -> ", to do";
            };
            return new Cell(
                    code,
                    "unit " + face.state().name().toLowerCase(Locale.ROOT),
                    code + ", " + treatment + stands,
                    face.href(),
                    "#" + shape.id(),
                    "translate(" + round(x) + " " + round(y) + ")",
                    shape.codePlateX() + 22,
                    shape.codeY() + 14.5,
                    shape.faceY() + 14.5,
                    face.value());
        }
    }

    /** A row's label. */
    public record RowLabel(String text, double y) {}

    /** One bench. */
    public record Drawn(
            int number,
            String name,
            double width,
            double height,
            Side light,
            List<RowLabel> rows,
            List<Shape> shapes,
            List<Cell> cells,
            String lightWords,
            String doorWords) {}

    /** Draws all benches of a trial. */
    public static BenchMap of(TrialRecord record, Function<ExperimentalUnit, Face> face) {
        return new BenchMap(record.benches().stream()
                .map(bench -> drawn(record, bench, face))
                .toList());
    }

    /** Draws one bench, 1-based. */
    public static BenchMap of(TrialRecord record, int bench, Function<ExperimentalUnit, Face> face) {
        return new BenchMap(List.of(drawn(record, record.bench(bench), face)));
    }

    private static Drawn drawn(TrialRecord record, Bench bench, Function<ExperimentalUnit, Face> face) {
        List<ExperimentalUnit> here = record.units().stream()
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
        double fitting = (WIDEST - LABELS) / (bench.columns() * (longest + GAP_CM));
        double upright = (HIGHEST - TOP) / (bench.rows() * (widest + GAP_CM));
        double scale = Math.max(SMALLEST_CELL / longest, Math.min(Math.min(fitting, upright), LARGEST_CELL / longest));
        double pitchX = Math.max((longest + GAP_CM) * scale, (WIDEST - LABELS) / bench.columns() * SPREAD);
        double pitchY = Math.max((widest + GAP_CM) * scale, SMALLEST_CELL + 6);
        Map<Integer, Shape> shapes = new TreeMap<>();
        List<Cell> cells = new ArrayList<>();
        for (ExperimentalUnit unit : here) {
            Shape shape = shapes.computeIfAbsent(
                    unit.treatment(), number -> shape(bench.number(), number, record.container(unit), scale));
            double x = LABELS + (unit.position().column() - 0.5) * pitchX;
            double y = TOP + (unit.position().row() - 0.5) * pitchY;
            cells.add(Cell.of(unit.code().value(), record.treatment(unit).name(), shape, x, y, face.apply(unit)));
        }
        List<RowLabel> rows = here.stream()
                .filter(unit -> unit.position().column() == 1)
                .map(unit -> new RowLabel(
                        "block " + unit.block(), round(TOP + (unit.position().row() - 0.5) * pitchY)))
                .toList();
        return new Drawn(
                bench.number(),
                bench.name(),
                round(LABELS + bench.columns() * pitchX + 12),
                round(TOP + bench.rows() * pitchY + 30),
                bench.light(),
                rows,
                List.copyOf(shapes.values()),
                cells,
                "window side",
                "door side");
    }

    private static Shape shape(int bench, int treatment, Container container, double scale) {
        double width = container.topLengthCm() * scale;
        double height = container.topWidthCm() * scale;
        boolean round = container.outline() == Outline.ROUND;
        return new Shape(
                "cell-" + bench + "-" + treatment,
                "url(#tex-" + treatment + ")",
                round(width),
                round(height),
                round ? round(Math.min(width, height) / 2) : 3,
                round(-height / 2 + (round ? 10 : 4)),
                round(height / 2 - (round ? 32 : 23)));
    }

    private static double round(double px) {
        return Math.round(px * 10) / 10.0;
    }
}
