package elsom.core.read;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.Dimension;
import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * An amount in the unit of the box it was typed into: the {@link Reader}'s answer where the box keeps one number and
 * nothing beside it. Text with two readings is refused with both rather than guessed.
 */
public sealed interface Typed {
    /** The text exactly as typed. */
    String text();

    /**
     * An amount that has one meaning.
     *
     * @param typed the amount in the unit that was typed, or the assumed one
     * @param stored the same amount in the unit it is kept in
     */
    record Understood(String text, Quantity typed, Quantity stored) implements Typed {}

    /**
     * Text that has no meaning, or two.
     *
     * @param problem what is wrong, as the end of a sentence
     * @param example something that would be accepted
     */
    record Refused(String text, String problem, String example) implements Typed {
        public String message() {
            return message("Accepted: " + example);
        }

        /** What is wrong, with other words of what would do. */
        public String message(String accepted) {
            return problem + (problem.endsWith("?") ? " " : ". ") + accepted;
        }
    }

    int LONGEST = 40;
    Pattern ENGLISH = Pattern.compile("(?<![0-9.,])[1-9][0-9]{0,2}(?:,[0-9]{3})+\\.[0-9]+(?![0-9.,])");
    Pattern CONTINENTAL = Pattern.compile("(?<![0-9.,])[1-9][0-9]{0,2}(?:\\.[0-9]{3})+,[0-9]+(?![0-9.,])");
    Pattern PART = Pattern.compile("([0-9]+[.,](?![0-9])|[0-9]*[.,]?[0-9]+)\\s*([^0-9.,+\\-]*)");

    /**
     * Reads an amount.
     *
     * @param text what was typed
     * @param assumed the unit meant when none is typed, and the one the amount is kept in
     */
    static Typed parse(String text, UnitOfMeasure assumed) {
        return parse(text, assumed, Known.on(Boxes.TODAY));
    }

    /** The same, of somebody of whom more is known. */
    static Typed parse(String text, UnitOfMeasure assumed, Known known) {
        Typed plain = inUnits(text, assumed);
        Optional<Box> box = Boxes.of(assumed);
        boolean liquid = Boxes.liquid(text);
        boolean refused = plain instanceof Refused;
        if (box.isEmpty() || (!refused && !liquid)) {
            return plain;
        }
        Read read = Reader.read(box.get(), text, known);
        if (read instanceof Read.Ask ask) {
            boolean readings = refused && !ask.readings().isEmpty() && assumed.dimension() != Dimension.CONDUCTIVITY;
            return liquid || readings
                    ? new Refused(
                            text,
                            ask.why(),
                            ask.readings().isEmpty()
                                    ? assumed.example()
                                    : ask.readings().get(0))
                    : plain;
        }
        return refused
                        && read instanceof Read.Value value
                        && value.meaning() instanceof Read.Amount amount
                        && value.note().isEmpty()
                ? Boxes.kept(text, amount.value(), value.unit(), assumed).orElse(plain)
                : plain;
    }

    /** A number with one of the box's units, or several of one kind. */
    private static Typed inUnits(String text, UnitOfMeasure assumed) {
        String bare = grouped(text.replace('\u00a0', ' ').replace('−', '-').strip());
        String example = assumed.example();
        if (bare.isEmpty()) {
            return new Refused(text, "No number yet", example);
        }
        if (bare.length() > LONGEST) {
            return new Refused(text, "Too long for a number", example);
        }
        return problemWithDigits(bare)
                .<Typed>map(problem -> new Refused(text, problem, example))
                .orElseGet(() -> parts(text, bare, assumed, example));
    }

    /** Without the separators of thousands, where both kinds or several of one show which they are: "1,234.5". */
    private static String grouped(String bare) {
        if (bare.length() > LONGEST) {
            return bare;
        }
        Matcher english = ENGLISH.matcher(bare);
        if (english.find()) {
            return bare.substring(0, english.start())
                    + english.group().replace(",", "")
                    + bare.substring(english.end());
        }
        Matcher continental = CONTINENTAL.matcher(bare);
        return continental.find()
                ? bare.substring(0, continental.start())
                        + continental.group().replace(".", "").replace(',', '.')
                        + bare.substring(continental.end())
                : bare;
    }

    private static Optional<String> problemWithDigits(String bare) {
        if (bare.chars().noneMatch(c -> c >= '0' && c <= '9')) {
            return Optional.of("No number in “" + bare + "”");
        }
        if (bare.matches(".*[0-9][.,][0-9]*[.,].*")) {
            return Optional.of("Two decimal separators in “" + bare + "”");
        }
        if (bare.matches("-?[1-9][0-9]{0,2},[0-9]{3}(?![0-9]).*")) {
            return Optional.of("“" + bare + "” could be " + bare.replace(',', '.') + " or " + bare.replace(",", "")
                    + ": write one of them");
        }
        return Optional.empty();
    }

    /** Meters that show ppm multiply EC by one of three numbers, and seldom say which. */
    private static Typed partsPerMillion(String text, double ppm) {
        return new Refused(
                text,
                "ppm of EC depends on the meter's factor: by 500 it is " + millisiemens(ppm / 500)
                        + " mS/cm, by 640 it is " + millisiemens(ppm / 640) + " mS/cm, by 700 it is "
                        + millisiemens(ppm / 700) + " mS/cm",
                "the one that your meter's sheet names, such as " + millisiemens(ppm / 500) + " mS/cm");
    }

    private static String millisiemens(double ec) {
        return Decimals.upTo(ec, 2);
    }

    private static Typed parts(String text, String bare, UnitOfMeasure assumed, String example) {
        boolean negative = bare.startsWith("-");
        String rest =
                bare.startsWith("-") || bare.startsWith("+") ? bare.substring(1).strip() : bare;
        Matcher matcher = PART.matcher(rest);
        int end = 0;
        int count = 0;
        double stored = 0;
        Quantity first = new Quantity(0, assumed);
        while (matcher.find() && matcher.start() == end) {
            end = matcher.end();
            String spelling = matcher.group(2).strip();
            if (spelling.isEmpty() && (count > 0 || end < rest.length())) {
                return new Refused(text, "Two numbers in “" + bare + "”", example);
            }
            Optional<UnitOfMeasure> unit = spelling.isEmpty() ? Optional.of(assumed) : UnitOfMeasure.spelled(spelling);
            if (unit.isEmpty() && assumed.dimension() == Dimension.CONDUCTIVITY && spelling.equalsIgnoreCase("ppm")) {
                return partsPerMillion(text, Double.parseDouble(matcher.group(1).replace(',', '.')));
            }
            if (unit.isEmpty()) {
                return new Refused(text, "“" + spelling + "” is not a unit known here", example);
            }
            if (unit.get().dimension() != assumed.dimension()) {
                return new Refused(
                        text,
                        "“" + spelling + "” is " + unit.get().dimension().words() + "; wanted is "
                                + assumed.dimension().words(),
                        example);
            }
            double number = Double.parseDouble(matcher.group(1).replace(',', '.'));
            Quantity part = new Quantity(negative ? -number : number, unit.get());
            stored += part.in(assumed).value();
            first = count == 0
                    ? part
                    : new Quantity(first.value() + part.in(first.unit()).value(), first.unit());
            count++;
        }
        if (end < rest.length() || count == 0) {
            return new Refused(text, "Can't read “" + bare + "”", example);
        }
        return new Understood(text, first, new Quantity(stored, assumed));
    }
}
