package elsom.web.exchange;

import elsom.core.mix.Quarantine;
import elsom.core.plan.Amendment;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Influence;
import elsom.core.trial.Reading;
import elsom.core.trial.Treatment;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.Trial;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.trial.PlanJson;
import elsom.web.trial.WholeTrial;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import tools.jackson.databind.json.JsonMapper;

/** Writes a whole trial as a zip of CSV files with a datapackage.json, by the open Data Package standard 2.0. */
final class TrialPackageWriter {
    static final String DESCRIPTOR = "datapackage.json";
    static final String PLAN = "plan.json";

    private TrialPackageWriter() {}

    /**
     * Writes the zip as it goes; what nobody is to know yet goes into a sealed key.
     *
     * @param seal empty for who takes the key with it: nothing is sealed then
     */
    static void write(
            WholeTrial whole, List<PackageParts.Filled> beside, Instant now, Optional<Seal> seal, OutputStream out) {
        boolean sealed = whole.sealed() && seal.isPresent();
        Map<String, byte[]> key = new LinkedHashMap<>();
        List<PackageParts.Filled> open =
                beside.stream().filter(more -> seal.isEmpty() || !more.secret()).toList();
        beside.stream()
                .filter(more -> !open.contains(more))
                .forEach(more -> key.put(more.table().path(), table(more)));
        byte[] plan = bytes(PlanJson.write(whole.plan()));
        if (sealed) {
            key.putAll(whoGotWhat(whole, plan));
        }
        TrialRecord shown = sealed ? whole.record().codesOnly() : whole.record();
        try (ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8)) {
            put(
                    zip,
                    DESCRIPTOR,
                    bytes(descriptor(
                            shown.trial(), sealed, !key.isEmpty(), whole.plan().copied(), open, now)));
            for (PackageFile file : PackageFile.OF_TRIAL) {
                zip.putNextEntry(new ZipEntry(file.path()));
                table(whole, shown, sealed, file, zip);
                zip.closeEntry();
            }
            for (PackageParts.Filled more : open) {
                put(zip, more.table().path(), table(more));
            }
            if (!sealed) {
                put(zip, PLAN, plan);
            }
            if (!key.isEmpty()) {
                put(zip, SealedKey.PATH, SealedKey.seal(key, seal.orElseThrow()));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Map<String, byte[]> whoGotWhat(WholeTrial whole, byte[] plan) {
        Map<String, byte[]> key = new LinkedHashMap<>();
        for (PackageFile file : PackageFile.HIDDEN_WHILE_BLIND) {
            ByteArrayOutputStream table = new ByteArrayOutputStream();
            table(whole, whole.record(), false, file, table);
            key.put(file.path(), table.toByteArray());
        }
        key.put(PLAN, plan);
        return key;
    }

    private static byte[] table(PackageParts.Filled more) {
        ByteArrayOutputStream table = new ByteArrayOutputStream();
        CsvText.write(table, more.table().columnNames(), more.rows().stream());
        return table.toByteArray();
    }

    private static void table(
            WholeTrial whole, TrialRecord record, boolean sealed, PackageFile file, OutputStream out) {
        Stream<List<?>> rows = switch (file) {
            case AMENDMENTS -> whole.amendments().stream().map(TrialPackageWriter::row);
            case QUARANTINE ->
                sealed ? Stream.empty() : whole.quarantines().stream().map(TrialPackageWriter::row);
            case LOTS -> sealed ? Stream.empty() : whole.lots().stream().map(ShelfPackage::row);
            case LOT_FIGURES -> sealed ? Stream.empty() : whole.lots().stream().flatMap(ShelfPackage::figures);
            case TRIAL -> Stream.of(row(record.trial(), sealed));
            default -> rows(record, file);
        };
        CsvText.write(out, file.columnNames(), rows);
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private static List<?> row(Amendment a) {
        return List.of(a.number(), a.at(), a.station(), a.reason(), String.join("\n", a.changes()));
    }

    static List<?> row(Quarantine q) {
        return PackageTable.cells(q.lot(), q.reason(), q.since(), q.station(), q.goneTo(), q.liftedAt(), q.liftedWhy());
    }

    private static void put(ZipOutputStream zip, String path, byte[] content) throws IOException {
        zip.putNextEntry(new ZipEntry(path));
        zip.write(content);
        zip.closeEntry();
    }

    private static String descriptor(
            Trial trial, boolean sealed, boolean key, boolean copied, List<PackageParts.Filled> beside, Instant now) {
        Map<String, Object> descriptor = new LinkedHashMap<>();
        descriptor.put("$schema", "https://datapackage.org/profiles/2.0/datapackage.json");
        descriptor.put("name", "trial-" + trial.id());
        descriptor.put("title", trial.question());
        descriptor.put("created", now.toString());
        if (copied) {
            descriptor.put(
                    "description",
                    "Copied from a notebook. Places, blocks, containers, volumes and the seed were not written down: what stands"
                            + " there only fills the columns. What else is unknown is said in plan.json under origin.");
        }
        List<Map<String, Object>> resources = new ArrayList<>();
        for (PackageFile file : PackageFile.OF_TRIAL) {
            resources.add(resource(file.table()));
        }
        beside.forEach(more -> resources.add(resource(more.table())));
        if (key) {
            resources.add(Map.of("name", "key", "path", SealedKey.PATH, "format", "base64"));
        }
        if (!sealed) {
            resources.add(Map.of("name", "plan", "path", PLAN, "format", "json", "mediatype", "application/json"));
        }
        descriptor.put("resources", resources);
        return JsonMapper.shared().writerWithDefaultPrettyPrinter().writeValueAsString(descriptor);
    }

    static Map<String, Object> resource(PackageTable file) {
        Map<String, Object> resource = new LinkedHashMap<>();
        resource.put("name", file.name());
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
        return switch (file) {
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
                        .map(b -> List.of(
                                b.number(),
                                b.name(),
                                b.rows(),
                                b.columns(),
                                b.light(),
                                b.door(),
                                b.lengthCm(),
                                b.depthCm(),
                                b.lightMap().text(),
                                Influence.text(b.influences()),
                                b.guarded()));
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
                        .map(e -> PackageTable.cells(
                                e.code(),
                                e.name(),
                                e.unit(),
                                e.counting(),
                                e.size(),
                                e.lowest(),
                                e.highest(),
                                e.decimals(),
                                e.readOf()));
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
                        .map(m -> PackageTable.cells(
                                m.number(),
                                m.kind(),
                                m.note(),
                                joined(m.units().stream().map(UnitCode::value)),
                                m.look(),
                                m.happenedAt(),
                                m.station(),
                                m.withdrawnAt()));
            case GIVEN ->
                record.given().stream()
                        .flatMap(g -> g.millilitres().entrySet().stream()
                                .map(one -> PackageTable.cells(
                                        g.number(),
                                        g.kind(),
                                        g.what(),
                                        one.getKey(),
                                        one.getValue(),
                                        g.happenedAt(),
                                        g.station(),
                                        g.withdrawnAt())));
            case TURNS -> record.turns().stream().map(t -> PackageTable.cells(t.number(), t.at(), t.station()));
            case SECOND_SCORES ->
                record.scoredAgain().stream()
                        .map(s -> PackageTable.cells(s.unit(), s.look(), s.endpoint(), s.station(), s.value(), s.at()));
            case SKIPS ->
                record.beside().skips().stream()
                        .map(s -> PackageTable.cells(s.look(), s.endpoint(), s.reason(), s.at(), s.station()));
            case TRIAL, AMENDMENTS, QUARANTINE, LOTS, LOT_FIGURES, USES -> Stream.empty();
        };
    }

    /** Without its seed while it is sealed: whoever has that and the plan can draw all places again. */
    private static List<?> row(Trial trial, boolean sealed) {
        return List.of(
                trial.question(),
                trial.protocol(),
                trial.zone(),
                trial.start(),
                sealed ? 0 : trial.seed(),
                trial.stage(),
                trial.blind());
    }

    private static List<?> row(Treatment t) {
        return PackageTable.cells(
                t.number(),
                t.code(),
                t.name(),
                t.material(),
                t.kind(),
                t.control(),
                t.texture(),
                t.tint(),
                t.properties().get(TreatmentProperty.ORGANIC_MATTER),
                t.properties().containsKey(TreatmentProperty.PREWETTED) ? 1 : null,
                t.properties().get(TreatmentProperty.NITROGEN),
                t.properties().get(TreatmentProperty.PRODUCT_RATE),
                t.properties().get(TreatmentProperty.DOSE));
    }

    private static List<?> row(Reading r) {
        return PackageTable.cells(
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
                r.reason(),
                r.person());
    }

    private static String joined(Stream<String> parts) {
        return parts.collect(Collectors.joining(" "));
    }
}
