package elsom.core.claim;

import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;

/** The words that claims are made of. What is not among them is not read, and what is not read is asked about. */
final class ClaimWords {
    /** Words that say nothing of how much. */
    static final Set<String> FILLER = words(
            "a an the of in on from with to for at by and it its it's you your our we they them their there there's that "
                    + "those these this is are was were be been gives give gave giving makes make made making gets get got "
                    + "puts put does do did done has have had brings bring brought yields yield yielded produces produce "
                    + "produced grows grow grew growing comes come came out up as than against over beside besides compared "
                    + "versus vs when grown raised sown kept fed watered using used use uses still one ones any all only just "
                    + "what which if then so expect growing weighs weigh weighed stands stand stood takes take took holds hold "
                    + "held reaches reach reached worth ready plant plants pot pots tray trays bed beds plug plugs cell cells "
                    + "unit units seedlings seedling cuttings cutting crop crops per each medium mix feed rather instead shows "
                    + "show showed shown keeps keep being can't it'd me us my i difference amount total overall mean average "
                    + "means result results gain gains gained add adds added per significantly significant clearly statistically "
                    + "two sides side other both between another roots root leaves leaf shoots shoot growth fresh dry matter mass weight "
                    + "height length water size more's get's worth also turn turns turned batch batches into off under even "
                    + "on top figure figures number numbers days time emergence picking first pick picked harvest yield's "
                    + "count counts counted leaves' area bench trial trials plots plot tubers fruit fruits bulbs stems stem "
                    + "germination alone straight plain neat own sow sows choose chooses pick sowing sown soil's show's proves proved prove found find finds true");

    /** What is grown; a claim names it, and it is the same on both sides. */
    static final Set<String> CROPS = words(
            "basil thyme mint sage chives dill parsley coriander cilantro oregano marjoram tarragon lovage rosemary lavender "
                    + "fennel chervil sorrel borage savory lemongrass cress rocket lettuce lettuces spinach chard kale cabbage "
                    + "broccoli cauliflower sprouts pak choi mustard radish radishes turnip turnips beet beets beetroot carrot "
                    + "carrots parsnip parsnips celery celeriac leek leeks onion onions garlic shallot shallots pea peas bean beans "
                    + "lentil lentils clover vetch tomato tomatoes pepper peppers chilli chillies aubergine aubergines cucumber "
                    + "cucumbers courgette courgettes squash pumpkin pumpkins melon melons maize corn wheat barley oats oat rye rice "
                    + "millet sunflower sunflowers marigold marigolds calendula cosmos zinnia zinnias petunia petunias pansy pansies "
                    + "viola violas geranium geraniums begonia begonias snapdragon snapdragons stock stocks aster asters dahlia "
                    + "dahlias fuchsia fuchsias willow strawberry strawberries raspberry raspberries potato potatoes grass ryegrass "
                    + "herb herbs salad salads greens microgreens seed seeds cuttings seedlings lavenders hyssop lemon balm purslane "
                    + "endive chicory okra amaranth quinoa flax buckwheat phacelia nasturtium nasturtiums hops fern ferns moss "
                    + "primrose primroses cyclamen daisies daisy foxglove foxgloves poppies poppy lupin lupins sedum heather");

    /** What is measured: a claim's word, and what the measure must speak of for it to be the same. */
    static final Map<String, List<String>> MEASURED = Map.ofEntries(
            Map.entry("roots?|rooted", List.of("root")),
            Map.entry("leaves|leaf|leafier", List.of("leaves a", "leaf", "leaves")),
            Map.entry("mould|mouldy|mold", List.of("mould", "mold")),
            Map.entry("heights?|tallness|taller|stands?|stood|tall", List.of("height", "length")),
            Map.entry("(?<!plain )(?<!tap )(?<!rain )water|holds?|held", List.of("water", "held")),
            Map.entry("dry matter|dry weight|dry mass", List.of("dry")),
            Map.entry("fresh mass|fresh weight", List.of("fresh")),
            Map.entry("heavier|lighter|weighs?|weight|mass", List.of("mass", "weigh", "picked", "yield")),
            Map.entry("taller|shorter", List.of("height", "length")),
            Map.entry("longer", List.of("length", "height", "days", "time", "long")),
            Map.entry(
                    "faster|sooner|earlier|quicker|later|slower|soonest|quickest|earliest|fastest|latest|slowest|days|time",
                    List.of("days", "time", "hours", "weeks")),
            Map.entry("emergence|emerge|up", List.of("emergence", "up", "sown", "germinat")),
            Map.entry("picking", List.of("pick", "harvest", "days")),
            Map.entry("ph|acidity|acid", List.of("ph")),
            Map.entry("salinity|conductivity|ec", List.of("conductivity", "ec", "salin")),
            Map.entry("flowers?|flowering|blooms?", List.of("flower", "bloom")),
            Map.entry("fruits?", List.of("fruit")),
            Map.entry("germination|germinate[sd]?", List.of("germinat", "up", "emergence", "sown")),
            Map.entry("stems?", List.of("stem")),
            Map.entry("injury|scorch|damage", List.of("injur", "scorch", "damage")),
            Map.entry("tubers?|bulbs?", List.of("tuber", "bulb")));

    /** Words under which no figures can decide, with what has to be asked. */
    static final List<Map.Entry<Pattern, String>> UNDECIDED = List.of(
            asks("\\b(?:because|due to|thanks to|the reason)\\b", "a cause, not a comparison"),
            asks(
                    "\\b(?:certain|certainly|sure|surely|likely|unlikely|probably|probability|chance|chances|confident|confidence)\\b",
                    "a certainty is not in the figures"),
            asks(
                    "\\b(?:up to|(?<!/[0-9] )(?<!times )(?<!twice )as much as (?=[0-9]))",
                    "“up to” sets only a ceiling; at least how much?"),
            asks(
                    "\\b(?:never|always|every time|without fail|invariably|in every case|any time|ever)\\b",
                    "“never” and “always” speak of every case, the figures of a mean"),
            asks(
                    "\\b(?:usually|often|mostly|sometimes|generally|typically|commonly|normally|occasionally|rarely|seldom|tends? to|"
                            + "in most cases|as a rule|nearly always)\\b",
                    "in how many cases?"),
            asks(
                    "\\b(?:can|could|may|might|should|would|will perhaps|perhaps|maybe|possibly|seems?|appears?|potentially)\\b(?!')",
                    "“can” promises nothing"),
            asks(
                    "\\b(?:about|around|roughly|approximately|approx|circa|almost|nearly|close to|some(?= [0-9§]))(?=[ .])|~|≈",
                    "how near? Say at least or at most how much"),
            asks("\\b(?:exactly|precisely|just(?= twice| [0-9])|equals)\\b", "how near? Say within how much"),
            asks(
                    "(?<!\\bas )(?<!\\bhow )\\b(?:much(?! as)|a lot|lots|far(?= better| more| less| worse)|a bit|a little|slightly|somewhat|"
                            + "considerably|hugely|way(?= more| better| less| worse)|vastly|greatly|massively|marginally|a touch|a shade|dramatically|"
                            + "substantially|noticeably|markedly|a great deal|rather(?! than)|quite|several|a few|many times)\\b",
                    "how much is that?"),
            asks(
                    "\\bbut\\b|\\bhowever\\b|\\balthough\\b|\\bthough\\b|\\bexcept\\b|\\bunless\\b|\\bor not at all\\b",
                    "it takes back what was said: which part is meant?"),
            asks(
                    "\\b(?:handful|capful|scoop|bucket|pinch|shovel|spoonful)s?\\b",
                    "how much of what is that? It is no amount here"),
            asks("[0-9] ?%? or [0-9]|\\b(?:more or (?:less|fewer)|better or worse)\\b", "which of the two?"),
            asks(
                    "\\bchanges?\\b.*\\bby\\b|\\balters?\\b.*\\bby\\b|\\baffects?\\b.*\\bby\\b",
                    "more or fewer? It has no side"),
            asks("\\?", "a question, not a claim"));

    private ClaimWords() {}

    /** A word that changes nothing of how much: a crop, a verb of growing, or what is measured. */
    static boolean saysNothing(String word) {
        return FILLER.contains(word)
                || CROPS.contains(word)
                || MEASURED.keySet().stream().anyMatch(key -> word.matches("(?:" + key + ")"));
    }

    private static Set<String> words(String listed) {
        return new HashSet<>(Arrays.asList(listed.split(" ")));
    }

    private static Map.Entry<Pattern, String> asks(String pattern, String question) {
        return Map.entry(Pattern.compile(pattern), question);
    }
}
