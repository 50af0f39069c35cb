package elsom.web.shelf;

import elsom.core.material.LotFigure;
import elsom.core.material.Origin;
import elsom.core.mix.Property;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;

/** A figure of a lot as typed. */
record FigureForm(String property, String value, String origin, String said, String on, String depth) {
    static final FigureForm EMPTY = new FigureForm(Property.PH.name(), "", Origin.LAB.name(), "", "", "");

    static FigureForm sent(Map<String, String> typed) {
        return new FigureForm(
                typed.getOrDefault("property", ""),
                typed.getOrDefault("value", ""),
                typed.getOrDefault("origin", ""),
                typed.getOrDefault("said", ""),
                typed.getOrDefault("on", ""),
                typed.getOrDefault("depth", ""));
    }

    Optional<LotFigure> read(LocalDate today, Map<String, String> problems) {
        Optional<Property> known = Arrays.stream(Property.values())
                .filter(one -> one.name().equals(property))
                .findFirst();
        Optional<Origin> from = Arrays.stream(Origin.values())
                .filter(one -> one.name().equals(origin))
                .findFirst();
        if (known.isEmpty() || from.isEmpty()) {
            problems.put("value", "Choose what it is and where it comes from.");
            return Optional.empty();
        }
        LocalDate told = LotForm.date(on, "on", today, problems);
        Optional<Double> amount = amount(known.get());
        if (amount.isEmpty()) {
            problems.put("value", accepted(known.get()));
        }
        double deep = 0;
        if (!depth.isBlank()) {
            if (Typed.parse(depth, UnitOfMeasure.CENTIMETRE) instanceof Typed.Understood understood
                    && understood.stored().value() >= 1
                    && understood.stored().value() <= ShelfController.DEEPEST_CM) {
                deep = understood.stored().value();
            } else {
                problems.put("depth", "A depth from 1 to 100 cm. Accepted: 10 cm, 4 in.");
            }
        }
        return problems.isEmpty()
                ? Optional.of(new LotFigure(
                        known.get(),
                        amount.orElseThrow(),
                        from.get(),
                        said.strip(),
                        told == null ? today : told,
                        known.get().byDepth() ? deep : 0,
                        0))
                : Optional.empty();
    }

    private Optional<Double> amount(Property known) {
        UnitOfMeasure unit = switch (known) {
            case EC -> UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE;
            case DENSITY -> UnitOfMeasure.GRAM_PER_LITRE;
            case NITROGEN -> UnitOfMeasure.MILLIGRAM_PER_LITRE;
            case PH -> UnitOfMeasure.PH;
            case WATER, AIR, PRICE -> UnitOfMeasure.COUNT;
        };
        String text = unit == UnitOfMeasure.COUNT ? value.replace("%", "").strip() : value;
        return Typed.parse(text, unit) instanceof Typed.Understood understood
                        && understood.stored().value() >= 0
                        && understood.stored().value() <= known.most()
                ? Optional.of(understood.stored().value())
                : Optional.empty();
    }

    private static String accepted(Property known) {
        return switch (known) {
            case WATER, AIR -> "A share of the volume from 0 to 100 %. Accepted: 48 %.";
            case DENSITY -> "Grams of dry medium in a litre. Accepted: 240, 240 g/L.";
            case EC ->
                "EC of the 1:5 extract; never ppm without its factor. Accepted: 0.4 mS/cm. For another extract:"
                        + " the sum “One extract in another's figures”, or a lab sheet.";
            case NITROGEN -> "Nitrogen in a litre of it. Accepted: 180 mg/L, 0.18 g/L.";
            case PH -> "A pH from 0 to 14. Accepted: 6.2.";
            case PRICE -> "The price of a litre in your own money. Accepted: 0.085.";
        };
    }
}
