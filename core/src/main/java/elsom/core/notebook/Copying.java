package elsom.core.notebook;

import elsom.core.design.LayoutKind;
import elsom.core.plan.Arrangement;
import elsom.core.plan.Asked;
import elsom.core.plan.Factor;
import elsom.core.plan.FactorKind;
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
import elsom.core.trial.ProtocolCode;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Makes a plan and a trial that has run from a notebook, with what it does not say left unknown. */
final class Copying {
    private static final ProtocolCode FREE = new ProtocolCode("free-form");
    private static final int MOST_LISTED = 60;
    private static final Pattern CONTROL =
            Pattern.compile("\\b(?:control|none|untreated|usual|plain|as before)\\b", Pattern.CASE_INSENSITIVE);

    private final Notebook notebook;
    private final ZoneId zone;
    private final Instant now;
    private final long seed;
    private final Map<String, List<Notebook.Pot>> pots;
    /** The days of its looks; empty where no pot was read twice, and one look holds all. */
    private final List<LocalDate> days;

    Copying(Notebook notebook, ZoneId zone, Instant now, long seed) {
        this.notebook = notebook;
        this.zone = zone;
        this.now = now;
        this.seed = seed;
        this.pots = notebook.pots();
        this.days = days();
    }

    private List<LocalDate> days() {
        List<Notebook.Pot> again = pots.values().stream()
                .flatMap(List::stream)
                .filter(pot -> pot.lines().size() > 1)
                .toList();
        if (again.isEmpty() && !notebook.going().goesOn()) {
            return List.of();
        }
        again.forEach(pot -> pot.lines().stream()
                .filter(line -> line.on().isEmpty())
                .findFirst()
                .ifPresent(line -> {
                    throw new IllegalArgumentException("“" + line.treatment() + "”, pot " + pot.name()
                            + ", was read more than once: on which day was each? Accepted: 3 May 2026");
                }));
        notebook.lines().stream()
                .filter(line -> line.on().isEmpty()
                        && line.values().stream()
                                .anyMatch(value -> value.value().isPresent()))
                .findFirst()
                .ifPresent(line -> {
                    String pot = line.pot().isEmpty() ? "" : ", pot " + line.pot();
                    throw new IllegalArgumentException((again.isEmpty()
                                    ? "It is still under way: on which day was “"
                                    : "Others were read on several days: on which was “")
                            + line.treatment() + "”" + pot + " read? Accepted: 3 May 2026");
                });
        List<LocalDate> all = notebook.lines().stream()
                .flatMap(line -> line.on().stream())
                .distinct()
                .sorted()
                .toList();
        if (all.size() + notebook.going().coming().size() > PlannedLook.MOST) {
            throw new IllegalArgumentException("They are read on "
                    + (all.size() + notebook.going().coming().size()) + " days; at most " + PlannedLook.MOST
                    + " looks are kept.");
        }
        return all;
    }

    Notebook.Copied copied() {
        Plan plan = plan();
        TrialRecord drawn = plan.draw(new TrialId(1));
        drawn = drawn.with(drawn.trial().begun(false));
        TrialRecord filled = new CopiedRecord(notebook, days, zone).filled(drawn, inOrder(plan));
        return new Notebook.Copied(plan, filled);
    }

    /** The pots of each treatment, in the order of the plan's treatments. */
    private List<List<Notebook.Pot>> inOrder(Plan plan) {
        if (!plan.treatments().factorial()) {
            return List.copyOf(pots.values());
        }
        Factor first = plan.treatments().factors().get(0);
        Factor second = plan.treatments().factors().get(1);
        return plan.treatments().cells().stream()
                .map(cell ->
                        pots.get(Notebook.name(first.levels().get(cell.get(0)).name())
                                + '\n'
                                + Notebook.name(second.levels().get(cell.get(1)).name())))
                .filter(Objects::nonNull)
                .toList();
    }

    private Plan plan() {
        int most = pots.values().stream().mapToInt(List::size).max().orElse(1);
        Instant start = notebook.begun().or(this::first).map(this::at).orElse(now);
        List<Measure> measures = measures();
        return new Plan(
                FREE,
                new Asked(notebook.question(), "", List.of(), measures),
                treatments(),
                Pots.of(Container.straightRound("not written down", 10, 10)),
                new Arrangement(
                        LayoutKind.COMPLETELY_RANDOM,
                        Math.min(Arrangement.MOST_REPLICATES, most),
                        List.of(Site.named(notebook.going().stands().isPresent() ? Stands.NAME : Notebook.PLACE)),
                        true,
                        0,
                        false,
                        0,
                        seed,
                        List.of()),
                new Schedule(zone, start, null, List.of(), looks(start, measures), List.of(), Hours.ANY),
                Rules.USUAL,
                new PlanOrigin(0, notebook.question(), unknown(), List.of(), FollowUp.NOTEBOOK, null));
    }

    private List<PlannedLook> looks(Instant start, List<Measure> measures) {
        List<EndpointCode> codes =
                measures.stream().map(measure -> measure.endpoint().code()).toList();
        if (days.isEmpty() && !notebook.going().goesOn()) {
            return List.of(new PlannedLook("as written down", since(start, last()), codes));
        }
        return Stream.concat(days.stream(), notebook.going().coming().stream())
                .map(day -> new PlannedLook(Notebook.DAY.format(day), since(start, at(day)), codes))
                .toList();
    }

    private static Duration since(Instant start, Instant then) {
        return Duration.ofHours(Math.max(1, Duration.between(start, then).toHours()));
    }

    private Treatments treatments() {
        List<Line> one =
                pots.values().stream().map(own -> own.get(0).lines().get(0)).toList();
        List<String> firsts = distinct(one.stream().map(Line::treatment).toList());
        List<String> seconds = distinct(one.stream().map(Line::second).toList());
        one.stream()
                .filter(line -> line.second().isEmpty() && seconds.size() > 1)
                .findFirst()
                .ifPresent(line -> {
                    throw new IllegalArgumentException("“" + line.treatment() + "” has nothing under “"
                            + notebook.factors().second() + "”. What did it get there? Accepted: none");
                });
        if (firsts.size() < 2 || seconds.size() < 2) {
            if (one.size() > MOST_LISTED) {
                throw new IllegalArgumentException(
                        "At most " + MOST_LISTED + " treatments; there are " + one.size() + ".");
            }
            return Treatments.listed(one.stream()
                    .map(line -> line.second().isEmpty() ? line.treatment() : line.treatment() + " · " + line.second())
                    .map(name -> PlannedTreatment.of(
                            name, "", CONTROL.matcher(name).find() ? ControlKind.CONTROL : ControlKind.NONE))
                    .toList());
        }
        List<List<Integer>> struck = new ArrayList<>();
        for (int i = 0; i < firsts.size(); i++) {
            for (int j = 0; j < seconds.size(); j++) {
                if (!pots.containsKey(Notebook.name(firsts.get(i)) + '\n' + Notebook.name(seconds.get(j)))) {
                    struck.add(List.of(i, j));
                }
            }
        }
        return Treatments.crossed(
                List.of(
                        factor(notebook.factors().first(), firsts),
                        factor(notebook.factors().second(), seconds)),
                "",
                struck);
    }

    private static List<String> distinct(List<String> names) {
        Map<String, String> distinct = new LinkedHashMap<>();
        names.forEach(name -> distinct.putIfAbsent(Notebook.name(name), name));
        return List.copyOf(distinct.values());
    }

    /** The first control of a factor is its control. */
    private static Factor factor(String name, List<String> levels) {
        Optional<String> control =
                levels.stream().filter(level -> CONTROL.matcher(level).find()).findFirst();
        return new Factor(
                name,
                FactorKind.HANDLING,
                UnitOfMeasure.COUNT,
                levels.stream()
                        .map(level ->
                                new Factor.Level(level, null, Optional.of(level).equals(control)))
                        .toList(),
                null,
                null);
    }

    private List<Measure> measures() {
        List<Measure> measures = new ArrayList<>();
        for (Notebook.Measured one : notebook.measured()) {
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
        return notebook.lines().stream()
                .mapToInt(line -> line.values().get(measure).of())
                .max()
                .orElse(0);
    }

    /** As fine as it was written. */
    private int decimals(int measure) {
        return notebook.lines().stream()
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

    /** The first day that anything is written of. */
    private Optional<LocalDate> first() {
        return Stream.concat(
                        notebook.lines().stream().flatMap(line -> line.on().stream()),
                        notebook.waterings().stream().map(Watering::on))
                .min(LocalDate::compareTo);
    }

    private Instant last() {
        return notebook.lines().stream()
                .flatMap(line -> line.on().stream())
                .max(LocalDate::compareTo)
                .map(this::at)
                .orElse(now);
    }

    private Instant at(LocalDate day) {
        return CopiedRecord.noon(day, zone);
    }

    /** What the notebook does not say, in words. */
    private String unknown() {
        List<String> missing = new ArrayList<>();
        if (notebook.going().stands().isEmpty()) {
            missing.add("where units stood");
        }
        missing.addAll(List.of(
                "what they stood in",
                "whether places were drawn at random",
                notebook.waterings().isEmpty() ? "water and feed" : "water and feed besides",
                "who measured"));
        if (notebook.begun().isEmpty()) {
            missing.add("when it began");
        }
        if (notebook.lines().stream().anyMatch(line -> line.on().isEmpty())) {
            missing.add(Notebook.SOME_DAYS);
        }
        String since = notebook.going().goesOn()
                ? "Taken up under way on "
                        + Notebook.DAY.format(notebook.going().takenUp()) + ". "
                : "";
        return since + "Not written down: " + String.join(", ", missing);
    }
}
