package elsom.web.exchange;

import elsom.core.material.Lot;
import elsom.core.material.LotFigure;
import elsom.core.material.MaterialKind;
import elsom.core.material.Origin;
import elsom.core.material.Preparation;
import elsom.core.material.Use;
import elsom.core.material.UseBound;
import elsom.core.mix.Property;
import elsom.core.mix.Quarantine;
import elsom.web.platform.ReadingLimits;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import tools.jackson.databind.json.JsonMapper;

/** A whole shelf as a zip of CSV files with a datapackage.json; a trial's package holds the same tables of its own lots. */
final class ShelfPackage {

    private ShelfPackage() {}

    /** What stands on a shelf. */
    record Shelf(List<Lot> lots, List<Use> uses, List<Quarantine> quarantines) {}

    static void write(Shelf shelf, Instant now, OutputStream out) {
        try (ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8)) {
            zip.putNextEntry(new ZipEntry(TrialPackageWriter.DESCRIPTOR));
            zip.write(descriptor(now).getBytes(StandardCharsets.UTF_8));
            zip.closeEntry();
            for (PackageFile file : PackageFile.OF_SHELF) {
                zip.putNextEntry(new ZipEntry(file.path()));
                CsvText.write(zip, file.columnNames(), rows(shelf, file));
                zip.closeEntry();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String descriptor(Instant now) {
        Map<String, Object> descriptor = new LinkedHashMap<>();
        descriptor.put("$schema", "https://datapackage.org/profiles/2.0/datapackage.json");
        descriptor.put("name", "shelf");
        descriptor.put("title", "Materials, mixes and uses");
        descriptor.put("created", now.toString());
        descriptor.put(
                "resources",
                PackageFile.OF_SHELF.stream()
                        .map(file -> TrialPackageWriter.resource(file.table()))
                        .toList());
        return JsonMapper.shared().writerWithDefaultPrettyPrinter().writeValueAsString(descriptor);
    }

    private static Stream<List<?>> rows(Shelf shelf, PackageFile file) {
        return switch (file) {
            case LOTS -> shelf.lots().stream().map(ShelfPackage::row);
            case LOT_FIGURES -> shelf.lots().stream().flatMap(ShelfPackage::figures);
            case USES -> shelf.uses().stream().flatMap(ShelfPackage::bounds);
            case QUARANTINE -> shelf.quarantines().stream().map(TrialPackageWriter::row);
            default -> Stream.empty();
        };
    }

    static List<?> row(Lot lot) {
        return PackageTable.cells(
                lot.name(),
                lot.material(),
                lot.kind(),
                lot.received(),
                lot.source(),
                lot.prepared().stream().map(Preparation::name).sorted().collect(Collectors.joining(" ")),
                lot.cautions(),
                lot.recipe());
    }

    static Stream<List<?>> figures(Lot lot) {
        return lot.figures().stream()
                .map(figure -> List.of(
                        lot.name(),
                        figure.property(),
                        figure.value(),
                        figure.origin(),
                        figure.said(),
                        figure.on(),
                        figure.depthCm()));
    }

    private static Stream<List<?>> bounds(Use use) {
        return use.bounds().stream()
                .map(bound -> List.of(
                        use.code(),
                        use.name(),
                        use.depthCm(),
                        use.why(),
                        bound.property(),
                        bound.least(),
                        bound.leastOk(),
                        bound.mostOk(),
                        bound.most(),
                        bound.below(),
                        bound.above()));
    }

    /** A shelf that somebody sends; empty, with its problems told, when anything in it can't be read. */
    static Optional<Shelf> read(InputStream zip, List<BadRow> problems) {
        Map<String, byte[]> files = unpacked(zip, problems);
        if (problems.isEmpty() && !files.containsKey(PackageFile.LOTS.path())) {
            problems.add(new BadRow("", 0, "“lots.csv” is missing: this is no shelf's zip."));
        }
        List<Lot> lots = lots(files, problems);
        List<Use> uses = uses(files, problems);
        List<Quarantine> quarantines = table(PackageFile.QUARANTINE, files, problems, TrialPackageReader::quarantine);
        return problems.isEmpty() ? Optional.of(new Shelf(lots, uses, quarantines)) : Optional.empty();
    }

    private static Map<String, byte[]> unpacked(InputStream zip, List<BadRow> problems) {
        Map<String, byte[]> files = new HashMap<>();
        try (ZipInputStream in = new ZipInputStream(zip, StandardCharsets.UTF_8)) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                String name = entry.getName();
                if (PackageFile.at(name).filter(PackageFile.OF_SHELF::contains).isPresent()) {
                    byte[] bytes = in.readNBytes(ReadingLimits.PACKED_SHELF + 1);
                    if (bytes.length > ReadingLimits.PACKED_SHELF || files.put(name, bytes) != null) {
                        problems.add(new BadRow(name, 0, "Is there twice, or unpacks to more than 32 MB."));
                        return files;
                    }
                } else if (!name.equals(TrialPackageWriter.DESCRIPTOR)) {
                    problems.add(new BadRow("", 0, "“" + name + "” does not belong to a shelf's package."));
                    return files;
                }
            }
        } catch (IOException | IllegalArgumentException damaged) {
            problems.add(new BadRow("", 0, "The zip is damaged, or is not a zip."));
        }
        return files;
    }

    private static <T> List<T> table(
            PackageFile file, Map<String, byte[]> files, List<BadRow> problems, Function<CsvTable.Row, T> make) {
        byte[] bytes = files.get(file.path());
        return bytes == null
                ? List.of()
                : CsvTable.of(file.path(), bytes, file.requiredNames(), problems)
                        .map(make);
    }

    /** A figure with the lot it is of. */
    private record Told(String lot, LotFigure figure) {}

    /** The lots of a package with their figures. */
    static List<Lot> lots(Map<String, byte[]> files, List<BadRow> problems) {
        List<Told> told = table(PackageFile.LOT_FIGURES, files, problems, ShelfPackage::figure);
        Map<String, List<LotFigure>> figures = new HashMap<>();
        told.forEach(one -> figures.computeIfAbsent(one.lot().toLowerCase(Locale.ROOT), none -> new ArrayList<>())
                .add(one.figure()));
        return table(PackageFile.LOTS, files, problems, ShelfPackage::lot).stream()
                .map(lot -> lot.with(figures.getOrDefault(lot.name().toLowerCase(Locale.ROOT), List.of())))
                .toList();
    }

    private static Lot lot(CsvTable.Row row) {
        Set<Preparation> done = row.optional("prepared").stream()
                .flatMap(text -> Arrays.stream(text.split(" ")))
                .flatMap(word -> Arrays.stream(Preparation.values())
                        .filter(one -> one.name().equals(word)))
                .collect(Collectors.toSet());
        return new Lot(
                row.text("name"),
                row.text("material"),
                row.choice("kind", MaterialKind.class),
                row.optional("received").isPresent() ? date(row, "received") : null,
                row.optional("source").orElse(""),
                done,
                row.optional("cautions").orElse(""),
                row.optional("recipe").orElse(""),
                List.of());
    }

    private static Told figure(CsvTable.Row row) {
        return new Told(
                row.text("lot"),
                new LotFigure(
                        row.choice("property", Property.class),
                        row.number("value"),
                        row.choice("origin", Origin.class),
                        row.optional("said").orElse(""),
                        date(row, "on"),
                        row.number("depth_cm"),
                        0));
    }

    private static LocalDate date(CsvTable.Row row, String column) {
        try {
            return LocalDate.parse(row.text(column));
        } catch (DateTimeParseException wrong) {
            throw row.refuse(column + ": “" + row.text(column) + "” is no date; accepted: 2026-09-30");
        }
    }

    private static List<Use> uses(Map<String, byte[]> files, List<BadRow> problems) {
        Map<String, Use> uses = new LinkedHashMap<>();
        for (Use part : table(PackageFile.USES, files, problems, ShelfPackage::use)) {
            uses.merge(part.code(), part, (one, other) -> {
                List<UseBound> bounds = new ArrayList<>(one.bounds());
                bounds.addAll(other.bounds());
                return new Use(one.code(), one.name(), one.depthCm(), one.why(), bounds);
            });
        }
        return List.copyOf(uses.values());
    }

    private static Use use(CsvTable.Row row) {
        return new Use(
                row.text("code"),
                row.text("name"),
                row.number("depth_cm"),
                row.optional("why").orElse(""),
                List.of(new UseBound(
                        row.choice("property", Property.class),
                        row.number("least"),
                        row.number("least_ok"),
                        row.number("most_ok"),
                        row.number("most"),
                        row.optional("below").orElse(""),
                        row.optional("above").orElse(""))));
    }
}
