package elsom.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.material.Lot;
import elsom.core.material.LotFigure;
import elsom.core.material.MaterialKind;
import elsom.core.material.Origin;
import elsom.core.material.Preparation;
import elsom.core.mix.Property;
import elsom.core.plan.Amendment;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Pots;
import elsom.core.plan.Rules;
import elsom.core.plan.Treatments;
import elsom.core.plan.WateringSchool;
import elsom.core.protocol.Protocols;
import elsom.core.protocol.water.WaterHolding;
import elsom.core.results.Evidence;
import elsom.core.trial.Container;
import elsom.core.trial.ControlKind;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.trial.WholeTrial;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Consumer;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class TrialPackageTest {
    private static final Seal SEAL = new Seal(new byte[Seal.SECRET_BYTES]);

    private final TrialRecord record = ExchangeFixture.measured();
    private final byte[] written = packed(ExchangeFixture.whole());
    private final List<BadRow> problems = new ArrayList<>();

    private Optional<WholeTrial> read(byte[] zip) {
        PackageZip.Opened opened = PackageZip.open(new ByteArrayInputStream(zip), Set.of(), SEAL, problems);
        return problems.isEmpty() ? new TrialPackageReader(opened, problems).read() : Optional.empty();
    }

    private static byte[] packed(WholeTrial whole) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        TrialPackageWriter.write(whole, List.of(), ExchangeFixture.START, Optional.of(SEAL), bytes);
        return bytes.toByteArray();
    }

    private WholeTrial sentAndRead(WholeTrial whole) {
        return read(packed(whole)).orElseThrow(() -> new AssertionError(said()));
    }

    private String said() {
        return problems.stream().map(bad -> bad.where() + " " + bad.reason()).reduce("", (a, b) -> a + "\n" + b);
    }

    private byte[] changed(Consumer<Map<String, byte[]>> change) throws IOException {
        return changed(written, change);
    }

    private static byte[] changed(byte[] from, Consumer<Map<String, byte[]>> change) throws IOException {
        Map<String, byte[]> entries = PackedTrials.files(from);
        change.accept(entries);
        return PackedTrials.zipped(entries);
    }

    private static String text(Map<String, byte[]> entries, String name) {
        return new String(entries.get(name), StandardCharsets.UTF_8);
    }

    @Test
    void givesTheSameTrialAndTheSameFigures() {
        TrialRecord back =
                read(written).orElseThrow(() -> new AssertionError(said())).record();
        assertThat(back.trial().question()).isEqualTo(record.trial().question());
        assertThat(back.trial().start()).isEqualTo(record.trial().start());
        assertThat(back.treatments()).isEqualTo(record.treatments());
        assertThat(back.units()).isEqualTo(record.units());
        assertThat(back.readings()).isEqualTo(record.readings());
        assertThat(back.mishaps()).isEqualTo(record.mishaps());
        assertThat(back.given()).isEqualTo(record.given()).isNotEmpty();
        assertThat(back.scoredAgain()).isEqualTo(record.scoredAgain()).isNotEmpty();
        assertThat(back.turns()).isEqualTo(record.turns()).isNotEmpty();
        Plan plan = ExchangeFixture.plan();
        assertThat(new WaterHolding().findings(Evidence.of(plan, back, OptionalInt.empty())))
                .isEqualTo(new WaterHolding().findings(Evidence.of(plan, record, OptionalInt.empty())));
    }

    @Test
    void describesEveryTableByTheStandard() throws IOException {
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(written))) {
            assertThat(in.getNextEntry().getName()).isEqualTo("datapackage.json");
            JsonNode descriptor = JsonMapper.shared().readTree(in.readAllBytes());
            assertThat(descriptor.path("$schema").stringValue()).contains("datapackage.org");
            assertThat(descriptor.path("resources")).hasSize(PackageFile.OF_TRIAL.size() + 1);
            assertThat(descriptor
                            .path("resources")
                            .get(7)
                            .path("schema")
                            .path("fields")
                            .get(5)
                            .path("name")
                            .stringValue())
                    .isEqualTo("value");
        }
    }

    @Test
    void filesFromBeforePlansTellHowUnitsWereWatered() throws IOException {
        byte[] old = changed(entries -> {
            entries.remove("plan.json");
            String[] trial = text(entries, "trial.csv").split("\r?\n");
            entries.put(
                    "trial.csv",
                    (trial[0] + ",watering,refill_fraction\n" + trial[1] + ",EACH_TO_REFILL_WEIGHT,0.45\n")
                            .getBytes(StandardCharsets.UTF_8));
        });
        assertThat(read(old))
                .as(this::said)
                .hasValueSatisfying(whole -> assertThat(whole.plan().rules())
                        .isEqualTo(new Rules(WateringSchool.EACH_TO_REFILL_WEIGHT, 0.45, false)));
    }

    @Test
    void namesMissingAndForeignFiles() throws IOException {
        assertThat(read(changed(entries -> entries.remove("units.csv")))).isEmpty();
        assertThat(read(changed(entries -> entries.put("virus.exe", new byte[] {1}))))
                .isEmpty();
        assertThat(said()).contains("“units.csv” is missing", "“virus.exe” does not belong");
    }

    @Test
    void goesNowhereThatAPathPoints() throws IOException {
        assertThat(read(changed(entries -> entries.put("../../etc/passwd", new byte[] {1}))))
                .isEmpty();
        assertThat(read(changed(entries -> entries.put("folder/trial.csv", new byte[] {1}))))
                .isEmpty();
        assertThat(said()).contains("“../../etc/passwd” lies in a folder", "“folder/trial.csv” lies in a folder");
    }

    @Test
    void unpacksNoBomb() throws IOException {
        String header =
                "id,unit,look,endpoint,sub_reading,value,typed,typed_unit,taken_at,recorded_at,station,instrument,"
                        + "supersedes,reason\r\n\"";
        byte[] spaces = (header + " ".repeat(200 * 1024 * 1024)).getBytes(StandardCharsets.UTF_8);
        byte[] bomb = changed(entries -> entries.put("readings.csv", spaces));
        assertThat(bomb.length).isLessThan(1024 * 1024);
        assertThat(read(bomb)).isEmpty();
        assertThat(said()).contains("readings.csv A row of it is longer than 1 million characters");
        problems.clear();
        byte[] other = changed(entries -> entries.put("units.csv", new byte[400 * 1024 * 1024]));
        assertThat(read(other)).isEmpty();
        assertThat(said()).contains("units.csv Unpacks to more than 4 MB");
    }

    @Test
    void refusesWhatIsNoZip() {
        assertThat(read("unit,look\n".getBytes(StandardCharsets.UTF_8))).isEmpty();
        assertThat(read(new byte[0])).isEmpty();
        byte[] cut = java.util.Arrays.copyOf(written, written.length / 3);
        assertThat(read(cut)).isEmpty();
        assertThat(problems).hasSizeGreaterThanOrEqualTo(3);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    trial.csv      | water-holding | fire-walking | trial.csv, row 2 protocol: “fire-walking” is not a kind
                    trial.csv      | Europe/London | Europe/Atlantis | is not a time zone
                    containers.csv | TAPERED       | WOBBLY       | is not one of STRAIGHT, TAPERED, BOWL
                    treatments.csv | 0.94          | 94           | organic matter can't be 94
                    units.csv      | ,380.5,       | ,-1,         | filled volume of
                    units.csv      | Round pot 9 cm| No such pot  | has no container
                    looks.csv      | 345600        | soon         | is not a whole number
                    readings.csv   | SCALE         | GUESS        | is not one of HAND, SCALE, FILE
                    readings.csv   | 31.25,        | NaN,         | is not a finite number
                    mishaps.csv    | KNOCKED       | EATEN        | is not one of
                    """)
    void namesFileRowAndReason(String file, String from, String to, String reason) throws IOException {
        byte[] zip = changed(entries -> {
            String before = text(entries, file);
            assertThat(before).contains(from.strip());
            entries.put(file, before.replace(from.strip(), to.strip()).getBytes(StandardCharsets.UTF_8));
        });
        assertThat(read(zip)).isEmpty();
        assertThat(said()).contains(reason);
    }

    @Test
    void aReadingCanNotCorrectALaterOne() throws IOException {
        byte[] zip = changed(entries -> {
            List<String> lines =
                    new ArrayList<>(text(entries, "readings.csv").lines().toList());
            lines.add(1, lines.remove(lines.size() - 1));
            entries.put("readings.csv", String.join("\r\n", lines).getBytes(StandardCharsets.UTF_8));
        });
        assertThat(read(zip)).isEmpty();
        assertThat(said()).contains("must be an earlier reading");
    }

    static List<Plan> plans() {
        return Protocols.all().stream()
                .map(protocol -> {
                    Plan begun = protocol.begin(
                            protocol.exampleQuestion(),
                            ZoneOffset.UTC,
                            ExchangeFixture.START,
                            Pots.of(Container.taperedRound("Round pot 9 cm", 8.5, 9, 6.5)),
                            11);
                    List<PlannedTreatment> pair = List.of(
                            PlannedTreatment.of("tap water", "", ControlKind.CONTROL),
                            PlannedTreatment.of("wood \"vinegar\", 1 %", "", ControlKind.NONE));
                    return begun.with(Treatments.listed(pair), begun.pots());
                })
                .toList();
    }

    @ParameterizedTest
    @MethodSource("plans")
    void aDraftComesBackWithTheSamePlanAndTheSameDraw(Plan plan) {
        WholeTrial draft = new WholeTrial(plan.sketch(new TrialId(0)), plan, List.of());
        WholeTrial back = sentAndRead(draft);
        assertThat(back.plan()).isEqualTo(plan);
        assertThat(back.record().units()).isEqualTo(draft.record().units());
        assertThat(back.record().endpoints()).isEqualTo(draft.record().endpoints());
        assertThat(back.record().trial().started()).isFalse();
    }

    /** The lots of a trial's mixes travel with it; a blind one keeps them to itself. */
    @Test
    void lotsComeBackWithTheirFigures() {
        Lot lot = new Lot(
                "GW-31",
                "green-waste compost",
                MaterialKind.COMPOST,
                LocalDate.of(2026, 5, 4),
                "=first delivery",
                Set.of(Preparation.SIEVED, Preparation.LIMED),
                "dusty, \"very\"",
                "",
                List.of(
                        LotFigure.of(Property.PH, 7.25, Origin.LAB, "sheet 118", LocalDate.of(2026, 5, 6)),
                        new LotFigure(Property.WATER, 56.125, Origin.MEASURED, "", LocalDate.of(2026, 6, 1), 6.5, 0)));
        Lot mix = Lot.mixed("Plug mix", "3 leaf mould + 1 GW-31", LocalDate.of(2026, 6, 2));
        WholeTrial whole = ExchangeFixture.whole();
        WholeTrial carrying = new WholeTrial(whole.record(), whole.plan(), List.of(), List.of(), List.of(lot, mix));
        assertThat(sentAndRead(carrying).lots()).containsExactly(lot, mix);
        WholeTrial hidden = blind();
        assertThat(sentAndRead(new WholeTrial(
                                hidden.record(), hidden.plan(), hidden.amendments(), List.of(), List.of(lot)))
                        .lots())
                .isEmpty();
    }

    private WholeTrial blind() {
        Plan plan = ExchangeFixture.plan().with(new Rules(WateringSchool.EACH_TO_REFILL_WEIGHT, 0.4, true));
        TrialRecord draft = plan.draw(new TrialId(0));
        Amendment later = new Amendment(
                1,
                ExchangeFixture.START.plusSeconds(60),
                "Bench A",
                "away, \"too long\"",
                List.of("Look 3 moved", "b"));
        return new WholeTrial(draft.with(draft.trial().begun(true)), plan, List.of(later));
    }

    @Test
    void aBlindTrialTellsNobodyAndComesBackWhole() throws IOException {
        WholeTrial whole = blind();
        byte[] zip = packed(whole);
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                assertThat(new String(in.readAllBytes(), StandardCharsets.UTF_8))
                        .as(entry.getName())
                        .doesNotContain("Wood fibre", "Leaf mould", "0.94");
            }
        }
        WholeTrial back = read(zip).orElseThrow(() -> new AssertionError(said()));
        assertThat(back.plan()).isEqualTo(whole.plan());
        assertThat(back.amendments()).isEqualTo(whole.amendments());
        assertThat(back.record().treatments()).isEqualTo(whole.record().treatments());
        assertThat(back.record().units()).isEqualTo(whole.record().units());
        assertThat(back.sealed()).isTrue();
    }

    @Test
    void aBrokenKeyIsNoted() throws IOException {
        byte[] zip = packed(blind());
        assertThat(read(changed(zip, entries -> entries.put("key.sealed", new byte[] {65, 66, 67, 68}))))
                .isEmpty();
        assertThat(said()).contains("The sealed key is not whole");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '`', textBlock = """
                    "replicates" : 3 | "replicates" : 0
                    "replicates" : 3 | "replicates" : "many"
                    "refillFraction" : 0.4 | "refillFraction" : 1.4
                    "blind" : false  | "blind" : null
                    "seed" : -5      | "sown" : -5
                    "asked" : {      | "asked" : [
                    """)
    void aPlanThatIsNoneIsRefused(String from, String to) throws IOException {
        byte[] zip = changed(entries -> {
            String plan = text(entries, "plan.json");
            assertThat(plan).contains(from);
            entries.put("plan.json", plan.replace(from, to).getBytes(StandardCharsets.UTF_8));
        });
        assertThat(read(zip)).isEmpty();
        assertThat(said()).contains("plan.json");
    }
}
