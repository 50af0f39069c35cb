package elsom.web.series;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import elsom.core.series.BelowLimit;
import elsom.core.series.Channel;
import elsom.core.series.Columns;
import elsom.core.series.DayOrder;
import elsom.core.series.DecimalSign;
import elsom.core.series.Mapping;
import elsom.core.series.Measurand;
import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** How the columns of a file are read, as it was chosen on the page. */
final class MappingForm {
    static final String TIME = "TIME";
    static final String CLOCK = "CLOCK";
    static final String UNIT = "UNIT";
    static final String DEPTH = "DEPTH";
    static final String NAMES = "NAMES";
    static final String VALUE = "VALUE";
    private static final Set<String> PLACES = Set.of(TIME, CLOCK, UNIT, DEPTH, NAMES);

    private final Map<String, String> typed;
    private final Map<String, String> problems = new LinkedHashMap<>();

    private MappingForm(Map<String, String> typed) {
        this.typed = typed;
    }

    static MappingForm sent(Map<String, String> parameters) {
        return new MappingForm(Map.copyOf(parameters));
    }

    /** A form filled from a mapping. */
    static MappingForm of(Mapping mapping) {
        Map<String, String> typed = new HashMap<>();
        typed.put("zone", mapping.zone().getId());
        typed.put("order", mapping.order().name());
        typed.put("sign", mapping.sign().name());
        typed.put("novalue", mapping.noValue());
        typed.put("below", mapping.below().name());
        Columns columns = mapping.columns();
        Map.of(
                        TIME,
                        columns.time(),
                        CLOCK,
                        columns.clock(),
                        UNIT,
                        columns.unit(),
                        DEPTH,
                        columns.depth(),
                        NAMES,
                        columns.names())
                .forEach((what, column) -> typed.put("what" + column, what));
        for (Channel channel : mapping.channels()) {
            typed.put(
                    "what" + channel.column(),
                    columns.named() ? VALUE : channel.what().name());
            typed.put(
                    "in" + channel.column(),
                    columns.named() ? "" : channel.typed().name());
            typed.put("depth" + channel.column(), channel.depthCm() > 0 ? Decimals.upTo(channel.depthCm(), 1) : "");
            typed.put("unit" + channel.column(), channel.unit());
        }
        return new MappingForm(typed);
    }

    /** A form in which nothing was recognised. */
    static MappingForm empty(ZoneId zone) {
        return new MappingForm(
                Map.of("zone", zone.getId(), "order", DayOrder.DAY_FIRST.name(), "sign", DecimalSign.POINT.name()));
    }

    public String text(String field) {
        return typed.getOrDefault(field, "").strip();
    }

    public String problem(String field) {
        return problems.getOrDefault(field, "");
    }

    public boolean good() {
        return problems.isEmpty();
    }

    /** All that is wrong. */
    public List<String> all() {
        return List.copyOf(problems.values());
    }

    /**
     * The mapping; empty when something is wrong, which is then noted.
     *
     * @param columns of the file
     * @param units codes of the trial
     */
    Optional<Mapping> read(int columns, Set<String> units) {
        int read = Math.min(columns, Mapping.MOST_COLUMNS);
        List<Channel> channels = new ArrayList<>();
        for (int column = 0; column < read; column++) {
            String what = text("what" + column);
            if (!what.isEmpty() && !PLACES.contains(what)) {
                channel(column, what, units).ifPresent(channels::add);
            }
        }
        int time = only(TIME, "the time", read);
        int clock = only(CLOCK, "the time of day", read);
        int unit = only(UNIT, "the unit", read);
        int depth = only(DEPTH, "the depth", read);
        int names = only(NAMES, "what was measured", read);
        values(read, names != Columns.NONE);
        Optional<ZoneId> zone = zone();
        if (time < 0) {
            problems.put("what0", "Which column holds the time of each row? Choose “time” beside it.");
        } else if (channels.isEmpty() && problems.isEmpty()) {
            problems.put("what0", "Choose what is measured for one column at least.");
        }
        if (!problems.isEmpty() || zone.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(new Mapping(
                    new Columns(time, clock, unit, depth, names),
                    zone.get(),
                    choice(DayOrder.class, text("order"), DayOrder.DAY_FIRST),
                    choice(DecimalSign.class, text("sign"), DecimalSign.POINT),
                    text("novalue"),
                    choice(BelowLimit.class, text("below"), BelowLimit.HALF),
                    Channel.numbered(channels)));
        } catch (IllegalArgumentException clash) {
            problems.put("what0", sentence(clash));
            return Optional.empty();
        }
    }

    /** A column of values needs one that names what was measured, and the other way round. */
    private void values(int columns, boolean named) {
        for (int column = 0; column < columns; column++) {
            String what = text("what" + column);
            if (what.equals(VALUE) && !named) {
                problems.put(
                        "what" + column,
                        "Column " + (column + 1)
                                + " holds values of what the row names: which column names it? Choose “name of"
                                + " what was measured” beside that.");
            } else if (named && !what.isEmpty() && !what.equals(VALUE) && !PLACES.contains(what)) {
                problems.put(
                        "what" + column,
                        "Rows name what was measured, so column " + (column + 1)
                                + " can't always hold the same: choose “value of"
                                + " what the row names”, or leave it out.");
            }
        }
    }

    /** The one column that holds something; two of a kind are asked about. */
    private int only(String what, String words, int columns) {
        int found = Columns.NONE;
        for (int column = 0; column < columns; column++) {
            if (text("what" + column).equals(what)) {
                if (found != Columns.NONE) {
                    problems.put(
                            "what" + column,
                            "Columns " + (found + 1) + " and " + (column + 1) + " both hold " + words
                                    + ". Leave one of them out"
                                    + (what.equals(TIME) ? ", or is one the time of day alone?" : "."));
                }
                found = column;
            }
        }
        return found;
    }

    private static String sentence(IllegalArgumentException problem) {
        String text = String.valueOf(problem.getMessage());
        return text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1) + ".";
    }

    private Optional<ZoneId> zone() {
        try {
            return Optional.of(ZoneId.of(text("zone")));
        } catch (DateTimeException unknown) {
            problems.put("zone", "“" + text("zone") + "” is no time zone. Accepted: Europe/Berlin, UTC, +02:00.");
            return Optional.empty();
        }
    }

    private Optional<Channel> channel(int column, String chosen, Set<String> units) {
        Measurand what = choice(Measurand.class, chosen, chosen.equals(VALUE) ? Measurand.EC : Measurand.MOISTURE);
        UnitOfMeasure in = choice(UnitOfMeasure.class, text("in" + column), what.unit());
        String unit = text("unit" + column).toUpperCase(Locale.ROOT);
        if (!unit.isEmpty() && !units.contains(unit)) {
            problems.put(
                    "unit" + column,
                    "The trial has no unit “" + text("unit" + column) + "”. Accepted: "
                            + units.stream().sorted().findFirst().orElse("a code as on the label")
                            + ", or nothing for the whole trial.");
            return Optional.empty();
        }
        double depth = 0;
        if (!text("depth" + column).isEmpty()) {
            if (Typed.parse(text("depth" + column), UnitOfMeasure.CENTIMETRE) instanceof Typed.Understood understood) {
                depth = understood.stored().value();
            } else {
                problems.put(
                        "depth" + column,
                        "“" + text("depth" + column) + "” is no depth. Accepted: 10, 10 cm, or nothing.");
                return Optional.empty();
            }
        }
        try {
            return Optional.of(new Channel(column, what, fits(in, what), depth, unit));
        } catch (IllegalArgumentException odd) {
            problems.put("in" + column, sentence(odd));
            return Optional.empty();
        }
    }

    /** The unit that was chosen; the usual one where another thing is measured now than when it was chosen. */
    private static UnitOfMeasure fits(UnitOfMeasure in, Measurand what) {
        return in.dimension() == what.unit().dimension() ? in : what.unit();
    }

    private static <E extends Enum<E>> E choice(Class<E> type, String name, E otherwise) {
        return Arrays.stream(type.getEnumConstants())
                .filter(one -> one.name().equals(name))
                .findFirst()
                .orElse(otherwise);
    }
}
