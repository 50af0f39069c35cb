package elsom.web.shelf;

import elsom.core.material.Fitness;
import elsom.core.material.LotFigure;
import elsom.core.material.OnShelf;
import elsom.core.material.Use;
import elsom.core.material.UseBound;
import elsom.core.mix.Property;
import elsom.core.quantity.Decimals;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Turns what is known of lots into cells of a table. */
final class LotViews {
    private static final double STRIP = 84;

    private LotViews() {}

    /** A column. */
    record Head(String code, String label, String unit) {}

    /** A value with a strip: {@code bandWidth} is 0 without a use that asks for it. */
    record Cell(String value, String mark, String origin, String rank, double markX, double bandX, double bandWidth) {
        static final Cell NONE = new Cell("", "", "", "", 0, 0, 0);
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

    /** A property of a lot among others. */
    static Cell cell(OnShelf lot, List<OnShelf> all, Property property, Optional<Use> use) {
        Optional<OnShelf.Known> known = lot.known(property);
        if (known.isEmpty()) {
            return Cell.NONE;
        }
        double value = known.get().value();
        Optional<UseBound> bound = use.flatMap(asked -> asked.bounds().stream()
                .filter(one -> one.property() == property)
                .findFirst());
        double top = Math.max(
                        all.stream()
                                .mapToDouble(one -> one.value(property).orElse(0))
                                .max()
                                .orElse(1),
                        bound.map(one -> Math.min(
                                        one.mostOk(), one.most() < property.most() ? one.most() : one.leastOk()))
                                .orElse(0.0))
                * 1.05;
        double scale = top > 0 ? STRIP / top : 0;
        double bandX = bound.map(one -> one.leastOk() * scale).orElse(0.0);
        double bandEnd = bound.map(one -> Math.min(STRIP, one.mostOk() * scale)).orElse(0.0);
        return new Cell(
                number(property, value),
                known.get().told().map(told -> told.origin().mark()).orElse("p"),
                known.get()
                        .told()
                        .map(told -> told.origin().label() + (told.said().isEmpty() ? "" : ": " + told.said()))
                        .orElse("predicted from its parts"),
                rank(lot, all, property, value),
                px(value * scale),
                px(bandX),
                px(Math.max(0, bandEnd - bandX)));
    }

    private static double px(double value) {
        return Math.round(value * 10) / 10.0;
    }

    private static String number(Property property, double value) {
        String shown = LotFigure.shown(property, value);
        return property.unit().isEmpty() ? shown : shown.replace(" " + property.unit(), "");
    }

    private static String rank(OnShelf lot, List<OnShelf> all, Property property, double value) {
        int place = OnShelf.place(
                value, all.stream().flatMap(one -> one.known(property).stream()).mapToDouble(OnShelf.Known::value));
        int ofKind = OnShelf.place(
                value,
                all.stream()
                        .filter(one -> one.lot().kind() == lot.lot().kind())
                        .flatMap(one -> one.known(property).stream())
                        .mapToDouble(OnShelf.Known::value));
        return Decimals.upTo(place, 0) + " · " + Decimals.upTo(ofKind, 0);
    }

    static String tone(Fitness fitness) {
        return switch (fitness) {
            case PASS -> "better";
            case FAIL -> "worse";
            case CAUTION, UNKNOWN -> "cant_tell";
        };
    }
}
