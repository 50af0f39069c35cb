package elsom.core.notebook;

import elsom.core.trial.MishapKind;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a note beside a unit tells of. What is denied, prevented, nearly happened, was planned or was the same for all is no
 * mishap; nor is a place or a material's name. Death alone is none either: it may be the result.
 *
 * @param mishaps that happened to this unit
 * @param lost whether anything is left to measure
 */
public record Note(Set<Happened> mishaps, Lost lost) {
    /** What happens to a pot. */
    public enum Happened {
        KNOCKED(MishapKind.KNOCKED),
        EATEN(MishapKind.PEST),
        DRIED_OUT(MishapKind.DRIED_OUT),
        WATERLOGGED(MishapKind.WATERLOGGED),
        MOULD(MishapKind.MOULD),
        WIND_OR_FROST(MishapKind.WEATHER),
        HEAT(MishapKind.HEAT),
        FED_TWICE(MishapKind.FED),
        UNFED(MishapKind.OTHER),
        MOVED(MishapKind.KNOCKED),
        MISLABELLED(MishapKind.LABEL_LOST),
        LOST(MishapKind.TAKEN),
        OTHER(MishapKind.OTHER);

        private final MishapKind kind;

        Happened(MishapKind kind) {
            this.kind = kind;
        }

        /** As the bench's log has it. */
        public MishapKind kind() {
            return kind;
        }

        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }

        public String words() {
            return code().replace('_', ' ');
        }
    }

    /** Whether a unit is lost by it. */
    public enum Lost {
        NO,
        YES,
        /** The note does not settle it. */
        ASK
    }

    private static final String PEST =
            "\\b(?:slugs?|snails?|birds?|pigeons?|mouse|mice|rats?|rabbits?|deer|voles?|caterpillars?|grubs?|weevils?|aphids?|"
                    + "beetles?|hens?|chickens?|squirrels?|earwigs?|woodlice|pests?)\\b";
    private static final String ATE =
            "\\b(?:ate|eaten|eating|had|took|taken|nibbled?|chewed|stripped|grazed|got|again|found|in|on|(?<!no )damage|everywhere|dug|pulled)\\b";
    private static final Map<Happened, Pattern> TOLD = Map.ofEntries(
            told(
                    Happened.KNOCKED,
                    "(?<!label )\\b(?:knocked|toppled|tipped(?: over)?|fell (?:off|over|down)|fallen over|dropped (?:on|it|by)|"
                            + "dropped(?= ?[,;.]|$)|spilt|spilled|upset|overturned)"),
            told(
                    Happened.EATEN,
                    PEST + "(?! pellets| trap| tape).*?" + ATE + "|(?<!hand )\\b(?:nibbled|chewed|eaten|grazed)\\b"),
            told(
                    Happened.DRIED_OUT,
                    "\\bbone dry|\\bdried (?:right |quite |completely )?(?:out|up)\\b|\\bwilted\\b|\\bparched\\b|\\bdrought\\b|"
                            + "\\b(?:too|very|completely|quite) dry\\b|\\bdry as\\b|\\bran dry\\b"),
            told(
                    Happened.WATERLOGGED,
                    "\\bwaterlog|\\bflooded|\\b(?:sat|stood|standing|sitting|left) in water\\b|\\btoo wet\\b|\\bdrowned|"
                            + "\\bsoggy\\b|\\bover-?watered|\\bswamped|\\bsodden\\b"),
            told(
                    Happened.MOULD,
                    "(?<!leaf )(?<!leaf-)\\b(?:mould|mold|mouldy|moldy|mildew|fuzz|fungus|botrytis)\\b|\\bdamp(?:ed|ing)[ -]off\\b|"
                            + "\\brotted\\b|\\brotten\\b"),
            told(
                    Happened.WIND_OR_FROST,
                    "\\bblown\\b|\\bblew\\b|\\bgales?\\b|\\bwind\\b(?! ?break)|\\bfrost(?:ed)?\\b(?![ -](?:free|proof|forecast|warning|expected|protection|cover|fleece))|"
                            + "\\bfroze(?:n)?\\b|\\bhail(?:ed)?\\b|\\bsnapped (?:in|by)\\b"),
            told(
                    Happened.HEAT,
                    "\\bscorched (?:by|behind|in|under)\\b|\\bcooked\\b|\\btoo hot\\b|\\boverheated\\b|\\bbaked\\b|\\bsunburn"),
            told(
                    Happened.FED_TWICE,
                    "\\bfed twice\\b|\\bdouble (?:dose|feed)|\\btwo (?:doses|feeds)\\b|\\bhad (?:the |its )?[\\p{L} ]+ twice\\b|"
                            + "\\btwice the (?:dose|feed)"),
            told(
                    Happened.UNFED,
                    "\\bmissed (?:its|the|a|their|one) (?:\\p{L}+ )?feed|\\bforgot (?:the|its|to|a) feed|\\bunfed\\b|\\bnot fed\\b|"
                            + "\\bno feed\\b|\\bwithout its feed|\\bfeed (?:was )?(?:missed|forgotten)"),
            told(
                    Happened.MOVED,
                    "\\bmoved (?:to|from|it|by|across|over|under|into|away|on)\\b|\\bmoved\\b(?= ?[,;.]|$)|\\bswapped places\\b|"
                            + "\\brelocated\\b|\\bput (?:in|on) another (?:place|bench|shelf)"),
            told(
                    Happened.MISLABELLED,
                    "\\blabels? (?:fell|lost|gone|missing|mixed|came|washed|blew)|\\blabels?\\b.*\\b(?:swapped|mixed up|switched)|"
                            + "\\bunlabel|\\bmislabel|\\blost (?:its|the) label|\\bno label\\b|\\bwrong label"),
            told(
                    Happened.LOST,
                    "(?<!leaves )(?<!all )\\bgone\\b(?! (?:yellow|pale|brown|to seed|over))|\\b(?:pot|tray|bag|unit|plant|it) (?:is |was )?"
                            + "(?:lost|missing)\\b|^(?:lost|missing|stolen)\\b|\\bcan't find\\b|\\bcannot find\\b|\\bdisappeared\\b|\\bstolen\\b|"
                            + "\\btaken away\\b"),
            told(
                    Happened.OTHER,
                    "\\b(?:watered|fed|sown|potted|measured|read) (?:\\w+ )?late\\b|\\blate once\\b|\\balgae\\b|\\bmoss on\\b|"
                            + "\\b(?:cat|dog|child|children|kids|visitor)\\b|\\bcracked\\b|\\bbroken?\\b|\\bleak(?:s|ed|ing)?\\b|\\bpulled (?:one|it|some|two)\\b|"
                            + "\\bdug (?:one|it) up\\b|\\b(?:sown|potted|planted) (?:an?|\\d+|two|three) (?:days?|weeks?) (?:after|later|before|early)|"
                            + "\\bwrong (?:bottle|feed|mix|bag|dose|tray|pot)\\b|\\binstead of\\b|\\bby mistake\\b|\\bgnats?\\b|\\bweeds?\\b|"
                            + "\\bsprayed by\\b|\\bmixed up with\\b|\\bcut by\\b|\\bstepped on\\b"));
    private static final Pattern DENIED = Pattern.compile(
            "\\b(?:no|not|never|none|without|nearly|almost|hardly|barely|nothing|against|prevent(?:s|ed)?|avoid(?:s|ed)?|before it|isn't|"
                    + "wasn't|weren't|didn't|hasn't|hadn't|haven't|don't|doesn't|aren't|risk of|in case of|might have|could have|would have|"
                    + "safe from|saved from|free of|free from|for fear of|protected from|covered from)\\b[^,;.]*$");
    private static final Pattern SAME_FOR_ALL = Pattern.compile(
            "\\b(?:like all|as all|same for all|all (?:the )?(?:pots|trays|others|units)(?! (?:dead|died))|every (?:pot|tray|one)|as planned|"
                    + "on purpose|as usual|as intended|according to plan|it's the control|is the control|being the control|by design|"
                    + "planned)\\b");
    private static final Set<Happened> PLANNED = Set.of(
            Happened.FED_TWICE, Happened.UNFED, Happened.MOVED, Happened.OTHER, Happened.DRIED_OUT, Happened.KNOCKED);
    private static final Pattern NOTHING_LEFT = Pattern.compile(
            "\\bnothing left\\b|\\bnone left\\b|\\bthrown (?:away|out)\\b|\\bthrew (?:it )?(?:away|out)\\b|\\bbinned\\b|\\bpot (?:is |was )?empty\\b|"
                    + "\\b(?:took|ate|had) (?:all|everything|the lot)|\\ball (?:of it )?(?:eaten|gone)\\b|\\bnobody knows where\\b|\\bdiscarded\\b|"
                    + "\\bdestroyed\\b|\\bon the compost\\b|\\bemptied\\b|\\bstolen\\b|\\bdisappeared\\b|\\btaken away\\b");
    private static final Pattern DEAD = Pattern.compile("\\b(?:dead|died|dying|killed|not one left|perished)\\b");
    private static final Pattern DOUBT = Pattern.compile(
            "\\?|\\bnot sure\\b|\\bunsure\\b|\\bmaybe\\b|\\bperhaps\\b|\\bcould be\\b|\\bmight be\\b|\\bhalf of (?:it|them)\\b|\\bsnapped\\b|"
                    + "\\bcooked\\b|\\bcan't find\\b|\\bcannot find\\b|\\blay on\\b|\\bsat on it\\b|\\bstepped on\\b|\\bwrong (?:bottle|feed|mix|bag|dose)|"
                    + "\\binstead of\\b|\\bmost of (?:it|them)\\b|\\bdamp(?:ed|ing)[ -]off\\b|\\bflattened\\b|\\bcrushed\\b");
    private static final Pattern SOME = Pattern.compile(
            "\\b(?:ate|had|took|got|eaten) (?:one|two|three|four|five|six|some|several|[0-9]+)(?! of| leaf| leaves| tip| cotyledon)");

    public Note {
        mishaps = Set.copyOf(mishaps);
    }

    private static Map.Entry<Happened, Pattern> told(Happened what, String words) {
        return Map.entry(what, Pattern.compile(words));
    }

    /** What a note says happened, and whether the unit is lost. */
    public static Note read(String typed) {
        String text = typed.toLowerCase(Locale.ROOT)
                .replace('’', '\'')
                .replaceAll("\\s+", " ")
                .strip();
        Set<Happened> mishaps = new LinkedHashSet<>();
        boolean planned = SAME_FOR_ALL.matcher(text).find();
        for (Happened what : Happened.values()) {
            Pattern pattern = TOLD.get(what);
            if (pattern != null && happened(pattern, text) && !(planned && PLANNED.contains(what))) {
                mishaps.add(what);
            }
        }
        if (mishaps.size() > 1) {
            sorted(mishaps, text);
        }
        return new Note(mishaps, lost(mishaps, text));
    }

    /** Whether a pattern is met in a clause that does not deny it. */
    private static boolean happened(Pattern pattern, String text) {
        Matcher matcher = pattern.matcher(text);
        while (matcher.find()) {
            boolean selfDenying = matcher.group().matches("(?:not|no|without|can't|cannot|forgot|missed|un).*");
            if (selfDenying
                    || !DENIED.matcher(text.substring(0, matcher.start())).find()) {
                return true;
            }
        }
        return false;
    }

    /** Words that tell of one thing may look like two: what is knocked is not lost besides. */
    private static void sorted(Set<Happened> mishaps, String text) {
        if (mishaps.size() > 1) {
            mishaps.remove(Happened.OTHER);
        }
        boolean more = mishaps.size() > 1;
        if (more && mishaps.contains(Happened.LOST)) {
            mishaps.remove(Happened.LOST);
        }
        if (mishaps.contains(Happened.WIND_OR_FROST) && text.contains("blown")) {
            mishaps.remove(Happened.KNOCKED);
        }
        if (mishaps.contains(Happened.DRIED_OUT) && mishaps.contains(Happened.HEAT)) {
            mishaps.remove(Happened.HEAT);
        }
    }

    private static Lost lost(Set<Happened> mishaps, String text) {
        boolean gone = happened(NOTHING_LEFT, text) || text.contains("nothing left");
        if (gone && !DOUBT.matcher(text).find()) {
            return Lost.YES;
        }
        boolean dead = happened(DEAD, text) || text.contains("not one left");
        boolean doubt = (!mishaps.isEmpty() && DOUBT.matcher(text).find()) || text.equals("?") || gone;
        boolean unsaid = mishaps.contains(Happened.EATEN) && SOME.matcher(text).find();
        boolean missing = mishaps.contains(Happened.LOST);
        return dead || doubt || unsaid || missing ? Lost.ASK : Lost.NO;
    }

    /** Said back beside what was typed: "dried out; anything left to measure?"; empty where it tells of nothing. */
    public String says() {
        List<String> said = new ArrayList<>();
        mishaps.stream().sorted().map(Happened::words).forEach(said::add);
        if (lost == Lost.YES) {
            said.add("nothing left to measure");
        } else if (lost == Lost.ASK) {
            said.add("is anything left to measure?");
        }
        return String.join("; ", said);
    }
}
