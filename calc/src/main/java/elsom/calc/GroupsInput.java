package elsom.calc;

import elsom.core.stats.Group;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** The groups of a comparison, and the level it is made at. */
final class GroupsInput {
    private static final double USUAL_ALPHA = 0.05;

    private GroupsInput() {}

    static List<Group> groups(JsonNode input) {
        List<Group> groups = Inputs.list(input, "groups").stream()
                .map(group -> new Group(Inputs.text(group, "name"), Inputs.numbers(group, "values")))
                .toList();
        if (groups.stream().map(Group::name).distinct().count() < groups.size()) {
            throw new BadInput("two groups have the same name");
        }
        return groups;
    }

    static double alpha(JsonNode input) {
        double alpha = Inputs.optionalNumber(input, "alpha").orElse(USUAL_ALPHA);
        if (!(alpha > 0 && alpha < 1)) {
            throw new BadInput("“alpha” must be above 0 and below 1, got " + alpha);
        }
        return alpha;
    }
}
