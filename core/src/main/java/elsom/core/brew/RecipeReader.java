package elsom.core.brew;

import elsom.core.brew.Recipe.Ingredient;
import elsom.core.brew.Recipe.Water;
import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads a recipe line by line. */
final class RecipeReader {
    private static final int MOST_LINES = 40;
    private static final double MOST_HOURS = 240;

    private static final String NUMBER = "(\\d{1,6}(?:[.,]\\d{1,4})?)";
    private static final Pattern INGREDIENT = Pattern.compile(
            "(?:\\+\\s*" + NUMBER + "\\s*h\\s*:?\\s+)?(.{1,60}?)\\s+" + NUMBER
                    + "\\s*(g|ml|l|oz|fl oz|tsp|tbsp|cups?|lb)\\s*/\\s*(l|litre|gal)(?:\\s+in\\s+(.{1,60}))?",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern AIR = Pattern.compile(
            "air\\s+" + NUMBER + "\\s*l\\s*/\\s*min\\s+(?:per|a|an|each)\\s+l(?:itre)?", Pattern.CASE_INSENSITIVE);
    private static final Pattern TEMPERATURE =
            Pattern.compile("temperature\\s+" + NUMBER + "\\s*°?\\s*([cf])", Pattern.CASE_INSENSITIVE);
    private static final Pattern STAND =
            Pattern.compile("water\\s+stand(?:s|ing)?\\s+" + NUMBER + "\\s*h", Pattern.CASE_INSENSITIVE);
    private static final Pattern TREATED = Pattern.compile(
            "water\\s+(?:vitamin c|ascorbic acid),?\\s+chlorine\\s+" + NUMBER + "\\s*mg\\s*/\\s*l",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern CLEAN = Pattern.compile("water\\s+(?:rain|well|clean)", Pattern.CASE_INSENSITIVE);
    private static final Map<String, UnitOfMeasure> UNITS = Map.ofEntries(
            Map.entry("g", UnitOfMeasure.GRAM),
            Map.entry("oz", UnitOfMeasure.OUNCE),
            Map.entry("lb", UnitOfMeasure.POUND),
            Map.entry("ml", UnitOfMeasure.MILLILITRE),
            Map.entry("l", UnitOfMeasure.LITRE),
            Map.entry("fl oz", UnitOfMeasure.US_FLUID_OUNCE),
            Map.entry("tsp", UnitOfMeasure.TEASPOON),
            Map.entry("tbsp", UnitOfMeasure.TABLESPOON),
            Map.entry("cup", UnitOfMeasure.US_CUP),
            Map.entry("cups", UnitOfMeasure.US_CUP));

    private final List<Ingredient> ingredients = new ArrayList<>();
    private final List<String> problems = new ArrayList<>();
    private OptionalDouble air = OptionalDouble.empty();
    private OptionalDouble celsius = OptionalDouble.empty();
    private Optional<Water> water = Optional.empty();

    Recipe.Read read(String text) {
        List<String> lines =
                text.lines().map(String::strip).filter(line -> !line.isEmpty()).toList();
        if (lines.size() > MOST_LINES) {
            problems.add("A recipe has " + MOST_LINES + " lines at most, here are " + lines.size() + ".");
        }
        lines.stream().limit(MOST_LINES).forEach(this::line);
        return new Recipe.Read(new Recipe(ingredients, air, celsius, water), List.copyOf(problems));
    }

    private void line(String line) {
        Matcher blown = AIR.matcher(line);
        Matcher warm = TEMPERATURE.matcher(line);
        Matcher part = INGREDIENT.matcher(line);
        if (blown.matches()) {
            air = OptionalDouble.of(number(blown.group(1)));
        } else if (warm.matches()) {
            double typed = number(warm.group(1));
            celsius = OptionalDouble.of(warm.group(2).equalsIgnoreCase("f") ? (typed - 32) / 1.8 : typed);
        } else if (line.toLowerCase(Locale.ROOT).startsWith("water ")) {
            water = water(line);
            if (water.isEmpty()) {
                problems.add("“" + line + "” is not understood. Accepted: water stand 24 h; water vitamin C, chlorine"
                        + " 0.8 mg/L; water rain.");
            }
        } else if (part.matches()) {
            ingredient(line, part);
        } else {
            problems.add(
                    "“" + line + "” is not understood. Accepted: compost 15 g/L; kelp 2 g/L in kelp; +12 h molasses"
                            + " 2 mL/L; air 0.5 L/min per L; temperature 22 C.");
        }
    }

    private void ingredient(String line, Matcher matched) {
        double hours = matched.group(1) == null ? 0 : number(matched.group(1));
        if (hours > MOST_HOURS) {
            problems.add("“" + line + "” is fed after more than " + Math.round(MOST_HOURS)
                    + " h. Accepted: +12 h kelp 1 g/L.");
            return;
        }
        UnitOfMeasure typed = Objects.requireNonNull(UNITS.get(matched.group(4).toLowerCase(Locale.ROOT)));
        boolean mass = typed == UnitOfMeasure.GRAM || typed == UnitOfMeasure.OUNCE || typed == UnitOfMeasure.POUND;
        UnitOfMeasure kept = mass ? UnitOfMeasure.GRAM : UnitOfMeasure.MILLILITRE;
        double amount = new Quantity(number(matched.group(3)), typed).in(kept).value();
        double litres = matched.group(5).toLowerCase(Locale.ROOT).startsWith("gal")
                ? new Quantity(1, UnitOfMeasure.US_GALLON)
                        .in(UnitOfMeasure.LITRE)
                        .value()
                : 1;
        ingredients.add(new Ingredient(
                matched.group(2).strip(),
                amount / litres,
                kept,
                hours,
                matched.group(6) == null ? "" : matched.group(6).strip()));
    }

    private static Optional<Water> water(String line) {
        Matcher matched = STAND.matcher(line);
        if (matched.matches()) {
            return Optional.of(new Water(number(matched.group(1)), 0));
        }
        matched = TREATED.matcher(line);
        if (matched.matches()) {
            return Optional.of(new Water(0, number(matched.group(1))));
        }
        return CLEAN.matcher(line).matches() ? Optional.of(new Water(0, 0)) : Optional.empty();
    }

    private static double number(String typed) {
        return Double.parseDouble(typed.replace(',', '.'));
    }
}
