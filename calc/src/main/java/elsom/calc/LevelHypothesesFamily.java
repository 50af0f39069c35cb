package elsom.calc;

import elsom.core.stats.AsGoodAs;
import elsom.core.stats.FixedFigure;
import elsom.core.stats.FixedShare;
import elsom.core.stats.Group;
import elsom.core.stats.LevelWithinStrata;
import elsom.core.stats.PercentEquivalence;
import java.util.List;
import java.util.OptionalDouble;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** {@code level_hypotheses}: levels within and over others, as good as, alike to within a percentage, fixed figures. */
final class LevelHypothesesFamily implements Family {
    @Override
    public String name() {
        return "level_hypotheses";
    }

    @Override
    public Object work(JsonNode input) {
        String kind = Inputs.text(input, "kind");
        double alpha = GroupsInput.alpha(input);
        return switch (kind) {
            case "level_within_strata" -> levels(input, alpha);
            case "noninferiority" -> asGoodAs(input, alpha);
            case "equivalence_percent" ->
                PercentEquivalence.of(
                        new Group("comparator", Inputs.seen(input, "comparator")),
                        new Group("treatment", Inputs.seen(input, "treatment")),
                        Inputs.number(input, "margin_percent"),
                        alpha);
            case "one_sample" -> fixed(input, alpha);
            case "share_fixed" ->
                FixedShare.of(Inputs.whole(input, "count"), Inputs.whole(input, "n"), Inputs.number(input, "share"));
            default ->
                throw new BadInput(
                        "“kind” must be level_within_strata, noninferiority, equivalence_percent, one_sample or"
                                + " share_fixed, got “" + kind + "”");
        };
    }

    private static LevelWithinStrata levels(JsonNode input, double alpha) {
        List<LevelWithinStrata.Unit> units = Inputs.list(input, "units").stream()
                .filter(unit -> unit.path("value").isNumber())
                .map(unit -> new LevelWithinStrata.Unit(
                        Inputs.text(unit, "stratum"),
                        Inputs.text(unit, "level"),
                        unit.path("block").isMissingNode()
                                ? ""
                                : unit.path("block").asString(""),
                        Inputs.number(unit, "value")))
                .toList();
        return LevelWithinStrata.of(
                        units,
                        Inputs.list(input, "strata").stream()
                                .map(JsonNode::stringValue)
                                .toList(),
                        Inputs.text(input, "level"),
                        Inputs.text(input, "beside"),
                        alpha)
                .orElseThrow(BadInput::new);
    }

    private static AsGoodAs asGoodAs(JsonNode input, double alpha) {
        String standard = Inputs.text(input, "control");
        List<Group> groups = Inputs.list(input, "groups").stream()
                .map(group -> new Group(Inputs.text(group, "name"), Inputs.seen(group, "values")))
                .toList();
        return AsGoodAs.of(
                        groups.stream()
                                .filter(group -> group.name().equals(standard))
                                .findFirst()
                                .orElseThrow(() -> new BadInput("no group is called “" + standard + "”")),
                        groups.stream()
                                .filter(group -> !group.name().equals(standard))
                                .toList(),
                        !"lower".equals(Inputs.text(input, "better")),
                        Inputs.number(input, "margin"),
                        alpha)
                .orElseThrow(BadInput::new);
    }

    private static Object fixed(JsonNode input, double alpha) {
        FixedFigure judged = FixedFigure.of(
                new Group("values", Inputs.seen(input, "values")), Inputs.number(input, "figure"), alpha);
        OptionalDouble margin = Inputs.optionalNumber(input, "margin");
        ObjectNode answer = (ObjectNode) Answers.tree(judged);
        if (margin.isPresent()) {
            answer.setAll((ObjectNode) Answers.tree(judged.within(margin.getAsDouble(), alpha)));
        }
        return answer;
    }
}
