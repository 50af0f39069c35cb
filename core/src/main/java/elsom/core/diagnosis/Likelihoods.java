package elsom.core.diagnosis;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/**
 * How likely each sign is under each cause: the table that diagnosis rests on. One file, with a source in each row, which
 * anybody may replace by one of their own.
 *
 * @param rows in the order of the file
 */
public record Likelihoods(List<Row> rows) {
    /** Causes that older tables have no column for. */
    private static final Set<Cause> LATER = EnumSet.of(Cause.EATEN, Cause.COLD, Cause.SEED, Cause.OTHER);

    private static final String ALL = "all";
    private static final double LEAST = 0.001;
    private static final double MOST = 0.999;
    private static final double SELDOM = 0.08;
    private static final double OFTEN = 0.5;

    /** The table that comes with Elsom. */
    public static final Likelihoods SHIPPED = shipped();

    /**
     * A sign.
     *
     * @param plants in which indicator group; empty when it counts once for all together
     * @param byCause probability of the sign in a lot with the cause, 0.001 to 0.999
     */
    public record Row(Sign sign, Optional<IndicatorGroup> plants, Map<Cause, Double> byCause, String source) {
        public Row {
            byCause = Map.copyOf(byCause);
        }

        public double given(Cause cause) {
            return Objects.requireNonNull(byCause.get(cause));
        }
    }

    public Likelihoods {
        rows = List.copyOf(rows);
    }

    private static Likelihoods shipped() {
        try (Reader reader = new InputStreamReader(
                Objects.requireNonNull(Likelihoods.class.getResourceAsStream("likelihoods.csv")),
                StandardCharsets.UTF_8)) {
            return parse(reader);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * Reads a table: columns {@code sign}, {@code plants}, one for each cause, {@code source}.
     *
     * @throws IllegalArgumentException with every bad row, and what would be accepted
     */
    public static Likelihoods parse(Reader csv) throws IOException {
        List<Row> rows = new ArrayList<>();
        List<String> problems = new ArrayList<>();
        try (CSVParser parser = CSVFormat.DEFAULT
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .setTrim(true)
                .get()
                .parse(csv)) {
            Arrays.stream(Cause.values())
                    .filter(cause -> !LATER.contains(cause))
                    .map(Cause::code)
                    .filter(code -> !parser.getHeaderMap().containsKey(code))
                    .forEach(code -> problems.add("there is no column “" + code + "”"));
            if (problems.isEmpty()) {
                for (CSVRecord line : parser) {
                    row(line, problems).ifPresent(rows::add);
                }
            }
        }
        if (problems.isEmpty() && rows.isEmpty()) {
            problems.add("it has no row");
        }
        if (!problems.isEmpty()) {
            throw new IllegalArgumentException(
                    "The table of likelihoods can't be read: " + String.join("; ", problems)
                            + ". Accepted is a row such as: cupped,legume,0.95,… with a number between 0 and 1 for each cause.");
        }
        return new Likelihoods(rows);
    }

    private static Optional<Row> row(CSVRecord line, List<String> problems) {
        String where = "row " + (line.getRecordNumber() + 1) + ": ";
        Optional<Sign> sign = Sign.called(column(line, "sign"));
        if (sign.isEmpty()) {
            problems.add(where + "“" + column(line, "sign") + "” is no sign known here");
            return Optional.empty();
        }
        String plants = column(line, "plants");
        Optional<IndicatorGroup> group = Arrays.stream(IndicatorGroup.values())
                .filter(known -> known.name().equalsIgnoreCase(plants))
                .findFirst();
        if (group.isEmpty() && !plants.equals(ALL)) {
            problems.add(where + "“" + plants + "” is not legume, broadleaf, grass or all");
            return Optional.empty();
        }
        Map<Cause, Double> byCause = new EnumMap<>(Cause.class);
        for (Cause cause : Cause.values()) {
            if (LATER.contains(cause) && !line.isSet(cause.code())) {
                // A table of before the cause had its column.
                continue;
            }
            OptionalDouble share = share(column(line, cause.code()));
            if (share.isEmpty()) {
                problems.add(where + cause.code() + " must be a number between 0 and 1, got “"
                        + column(line, cause.code()) + "”");
                return Optional.empty();
            }
            byCause.put(cause, Math.min(MOST, Math.max(LEAST, share.getAsDouble())));
        }
        for (Cause cause : LATER) {
            byCause.computeIfAbsent(cause, none -> shippedOr(sign.get(), group, cause, ofAny(byCause.values())));
        }
        return Optional.of(new Row(sign.get(), group, byCause, column(line, "source")));
    }

    /** What our table says of a cause that an older table of somebody's own has no column for. */
    private static double shippedOr(Sign sign, Optional<IndicatorGroup> group, Cause cause, double otherwise) {
        return cause == Cause.OTHER
                ? otherwise
                : SHIPPED.row(sign, group).map(row -> row.given(cause)).orElse(otherwise);
    }

    /** Of a cause that nobody knows: as often as under the others together, never as seldom as under some. */
    private static double ofAny(Collection<Double> others) {
        double mean = others.stream().mapToDouble(Double::doubleValue).average().orElse(SELDOM);
        return Math.min(OFTEN, Math.max(SELDOM, mean));
    }

    private static String column(CSVRecord line, String name) {
        return line.isSet(name) ? line.get(name) : "";
    }

    private static OptionalDouble share(String text) {
        try {
            double value = Double.parseDouble(text);
            return value >= 0 && value <= 1 ? OptionalDouble.of(value) : OptionalDouble.empty();
        } catch (NumberFormatException notANumber) {
            return OptionalDouble.empty();
        }
    }

    /** As {@link #parse} reads it. */
    public String csv() {
        StringBuilder text = new StringBuilder();
        List<String> head = new ArrayList<>(List.of("sign", "plants"));
        Arrays.stream(Cause.values()).map(Cause::code).forEach(head::add);
        head.add("source");
        try (CSVPrinter printer = new CSVPrinter(text, CSVFormat.DEFAULT)) {
            printer.printRecord(head);
            for (Row row : rows) {
                List<Object> cells = new ArrayList<>(List.of(
                        row.sign().code(),
                        row.plants()
                                .map(group -> group.name().toLowerCase(Locale.ROOT))
                                .orElse(ALL)));
                Arrays.stream(Cause.values()).map(row::given).forEach(cells::add);
                cells.add(row.source());
                printer.printRecord(cells);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    /** The row of a sign; empty where the table is silent. */
    public Optional<Row> row(Sign sign, Optional<IndicatorGroup> plants) {
        return rows.stream()
                .filter(row -> row.sign() == sign && row.plants().equals(plants))
                .findFirst();
    }

    /** Whether a sign counts apart in each indicator group. */
    public boolean byGroup(Sign sign) {
        return rows.stream().anyMatch(row -> row.sign() == sign && row.plants().isPresent());
    }
}
