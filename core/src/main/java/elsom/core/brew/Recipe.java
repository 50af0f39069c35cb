package elsom.core.brew;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What goes into an aerated extract, a litre, written as people write it: a line for each thing.
 *
 * @param airPerLitre litres of air a minute for each litre; empty where nobody said
 * @param celsius of the water; empty where nobody said
 * @param water how tap water is made ready; empty where nobody said
 */
public record Recipe(
        List<Ingredient> ingredients, OptionalDouble airPerLitre, OptionalDouble celsius, Optional<Water> water) {
    /** Ascorbic acid that takes up a part of chlorine, by mass (USDA Forest Service 2005, 0523 1301). */
    public static final double ASCORBIC_PER_CHLORINE = 2.5;

    public static final int LONGEST = 4000;
    /**
     * Compost, food, or something else that goes in.
     *
     * @param perLitre in its unit
     * @param unit g or mL
     * @param afterHours when it is fed again; 0 at the start
     * @param where a word of the treatments that get it; empty for all
     */
    public record Ingredient(String name, double perLitre, UnitOfMeasure unit, double afterHours, String where) {
        /** Whether a treatment of that name gets it. */
        public boolean in(String treatment) {
            return where.isEmpty() || treatment.toLowerCase(Locale.ROOT).contains(where.toLowerCase(Locale.ROOT));
        }
    }

    /**
     * How tap water is made ready.
     *
     * @param standHours it stands with air; 0 for none
     * @param chlorineMgL that ascorbic acid takes up; 0 for none
     */
    public record Water(double standHours, double chlorineMgL) {
        /** Whether standing is all that is done: it does nothing against chloramine. */
        public boolean standsOnly() {
            return standHours > 0 && chlorineMgL == 0;
        }
    }

    /** What was read, with every line that can't be. */
    public record Read(Recipe recipe, List<String> problems) {}

    public Recipe {
        ingredients = List.copyOf(ingredients);
    }

    /** Reads a recipe; lines that can't be read are told, each with an accepted example. */
    public static Read read(String text) {
        return new RecipeReader(false).read(text);
    }

    /** Reads a recipe that was taken once: what would be asked today is what it was taken for then, US gallons. */
    public static Recipe kept(String text) {
        return readKept(text).recipe();
    }

    /** The same with what can't be read even so. */
    public static Read readKept(String text) {
        return new RecipeReader(true).read(text);
    }

    /**
     * A line of the sheet for one vessel.
     *
     * @param metric such as "150 g"
     * @param afterHours when; 0 at the start
     */
    public record SheetLine(String name, String metric, double afterHours) {}

    /** What a vessel of so many litres gets, in the order it goes in. */
    public List<SheetLine> sheet(String treatment, double litres) {
        List<SheetLine> sheet = new ArrayList<>();
        sheet.add(new SheetLine("water", amount(litres * 1000, UnitOfMeasure.MILLILITRE), 0));
        water.filter(made -> made.chlorineMgL() > 0)
                .ifPresent(made -> sheet.add(new SheetLine(
                        "ascorbic acid against its chlorine, stirred in first",
                        Decimals.significant(ASCORBIC_PER_CHLORINE * made.chlorineMgL() * litres, 2) + " mg",
                        0)));
        for (Ingredient one : ingredients) {
            if (one.in(treatment)) {
                sheet.add(new SheetLine(one.name(), amount(one.perLitre() * litres, one.unit()), one.afterHours()));
            }
        }
        airPerLitre.ifPresent(air ->
                sheet.add(new SheetLine("air, all the time", Decimals.significant(air * litres, 2) + " L/min", 0)));
        sheet.sort((one, other) -> Double.compare(one.afterHours(), other.afterHours()));
        return sheet;
    }

    private static String amount(double value, UnitOfMeasure unit) {
        boolean large = value >= 1000;
        String symbol = unit == UnitOfMeasure.GRAM ? large ? "kg" : "g" : large ? "L" : "mL";
        return Decimals.significant(large ? value / 1000 : value, 3) + " " + symbol;
    }

    /** Hours after the start at which something is fed again, the earliest first. */
    public List<Double> feedings() {
        return ingredients.stream()
                .map(Ingredient::afterHours)
                .filter(hours -> hours > 0)
                .distinct()
                .sorted()
                .toList();
    }
}
