package elsom.web.exchange;

import elsom.core.design.UnitCodes;
import elsom.core.material.Lot;
import elsom.core.mix.Quarantine;
import elsom.core.plan.Amendment;
import elsom.core.plan.Plan;
import elsom.core.plan.PlanRecovery;
import elsom.core.plan.Rules;
import elsom.core.plan.WateringSchool;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.Protocols;
import elsom.core.quantity.Bounds;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.Bench;
import elsom.core.trial.BenchPosition;
import elsom.core.trial.Beside;
import elsom.core.trial.Container;
import elsom.core.trial.ContainerShape;
import elsom.core.trial.ControlKind;
import elsom.core.trial.CorrectionReason;
import elsom.core.trial.Counting;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Influence;
import elsom.core.trial.Instrument;
import elsom.core.trial.LightMap;
import elsom.core.trial.Look;
import elsom.core.trial.Mishap;
import elsom.core.trial.MishapKind;
import elsom.core.trial.Outline;
import elsom.core.trial.ProtocolCode;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingId;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.SecondScore;
import elsom.core.trial.Side;
import elsom.core.trial.Skip;
import elsom.core.trial.Texture;
import elsom.core.trial.Tint;
import elsom.core.trial.Treatment;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.Trial;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.TrialStage;
import elsom.core.trial.Turn;
import elsom.core.trial.UnitCode;
import elsom.web.trial.PlanJson;
import elsom.web.trial.WholeTrial;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** Reads the tables of a data package into a trial, collecting every problem with file and row. */
final class TrialPackageReader {
    /** A kilobyte each, while a trial is read in. */
    private static final int MOST_READINGS =
            (int) Math.min(2_000_000, Runtime.getRuntime().maxMemory() / 1024);

    private static final int MOST_LOOKS = Bounds.LOOKS;

    private final Map<String, byte[]> files;
    private final List<Reading> readings;
    private final List<BadRow> problems;

    TrialPackageReader(PackageZip.Opened opened, List<BadRow> problems) {
        this.files = opened.files();
        this.readings = opened.readings();
        this.problems = problems;
    }

    private <T> List<T> rows(PackageFile file, Function<CsvTable.Row, T> make) {
        byte[] bytes = files.get(file.path());
        return bytes == null && file.optional()
                ? List.of()
                : CsvTable.of(file.path(), bytes == null ? new byte[0] : bytes, file.requiredNames(), problems)
                        .map(make);
    }

    /** The trial, without a number; empty when something is wrong. */
    Optional<WholeTrial> read() {
        List<Trial> trial = rows(PackageFile.TRIAL, TrialPackageReader::trial);
        List<Treatment> treatments = rows(PackageFile.TREATMENTS, TrialPackageReader::treatment);
        List<Container> containers = rows(PackageFile.CONTAINERS, TrialPackageReader::container);
        List<Bench> benches = rows(PackageFile.BENCHES, TrialPackageReader::bench);
        List<ExperimentalUnit> units = rows(PackageFile.UNITS, TrialPackageReader::unit);
        List<Endpoint> endpoints = rows(PackageFile.ENDPOINTS, TrialPackageReader::endpoint);
        List<Look> looks = rows(PackageFile.LOOKS, TrialPackageReader::look);
        List<Mishap> mishaps = rows(PackageFile.MISHAPS, TrialPackageReader::mishap);
        numbered(
                PackageFile.TREATMENTS,
                treatments.stream().map(Treatment::number).toList());
        numbered(PackageFile.BENCHES, benches.stream().map(Bench::number).toList());
        numbered(PackageFile.LOOKS, looks.stream().map(Look::number).toList());
        numbered(PackageFile.MISHAPS, mishaps.stream().map(Mishap::number).toList());
        List<GivenRows> given = rows(PackageFile.GIVEN, GivenRows::of);
        List<Turn> turns = rows(
                PackageFile.TURNS, row -> new Turn(row.whole("number"), row.instant("turned_at"), row.text("station")));
        List<SecondScore> again = rows(PackageFile.SECOND_SCORES, TrialPackageReader::secondScore);
        List<Skip> skips = rows(PackageFile.SKIPS, TrialPackageReader::skip);
        List<Amendment> amendments = rows(PackageFile.AMENDMENTS, TrialPackageReader::amendment);
        List<Quarantine> quarantines = rows(PackageFile.QUARANTINE, TrialPackageReader::quarantine);
        List<Lot> lots = ShelfPackage.lots(files, problems);
        sizes(trial, units, looks);
        if (!problems.isEmpty()) {
            return Optional.empty();
        }
        try {
            TrialRecord record = TrialRecord.of(
                            trial.get(0), treatments, containers, benches, units, endpoints, looks, readings, mishaps)
                    .with(new Beside(List.of(), GivenRows.entries(given), again, turns, skips));
            return plan(record).map(plan -> new WholeTrial(drawn(record, plan), plan, amendments, quarantines, lots));
        } catch (IllegalArgumentException inconsistent) {
            problems.add(new BadRow("", 0, "The files do not fit together: " + inconsistent.getMessage()));
            return Optional.empty();
        }
    }

    /** A draft's tables are only what its plan would be drawn as. */
    private static TrialRecord drawn(TrialRecord record, Plan plan) {
        return record.trial().started() ? record : plan.sketch(new TrialId(0));
    }

    /** The plan; of a trial from before plans were kept, what its tables tell. */
    private Optional<Plan> plan(TrialRecord record) {
        byte[] json = files.get(TrialPackageWriter.PLAN);
        if (json == null) {
            return Optional.of(PlanRecovery.of(
                    record,
                    Protocols.find(record.trial().protocol())
                            .map(Protocol::measures)
                            .orElse(List.of()),
                    rows(PackageFile.TRIAL, TrialPackageReader::rules).stream()
                            .findFirst()
                            .orElse(Rules.USUAL)));
        }
        try {
            Plan plan = PlanJson.read(new String(json, StandardCharsets.UTF_8));
            if (!plan.protocol().equals(record.trial().protocol())) {
                throw new IllegalArgumentException("it is for another kind of trial than trial.csv says");
            }
            plan.sketch(new TrialId(0));
            return Optional.of(plan);
        } catch (IllegalArgumentException malformed) {
            problems.add(new BadRow(TrialPackageWriter.PLAN, 0, "It can't be read: " + malformed.getMessage()));
            return Optional.empty();
        }
    }

    private static Amendment amendment(CsvTable.Row row) {
        return new Amendment(
                row.whole("number"),
                row.instant("at"),
                row.text("station"),
                row.text("reason"),
                row.text("changes").lines().toList());
    }

    static Quarantine quarantine(CsvTable.Row row) {
        return new Quarantine(
                row.text("lot"),
                row.optional("reason").orElse(""),
                row.instant("since"),
                row.text("station"),
                row.optional("gone_to").orElse(""),
                0,
                row.optional("lifted_at").isPresent() ? row.instant("lifted_at") : null,
                row.optional("lifted_why").orElse(""));
    }

    private void sizes(List<Trial> trial, List<ExperimentalUnit> units, List<Look> looks) {
        if (problems.isEmpty() && trial.size() != 1) {
            problems.add(new BadRow(PackageFile.TRIAL.path(), 0, "It must hold one row, it holds " + trial.size()));
        }
        boolean draft = problems.isEmpty() && !trial.get(0).started();
        if (problems.isEmpty() && ((units.isEmpty() && !draft) || units.size() > UnitCodes.MOST)) {
            problems.add(new BadRow(
                    PackageFile.UNITS.path(),
                    0,
                    "A trial has 1 to " + UnitCodes.MOST + " units, here " + units.size()));
        }
        if (problems.isEmpty() && (looks.isEmpty() || looks.size() > MOST_LOOKS)) {
            problems.add(new BadRow(
                    PackageFile.LOOKS.path(), 0, "A trial has 1 to " + MOST_LOOKS + " looks, here " + looks.size()));
        }
    }

    /** Numbers run 1, 2, 3 …, as other tables point at them by position. */
    private void numbered(PackageFile file, List<Integer> numbers) {
        for (int i = 0; i < numbers.size(); i++) {
            if (numbers.get(i) != i + 1) {
                problems.add(
                        new BadRow(file.path(), i + 2L, "number: must be " + (i + 1) + " here, got " + numbers.get(i)));
                return;
            }
        }
    }

    private static Trial trial(CsvTable.Row row) {
        ProtocolCode protocol = new ProtocolCode(row.text("protocol"));
        if (Protocols.find(protocol).isEmpty()) {
            throw row.refuse("protocol: “" + protocol + "” is not a kind of trial known here");
        }
        ZoneId zone;
        try {
            zone = ZoneId.of(row.text("zone"));
        } catch (DateTimeException unknown) {
            throw row.refuse("zone: “" + row.text("zone") + "” is not a time zone; accepted: Europe/London");
        }
        return new Trial(
                new TrialId(0),
                row.text("question"),
                protocol,
                zone,
                row.instant("start"),
                row.large("seed"),
                row.optional("stage").isPresent() ? row.choice("stage", TrialStage.class) : TrialStage.STARTED,
                row.optional("blind").map(Boolean::parseBoolean).orElse(false));
    }

    /** Where older files told how units were watered, as plans do since. */
    private static Rules rules(CsvTable.Row row) {
        return new Rules(
                row.optional("watering").isPresent()
                        ? row.choice("watering", WateringSchool.class)
                        : Rules.USUAL.watering(),
                row.optional("refill_fraction").isPresent()
                        ? row.number("refill_fraction")
                        : Rules.USUAL.refillFraction(),
                row.optional("blind").map(Boolean::parseBoolean).orElse(false));
    }

    private static Container container(CsvTable.Row row) {
        return new Container(
                row.text("name"),
                row.choice("shape", ContainerShape.class),
                row.choice("outline", Outline.class),
                row.number("depth_cm"),
                row.number("top_length_cm"),
                row.number("top_width_cm"),
                row.number("base_length_cm"),
                row.number("base_width_cm"));
    }

    private static Treatment treatment(CsvTable.Row row) {
        Map<TreatmentProperty, Double> properties = new EnumMap<>(TreatmentProperty.class);
        property(row, "organic_matter", TreatmentProperty.ORGANIC_MATTER, properties);
        property(row, "prewetted", TreatmentProperty.PREWETTED, properties);
        property(row, "nitrogen", TreatmentProperty.NITROGEN, properties);
        property(row, "product_rate", TreatmentProperty.PRODUCT_RATE, properties);
        property(row, "dose", TreatmentProperty.DOSE, properties);
        return new Treatment(
                row.whole("number"),
                row.text("code"),
                row.text("name"),
                row.optional("material").isPresent() ? row.text("material") : "",
                row.optional("kind").isPresent() ? row.text("kind") : "",
                row.choice("control", ControlKind.class),
                row.choice("texture", Texture.class),
                row.choice("tint", Tint.class),
                properties);
    }

    private static void property(
            CsvTable.Row row, String column, TreatmentProperty property, Map<TreatmentProperty, Double> to) {
        if (row.optional(column).isPresent()) {
            to.put(property, row.number(column));
        }
    }

    private static Bench bench(CsvTable.Row row) {
        return new Bench(
                row.whole("number"),
                row.text("name"),
                row.whole("rows"),
                row.whole("columns"),
                row.optional("length_cm").isPresent() ? row.number("length_cm") : 0,
                row.optional("depth_cm").isPresent() ? row.number("depth_cm") : 0,
                row.choice("light", Side.class),
                row.choice("door", Side.class),
                LightMap.parse(row.optional("light_map").orElse("")),
                Influence.parse(row.optional("influences").orElse("")),
                row.optional("guarded").map(Boolean::parseBoolean).orElse(false));
    }

    private static ExperimentalUnit unit(CsvTable.Row row) {
        return new ExperimentalUnit(
                new UnitCode(row.text("code")),
                row.whole("treatment"),
                row.whole("replicate"),
                row.text("container"),
                row.number("filled_volume_ml"),
                row.whole("block"),
                new BenchPosition(row.whole("bench"), row.whole("row"), row.whole("column")));
    }

    private static Endpoint endpoint(CsvTable.Row row) {
        return new Endpoint(
                new EndpointCode(row.text("code")),
                row.text("name"),
                row.choice("unit", UnitOfMeasure.class),
                row.choice("counting", Counting.class),
                row.whole("size"),
                row.number("lowest"),
                row.number("highest"),
                row.whole("decimals"),
                row.optional("read_of").map(EndpointCode::new).orElse(null));
    }

    private static Look look(CsvTable.Row row) {
        return new Look(
                row.whole("number"),
                row.text("name"),
                Duration.ofSeconds(row.large("after_start_s")),
                Arrays.stream(row.text("endpoints").split(" "))
                        .map(EndpointCode::new)
                        .toList());
    }

    /** Readings in order of entry, read as they come. */
    static List<Reading> readings(InputStream csv, List<BadRow> problems) {
        Set<ReadingId> known = new HashSet<>();
        Set<ReadingId> superseded = new HashSet<>();
        Map<String, UnitCode> units = new HashMap<>();
        Map<String, EndpointCode> endpoints = new HashMap<>();
        return CsvTable.of(PackageFile.READINGS.path(), csv, PackageFile.READINGS.requiredNames(), problems)
                .map(row -> {
                    ReadingRef ref = new ReadingRef(
                            units.computeIfAbsent(row.text("unit"), UnitCode::new),
                            row.whole("look"),
                            endpoints.computeIfAbsent(row.text("endpoint"), EndpointCode::new),
                            row.whole("sub_reading"));
                    if (known.size() >= MOST_READINGS) {
                        throw row.refuse("there are more than " + MOST_READINGS + " readings, which is more than this"
                                + " Elsom has memory for");
                    }
                    Reading reading = reading(row, ref);
                    @Nullable ReadingId supersedes = reading.supersedes();
                    if (supersedes != null && (!known.contains(supersedes) || !superseded.add(supersedes))) {
                        throw row.refuse(
                                "supersedes: " + supersedes + " must be an earlier reading that no other supersedes");
                    }
                    if (!known.add(reading.id())) {
                        throw row.refuse("id: " + reading.id() + " is there twice");
                    }
                    return reading;
                });
    }

    private static Reading reading(CsvTable.Row row, ReadingRef ref) {
        return new Reading(
                new ReadingId(row.large("id")),
                ref,
                row.optional("value").isPresent() ? row.number("value") : null,
                row.optional("typed").isPresent() ? row.text("typed") : "",
                row.choice("typed_unit", UnitOfMeasure.class),
                row.instant("taken_at"),
                row.instant("recorded_at"),
                row.text("station"),
                row.choice("instrument", Instrument.class),
                row.optional("supersedes").isPresent() ? new ReadingId(row.large("supersedes")) : null,
                row.optional("reason").isPresent() ? row.choice("reason", CorrectionReason.class) : null,
                row.optional("person").orElse(""));
    }

    private static Skip skip(CsvTable.Row row) {
        return new Skip(
                row.whole("look"),
                new EndpointCode(row.text("endpoint")),
                row.text("reason"),
                row.instant("skipped_at"),
                row.text("station"));
    }

    private static SecondScore secondScore(CsvTable.Row row) {
        return new SecondScore(
                new UnitCode(row.text("unit")),
                row.whole("look"),
                new EndpointCode(row.text("endpoint")),
                row.text("station"),
                row.number("score"),
                row.instant("scored_at"));
    }

    private static Mishap mishap(CsvTable.Row row) {
        return new Mishap(
                row.whole("number"),
                row.choice("kind", MishapKind.class),
                row.optional("note").orElse(""),
                row.optional("units").stream()
                        .flatMap(units -> Arrays.stream(units.split(" ")))
                        .map(UnitCode::new)
                        .toList(),
                row.whole("look"),
                row.instant("happened_at"),
                row.text("station"),
                row.optional("withdrawn_at").isPresent() ? row.instant("withdrawn_at") : null);
    }
}
