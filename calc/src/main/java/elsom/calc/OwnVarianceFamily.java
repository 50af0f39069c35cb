package elsom.calc;

import elsom.core.stats.OwnVariance;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** {@code own_variance}: treatments compared where each scatters by its own amount. */
final class OwnVarianceFamily implements Family {
    @Override
    public String name() {
        return "own_variance";
    }

    @Override
    public Object work(JsonNode input) {
        String comparisons = Inputs.text(input, "comparisons");
        if (!comparisons.equals("many_to_one") && !comparisons.equals("all_pairs")) {
            throw new BadInput("“comparisons” must be many_to_one or all_pairs, got “" + comparisons + "”");
        }
        String design = Inputs.text(input, "design");
        if (!design.equals("one_way") && !design.equals("blocks")) {
            throw new BadInput("“design” must be one_way or blocks, got “" + design + "”");
        }
        boolean blocked = design.equals("blocks");
        List<String> treatments = Inputs.list(input, "treatments").stream()
                .map(JsonNode::stringValue)
                .toList();
        List<OwnVariance.Unit> units = Inputs.list(input, "units").stream()
                .filter(unit -> !unit.path("value").isNull())
                .map(unit -> new OwnVariance.Unit(
                        Inputs.text(unit, "treatment"),
                        blocked ? Inputs.text(unit, "block") : "",
                        Inputs.number(unit, "value")))
                .filter(unit -> known(treatments, unit.treatment()))
                .toList();
        OwnVariance found = OwnVariance.of(
                        units,
                        treatments,
                        comparisons.equals("many_to_one") ? control(input, treatments) : "",
                        variance(Inputs.text(input, "variance")),
                        GroupsInput.alpha(input))
                .orElseThrow(BadInput::new);
        ObjectNode answer = Answers.object();
        if (found.df().isPresent()) {
            answer.put("df", found.df().getAsDouble());
        }
        if (found.blocksUsed().isPresent()) {
            answer.put("blocks_used", found.blocksUsed().getAsInt());
        }
        return Answers.put(answer, "comparisons", found.comparisons());
    }

    private static boolean known(List<String> treatments, String name) {
        if (!treatments.contains(name)) {
            throw new BadInput("“treatments” has no “" + name + "”");
        }
        return true;
    }

    private static String control(JsonNode input, List<String> treatments) {
        String control = Inputs.text(input, "control");
        known(treatments, control);
        return control;
    }

    private static OwnVariance.Variance variance(String name) {
        return Arrays.stream(OwnVariance.Variance.values())
                .filter(one -> one.name().toLowerCase(Locale.ROOT).equals(name))
                .findFirst()
                .orElseThrow(() ->
                        new BadInput("“variance” must be satterthwaite, games_howell, hc3 or block_differences, got “"
                                + name + "”"));
    }
}
