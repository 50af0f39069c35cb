package elsom.web.kit;

import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Side;
import elsom.core.trial.TrialRecord;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;

/** The benches from above, to scale within each bench, with every unit on its place. Lengths are px of the drawing. */
public record BenchMap(List<Drawn> benches) {
    private static final double WIDE = 960;

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

        /** The least width it is drawn at on a screen, in hundreds of pixels, so that its codes are 11 pixels high: they are 16 of its own units, and 11 in small cells. */
        public int least() {
            double high = cells.stream().anyMatch(Cell::small) ? 11 : 16;
            return (int) Math.ceil(width * 11 / high / 100);
        }

        /** Whether it needs the width of a page for its codes to be read. */
        public boolean wide() {
            return width > WIDE;
        }

        public double originX() {
            return BenchDrawing.LABELS;
        }

        public double originY() {
            return BenchDrawing.TOP;
        }
    }

    /** Draws all benches of a trial, large enough to read codes and values on every unit. */
    public static BenchMap of(TrialRecord record, Function<ExperimentalUnit, Face> face) {
        return new BenchMap(record.benches().stream()
                .map(bench -> new BenchDrawing(record, bench, true).drawn(face))
                .toList());
    }

    /** Draws all benches with an arrow from where each unit stands to where it shall stand. */
    public static BenchMap moving(TrialRecord record, TrialRecord to, Function<ExperimentalUnit, Face> face) {
        return new BenchMap(record.benches().stream()
                .map(bench -> new BenchDrawing(record, bench, true).drawn(face, to.units()))
                .toList());
    }

    /** Draws one bench, 1-based. */
    public static BenchMap of(TrialRecord record, int bench, Function<ExperimentalUnit, Face> face) {
        return new BenchMap(List.of(new BenchDrawing(record, record.bench(bench), true).drawn(face)));
    }

    /** Draws all benches so that each is seen whole; where units get small they show their treatment's letter only. */
    public static BenchMap whole(TrialRecord record, Function<ExperimentalUnit, Face> face) {
        return new BenchMap(record.benches().stream()
                .map(bench -> new BenchDrawing(record, bench, false).drawn(face))
                .toList());
    }

    static double round(double px) {
        return Math.round(px * 10) / 10.0;
    }
}
