package elsom.calc;

import elsom.core.stats.Proportion;
import elsom.core.stats.SmallShares;
import elsom.core.stats.TraysCompared;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import tools.jackson.databind.JsonNode;

/** {@code small_counts}: two shares of few by exact methods, and shares of plants in trays. */
final class SmallCountsFamily implements Family {
    @Override
    public String name() {
        return "small_counts";
    }

    @Override
    public Object work(JsonNode input) {
        String kind = Inputs.text(input, "kind");
        return switch (kind) {
            case "two_shares" ->
                SmallShares.of(
                        share(input.path("treatment")), share(input.path("comparator")), GroupsInput.alpha(input));
            case "trays" -> trays(input);
            default -> throw new BadInput("“kind” must be two_shares or trays, got “" + kind + "”");
        };
    }

    private static Proportion share(JsonNode side) {
        int count = Inputs.whole(side, "count");
        int n = Inputs.whole(side, "n");
        if (n < 1 || count < 0 || count > n) {
            throw new BadInput("a “count” must be 0 to its “n”, got " + count + " of " + n);
        }
        return new Proportion(count, n);
    }

    private static TraysCompared trays(JsonNode input) {
        List<TraysCompared.Trays> all = Inputs.list(input, "groups").stream()
                .map(SmallCountsFamily::group)
                .toList();
        String control = Inputs.text(input, "control");
        int at = IntStream.range(0, all.size())
                .filter(i -> all.get(i).name().equals(control))
                .findFirst()
                .orElseThrow(() -> new BadInput("no group is called “" + control + "”"));
        return TraysCompared.of(all, at, GroupsInput.alpha(input)).orElseThrow(BadInput::new);
    }

    private static TraysCompared.Trays group(JsonNode group) {
        List<JsonNode> counts = Inputs.list(group, "count");
        List<JsonNode> n = Inputs.list(group, "n");
        Inputs.sameLength("count", counts, "n", n);
        List<Integer> kept = new ArrayList<>();
        List<Integer> of = new ArrayList<>();
        for (int i = 0; i < counts.size(); i++) {
            if (!counts.get(i).isNull()) {
                int count = Inputs.whole("count", counts.get(i).asDouble(Double.NaN));
                int plants = Inputs.whole("n", n.get(i).asDouble(Double.NaN));
                if (plants < 1 || count < 0 || count > plants) {
                    throw new BadInput("a “count” must be 0 to its “n”, got " + count + " of " + plants);
                }
                kept.add(count);
                of.add(plants);
            }
        }
        return new TraysCompared.Trays(Inputs.text(group, "name"), kept, of);
    }
}
