package elsom.calc;

import elsom.core.stats.Group;
import elsom.core.stats.OneWay;
import elsom.core.stats.Outcome;
import elsom.core.stats.Summary;
import elsom.core.stats.Tests.ChiSquaredTest;
import elsom.core.stats.Tests.FTest;
import elsom.core.stats.Tests.ShapiroTest;
import java.util.Optional;
import java.util.OptionalDouble;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** {@code one_way_anova}: descriptive statistics and one-way comparisons. */
final class OneWayFamily implements Family {
    @Override
    public String name() {
        return "one_way_anova";
    }

    @Override
    public ObjectNode work(JsonNode input) {
        OneWay design = OneWay.of(GroupsInput.groups(input));
        ObjectNode answer = Answers.object();
        ArrayNode groups = answer.putArray("groups");
        design.groups().forEach(group -> groups.add(describe(group, design)));
        answer.put("grand_mean", design.grandMean());
        answer.set("anova", anova(design));
        answer.set("welch", f(design.welch(), design.dfBetween(), OptionalDouble.empty()));
        answer.set("kruskal", kruskal(design));
        OptionalDouble within = OptionalDouble.of(design.dfWithin());
        answer.set("levene_mean", f(design.levene(), design.dfBetween(), within));
        answer.set("brown_forsythe", f(design.brownForsythe(), design.dfBetween(), within));
        Optional<ShapiroTest> normality = design.residualNormality().asOptional();
        ObjectNode shapiro = answer.putObject("shapiro_residuals");
        Answers.put(shapiro, "W", normality.map(ShapiroTest::w));
        Answers.put(shapiro, "p", normality.map(ShapiroTest::p));
        return answer;
    }

    private static ObjectNode describe(Group group, OneWay design) {
        Summary summary = Summary.of(Inputs.array(group.values()));
        ObjectNode node =
                Answers.object().put("name", group.name()).put("n", group.n()).put("mean", group.mean());
        Answers.put(node, "sd", summary.sd());
        Optional<Double> sd =
                summary.sd().isPresent() ? Optional.of(summary.sd().getAsDouble()) : Optional.empty();
        Answers.put(node, "se", sd.map(s -> s / Math.sqrt(group.n())));
        OptionalDouble mse = design.meanSquareError();
        Answers.put(
                node,
                "se_pooled",
                mse.isPresent() ? OptionalDouble.of(Math.sqrt(mse.getAsDouble() / group.n())) : OptionalDouble.empty());
        return node.put("median", group.median());
    }

    private static ObjectNode anova(OneWay design) {
        Optional<FTest> test = design.classical().asOptional();
        ObjectNode node = Answers.object()
                .put("ss_between", design.sumOfSquaresBetween())
                .put("df_between", design.dfBetween())
                .put("ss_within", design.sumOfSquaresWithin())
                .put("df_within", design.dfWithin());
        Answers.put(node, "mse", design.meanSquareError());
        Answers.put(node, "F", test.map(FTest::f));
        Answers.put(node, "p", test.map(FTest::p));
        Answers.put(node, "eta_squared", design.etaSquared());
        return Answers.put(node, "omega_squared", design.omegaSquared());
    }

    private static ObjectNode f(Outcome<FTest> outcome, int df1, OptionalDouble df2) {
        Optional<FTest> test = outcome.asOptional();
        ObjectNode node = Answers.object();
        Answers.put(node, "F", test.map(FTest::f));
        node.put("df1", df1);
        Answers.put(node, "df2", test.map(t -> OptionalDouble.of(t.df2())).orElse(df2));
        Answers.put(node, "p", test.map(FTest::p));
        return node;
    }

    private static ObjectNode kruskal(OneWay design) {
        Optional<ChiSquaredTest> test = design.kruskal().asOptional();
        ObjectNode node = Answers.object();
        Answers.put(node, "H", test.map(ChiSquaredTest::statistic));
        node.put("df", design.dfBetween());
        Answers.put(node, "p", test.map(ChiSquaredTest::p));
        return node;
    }
}
