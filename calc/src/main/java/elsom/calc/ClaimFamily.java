package elsom.calc;

import elsom.core.claim.Checked;
import elsom.core.claim.ClaimCase;
import elsom.core.claim.ClaimedGroup;
import elsom.core.claim.Held;
import elsom.core.claim.Meant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** {@code claim}: what a worded claim means, and whether figures bear it out. */
final class ClaimFamily implements Family {
    @Override
    public String name() {
        return "claim";
    }

    @Override
    public ObjectNode work(JsonNode input) {
        List<String> typed = new ArrayList<>(List.of(Inputs.text(input, "first")));
        typed.addAll(List.of(Inputs.text(input, "other").split("\\s*;\\s*(?=[^;]*:)")));
        List<String> names = typed.stream().map(ClaimedGroup::name).toList();
        boolean named = names.stream().noneMatch(String::isEmpty);
        int about = optional(input, "about").equals("other") ? 1 : 0;
        ClaimCase said = ClaimCase.of(
                Inputs.text(input, "claim"),
                optional(input, "measure"),
                optional(input, "unit"),
                named ? names : List.of(),
                about);
        List<ClaimedGroup> sides = typed.stream().map(ClaimFamily::group).toList();
        Meant meant = said.meant();
        Checked checked = Checked.of(said, sides);
        ObjectNode answer = Answers.object()
                .put("meaning", meant.says())
                .put("outcome", Held.of(meant, sides, about).name().toLowerCase(Locale.ROOT))
                .put("answer", checked.sentence());
        checked.percent().ifPresent(percent -> answer.put("percent", percent));
        checked.percent95()
                .ifPresent(interval -> answer.put("percent_low", interval.low()).put("percent_high", interval.high()));
        return answer;
    }

    private static String optional(JsonNode input, String field) {
        return input.path(field).isMissingNode() || input.path(field).isNull() ? "" : Inputs.text(input, field);
    }

    private static ClaimedGroup group(String typed) {
        return ClaimedGroup.read(typed)
                .orElseThrow(() -> new BadInput("“" + typed
                        + "” is no group: values with spaces between, a mean with scatter and number, or k of n."
                        + " Accepted: kelp: 12.4 ± 2.1 n 8"));
    }
}
