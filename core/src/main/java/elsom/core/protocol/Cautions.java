package elsom.core.protocol;

import java.util.List;

/** Cautions that several protocols share. They defer to labels, makers, local codes and licensed practice. */
public final class Cautions {
    public static final Caution DUST = new Caution(
            "Damp dusty media down, wear a mask, wash your hands: peat, perlite, compost and biochar dust irritate,"
                    + " and media can carry Legionella.",
            "the bag's safety notes and your doctor");
    public static final Caution OVEN = new Caution(
            "Ventilate while drying. Never dry contaminated media in a kitchen oven.",
            "the oven's maker and local rules");
    public static final Caution MAINS = new Caution(
            "Keep mains leads away from water and drip loops below sockets; use an RCD/GFCI socket.",
            "a licensed electrician");
    public static final Caution BLADE =
            new Caution("Cut away from yourself on a board; clean the blade between kinds.", "first-aid practice");
    public static final Caution ACID = new Caution(
            "Eyes and skin: goggles and gloves. Add acid or alkali to water, never water to it; never mix products.",
            "the label and its safety data sheet");
    public static final Caution LIME =
            new Caution("Lime dust burns eyes and lungs: goggles, mask, gloves, no wind.", "the bag's safety notes");
    public static final Caution SULFUR = new Caution(
            "Sulfur dust irritates eyes and lungs and can catch fire: goggles, mask, no sparks, never with lime or"
                    + " chlorine.",
            "the bag's safety notes");
    public static final Caution WEEDKILLER = new Caution(
            "The label is the law, also for how soon something may be sown. Work where a licence is not needed, or with"
                    + " a licensed applicator.",
            "the product's label and local law");
    public static final Caution RESIDUE = new Caution(
            "Keep suspected media apart and out of beds, bins and compost heaps until the trial has ended.",
            "your supplier and local waste rules");
    public static final Caution RAW = new Caution(
            "Not on parts eaten raw. Use only mature, hot-composted feedstock; sugar feeds can raise pathogens.",
            "local food-safety rules");
    public static final Caution TASTE = new Caution(
            "Taste nothing from trials with weedkillers, residues, brews or unknown composts. Ask about allergies.",
            "local food-safety rules");

    public static final List<Caution> NONE = List.of();

    private Cautions() {}
}
