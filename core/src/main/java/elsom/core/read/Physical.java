package elsom.core.read;

import elsom.core.quantity.Dimension;
import elsom.core.quantity.Powers;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Boxes of one measured amount in a unit of its kind. */
final class Physical {
    private static final double HOTTEST = 2000;
    private static final double ABSOLUTE_ZERO = 273.15;
    private static final double MOST = 1e9;
    private static final double ACIDEST = 14;
    private static final double CENTURY = 100 * 365.25 * 24;
    private static final Set<String> LABELS = Set.of(
            "wt",
            "weight",
            "weighs",
            "mass",
            "total",
            "ec",
            "temp",
            "temperature",
            "height",
            "length",
            "volume",
            "depth",
            "area",
            "conductivity",
            "it",
            "is",
            "=",
            ":",
            "was",
            "the",
            "tds");
    private static final Set<String> HALF_WORDS = Set.of("overnight", "neutral");
    private static final Set<String> ONE_WAY = Set.of("min", "max", "minimum", "maximum");

    /** How a box is kept: its kind, its unit, and the factor from g, cm and h. */
    private record Kept(Powers powers, String unit, double factor, String kind) {}

    private static final Map<Box, Kept> KEPT = Map.of(
            Box.MASS, new Kept(Units.MASS, "g", 1, "a weight"),
            Box.VOLUME, new Kept(Units.VOLUME, "mL", 1, "a volume"),
            Box.LENGTH, new Kept(Units.LENGTH, "cm", 1, "a length"),
            Box.AREA, new Kept(Units.AREA, "cm2", 1, "an area"),
            Box.TIME_SPAN, new Kept(Units.TIME, "h", 1, "a time"),
            Box.CONCENTRATION, new Kept(Dimension.CONCENTRATION.powers(), "mg/L", 1e6, "a concentration"),
            Box.NUTRIENT_PPM, new Kept(Dimension.CONCENTRATION.powers(), "mg/L", 1e6, "a concentration"));

    private Physical() {}

    static Read read(Piece typed) {
        Piece piece = unlabelled(typed);
        Optional<Read> special = special(piece);
        if (special.isPresent()) {
            return special.get();
        }
        if (piece.box() == Box.AREA) {
            Optional<Read> product = product(piece);
            if (product.isPresent()) {
                return product.get();
            }
        }
        List<Measured> all = piece.amounts().at(0);
        if (all.isEmpty()) {
            return piece.refused("There is no number in “" + piece.plain() + "”");
        }
        return meant(piece, all);
    }

    private static Piece unlabelled(Piece piece) {
        int at = 0;
        while (at < piece.tokens().size()
                && LABELS.contains(piece.tokens().get(at).word())) {
            at++;
        }
        return piece.without(at);
    }

    private static Optional<Read> special(Piece piece) {
        if (piece.tokens().size() == 1
                && HALF_WORDS.contains(piece.tokens().get(0).word())) {
            if (piece.box() == Box.TIME_SPAN && piece.has(0, "overnight")) {
                return Optional.of(new Read.Ask("How many hours is overnight?", List.of("12 h", "16 h")));
            }
            if (piece.box() == Box.PH && piece.has(0, "neutral")) {
                return Optional.of(new Read.Ask("Was it measured as 7.0, or is it a guess?", List.of("7")));
            }
        }
        if (piece.has(0, "in", "the")
                && piece.tokens().size() > 2
                && piece.tokens().get(2).isNumber()) {
            return Optional.of(piece.refused("“" + piece.plain() + "” is a range, and no reading"));
        }
        if (piece.has(0, "between")) {
            return Optional.of(piece.refused("“" + piece.plain() + "” is a range, and no reading"));
        }
        if (!piece.tokens().isEmpty() && ONE_WAY.contains(piece.tokens().get(0).word())) {
            return Optional.of(piece.refused("“" + piece.plain() + "” holds more than one reading"));
        }
        if (!piece.tokens().isEmpty() && (piece.has(0, "<") || piece.has(0, ">"))) {
            return Optional.of(Loose.limit(
                    new Piece(Box.BELOW_DETECTION, piece.plain(), piece.tokens(), piece.about(), piece.known())));
        }
        return piece.box() == Box.NUTRIENT_PPM || piece.box() == Box.CONCENTRATION
                ? Solutes.read(piece)
                : piece.box() == Box.EC ? Salinity.read(piece) : Optional.empty();
    }

    private static Read meant(Piece piece, List<Measured> all) {
        Measured first = all.get(0);
        if (piece.has(first.next(), "±")) {
            return new Read.Ask(
                    "“" + piece.plain() + "” has a spread: is it the mean of several, and of how many, or the"
                            + " error of the instrument? Type the reading alone.");
        }
        if (!first.own().isEmpty()) {
            return piece.box() == Box.PH || piece.box() == Box.TEMPERATURE
                    ? piece.refused("“" + piece.plain() + "” can't be read")
                    : own(piece, first.own());
        }
        List<Measured> fitting = all.stream().filter(m -> fits(piece.box(), m)).toList();
        if (fitting.isEmpty() && first.bare()) {
            return bare(piece, first);
        }
        if (fitting.isEmpty()) {
            return unfit(piece, first);
        }
        return valued(piece, fitting);
    }

    static Read own(Piece piece, String measure) {
        boolean sized = piece.box() == Box.AREA || measure.equals("watering can") || measure.equals("can");
        return new Read.Ask(
                piece.box() == Box.AREA
                        ? "How big is the " + measure + "? Type its area, such as 0.05 m²."
                        : "How much is a " + measure + (sized ? "" : ", and of what")
                                + "? Weigh or measure one, and type that.");
    }

    private static boolean fits(Box box, Measured m) {
        return switch (box) {
            case TEMPERATURE ->
                m.is(Unit.Nature.CELSIUS)
                        || m.is(Unit.Nature.FAHRENHEIT)
                        || m.is(Unit.Nature.KELVIN)
                        || m.is(Unit.Nature.DEGREES);
            case TIME_SPAN -> m.is(Units.TIME) || m.is(Unit.Nature.MONTH) || m.is(Unit.Nature.YEAR);
            case PH -> m.is(Unit.Nature.PH);
            case EC -> m.is(Unit.Nature.CONDUCTIVITY);
            default -> {
                Kept kept = KEPT.get(box);
                yield kept != null && m.is(kept.powers());
            }
        };
    }

    private static Read unfit(Piece piece, Measured first) {
        if (piece.box() == Box.AREA && first.is(Units.LENGTH)) {
            return new Read.Ask(
                    "“" + piece.plain() + "” is a length: of a side, or across? Type length × width, or the area.");
        }
        Unit unit = first.unit();
        return piece.refused("“" + (unit == null ? piece.plain() : unit.name()) + "” is " + kind(unit) + "; wanted is "
                + wanted(piece.box()));
    }

    private static String kind(@org.jspecify.annotations.Nullable Unit unit) {
        if (unit == null) {
            return "no unit of this";
        }
        return switch (unit.nature()) {
            case CELSIUS, FAHRENHEIT, KELVIN, DEGREES -> "a temperature";
            case CONDUCTIVITY -> "a conductivity";
            case PERCENT -> "a share";
            case PPM -> "parts in a million";
            case MEQ, MMOL -> "an amount of an ion";
            case MONTH, YEAR -> "a time";
            case PH -> "a pH";
            case COUNT -> "a count";
            case PLAIN ->
                KEPT.values().stream()
                        .filter(kept -> kept.powers().equals(unit.powers()))
                        .map(Kept::kind)
                        .findFirst()
                        .orElse("another kind of amount");
        };
    }

    private static String wanted(Box box) {
        Kept kept = KEPT.get(box);
        return kept != null
                ? kept.kind()
                : switch (box) {
                    case TEMPERATURE -> "a temperature";
                    case PH -> "a pH";
                    default -> "a conductivity";
                };
    }

    private static Read bare(Piece piece, Measured first) {
        Box box = piece.box();
        Piece.Left left = piece.left(first.next(), box == Box.PH);
        if (first.range()) {
            return ranged(piece, first, 1, first);
        }
        Optional<Read> refused = bounded(piece, first.value());
        if (refused.isPresent()) {
            return refused.get();
        }
        if (box == Box.TIME_SPAN && piece.has(first.next(), "working")) {
            return new Read.Ask("Which days aren't worked? Type the days in all.");
        }
        if (!left.refuse().isEmpty()) {
            return piece.refused(left.refuse());
        }
        if (!left.ask().isEmpty()) {
            return new Read.Ask(left.ask());
        }
        String text = Read.Amount.figure(first.value());
        return switch (box) {
            case MASS, VOLUME, LENGTH, TEMPERATURE, PH ->
                new Read.Value(new Read.Amount(first.value()), unitOf(box)).noted(piece.about(), left.note(), "");
            case TIME_SPAN ->
                new Read.Ask("“" + piece.plain() + "” has no unit:", List.of(text + " days", text + " h"));
            case EC -> new Read.Ask("“" + piece.plain() + "” has no unit:", List.of(text + " mS/cm", text + " µS/cm"));
            case AREA -> new Read.Ask("“" + piece.plain() + "” has no unit:", List.of(text + " m2", text + " cm2"));
            default -> new Read.Ask("“" + piece.plain() + "” has no unit:", List.of(text + " mg/L", text + " g/L"));
        };
    }

    static String unitOf(Box box) {
        Kept kept = KEPT.get(box);
        return kept != null
                ? kept.unit()
                : switch (box) {
                    case TEMPERATURE -> "°C";
                    case PH -> "pH";
                    default -> "mS/cm at 25 °C";
                };
    }

    private static Read valued(Piece piece, List<Measured> fitting) {
        Measured first = fitting.get(0);
        if (first.range()) {
            return ranged(piece, first, 1, first);
        }
        List<Read.Value> values = new ArrayList<>();
        List<String> readings = new ArrayList<>();
        for (Measured m : fitting) {
            if (m.is(Unit.Nature.DEGREES)) {
                String text = Read.Amount.figure(m.value());
                return new Read.Ask("“" + piece.plain() + "”: of which scale?", List.of(text + " °C", text + " °F"));
            }
            double value = value(piece, m);
            Optional<Read> refused = bounded(piece, value);
            if (refused.isPresent()) {
                return refused.get();
            }
            values.add(new Read.Value(new Read.Amount(value), unitOf(piece.box()))
                    .noted(piece.about(), "", m.kitchen() ? measure(m) : ""));
            readings.add(text(m));
        }
        return noted(piece, first, Reader.oneOf(piece, values, readings));
    }

    /** "2.25 cups of 237 mL". */
    static String measure(Measured m) {
        Unit unit = m.unit();
        return unit == null ? "" : "one " + unit.name() + " as " + Read.Amount.figure(round(unit.factor())) + " mL";
    }

    private static double round(double value) {
        return value < 1 ? Math.rint(100 * value) / 100 : Math.rint(10 * value) / 10;
    }

    static String text(Measured m) {
        return Read.Amount.figure(m.value())
                + (m.unit() == null ? "" : " " + m.unit().name());
    }

    /** A value with what stands behind it. */
    static Read noted(Piece piece, Measured amount, Read read) {
        if (!(read instanceof Read.Value value)) {
            return read;
        }
        if (piece.box() == Box.EC && piece.has(amount.next(), "at")) {
            return new Read.Ask(
                    "Did the meter correct to 25 °C? If it did, leave the temperature out; if not, give reading"
                            + " and temperature to the sum “salinity units”.");
        }
        Piece.Left left = piece.left(amount.next(), true);
        if (!left.refuse().isEmpty()) {
            return piece.refused(
                    piece.amounts().at(amount.next()).stream().anyMatch(m -> m.unit() != null)
                            ? "There are two amounts in “" + piece.plain() + "”"
                            : left.refuse());
        }
        return left.ask().isEmpty() ? value.noted(piece.about(), left.note(), "") : new Read.Ask(left.ask());
    }

    private static double value(Piece piece, Measured m) {
        Unit unit = m.unit();
        if (unit == null) {
            return m.value();
        }
        return switch (unit.nature()) {
            case FAHRENHEIT -> (m.value() - 32) / 1.8;
            case KELVIN -> m.value() - ABSOLUTE_ZERO;
            case MONTH, YEAR -> calendar(piece.known().today(), m.value(), unit.nature() == Unit.Nature.YEAR);
            default ->
                m.base()
                        * Optional.ofNullable(KEPT.get(piece.box()))
                                .map(Kept::factor)
                                .orElse(1.0);
        };
    }

    /** Months and years by the calendar, in hours; their parts by an even month. */
    private static double calendar(LocalDate today, double count, boolean years) {
        double months = years ? 12 * count : count;
        long whole = (long) Math.floor(Math.min(months, 12_000));
        double days = ChronoUnit.DAYS.between(today, today.plusMonths(whole));
        return 24 * (days + (months - whole) * 30.4375);
    }

    private static Optional<Read> bounded(Piece piece, double value) {
        Box box = piece.box();
        if (box == Box.TEMPERATURE) {
            return value < -ABSOLUTE_ZERO
                    ? Optional.of(piece.refused("“" + piece.plain() + "” is below absolute zero"))
                    : value > HOTTEST
                            ? Optional.of(
                                    piece.refused("“" + piece.plain() + "” is hotter than anything measured here"))
                            : Optional.empty();
        }
        if (value < 0) {
            return Optional.of(piece.refused("“" + piece.plain() + "” is below 0, which " + wanted(box) + " can't be"));
        }
        if (box == Box.PH && value > ACIDEST) {
            return Optional.of(piece.refused("No pH is above 14, and “" + piece.plain() + "” is"));
        }
        if (!(value <= MOST) || (box == Box.TIME_SPAN && value > CENTURY)) {
            return Optional.of(piece.refused("“" + piece.plain() + "” is beyond anything measured here"));
        }
        return Optional.empty();
    }

    /** A span of numbers: gross less tare in a weight's box, a question in a plan's, no reading elsewhere. */
    private static Read ranged(Piece piece, Measured range, double factor, Measured first) {
        Unit unit = range.unit();
        double by = factor * (unit == null ? 1 : unit.factor());
        boolean dash = piece.anywhere("-");
        if (piece.box() == Box.MASS && dash && range.value() > range.upper() && !range.either()) {
            return noted(
                    piece,
                    first,
                    new Read.Value(new Read.Amount((range.value() - range.upper()) * by), "g")
                            .noted(piece.about(), "", ""));
        }
        String suffix = unit == null ? "" : " " + unit.name();
        List<String> ends =
                List.of(Read.Amount.figure(range.value()) + suffix, Read.Amount.figure(range.upper()) + suffix);
        if (range.either()) {
            return new Read.Ask("Which of the two:", ends);
        }
        return switch (piece.box()) {
            case TIME_SPAN -> new Read.Ask("“" + piece.plain() + "” is a range: which is meant,", ends);
            case NUTRIENT_PPM -> new Read.Ask("“" + piece.plain() + "” is a range: which is meant?");
            default -> piece.refused("“" + piece.plain() + "” is a range, and no reading");
        };
    }

    /** "50 cm × 30 cm". */
    private static Optional<Read> product(Piece piece) {
        for (Measured one : piece.amounts().at(0)) {
            int at = one.next();
            if (!(piece.has(at, "×") || piece.has(at, "x") || piece.has(at, "by"))) {
                continue;
            }
            for (Measured other : piece.amounts().at(at + 1)) {
                Unit side = one.unit() == null ? other.unit() : one.unit();
                Unit behind = other.unit() == null ? one.unit() : other.unit();
                if (side == null || behind == null) {
                    return Optional.of(new Read.Ask("“" + piece.plain() + "” has no unit: cm or m?"));
                }
                if (!side.powers().equals(Units.LENGTH) || !behind.powers().equals(Units.LENGTH)) {
                    continue;
                }
                if (!(one.value() > 0 && other.value() > 0)) {
                    return Optional.of(piece.refused("A side can't be below 0, nor nothing"));
                }
                double area = one.value() * side.factor() * other.value() * behind.factor();
                return Optional.of(bounded(piece, area)
                        .orElseGet(() -> noted(piece, other, new Read.Value(new Read.Amount(area), "cm2"))));
            }
        }
        return Optional.empty();
    }

    static boolean tooLarge(double value) {
        return !(Math.abs(value) <= MOST);
    }

    static String lower(String text) {
        return text.toLowerCase(Locale.ROOT);
    }
}
