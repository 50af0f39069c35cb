package elsom.calc;

import elsom.core.stats.Group;
import elsom.core.stats.OneWay;
import elsom.core.stats.Pairwise;
import elsom.core.stats.StudentisedRange;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** {@code tukey_hsd}: all pairs by Tukey–Kramer and Games–Howell, with compact letters. */
final class TukeyFamily implements Family {
    @Override
    public String name() {
        return "tukey_hsd";
    }

    @Override
    public ObjectNode work(JsonNode input) {
        List<Group> groups = GroupsInput.groups(input);
        double alpha = GroupsInput.alpha(input);
        OneWay design = OneWay.of(groups);
        ObjectNode answer = Answers.object();
        Answers.put(answer, "mse", design.meanSquareError());
        answer.put("df", design.dfWithin());
        Answers.put(
                answer,
                "q_crit",
                design.dfWithin() > 0
                        ? OptionalDouble.of(StudentisedRange.of(groups.size(), design.dfWithin())
                                .upperQuantile(alpha))
                        : OptionalDouble.empty());
        ObjectNode means = answer.putObject("means");
        groups.forEach(group -> means.put(group.name(), group.mean()));
        Optional<Pairwise.Compared> tukey = Pairwise.tukey(groups, alpha).asOptional();
        Pairwise.Compared unequal = Pairwise.gamesHowell(groups, alpha);
        answer.set("tukey", pairs(groups, tukey, false));
        answer.set("letters_tukey", letters(groups, tukey));
        answer.set("games_howell", pairs(groups, Optional.of(unequal), true));
        answer.set("letters_games_howell", letters(groups, Optional.of(unequal)));
        return answer;
    }

    private static ArrayNode pairs(List<Group> groups, Optional<Pairwise.Compared> compared, boolean ownDf) {
        ArrayNode list = Answers.list();
        List<Optional<Pairwise.Pair>> pairs = new ArrayList<>();
        compared.ifPresent(c -> pairs.addAll(c.pairs()));
        int index = 0;
        for (int i = 0; i < groups.size(); i++) {
            for (int j = i + 1; j < groups.size(); j++) {
                Optional<Pairwise.Pair> pair = index < pairs.size() ? pairs.get(index) : Optional.empty();
                list.add(pair(groups.get(i), groups.get(j), pair, ownDf));
                index++;
            }
        }
        return list;
    }

    private static ObjectNode pair(Group a, Group b, Optional<Pairwise.Pair> pair, boolean ownDf) {
        ObjectNode node = Answers.object().put("a", a.name()).put("b", b.name()).put("diff", b.mean() - a.mean());
        Answers.put(node, "se", pair.map(Pairwise.Pair::error));
        if (ownDf) {
            Answers.put(node, "df", pair.map(Pairwise.Pair::df));
        }
        Answers.put(node, "q", pair.map(Pairwise.Pair::q));
        Answers.put(node, "p_adj", pair.map(Pairwise.Pair::p));
        return Answers.put(node, "lower", "upper", pair.map(Pairwise.Pair::interval));
    }

    private static ObjectNode letters(List<Group> groups, Optional<Pairwise.Compared> compared) {
        Optional<Map<String, String>> letters =
                compared.flatMap(c -> c.letters().asOptional());
        ObjectNode node = Answers.object();
        groups.forEach(group -> letters.ifPresentOrElse(
                l -> node.put(group.name(), l.get(group.name())), () -> node.putNull(group.name())));
        return node;
    }
}
