package elsom.calc;

import elsom.core.stats.WorstRank;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** {@code worst_rank}: two samples in which some died, the dead behind all that lived. */
final class WorstRankFamily implements Family {
    @Override
    public String name() {
        return "worst_rank";
    }

    @Override
    public Object work(JsonNode input) {
        JsonNode comparator = input.path("comparator");
        JsonNode treatment = input.path("treatment");
        String better = Inputs.text(input, "better");
        if (!better.equals("higher") && !better.equals("lower")) {
            throw new BadInput("“better” must be higher or lower, got “" + better + "”");
        }
        return WorstRank.of(
                values(comparator), deaths(comparator), values(treatment), deaths(treatment), better.equals("higher"));
    }

    private static List<Double> values(JsonNode side) {
        return Inputs.seen(side, "values");
    }

    private static int deaths(JsonNode side) {
        return side.has("deaths") ? Inputs.whole(side, "deaths") : 0;
    }
}
