package elsom.web.series;

import elsom.core.plan.Measure;
import elsom.core.read.Box;
import elsom.core.read.Moments;
import elsom.core.series.Landing;
import elsom.core.series.Measurand;
import elsom.core.sim.LabAnswer;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import elsom.core.trial.TrialRecord;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;

/** A slip as it is filled in: what is measured and what it becomes, of which units, for which look, taken when. */
final class LabForm {
    /** Asked, but no endpoint of a look: the answer is a course only. */
    static final String COURSE = "course";

    private final TrialRecord record;
    private final Map<EndpointCode, Measurand> sensed;
    private final Map<String, String> typed;
    private final List<String> units;
    private final Map<String, String> problems = new LinkedHashMap<>();

    private LabForm(TrialRecord record, List<Measure> measures, Map<String, String> typed, List<String> units) {
        this.record = record;
        this.sensed = measures.stream()
                .filter(measure -> measure.sensed() != null)
                .collect(Collectors.toMap(
                        measure -> measure.endpoint().code(),
                        measure -> Objects.requireNonNull(measure.sensed()).what()));
        this.typed = typed;
        this.units = units;
    }

    /** What a measurand may become. */
    public record Choice(String value, String label, boolean chosen) {}

    /** A thing the laboratory can measure. */
    public record Line(Measurand what, List<Choice> choices) {}

    static LabForm sent(TrialRecord record, List<Measure> measures, Map<String, String> typed, List<String> units) {
        return new LabForm(record, measures, typed, units);
    }

    /** A form for samples taken now: for the look that is nearest, of all units that are there. */
    static LabForm begin(TrialRecord record, List<Measure> measures, Instant now) {
        Map<String, String> typed = new HashMap<>();
        LabForm form = new LabForm(record, measures, typed, List.of());
        typed.put(
                "sampled",
                Moments.written(LocalDateTime.ofInstant(now, record.trial().zone())));
        Look near = form.nearest(now);
        typed.put("look", String.valueOf(near.number()));
        for (Measurand what : LabAnswer.MEASURES) {
            typed.put(
                    what.name(),
                    form.endpoints(what).stream()
                            .filter(endpoint -> near.endpoints().contains(endpoint.code()))
                            .map(endpoint -> endpoint.code().value())
                            .findFirst()
                            .orElse(COURSE));
        }
        return new LabForm(
                record,
                measures,
                typed,
                record.units().stream()
                        .filter(unit -> record.expected(unit.code(), near.number()))
                        .map(unit -> unit.code().value())
                        .toList());
    }

    /** The look nearest in time, of those that take what the laboratory can measure if there are any. */
    private Look nearest(Instant now) {
        List<EndpointCode> known = LabAnswer.MEASURES.stream()
                .flatMap(what -> endpoints(what).stream().map(Endpoint::code))
                .toList();
        return record.looks().stream()
                .min((a, b) -> {
                    boolean first = a.endpoints().stream().anyMatch(known::contains);
                    boolean second = b.endpoints().stream().anyMatch(known::contains);
                    return first == second ? Long.compare(away(a, now), away(b, now)) : first ? -1 : 1;
                })
                .orElseThrow();
    }

    private long away(Look look, Instant now) {
        return Math.abs(look.plannedAt(record.trial().start()).getEpochSecond() - now.getEpochSecond());
    }

    private List<Endpoint> endpoints(Measurand what) {
        return Landing.endpoints(record.endpoints(), sensed, what);
    }

    public List<Line> lines() {
        return LabAnswer.MEASURES.stream().map(this::line).toList();
    }

    private Line line(Measurand what) {
        String chosen = text(what.name());
        List<Choice> choices = new ArrayList<>();
        choices.add(new Choice("", "not asked", chosen.isEmpty()));
        endpoints(what)
                .forEach(endpoint -> choices.add(new Choice(
                        endpoint.code().value(),
                        "asked: “" + endpoint.name() + "” of the look",
                        endpoint.code().value().equals(chosen))));
        choices.add(new Choice(COURSE, "asked, a course only", COURSE.equals(chosen)));
        return new Line(what, List.copyOf(choices));
    }

    public List<Choice> looks() {
        String chosen = text("look");
        return record.looks().stream()
                .map(look -> new Choice(
                        String.valueOf(look.number()),
                        look.name(),
                        String.valueOf(look.number()).equals(chosen)))
                .toList();
    }

    /** Units with whether their samples go. */
    public List<Choice> units() {
        return record.units().stream()
                .map(unit -> unit.code().value())
                .map(code -> new Choice(code, code, units.contains(code)))
                .toList();
    }

    public String text(String field) {
        return typed.getOrDefault(field, "").strip();
    }

    public String problem(String field) {
        return problems.getOrDefault(field, "");
    }

    public List<String> all() {
        return List.copyOf(problems.values());
    }

    /** The slip; empty when something is wrong, which is then noted. */
    Optional<LabSlips.NewSlip> read(Instant now) {
        List<String> sent = record.units().stream()
                .map(unit -> unit.code().value())
                .filter(units::contains)
                .toList();
        if (sent.isEmpty()) {
            problems.put("unit", "Tick the units whose samples go into the parcel.");
        }
        List<Measurand> asked = LabAnswer.MEASURES.stream()
                .filter(what -> !text(what.name()).isEmpty())
                .toList();
        if (asked.isEmpty()) {
            problems.put("asked", "Choose what the laboratory is to measure.");
        }
        Optional<Look> look = record.looks().stream()
                .filter(one -> String.valueOf(one.number()).equals(text("look")))
                .findFirst();
        if (look.isEmpty()) {
            problems.put("look", "Choose the look the samples were taken for.");
        }
        Map<Measurand, EndpointCode> becomes = new EnumMap<>(Measurand.class);
        for (Measurand what : asked) {
            endpoints(what).stream()
                    .filter(endpoint -> endpoint.code().value().equals(text(what.name())))
                    .findFirst()
                    .ifPresent(endpoint -> becomes(look, what, endpoint, becomes));
        }
        Optional<Instant> sampled = sampled(now);
        return problems.isEmpty()
                ? Optional.of(new LabSlips.NewSlip(
                        sampled.orElseThrow(), asked, sent, look.orElseThrow().number(), becomes))
                : Optional.empty();
    }

    private void becomes(Optional<Look> look, Measurand what, Endpoint endpoint, Map<Measurand, EndpointCode> becomes) {
        if (look.filter(one -> !one.endpoints().contains(endpoint.code())).isPresent()) {
            String takes = record.looks().stream()
                    .filter(one -> one.endpoints().contains(endpoint.code()))
                    .map(Look::name)
                    .collect(Collectors.joining(", "));
            problems.put(
                    what.name(),
                    "“" + endpoint.name() + "” is not taken at “"
                            + look.orElseThrow().name()
                            + "”, so its answer would land nowhere. "
                            + (takes.isEmpty() ? "No look takes it." : "Looks that take it: " + takes + "."));
        }
        becomes.put(what, endpoint.code());
    }

    private Optional<Instant> sampled(Instant now) {
        try {
            ZoneId zone = record.trial().zone();
            Instant at = Moments.at(text("sampled"), Box.DATE, LocalDate.ofInstant(now, zone))
                    .atZone(zone)
                    .toInstant();
            if (at.isAfter(now)) {
                problems.put("sampled", "The samples can't have been taken later than now.");
            }
            return Optional.of(at);
        } catch (IllegalArgumentException unread) {
            problems.put("sampled", "When were the samples taken? " + unread.getMessage());
            return Optional.empty();
        }
    }
}
