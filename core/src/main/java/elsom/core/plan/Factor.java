package elsom.core.plan;

import elsom.core.dose.Stock;
import elsom.core.quantity.Bounds;
import elsom.core.quantity.Dimension;
import elsom.core.quantity.UnitOfMeasure;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Something that is varied on purpose.
 *
 * @param unit of the levels' amounts; COUNT when levels are only names
 * @param labelRate the label's rate on this factor's scale; null when there is none
 * @param expectedEffect where an effect is expected; null when nobody knows
 * @param stock what the levels are shares of; null where nothing is diluted, or nobody said
 */
public record Factor(
        String name,
        FactorKind kind,
        UnitOfMeasure unit,
        List<Level> levels,
        @Nullable Double labelRate,
        @Nullable Double expectedEffect,
        @Nullable Stock stock) {
    public static final int MOST = 3;
    private static final Set<Dimension> NEVER_ABSENT = EnumSet.of(Dimension.ACIDITY, Dimension.TEMPERATURE);
    public static final int MOST_LEVELS = 12;

    /**
     * A level.
     *
     * @param amount in the factor's unit; null for a level that is only named
     * @param control whether it is what the others are compared with
     */
    public record Level(String name, @Nullable Double amount, boolean control) {
        public Level {
            Bounds.name("a level", name, Bounds.NAME);
            if (amount != null) {
                Bounds.number("level “" + name + "”", amount, 0, Bounds.LARGEST);
            }
        }
    }

    /** Of no stock, or of one that nobody named. */
    public Factor(
            String name,
            FactorKind kind,
            UnitOfMeasure unit,
            List<Level> levels,
            @Nullable Double labelRate,
            @Nullable Double expectedEffect) {
        this(name, kind, unit, levels, labelRate, expectedEffect, null);
    }

    /** The same, diluted from a stock; null for none. */
    public Factor from(@Nullable Stock other) {
        return new Factor(name, kind, unit, levels, labelRate, expectedEffect, other);
    }

    /** " (0.5 % active)" after a dose, where it is a share of a stock of known strength; else nothing. */
    public String active(double dose) {
        return stock == null || dose == 0
                ? ""
                : stock.active(dose, unit).map(active -> " (" + active + ")").orElse("");
    }

    /** A level with what of it acts beside its share: "2 % (0.5 % active)". */
    public String told(Level level) {
        return level.name() + (level.amount() == null ? "" : active(level.amount()));
    }

    public Factor {
        Bounds.line("a factor's name", name, Bounds.NAME);
        Bounds.present("what a factor is about", kind);
        Bounds.present("a factor's unit", unit);
        Bounds.present("a factor's levels", levels);
        levels = List.copyOf(levels);
        if (labelRate != null) {
            Bounds.number("the label's rate", labelRate, 0, Bounds.LARGEST);
        }
        if (expectedEffect != null) {
            Bounds.number("the expected effect", expectedEffect, 0, Bounds.LARGEST);
        }
        if (name.isBlank() || levels.size() < 2 || levels.size() > MOST_LEVELS) {
            throw new IllegalArgumentException("a factor has a name and 2 to " + MOST_LEVELS + " levels, got “" + name
                    + "” with " + levels.size());
        }
        Set<String> names = new HashSet<>();
        levels.forEach(level -> {
            if (!names.add(level.name().toLowerCase(Locale.ROOT))) {
                throw new IllegalArgumentException("two levels of “" + name + "” are called “" + level.name() + "”");
            }
        });
    }

    /** Whether every level has an amount, so that a curve can be drawn over them. */
    public boolean measured() {
        return levels.stream().allMatch(level -> level.amount() != null);
    }

    /** Whether it is so much of something given, of which more may harm; a pH or a temperature is never absent. */
    public boolean dosed() {
        return kind == FactorKind.DOSE && measured() && !NEVER_ABSENT.contains(unit.dimension());
    }
}
