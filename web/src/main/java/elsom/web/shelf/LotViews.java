package elsom.web.shelf;

import elsom.core.material.LotFigure;
import elsom.core.material.MaterialKind;
import elsom.core.material.OnShelf;
import elsom.core.material.Use;
import elsom.core.material.UseBound;
import elsom.core.mix.Property;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;

/** Turns what is known of lots into cells of a table. */
final class LotViews {
    private static final double STRIP = 84;

    private LotViews() {}

    /** A column. */
    record Head(String code, String label, String unit) {}

    /**
     * A value with a strip.
     *
     * @param strip drawn, of numbers only
     */
    record Cell(String value, String mark, String origin, String rank, String strip) {
        static final Cell NONE = new Cell("–", "", "", "", "");
    }

    static List<Head> heads() {
        return Arrays.stream(Property.values())
                .map(property -> new Head(property.code(), shortLabel(property), unit(property)))
                .toList();
    }

    private static String unit(Property property) {
        return property == Property.PRICE ? "a litre" : property.unit();
    }

    private static String shortLabel(Property property) {
        return switch (property) {
            case WATER -> "Water";
            case AIR -> "Air";
            case DENSITY -> "Weight";
            case EC -> "EC 1:5";
            case NITROGEN -> "Nitrogen";
            case PH -> "pH";
            case PRICE -> "Price";
        };
    }

    /** A property over all lots that are shown: their values in order, all and by kind, and how far the strip reaches. */
    static final class Scale {
        private final Property property;
        private final Optional<UseBound> bound;
        private final double[] sorted;
        private final Map<MaterialKind, double[]> byKind = new EnumMap<>(MaterialKind.class);
        private final double top;

        Scale(Property property, List<OnShelf> all, Optional<Use> use) {
            this.property = property;
            this.bound = use.flatMap(asked -> asked.bounds().stream()
                    .filter(one -> one.property() == property)
                    .findFirst());
            for (MaterialKind kind : MaterialKind.values()) {
                byKind.put(kind, values(all.stream().filter(lot -> lot.lot().kind() == kind), property));
            }
            this.sorted = values(all.stream(), property);
            double wanted = bound.map(one -> one.mostOk() < property.most() ? one.mostOk() : one.leastOk())
                    .orElse(0.0);
            double highest = sorted.length == 0 ? 1 : sorted[sorted.length - 1];
            this.top = 1.05 * Math.max(highest, wanted);
        }

        private static double[] values(Stream<OnShelf> lots, Property property) {
            return lots.flatMapToDouble(lot -> lot.value(property).stream())
                    .sorted()
                    .toArray();
        }
    }

    /** A property of a lot among others. */
    static Cell cell(OnShelf lot, Scale scale) {
        Optional<OnShelf.Known> known = lot.known(scale.property);
        if (known.isEmpty()) {
            return Cell.NONE;
        }
        double value = known.get().value();
        double pixels = scale.top > 0 ? STRIP / scale.top : 0;
        double bandX = scale.bound.map(one -> one.leastOk() * pixels).orElse(0.0);
        double bandEnd =
                scale.bound.map(one -> Math.min(STRIP, one.mostOk() * pixels)).orElse(0.0);
        return new Cell(
                number(scale.property, value),
                known.get().told().map(told -> told.origin().mark()).orElse("p"),
                known.get()
                        .told()
                        .map(told -> told.origin().label() + (told.said().isEmpty() ? "" : ": " + told.said()))
                        .orElse("predicted from its parts"),
                place(value, scale.sorted) + " · "
                        + place(
                                value,
                                Objects.requireNonNull(
                                        scale.byKind.get(lot.lot().kind()))),
                strip(px(value * pixels), px(bandX), px(Math.max(0, bandEnd - bandX))));
    }

    /** 1 for the highest; those that share a value share a place. */
    private static int place(double value, double[] sorted) {
        int at = Arrays.binarySearch(sorted, value);
        while (at >= 0 && at + 1 < sorted.length && sorted[at + 1] == value) {
            at++;
        }
        return at < 0 ? sorted.length + at + 2 : sorted.length - at;
    }

    /** What a use wants as a band, the value as a mark. */
    private static String strip(double mark, double band, double width) {
        return "<svg class=\"strip\" viewBox=\"0 0 84 10\" aria-hidden=\"true\" focusable=\"false\">"
                + "<rect class=\"ground\" width=\"84\" height=\"10\"/>"
                + (width > 0 ? "<rect class=\"band\" height=\"10\" x=\"" + band + "\" width=\"" + width + "\"/>" : "")
                + "<path class=\"mark\" d=\"M" + mark + " 0v10\"/></svg>";
    }

    private static double px(double value) {
        return Math.round(value * 10) / 10.0;
    }

    private static String number(Property property, double value) {
        String shown = LotFigure.shown(property, value);
        return property.unit().isEmpty() ? shown : shown.replace(" " + property.unit(), "");
    }
}
