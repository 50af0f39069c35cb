package elsom.core.diagnosis;

import java.util.List;
import java.util.Locale;

/**
 * A sign that makes people ask, and that is no proof of harm by itself: what is usually behind it, what would tell, and what not
 * to do. From what growers are usually taught; judged by us.
 */
public enum SignCard {
    MOULD(
            "Why does it mould?",
            "White, grey or blue fluff on the surface or through the medium.",
            "Fresh food for fungi: unripe compost, sugar feeds, meal fertilisers, a bag kept wet. It lives on the medium, not on"
                    + " plants, and goes when the food is used up. Fluff on stems at the surface is another thing: damping-off.",
            "Sow four pots of cress or peas in it and four in a clean medium. Where seedlings stand as well as beside it, the mould"
                    + " does not matter. Warm it in a closed jar for two days: ammonia to the nose means it is not ripe.",
            "Don't drench it with a fungicide, don't breathe the dust of a mouldy bag, don't seal it: damp it down, wear a mask,"
                    + " water from below, let the surface dry, let it ripen for some weeks."),
    GNATS(
            "Where do the small flies come from?",
            "Small dark flies that run over the surface; clear grubs with black heads in the top centimetres.",
            "Fungus gnats, which breed in media that stay wet at the top and hold unripe organic matter. Grubs eat fungi first, then"
                    + " fine roots of seedlings and cuttings.",
            "A slice of raw potato on the surface for two days: count the grubs under it. Yellow cards count the flies, and tell"
                    + " which bench they come from.",
            "Don't spray flies: the grubs stay. Let the top dry between waterings, water from below, cover with grit, keep bags"
                    + " closed. Nematodes and other controls go by their label."),
    ALGAE(
            "Why is it green or slimy?",
            "A green or dark film on medium, trays or the walls of pots.",
            "Light, wet and feed together at the surface. Algae take little from plants but seal the surface, so that water runs off"
                    + " and air stays out.",
            "Lift the film on half of the pots: where water then soaks in and seedlings catch up, it was the seal. Weigh pots before"
                    + " and after watering: the same weight means that water ran past.",
            "Don't bleach trays with plants in them. Water less often, from below; a thin layer of grit or vermiculite; more air and"
                    + " less feed until leaves cover."),
    WHITE_CRUST(
            "What is the white crust?",
            "A white or pale crust on the surface, on rims and at drain holes.",
            "Salts left behind as water rises and dries: strong feed, salty compost, hard water, too little drained. A crust that"
                    + " fizzes with vinegar is lime; one that dissolves in water is feed.",
            "A drop of vinegar on it, then a spoonful in a glass of water. Measure EC of what drains, and of the water alone.",
            "Don't feed over it and don't scratch it in. Take the crust off, rinse three volumes of water through where plants can"
                    + " bear it, and measure again."),
    HIGH_PH(
            "Why are young leaves yellow while the medium is limy?",
            "Young leaves yellow between green veins, often with a pale crust; pH above 7.",
            "Iron and manganese are there but can't be taken up at a high pH: hard water, too much lime, wood ash, fresh concrete,"
                    + " much biochar.",
            "pH of the medium and of the water; a drop of vinegar. Chelated iron on the leaves of a few plants: green within ten"
                    + " days tells that it was iron.",
            "Don't add more feed: it lies there unused. Don't pour vinegar or battery acid on plants. Sulfur works in weeks: try it in"
                    + " jars first; rain water meanwhile."),
    VERMICULITE(
            "Why do seedlings starve in vermiculite?",
            "Small, pale, then purple or yellow from the oldest leaf on, in vermiculite, perlite, sand or coir alone; clean roots.",
            "There is nothing in it to eat. Seedlings live off the seed for ten days or so, peas and beans for longer, then stop."
                    + " It holds ammonium and potassium, so it also takes from a weak feed at first.",
            "Feed half of the pots with a quarter-strength complete feed: green within a week tells. EC of what drains, below"
                    + " 0.5 mS/cm, says the same at once.",
            "Don't call the medium beside it toxic for being worse or better: compare fed with fed. Don't breathe its dust; damp it"
                    + " down."),
    SCAB(
            "Why have potatoes scab?",
            "Corky, rough spots on potatoes, beet or radish; the plants look well.",
            "Streptomyces that live in most soils and do more harm where it is dry as tubers form, pH is above 5.5, or fresh lime,"
                    + " ash or manure was given. Other rough spots are powdery scab, which likes it wet.",
            "pH of the bed; four buckets watered evenly from flowering on beside four left dry; cut spots under a lens, or ask a"
                    + " plant clinic which scab it is.",
            "Don't lime or ash before potatoes, don't plant scabby tubers, don't call the compost the culprit by one bed."),
    MUSHROOMS(
            "What are the toadstools?",
            "Caps on thin stalks out of pots or bags, often gone in a day.",
            "Fungi of rotting wood and straw. They show that there is wood left to rot, which may draw nitrogen, and harm nothing"
                    + " themselves.",
            "Feed nitrogen to half of the pots: those that turn green were short of it.",
            "Don't eat them, and keep them from children and dogs. Don't throw the bag away for them."),
    SMELL(
            "Why does it smell?",
            "Of ammonia, of vinegar, of rotten eggs, or of drains.",
            "Ammonia: not ripe, or too much nitrogen. Vinegar or rotten eggs: it was without air. Earth after rain is how it should"
                    + " smell.",
            "Spread a bucket for three weeks under cover and keep one closed; sow both. A jar kept closed and warm for two days says"
                    + " how far it is.",
            "Don't sow or plant into it while it smells, don't shut yourself in with it: ammonia and hydrogen sulfide harm people"
                    + " too. Air it in the open."),
    CHEWED(
            "Who has eaten them?",
            "Holes, notches, leaves or whole seedlings gone over night; slime, droppings, or none.",
            "Slugs and snails, caterpillars, weevils, mice or birds. None of them is in the compost's chemistry.",
            "Go out with a lamp at night. A ring of grit or a raised, dry bench for half of the pots; a covered pot beside an open"
                    + " one.",
            "Don't score bites as injury of a medium: note the mishap of that pot. Baits go by their label, away from children and"
                    + " pets."),
    COLD(
            "Were they only cold?",
            "Late, small, purple beneath, everywhere alike and in the clean medium too.",
            "Below 10 to 12 °C most seedlings wait, and take up little phosphorus. Media that are dark, wet or dense differ in warmth"
                    + " by some degrees.",
            "A thermometer in a pot of each medium, morning and noon. Bring half of each treatment into the warm for a week: what"
                    + " catches up was cold.",
            "Don't judge a medium by a cold week, and don't feed phosphorus for it."),
    OLD_SEED(
            "Is it the seed?",
            "Few come up, late and unevenly, in the clean medium too; those that are up look well.",
            "Old, badly kept or dormant seed; seed sown too deep, or eaten.",
            "Twenty seeds on wet paper in the warm: below 80 % the lot is weak, and no trial with it holds. Dig for those that did"
                    + " not come.",
            "Don't say of a compost that it hinders while its control does not germinate to 80 %.");

    private final String asked;
    private final String seen;
    private final String behind;
    private final String tells;
    private final String instead;

    SignCard(String asked, String seen, String behind, String tells, String instead) {
        this.asked = asked;
        this.seen = seen;
        this.behind = behind;
        this.tells = tells;
        this.instead = instead;
    }

    /** As people ask it. */
    public String asked() {
        return asked;
    }

    /** What it looks like. */
    public String seen() {
        return seen;
    }

    /** What is usually behind it. */
    public String behind() {
        return behind;
    }

    /** What would tell. */
    public String tells() {
        return tells;
    }

    /** What not to do, and what rather. */
    public String instead() {
        return instead;
    }

    /** In addresses. */
    public String anchor() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    public static List<SignCard> all() {
        return List.of(values());
    }
}
