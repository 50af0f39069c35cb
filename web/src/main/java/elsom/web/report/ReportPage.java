package elsom.web.report;

import elsom.core.care.CareAccount;
import elsom.core.care.CareStep;
import elsom.core.figure.UnitResult;
import elsom.core.notebook.Notebook;
import elsom.core.plan.Amendment;
import elsom.core.plan.Plan;
import elsom.core.plan.PlanSentence;
import elsom.core.protocol.Protocols;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Quantity;
import elsom.core.quantity.Sentence;
import elsom.core.results.Findings;
import elsom.core.trial.Bench;
import elsom.core.trial.Chore;
import elsom.core.trial.Container;
import elsom.core.trial.Endpoint;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Mishap;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.findings.FindingsPage;
import elsom.web.kit.BenchMap;
import elsom.web.kit.Times;
import elsom.web.kit.TrialHeader;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;

/** A trial to hand to somebody else: question, answer, picture, numbers, how it was done, what went wrong. */
record ReportPage(
        TrialHeader header,
        FindingsPage first,
        List<FindingsPage> places,
        List<String> method,
        List<String> wentWrong,
        List<String> changed,
        String planned,
        BenchMap map,
        List<String> cautions,
        List<String> corrections,
        List<UnitResult> raw,
        String made) {
    /** More rows than that are no page to print; a spreadsheet has them. */
    private static final int MOST_RAW = 120;

    private static final int MOST_KINDS = 8;
    private static final int MOST_CORRECTIONS = 40;

    /**
     * The report.
     *
     * @param places what findings show of each bench, in the benches' order
     */
    static ReportPage of(
            TrialRecord record,
            Plan plan,
            Findings findings,
            List<Amendment> amendments,
            List<FindingsPage> places,
            String version,
            Instant now) {
        return new ReportPage(
                places.get(0).header(),
                places.get(0),
                places,
                method(record, plan),
                wentWrong(record),
                amendments.stream().map(amendment -> changed(record, amendment)).toList(),
                PlanSentence.of(plan),
                plan.copied() && !Notebook.takenUp(record)
                        ? new BenchMap(List.of())
                        : BenchMap.of(record, unit -> face(record, unit)),
                cautions(record),
                corrections(record),
                findings.units().size() <= MOST_RAW && findings.kinds().size() <= MOST_KINDS
                        ? findings.units()
                        : List.of(),
                "Made " + Times.dated(now, record.trial().zone()) + " by Elsom " + version + ", trial "
                        + record.trial().id()
                        + (plan.copied() ? "" : ", seed " + record.trial().seed())
                        + ". Every figure is the mean of its units ± their standard deviation; intervals hold at 95 %,"
                        + " adjusted for all comparisons of a question.");
    }

    private static BenchMap.Face face(TrialRecord record, ExperimentalUnit unit) {
        boolean lost = record.ended(unit.code()).isPresent();
        return new BenchMap.Face(
                record.treatment(unit).code(),
                lost ? BenchMap.State.LOST : BenchMap.State.DONE,
                "/trials/" + record.trial().id() + "/units/" + unit.code());
    }

    /** What the work was to be done with care for, once each, with who rules over it. */
    private static List<String> cautions(TrialRecord record) {
        return Protocols.find(record.trial().protocol()).orElseThrow().preparation().stream()
                .flatMap(step -> step.cautions().stream())
                .distinct()
                .map(caution -> caution.text() + (caution.deferTo().isEmpty() ? "" : " (" + caution.deferTo() + ")"))
                .toList();
    }

    /** Every corrected reading: what was, what is, why and by whom. */
    private static List<String> corrections(TrialRecord record) {
        List<String> lines = new ArrayList<>();
        Map<ReadingId, Reading> byId = new HashMap<>();
        record.readings().forEach(reading -> byId.put(reading.id(), reading));
        for (Reading reading : record.readings()) {
            Reading before = reading.supersedes() == null ? null : byId.get(reading.supersedes());
            if (before != null && reading.reason() != null && lines.size() < MOST_CORRECTIONS) {
                Endpoint endpoint = record.endpoint(reading.ref().endpoint());
                lines.add(reading.ref().unit() + ", "
                        + record.look(reading.ref().look()).map(Look::name).orElse("") + ", "
                        + Sentence.inside(endpoint.name()) + ": " + value(before, endpoint) + " → "
                        + value(reading, endpoint) + ", "
                        + reading.reason().label().toLowerCase(Locale.ROOT) + " ("
                        + reading.signed() + ", "
                        + Times.dated(reading.recordedAt(), record.trial().zone()) + ").");
            }
        }
        return lines;
    }

    private static String value(Reading reading, Endpoint endpoint) {
        return reading.value() == null
                ? "taken back"
                : new Quantity(reading.value(), endpoint.unit()).show(endpoint.decimals() + 1);
    }

    private static String changed(TrialRecord record, Amendment amendment) {
        return String.join(" ", amendment.changes()) + " Why: " + amendment.reason() + " ("
                + amendment.station() + ", "
                + Times.dated(amendment.at(), record.trial().zone()) + ").";
    }

    /** What a notebook says of how it was done, and what it does not. */
    private static List<String> copied(TrialRecord record, Plan plan) {
        List<String> method = new ArrayList<>();
        method.add(record.treatments().size() + " treatments, " + record.units().size()
                + (record.units().size() == 1 ? " unit" : " units") + " in all, copied in from a notebook.");
        method.add(Objects.requireNonNull(plan.origin()).change() + ".");
        List<String> days = Objects.requireNonNull(plan.origin()).change().contains(Notebook.SOME_DAYS)
                ? List.of()
                : record.readings().stream()
                        .map(Reading::takenAt)
                        .sorted()
                        .map(at -> Times.day(at, record.trial().zone()))
                        .distinct()
                        .toList();
        if (!days.isEmpty()) {
            method.add("Measured on " + String.join(", ", days) + ".");
        }
        margins(plan).forEach(method::add);
        return method;
    }

    private static List<String> method(TrialRecord record, Plan plan) {
        int replicates =
                record.units().stream().mapToInt(u -> u.replicate()).max().orElse(0);
        String fills = record.containers().stream()
                .map(container -> container(record, container))
                .collect(Collectors.joining("; "));
        List<String> method = new ArrayList<>();
        if (plan.copied()) {
            return copied(record, plan);
        }
        method.add(record.treatments().size() + " treatments × " + replicates + " units"
                + (record.benches().size() > 1
                        ? " in each of "
                                + record.benches().stream().map(Bench::name).collect(Collectors.joining(" and "))
                        : " on " + record.bench(1).name())
                + ", drawn at random: "
                + plan.arrangement().kind().label().toLowerCase(Locale.ROOT) + " (seed "
                + record.trial().seed() + ").");
        method.add("Containers: " + fills + ".");
        method.add("Started " + starts(record, plan) + "; looks: "
                + record.looks().stream().map(Look::name).collect(Collectors.joining(", ")) + ".");
        care(record).ifPresent(method::add);
        method.addAll(Protocols.find(record.trial().protocol()).orElseThrow().settings(plan));
        margins(plan).forEach(method::add);
        plan.asked().measures().stream()
                .filter(measure -> !measure.rule().isEmpty())
                .map(measure -> measure.endpoint().name() + ": " + measure.rule()
                        + (measure.scorer().isEmpty() ? "" : "; by " + measure.scorer()) + ".")
                .forEach(method::add);
        return method;
    }

    /** How much of the planned care is in the log; empty where none was planned, or nobody kept a log. */
    private static Optional<String> care(TrialRecord record) {
        CareAccount account = CareAccount.of(record);
        List<String> kinds = Arrays.stream(Chore.Kind.values())
                .filter(kind -> account.steps(kind).stream().anyMatch(step -> step.done() > 0))
                .map(kind -> {
                    List<CareStep> steps = account.steps(kind);
                    long whole = steps.stream()
                            .filter(step -> step.done() >= step.of())
                            .count();
                    return steps.get(0).verb() + " " + whole + " of " + steps.size() + " times";
                })
                .toList();
        return kinds.isEmpty()
                ? Optional.empty()
                : Optional.of("As planned, all units: " + String.join(", ", kinds) + ".");
    }

    /** What was asked, each with what would matter. */
    private static List<String> margins(Plan plan) {
        return plan.asked().questions().stream()
                .map(question -> "Asked"
                        + (question.stated().label().isEmpty()
                                ? ""
                                : ", " + question.stated().label()) + ": " + question.sentence(plan))
                .toList();
    }

    /** One time for all, or the time of each group of treatments. */
    private static String starts(TrialRecord record, Plan plan) {
        return plan.starts().entrySet().stream()
                .map(start -> Times.dated(start.getKey(), record.trial().zone())
                        + (plan.starts().size() > 1 ? ": " + String.join(", ", start.getValue()) : ""))
                .collect(Collectors.joining("; "));
    }

    private static String container(TrialRecord record, Container container) {
        double volume = record.units().stream()
                .filter(unit -> unit.container().equals(container.name()))
                .mapToDouble(unit -> unit.filledVolumeMl())
                .average()
                .orElse(0);
        return container.name() + ", " + Decimals.upTo(container.depthCm(), 1) + " cm deep, " + Decimals.upTo(volume, 0)
                + " mL";
    }

    private static List<String> wentWrong(TrialRecord record) {
        List<String> wrong = new ArrayList<>();
        for (Mishap mishap : record.mishaps()) {
            if (mishap.stands()) {
                wrong.add(mishap.units().stream().map(UnitCode::value).collect(Collectors.joining(" ")) + ": "
                        + mishap.kind().label().toLowerCase(Locale.ROOT)
                        + (mishap.note().isEmpty() ? "" : ", " + mishap.note()) + " ("
                        + Times.dated(mishap.happenedAt(), record.trial().zone()) + ").");
            }
        }
        long corrections = record.readings().stream()
                .map(Reading::supersedes)
                .filter(Objects::nonNull)
                .count();
        if (corrections > 0) {
            wrong.add(corrections + (corrections == 1 ? " reading was" : " readings were")
                    + " corrected; the old values are kept.");
        }
        return wrong;
    }
}
