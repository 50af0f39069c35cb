package elsom.core.mix;

import java.util.List;
import java.util.Map;

/**
 * Materials of a nursery's shelf with properties as they usually are, water and air in a pot of 10 cm: judged by us, to begin
 * with. Measured figures of one's own belong in their place.
 */
public final class TypicalParts {
    private TypicalParts() {}

    public static List<MixPart> all() {
        return List.of(
                part("wood fibre", 46, 46, 120, 0.10, 20, 0.060),
                part("rice hulls", 20, 65, 110, 0.10, 10, 0.055),
                part("composted bracken", 58, 28, 220, 0.45, 180, 0.085),
                part("green-waste compost", 55, 18, 520, 1.40, 420, 0.045),
                part("sheep-wool compost", 60, 20, 380, 1.10, 650, 0.140),
                part("leaf mould", 62, 22, 300, 0.20, 90, 0.090),
                part("digestate fibre", 66, 20, 260, 1.60, 520, 0.040),
                part("crushed brick 2–8 mm", 18, 34, 950, 0.08, 0, 0.070),
                part("foamed-glass grit", 10, 62, 240, 0.15, 0, 0.160));
    }

    private static MixPart part(
            String name, double water, double air, double density, double ec, double nitrogen, double price) {
        return new MixPart(
                name,
                Map.of(
                        Property.WATER, water,
                        Property.AIR, air,
                        Property.DENSITY, density,
                        Property.EC, ec,
                        Property.NITROGEN, nitrogen),
                price,
                0,
                1);
    }
}
