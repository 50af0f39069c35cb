package elsom.core.sums;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.Dimension;
import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Known;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Answers in what was typed: who writes cups and pounds is answered in them, with millilitres and grams beside. */
public final class AsTyped {
    /** An amount by itself: "50 mL", and not "50 mL/L", "−50 mL" or the end of "40 to 50 mL". */
    private static final Pattern AMOUNT =
            Pattern.compile("(?<![\\w.,·/+−–])(?<!to )([0-9]+(?:\\.[0-9]+)?) (mL|L|g|kg)(?![\\w/²³]| a litre)");

    private static final Pattern VOLUMES = Pattern.compile(
            "(?i)\\b(?<kitchen>cups?|tbsps?|tablespoons?|tsps?|teaspoons?)\\b|\\b(?<liquid>fl\\.? ?oz|gals?|gallons?|quarts?|qts?)\\b");
    private static final Pattern MASSES = Pattern.compile("(?i)\\b(?:lbs?|pounds?|(?<!fl )(?<!fl)oz|ounces?)\\b");
    private static final Pattern IMPERIAL = Pattern.compile("(?i)\\bimp(?:erial)?\\b");

    private static final List<UnitOfMeasure> KITCHEN =
            List.of(UnitOfMeasure.US_CUP, UnitOfMeasure.TABLESPOON, UnitOfMeasure.TEASPOON);
    private static final List<UnitOfMeasure> LIQUID = List.of(
            UnitOfMeasure.US_GALLON, UnitOfMeasure.US_QUART, UnitOfMeasure.US_FLUID_OUNCE, UnitOfMeasure.TEASPOON);
    private static final List<UnitOfMeasure> IMPERIALLY = List.of(UnitOfMeasure.IMPERIAL_GALLON);
    private static final List<UnitOfMeasure> WEIGHTS = List.of(UnitOfMeasure.POUND, UnitOfMeasure.OUNCE);

    /** Less of a unit is told in the next smaller. */
    private static final double LEAST = 0.5;

    private static final int DIGITS = 3;

    private AsTyped() {}

    /** One amount, "473 mL", in what was typed, with itself beside; as it is where that was metric. */
    public static String told(String amount, String typed, Known known) {
        return told(amount, units(List.of(typed), known));
    }

    /** An answer to what was typed in blanks that hold amounts. */
    static SumAnswer of(SumAnswer answer, Collection<String> typed, Known known) {
        Map<Dimension, List<UnitOfMeasure>> units = units(typed, known);
        return new SumAnswer(
                told(answer.sentence(), units),
                answer.lines().stream()
                        .map(line -> new SumAnswer.Line(line.label(), told(line.value(), units)))
                        .toList(),
                answer.steps(),
                answer.mind(),
                answer.numbers());
    }

    private static Map<Dimension, List<UnitOfMeasure>> units(Collection<String> typed, Known known) {
        boolean weighed = typed.stream().anyMatch(text -> MASSES.matcher(text).find());
        return Map.of(Dimension.VOLUME, volumes(typed, known), Dimension.MASS, weighed ? WEIGHTS : List.of());
    }

    private static List<UnitOfMeasure> volumes(Collection<String> typed, Known known) {
        for (String text : typed) {
            Matcher found = VOLUMES.matcher(text);
            if (found.find()) {
                boolean imperial =
                        IMPERIAL.matcher(text).find() || known.gallons().equals(Optional.of(Known.Gallons.IMPERIAL));
                return found.group("kitchen") != null ? KITCHEN : imperial ? IMPERIALLY : LIQUID;
            }
        }
        return List.of();
    }

    private static String told(String text, Map<Dimension, List<UnitOfMeasure>> units) {
        return AMOUNT.matcher(text).replaceAll(found -> Matcher.quoteReplacement(amount(found, units)));
    }

    private static String amount(MatchResult found, Map<Dimension, List<UnitOfMeasure>> units) {
        Quantity metric = new Quantity(
                Double.parseDouble(found.group(1)),
                UnitOfMeasure.spelled(found.group(2)).orElseThrow());
        List<UnitOfMeasure> offered = units.getOrDefault(metric.unit().dimension(), List.of());
        if (offered.isEmpty() || metric.value() == 0) {
            return found.group();
        }
        UnitOfMeasure fits = offered.stream()
                .filter(unit -> metric.in(unit).value() >= LEAST)
                .findFirst()
                .orElse(offered.get(offered.size() - 1));
        String number = Decimals.significant(metric.in(fits).value(), DIGITS);
        return number + " " + name(fits, number) + " (" + found.group() + ")";
    }

    /** Whose fluid ounce and quart it is, as those of a gallon is said. */
    private static String name(UnitOfMeasure unit, String number) {
        return switch (unit) {
            case US_CUP -> number.equals("1") ? "cup" : "cups";
            case US_FLUID_OUNCE, US_QUART -> "US " + unit.symbol();
            default -> unit.symbol();
        };
    }
}
