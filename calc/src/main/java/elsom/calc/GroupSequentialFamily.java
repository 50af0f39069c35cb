package elsom.calc;

import elsom.core.stats.GroupSequential;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** {@code group_sequential}: limits for several looks, and the look at which something may be said. */
final class GroupSequentialFamily implements Family {
    @Override
    public String name() {
        return "group_sequential";
    }

    @Override
    public Object work(JsonNode input) {
        List<GroupSequential.Limit> limits =
                GroupSequential.limits(Inputs.numbers(input, "fractions"), GroupsInput.alpha(input));
        var answer = Answers.put(Answers.object(), "looks", limits);
        return input.has("observed_z")
                ? Answers.put(answer, "stop_at_look", GroupSequential.stop(limits, Inputs.numbers(input, "observed_z")))
                : answer;
    }
}
