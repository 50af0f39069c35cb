package elsom.core.claim;

import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Box;
import elsom.core.read.Known;
import elsom.core.read.Read;
import elsom.core.read.Reader;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads a claim: which way, how much, of what, and whether it is denied. Each phrase that is understood is taken out; what
 * is left over and says anything makes it a question, never a verdict.
 */
final class ClaimReader {
    private static final String NUM = "([0-9]+(?:\\.[0-9]+)?(?:/[0-9]+)?)";
    private static final String UNIT = "(fl oz|sq cm|[a-zµ°]{1,12}(?:/[a-z0-9]{1,4})?)";
    private static final String AMOUNT = "(?:§?\\+ ?)?(?:[0-9]|an? (?:extra )?\\p{L}+\\b)";
    private static final Map<String, String> NUMBERS = Map.ofEntries(
            Map.entry("two", "2"),
            Map.entry("three", "3"),
            Map.entry("four", "4"),
            Map.entry("five", "5"),
            Map.entry("six", "6"),
            Map.entry("seven", "7"),
            Map.entry("eight", "8"),
            Map.entry("nine", "9"),
            Map.entry("ten", "10"),
            Map.entry("eleven", "11"),
            Map.entry("twelve", "12"),
            Map.entry("fifteen", "15"),
            Map.entry("twenty", "20"),
            Map.entry("thirty", "30"),
            Map.entry("forty", "40"),
            Map.entry("fifty", "50"),
            Map.entry("sixty", "60"),
            Map.entry("seventy", "70"),
            Map.entry("eighty", "80"),
            Map.entry("ninety", "90"),
            Map.entry("hundred", "100"));
    private static final Map<String, String> PARTS =
            Map.of("half", "2", "third", "3", "quarter", "4", "fifth", "5", "sixth", "6", "eighth", "8", "tenth", "10");
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
    private String rest;
    private int denials;

    private ClaimReader(ClaimCase said) {
        this.said = said;
        this.rest = "";
    }

    static Meant read(ClaimCase said) {
        return new ClaimReader(said).meant();
    }

    private Meant meant() {
        String text = plain(said.claim());
        if (text.matches(".*(?<![0-9.])[1-9][0-9]{0,2},[0-9]{3}(?![0-9]).*")) {
            return new Meant.Asked("a comma before three figures: thousands or decimals?");
        }
        text = text.replaceAll("(?<=[0-9]),(?=[0-9])", ".");
        rest = said.sides().marked(text);
        if (said.unnamed()) {
            rest = unnamed(rest);
        }
        rest = " " + numbers(rest) + " ";
        if (said.measure().isBlank()) {
            rest = rest.replaceFirst(
                            "\\b(more|less|fewer|higher|lower) (?!than\\b|or\\b|of\\b|for\\b|in\\b|on\\b|with\\b|from\\b|come\\b|and\\b)\\p{L}+(?: (?!than\\b|from\\b|on\\b|in\\b|with\\b|and\\b|or\\b|of\\b|for\\b)\\p{L}+)? (?=$|than\\b|§)",
                            "$1 ")
                    .replaceFirst(
                            "\\b(cuts?|raises?|raised|reduces?|reduced|lowers?|lowered|increases?|increased|boosts?|boosted) (?!by\\b)[\\p{L} ]{1,40}? (?=by\\b)",
                            "$1 ");
        }
        Optional<Meant> first = OrderClaim.read(rest, said);
        if (first.isPresent()) {
            return first.get();
        }
        if (take(DENIAL).isPresent()) {
            denials++;
        }
        for (Map.Entry<Pattern, String> undecided : ClaimWords.UNDECIDED) {
            if (undecided.getKey().matcher(rest).find()) {
                return new Meant.Asked(undecided.getValue());
            }
        }
        Optional<Meant> each = superlative();
        return each.orElseGet(this::compared);
    }

    private static String plain(String claim) {
        return claim.toLowerCase(Locale.ROOT)
                .replace('’', '\'')
                .replace('−', '-')
                .replaceAll("per ?cent\\b|\\bpct\\b", "%")
                .replaceAll("[“”\"]", "")
                .replaceAll("[\\s\u00a0]+", " ")
                .replaceAll("[.!\\s]+$", "")
                .strip();
    }

    /** Without names: what is behind the last "than" is the other side, what is before the verb is the first. */
    private static String unnamed(String text) {
        String sided = text.replaceFirst(
                "\\b(than|against|beside|compared with|compared to|versus|vs|over|(?<=(?:good|much|many|well|tall|heavy|long|safe) )as) "
                        + "(?!that\\b)((?:(?!\\b(?:than|and|but|or|which)\\b)[\\p{L}0-9 '-])+)$",
                "$1 §1");
        sided = sided.replaceFirst("\\b(beats?|outperforms?|outgrows?|outdoes) ([\\p{L}0-9 '-]+)$", "$1 §1");
        Matcher subject = Pattern.compile(
                        "^((?!it\\b|you\\b|there\\b|twice\\b|half\\b|at\\b|no\\b|not\\b|a\\b|more\\b|less\\b)[\\p{L}][\\p{L}0-9 -]*?) "
                                + "(?=(?:is|are|gives?|gave|does|do|makes?|has|have|grows?|raises|raised|yields?|beats?|outperforms?|"
                                + "outgrows?|outdoes|cuts?|doubles|halves|reduces|lowers|puts|brings|adds|saves|holds?)\\b)")
                .matcher(sided);
        return subject.find() ? "§0" + sided.substring(subject.end(1)) : sided;
    }

    /** Numbers and fractions in figures. */
    private static String numbers(String text) {
        String figures = text.replaceAll("\\bone and a half\\b", "1.5");
        for (Map.Entry<String, String> number : NUMBERS.entrySet()) {
            figures = figures.replaceAll("\\b" + number.getKey() + "\\b", number.getValue());
        }
        for (Map.Entry<String, String> part : PARTS.entrySet()) {
            figures = figures.replaceAll(
                    "\\b(?:an? |one )?" + part.getKey() + "\\b(?! (?:rate|strength))", "1/" + part.getValue());
            String many = part.getKey().equals("half") ? "halves" : part.getKey() + "s";
            figures = figures.replaceAll("(?<![§0-9])([0-9]+) " + many + "\\b", "$1/" + part.getValue());
        }
        figures = figures.replaceAll("(?<![/0-9.])([0-9]+) and 1/2\\b", "$1.5")
                .replaceAll("(?<![/0-9.])([0-9]+) and 1/4\\b", "$1.25");
        return figures.replaceAll("([0-9]+/[0-9]+) (?:an?|of an?) (?=\\p{L})", "$1 ");
    }

    private Optional<Matcher> take(Pattern pattern) {
        Matcher matcher = pattern.matcher(rest);
        if (!matcher.find()) {
            return Optional.empty();
        }
        rest = rest.substring(0, matcher.start()) + " " + rest.substring(matcher.end());
        rest = " " + rest.strip().replaceAll(" +", " ") + " ";
        return Optional.of(matcher);
    }

    private Optional<Matcher> take(String pattern) {
        return take(Pattern.compile(pattern));
    }

    private Optional<Meant> superlative() {
        int direction;
        if (take("\\b(?:at (?:the )?(?:least|most))\\b(?!.)").isPresent()
                || rest.matches(".*\\bat (?:the )?(?:least|most)\\b.*")) {
            return Optional.empty();
        }
        if (MOST.matcher(rest).find() && take(MOST).isPresent()) {
            direction = rest.contains("§") && said.sides().names().size() > 1 ? best(said.claim()) : 0;
        } else if (take(WORST).isPresent()) {
            direction = -said.better();
        } else if (take(LEAST).isPresent() || take(SOONEST).isPresent()) {
            direction = -1;
        } else if (take(LATEST).isPresent()) {
            direction = 1;
        } else {
            return Optional.empty();
        }
        if (direction == 0) {
            return Optional.of(new Meant.Asked("neither way is better for this measure"));
        }
        Optional<Matcher> many = take("\\bof (?:the |these |those |all )*([0-9]+)\\b");
        if (many.isPresent()
                && Integer.parseInt(many.get().group(1)) != said.sides().names().size()) {
            return Optional.of(new Meant.Asked("how many are there? The figures are of "
                    + said.sides().names().size()));
        }
        take("\\b(?:of all|of them|of the lot|of any|among them|feeds|media|mixes|treatments)\\b");
        take("\\b(?:feeds|media|mixes|treatments|composts|materials|liquids)\\b");
        while (take(NEGATION).isPresent()) {
            denials++;
        }
        Optional<Meant> left = unread();
        if (left.isPresent()) {
            return left;
        }
        Meant.Region region =
                direction > 0 ? Meant.Region.above(false, 0, true, "") : Meant.Region.below(false, 0, true, "");
        Meant each = said.sides().names().size() > 2 ? new Meant.BesideEach(region, false) : region;
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
        if (rest.matches(
                        ".*\\b(?:same|identical|equal(?!s? to within)|alike|no odds|as one|no difference|indistinguishable)\\b.*")
                && !rest.matches(".*\\bwithin\\b.*")) {
            take("\\bsame(?: as)?\\b|\\bidentical(?: to)?\\b|\\bequal(?: to)?\\b|\\balike\\b");
            boolean denied = !rest.contains("no odds")
                    && !rest.contains("no difference")
                    && take(NEGATION).isPresent();
            Optional<Meant> left = unread();
            return denied && left.isEmpty()
                    ? Meant.Region.notNothing()
                    : new Meant.Asked("|difference| <= margin; no margin said");
        }
        boolean sized = rest.matches(".*[^§0-9][0-9].*|.*\\b(?:twice|double|an? \\p{L}+ (?:apart|at the most)).*");
        if (!sized
                && take("\\b(?:makes?|made|is|was) a (?:real )?difference(?: to)?\\b|\\bdiffer(?:s|ent)?(?: from)?\\b|"
                                + "\\bhas an effect(?: on)?\\b")
                        .isPresent()) {
            boolean denied = take(NEGATION).isPresent();
            return unread().orElseGet(() ->
                    denied ? new Meant.Asked("|difference| <= margin; no margin said") : Meant.Region.notNothing());
        }
        Bound bound = bound();
        Optional<Size> size = size();
        if (size.isPresent() && size.get().ask() != null) {
            return new Meant.Asked(String.valueOf(size.get().ask()));
        }
        if (bound == Bound.NONE && size.isPresent()) {
            behind();
        }
        take("\\bor not\\b");
        boolean both =
                take("\\b(?:either side(?: of)?|between (?:them|the 2|the two)|apart|(?:of|from) each other|differs? by|either way|"
                                + "different by|equal to|difference between(?: them)?|differs?(?: from)?|one another)\\b")
                        .isPresent();
        take("(?<=[^ ]) by(?= (?:§|$))");
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
        if (take("\\b(?:at least|no less than|not less than|no fewer than|a minimum of|a good|easily|fully) (?="
                        + AMOUNT + ")")
                .isPresent()) {
            lastBound = Bound.AT_LEAST;
        } else if (take("\\b(?:at (?:the )?most|no more than|not more than|not over|a maximum of|max|n't more than) (?="
                        + AMOUNT + ")")
                .isPresent()) {
            lastBound = Bound.AT_MOST;
        } else if (take("\\b(?:(?:equal )?to within|within) (?=" + AMOUNT + ")").isPresent()) {
            lastBound = Bound.WITHIN;
        } else if (take("\\b(?:more than|over) (?=twice|double|thrice|[0-9./]+ times|[0-9]+/[0-9]+ (?:the|of|as|what))")
                .isPresent()) {
            lastBound = Bound.ABOVE;
        } else if (take("\\b(?:less than|under) (?=twice|double|thrice|[0-9./]+ times|[0-9]+/[0-9]+ (?:the|of|as|what|mass|\\p{L}+ of))")
                .isPresent()) {
            lastBound = Bound.BELOW;
        } else if (take("\\b(?:more than|over) (?=[0-9][^ ]* ?[^ ]* (?:more|less|higher|better|fewer|heavier|taller))")
                .isPresent()) {
            lastBound = Bound.ABOVE;
        } else if (take("\\b(?:less than|under) (?=[0-9][^ ]* ?[^ ]* (?:more|less|higher|better|fewer|heavier|taller))")
                .isPresent()) {
            lastBound = Bound.BELOW;
        }
        return lastBound;
    }

    private void behind() {
        if (take("\\bat (?:the )?most\\b|\\bat the outside\\b|\\bor less\\b").isPresent()) {
            lastBound = Bound.AT_MOST;
        } else if (take("\\bat (?:the )?least\\b|\\bor more\\b").isPresent()) {
            lastBound = Bound.AT_LEAST;
        }
    }

    /**
     * How much.
     *
     * @param kind percent and parts are of the other; a factor is times it; an amount is in the measure's unit
     * @param high the other end of a span, else the same
     */
    private record Size(
            Kind kind,
            double low,
            double high,
            @org.jspecify.annotations.Nullable String ask,
            int sign) {
        enum Kind {
            OF_OTHER,
            SHARE,
            FACTOR,
            AGAIN,
            AMOUNT
        }

        static Size of(Kind kind, double value) {
            return new Size(kind, value, value, null, 0);
        }

        static Size asked(String question) {
            return new Size(Kind.AMOUNT, 0, 0, question, 0);
        }
    }

    private static double value(String number) {
        String[] parts = number.split("/");
        return parts.length == 2
                ? Double.parseDouble(parts[0]) / Double.parseDouble(parts[1])
                : Double.parseDouble(number);
    }

    private Optional<Size> size() {
        Optional<Matcher> more = take("\\b" + NUM + " times (more|less|fewer|higher|better|greater)\\b");
        if (more.isPresent()) {
            return Optional.of(Size.asked(more.get().group(1) + " times as much, or that much more again?"));
        }
        Optional<Matcher> again = take(NUM + " (?:%)? ?as (?:much|many) again");
        if (again.isPresent()) {
            return Optional.of(Size.of(Size.Kind.AGAIN, value(again.get().group(1))));
        }
        Optional<Matcher> points =
                take(NUM + " ?(?:%|percentage|pp) ?-?points?\\b|" + NUM + " points?\\b|" + NUM + " pp\\b");
        if (points.isPresent()) {
            return Optional.of(points(points.get()));
        }
        Optional<Matcher> span = take("(?:\\bbetween |\\bby )?" + NUM + " ?%? ?(?:-|to|and) ?" + NUM + " ?%");
        Optional<Matcher> parts = span.isPresent() ? span : take("\\bbetween ([0-9]+/[0-9]+) and ([0-9]+/[0-9]+)");
        if (parts.isPresent()) {
            boolean percent = span.isPresent();
            double by = percent ? 0.01 : 1;
            return percent && said.percent()
                    ? Optional.of(percentOfPercent(parts.get().group(1)))
                    : Optional.of(new Size(
                            Size.Kind.OF_OTHER,
                            by * value(parts.get().group(1)),
                            by * value(parts.get().group(2)),
                            null,
                            0));
        }
        return single();
    }

    private Size points(Matcher points) {
        String number = Optional.ofNullable(points.group(1))
                .or(() -> Optional.ofNullable(points.group(2)))
                .orElseGet(() -> points.group(3));
        return said.percent() || said.unit().equals("points")
                ? Size.of(Size.Kind.AMOUNT, value(number))
                : Size.asked("points of what? The figures are in " + said.unit());
    }

    private static Size percentOfPercent(String number) {
        return Size.asked(number + " % of the share, or " + number + " percentage points?");
    }

    private Optional<Size> single() {
        Optional<Matcher> share = said.percent()
                ? Optional.empty()
                : take(NUM + " ?%(?= of (?:the |what |that of |those |an? )*§| of what)");
        if (share.isPresent()) {
            return Optional.of(Size.of(Size.Kind.SHARE, value(share.get().group(1)) / 100));
        }
        Optional<Matcher> percent = take("(?<sign>[+-] ?)?" + NUM + " ?%");
        if (percent.isPresent()) {
            String number = percent.get().group(2);
            String sign = percent.get().group("sign");
            return Optional.of(
                    said.percent()
                            ? percentOfPercent(number)
                            : new Size(
                                    Size.Kind.OF_OTHER,
                                    value(number) / 100,
                                    value(number) / 100,
                                    null,
                                    sign == null ? 0 : sign.contains("-") ? -1 : 1));
        }
        Optional<Matcher> times = take(NUM + " ?(?:times|x|-?fold)\\b");
        if (times.isPresent()) {
            return Optional.of(Size.of(Size.Kind.FACTOR, value(times.get().group(1))));
        }
        if (take("\\b(?:twice|doubles?|doubled|doubling|twofold)\\b").isPresent()) {
            return Optional.of(Size.of(Size.Kind.FACTOR, 2));
        }
        if (take("\\b(?:thrice|triples?|tripled|trebles?|trebled|threefold)\\b").isPresent()) {
            return Optional.of(Size.of(Size.Kind.FACTOR, 3));
        }
        if (take("\\b(?:halves|halved|halve)\\b").isPresent()) {
            return Optional.of(Size.of(Size.Kind.FACTOR, 0.5));
        }
        Optional<Size> amount = amount();
        if (amount.isPresent()) {
            return amount;
        }
        return take("\\b([0-9]+/[0-9]+)(?: of)?(?= )")
                .map(part -> Size.of(
                        rest.matches(
                                                ".*\\b(?:more|less|fewer|higher|lower|shorter|taller|heavier|lighter|extra|better|worse)\\b.*")
                                        && !rest.matches(".*\\bas (?:much|many)\\b.*")
                                ? Size.Kind.OF_OTHER
                                : Size.Kind.FACTOR,
                        value(part.group(1))));
    }

    /** "10 g", "an extra kilo", "1/2 ounce", read as an amount of the measure's kind. */
    private Optional<Size> amount() {
        Optional<Size> span = spanned();
        if (span.isPresent()) {
            return span;
        }
        Matcher typed = Pattern.compile(
                        "(?<![\\w/.§])(?:" + NUM + "|an?|one) (?:extra |whole |full |more )?" + UNIT + "(?![\\w])")
                .matcher(rest);
        while (typed.find()) {
            String number = typed.group(1) == null ? "1" : typed.group(1);
            String unit = typed.group(2);
            Optional<Size> size = measured(number, unit, typed.group(1) != null);
            if (size.isPresent()) {
                rest = (rest.substring(0, typed.start()) + " " + rest.substring(typed.end())).replaceAll(" +", " ");
                if (typed.group().contains(" extra ") || typed.group().contains(" more ")) {
                    rest = rest.stripTrailing() + " more ";
                }
                return size;
            }
        }
        Matcher count = Pattern.compile("(?<![\\w/.§])" + NUM + " (?:more |fewer |extra )?(\\p{L}+)")
                .matcher(rest);
        if (!said.unit().isEmpty() && count.find() && stem(count.group(2)).equals(stem(said.unit()))) {
            String direction = count.group().contains("fewer")
                    ? " fewer "
                    : count.group().contains("more") || count.group().contains("extra") ? " more " : " ";
            rest = rest.substring(0, count.start()) + direction + rest.substring(count.end());
            return Optional.of(Size.of(Size.Kind.AMOUNT, value(count.group(1))));
        }
        return Optional.empty();
    }

    /** "between 10 g and 20 g", "10 to 20 g". */
    private Optional<Size> spanned() {
        Matcher span = Pattern.compile("(?:\\bbetween )?(?<![§/.0-9])" + NUM + "(?: " + UNIT + ")? ?(?:-|to|and) ?"
                        + NUM + " " + UNIT + "(?![\\w])")
                .matcher(rest);
        if (!span.find() || (span.group(2) != null && !span.group(2).equals(span.group(4)))) {
            return Optional.empty();
        }
        Optional<Size> low = measured(span.group(1), span.group(4), true);
        Optional<Size> high = measured(span.group(3), span.group(4), true);
        if (low.isEmpty() || high.isEmpty()) {
            return Optional.empty();
        }
        rest = (rest.substring(0, span.start()) + " " + rest.substring(span.end())).replaceAll(" +", " ");
        return Optional.of(new Size(
                Size.Kind.AMOUNT, low.get().low(), high.get().low(), low.get().ask(), 0));
    }

    private static String stem(String word) {
        return word.endsWith("s") ? word.substring(0, word.length() - 1) : word;
    }

    private Optional<Size> measured(String number, String unit, boolean figures) {
        String amount = number + " " + unit;
        Known known = Known.on(LocalDate.EPOCH);
        boolean anyKind = false;
        for (Box box : List.of(Box.MASS, Box.VOLUME, Box.LENGTH, Box.TIME_SPAN, Box.AREA, Box.TEMPERATURE)) {
            if (Reader.read(box, amount, known) instanceof Read.Value value
                    && value.meaning() instanceof Read.Amount one) {
                anyKind = true;
                OptionalDouble own = inUnit(one.value(), value.unit());
                if (own.isPresent()) {
                    return Optional.of(Size.of(Size.Kind.AMOUNT, own.getAsDouble()));
                }
            }
        }
        return anyKind && figures && !said.unit().isEmpty()
                ? Optional.of(
                        Size.asked("a difference in another kind of unit: " + unit + " of figures in " + said.unit()))
                : anyKind && figures && said.unit().isEmpty()
                        ? Optional.of(Size.asked(
                                "in which unit are the figures? Say it, to hold " + amount + " against them"))
                        : Optional.empty();
    }

    private OptionalDouble inUnit(double value, String kept) {
        Optional<UnitOfMeasure> from = UnitOfMeasure.spelled(kept);
        Optional<UnitOfMeasure> to = UnitOfMeasure.spelled(said.unit());
        return from.isPresent()
                        && to.isPresent()
                        && from.get().dimension() == to.get().dimension()
                ? OptionalDouble.of(new Quantity(value, from.get()).in(to.get()).value())
                : OptionalDouble.empty();
    }

    /** +1 more, −1 fewer, 0 neither said; empty where two ways are said, or no way is better. */
    private Optional<Integer> direction(boolean weak) {
        int found = 0;
        int direction = 0;
        boolean unsided = false;
        for (Pattern pattern : List.of(UP, DOWN, GOOD, BAD, SOON, LATE)) {
            if (take(pattern).isPresent()) {
                found++;
                direction = pattern == UP || pattern == LATE
                        ? 1
                        : pattern == DOWN || pattern == SOON ? -1 : pattern == GOOD ? said.better() : -said.better();
                unsided |= (pattern == GOOD || pattern == BAD) && said.better() == 0;
            }
        }
        if (found == 0 && weak && take(WEAK_UP).isPresent()) {
            found = 1;
            direction = 1;
        }
        return found > 1 || unsided ? Optional.empty() : Optional.of(direction);
    }

    private Meant sized(Size size, Bound bound) {
        boolean asMuch = take("\\bas (?:much|many|tall|heavy|high|long|good|well|large|big)\\b")
                .isPresent();
        while (take(NEGATION).isPresent()) {
            denials++;
        }
        boolean share = (size.kind() == Size.Kind.SHARE && bound != Bound.WITHIN)
                || (size.kind() == Size.Kind.OF_OTHER && asMuch);
        if (share || size.kind() == Size.Kind.FACTOR || size.kind() == Size.Kind.AGAIN) {
            return factored(size, bound, share);
        }
        if (bound == Bound.WITHIN) {
            take(UP);
            Meant region = size.kind() != Size.Kind.AMOUNT
                    ? Meant.Region.within(true, 1 - size.high(), 1 + size.high(), "")
                    : Meant.Region.within(false, -size.high(), size.high(), said.unit());
            return finished(region);
        }
        Optional<Integer> direction = size.sign() == 0 ? direction(true) : Optional.of(size.sign());
        if (size.sign() != 0) {
            take(WEAK_UP);
        }
        if (direction.isEmpty() || direction.get() == 0) {
            return new Meant.Asked(
                    said.better() == 0 ? "neither way is better for this measure" : "more or fewer? It has no side");
        }
        return finished(away(size, bound, direction.get()));
    }

    private Meant factored(Size size, Bound bound, boolean of) {
        double factor = size.kind() == Size.Kind.AGAIN ? 1 + size.low() : size.low();
        take(WEAK_UP);
        boolean part = factor < 1 && !of && bound == Bound.NONE;
        Meant region = bound == Bound.AT_MOST || bound == Bound.BELOW || part
                ? Meant.Region.below(true, factor, bound == Bound.BELOW, "")
                : Meant.Region.above(true, factor, bound == Bound.ABOVE, "");
        return bound == Bound.WITHIN ? new Meant.Asked("within how much of what?") : finished(region);
    }

    private Meant away(Size size, Bound bound, int direction) {
        boolean ratio = size.kind() == Size.Kind.OF_OTHER;
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
        Optional<Matcher> as = take(
                "\\b(?:at least |just |every bit )?as (good|much|many|tall|heavy|high|long|well|large|big|safe)\\b");
        while (take(NEGATION).isPresent()) {
            denials++;
        }
        if (as.isPresent()) {
            boolean good = as.get().group(1).matches("good|well|safe");
            int direction = good ? said.better() : 1;
            if (direction == 0) {
                return new Meant.Asked("neither way is better for this measure");
            }
            take(WEAK_UP);
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
        return whole instanceof Meant.Region region && said.turned(rest) ? region.turned() : whole;
    }

    /** What is left and says anything. */
    private Optional<Meant> unread() {
        Optional<String> other = otherMeasure();
        if (other.isPresent()) {
            return Optional.of(new Meant.Asked("another measure than the one here: “" + other.get() + "”"));
        }
        String words = rest.replaceAll("§[0-9]+(?:'s)?", " ")
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
        String text = plain(said.claim());
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
