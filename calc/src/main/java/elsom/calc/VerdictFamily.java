package elsom.calc;

import elsom.core.analysis.Arm;
import elsom.core.analysis.Ask;
import elsom.core.analysis.Design;
import elsom.core.analysis.EndpointKind;
import elsom.core.analysis.Judge;
import elsom.core.analysis.Judgement;
import elsom.core.analysis.Observations;
import elsom.core.analysis.Observed;
import elsom.core.analysis.Value;
import elsom.core.contract.JudgementData;
import elsom.core.flag.Flags;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import tools.jackson.databind.JsonNode;

/** {@code verdict}: a question judged on units, as the pages of findings judge it. */
final class VerdictFamily implements Family {
    private static final String ALL_PAIRS = "all_pairs";
    private static final String AS_SEEN = "as_seen";
    private static final String CONTROL = "control";
    private static final String NOT_YET = "not_yet";
    private static final double USUAL_ALPHA = 0.05;

    @Override
    public String name() {
        return "verdict";
    }

    @Override
    public JudgementData work(JsonNode input) {
        Observations observations = observations(input);
        Judgement judgement = Judge.of(observations, ask(input));
        return JudgementData.of(observations, judgement, Flags.of(observations, judgement));
    }

    private static <E extends Enum<E>> E choice(JsonNode object, String field, Class<E> choices) {
        String text = Inputs.text(object, field);
        for (E choice : choices.getEnumConstants()) {
            if (choice.name().toLowerCase(Locale.ROOT).equals(text)) {
                return choice;
            }
        }
        throw new BadInput("“" + field + "” can't be “" + text + "”");
    }

    private static Observations observations(JsonNode input) {
        JsonNode endpoint = input.path("endpoint");
        EndpointKind kind = choice(endpoint, "kind", EndpointKind.class);
        int decimals = (int) Inputs.optionalNumber(endpoint, "decimals").orElse(0);
        List<Arm> arms = Inputs.list(input, "treatments").stream()
                .map(VerdictFamily::arm)
                .toList();
        Map<String, Integer> codes = new HashMap<>();
        arms.forEach(arm -> codes.put(arm.code(), codes.size()));
        Map<List<String>, Integer> plots = new HashMap<>();
        List<Observed> units = new ArrayList<>();
        for (JsonNode unit : Inputs.list(input, "units")) {
            Integer arm = codes.get(Inputs.text(unit, "treatment"));
            if (arm == null) {
                throw new BadInput("a unit has the unknown treatment “" + Inputs.text(unit, "treatment") + "”");
            }
            JsonNode plot = unit.path("whole_plot");
            int whole = plot.isMissingNode() || plot.isNull()
                    ? 0
                    : plots.computeIfAbsent(
                            List.of(unit.path("block").toString(), plot.toString()), key -> plots.size() + 1);
            units.add(new Observed(
                    String.valueOf(units.size() + 1),
                    arm,
                    place(unit, "block"),
                    place(unit, "row"),
                    place(unit, "column"),
                    whole,
                    value(unit, kind)));
        }
        return new Observations(
                choice(input, "design", Design.class),
                Inputs.list(input, "factors").stream()
                        .map(JsonNode::stringValue)
                        .toList(),
                arms,
                kind,
                choice(endpoint, "better", Observations.Better.class),
                kind == EndpointKind.COUNT_OF
                        ? 1
                        : Inputs.optionalNumber(endpoint, "resolution").orElse(Math.pow(10, -decimals)),
                units);
    }

    private static Arm arm(JsonNode node) {
        List<String> levels = node.path("levels").isArray()
                ? Inputs.list(node, "levels").stream()
                        .map(level -> level.isString() ? level.stringValue() : level.toString())
                        .toList()
                : List.of();
        String code = Inputs.text(node, "code");
        return new Arm(code, code, levels, node.path("control").asBoolean(false));
    }

    private static int place(JsonNode unit, String field) {
        return (int) Inputs.optionalNumber(unit, field).orElse(0);
    }

    private static Value value(JsonNode unit, EndpointKind kind) {
        if (kind == EndpointKind.COUNT_OF) {
            return unit.path("k").isNumber() && unit.path("n").isNumber()
                    ? new Value.CountOf(Inputs.whole(unit, "k"), Inputs.whole(unit, "n"))
                    : missing(unit);
        }
        JsonNode value = unit.path("value");
        if (kind == EndpointKind.TIME && value.isString() && NOT_YET.equals(value.stringValue())) {
            return new Value.NotYet(Inputs.optionalNumber(unit, "by"));
        }
        OptionalDouble number = Inputs.optionalNumber(unit, "value");
        OptionalDouble after = Inputs.optionalNumber(unit, "after");
        if (kind == EndpointKind.TIME && number.isPresent() && after.isPresent()) {
            if (!(after.getAsDouble() < number.getAsDouble())) {
                throw new BadInput("“after” must be before “value”, got " + after.getAsDouble());
            }
            return new Value.Came(after.getAsDouble(), number.getAsDouble());
        }
        return number.isPresent() ? new Value.Measured(number.getAsDouble()) : missing(unit);
    }

    private static Value missing(JsonNode unit) {
        boolean died = unit.path("died").asBoolean(false);
        return new Value.Missing(died ? "died" : "lost", died);
    }

    private static Ask ask(JsonNode input) {
        JsonNode question = input.path("question");
        List<String> treatments = question.path("treatments").isArray()
                ? Inputs.list(question, "treatments").stream()
                        .map(JsonNode::stringValue)
                        .toList()
                : List.of();
        String comparator = question.path("comparator").isString() ? Inputs.text(question, "comparator") : CONTROL;
        Ask.Against against = switch (comparator) {
            case ALL_PAIRS -> new Ask.Against.AllPairs();
            case CONTROL -> new Ask.Against.Control();
            default -> new Ask.Against.Treatment(comparator);
        };
        if (question.path("level").isObject()) {
            against = level(input, question.path("level"));
        }
        OptionalDouble alpha = Inputs.optionalNumber(input, "alpha");
        return new Ask(
                treatments,
                against,
                Inputs.optionalNumber(question, "margin"),
                question.path("margin_percent").asBoolean(false),
                question.path("as_good").asBoolean(false),
                alpha.orElse(Inputs.optionalNumber(question, "alpha").orElse(USUAL_ALPHA)),
                input.path("scatter").asString("").equals(AS_SEEN) ? Ask.Scatter.AS_SEEN : Ask.Scatter.ALIKE);
    }

    private static Ask.Against level(JsonNode input, JsonNode level) {
        String factor = Inputs.text(level, "factor");
        List<String> factors = Inputs.list(input, "factors").stream()
                .map(JsonNode::stringValue)
                .toList();
        if (!factors.contains(factor)) {
            throw new BadInput("“" + factor + "” is not a factor");
        }
        return new Ask.Against.Level(
                factors.indexOf(factor),
                Inputs.list(level, "levels").stream().map(JsonNode::stringValue).toList(),
                Inputs.text(level, "beside"));
    }
}
