package elsom.calc;

import elsom.core.stats.LogRank;
import elsom.core.stats.TimeShift;
import java.util.List;
import java.util.Objects;
import java.util.OptionalDouble;
import tools.jackson.databind.JsonNode;

/** {@code times_not_yet}: times of which some have not come: the log-rank test within blocks, and the shift. */
final class TimesFamily implements Family {
    @Override
    public String name() {
        return "times_not_yet";
    }

    @Override
    public Object work(JsonNode input) {
        String kind = Inputs.text(input, "kind");
        return switch (kind) {
            case "log_rank_exact" -> logRank(input);
            case "shift" -> shift(input);
            default -> throw new BadInput("“kind” must be log_rank_exact or shift, got “" + kind + "”");
        };
    }

    private static LogRank logRank(JsonNode input) {
        String treated = Inputs.text(input, "treatment");
        return LogRank.of(Inputs.list(input, "units").stream()
                .filter(unit -> !unit.path("time").isNull())
                .map(unit -> new LogRank.Timed(
                        Inputs.text(unit, "treatment").equals(treated),
                        unit.path("block").isMissingNode()
                                ? ""
                                : unit.path("block").asString(""),
                        Inputs.number(unit, "time"),
                        unit.path("seen").asBoolean(true)))
                .toList());
    }

    private static TimeShift shift(JsonNode input) {
        List<TimeShift.Span> comparator = spans(input, "comparator");
        List<TimeShift.Span> treatment = spans(input, "treatment");
        if (comparator.isEmpty() || treatment.isEmpty()) {
            throw new BadInput("“comparator” and “treatment” must each hold a time");
        }
        return TimeShift.of(comparator, treatment, GroupsInput.alpha(input));
    }

    private static List<TimeShift.Span> spans(JsonNode input, String side) {
        return Inputs.list(input, side).stream()
                .map(TimesFamily::span)
                .filter(Objects::nonNull)
                .toList();
    }

    private static TimeShift.Span span(JsonNode unit) {
        OptionalDouble time = Inputs.optionalNumber(unit, "time");
        if (time.isPresent()) {
            return TimeShift.Span.at(time.getAsDouble());
        }
        double from = Inputs.number(unit, "from");
        return unit.path("not_yet").asBoolean(false)
                ? TimeShift.Span.notYet(from)
                : new TimeShift.Span(from, Inputs.number(unit, "to"));
    }
}
