package elsom.core.claim;

import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Box;
import elsom.core.read.Known;
import elsom.core.read.Read;
import elsom.core.read.Reader;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Takes out of a claim's words how much it says. */
final class SizeReader {
    private static final String NUM = "([0-9]+(?:\\.[0-9]+)?(?:/[0-9]+)?)";
    private static final String UNIT = "(fl oz|sq cm|[a-zµ°]{1,12}(?:/[a-z0-9]{1,4})?)";

    private final Phrases phrases;
    private final ClaimCase said;

    SizeReader(Phrases phrases, ClaimCase said) {
        this.phrases = phrases;
        this.said = said;
    }

    private static double value(String number) {
        String[] parts = number.split("/");
        return parts.length == 2
                ? Double.parseDouble(parts[0]) / Double.parseDouble(parts[1])
                : Double.parseDouble(number);
    }

    /** How much, if anything says so. */
    Optional<ClaimSize> read() {
        Optional<Matcher> more = phrases.take("\\b" + NUM + " times (more|less|fewer|higher|better|greater)\\b");
        if (more.isPresent()) {
            return Optional.of(ClaimSize.asked(more.get().group(1) + " times as much, or that much more again?"));
        }
        Optional<Matcher> again = phrases.take(NUM + " (?:%)? ?as (?:much|many) again");
        if (again.isPresent()) {
            return Optional.of(
                    ClaimSize.of(ClaimSize.Kind.AGAIN, value(again.get().group(1))));
        }
        Optional<Matcher> points =
                phrases.take(NUM + " ?(?:%|percentage|pp) ?-?points?\\b|" + NUM + " points?\\b|" + NUM + " pp\\b");
        if (points.isPresent()) {
            return Optional.of(points(points.get()));
        }
        Optional<Matcher> span = phrases.take("(?:\\bbetween |\\bby )?" + NUM + " ?%? ?(?:-|to|and) ?" + NUM + " ?%");
        Optional<Matcher> parts =
                span.isPresent() ? span : phrases.take("\\bbetween ([0-9]+/[0-9]+) and ([0-9]+/[0-9]+)");
        if (parts.isPresent()) {
            boolean percent = span.isPresent();
            double by = percent ? 0.01 : 1;
            return percent && said.percent()
                    ? Optional.of(percentOfPercent(parts.get().group(1)))
                    : Optional.of(new ClaimSize(
                            ClaimSize.Kind.OF_OTHER,
                            by * value(parts.get().group(1)),
                            by * value(parts.get().group(2)),
                            null,
                            0));
        }
        return single();
    }

    private ClaimSize points(Matcher points) {
        String number = Optional.ofNullable(points.group(1))
                .or(() -> Optional.ofNullable(points.group(2)))
                .orElseGet(() -> points.group(3));
        return said.percent() || said.unit().equals("points")
                ? ClaimSize.of(ClaimSize.Kind.AMOUNT, value(number))
                : ClaimSize.asked("points of what? The figures are in " + said.unit());
    }

    private static ClaimSize percentOfPercent(String number) {
        return ClaimSize.asked(number + " % of the share, or " + number + " percentage points?");
    }

    private Optional<ClaimSize> single() {
        Optional<Matcher> share = said.percent()
                ? Optional.empty()
                : phrases.take(NUM + " ?%(?= of (?:the |what |that of |those |an? )*§| of what)");
        if (share.isPresent()) {
            return Optional.of(
                    ClaimSize.of(ClaimSize.Kind.SHARE, value(share.get().group(1)) / 100));
        }
        Optional<Matcher> percent = phrases.take("(?<sign>[+-] ?)?" + NUM + " ?%");
        if (percent.isPresent()) {
            String number = percent.get().group(2);
            String sign = percent.get().group("sign");
            return Optional.of(
                    said.percent()
                            ? percentOfPercent(number)
                            : new ClaimSize(
                                    ClaimSize.Kind.OF_OTHER,
                                    value(number) / 100,
                                    value(number) / 100,
                                    null,
                                    sign == null ? 0 : sign.contains("-") ? -1 : 1));
        }
        Optional<Matcher> times = phrases.take(NUM + " ?(?:times|x|-?fold)\\b");
        if (times.isPresent()) {
            return Optional.of(
                    ClaimSize.of(ClaimSize.Kind.FACTOR, value(times.get().group(1))));
        }
        if (phrases.take("\\b(?:twice|doubles?|doubled|doubling|twofold)\\b").isPresent()) {
            return Optional.of(ClaimSize.of(ClaimSize.Kind.FACTOR, 2));
        }
        if (phrases.take("\\b(?:thrice|triples?|tripled|trebles?|trebled|threefold)\\b")
                .isPresent()) {
            return Optional.of(ClaimSize.of(ClaimSize.Kind.FACTOR, 3));
        }
        if (phrases.take("\\b(?:halves|halved|halve)\\b").isPresent()) {
            return Optional.of(ClaimSize.of(ClaimSize.Kind.FACTOR, 0.5));
        }
        Optional<ClaimSize> amount = amount();
        if (amount.isPresent()) {
            return amount;
        }
        return phrases.take("\\b([0-9]+/[0-9]+)(?: of)?(?= )")
                .map(part -> ClaimSize.of(
                        phrases.rest()
                                                .matches(
                                                        ".*\\b(?:more|less|fewer|higher|lower|shorter|taller|heavier|lighter|extra|better|worse)\\b.*")
                                        && !phrases.rest().matches(".*\\bas (?:much|many)\\b.*")
                                ? ClaimSize.Kind.OF_OTHER
                                : ClaimSize.Kind.FACTOR,
                        value(part.group(1))));
    }

    /** "10 g", "an extra kilo", "1/2 ounce", read as an amount of the measure's kind. */
    private Optional<ClaimSize> amount() {
        Optional<ClaimSize> span = spanned();
        if (span.isPresent()) {
            return span;
        }
        Matcher typed = Pattern.compile(
                        "(?<![\\w/.§])(?:" + NUM + "|an?|one) (?:extra |whole |full |more )?" + UNIT + "(?![\\w])")
                .matcher(phrases.rest());
        while (typed.find()) {
            String number = typed.group(1) == null ? "1" : typed.group(1);
            String unit = typed.group(2);
            Optional<ClaimSize> size = measured(number, unit, typed.group(1) != null);
            if (size.isPresent()) {
                boolean more =
                        typed.group().contains(" extra ") || typed.group().contains(" more ");
                phrases.replace(typed, more ? " more " : " ");
                return size;
            }
        }
        Matcher count = Pattern.compile("(?<![\\w/.§])" + NUM + " (?:more |fewer |extra )?(\\p{L}+)")
                .matcher(phrases.rest());
        if (!said.unit().isEmpty() && count.find() && stem(count.group(2)).equals(stem(said.unit()))) {
            String direction = count.group().contains("fewer")
                    ? " fewer "
                    : count.group().contains("more") || count.group().contains("extra") ? " more " : " ";
            phrases.replace(count, direction);
            return Optional.of(ClaimSize.of(ClaimSize.Kind.AMOUNT, value(count.group(1))));
        }
        return Optional.empty();
    }

    /** "between 10 g and 20 g", "10 to 20 g". */
    private Optional<ClaimSize> spanned() {
        Matcher span = Pattern.compile("(?:\\bbetween )?(?<![§/.0-9])" + NUM + "(?: " + UNIT + ")? ?(?:-|to|and) ?"
                        + NUM + " " + UNIT + "(?![\\w])")
                .matcher(phrases.rest());
        if (!span.find() || (span.group(2) != null && !span.group(2).equals(span.group(4)))) {
            return Optional.empty();
        }
        Optional<ClaimSize> low = measured(span.group(1), span.group(4), true);
        Optional<ClaimSize> high = measured(span.group(3), span.group(4), true);
        if (low.isEmpty() || high.isEmpty()) {
            return Optional.empty();
        }
        phrases.replace(span, " ");
        return Optional.of(new ClaimSize(
                ClaimSize.Kind.AMOUNT,
                low.get().low(),
                high.get().low(),
                low.get().ask(),
                0));
    }

    private static String stem(String word) {
        return word.endsWith("s") ? word.substring(0, word.length() - 1) : word;
    }

    private Optional<ClaimSize> measured(String number, String unit, boolean figures) {
        String amount = number + " " + unit;
        Known known = Known.on(LocalDate.EPOCH);
        boolean anyKind = false;
        for (Box box : List.of(Box.MASS, Box.VOLUME, Box.LENGTH, Box.TIME_SPAN, Box.AREA, Box.TEMPERATURE)) {
            if (Reader.read(box, amount, known) instanceof Read.Value value
                    && value.meaning() instanceof Read.Amount one) {
                anyKind = true;
                OptionalDouble own = inUnit(one.value(), value.unit());
                if (own.isPresent()) {
                    return Optional.of(ClaimSize.of(ClaimSize.Kind.AMOUNT, own.getAsDouble()));
                }
            }
        }
        return anyKind && figures && !said.unit().isEmpty()
                ? Optional.of(ClaimSize.asked(
                        "a difference in another kind of unit: " + unit + " of figures in " + said.unit()))
                : anyKind && figures && said.unit().isEmpty()
                        ? Optional.of(ClaimSize.asked(
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
}
