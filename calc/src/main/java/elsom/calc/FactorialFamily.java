package elsom.calc;

import elsom.core.stats.Factorial;
import elsom.core.stats.Factorial.Factor;
import elsom.core.stats.Factorial.Line;
import elsom.core.stats.Outcome;
import elsom.core.stats.SplitPlot;
import elsom.core.stats.Tests.ChiSquaredTest;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** {@code two_way_factorial}: factorials with or without blocks, one factor in blocks, split-plots. */
final class FactorialFamily implements Family {
    private static final String BLOCK = "block";

    @Override
    public String name() {
        return "two_way_factorial";
    }

    @Override
    public ObjectNode work(JsonNode input) {
        String design = Inputs.text(input, "design");
        return switch (design) {
            case "factorial" -> factorial(Factorial.of(y(input), factors(input, 2), List.of()));
            case "rcbd_factorial" ->
                factorial(Factorial.of(y(input), factors(input, 2), List.of(column(input, BLOCK))));
            case "rcbd" -> blocks(Factorial.of(y(input), factors(input, 1), List.of(column(input, BLOCK))));
            case "split_plot" -> splitPlot(input);
            default ->
                throw new BadInput(
                        "“design” must be factorial, rcbd_factorial, rcbd or split_plot, got “" + design + "”");
        };
    }

    private static double[] y(JsonNode input) {
        return Inputs.array(Inputs.numbers(input.path("columns"), "y"));
    }

    private static Factor column(JsonNode input, String name) {
        return new Factor(
                name,
                Inputs.list(input.path("columns"), name).stream()
                        .map(value -> value.isString() ? value.stringValue() : value.toString())
                        .toList());
    }

    private static List<Factor> factors(JsonNode input, int wanted) {
        List<Factor> factors = Inputs.list(input, "factors").stream()
                .map(name -> column(input, name.asString("")))
                .toList();
        if (factors.size() != wanted) {
            throw new BadInput("“factors” must name " + wanted + ", got " + factors.size());
        }
        return factors;
    }

    private static ObjectNode line(Line line) {
        ObjectNode node = Answers.object().put("term", line.term()).put("df", line.df());
        if (line.df() == 0) {
            return node.putNull("ss").putNull("ms").putNull("F").putNull("p");
        }
        node.put("ss", line.squares()).put("ms", line.squares() / line.df());
        Answers.put(node, "F", line.f());
        return Answers.put(node, "p", line.p());
    }

    private static ArrayNode lines(List<Line> lines) {
        ArrayNode list = Answers.list();
        lines.forEach(one -> list.add(line(one)));
        return list;
    }

    private static ObjectNode begin(Factorial design) {
        ObjectNode answer = Answers.object();
        Answers.put(
                answer.putObject("residual").put("df", design.residualDf()).put("ss", design.residualSquares()),
                "mse",
                design.meanSquareError());
        answer.set("type1", lines(design.sequential()));
        answer.set("type2", lines(design.marginal()));
        return answer;
    }

    private static ObjectNode factorial(Factorial design) {
        ObjectNode answer = begin(design);
        Optional<List<Line>> partial = design.partial().asOptional();
        answer.set("type3", partial.<JsonNode>map(FactorialFamily::lines).orElse(JsonNodeFactory.instance.nullNode()));
        Outcome<List<Factorial.SimpleEffect>> effects = design.simpleEffects();
        answer.set("cells", cells(design));
        answer.set(
                "simple_effects",
                effects.asOptional()
                        .<JsonNode>map(FactorialFamily::effects)
                        .orElse(JsonNodeFactory.instance.nullNode()));
        return answer;
    }

    private static ArrayNode cells(Factorial design) {
        ArrayNode list = Answers.list();
        for (Factorial.Cell cell : design.cells()) {
            ObjectNode node = list.addObject()
                    .put(design.factorName(0), cell.first())
                    .put(design.factorName(1), cell.second())
                    .put("mean", cell.mean())
                    .put("n", cell.n());
            Answers.put(node, "sd", cell.sd());
        }
        return list;
    }

    private static ArrayNode effects(List<Factorial.SimpleEffect> effects) {
        ArrayNode list = Answers.list();
        for (Factorial.SimpleEffect effect : effects) {
            ObjectNode node = list.addObject().put("factor", effect.factor());
            node.putObject("at").put(effect.otherFactor(), effect.at());
            node.put("df", effect.df()).put("ss", effect.squares());
            Answers.put(node, "F", effect.f());
            Answers.put(node, "p", effect.p());
            Answers.put(node, "p_holm", effect.pHolm());
        }
        return list;
    }

    private static ObjectNode blocks(Factorial design) {
        ObjectNode answer = begin(design);
        Optional<List<Factorial.AdjustedMean>> means = design.adjustedMeans().asOptional();
        ArrayNode list = Answers.list();
        means.ifPresent(found -> found.forEach(mean ->
                Answers.put(list.addObject().put("level", mean.level()).put("mean", mean.mean()), "se", mean.error())));
        answer.set("adjusted_means", means.isPresent() ? list : JsonNodeFactory.instance.nullNode());
        Optional<ChiSquaredTest> friedman = design.friedman().asOptional();
        answer.set(
                "friedman",
                friedman.<JsonNode>map(test -> Answers.object()
                                .put("chi2", test.statistic())
                                .put("df", test.df())
                                .put("p", test.p()))
                        .orElse(JsonNodeFactory.instance.nullNode()));
        return answer;
    }

    private static ObjectNode splitPlot(JsonNode input) {
        String layout = Inputs.text(input, "whole_plot_layout");
        boolean inBlocks = layout.equals("rcbd");
        if (!inBlocks && !layout.equals("crd")) {
            throw new BadInput("“whole_plot_layout” must be rcbd or crd, got “" + layout + "”");
        }
        Factor place = column(input, inBlocks ? BLOCK : "plot");
        Factor whole = column(input, Inputs.text(input, "whole_plot_factor"));
        Factor sub = column(input, Inputs.text(input, "sub_plot_factor"));
        Outcome<SplitPlot> outcome = SplitPlot.of(y(input), place, inBlocks, whole, sub);
        ObjectNode answer = Answers.object();
        outcome.whyNot().ifPresent(reason -> answer.put("identifiable", false).put("reason", reason));
        outcome.asOptional().ifPresent(plot -> describe(answer, plot));
        return answer;
    }

    private static void describe(ObjectNode answer, SplitPlot plot) {
        ObjectNode whole = answer.putObject("whole_plot");
        whole.set("W", line(plot.whole()));
        whole.set("error", line(plot.wholeError()).without(List.of("term", "F", "p")));
        ObjectNode sub = answer.putObject("sub_plot");
        sub.set("S", line(plot.sub()));
        sub.set("WS", line(plot.interaction()));
        sub.set("error", line(plot.subError()).without(List.of("term", "F", "p")));
        plot.block().ifPresent(block -> answer.set("block", line(block).without(List.of("term"))));
        plot.errorsOfDifferences()
                .ifPresentOrElse(
                        errors -> answer.putObject("sed")
                                .put("whole_plot_means", errors.wholeMeans())
                                .put("sub_plot_means", errors.subMeans())
                                .put("sub_within_same_whole", errors.subWithinWhole())
                                .put("whole_within_same_sub", errors.wholeWithinSub()),
                        () -> answer.putNull("sed"));
    }
}
