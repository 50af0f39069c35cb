package elsom.core.notebook;

import elsom.core.design.LayoutKind;
import elsom.core.plan.Arrangement;
import elsom.core.plan.Asked;
import elsom.core.plan.Direction;
import elsom.core.plan.FollowUp;
import elsom.core.plan.Hours;
import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.plan.PlanOrigin;
import elsom.core.plan.PlannedLook;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Pots;
import elsom.core.plan.Rules;
import elsom.core.plan.Schedule;
import elsom.core.plan.Site;
import elsom.core.plan.Treatments;
import elsom.core.quantity.Bounds;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.Container;
import elsom.core.trial.ControlKind;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.Mishap;
import elsom.core.trial.MishapKind;
import elsom.core.trial.ProtocolCode;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingId;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Pattern;

/**
 * A trial as somebody wrote it into a notebook: what was asked, what was measured, a line for each pot.
 *
 * @param begun when it began; empty where it is not known
 */
public record Notebook(String question, List<Measured> measured, Optional<LocalDate> begun, List<Line> lines) {
    public static final int MOST_MEASURED = 3;
    public static final int MOST_LINES = 200;
    /** What is said where the day of some readings is not known. */
    public static final String SOME_DAYS = "when some were measured";

    private static final ProtocolCode FREE = new ProtocolCode("free-form");
    private static final String PLACE = "Not written down";
    private static final String STATION = "Notebook";
    private static final int NOON = 12;
    private static final Pattern CONTROL =
            Pattern.compile("\\b(?:control|none|untreated|usual|plain|as before)\\b", Pattern.CASE_INSENSITIVE);
    private static final Pattern DEAD =
            Pattern.compile("(?i)(?<!\\b(?:not|none|no|never|nothing|half) )\\b(?:dead|died|killed)\\b");

    /** Something that was measured. */
    public record Measured(String name, UnitOfMeasure unit, Direction better) {}

    /** What became of it: a plan and a trial that has run. */
    public record Copied(Plan plan, TrialRecord record) {}

    public Notebook {
        Bounds.name("a question", question, Bounds.QUESTION);
        measured = Bounds.list("things that were measured", measured, 1, MOST_MEASURED);
        lines = Bounds.list("lines", lines, 1, MOST_LINES);
        for (int i = 0; i < measured.size(); i++) {
            int measure = i;
            long counted = lines.stream()
                    .filter(line -> line.values().get(measure).of() > 0)
                    .count();
            long known = lines.stream()
                    .filter(line -> line.values().get(measure).value().isPresent())
                    .count();
            if (counted > 0 && counted < known) {
                throw new IllegalArgumentException(measured.get(i).name()
                        + " is a count of so many in some lines and a bare number in others: of how many are those?"
                        + " Accepted: 7 of 10");
            }
        }
    }

    /**
     * Reads the lines; each that can't be read is told.
     *
     * @param problems what is wrong, by the number of the line
     */
    public static List<Line> lines(
            String text, List<Measured> measured, LocalDate today, Map<Integer, String> problems) {
        List<UnitOfMeasure> units = measured.stream().map(Measured::unit).toList();
        List<Line> lines = new ArrayList<>();
        String[] typed = text.split("\\R");
        for (int i = 0; i < typed.length; i++) {
            if (!typed[i].isBlank()) {
                try {
                    lines.add(Line.read(typed[i], units, today));
                } catch (IllegalArgumentException unreadable) {
                    problems.put(i + 1, String.valueOf(unreadable.getMessage()));
                }
            }
        }
        return lines;
    }

    /**
     * The trial, begun and read once. Nobody knows where units stood, what they stood in or whether lots were drawn: the plan
     * says so, and nothing is concluded from it.
     *
     * @param now the day that stands where none is known
     */
    public Copied copied(ZoneId zone, Instant now, long seed) {
        Map<String, List<Line>> byTreatment = new LinkedHashMap<>();
        lines.forEach(line -> byTreatment
                .computeIfAbsent(line.treatment().toLowerCase(Locale.ROOT), none -> new ArrayList<>())
                .add(line));
        Plan plan = plan(byTreatment, zone, now, seed);
        TrialRecord drawn = plan.draw(new TrialId(1));
        drawn = drawn.with(drawn.trial().begun(false));
        return new Copied(plan, filled(plan, drawn, List.copyOf(byTreatment.values())));
    }

    private Plan plan(Map<String, List<Line>> byTreatment, ZoneId zone, Instant now, long seed) {
        List<PlannedTreatment> treatments = new ArrayList<>();
        int most = 1;
        for (List<Line> own : byTreatment.values()) {
            String name = own.get(0).treatment();
            most = Math.max(most, own.size());
            treatments.add(PlannedTreatment.of(
                    name, "", CONTROL.matcher(name).find() ? ControlKind.CONTROL : ControlKind.NONE));
        }
        List<Measure> measures = measures();
        Instant start = begun.or(() -> first()).map(day -> at(day, zone)).orElse(now);
        PlannedLook look = new PlannedLook(
                "as written down",
                Duration.ofHours(
                        Math.max(1, Duration.between(start, last(zone, now)).toHours())),
                measures.stream().map(measure -> measure.endpoint().code()).toList());
        return new Plan(
                FREE,
                new Asked(question, "", List.of(), measures),
                Treatments.listed(treatments),
                Pots.of(Container.straightRound("not written down", 10, 10)),
                new Arrangement(
                        LayoutKind.COMPLETELY_RANDOM,
                        Math.min(Arrangement.MOST_REPLICATES, most),
                        List.of(Site.named(PLACE)),
                        true,
                        0,
                        false,
                        0,
                        seed,
                        List.of()),
                new Schedule(zone, start, null, List.of(), List.of(look), List.of(), Hours.ANY),
                Rules.USUAL,
                new PlanOrigin(0, question, unknown(), List.of(), FollowUp.NOTEBOOK, null));
    }

    private List<Measure> measures() {
        List<Measure> measures = new ArrayList<>();
        for (Measured one : measured) {
            EndpointCode code = new EndpointCode("measured-" + (measures.size() + 1));
            int among = among(measures.size());
            measures.add(Measure.byHand(
                    among > 0
                            ? Endpoint.counted(code, one.name(), among)
                            : Endpoint.single(
                                    code,
                                    one.name(),
                                    one.unit(),
                                    -Bounds.LARGEST / 1000,
                                    Bounds.LARGEST / 1000,
                                    decimals(measures.size())),
                    "as the notebook has it",
                    "",
                    0,
                    one.better(),
                    0.2,
                    30));
        }
        return measures;
    }

    /** The most that a count was written of; 0 for what is no count. */
    private int among(int measure) {
        return lines.stream()
                .mapToInt(line -> line.values().get(measure).of())
                .max()
                .orElse(0);
    }

    /** As fine as it was written. */
    private int decimals(int measure) {
        return lines.stream()
                .map(line -> line.values().get(measure).value())
                .filter(OptionalDouble::isPresent)
                .mapToInt(value -> decimals(value.getAsDouble()))
                .max()
                .orElse(0);
    }

    private static int decimals(double value) {
        String text = BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
        int point = text.indexOf('.');
        return point < 0 ? 0 : Math.min(4, text.length() - point - 1);
    }

    private Optional<LocalDate> first() {
        return lines.stream().flatMap(line -> line.on().stream()).min(LocalDate::compareTo);
    }

    private Instant last(ZoneId zone, Instant now) {
        return lines.stream()
                .flatMap(line -> line.on().stream())
                .max(LocalDate::compareTo)
                .map(day -> at(day, zone))
                .orElse(now);
    }

    private static Instant at(LocalDate day, ZoneId zone) {
        return day.atTime(NOON, 0).atZone(zone).toInstant();
    }

    /** What the notebook does not say, in words. */
    private String unknown() {
        List<String> missing = new ArrayList<>(List.of(
                "where units stood",
                "what they stood in",
                "whether lots were drawn",
                "water and feed",
                "who measured"));
        if (begun.isEmpty()) {
            missing.add("when it began");
        }
        if (lines.stream().anyMatch(line -> line.on().isEmpty())) {
            missing.add(SOME_DAYS);
        }
        return "Not written down: " + String.join(", ", missing);
    }

    private TrialRecord filled(Plan plan, TrialRecord drawn, List<List<Line>> byTreatment) {
        List<ExperimentalUnit> units = new ArrayList<>();
        List<Reading> readings = new ArrayList<>();
        List<Mishap> mishaps = new ArrayList<>();
        Look look = drawn.looks().get(0);
        Map<Integer, Integer> taken = new HashMap<>();
        for (ExperimentalUnit unit : drawn.units()) {
            List<Line> own = byTreatment.get(unit.treatment() - 1);
            int next = taken.merge(unit.treatment(), 1, Integer::sum) - 1;
            if (next < own.size()) {
                units.add(unit);
                Line line = own.get(next);
                Instant when = line.on()
                        .map(day -> at(day, plan.schedule().zone()))
                        .orElse(look.plannedAt(drawn.trial().start()));
                read(drawn, look, unit, line, when, readings);
                mishaps(look, unit, line, when, mishaps);
            }
        }
        return TrialRecord.of(
                drawn.trial(),
                drawn.treatments(),
                drawn.containers(),
                drawn.benches(),
                units,
                drawn.endpoints(),
                drawn.looks(),
                readings,
                mishaps);
    }

    private void read(
            TrialRecord drawn, Look look, ExperimentalUnit unit, Line line, Instant when, List<Reading> readings) {
        for (int i = 0; i < measured.size(); i++) {
            OptionalDouble value = line.values().get(i).value();
            if (value.isPresent()) {
                Endpoint endpoint = drawn.endpoints().get(i);
                readings.add(new Reading(
                        new ReadingId(readings.size() + 1),
                        new ReadingRef(unit.code(), look.number(), endpoint.code(), 1),
                        value.getAsDouble(),
                        line.values().get(i).typed(),
                        endpoint.unit(),
                        when,
                        when,
                        STATION,
                        Instrument.HAND,
                        null,
                        null));
            }
        }
    }

    /** What a note tells of; words that tell of nothing stay a note, and a value nobody knows is not asked for again. */
    private static void mishaps(Look look, ExperimentalUnit unit, Line line, Instant when, List<Mishap> mishaps) {
        boolean measured =
                line.values().stream().anyMatch(value -> value.value().isPresent());
        String note = line.note()
                .substring(0, Math.min(Mishap.LONGEST_NOTE, line.note().length()));
        List<MishapKind> kinds = kinds(line, measured);
        for (MishapKind kind : kinds) {
            mishaps.add(new Mishap(
                    mishaps.size() + 1, kind, note, List.of(unit.code()), look.number(), when, STATION, null));
        }
        boolean over = kinds.stream().anyMatch(MishapKind::endsUnit);
        if (!over && line.values().stream().anyMatch(value -> value.value().isEmpty())) {
            mishaps.add(new Mishap(
                    mishaps.size() + 1,
                    MishapKind.UNKNOWN,
                    "a value that nobody knows any more",
                    List.of(unit.code()),
                    look.number(),
                    when,
                    STATION,
                    null));
        }
    }

    private static List<MishapKind> kinds(Line line, boolean measured) {
        if (line.note().isEmpty()) {
            return List.of();
        }
        Note note = Note.read(line.note());
        if (!measured && DEAD.matcher(line.note()).find() && note.lost() != Note.Lost.NO) {
            return List.of(MishapKind.DIED);
        }
        if (!measured && (note.lost() == Note.Lost.YES || note.mishaps().contains(Note.Happened.LOST))) {
            return List.of(MishapKind.TAKEN);
        }
        return note.mishaps().isEmpty()
                ? List.of(MishapKind.NOTE)
                : note.mishaps().stream()
                        .sorted()
                        .map(Note.Happened::kind)
                        .map(kind -> measured && kind.endsUnit() ? MishapKind.NOTE : kind)
                        .distinct()
                        .toList();
    }
}
