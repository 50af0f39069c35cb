package elsom.core.material;

import elsom.core.mix.Property;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;

/**
 * Materials with properties as they usually are, water and air in a pot of 10 cm: judged by us, for a shelf to begin with.
 * Measured figures of one's own count before them.
 */
public final class TypicalLots {
    private TypicalLots() {}

    /**
     * All of them.
     *
     * @param on the day they are put on the shelf
     */
    public static List<Lot> all(LocalDate on) {
        return List.of(
                lot(on, "wood fibre", MaterialKind.ORGANIC, 46, 46, 120, 0.10, 5.0, 20, 0.060),
                lot(on, "rice hulls", MaterialKind.ORGANIC, 20, 65, 110, 0.10, 6.2, 10, 0.055),
                lot(on, "composted bracken", MaterialKind.ORGANIC, 58, 28, 220, 0.45, 4.5, 180, 0.085),
                lot(on, "green-waste compost", MaterialKind.COMPOST, 55, 18, 520, 1.40, 7.4, 420, 0.045),
                lot(on, "sheep-wool compost", MaterialKind.COMPOST, 60, 20, 380, 1.10, 7.0, 650, 0.140),
                lot(on, "leaf mould", MaterialKind.ORGANIC, 62, 22, 300, 0.20, 6.1, 90, 0.090),
                lot(on, "digestate fibre", MaterialKind.ORGANIC, 66, 20, 260, 1.60, 7.8, 520, 0.040),
                lot(on, "crushed brick 2–8 mm", MaterialKind.MINERAL, 18, 34, 950, 0.08, 7.6, 0, 0.070),
                lot(on, "foamed-glass grit", MaterialKind.MINERAL, 10, 62, 240, 0.15, 8.5, 0, 0.160));
    }

    private static Lot lot(
            LocalDate on,
            String name,
            MaterialKind kind,
            double water,
            double air,
            double density,
            double ec,
            double ph,
            double nitrogen,
            double price) {
        Map<Property, Double> known = Map.of(
                Property.WATER, water,
                Property.AIR, air,
                Property.DENSITY, density,
                Property.EC, ec,
                Property.PH, ph,
                Property.NITROGEN, nitrogen,
                Property.PRICE, price);
        return Lot.named(name, name, kind)
                .with(known.entrySet().stream()
                        .sorted(Map.Entry.comparingByKey())
                        .map(one -> LotFigure.of(one.getKey(), one.getValue(), Origin.TYPICAL, "to begin with", on))
                        .toList());
    }
}
