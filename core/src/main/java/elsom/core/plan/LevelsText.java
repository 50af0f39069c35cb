package elsom.core.plan;

import elsom.core.design.DoseSeries;
import elsom.core.dose.Ratio;
import elsom.core.quantity.Bounds;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Dimension;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Box;
import elsom.core.read.Known;
import elsom.core.read.Read;
import elsom.core.read.Reader;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * The levels of a factor as people type them: "none, seaweed", "0, 0.25, 0.5, 1, 2, 4 %", or a geometric series as
 * "0.25 to 4 % in 6", the control counted.
 */
public final class LevelsText {
    /** Of text in which one space parts the words: with several the match could take cubic time. */
    private static final Pattern SERIES = Pattern.compile(
            "([0-9]+(?:[.,][0-9]+)?) ?([^0-9,. ]+)? to" + " ([0-9]+(?:[.,][0-9]+)?) ?([^0-9,. ]+)? in ([0-9]{1,2})");

    private static final Pattern AMOUNT = Pattern.compile("([0-9]+(?:[.,][0-9]+)?|\\.[0-9]+)\\s*(\\D.*)?");
    private static final Pattern TIMED = Pattern.compile("[0-9.,]+ ?(?:s|sec|min|minutes?|h|hours?|d|days?|weeks?)");
    private static final Pattern EACH = Pattern.compile(
            "([0-9]+(?:[.,][0-9]{1,2})?|[0-9]*\\.[0-9]+) ?(\\p{L}+|°C)?(?: (?:per|a|each) (?:pot|unit|plant|tray|cell)| each)?");

    /** What is given to each unit by itself, not in so much water. */
    static final Set<Dimension> EACH_UNIT = EnumSet.of(Dimension.MASS, Dimension.VOLUME, Dimension.TEMPERATURE);

    private static final Pattern CALLED_CONTROL =
            Pattern.compile("(?i)\\s*\\((?:the )?control\\)|\\s*[=:,–-]?\\s*\\bcontrol\\b\\s*[=:]?\\s*");
    private static final Pattern RATIO_OF_LEVEL = Pattern.compile(" \\(([^()]{1,40})\\)$");
    private static final Set<String> NOTHING = Set.of("none", "no", "untreated", "water", "control", "nil", "clean");

    private LevelsText() {}

    /**
     * Reads a factor.
     *
     * @param control the level that is the control; empty for a level that says none, else the first
     * @param labelRate the label's rate in the factor's unit; it joins a series
     * @throws IllegalArgumentException with what is wrong and what would be accepted
     */
    public static Factor parse(
            String name,
            FactorKind kind,
            String levels,
            String control,
            @Nullable Double labelRate,
            @Nullable Double expectedEffect) {
        return parse(new Typist(name, kind, Known.on(LocalDate.EPOCH)), levels, control, labelRate, expectedEffect);
    }

    /**
     * What the factor is, and who typed its levels.
     *
     * @param known whose gallons, and measures of one's own
     */
    public record Typist(String name, FactorKind kind, Known known) {}

    /** The same, of somebody of whom more is known. */
    public static Factor parse(
            Typist of, String levels, String control, @Nullable Double labelRate, @Nullable Double expectedEffect) {
        String name = of.name();
        FactorKind kind = of.kind();
        boolean measured = kind == FactorKind.DOSE || kind == FactorKind.TIME || kind == FactorKind.SHARE;
        Bounds.note("the levels of “" + name + "”", levels, Bounds.LEVELS_TEXT);
        Matcher series = SERIES.matcher(String.join(" ", levels.strip().split("\\s+")));
        if (measured && series.matches()) {
            return series(name, kind, series, control, labelRate, expectedEffect);
        }
        List<String> parts = Arrays.stream(levels.split("[;\\n]|,(?!\\d)"))
                .map(String::strip)
                .filter(part -> !part.isEmpty())
                .toList();
        boolean blanks = measured && levels.strip().matches("[0-9.]+(?: [0-9.]+)+ ?[^0-9 ]\\S*.*");
        if (parts.size() < 2 && !blanks) {
            throw new IllegalArgumentException("“" + name + "” needs two levels or more, parted by commas. Accepted: "
                    + (measured ? "0, 0.5, 1, 2 % or 0.25 to 4 % in 6" : "none, seaweed"));
        }
        if (!measured) {
            return named(name, kind, parts, control);
        }
        String called = control.isBlank() ? calledControl(name, parts) : control;
        List<String> plain = parts.stream().map(LevelsText::withoutControl).toList();
        String typed = plain.equals(parts) ? levels : String.join("; ", plain);
        return kind == FactorKind.DOSE && AcidityLevels.areMeant(name, plain)
                ? new Factor(
                        name,
                        kind,
                        UnitOfMeasure.PH,
                        levels(name, AcidityLevels.read(name, plain), UnitOfMeasure.PH, called, Double.NaN),
                        labelRate,
                        expectedEffect)
                : amounts(of, typed, plain, called, labelRate, expectedEffect);
    }

    /** The level that is called the control beside its amount, as in "6 (control)"; nothing where none is. */
    private static String calledControl(String name, List<String> parts) {
        List<String> called = parts.stream()
                .filter(part -> !withoutControl(part).equals(part))
                .toList();
        if (called.size() > 1) {
            throw new IllegalArgumentException("two levels of “" + name + "” are called the control: "
                    + String.join(", ", called) + ". Accepted: 5; 6 (control); 7");
        }
        return called.isEmpty() ? "" : withoutControl(called.get(0));
    }

    private static String withoutControl(String part) {
        String rest = CALLED_CONTROL.matcher(part).replaceAll("").strip();
        return rest.matches(".*[0-9].*") ? rest : part;
    }

    private static Factor named(String name, FactorKind kind, List<String> parts, String control) {
        String wanted = control.strip().isEmpty() ? usual(parts) : control.strip();
        if (parts.stream().noneMatch(wanted::equalsIgnoreCase)) {
            throw new IllegalArgumentException(
                    "“" + wanted + "” is not a level of “" + name + "”; its levels are " + String.join(", ", parts));
        }
        return new Factor(
                name,
                kind,
                UnitOfMeasure.COUNT,
                parts.stream()
                        .map(part -> new Factor.Level(part, null, part.equalsIgnoreCase(wanted)))
                        .toList(),
                null,
                null);
    }

    /** The level that says it is nothing; else the one that says so beside other words, where one alone does. */
    private static String usual(List<String> parts) {
        Optional<String> nothing = parts.stream()
                .filter(part -> NOTHING.contains(part.toLowerCase(Locale.ROOT)))
                .findFirst();
        List<String> likely = parts.stream()
                .filter(part -> Arrays.stream(part.toLowerCase(Locale.ROOT).split("[\\s-]+"))
                        .anyMatch(NOTHING::contains))
                .toList();
        return nothing.orElseGet(() -> likely.size() == 1 ? likely.get(0) : parts.get(0));
    }

    private static Factor series(
            String name,
            FactorKind kind,
            Matcher series,
            String typedControl,
            @Nullable Double label,
            @Nullable Double effect) {
        String spelled = Optional.ofNullable(series.group(4))
                .or(() -> Optional.ofNullable(series.group(2)))
                .orElse("");
        UnitOfMeasure unit = unit(kind, name, spelled);
        List<Double> doses = DoseSeries.geometric(
                number(Objects.requireNonNull(series.group(1))),
                number(Objects.requireNonNull(series.group(3))),
                Integer.parseInt(Objects.requireNonNull(series.group(5))),
                label == null ? OptionalDouble.empty() : OptionalDouble.of(label));
        return new Factor(name, kind, unit, levels(name, doses, unit, typedControl, 0), label, effect);
    }

    private static Factor amounts(
            Typist of,
            String typed,
            List<String> parts,
            String typedControl,
            @Nullable Double labelRate,
            @Nullable Double expectedEffect) {
        String name = of.name();
        FactorKind kind = of.kind();
        boolean timed = parts.stream().anyMatch(part -> TIMED.matcher(part).matches());
        if (kind == FactorKind.TIME || timed) {
            return times(name, kind, parts, typedControl, labelRate, expectedEffect);
        }
        Optional<Factor> each = kind == FactorKind.DOSE
                ? forEachUnit(name, parts, typedControl, labelRate, expectedEffect)
                : Optional.empty();
        if (each.isPresent()) {
            return each.get();
        }
        Read.Value read = dosed(of, typed.strip().replaceAll("\\s*\\R\\s*", "; "));
        UnitOfMeasure unit = DoseUnits.unit(read.unit(), parts);
        List<Double> doses = ((Read.Amounts) read.meaning())
                .values().stream()
                        .map(dose -> DoseUnits.in(unit, dose, read.unit()))
                        .toList();
        List<Factor.Level> levels = new ArrayList<>();
        List<Factor.Level> plain = levels(name, doses, unit, typedControl, usual(unit, doses));
        for (int i = 0; i < plain.size(); i++) {
            Factor.Level level = plain.get(i);
            boolean ratio =
                    parts.size() == plain.size() && Ratio.parse(parts.get(i)).isPresent();
            levels.add(
                    ratio
                            ? new Factor.Level(
                                    level.name() + " (" + parts.get(i) + ")", level.amount(), level.control())
                            : level);
        }
        return new Factor(name, kind, unit, levels, labelRate, expectedEffect);
    }

    /** None, where there can be none: water is never without salts, so the weakest is what the others are held against. */
    private static double usual(UnitOfMeasure unit, List<Double> doses) {
        return unit.dimension() == Dimension.CONDUCTIVITY
                ? doses.stream().mapToDouble(dose -> dose).min().orElse(0)
                : 0;
    }

    /** "0, 2, 4 g" or "… mL", with or without "per pot": so much for each unit, in the one unit that was typed. */
    private static Optional<Factor> forEachUnit(
            String name,
            List<String> parts,
            String typedControl,
            @Nullable Double labelRate,
            @Nullable Double expectedEffect) {
        List<Double> doses = new ArrayList<>();
        Set<String> spelled = new HashSet<>();
        for (String part : parts) {
            Matcher amount = EACH.matcher(part);
            if (NOTHING.contains(part.toLowerCase(Locale.ROOT))) {
                doses.add(0.0);
            } else if (amount.matches()) {
                doses.add(number(Objects.requireNonNull(amount.group(1))));
                Optional.ofNullable(amount.group(2)).ifPresent(spelled::add);
            } else {
                return Optional.empty();
            }
        }
        Optional<UnitOfMeasure> unit = spelled.size() == 1
                ? UnitOfMeasure.spelled(spelled.iterator().next()).filter(one -> EACH_UNIT.contains(one.dimension()))
                : Optional.empty();
        return unit.map(one -> new Factor(
                name, FactorKind.DOSE, one, levels(name, doses, one, typedControl, 0), labelRate, expectedEffect));
    }

    /** The doses, each by its own unit; what can't be one list is asked about with its readings. */
    private static Read.Value dosed(Typist of, String typed) {
        boolean shares = of.kind() == FactorKind.SHARE && !typed.matches(".*[\\p{L}%:/].*");
        Read read = Reader.read(Box.DOSE_LIST, shares ? typed + " %" : typed, of.known());
        if (read instanceof Read.Ask ask) {
            throw new Asked(ask);
        }
        if (read instanceof Read.Refused refused) {
            throw new IllegalArgumentException(refused.problem() + ". Accepted: 0, 0.5, 1, 2 % or 0, 5, 10 mL/L");
        }
        return (Read.Value) read;
    }

    /** Levels that have to be said otherwise first. */
    public static final class Asked extends IllegalArgumentException {
        private static final long serialVersionUID = 1;
        private final transient Read.Ask ask;

        Asked(Read.Ask ask) {
            super(ask.why());
            this.ask = ask;
        }

        /** The question alone. */
        public String question() {
            return ask.question();
        }

        /** Texts that would do in place of what was asked about. */
        public List<String> readings() {
            return ask.readings();
        }
    }

    /** Times: the shortest is what the others are compared with. */
    private static Factor times(
            String name,
            FactorKind kind,
            List<String> parts,
            String typedControl,
            @Nullable Double labelRate,
            @Nullable Double expectedEffect) {
        String spelled = "";
        List<Double> times = new ArrayList<>();
        for (String part : parts) {
            Matcher amount = AMOUNT.matcher(part);
            if (!amount.matches()) {
                throw new IllegalArgumentException("“" + part + "” is not a time. Accepted: 0, 2, 4, 6 d");
            }
            times.add(number(Objects.requireNonNull(amount.group(1))));
            @Nullable String unit = amount.group(2);
            if (unit != null && !spelled.isEmpty() && !spelled.equals(unit.strip())) {
                throw new IllegalArgumentException(
                        "the times are in " + spelled + " and in " + unit.strip() + ". Accepted: 0, 2, 4, 6 d");
            }
            spelled = unit == null ? spelled : unit.strip();
        }
        UnitOfMeasure unit = unit(kind, name, spelled);
        double least = kind == FactorKind.TIME
                ? times.stream().mapToDouble(time -> time).min().orElseThrow()
                : 0;
        return new Factor(name, kind, unit, levels(name, times, unit, typedControl, least), labelRate, expectedEffect);
    }

    /** The control is the level that was typed as such; without one, the usual. */
    private static List<Factor.Level> levels(
            String name, List<Double> amounts, UnitOfMeasure unit, String typedControl, double usual) {
        if (typedControl.isBlank()) {
            return amounts.stream().map(amount -> level(amount, unit, usual)).toList();
        }
        Matcher typed = AMOUNT.matcher(typedControl.strip().replaceFirst("(?i)^ph\\s*", ""));
        double control = typed.matches()
                ? number(Objects.requireNonNull(typed.group(1)))
                : NOTHING.contains(typedControl.strip().toLowerCase(Locale.ROOT)) ? 0 : Double.NaN;
        if (!amounts.contains(control)) {
            throw new IllegalArgumentException("“" + typedControl.strip() + "” is not a level of “" + name
                    + "”; its levels are "
                    + amounts.stream()
                            .map(amount -> level(amount, unit, control).name())
                            .collect(Collectors.joining(", ")));
        }
        return amounts.stream().map(amount -> level(amount, unit, control)).toList();
    }

    private static Factor.Level level(double amount, UnitOfMeasure unit, double control) {
        return new Factor.Level(
                unit == UnitOfMeasure.PH
                        ? AcidityLevels.name(amount)
                        : (Decimals.upTo(amount, 4) + " " + unit.symbol()).strip(),
                amount,
                amount == control);
    }

    private static UnitOfMeasure unit(FactorKind kind, String name, String spelled) {
        if (kind == FactorKind.SHARE) {
            return UnitOfMeasure.PERCENT;
        }
        if (kind == FactorKind.DOSE && spelled.isBlank()) {
            throw new IllegalArgumentException(
                    "“" + name + "” is a dose, so its levels need a unit: 1 is something else"
                            + " in % than in mL/L. Accepted: 0, 0.5, 1, 2 % or 0, 5, 10 mL/L");
        }
        return spelled.isBlank()
                ? UnitOfMeasure.COUNT
                : UnitOfMeasure.spelled(spelled)
                        .orElseThrow(() -> new IllegalArgumentException("“" + spelled + "” in “" + name
                                + "” is not a unit known here. Accepted: %, g/L, mL/L, mg/L, mS/cm, h, d"));
    }

    private static double number(String text) {
        return Double.parseDouble(text.replace(',', '.'));
    }

    /** The ratio that a level was typed as, else its amount. */
    private static String typed(Factor.Level level) {
        Matcher ratio = RATIO_OF_LEVEL.matcher(level.name());
        return ratio.find()
                ? Objects.requireNonNull(ratio.group(1))
                : Decimals.upTo(Objects.requireNonNull(level.amount()), 4);
    }

    /** As {@link #parse} reads it. */
    public static String text(Factor factor) {
        boolean measured = factor.measured() && factor.unit() != UnitOfMeasure.COUNT;
        boolean ratios = measured
                && factor.levels().stream()
                        .anyMatch(level -> RATIO_OF_LEVEL.matcher(level.name()).find());
        if (ratios) {
            return factor.levels().stream()
                    .map(level -> RATIO_OF_LEVEL.matcher(level.name()).find() ? typed(level) : level.name())
                    .collect(Collectors.joining(", "));
        }
        String levels = factor.levels().stream()
                .map(level -> measured ? typed(level) : level.name())
                .collect(Collectors.joining(", "));
        return measured ? levels + " " + factor.unit().symbol() : levels;
    }
}
