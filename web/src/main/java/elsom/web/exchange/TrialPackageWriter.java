package elsom.web.exchange;

import elsom.core.trial.EndpointCode;
import elsom.core.trial.Reading;
import elsom.core.trial.Treatment;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.Trial;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.json.JsonMapper;

/** Writes a whole trial as a zip of CSV files with a datapackage.json, by the open Data Package standard 2.0. */
final class TrialPackageWriter {
    static final String DESCRIPTOR = "datapackage.json";

    private TrialPackageWriter() {}

    static byte[] write(TrialRecord record, Instant now) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes, StandardCharsets.UTF_8)) {
            put(zip, DESCRIPTOR, descriptor(record.trial(), now));
            for (PackageFile file : PackageFile.values()) {
                put(zip, file.path(), CsvText.of(file.columnNames(), rows(record, file)));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    private static void put(ZipOutputStream zip, String path, String text) throws IOException {
        zip.putNextEntry(new ZipEntry(path));
        zip.write(text.getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
    }

    private static String descriptor(Trial trial, Instant now) {
        Map<String, Object> descriptor = new LinkedHashMap<>();
        descriptor.put("$schema", "https://datapackage.org/profiles/2.0/datapackage.json");
        descriptor.put("name", "trial-" + trial.id());
        descriptor.put("title", trial.question());
        descriptor.put("created", now.toString());
        descriptor.put(
                "resources",
                Arrays.stream(PackageFile.values())
                        .map(TrialPackageWriter::resource)
                        .toList());
        return JsonMapper.shared().writerWithDefaultPrettyPrinter().writeValueAsString(descriptor);
    }

    private static Map<String, Object> resource(PackageFile file) {
        Map<String, Object> resource = new LinkedHashMap<>();
        resource.put("name", file.table());
        resource.put("path", file.path());
        resource.put("type", "table");
        resource.put("format", "csv");
        resource.put("mediatype", "text/csv");
        resource.put("encoding", "utf-8");
        resource.put(
                "schema",
                Map.of(
                        "fields",
                        file.columns().stream()
                                .map(column -> Map.of("name", column.name(), "type", column.type()))
                                .toList()));
        return resource;
    }

    private static Stream<List<?>> rows(TrialRecord record, PackageFile file) {
        Trial trial = record.trial();
        return switch (file) {
            case TRIAL ->
                Stream.of(List.of(
                        trial.question(),
                        trial.protocol(),
                        trial.zone(),
                        trial.start(),
                        trial.watering(),
                        trial.refillFraction(),
                        trial.seed()));
            case CONTAINERS ->
                record.containers().stream()
                        .map(c -> List.of(
                                c.name(),
                                c.shape(),
                                c.outline(),
                                c.depthCm(),
                                c.topLengthCm(),
                                c.topWidthCm(),
                                c.baseLengthCm(),
                                c.baseWidthCm()));
            case TREATMENTS -> record.treatments().stream().map(TrialPackageWriter::row);
            case BENCHES ->
                record.benches().stream()
                        .map(b -> List.of(b.number(), b.name(), b.rows(), b.columns(), b.light(), b.door()));
            case UNITS ->
                record.units().stream()
                        .map(u -> List.of(
                                u.code(),
                                u.treatment(),
                                u.replicate(),
                                u.container(),
                                u.filledVolumeMl(),
                                u.block(),
                                u.position().bench(),
                                u.position().row(),
                                u.position().column()));
            case ENDPOINTS ->
                record.endpoints().stream()
                        .map(e -> List.of(
                                e.code(),
                                e.name(),
                                e.unit(),
                                e.counting(),
                                e.size(),
                                e.lowest(),
                                e.highest(),
                                e.decimals()));
            case LOOKS ->
                record.looks().stream()
                        .map(l -> List.of(
                                l.number(),
                                l.name(),
                                l.afterStart().toSeconds(),
                                joined(l.endpoints().stream().map(EndpointCode::value))));
            case READINGS -> record.readings().stream().map(TrialPackageWriter::row);
            case MISHAPS ->
                record.mishaps().stream()
                        .map(m -> cells(
                                m.number(),
                                m.kind(),
                                m.note(),
                                joined(m.units().stream().map(UnitCode::value)),
                                m.look(),
                                m.happenedAt(),
                                m.station(),
                                m.withdrawnAt()));
        };
    }

    private static List<?> row(Treatment t) {
        return cells(
                t.number(),
                t.code(),
                t.name(),
                t.material(),
                t.kind(),
                t.control(),
                t.texture(),
                t.tint(),
                t.properties().get(TreatmentProperty.ORGANIC_MATTER),
                t.properties().containsKey(TreatmentProperty.PREWETTED) ? 1 : null);
    }

    private static List<?> row(Reading r) {
        return cells(
                r.id(),
                r.ref().unit(),
                r.ref().look(),
                r.ref().endpoint(),
                r.ref().subReading(),
                r.value(),
                r.typedText(),
                r.typedUnit(),
                r.takenAt(),
                r.recordedAt(),
                r.station(),
                r.instrument(),
                r.supersedes(),
                r.reason());
    }

    private static String joined(Stream<String> parts) {
        return parts.collect(Collectors.joining(" "));
    }

    /** A row in which some cells stay empty. */
    private static List<?> cells(@Nullable Object... values) {
        List<Object> cells = new ArrayList<>();
        for (@Nullable Object value : values) {
            cells.add(value == null ? "" : value);
        }
        return cells;
    }
}
