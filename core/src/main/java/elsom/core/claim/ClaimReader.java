package elsom.core.claim;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads a claim: which way, how much, of what, and whether it is denied. Each phrase that is understood is taken out; what
 * is left over and says anything makes it a question, never a verdict.
 */
final class ClaimReader {
    private static final String AMOUNT = "(?:§?\\+ ?)?(?:[0-9]|an? (?:extra )?\\p{L}+\\b)";
    private static final Pattern UP = Pattern.compile(
            "\\b(?:more|higher|taller|heavier|longer|larger|bigger|greater|extra|additional|wider|thicker|increase[sd]?|raise[sd]?|"
                    + "boost(?:s|ed)?|lift(?:s|ed)?|gains?)\\b");
    private static final Pattern DOWN = Pattern.compile(
            "\\b(?:less|fewer|lower(?:s|ed)?|shorter|lighter|smaller|thinner|falls? short(?: of)?|fell short|short of|drops?|dropped|"
                    + "reduces?|reduced|cuts?|reduction|decreases?d?|below)\\b");
    private static final Pattern WEAK_UP =
            Pattern.compile("\\b(?:on top(?: of)?|adds?|added|brings?|worth|over|above)\\b");
    private static final Pattern GOOD = Pattern.compile(
            "\\b(?:better|superior|beats?|beat|outdoes|outgrows?|outgrew|outyields?|out yields?|outperforms?|outstrips?|surpass(?:es)?|"
                    + "wins?(?: over)?|ahead(?: of)?|saves?|improves?|improved)\\b");
    private static final Pattern BAD = Pattern.compile(
            "\\b(?:worse(?: off)?|poorer|inferior|costs?|loses?|lost|lags?(?: behind)?|behind|trails?)\\b");
    private static final Pattern SOON = Pattern.compile("\\b(?:faster|sooner|earlier|quicker)\\b");
    private static final Pattern LATE =
            Pattern.compile("\\b(?:later|slower|delays?|delayed)\\b|\\b(?:holds?|held) (?:[^ ]+ )?back\\b");
    private static final Pattern MOST = Pattern.compile(
            "\\b(?:the )?(?:best|most|highest|tallest|heaviest|largest|biggest|longest|greatest)\\b|\\bthe top\\b");
    private static final Pattern LEAST =
            Pattern.compile("\\b(?:the )?(?:least|lowest|fewest|shortest|lightest|smallest)\\b");
    private static final Pattern WORST = Pattern.compile("\\b(?:the )?(?:worst|poorest)\\b");
    private static final Pattern SOONEST = Pattern.compile("\\b(?:the )?(?:quickest|fastest|earliest|soonest)\\b");
    private static final Pattern LATEST = Pattern.compile("\\b(?:the )?(?:slowest|latest)\\b");
    private static final Pattern DENIAL = Pattern.compile(
            "\\b(?:it is not true that|it's not true that|it isn't true that|it is false that|it's false that|not true that|"
                    + "nobody can say that)\\b");
    private static final Pattern NEGATION = Pattern.compile(
            "\\b(?:do|does|did|is|are|was|were|have|has|had|ca|wo)n't\\b|\\bcannot\\b|\\bnot\\b|\\bno\\b|\\bnor\\b|\\bnowhere\\b");

    private final ClaimCase said;
    private final Phrases phrases;
    private String sided = "";
    private int denials;

    private ClaimReader(ClaimCase said) {
        this.said = said;
        this.phrases = new Phrases();
    }

    static Meant read(ClaimCase said) {
        return new ClaimReader(said).meant();
    }

    private Meant meant() {
        String text = ClaimText.plain(said.claim());
        if (text.matches(".*(?<![0-9.])[1-9][0-9]{0,2},[0-9]{3}(?![0-9]).*")) {
            return new Meant.Asked("a comma before three figures: thousands or decimals?");
        }
        text = text.replaceAll("(?<=[0-9]),(?=[0-9])", ".");
        String marked = said.sides().marked(text);
        sided = said.unnamed() ? ClaimText.unnamed(marked) : marked;
        phrases.begin(ClaimText.numbers(sided));
        if (said.measure().isBlank()) {
            phrases.begin(phrases.rest()
                    .replaceFirst(
                            "\\b(more|less|fewer|higher|lower) (?!than\\b|or\\b|of\\b|for\\b|in\\b|on\\b|with\\b|from\\b|come\\b|and\\b)\\p{L}+(?: (?!than\\b|from\\b|on\\b|in\\b|with\\b|and\\b|or\\b|of\\b|for\\b)\\p{L}+)? (?=$|than\\b|§)",
                            "$1 ")
                    .replaceFirst(
                            "\\b(cuts?|raises?|raised|reduces?|reduced|lowers?|lowered|increases?|increased|boosts?|boosted) (?!by\\b)[\\p{L} ]{1,40}? (?=by\\b)",
                            "$1 "));
        }
        Optional<Meant> first = OrderClaim.read(phrases.rest(), said);
        if (first.isPresent()) {
            return first.get();
        }
        if (phrases.take(DENIAL).isPresent()) {
            denials++;
        }
        for (Map.Entry<Pattern, String> undecided : ClaimWords.UNDECIDED) {
            if (undecided.getKey().matcher(phrases.rest()).find()) {
                return new Meant.Asked(undecided.getValue());
            }
        }
        Optional<Meant> each = superlative();
        return each.orElseGet(this::compared);
    }

    private Optional<Meant> superlative() {
        int direction;
        if (phrases.take("\\b(?:at (?:the )?(?:least|most))\\b(?!.)").isPresent()
                || phrases.rest().matches(".*\\bat (?:the )?(?:least|most)\\b.*")) {
            return Optional.empty();
        }
        if (MOST.matcher(phrases.rest()).find() && phrases.take(MOST).isPresent()) {
            direction = phrases.rest().contains("§") && said.sides().names().size() > 1 ? best(said.claim()) : 0;
        } else if (phrases.take(WORST).isPresent()) {
            direction = -said.better();
        } else if (phrases.take(LEAST).isPresent() || phrases.take(SOONEST).isPresent()) {
            direction = -1;
        } else if (phrases.take(LATEST).isPresent()) {
            direction = 1;
        } else {
            return Optional.empty();
        }
        if (direction == 0) {
            return Optional.of(new Meant.Asked("neither way is better for this measure"));
        }
        Optional<Matcher> many = phrases.take("\\bof (?:the |these |those |all )*([0-9]+)\\b");
        if (many.isPresent()
                && Integer.parseInt(many.get().group(1)) != said.sides().names().size()) {
            return Optional.of(new Meant.Asked("how many are there? The figures are of "
                    + said.sides().names().size()));
        }
        phrases.take("\\b(?:of all|of them|of the lot|of any|among them|feeds|media|mixes|treatments)\\b");
        phrases.take("\\b(?:feeds|media|mixes|treatments|composts|materials|liquids)\\b");
        while (phrases.take(NEGATION).isPresent()) {
            denials++;
        }
        Optional<Meant> left = unread();
        if (left.isPresent()) {
            return left;
        }
        Meant.Region region =
                direction > 0 ? Meant.Region.above(false, 0, true, "") : Meant.Region.below(false, 0, true, "");
        boolean several = said.sides().names().size() > 2;
        boolean other = said.turned(sided);
        if (several && other) {
            return Optional.of(new Meant.Asked("it is about another side than the one it should be about"));
        }
        Meant each = several ? new Meant.BesideEach(region, false) : other ? region.turned() : region;
        return Optional.of(denials % 2 == 1 ? each.denied() : each);
    }

    private int best(String claim) {
        return claim.toLowerCase(Locale.ROOT).contains("best")
                        || claim.toLowerCase(Locale.ROOT).contains("top ")
                ? said.better()
                : 1;
    }

    /** How much, how it is bounded, and which way. */
    private Meant compared() {
        if (phrases.rest()
                        .matches(
                                ".*\\b(?:same|identical|equal(?!s? to within)|alike|no odds|as one|no difference|indistinguishable)\\b.*")
                && !phrases.rest().matches(".*\\bwithin\\b.*")) {
            phrases.take("\\bsame(?: as)?\\b|\\bidentical(?: to)?\\b|\\bequal(?: to)?\\b|\\balike\\b");
            boolean denied = !phrases.rest().contains("no odds")
                    && !phrases.rest().contains("no difference")
                    && phrases.take(NEGATION).isPresent();
            Optional<Meant> left = unread();
            return denied && left.isEmpty()
                    ? Meant.Region.notNothing()
                    : new Meant.Asked("|difference| <= margin; no margin said");
        }
        boolean sized =
                phrases.rest().matches(".*[^§0-9][0-9].*|.*\\b(?:twice|double|an? \\p{L}+ (?:apart|at the most)).*");
        if (!sized
                && phrases.take(
                                "\\b(?:makes?|made|is|was) a (?:real )?difference(?: to)?\\b|\\bdiffer(?:s|ent)?(?: from)?\\b|"
                                        + "\\bhas an effect(?: on)?\\b")
                        .isPresent()) {
            boolean denied = phrases.take(NEGATION).isPresent();
            return unread().orElseGet(() ->
                    denied ? new Meant.Asked("|difference| <= margin; no margin said") : Meant.Region.notNothing());
        }
        Bound bound = bound();
        Optional<ClaimSize> size = new SizeReader(phrases, said).read();
        if (size.isPresent() && size.get().ask() != null) {
            return new Meant.Asked(String.valueOf(size.get().ask()));
        }
        if (bound == Bound.NONE && size.isPresent()) {
            behind();
        }
        phrases.take("\\bor not\\b");
        boolean both = phrases.take(
                        "\\b(?:either side(?: of)?|between (?:them|the 2|the two)|apart|(?:of|from) each other|differs? by|either way|"
                                + "different by|equal to|difference between(?: them)?|differs?(?: from)?|one another)\\b")
                .isPresent();
        phrases.take("(?<=[^ ]) by(?= (?:§|$))");
        if (size.isPresent() && both && lastBound == Bound.NONE) {
            return new Meant.Asked("at least, or at most, that much apart?");
        }
        boolean apart = both && (lastBound == Bound.AT_LEAST || lastBound == Bound.ABOVE);
        if (apart) {
            denials++;
        }
        return size.map(one -> sized(one, both ? Bound.WITHIN : lastBound)).orElseGet(this::unsized);
    }

    private Bound lastBound = Bound.NONE;

    private enum Bound {
        NONE,
        AT_LEAST,
        ABOVE,
        AT_MOST,
        BELOW,
        WITHIN
    }

    private Bound bound() {
        if (phrases.take("\\b(?:at least|no less than|not less than|no fewer than|a minimum of|a good|easily|fully) (?="
                        + AMOUNT + ")")
                .isPresent()) {
            lastBound = Bound.AT_LEAST;
        } else if (phrases.take(
                        "\\b(?:at (?:the )?most|no more than|not more than|not over|a maximum of|max|n't more than) (?="
                                + AMOUNT + ")")
                .isPresent()) {
            lastBound = Bound.AT_MOST;
        } else if (phrases.take("\\b(?:(?:equal )?to within|within) (?=" + AMOUNT + ")")
                .isPresent()) {
            lastBound = Bound.WITHIN;
        } else if (phrases.take(
                        "\\b(?:more than|over) (?=twice|double|thrice|[0-9./]+ times|[0-9]+/[0-9]+ (?:the|of|as|what))")
                .isPresent()) {
            lastBound = Bound.ABOVE;
        } else if (phrases.take(
                        "\\b(?:less than|under) (?=twice|double|thrice|[0-9./]+ times|[0-9]+/[0-9]+ (?:the|of|as|what|mass|\\p{L}+ of))")
                .isPresent()) {
            lastBound = Bound.BELOW;
        } else if (phrases.take(
                        "\\b(?:more than|over) (?=[0-9][^ ]* ?[^ ]* (?:more|less|higher|better|fewer|heavier|taller))")
                .isPresent()) {
            lastBound = Bound.ABOVE;
        } else if (phrases.take(
                        "\\b(?:less than|under) (?=[0-9][^ ]* ?[^ ]* (?:more|less|higher|better|fewer|heavier|taller))")
                .isPresent()) {
            lastBound = Bound.BELOW;
        }
        return lastBound;
    }

    private void behind() {
        if (phrases.take("\\bat (?:the )?most\\b|\\bat the outside\\b|\\bor less\\b")
                .isPresent()) {
            lastBound = Bound.AT_MOST;
        } else if (phrases.take("\\bat (?:the )?least\\b|\\bor more\\b").isPresent()) {
            lastBound = Bound.AT_LEAST;
        }
    }

    /** +1 more, −1 fewer, 0 neither said; empty where two ways are said, or no way is better. */
    private Optional<Integer> direction(boolean weak) {
        int found = 0;
        int direction = 0;
        boolean unsided = false;
        for (Pattern pattern : List.of(UP, DOWN, GOOD, BAD, SOON, LATE)) {
            if (phrases.take(pattern).isPresent()) {
                found++;
                direction = pattern == UP || pattern == LATE
                        ? 1
                        : pattern == DOWN || pattern == SOON ? -1 : pattern == GOOD ? said.better() : -said.better();
                unsided |= (pattern == GOOD || pattern == BAD) && said.better() == 0;
            }
        }
        if (found == 0 && weak && phrases.take(WEAK_UP).isPresent()) {
            found = 1;
            direction = 1;
        }
        return found > 1 || unsided ? Optional.empty() : Optional.of(direction);
    }

    private Meant sized(ClaimSize size, Bound bound) {
        boolean asMuch = phrases.take("\\bas (?:much|many|tall|heavy|high|long|good|well|large|big)\\b")
                .isPresent();
        while (phrases.take(NEGATION).isPresent()) {
            denials++;
        }
        boolean share = (size.kind() == ClaimSize.Kind.SHARE && bound != Bound.WITHIN)
                || (size.kind() == ClaimSize.Kind.OF_OTHER && asMuch);
        if (share || size.kind() == ClaimSize.Kind.FACTOR || size.kind() == ClaimSize.Kind.AGAIN) {
            return factored(size, bound, share);
        }
        if (bound == Bound.WITHIN) {
            phrases.take(UP);
            Meant region = size.kind() != ClaimSize.Kind.AMOUNT
                    ? Meant.Region.within(true, 1 - size.high(), 1 + size.high(), "")
                    : Meant.Region.within(false, -size.high(), size.high(), said.unit());
            return finished(region);
        }
        Optional<Integer> direction = size.sign() == 0 ? direction(true) : Optional.of(size.sign());
        if (size.sign() != 0) {
            phrases.take(WEAK_UP);
        }
        if (direction.isEmpty() || direction.get() == 0) {
            return new Meant.Asked(
                    said.better() == 0 ? "neither way is better for this measure" : "more or fewer? It has no side");
        }
        return finished(away(size, bound, direction.get()));
    }

    private Meant factored(ClaimSize size, Bound bound, boolean of) {
        double factor = size.kind() == ClaimSize.Kind.AGAIN ? 1 + size.low() : size.low();
        phrases.take(WEAK_UP);
        boolean part = factor < 1 && !of && bound == Bound.NONE;
        Meant region = bound == Bound.AT_MOST || bound == Bound.BELOW || part
                ? Meant.Region.below(true, factor, bound == Bound.BELOW, "")
                : Meant.Region.above(true, factor, bound == Bound.ABOVE, "");
        return bound == Bound.WITHIN ? new Meant.Asked("within how much of what?") : finished(region);
    }

    private Meant away(ClaimSize size, Bound bound, int direction) {
        boolean ratio = size.kind() == ClaimSize.Kind.OF_OTHER;
        double none = ratio ? 1 : 0;
        double near = none + direction * size.low();
        double far = none + direction * size.high();
        String unit = ratio ? "" : said.unit();
        if (size.low() != size.high()) {
            return Meant.Region.within(ratio, Math.min(near, far), Math.max(near, far), unit);
        }
        boolean most = bound == Bound.AT_MOST || bound == Bound.BELOW;
        boolean open = bound == Bound.ABOVE || bound == Bound.BELOW;
        return direction > 0 == !most
                ? Meant.Region.above(ratio, near, open, unit)
                : Meant.Region.below(ratio, near, open, unit);
    }

    /** "better", "no worse", "as good as". */
    private Meant unsized() {
        Optional<Matcher> as = phrases.take(
                "\\b(?:at least |just |every bit )?as (good|much|many|tall|heavy|high|long|well|large|big|safe)\\b");
        while (phrases.take(NEGATION).isPresent()) {
            denials++;
        }
        if (as.isPresent()) {
            boolean good = as.get().group(1).matches("good|well|safe");
            int direction = good ? said.better() : 1;
            if (direction == 0) {
                return new Meant.Asked("neither way is better for this measure");
            }
            phrases.take(WEAK_UP);
            return finished(
                    direction > 0 ? Meant.Region.above(false, 0, false, "") : Meant.Region.below(false, 0, false, ""));
        }
        Optional<Integer> direction = direction(false);
        if (direction.isEmpty() || direction.get() == 0) {
            boolean unsided = said.better() == 0;
            return new Meant.Asked(
                    unsided && direction.isEmpty()
                            ? "neither way is better for this measure"
                            : "no comparison that figures could decide");
        }
        return finished(
                direction.get() > 0 ? Meant.Region.above(false, 0, true, "") : Meant.Region.below(false, 0, true, ""));
    }

    private Meant finished(Meant meant) {
        Optional<Meant> left = unread().or(this::oneOfSeveral);
        if (left.isPresent()) {
            return left.get();
        }
        Meant whole = denials % 2 == 1 ? meant.denied() : meant;
        return whole instanceof Meant.Region region && said.turned(sided) ? region.turned() : whole;
    }

    /** What is left and says anything. */
    private Optional<Meant> unread() {
        Optional<String> other = otherMeasure();
        if (other.isPresent()) {
            return Optional.of(new Meant.Asked("another measure than the one here: “" + other.get() + "”"));
        }
        String words = phrases.rest()
                .replaceAll("§[0-9]+(?:'s)?", " ")
                .replaceAll("[,;:()+]", " ")
                .replace('-', ' ')
                .strip();
        for (String word : words.split(" +")) {
            String bare = word.replaceAll("^'|'$", "");
            if (!bare.isEmpty()
                    && !ClaimWords.saysNothing(bare)
                    && !said.measureWords().contains(bare)) {
                return Optional.of(new Meant.Asked("“" + bare + "” is left unread"));
            }
        }
        return Optional.empty();
    }

    private Optional<Meant> oneOfSeveral() {
        return said.sides().names().size() > 2
                ? Optional.of(new Meant.Asked("which of the others is it held against?"))
                : Optional.empty();
    }

    private Optional<String> otherMeasure() {
        if (said.measure().isBlank()) {
            return Optional.empty();
        }
        String text = ClaimText.plain(said.claim());
        String marked = said.sides().marked(text);
        for (Map.Entry<String, List<String>> measured : ClaimWords.MEASURED.entrySet()) {
            Matcher word =
                    Pattern.compile("\\b(?:" + measured.getKey() + ")\\b").matcher(marked);
            boolean here = measured.getValue().stream()
                    .anyMatch(key -> said.measure().toLowerCase(Locale.ROOT).matches(".*\\b" + key + ".*"));
            if (word.find() && !here && !ClaimCase.idiom(marked, word.group())) {
                return Optional.of(word.group());
            }
        }
        return Optional.empty();
    }
}
