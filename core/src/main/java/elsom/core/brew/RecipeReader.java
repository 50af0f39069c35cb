package elsom.core.brew;

import elsom.core.brew.Recipe.Ingredient;
import elsom.core.brew.Recipe.Water;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Box;
import elsom.core.read.Known;
import elsom.core.read.Read;
import elsom.core.read.Reader;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads a recipe line by line. */
final class RecipeReader {
    private static final int MOST_LINES = 40;
    private static final double MOST_HOURS = 240;

    private static final String NUMBER = "(\\d{1,6}(?:[.,]\\d{1,4})?)";
    private static final Pattern LATER =
            Pattern.compile("\\+\\s*" + NUMBER + "\\s*h\\s*:?\\s+(.+)", Pattern.CASE_INSENSITIVE);
    private static final Pattern WHERE = Pattern.compile("(.+?)\\s+in\\s+([^0-9].{0,59})", Pattern.CASE_INSENSITIVE);
    private static final Pattern DOSE =
            Pattern.compile("\\s+(?=[0-9½¼¾⅓⅔]|half\\b|an?\\b|one\\b)", Pattern.CASE_INSENSITIVE);
    private static final int LONGEST_NAME = 60;
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
    private final boolean kept;
    private final List<Ingredient> ingredients = new ArrayList<>();
    private final List<String> problems = new ArrayList<>();
    private OptionalDouble air = OptionalDouble.empty();
    private OptionalDouble celsius = OptionalDouble.empty();
    private Optional<Water> water = Optional.empty();

    /**
     * A reader.
     *
     * @param kept whether it reads what was kept before gallons were asked about: those were US ones
     */
    RecipeReader(boolean kept) {
        this.kept = kept;
    }

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
        } else {
            ingredient(line);
        }
    }

    private void ingredient(String line) {
        Matcher later = LATER.matcher(line);
        double hours = later.matches() ? number(later.group(1)) : 0;
        String rest = later.matches() ? later.group(2) : line;
        Matcher where = WHERE.matcher(rest);
        String of = where.matches() ? where.group(2).strip() : "";
        String what = where.matches() ? where.group(1) : rest;
        if (hours > MOST_HOURS) {
            problems.add("“" + line + "” is fed after more than " + Math.round(MOST_HOURS)
                    + " h. Accepted: +12 h kelp 1 g/L.");
            return;
        }
        Optional<Read.Ask> asked = Optional.empty();
        Matcher dose = DOSE.matcher(what);
        while (dose.find()) {
            String name = what.substring(0, dose.start()).strip();
            Read read = dose(what.substring(dose.end()));
            if (!name.isEmpty()
                    && name.length() <= LONGEST_NAME
                    && read instanceof Read.Value value
                    && perLitre(name, value, hours, of)) {
                return;
            }
            if (asked.isEmpty()
                    && read instanceof Read.Ask ask
                    && !ask.readings().isEmpty()) {
                asked = Optional.of(ask);
            }
        }
        problems.add(asked.map(ask -> ask.why() + " Type the one that is meant.")
                .orElse("“" + line + "” is not understood. Accepted: compost 15 g/L; kelp 2 g/L in kelp; +12 h molasses"
                        + " 2 mL/L; air 0.5 L/min per L; temperature 22 C."));
    }

    private Read dose(String text) {
        Read read = Reader.read(Box.DOSE_LEVEL, text, Known.on(LocalDate.EPOCH));
        return kept && read instanceof Read.Ask ask && !ask.readings().isEmpty()
                ? Reader.read(Box.DOSE_LEVEL, ask.readings().get(0), Known.on(LocalDate.EPOCH))
                : read;
    }

    /** Whether it is so much in a litre, and was taken. */
    private boolean perLitre(String name, Read.Value value, double hours, String of) {
        Optional<UnitOfMeasure> unit = value.unit().equals("g/L")
                ? Optional.of(UnitOfMeasure.GRAM)
                : value.unit().equals("mL/L") ? Optional.of(UnitOfMeasure.MILLILITRE) : Optional.empty();
        if (unit.isEmpty() || !(value.meaning() instanceof Read.Amount amount)) {
            return false;
        }
        ingredients.add(new Ingredient(name, amount.value(), unit.get(), hours, of));
        return true;
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
