package elsom.web.series;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.series.Measurand;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.AppTest;
import elsom.web.Web;
import elsom.web.trial.Logbook;
import elsom.web.trial.TrialLists;
import elsom.web.trial.Trials;
import elsom.web.trial.Wanted;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.TestPropertySource;

/** Files of loggers and laboratories: looked at, taken whole or not at all, and made into readings. */
@AppTest
@TestPropertySource(properties = "elsom.demo=true")
class SeriesIT {
    private static final DateTimeFormatter WRITTEN = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm");
    private static final EndpointCode EC_AT_8_CM = new EndpointCode("mean-ec-8-cm");

    @LocalServerPort
    private int port;

    @Autowired
    private TrialLists lists;

    @Autowired
    private Trials trials;

    @Autowired
    private SeriesStore store;

    @Autowired
    private Logbook logbook;

    private TrialId trial = new TrialId(1);
    private String unit = "";
    private LocalDateTime yesterday = LocalDateTime.now(ZoneId.systemDefault());

    @BeforeEach
    void theTrialWithAProbe() {
        trial = lists.search(Wanted.of("Ditch water"), 0, 10).trials().get(0).id();
        unit = record().units().get(0).code().value();
        yesterday = LocalDateTime.now(ZoneId.systemDefault())
                .minusDays(1)
                .withSecond(0)
                .withNano(0);
    }

    private TrialRecord record() {
        return trials.snapshot(trial);
    }

    private HttpResponse<String> send(String name, byte[] file) throws Exception {
        return new Web(port).upload("/trials/" + trial + "/series/files", name, file, Map.of("source", name));
    }

    private HttpResponse<String> send(String name, String... lines) throws Exception {
        return send(name, String.join("\n", lines).getBytes(StandardCharsets.UTF_8));
    }

    private static String address(HttpResponse<String> sent) {
        assertThat(sent.statusCode()).isEqualTo(302);
        String location = sent.headers().firstValue("location").orElseThrow();
        return location.substring(location.indexOf("/trials"));
    }

    /** Takes a file and waits for what became of it. */
    private String taken(String address, Map<String, String> mapping) throws Exception {
        Web web = new Web(port);
        HttpResponse<String> begun = web.post(address, mapping);
        if (begun.statusCode() != 302) {
            return begun.body();
        }
        for (int i = 0; i < 20_000 && web.get(address + "/progress").body().contains("RUNNING"); i++) {
            Thread.onSpinWait();
        }
        return web.get(address).body().replace("&#39;", "'").replace("&quot;", "\"");
    }

    private static Map<String, String> mapping(String zone, String sign, String... columns) {
        Map<String, String> mapping = new HashMap<>(Map.of("zone", zone, "order", "DAY_FIRST", "sign", sign));
        for (int i = 0; i < columns.length; i++) {
            String[] parts = columns[i].split("/", -1);
            mapping.put("what" + i, parts[0]);
            mapping.put("in" + i, parts.length > 1 ? parts[1] : "");
            mapping.put("depth" + i, parts.length > 2 ? parts[2] : "");
            mapping.put("unit" + i, parts.length > 3 ? parts[3] : "");
        }
        return mapping;
    }

    private static String here() {
        return ZoneId.systemDefault().getId();
    }

    private Optional<SeriesStore.Head> series(Measurand what, double depth, String of) {
        return store.all(trial).stream()
                .filter(head -> head.key().equals(new SeriesKey(of, what, depth, 1)))
                .findFirst();
    }

    @Test
    void theProbesLogTakenAgainIsKnownAlready() throws Exception {
        Web web = new Web(port);
        String csv = web.get("/device/probe/" + trial + ".csv").body();
        assertThat(csv).startsWith("Time,Unit,Water content 3 cm [%]");
        HttpResponse<String> sent = new Web(port)
                .upload(
                        "/trials/" + trial + "/series/files",
                        "again.csv",
                        csv.getBytes(StandardCharsets.UTF_8),
                        Map.of("source", "Simulated probe"));
        String page = web.get(address(sent)).body();
        assertThat(page).contains("Read as the last file of “Simulated probe”");
        List<String> columns = List.of(
                "TIME",
                "UNIT",
                "MOISTURE/PERCENT/3",
                "MOISTURE/PERCENT/8",
                "MOISTURE/PERCENT/15",
                "EC//3",
                "EC//8",
                "EC//15");
        assertThat(taken(address(sent), mapping(here(), "POINT", columns.toArray(String[]::new))))
                .contains("known already")
                .doesNotContain("another value");
    }

    @Test
    void aProbesSeriesIsAReadingAUnitAndLookUntilItsFileIsTakenBack() throws Exception {
        TrialRecord record = record();
        Look look = record.look(1).orElseThrow();
        ReadingRef ref = new ReadingRef(record.units().get(0).code(), 1, EC_AT_8_CM);
        Reading reading = record.current(ref).orElseThrow();
        assertThat(reading.instrument()).isEqualTo(Instrument.SENSOR);
        SeriesStore.Head head = series(Measurand.EC, 8, ref.unit().value()).orElseThrow();
        double[] weighted = {0, 0, Double.NaN, 0};
        store.course(
                        head.id(),
                        record.trial().start(),
                        look.plannedAt(record.trial().start()))
                .each((at, value) -> {
                    if (at <= look.plannedAt(record.trial().start()).toEpochMilli()) {
                        if (!Double.isNaN(weighted[2])) {
                            weighted[0] += (value + weighted[2]) / 2 * (at - weighted[3]);
                            weighted[1] += at - weighted[3];
                        }
                        weighted[2] = value;
                        weighted[3] = at;
                    }
                });
        assertThat(reading.value()).isCloseTo(weighted[0] / weighted[1], org.assertj.core.data.Offset.offset(1e-9));
        String drawing = new Web(port)
                .get("/trials/" + trial + "/series/drawing?what=EC&look=1")
                .body();
        assertThat(drawing).contains("\"label\":\"EC at 15 cm\"").contains("\"profiles\":[{");
    }

    @Test
    void aSpreadsheetFromALaboratoryIsTaken() throws Exception {
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        try (Workbook workbook = new Workbook(file, "Elsom", "1.0")) {
            Worksheet sheet = workbook.newWorksheet("Results");
            sheet.value(0, 0, "Laboratory of the yard");
            sheet.value(2, 0, "Date");
            sheet.value(2, 1, "Sample");
            sheet.value(2, 2, "Sodium [mg/L]");
            List<ExperimentalUnit> units = record().units().subList(0, 3);
            for (int i = 0; i < units.size(); i++) {
                sheet.value(3 + i, 0, yesterday);
                sheet.style(3 + i, 0).format("yyyy-mm-dd hh:mm").set();
                sheet.value(3 + i, 1, units.get(i).code().value());
                sheet.value(3 + i, 2, 120 + i);
            }
        }
        String address = address(send("lab.xlsx", file.toByteArray()));
        assertThat(new Web(port).get(address).body()).contains("Recognised from its headings");
        assertThat(taken(address, mapping(here(), "POINT", "TIME", "UNIT", "SODIUM")))
                .contains("3 values in 3 series added");
        assertThat(series(Measurand.SODIUM, 0, unit).orElseThrow().samples()).isEqualTo(1);
        byte[] whole = file.toByteArray();
        assertThat(send("cut.xlsx", Arrays.copyOf(whole, whole.length / 2)).body())
                .contains("damaged");
    }

    @Test
    void anOldLoggersFileInWesternLettersAndWithALineAboveIsUnderstood() throws Exception {
        String file = "Logger 7;;\r\nTimestamp;Light [µmol/m²/s];Temp. 30 cm\r\n"
                + DateTimeFormatter.ofPattern("dd.MM.yyyy HH:mm").format(yesterday) + ";412;19,5\r\n";
        HttpResponse<String> sent = send("old.csv", file.getBytes(Charset.forName("windows-1252")));
        assertThat(new Web(port).get(address(sent)).body()).contains("Light [µmol/m²/s]");
        assertThat(taken(address(sent), mapping(here(), "COMMA", "TIME", "LIGHT", "TEMPERATURE//30")))
                .contains("2 values in 2 series added");
        assertThat(series(Measurand.TEMPERATURE, 30, "")).isPresent();
        assertThat(send("twice.csv", file.getBytes(Charset.forName("windows-1252")))
                        .body())
                .contains("The very same file was taken already, as “old.csv”");
        long id = store.files(trial).stream()
                .filter(one -> one.name().equals("old.csv"))
                .findFirst()
                .orElseThrow()
                .id();
        new Web(port).post("/trials/" + trial + "/series/taken/" + id + "/back", Map.of());
        assertThat(series(Measurand.TEMPERATURE, 30, "")).isEmpty();
        assertThat(record().current(new ReadingRef(record().units().get(0).code(), 1, EC_AT_8_CM)))
                .isPresent();
    }

    @Test
    void whatIsNoTableIsRefusedAtOnce() throws Exception {
        assertThat(send("a.pdf", "%PDF-1.7 rest").body()).contains("This is a PDF");
        assertThat(send("a.csv", new byte[] {1, 0, 2}).body()).contains("neither CSV nor .xlsx");
        assertThat(send("empty.csv", new byte[0]).body()).contains("The file is empty");
        assertThat(send("words.csv", "just words", "and more of them").body()).contains("There is no table in it");
        assertThat(send("old.xls", new byte[] {(byte) 0xD0, (byte) 0xCF, 0x11, (byte) 0xE0, 0})
                        .body())
                .contains("of the old kind");
        assertThat(send("wide.csv", "a,b", "x,\"" + "y".repeat(3000) + "\"").body())
                .contains("far too long");
    }

    @Test
    void everyRowThatCantBeReadIsListedAndNothingIsKept() throws Exception {
        List<SeriesStore.Head> before = store.all(trial);
        String address = address(send(
                "bad.csv",
                "Time,Unit,pH",
                WRITTEN.format(yesterday) + "," + unit + ",6.4",
                WRITTEN.format(yesterday.plusMinutes(1)) + "," + unit + ",\"6,4\"",
                WRITTEN.format(yesterday.plusMinutes(2)) + ",Z99,6.4",
                WRITTEN.format(yesterday.plusMinutes(3)) + "," + unit + ",=A1",
                WRITTEN.format(yesterday.plusMinutes(4)) + "," + unit + ",64",
                WRITTEN.format(yesterday.plusDays(3)) + "," + unit + ",6.4",
                WRITTEN.format(yesterday) + "," + unit + ",6.5",
                WRITTEN.format(yesterday.plusMinutes(5)) + "," + unit));
        String page = taken(address, mapping(here(), "POINT", "TIME", "UNIT", "PH"));
        assertThat(page)
                .contains("7 rows can’t be read, so nothing was taken")
                .contains("Row 3: column 3: “6,4” has a decimal comma")
                .contains("Row 4: “Z99” is no unit of the trial")
                .contains("Row 5: column 3: “=A1” is a formula")
                .contains("Row 6: column 3: pH of 64")
                .contains("Row 7:")
                .contains("is the zone right")
                .contains("Row 8: there are two values")
                .contains("Row 9: the row ends after 2 columns");
        assertThat(store.all(trial)).isEqualTo(before);
        String noTime = taken(address, mapping(here(), "POINT", "", "UNIT", "PH"));
        assertThat(noTime).contains("Which column holds the time");
        assertThat(taken(address, mapping("Moon", "POINT", "TIME", "UNIT", "PH")))
                .contains("is no time zone");
        assertThat(taken(address, mapping(here(), "POINT", "TIME", "UNIT", "PH/CELSIUS//Z99")))
                .contains("The trial has no unit “Z99”");
        assertThat(taken(address, mapping(here(), "POINT", "TIME", "UNIT", "PH//deep")))
                .contains("is no depth");
    }

    @Test
    void aStoppedFileLeavesNothingAndALongOneIsTakenWithinSeconds() throws Exception {
        int rows = 200_000;
        LocalDateTime first = yesterday.minusMinutes(rows);
        byte[] file = ("Time,Leaf greenness\n"
                        + IntStream.range(0, rows)
                                .mapToObj(i -> WRITTEN.format(first.plusMinutes(i)) + "," + (30 + i % 7))
                                .collect(Collectors.joining("\n")))
                .getBytes(StandardCharsets.UTF_8);
        Web web = new Web(port);
        String address = address(send("long.csv", file));
        Map<String, String> mapping = mapping("UTC", "POINT", "TIME", "GREENNESS");
        assertThat(web.post(address, mapping).statusCode()).isEqualTo(302);
        web.post(address + "/cancel", Map.of());
        for (int i = 0; i < 20_000 && web.get(address + "/progress").body().contains("RUNNING"); i++) {
            Thread.onSpinWait();
        }
        assertThat(web.get(address).body()).contains("Nothing of the file was kept");
        assertThat(series(Measurand.GREENNESS, 0, "")).isEmpty();
        assertThat(taken(address, mapping)).contains("in 1 series added").contains(String.valueOf(rows));
        SeriesStore.Head head = series(Measurand.GREENNESS, 0, "").orElseThrow();
        assertThat(head.samples()).isEqualTo(rows);
        assertThat(Duration.between(head.first(), head.last())).isEqualTo(Duration.ofMinutes(rows - 1));
        assertThat(web.get("/trials/" + trial + "/series/drawing?what=GREENNESS")
                        .body())
                .contains("\"samples\":" + rows)
                .hasSizeLessThan(100_000);
        long lines = web.get("/trials/" + trial + "/series.csv")
                .body()
                .lines()
                .filter(line -> line.contains("GREENNESS"))
                .count();
        assertThat(lines).isEqualTo(rows);
    }

    @Test
    void samplesSentToTheLaboratoryAreAnsweredByAFileThatIsTaken() throws Exception {
        Web web = new Web(port);
        String lab = "/trials/" + trial + "/lab";
        assertThat(web.get(lab).body()).contains("its CSV");
        String answer = web.get("/device/lab/" + trial + "/1.csv").body();
        assertThat(answer).startsWith("Sampled on;Sample;pH;EC [mS/cm];Sodium [mg/L]");
        String address = address(send("answer.csv", answer.getBytes(StandardCharsets.UTF_8)));
        assertThat(taken(address, mapping(here(), "COMMA", "TIME", "UNIT", "PH//1", "EC//1", "SODIUM//1")))
                .contains(3 * record().units().size() + " values");
        assertThat(series(Measurand.SODIUM, 1, unit)).isPresent();
        Map<String, String> asked = Map.of("PH", "course", "look", "1", "sampled", "2026-11-01T10:00");
        assertThat(web.post(lab, asked).body()).contains("Tick the units");
        Map<String, String> ticked = new HashMap<>(asked);
        ticked.put("unit", unit);
        HttpResponse<String> slip = web.post(lab, ticked);
        String number = slip.headers().firstValue("location").orElseThrow().replaceFirst(".*/", "");
        assertThat(web.get(lab + "/" + number).body()).contains(unit).contains("Please measure");
        assertThat(web.get("/device/lab/" + trial + "/" + number + ".csv").body())
                .contains("has not measured yet");
        assertThat(web.get(lab + "/99").statusCode()).isEqualTo(404);
    }

    @Test
    void aLaboratorysAnswerBecomesReadingsAtTheLookOfItsSlip() throws Exception {
        Web web = new Web(port);
        TrialId charcoal =
                lists.search(Wanted.of("charcoal take"), 0, 10).trials().get(0).id();
        TrialRecord before = trials.snapshot(charcoal);
        String first = before.units().get(0).code().value();
        String second = before.units().get(1).code().value();
        Look look = before.looks().get(before.looks().size() - 1);
        EndpointCode ph = new EndpointCode("ph");
        assertThat(look.endpoints()).contains(ph);
        ReadingRef ref = new ReadingRef(new UnitCode(first), look.number(), ph);
        logbook.undo(charcoal, before.current(ref).orElseThrow().id(), "Bench A", UUID.randomUUID());
        String lab = "/trials/" + charcoal + "/lab";
        Map<String, String> asked = new HashMap<>(Map.of(
                "PH", "ph", "look", String.valueOf(look.number()), "sampled", "2026-11-01T10:00", "unit", first));
        String number = web.post(lab, asked)
                .headers()
                .firstValue("location")
                .orElseThrow()
                .replaceFirst(".*/", "");
        byte[] answer = ("Sample;pH\n" + first + ";6,41\n" + second + ";6,6\n").getBytes(StandardCharsets.UTF_8);
        assertThat(web.upload(lab + "/" + number + "/file", "answer.csv", answer, Map.of())
                        .body())
                .contains("1 reading entered at")
                .contains("pH of " + second + ", 6,6: its sample was not on the slip");
        assertThat(trials.snapshot(charcoal).current(ref).orElseThrow()).satisfies(reading -> {
            assertThat(reading.value()).isEqualTo(6.41);
            assertThat(reading.instrument()).isEqualTo(Instrument.LABORATORY);
            assertThat(reading.takenAt().atZone(before.trial().zone()).toLocalDateTime())
                    .isEqualTo("2026-11-01T10:00");
        });
        assertThat(web.upload(lab + "/" + number + "/file", "answer.csv", answer, Map.of())
                        .body())
                .contains("0 readings entered")
                .contains("1 stood there already");
        asked.put("look", "1");
        assertThat(web.post(lab, asked).body()).contains("so its answer would land nowhere");
    }

    @Test
    void aLoggersFileWithTwoProbesARowOfUnitsAndTwoColumnsOfTimesIsRecognised() throws Exception {
        String day = String.valueOf(yesterday.toLocalDate());
        String address = address(send(
                "probes.csv",
                "Date,Time," + unit + " Light 50mm," + unit + " Light 5 cm",
                ",,µmol/m²s,µmol/m²s",
                day + ",10:30,120,<50",
                day + ",10:20,110,90"));
        Web web = new Web(port);
        assertThat(web.get(address).body()).contains("Recognised from its headings");
        Map<String, String> chosen = mapping(here(), "POINT", "TIME", "CLOCK", "LIGHT//5/" + unit, "LIGHT//5/" + unit);
        chosen.put("below", "LIMIT");
        assertThat(taken(address, chosen))
                .contains("4 values in 2 series added")
                .contains("1 value was below a limit of detection: taken as the limit itself");
        assertThat(store.all(trial).stream().map(SeriesStore.Head::key).toList())
                .contains(new SeriesKey(unit, Measurand.LIGHT, 5, 1), new SeriesKey(unit, Measurand.LIGHT, 5, 2));
        assertThat(series(Measurand.LIGHT, 5, unit).orElseThrow().first())
                .isEqualTo(yesterday
                        .toLocalDate()
                        .atTime(10, 20)
                        .atZone(ZoneId.systemDefault())
                        .toInstant());
    }

    /** A value a row, with what it is of in a column: what nobody knows here is left out and said; never all of one thing. */
    @Test
    void aFileThatNamesWhatWasMeasuredRowByRowIsTakenAsItSays() throws Exception {
        String at = WRITTEN.format(yesterday);
        HttpResponse<String> sent = send(
                "long names",
                "Time,Pot,Parameter,Depth,Value",
                at + "," + unit + ",Mass (g),40,41.5",
                at + "," + unit + ",Stem diameter (mm),40,3.25",
                at + "," + unit + ",Nitrate,40,44");
        String page = new Web(port).get(address(sent)).body();
        assertThat(page).containsPattern("value=\"NAMES\"\\s+selected").containsPattern("value=\"VALUE\"\\s+selected");
        assertThat(taken(address(sent), mapping(here(), "POINT", "TIME", "UNIT", "NAMES", "DEPTH", "EC")))
                .contains("choose “value of what the row names”");
        assertThat(taken(address(sent), mapping(here(), "POINT", "TIME", "UNIT", "", "DEPTH", "VALUE")))
                .contains("which column names it?");
        assertThat(taken(address(sent), mapping(here(), "POINT", "TIME", "UNIT", "NAMES", "DEPTH", "VALUE")))
                .contains("Left out, as nothing is known of it here: “Nitrate” in 1 row.");
        assertThat(series(Measurand.MASS, 40, unit)).isPresent();
        assertThat(series(Measurand.DIAMETER, 40, unit)).isPresent();
        assertThat(series(Measurand.EC, 40, unit)).isEmpty();
    }

    @Test
    void anEndpointIsMadeOfASeriesByThePlanAndAllItsLooksTakeIt() throws Exception {
        Web web = new Web(port);
        TrialId plan =
                lists.search(Wanted.of("Air stone"), 0, 10).trials().get(0).id();
        String page = "/trials/" + plan + "/plan/question";
        Map<String, String> form = new HashMap<>(Map.of(
                "question", "Air stone and kelp in an aerated extract: which raises the fungi?",
                "sensed[0].what", "TEMPERATURE",
                "sensed[0].summary", "HOURS_ABOVE",
                "revision", revision(web.get(page).body())));
        measuresOf(web.get(page).body()).forEach(form::put);
        assertThat(web.post(page, form).body()).contains("Hours above what?");
        form.put("sensed[0].limit", "25 °C");
        web.post(page, form);
        TrialRecord record = trials.key(plan);
        EndpointCode code = new EndpointCode("hours-above-25-c-temperature");
        assertThat(record.endpoint(code).counting()).isEqualTo(elsom.core.trial.Counting.SENSED);
        assertThat(record.looks().stream().filter(look -> look.hoursAfterStart() > 0))
                .isNotEmpty()
                .allMatch(look -> look.endpoints().contains(code));
    }

    @Test
    void aLimitThatIsPassedIsToldOnTodayUntilItIsWatchedNoMore() throws Exception {
        Web web = new Web(port);
        String page = "/trials/" + trial + "/series";
        assertThat(web.post(
                                page + "/watches",
                                Map.of("what", "EC", "beyond", "ABOVE", "limit", "much", "depth", "8 kg"))
                        .body())
                .contains("A limit that EC can pass. Accepted: 2.5 mS/cm.", "Accepted: 10 cm.", "value=\"much\"");
        web.post(page + "/watches", Map.of("what", "EC", "beyond", "ABOVE", "limit", "900", "depth", ""));
        web.post(page + "/watches", Map.of("what", "EC", "beyond", "ABOVE", "limit", "0.1 mS/cm", "depth", "8"));
        web.post(page + "/watches", Map.of("what", "LIGHT", "beyond", "BELOW", "limit", "5", "depth", "99"));
        String series = web.get(page).body();
        assertThat(series).contains("EC at 8 cm above 0.1 mS/cm", "now: ", "nothing is measured of it yet");
        assertThat(series).doesNotContain("above 900");
        assertThat(web.get("/").body()).contains("EC at 8 cm above 0.1 mS/cm", "#watches");
        web.post(page + "/watches", Map.of("what", "EC", "beyond", "ABOVE", "limit", "150", "depth", "8"));
        assertThat(web.get("/").body()).doesNotContain("EC at 8 cm above");
        for (java.util.regex.MatchResult end : java.util.regex.Pattern.compile("/watches/([0-9]+)/end")
                .matcher(web.get(page).body())
                .results()
                .toList()) {
            web.post(page + end.group(), Map.of());
        }
        assertThat(web.get(page).body()).doesNotContain("/end\"");
    }

    @Test
    void whatAHandProbeReadsAtADepthIsTypedAndNoFileGivesIt() throws Exception {
        Web web = new Web(port);
        TrialId plan =
                lists.search(Wanted.of("Air stone"), 0, 10).trials().get(0).id();
        String page = "/trials/" + plan + "/plan/question";
        Map<String, String> form = new HashMap<>(Map.of(
                "question", "Air stone and kelp in an aerated extract: which raises the fungi?",
                "sensed[0].what", "EC",
                "sensed[0].depth", "10",
                "sensed[0].summary", "BY_HAND",
                "revision", revision(web.get(page).body())));
        measuresOf(web.get(page).body()).forEach(form::put);
        web.post(page, form);
        TrialRecord record = trials.key(plan);
        assertThat(record.endpoints().stream()
                        .filter(endpoint -> endpoint.name().equals("EC at 10 cm, by hand"))
                        .findFirst()
                        .orElseThrow()
                        .byHand())
                .isTrue();
    }

    private static String revision(String page) {
        return page.replaceFirst("(?s).*name=\"revision\" value=\"([0-9]*)\".*", "$1");
    }

    /** The hidden and chosen fields of a page's measures, as a browser sends them. */
    private static Map<String, String> measuresOf(String page) {
        Map<String, String> fields = new HashMap<>();
        java.util.regex.Pattern.compile("name=\"(measures\\[[0-9]+]\\.code)\" value=\"([^\"]+)\"")
                .matcher(page)
                .results()
                .forEach(found -> fields.put(found.group(1), found.group(2)));
        return fields;
    }

    @Test
    void packedSamplesComeBackAsTheyWere() throws IOException {
        List<elsom.core.series.Sample> samples = IntStream.range(0, 500)
                .mapToObj(i -> new elsom.core.series.Sample(
                        1_700_000_000_000L + (long) i * i * 977, Math.sin(i) * Math.pow(10, i % 9)))
                .toList();
        List<elsom.core.series.Sample> back = new java.util.ArrayList<>();
        PackedSamples.unpack(
                samples.get(0).at(),
                PackedSamples.pack(samples),
                (at, value) -> back.add(new elsom.core.series.Sample(at, value)));
        assertThat(back).isEqualTo(samples);
    }
}
