package elsom.core.claim;

import elsom.core.read.Box;
import elsom.core.read.Known;
import elsom.core.read.Read;
import elsom.core.read.Reader;
import elsom.core.stats.Group;
import elsom.core.stats.Proportion;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What somebody has of a group: its values, a mean with its scatter, or how many of how many. */
public sealed interface ClaimedGroup {
    /** One value a unit; a mean with its standard deviation stands for values that have both. */
    record Measured(Group group) implements ClaimedGroup {}

    /** So many of so many. */
    record Counted(Proportion share) implements ClaimedGroup {}

    /** The best of many: nothing is known of the others. */
    record Best(int picked, int of, Optional<Double> mean) implements ClaimedGroup {}

    /** A mean alone. */
    record Bare(double mean) implements ClaimedGroup {}

    /** The same for one of so many: an amount on an area is so much a unit of it; a share stays what it is. */
    default ClaimedGroup per(double units) {
        if (this instanceof Measured measured) {
            return new Measured(new Group(
                    measured.group().name(),
                    measured.group().values().stream()
                            .map(value -> value / units)
                            .toList()));
        }
        return this instanceof Bare bare ? new Bare(bare.mean() / units) : this;
    }

    Pattern BEST = Pattern.compile("(?:best|top) (\\d{1,4}) (?:of|from) (\\d{1,5})(?:\\D+(-?\\d+(?:\\.\\d+)?))?");
    Pattern OF = Pattern.compile("(\\d{1,6}) (?:of|from|/) (\\d{1,6})");
    Pattern MEAN = Pattern.compile(
            "(?:mean )?(-?\\d+(?:[.,]\\d+)?) ?(?:±|\\+/?-|,? sd|,? s\\.d\\.) ?(\\d+(?:[.,]\\d+)?),? ?(?:n ?=? ?|of )(\\d{1,5})");
    int MOST = 100_000;

    /**
     * Reads "12.4 ± 2.1 n 8", "7 of 10", "3.1 4.2 5.0", "best 5 of 40: 14.2" or "12.4".
     *
     * @return empty when it is none of these
     */
    static Optional<ClaimedGroup> read(String typed) {
        String text = typed.substring(typed.lastIndexOf(':') + 1).strip();
        Matcher best = BEST.matcher(typed.toLowerCase(Locale.ROOT));
        if (best.find()) {
            return best(best);
        }
        Matcher of = OF.matcher(text);
        if (of.matches()) {
            int k = Integer.parseInt(of.group(1));
            int n = Integer.parseInt(of.group(2));
            return n > 0 && k <= n ? Optional.of(new Counted(new Proportion(k, n))) : Optional.empty();
        }
        Matcher mean = MEAN.matcher(text);
        if (mean.matches()) {
            return scattered(
                    Double.parseDouble(mean.group(1).replace(',', '.')),
                    Double.parseDouble(mean.group(2).replace(',', '.')),
                    Integer.parseInt(mean.group(3)));
        }
        return values(text);
    }

    /** Reads "kelp: 12 13 14; nettle: 10 9 11", a group a line or a semicolon, by name; empty where one can't be read. */
    static Optional<Map<String, ClaimedGroup>> several(String typed) {
        Map<String, ClaimedGroup> groups = new LinkedHashMap<>();
        for (String line : typed.split("[;\\n]")) {
            if (line.isBlank()) {
                continue;
            }
            Optional<ClaimedGroup> group = name(line).isEmpty() ? Optional.empty() : read(line);
            if (group.isEmpty()) {
                return Optional.empty();
            }
            groups.put(name(line).toLowerCase(Locale.ROOT), group.get());
        }
        return groups.isEmpty() ? Optional.empty() : Optional.of(groups);
    }

    /** The name before a colon, empty where there is none. */
    static String name(String typed) {
        int colon = typed.lastIndexOf(':');
        return colon < 1 ? "" : typed.substring(0, colon).strip();
    }

    private static Optional<ClaimedGroup> best(Matcher best) {
        int picked = Integer.parseInt(best.group(1));
        int of = Integer.parseInt(best.group(2));
        return picked >= 1 && picked <= of
                ? Optional.of(
                        new Best(picked, of, Optional.ofNullable(best.group(3)).map(Double::parseDouble)))
                : Optional.empty();
    }

    /** Values with exactly this mean and standard deviation: half above, half below. */
    private static Optional<ClaimedGroup> scattered(double mean, double sd, int n) {
        if (n < 2 || n > MOST) {
            return n == 1 ? Optional.of(new Bare(mean)) : Optional.empty();
        }
        int pairs = n / 2;
        double off = sd * Math.sqrt((n - 1) / (2.0 * pairs));
        List<Double> values = new ArrayList<>();
        for (int i = 0; i < pairs; i++) {
            values.add(mean + off);
            values.add(mean - off);
        }
        if (n % 2 == 1) {
            values.add(mean);
        }
        return Optional.of(new Measured(new Group("", values)));
    }

    /** Values, by the reader of every other box: a comma between figures is asked about, and so is "12,5, 13,1". */
    private static Optional<ClaimedGroup> values(String text) {
        if (!(Reader.read(Box.FREE, text, Known.on(LocalDate.EPOCH)) instanceof Read.Value read)) {
            return Optional.empty();
        }
        if (read.meaning() instanceof Read.Amounts several) {
            return Optional.of(new Measured(new Group("", several.values())));
        }
        return read.meaning() instanceof Read.Amount one && read.unit().isEmpty() && !read.about()
                ? Optional.of(new Bare(one.value()))
                : Optional.empty();
    }
}
