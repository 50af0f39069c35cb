package elsom.core.material;

import elsom.core.mix.Property;
import java.util.List;

/**
 * Uses with their windows to begin with: judged by us from ranges that handbooks of substrates agree on (Bunt 1988; Handreck and
 * Black 2010); a station edits them to its own plants and climate.
 */
public final class TypicalUses {
    private TypicalUses() {}

    public static List<Use> all() {
        return List.of(
                new Use(
                        "seed",
                        "Seed raising in small cells",
                        4,
                        "A shallow cell stays wet to the top, and seedlings bear little salt.",
                        List.of(
                                air(
                                        8,
                                        12,
                                        40,
                                        60,
                                        "Shallow cells drain badly: damping-off follows.",
                                        "A cell so airy is dry by noon."),
                                water(
                                        35,
                                        45,
                                        75,
                                        85,
                                        "A cell holds little: with less it is dry by noon.",
                                        "So wet, seed and roots lack air."),
                                ec(0.35, 0.65, "Seedlings are hurt by salt first."),
                                ph(4.8, 5.3, 6.8, 7.5))),
                new Use(
                        "cuttings",
                        "Cuttings",
                        6,
                        "No roots yet: stems rot where air is short, and wilt where water is.",
                        List.of(
                                air(
                                        12,
                                        20,
                                        45,
                                        60,
                                        "Stems without roots rot where air is short.",
                                        "The stem's foot dries out."),
                                water(
                                        25,
                                        35,
                                        65,
                                        75,
                                        "Without roots a cutting wilts before it is seen.",
                                        "Under mist it stays wet anyway: stems rot."),
                                ec(0.25, 0.5, "Salt hinders rooting."),
                                ph(4.5, 5.0, 7.0, 7.8))),
                new Use(
                        "dish",
                        "Shallow dishes for plants that hate wet feet",
                        5,
                        "All of a shallow dish is wet foot unless the medium is coarse.",
                        List.of(
                                air(
                                        18,
                                        25,
                                        60,
                                        75,
                                        "In a shallow dish the wet foot reaches up to the roots.",
                                        "Nothing is left to drink from."),
                                water(8, 12, 40, 50, "Even these need some.", "What stays wet for days rots them."),
                                ec(0.35, 0.65, "They grow in poor ground."),
                                ph(5.5, 6.0, 7.8, 8.3))),
                new Use(
                        "rain",
                        "Outdoor pots in rain",
                        18,
                        "Rain fills every pore again and again, and washes feed away.",
                        List.of(
                                air(
                                        10,
                                        15,
                                        40,
                                        55,
                                        "After rain nothing but coarse pores gives air.",
                                        "Between rains it is dry in a day."),
                                water(25, 35, 65, 75, "A dry week comes too.", "In a wet week roots rot."),
                                ec(0.9, 1.3, "Rain washes salt down to the roots first."),
                                new UseBound(
                                        Property.DENSITY,
                                        120,
                                        200,
                                        1200,
                                        1800,
                                        "A light pot blows over.",
                                        "Nobody can carry it."),
                                ph(4.8, 5.3, 7.2, 7.8))),
                new Use(
                        "sill",
                        "Hot dry sill",
                        12,
                        "Sun and warm air take half a pot's water in a day or two.",
                        List.of(
                                water(
                                        40,
                                        50,
                                        75,
                                        85,
                                        "What it holds is all there is until somebody waters.",
                                        "Watered often, it never gets air."),
                                air(
                                        8,
                                        12,
                                        35,
                                        50,
                                        "Watered often, it must let air back.",
                                        "So airy, it dries out in a day."),
                                ec(0.65, 0.9, "Salt grows as the pot dries."),
                                ph(4.8, 5.3, 7.2, 7.8))),
                new Use(
                        "tray",
                        "Short tray crops",
                        3,
                        "Two or three weeks in a shallow tray: even wetness counts, feed little.",
                        List.of(
                                water(40, 50, 80, 90, "A thin layer dries from the edges.", "So wet, roots go sour."),
                                air(
                                        4,
                                        8,
                                        35,
                                        50,
                                        "So shallow a layer holds little air: roots go sour.",
                                        "It dries from the edges."),
                                ec(0.5, 0.9, "Young leaves are eaten or sold: burnt tips show."),
                                ph(5.0, 5.5, 7.0, 7.8))),
                new Use(
                        "acid",
                        "Acid lovers",
                        15,
                        "Iron is locked away from them when the medium is not sour.",
                        List.of(
                                new UseBound(
                                        Property.PH,
                                        3.6,
                                        4.0,
                                        5.2,
                                        5.8,
                                        "So sour, manganese and aluminium harm roots.",
                                        "Iron is locked away: leaves yellow."),
                                air(10, 15, 40, 55, "Their fine roots need air.", "Their fine roots dry out first."),
                                water(30, 40, 70, 80, "Their fine roots dry out first.", "Their fine roots rot."),
                                ec(0.35, 0.65, "They bear little salt and less lime."))));
    }

    private static UseBound air(double least, double leastOk, double mostOk, double most, String below, String above) {
        return new UseBound(Property.AIR, least, leastOk, mostOk, most, below, above);
    }

    private static UseBound water(
            double least, double leastOk, double mostOk, double most, String below, String above) {
        return new UseBound(Property.WATER, least, leastOk, mostOk, most, below, above);
    }

    private static UseBound ec(double mostOk, double most, String reason) {
        return new UseBound(Property.EC, 0, 0, mostOk, most, "", reason);
    }

    private static UseBound ph(double least, double leastOk, double mostOk, double most) {
        return new UseBound(
                Property.PH,
                least,
                leastOk,
                mostOk,
                most,
                "So sour, phosphorus and calcium are short for most plants.",
                "Iron and manganese are locked away for most plants.");
    }
}
