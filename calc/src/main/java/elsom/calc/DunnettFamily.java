package elsom.calc;

import elsom.core.stats.Dunnett;
import elsom.core.stats.Group;
import elsom.core.stats.Holm;
import elsom.core.stats.OneWay;
import elsom.core.stats.Outcome;
import elsom.core.stats.WelchT;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** {@code dunnett_vs_control}: each treatment against the control, by Dunnett and by Holm–Welch. */
final class DunnettFamily implements Family {
    @Override
    public String name() {
        return "dunnett_vs_control";
    }

    @Override
    public ObjectNode work(JsonNode input) {
        List<Group> groups = GroupsInput.groups(input);
        String name = Inputs.text(input, "control");
        Group control = groups.stream()
                .filter(group -> group.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new BadInput("no group is called “" + name + "”, which “control” names"));
        List<Group> treatments =
                groups.stream().filter(group -> !group.equals(control)).toList();
        OneWay design = OneWay.of(groups);
        Optional<Dunnett.Compared> compared =
                Dunnett.compare(control, treatments, GroupsInput.alpha(input)).asOptional();
        ObjectNode answer = Answers.object();
        Answers.put(answer, "mse", design.meanSquareError());
        answer.put("df", design.dfWithin());
        Answers.put(answer, "crit_two_sided", compared.map(Dunnett.Compared::criticalTwoSided));
        Answers.put(answer, "crit_one_sided", compared.map(Dunnett.Compared::criticalOneSided));
        ArrayNode comparisons = answer.putArray("comparisons");
        for (int i = 0; i < treatments.size(); i++) {
            int index = i;
            comparisons.add(comparison(
                    treatments.get(i),
                    control,
                    compared.map(c -> c.comparisons().get(index))));
        }
        answer.set("holm_welch", holmWelch(control, treatments));
        return answer;
    }

    private static ObjectNode comparison(Group treatment, Group control, Optional<Dunnett.Comparison> compared) {
        ObjectNode node =
                Answers.object().put("group", treatment.name()).put("diff", treatment.mean() - control.mean());
        Answers.put(node, "se", compared.map(Dunnett.Comparison::error));
        Answers.put(node, "t", compared.map(Dunnett.Comparison::t));
        Answers.put(node, "p_raw", compared.map(Dunnett.Comparison::pRaw));
        Answers.put(node, "p_adj", compared.map(Dunnett.Comparison::pTwoSided));
        Answers.put(node, "lower", "upper", compared.map(Dunnett.Comparison::interval));
        Answers.put(node, "p_adj_less", compared.map(Dunnett.Comparison::pLess));
        Answers.put(node, "p_adj_greater", compared.map(Dunnett.Comparison::pGreater));
        return node;
    }

    private static ArrayNode holmWelch(Group control, List<Group> treatments) {
        List<Outcome<WelchT>> tests =
                treatments.stream().map(group -> WelchT.of(control, group)).toList();
        boolean all = tests.stream().allMatch(test -> test.asOptional().isPresent());
        double[] adjusted = all
                ? Holm.adjust(tests.stream()
                        .mapToDouble(test -> test.asOptional().orElseThrow().p())
                        .toArray())
                : new double[0];
        ArrayNode list = Answers.list();
        for (int i = 0; i < treatments.size(); i++) {
            Optional<WelchT> test = tests.get(i).asOptional();
            Group group = treatments.get(i);
            ObjectNode node = list.addObject().put("group", group.name()).put("diff", group.mean() - control.mean());
            Answers.put(node, "se", test.map(WelchT::error));
            Answers.put(node, "t", test.map(WelchT::t));
            Answers.put(node, "df", test.map(WelchT::df));
            Answers.put(node, "p_raw", test.map(WelchT::p));
            Answers.put(node, "p_holm", all ? Optional.of(adjusted[i]) : Optional.empty());
        }
        return list;
    }
}
