package elsom.core.material;

import elsom.core.chemistry.Extract;
import elsom.core.mix.Property;
import elsom.core.quantity.Decimals;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * Figures of lots as a laboratory or a label gives them, a row each: {@code lot,material,kind,property,value,unit,method,date,
 * source}. All rows are taken, or none.
 *
 * @param rows in the file's order; empty when there is a problem
 * @param problems every bad row, in the file's order
 */
public record LabSheet(List<Row> rows, List<Problem> problems) {
    public static final List<String> COLUMNS =
            List.of("lot", "material", "kind", "property", "value", "unit", "method", "date", "source");

    /** A sheet that can be read, to start from. */
    public static final String EXAMPLE = String.join(",", COLUMNS) + "\r\n"
            + "GW-33,green-waste compost,compost,ec,3.1,mS/cm,saturated,2026-09-30,sheet 118\r\n"
            + "GW-33,green-waste compost,compost,ph,7.4,,water 1:5,2026-09-30,sheet 118\r\n"
            + "GW-33,green-waste compost,compost,density,0.52,g/mL,dried at 105 °C,2026-09-30,sheet 118\r\n"
            + "LM-2,leaf mould,organic,price,0.09,/L,label,2026-09-12,delivery note\r\n";

    public static final int MOST_ROWS = 50_000;
    private static final int LONGEST_CELL = 300;

    /** Factors from a unit to that of the property. */
    private static final Map<Property, Map<String, Double>> UNITS = Map.of(
            Property.WATER, Map.of("%", 1.0),
            Property.AIR, Map.of("%", 1.0),
            Property.DENSITY, Map.of("g/l", 1.0, "kg/m3", 1.0, "kg/m³", 1.0, "g/ml", 1000.0, "kg/l", 1000.0),
            Property.EC, Map.of("ms/cm", 1.0, "ds/m", 1.0, "µs/cm", 0.001, "us/cm", 0.001),
            Property.NITROGEN, Map.of("mg/l", 1.0, "g/l", 1000.0),
            Property.PH, Map.of("", 1.0, "ph", 1.0),
            Property.PRICE, Map.of("/l", 1.0, "", 1.0));

    /** One figure of a lot; the lot with its material and kind, should it not be known yet. */
    public record Row(Lot lot, LotFigure figure) {}

    /** What is wrong with a row; the header is line 1. */
    public record Problem(long line, String column, String message) {}

    public LabSheet {
        rows = List.copyOf(rows);
        problems = List.copyOf(problems);
    }

    /** Reads a sheet. Dates are year-month-day; origin is a laboratory's unless the method says "label". */
    public static LabSheet read(String csv) {
        List<Row> rows = new ArrayList<>();
        List<Problem> problems = new ArrayList<>();
        String text = withoutMark(csv);
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .setIgnoreEmptyLines(true)
                .setIgnoreHeaderCase(true)
                .setTrim(true)
                .setDelimiter(separator(text))
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            List<String> missing = COLUMNS.stream()
                    .filter(column -> parser.getHeaderNames().stream().noneMatch(column::equalsIgnoreCase))
                    .toList();
            if (!missing.isEmpty()) {
                return refused("The first line must name the columns; missing: " + String.join(", ", missing)
                        + ". Accepted: " + String.join(",", COLUMNS));
            }
            for (CSVRecord record : parser) {
                if (rows.size() + problems.size() >= MOST_ROWS) {
                    problems.add(new Problem(
                            record.getRecordNumber() + 1,
                            "",
                            "more than " + MOST_ROWS + " rows; cut the sheet in two"));
                    break;
                }
                new LabRow(record).read(rows, problems);
            }
        } catch (IOException | IllegalArgumentException | UncheckedIOException unreadable) {
            return refused("This is no CSV file: " + unreadable.getMessage());
        }
        if (rows.isEmpty() && problems.isEmpty()) {
            return refused("The sheet has no rows under its first line");
        }
        return new LabSheet(problems.isEmpty() ? rows : List.of(), problems);
    }

    private static String withoutMark(String csv) {
        return csv.startsWith("\uFEFF") ? csv.substring(1) : csv;
    }

    /** Spreadsheets in countries with a decimal comma write semicolons. */
    private static char separator(String text) {
        String header = text.lines().findFirst().orElse("");
        return header.contains(";") && !header.contains(",") ? ';' : ',';
    }

    private static LabSheet refused(String why) {
        return new LabSheet(List.of(), List.of(new Problem(1, "", why)));
    }

    /** One row being read. */
    private static final class LabRow {
        private final CSVRecord record;
        private final long line;

        LabRow(CSVRecord record) {
            this.record = record;
            this.line = record.getRecordNumber() + 1;
        }

        void read(List<Row> rows, List<Problem> problems) {
            int before = problems.size();
            Optional<MaterialKind> kind = MaterialKind.called(cell("kind"));
            if (kind.isEmpty() || kind.get() == MaterialKind.MIX) {
                problem(
                        problems,
                        "kind",
                        "“" + cell("kind") + "” is no kind",
                        "organic, mineral, compost, extract, feed," + " chemical or amendment");
            }
            Optional<Property> property = Property.called(cell("property").toLowerCase(Locale.ROOT));
            if (property.isEmpty()) {
                problem(
                        problems,
                        "property",
                        "“" + cell("property") + "” is no property",
                        "water, air, density, ec," + " nitrogen, ph or price");
            }
            Optional<LocalDate> on = date(problems);
            Optional<Double> value = property.flatMap(known -> value(known, problems));
            if (problems.size() > before) {
                return;
            }
            try {
                String name = cell("lot");
                String material = cell("material").isEmpty() ? name : cell("material");
                rows.add(new Row(
                        Lot.named(name, material, kind.orElseThrow()),
                        new LotFigure(
                                property.orElseThrow(),
                                value.orElseThrow(),
                                cell("method").equalsIgnoreCase("label") ? Origin.LABEL : Origin.LAB,
                                said(),
                                on.orElseThrow(),
                                0,
                                0)));
            } catch (IllegalArgumentException impossible) {
                problems.add(new Problem(line, "", String.valueOf(impossible.getMessage())));
            }
        }

        private String said() {
            String method = cell("method");
            return Stream.of(
                            cell("source"),
                            method.isEmpty()
                                    ? ""
                                    : LotFigure.BY
                                            + Extract.called(method.toLowerCase(Locale.ROOT))
                                                    .map(Extract::code)
                                                    .orElse(method))
                    .filter(text -> !text.isEmpty())
                    .collect(Collectors.joining(", "));
        }

        private Optional<LocalDate> date(List<Problem> problems) {
            try {
                return Optional.of(LocalDate.parse(cell("date")));
            } catch (DateTimeParseException wrong) {
                problem(problems, "date", "“" + cell("date") + "” is no date", "2026-09-30");
                return Optional.empty();
            }
        }

        /** In the property's unit; an EC of another extract carried over to 1:5, approximately. */
        private Optional<Double> value(Property property, List<Problem> problems) {
            Map<String, Double> units = UNITS.getOrDefault(property, Map.of());
            Double factor = units.get(cell("unit").toLowerCase(Locale.ROOT));
            if (factor == null) {
                problem(
                        problems,
                        "unit",
                        "“" + cell("unit") + "” is no unit of " + property.label()
                                + (cell("unit").toLowerCase(Locale.ROOT).contains("ppm")
                                        ? ": ppm needs its factor, 500, 640 or 700, so give mS/cm"
                                        : ""),
                        units.keySet().stream()
                                .filter(unit -> !unit.isEmpty())
                                .sorted()
                                .collect(Collectors.joining(", ")));
                return Optional.empty();
            }
            Optional<Double> number = number(property, factor, problems);
            if (property != Property.EC) {
                return number;
            }
            Optional<Extract> extract = Extract.called(cell("method").toLowerCase(Locale.ROOT));
            if (extract.isEmpty()) {
                problem(
                        problems,
                        "method",
                        "EC needs the extract it was measured in",
                        "1:5, 1:2, saturated, pour-through");
                return Optional.empty();
            }
            return number.map(ec -> extract.get().to(Extract.ONE_TO_FIVE, ec));
        }

        private Optional<Double> number(Property property, double factor, List<Problem> problems) {
            try {
                double value = Double.parseDouble(cell("value").replace(',', '.')) * factor;
                if (value >= 0 && value <= property.most()) {
                    return Optional.of(value);
                }
            } catch (NumberFormatException noNumber) {
                // Told below, as a number out of range is.
            }
            problem(
                    problems,
                    "value",
                    "“" + cell("value") + "” can't be " + property.label(),
                    "a number from 0 to " + Decimals.upTo(property.most() / factor, 0));
            return Optional.empty();
        }

        private void problem(List<Problem> problems, String column, String what, String accepted) {
            problems.add(new Problem(line, column, what + ". Accepted: " + accepted));
        }

        private String cell(String column) {
            String text = record.isMapped(column) && record.isSet(column) ? record.get(column) : "";
            return text.length() > LONGEST_CELL ? text.substring(0, LONGEST_CELL) : text;
        }
    }
}
