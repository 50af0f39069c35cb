package elsom.calc;

import elsom.core.stats.AnswerChances;
import elsom.core.stats.AnyBesideControl;
import elsom.core.stats.MaximumT;
import elsom.core.stats.StudentisedRange;
import elsom.core.stats.TrayAnswers;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import org.apache.commons.statistics.distribution.TDistribution;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** {@code power_answers}: how likely each answer is under a true difference, for the design that will judge. */
final class PowerAnswersFamily implements Family {
    @Override
    public String name() {
        return "power_answers";
    }

    @Override
    public Object work(JsonNode input) {
        String kind = Inputs.text(input, "kind");
        return switch (kind) {
            case "many_to_one" -> manyToOne(input);
            case "best_pair" -> bestPair(input);
            case "split_plot_whole" -> wholePlots(input);
            case "interaction_contrast" -> interaction(input);
            case "share_many_to_one" -> shares(input);
            default ->
                throw new BadInput("“kind” must be many_to_one, best_pair, split_plot_whole, interaction_contrast or"
                        + " share_many_to_one, got “" + kind + "”");
        };
    }

    /** A number above 0. */
    private static double above0(JsonNode input, String field) {
        double value = Inputs.number(input, field);
        if (!(value > 0)) {
            throw new BadInput("“" + field + "” must be above 0, got " + value);
        }
        return value;
    }

    private static int atLeast(JsonNode input, String field, int least) {
        int value = Inputs.whole(input, field);
        if (value < least) {
            throw new BadInput("“" + field + "” must be " + least + " or more, got " + value);
        }
        return value;
    }

    private static boolean lowerIsBetter(JsonNode input) {
        String better = input.path("better").asString("higher");
        if (!better.equals("higher") && !better.equals("lower")) {
            throw new BadInput("“better” must be higher or lower, got “" + better + "”");
        }
        return better.equals("lower");
    }

    private static OptionalDouble margin(JsonNode input) {
        OptionalDouble margin = Inputs.optionalNumber(input, "margin");
        if (margin.isPresent() && !(margin.getAsDouble() > 0)) {
            throw new BadInput("“margin” must be above 0, got " + margin.getAsDouble());
        }
        return margin;
    }

    private static ObjectNode answers(ObjectNode node, AnswerChances chances, boolean lowerIsBetter) {
        return node.put("different", chances.different())
                .put("better", lowerIsBetter ? chances.less() : chances.more())
                .put("worse", lowerIsBetter ? chances.more() : chances.less())
                .put("no_difference", chances.noDifference())
                .put("cant_tell", chances.cantTell());
    }

    private static ObjectNode one(JsonNode input, double difference, double error, int df, double critical) {
        if (df < 1) {
            throw new BadInput("there are no degrees of freedom for the scatter");
        }
        ObjectNode node = Answers.object().put("df", df).put("crit", critical).put("se", error);
        return answers(node, AnswerChances.of(difference, error, df, critical, margin(input)), lowerIsBetter(input));
    }

    private static double student(JsonNode input, int df) {
        return TDistribution.of(Math.max(1, df)).inverseSurvivalProbability(GroupsInput.alpha(input) / 2);
    }

    private static double range(JsonNode input, int means, int df) {
        return StudentisedRange.of(means, Math.max(1, df)).upperQuantile(GroupsInput.alpha(input)) / Math.sqrt(2);
    }

    private static ObjectNode manyToOne(JsonNode input) {
        int control = atLeast(input, "n_control", 1);
        int[] n = Inputs.wholes("n", Inputs.numbers(input, "n"));
        double[] truth = Inputs.array(Inputs.numbers(input, "true_difference"));
        double sd = above0(input, "sd");
        if (n.length == 0 || n.length != truth.length || Arrays.stream(n).anyMatch(units -> units < 1)) {
            throw new BadInput("“n” and “true_difference” must be equally long, with a unit or more of each");
        }
        int df = input.has("blocks")
                ? n.length * (atLeast(input, "blocks", 2) - 1)
                : control + Arrays.stream(n).sum() - n.length - 1;
        if (df < 1) {
            throw new BadInput("there are no degrees of freedom for the scatter");
        }
        double critical = MaximumT.of(control, n, df).twoSidedQuantile(GroupsInput.alpha(input));
        ObjectNode answer = Answers.object()
                .put("df", df)
                .put("crit", critical)
                .put("any_different", AnyBesideControl.told(control, n, truth, sd, df, critical));
        ArrayNode comparisons = answer.putArray("comparisons");
        for (int i = 0; i < n.length; i++) {
            double error = sd * Math.sqrt(1.0 / control + 1.0 / n[i]);
            answers(
                    comparisons.addObject().put("se", error),
                    AnswerChances.of(truth[i], error, df, critical, margin(input)),
                    lowerIsBetter(input));
        }
        return answer;
    }

    private static ObjectNode bestPair(JsonNode input) {
        List<Double> means = Inputs.numbers(input, "means");
        if (means.size() < 2) {
            throw new BadInput("“means” must hold two or more, got " + means.size());
        }
        int n = atLeast(input, "n", 2);
        int df = input.has("blocks") ? (means.size() - 1) * (atLeast(input, "blocks", 2) - 1) : means.size() * (n - 1);
        double truth = means.stream().mapToDouble(Double::doubleValue).max().orElseThrow()
                - means.stream().mapToDouble(Double::doubleValue).min().orElseThrow();
        return one(input, truth, above0(input, "sd") * Math.sqrt(2.0 / n), df, range(input, means.size(), df))
                .put("true_difference", truth);
    }

    private static ObjectNode wholePlots(JsonNode input) {
        int whole = atLeast(input, "whole_levels", 2);
        int sub = atLeast(input, "sub_levels", 1);
        int blocks = atLeast(input, "blocks", 2);
        int df = (whole - 1) * (blocks - 1);
        double variance = Math.pow(above0(input, "sd_sub"), 2) + sub * Math.pow(Inputs.number(input, "sd_whole"), 2);
        double critical = input.path("all_pairs").asBoolean(false) ? range(input, whole, df) : student(input, df);
        return one(
                input, Inputs.number(input, "true_difference"), Math.sqrt(2 * variance / (blocks * sub)), df, critical);
    }

    /** The difference of two differences of four cells. */
    private static ObjectNode interaction(JsonNode input) {
        int n = atLeast(input, "n", 2);
        int df = input.has("blocks") ? 3 * (atLeast(input, "blocks", 2) - 1) : 4 * (n - 1);
        return one(
                input,
                Inputs.number(input, "true_difference"),
                above0(input, "sd") * Math.sqrt(4.0 / n),
                df,
                student(input, df));
    }

    private static ObjectNode shares(JsonNode input) {
        int simulations = atLeast(input, "simulations", 1);
        TrayAnswers found;
        try {
            found = TrayAnswers.of(
                    new TrayAnswers.Plan(
                            Inputs.numbers(input, "shares"),
                            Inputs.whole(input, "trays"),
                            Inputs.whole(input, "plants"),
                            Inputs.number(input, "icc")),
                    GroupsInput.alpha(input),
                    margin(input).orElse(Double.NaN),
                    simulations,
                    Inputs.whole(input, "seed"));
        } catch (IllegalArgumentException impossible) {
            throw new BadInput(String.valueOf(impossible.getMessage()));
        }
        ObjectNode answer = Answers.object()
                .put("df", found.df())
                .put("crit", found.critical())
                .put("any_different", found.anyDifferent());
        ArrayNode comparisons = answer.putArray("comparisons");
        found.comparisons().forEach(chances -> answers(comparisons.addObject(), chances, lowerIsBetter(input)));
        return answer.put("monte_carlo_error", Math.sqrt(0.25 / simulations));
    }
}
