package elsom.web.designer;

import elsom.core.material.Batch;
import elsom.core.material.Lot;
import elsom.core.material.LotFigure;
import elsom.core.material.MaterialKind;
import elsom.core.material.OnShelf;
import elsom.core.material.Use;
import elsom.core.material.UseBound;
import elsom.core.mix.Mix;
import elsom.core.mix.Property;
import elsom.core.quantity.Decimals;
import elsom.web.kit.Tones;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.function.Function;

/**
 * The mixing bench.
 *
 * @param known name of the mix on the shelf with the same recipe; empty when there is none
 * @param apart lots in quarantine that are in the mix
 * @param containers how many the batch fills
 * @param price of the batch; empty while that of a part is not known
 * @param refused why no mix was found; empty when one was, or none was asked for
 */
public record DesignerPage(
        DesignerForm form,
        String use,
        List<Use> uses,
        List<String> names,
        List<Layer> layers,
        String text,
        String known,
        String fit,
        String tone,
        List<String> against,
        List<Line> lines,
        List<BatchLine> batch,
        String containers,
        String price,
        List<String> cautions,
        String settled,
        List<String> apart,
        String refused,
        UUID token) {
    private static final double DRAWN_PX = 300;
    private static final double STRIP = 120;
    private static final Map<Property, Double> SCALE = Map.of(
            Property.WATER, 100.0,
            Property.AIR, 100.0,
            Property.DENSITY, 1500.0,
            Property.EC, 2.0,
            Property.NITROGEN, 800.0,
            Property.PH, 10.0,
            Property.PRICE, 0.3);

    /** A layer of the drawn container, in pixels from its rim; {@code row} is that of the form. */
    public record Layer(int row, String name, double percent, String share, double y, double height) {
        /** Where its lower edge is. */
        public double bottom() {
            return y + height;
        }
    }

    /** A property, predicted or measured, on a strip with what the use wants. */
    public record Line(
            String label,
            boolean price,
            String value,
            String from,
            String tone,
            double markX,
            double bandX,
            double bandWidth) {}

    /** A part of the batch, in the order of mixing; {@code apart} is a lot in it that is in quarantine. */
    public record BatchLine(
            String name, String share, String volume, String mass, String perContainer, String how, String apart) {}

    static DesignerPage of(
            DesignerForm form,
            Optional<Use> use,
            List<Use> uses,
            List<Lot> shelf,
            Function<String, Optional<Lot>> find,
            Map<String, String> apart,
            String refused) {
        Optional<Mix> mix = form.mix();
        Optional<Lot> known = mix.flatMap(
                one -> shelf.stream().filter(lot -> lot.isMixOf(one)).findFirst());
        Optional<OnShelf> seen = mix.filter(one -> one.parts().size() > 1)
                .map(one -> OnShelf.of(
                        known.orElseGet(() -> Lot.mixed("this mix", one.text(), LocalDate.EPOCH)),
                        form.depthCm(),
                        find))
                .or(() -> mix.flatMap(one -> find.apply(one.parts().get(0).material()))
                        .map(lot -> OnShelf.of(lot, form.depthCm(), find)));
        Optional<Use.Judged> judged = use.flatMap(asked -> seen.map(lot -> asked.judge(lot::value)));
        Optional<Batch> batch = mix.map(one -> Batch.of(one, form.batchMl(), form.settling(), find));
        return new DesignerPage(
                form,
                use.map(Use::code).orElse(""),
                uses,
                shelf.stream()
                        .filter(lot -> lot.kind() != MaterialKind.MIX)
                        .map(Lot::name)
                        .toList(),
                mix.map(one -> layers(one, form)).orElse(List.of()),
                mix.map(Mix::text).orElse(""),
                known.map(Lot::name).orElse(""),
                judged.map(one -> one.fitness().label()).orElse(""),
                judged.map(one -> Tones.of(one.fitness())).orElse(""),
                judged.map(Use.Judged::against).orElse(List.of()),
                seen.map(lot -> Arrays.stream(Property.values())
                                .map(property -> line(lot, property, use))
                                .toList())
                        .orElse(List.of()),
                batch.map(one -> lines(one, form, apart)).orElse(List.of()),
                batch.map(one -> Decimals.upTo(one.fills(form.containerMl()), 0))
                        .orElse(""),
                batch.map(Batch::price).filter(OptionalDouble::isPresent).stream()
                        .map(price -> Decimals.fixed(price.getAsDouble(), 2))
                        .findFirst()
                        .orElse(""),
                batch.map(Batch::cautions).orElse(List.of()),
                batch.map(one -> "Loose volumes: " + Decimals.percent(one.settling(), 0)
                                + " % is lost to mixing and tapping down.")
                        .orElse(""),
                mix.stream()
                        .flatMap(one -> one.parts().stream())
                        .flatMap(part -> Optional.ofNullable(apart.get(part.material())).stream())
                        .distinct()
                        .toList(),
                refused,
                UUID.randomUUID());
    }

    private static List<Layer> layers(Mix mix, DesignerForm form) {
        List<Layer> layers = new ArrayList<>();
        double y = 0;
        for (Mix.Part part : mix.parts()) {
            double share = part.parts() / mix.total();
            int row = 0;
            while (!form.rows().get(row).part().equals(part.material())) {
                row++;
            }
            layers.add(new Layer(
                    row,
                    part.material(),
                    Math.round(1000 * share) / 10.0,
                    Decimals.percent(share, 1) + " %",
                    DRAWN_PX * y,
                    DRAWN_PX * share));
            y += share;
        }
        return layers;
    }

    private static Line line(OnShelf lot, Property property, Optional<Use> use) {
        Optional<OnShelf.Known> known = lot.known(property);
        Optional<UseBound> bound = use.flatMap(asked -> asked.bounds().stream()
                .filter(one -> one.property() == property)
                .findFirst());
        double scale = STRIP / SCALE.getOrDefault(property, 1.0);
        double low = bound.map(one -> one.leastOk() * scale).orElse(0.0);
        double high = bound.map(one -> Math.min(STRIP, one.mostOk() * scale)).orElse(0.0);
        String label = property.label();
        if (known.isEmpty()) {
            return new Line(
                    label,
                    property == Property.PRICE,
                    "not known",
                    lot.prediction()
                            .map(one -> one.unknown().getOrDefault(property, List.of()))
                            .filter(parts -> !parts.isEmpty())
                            .map(parts -> "of " + String.join(", ", parts))
                            .orElse(""),
                    "",
                    -9,
                    low,
                    Math.max(0, high - low));
        }
        double value = known.get().value();
        OptionalDouble error = lot.error(property);
        String shown = property == Property.PH && known.get().predicted()
                ? lot.prediction()
                        .flatMap(one -> one.ph())
                        .map(band -> Decimals.fixed(band.low(), 1) + " to " + Decimals.fixed(band.high(), 1))
                        .orElse(LotFigure.shown(property, value))
                : LotFigure.shown(property, value);
        return new Line(
                label,
                property == Property.PRICE,
                shown,
                known.get().told().map(told -> told.origin().label()).orElse("predicted")
                        + (error.isPresent()
                                ? "; predicted " + LotFigure.shown(property, value - error.getAsDouble())
                                : ""),
                use.map(asked -> fitness(asked, lot, property)).orElse(""),
                Math.min(STRIP, value * scale),
                low,
                Math.max(0, high - low));
    }

    private static String fitness(Use use, OnShelf lot, Property property) {
        return use.judge(lot::value).checked().stream()
                .filter(one -> one.bound().property() == property)
                .findFirst()
                .map(one -> Tones.of(one.fitness()))
                .orElse("");
    }

    private static List<BatchLine> lines(Batch batch, DesignerForm form, Map<String, String> apart) {
        return batch.lines().stream()
                .map(line -> new BatchLine(
                        line.material(),
                        Decimals.percent(line.share(), 1) + " %",
                        Decimals.significant(line.looseMl() / 1000, 3) + " L",
                        line.massG().isPresent()
                                ? Decimals.significant(line.massG().getAsDouble() / 1000, 3) + " kg"
                                : "not known",
                        Decimals.significant(batch.looseIn(line, form.containerMl()), 3) + " mL",
                        line.how(),
                        apart.getOrDefault(line.material(), "")))
                .toList();
    }

    public String problem(String field) {
        return form.problem(field);
    }

    /** Whether there is a mix of two parts or more, which can be measured, kept and dragged. */
    public boolean mixed() {
        return layers.size() > 1;
    }
}
