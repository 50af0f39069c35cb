package elsom.calc;

import elsom.core.stats.BrunnerMunzel;
import elsom.core.stats.Group;
import elsom.core.stats.ProportionalOdds;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** {@code scores}: scores compared by odds of a higher one, or by which unit lies above which. */
final class ScoresFamily implements Family {
    @Override
    public String name() {
        return "scores";
    }

    @Override
    public Object work(JsonNode input) {
        String kind = Inputs.text(input, "kind");
        return switch (kind) {
            case "proportional_odds" -> odds(input);
            case "brunner_munzel" ->
                BrunnerMunzel.of(
                                Inputs.seen(input, "comparator"),
                                Inputs.seen(input, "treatment"),
                                GroupsInput.alpha(input))
                        .orElseThrow(BadInput::new);
            default -> throw new BadInput("“kind” must be proportional_odds or brunner_munzel, got “" + kind + "”");
        };
    }

    private static ProportionalOdds odds(JsonNode input) {
        String control = Inputs.text(input, "control");
        List<Group> groups = Inputs.list(input, "groups").stream()
                .map(group -> new Group(Inputs.text(group, "name"), Inputs.seen(group, "values")))
                .toList();
        return ProportionalOdds.of(
                        groups.stream()
                                .filter(group -> group.name().equals(control))
                                .findFirst()
                                .orElseThrow(() -> new BadInput("no group is called “" + control + "”")),
                        groups.stream()
                                .filter(group -> !group.name().equals(control))
                                .toList())
                .orElseThrow(BadInput::new);
    }
}
