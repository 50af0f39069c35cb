package elsom.calc;

import elsom.core.stats.DoseTrends;
import elsom.core.stats.Dunnett;
import elsom.core.stats.FisherExact;
import elsom.core.stats.Group;
import elsom.core.stats.Holm;
import elsom.core.stats.Noec;
import elsom.core.stats.OneWay;
import elsom.core.stats.Outcome;
import elsom.core.stats.Proportion;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** {@code noec_loec}: the highest level without and the lowest with an adverse effect, by several tests. */
final class NoecFamily implements Family {
    @Override
    public String name() {
        return "noec_loec";
    }

    @Override
    public ObjectNode work(JsonNode input) {
        String kind = Inputs.text(input, "kind");
        return switch (kind) {
            case "continuous" -> continuous(input);
            case "quantal" -> quantal(input);
            default -> throw new BadInput("“kind” must be continuous or quantal, got “" + kind + "”");
        };
    }

    /** A dose with its values. */
    private record Level(double dose, Group group) {}

    private static List<Level> levels(JsonNode input) {
        List<Level> levels = Inputs.list(input, "groups").stream()
                .map(g -> new Level(
                        Inputs.number(g, "dose"), new Group("dose " + g.path("dose"), Inputs.numbers(g, "values"))))
                .sorted(Comparator.comparing(Level::dose))
                .toList();
        if (levels.size() < 2 || levels.get(0).dose() != 0) {
            throw new BadInput("a control at dose 0 and at least one dose are needed");
        }
        return levels;
    }

    private static ObjectNode continuous(JsonNode input) {
        List<Level> levels = levels(input);
        double alpha = GroupsInput.alpha(input);
        boolean decrease = !"increase".equals(input.path("direction").asString("decrease"));
        Group control = levels.get(0).group();
        List<Group> doses = levels.stream().skip(1).map(Level::group).toList();
        List<Double> amounts = levels.stream().skip(1).map(Level::dose).toList();
        OneWay design = OneWay.of(levels.stream().map(Level::group).toList());
        ObjectNode answer = Answers.object();
        Answers.put(answer, "mse", design.meanSquareError());
        answer.put("df", design.dfWithin());
        Optional<Dunnett.Compared> dunnett =
                Dunnett.compare(control, doses, alpha).asOptional();
        ObjectNode both = answer.putObject("dunnett");
        both.set("one_sided", dunnett(amounts, dunnett, alpha, decrease, true));
        both.set("two_sided", dunnett(amounts, dunnett, alpha, decrease, false));
        Group turned = decrease ? turned(control) : control;
        List<Group> turnedDoses =
                decrease ? doses.stream().map(NoecFamily::turned).toList() : doses;
        answer.set("williams", williams(amounts, DoseTrends.williams(turned, turnedDoses, alpha), decrease));
        answer.set("jonckheere", jonckheere(amounts, DoseTrends.jonckheere(turned, turnedDoses, alpha), decrease));
        return answer;
    }

    private static Group turned(Group group) {
        return new Group(group.name(), group.values().stream().map(v -> -v).toList());
    }

    private static ObjectNode dunnett(
            List<Double> amounts,
            Optional<Dunnett.Compared> compared,
            double alpha,
            boolean decrease,
            boolean oneSided) {
        ObjectNode node = Answers.object();
        ArrayNode list = node.putArray("comparisons");
        List<Boolean> significant = new ArrayList<>();
        for (int i = 0; i < amounts.size(); i++) {
            int index = i;
            Optional<Dunnett.Comparison> one = compared.map(c -> c.comparisons().get(index));
            Optional<Double> adverse = one.map(c -> decrease ? -c.t() : c.t());
            Optional<Double> p = one.map(c -> !oneSided ? c.pTwoSided() : decrease ? c.pLess() : c.pGreater());
            boolean effect = p.isPresent() && p.get() < alpha && adverse.orElseThrow() > 0;
            significant.add(effect);
            ObjectNode row = list.addObject().put("dose", amounts.get(i));
            Answers.put(row, "t", oneSided ? adverse : one.map(Dunnett.Comparison::t));
            Answers.put(row, "p_adj", p).put("significant", effect);
        }
        levels(node, amounts, significant, compared.isPresent());
        Answers.put(node, "noec_missed", missed(Noec.lowest(significant), compared, decrease));
        return node;
    }

    /** The harm at the NOEC that these units could not have told from none: the end of its two-sided interval. */
    private static Optional<Double> missed(Noec noec, Optional<Dunnett.Compared> compared, boolean decrease) {
        return noec.noec().isEmpty()
                ? Optional.empty()
                : compared.map(all ->
                                all.comparisons().get(noec.noec().getAsInt()).interval())
                        .map(interval -> Math.max(0, decrease ? -interval.low() : interval.high()));
    }

    private static void levels(ObjectNode node, List<Double> amounts, List<Boolean> significant, boolean judged) {
        Noec lowest = Noec.lowest(significant);
        Noec monotone = Noec.monotone(significant);
        level(node, "loec", lowest.loec(), amounts, judged, OptionalDouble.empty());
        level(node, "noec", lowest.noec(), amounts, judged, OptionalDouble.of(0));
        level(node, "loec_monotone", monotone.loec(), amounts, judged, OptionalDouble.empty());
        level(node, "noec_monotone", monotone.noec(), amounts, judged, OptionalDouble.of(0));
        node.put("noec_is_control", judged && lowest.noec().isEmpty());
    }

    private static void level(
            ObjectNode node,
            String field,
            OptionalInt level,
            List<Double> amounts,
            boolean judged,
            OptionalDouble none) {
        Answers.put(
                node,
                field,
                !judged
                        ? OptionalDouble.empty()
                        : level.isPresent() ? OptionalDouble.of(amounts.get(level.getAsInt())) : none);
    }

    /** The LOEC of a step-down test is the lowest level it reached while everything above it differed. */
    private static void steppedDown(ObjectNode node, List<Double> amounts, List<Boolean> fromHighest, boolean judged) {
        List<Boolean> rising = new ArrayList<>(fromHighest);
        Collections.reverse(rising);
        Noec noec = Noec.monotone(rising);
        level(node, "loec", noec.loec(), amounts, judged, OptionalDouble.empty());
        level(node, "noec", noec.noec(), amounts, judged, OptionalDouble.of(0));
    }

    private static ObjectNode williams(
            List<Double> amounts, Outcome<List<DoseTrends.WilliamsStep>> outcome, boolean decrease) {
        ObjectNode node = Answers.object();
        ArrayNode list = node.putArray("steps");
        List<Boolean> significant = new ArrayList<>();
        List<DoseTrends.WilliamsStep> steps = outcome.asOptional().orElse(List.of());
        for (int i = 0; i < steps.size(); i++) {
            DoseTrends.WilliamsStep step = steps.get(i);
            significant.add(step.significant());
            list.addObject()
                    .put("dose", amounts.get(amounts.size() - 1 - i))
                    .put("isotonic_mean", decrease ? -step.mean() : step.mean())
                    .put("t_bar", step.statistic())
                    .put("crit", step.critical())
                    .put("p", step.p())
                    .put("significant", step.significant());
        }
        steppedDown(node, amounts, significant, outcome.asOptional().isPresent());
        return node;
    }

    private static ObjectNode jonckheere(
            List<Double> amounts, List<Outcome<DoseTrends.JonckheereStep>> steps, boolean decrease) {
        ObjectNode node = Answers.object();
        ArrayNode list = node.putArray("steps");
        List<Boolean> significant = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
            Optional<DoseTrends.JonckheereStep> step = steps.get(i).asOptional();
            significant.add(step.map(DoseTrends.JonckheereStep::significant).orElse(false));
            ObjectNode row = list.addObject().put("dose", amounts.get(amounts.size() - 1 - i));
            Answers.put(row, "J", step.map(s -> decrease ? 2 * s.mean() - s.j() : s.j()));
            Answers.put(row, "mean", step.map(DoseTrends.JonckheereStep::mean));
            Answers.put(row, "variance", step.map(DoseTrends.JonckheereStep::variance));
            Answers.put(row, "z_directional", step.map(DoseTrends.JonckheereStep::z));
            Answers.put(row, "p", step.map(DoseTrends.JonckheereStep::p));
            row.put("significant", significant.get(i));
        }
        steppedDown(node, amounts, significant, true);
        return node;
    }

    private static ObjectNode quantal(JsonNode input) {
        List<Double> amounts = Inputs.numbers(input, "dose");
        int[] n = Inputs.wholes("n", Inputs.numbers(input, "n"));
        int[] affected = Inputs.wholes("x", Inputs.numbers(input, "x"));
        if (n.length != amounts.size() || affected.length != n.length) {
            throw new BadInput("“dose”, “n” and “x” must be equally long");
        }
        double alpha = GroupsInput.alpha(input);
        boolean greater = "greater".equals(input.path("alternative").asString("greater"));
        List<Integer> order = IntStream.range(0, n.length)
                .boxed()
                .sorted(Comparator.comparing(amounts::get))
                .toList();
        if (order.size() < 2 || amounts.get(order.get(0)) != 0) {
            throw new BadInput("a control at dose 0 and at least one dose are needed");
        }
        Proportion control = new Proportion(affected[order.get(0)], n[order.get(0)]);
        List<Integer> treated = order.subList(1, order.size());
        double[] p = treated.stream()
                .map(i -> FisherExact.of(new Proportion(affected[i], n[i]), control))
                .mapToDouble(test -> greater ? test.pGreater() : test.p())
                .toArray();
        double[] adjusted = Holm.adjust(p);
        ObjectNode answer = Answers.object();
        ArrayNode list = answer.putArray("comparisons");
        List<Boolean> significant = new ArrayList<>();
        for (int i = 0; i < p.length; i++) {
            boolean worse = new Proportion(affected[treated.get(i)], n[treated.get(i)]).share() > control.share();
            significant.add(adjusted[i] < alpha && worse);
            list.addObject()
                    .put("dose", amounts.get(treated.get(i)))
                    .put("p_raw", p[i])
                    .put("p_holm", adjusted[i])
                    .put("significant", significant.get(i));
        }
        levels(answer, treated.stream().map(amounts::get).toList(), significant, true);
        return answer;
    }
}
