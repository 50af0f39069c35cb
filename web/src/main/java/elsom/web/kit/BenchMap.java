package elsom.web.kit;

import elsom.core.trial.Bench;
import elsom.core.trial.Container;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Outline;
import elsom.core.trial.Side;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.List;
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

    /** A unit on the map. */
    public record Cell(
            String code,
            int treatment,
            String treatmentName,
            double x,
            double y,
            double width,
            double height,
            boolean round,
            Face face) {
        public double middleX() {
            return x + width / 2;
        }

        public double bottom() {
            return y + height;
        }

        public double radius() {
            return round ? Math.min(width, height) / 2 : 3;
        }

        /** The unit in words, for those who can't see the map. */
        public String words() {
            String stands = switch (face.state()) {
                case DONE -> face.value().isEmpty() ? "" : ", " + face.value();
                case LOST -> ", lost";
                case NOW -> ", measuring now";
                case TODO -> ", to do";
            };
            return code + ", " + treatmentName + stands;
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
            List<Cell> cells,
            String lightWords,
            String doorWords) {}

    /** Draws all benches of a trial. */
    public static BenchMap of(TrialRecord record, Function<ExperimentalUnit, Face> face) {
        return new BenchMap(record.benches().stream()
                .map(bench -> drawn(record, bench, face))
                .toList());
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
        List<Cell> cells = new ArrayList<>();
        for (ExperimentalUnit unit : here) {
            Container container = record.container(unit);
            double width = container.topLengthCm() * scale;
            double height = container.topWidthCm() * scale;
            double x = LABELS + (unit.position().column() - 1) * pitchX + (pitchX - width) / 2;
            double y = TOP + (unit.position().row() - 1) * pitchY + (pitchY - height) / 2;
            cells.add(new Cell(
                    unit.code().value(),
                    unit.treatment(),
                    record.treatment(unit).name(),
                    round(x),
                    round(y),
                    round(width),
                    round(height),
                    container.outline() == Outline.ROUND,
                    face.apply(unit)));
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
                cells,
                "window side",
                "door side");
    }

    private static double round(double px) {
        return Math.round(px * 10) / 10.0;
    }
}
