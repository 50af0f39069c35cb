package elsom.calc;

import elsom.core.design.Power;
import elsom.core.stats.MaximumT;
import elsom.core.stats.Outcome;
import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** {@code power}: sizes, powers and detectable differences. */
final class PowerFamily implements Family {
    @Override
    public String name() {
        return "power";
    }

    @Override
    public ObjectNode work(JsonNode input) {
        String kind = Inputs.text(input, "kind");
        double alpha = GroupsInput.alpha(input);
        return switch (kind) {
            case "anova_n" -> anovaSize(input, alpha);
            case "t_n" ->
                size(Answers.object(), Power.tSize(Inputs.number(input, "delta") / sd(input), alpha, power(input)));
            case "anova_power" -> {
                double[] means = Inputs.array(Inputs.numbers(input, "means"));
                int n = units(input, "n");
                double f = Power.cohenF(means, sd(input));
                yield Answers.object()
                        .put("cohen_f", f)
                        .put("lambda", n * means.length * f * f)
                        .put("power", Power.anova(means.length, n, f, alpha));
            }
            case "t_power" ->
                Answers.object()
                        .put(
                                "power",
                                Power.t(
                                        units(input, "n1"),
                                        units(input, "n2"),
                                        Inputs.number(input, "delta") / sd(input),
                                        alpha));
            case "t_mdd" ->
                detectable(Power.tDetectable(units(input, "n1"), units(input, "n2"), alpha, power(input)), sd(input));
            case "anova_mdd" ->
                detectable(
                        Power.anovaDetectable(Inputs.whole(input, "groups"), units(input, "n"), alpha, power(input)),
                        sd(input));
            case "prop_n" -> proportions(share(input, "p1"), share(input, "p2"), alpha, power(input));
            case "fisher_power" ->
                Answers.object()
                        .put(
                                "power",
                                Power.fisher(
                                        share(input, "p1"),
                                        share(input, "p2"),
                                        units(input, "n1"),
                                        units(input, "n2"),
                                        alpha));
            case "dunnett_like_mdd" -> againstControl(input, alpha);
            default ->
                throw new BadInput(
                        "“kind” must be anova_n, anova_power, t_n, t_power, t_mdd, anova_mdd, dunnett_like_mdd, prop_n or fisher_power, got “"
                                + kind + "”");
        };
    }

    private static double power(JsonNode input) {
        double power = Inputs.number(input, "power");
        if (!(power > 0 && power < 1)) {
            throw new BadInput("“power” must be above 0 and below 1, got " + power);
        }
        return power;
    }

    private static double sd(JsonNode input) {
        double sd = Inputs.number(input, "sd");
        if (!(sd > 0)) {
            throw new BadInput("“sd” must be above 0, got " + sd);
        }
        return sd;
    }

    private static int units(JsonNode input, String field) {
        int n = Inputs.whole(input, field);
        if (n < 2) {
            throw new BadInput("“" + field + "” must be at least 2, got " + n);
        }
        return n;
    }

    private static double share(JsonNode input, String field) {
        double share = Inputs.number(input, field);
        if (!(share >= 0 && share <= 1)) {
            throw new BadInput("“" + field + "” must be 0 to 1, got " + share);
        }
        return share;
    }

    private static ObjectNode anovaSize(JsonNode input, double alpha) {
        int groups;
        double f;
        if (input.has("means")) {
            double[] means = Inputs.array(Inputs.numbers(input, "means"));
            groups = means.length;
            f = Power.cohenF(means, sd(input));
        } else {
            groups = Inputs.whole(input, "groups");
            f = Inputs.number(input, "f");
        }
        if (groups < 2) {
            throw new BadInput("two or more groups are needed, got " + groups);
        }
        ObjectNode answer = Answers.object().put("cohen_f", f);
        Outcome<Power.Size> size = Power.anovaSize(groups, f, alpha, power(input));
        size(answer, size);
        return Answers.put(answer, "lambda", size.asOptional().map(s -> s.perGroup() * groups * f * f));
    }

    private static ObjectNode size(ObjectNode answer, Outcome<Power.Size> outcome) {
        Optional<Power.Size> size = outcome.asOptional();
        outcome.whyNot().ifPresent(reason -> answer.put("reason", reason));
        Answers.put(
                answer,
                "n_continuous",
                size.filter(s -> !s.twoSuffice())
                        .map(s -> OptionalDouble.of(s.exact()))
                        .orElse(OptionalDouble.empty()));
        answer.set(
                "n_per_group",
                size.<JsonNode>map(s -> JsonNodeFactory.instance.numberNode(s.perGroup()))
                        .orElse(JsonNodeFactory.instance.nullNode()));
        return Answers.put(answer, "achieved_power", size.map(Power.Size::achieved));
    }

    private static ObjectNode detectable(double standardised, double sd) {
        return Answers.object().put("delta_over_sd", standardised).put("mdd", standardised * sd);
    }

    /** The difference from a control that is just significant by Dunnett, with n units in every group. */
    private static ObjectNode againstControl(JsonNode input, double alpha) {
        int n = units(input, "n");
        int treatments =
                input.has("treatments") ? Inputs.whole(input, "treatments") : Inputs.whole(input, "groups") - 1;
        if (treatments < 1) {
            throw new BadInput("at least one treatment beside the control is needed, got " + treatments);
        }
        int[] sizes = new int[treatments];
        Arrays.fill(sizes, n);
        double critical = MaximumT.of(n, sizes, (treatments + 1.0) * (n - 1)).twoSidedQuantile(alpha);
        double standardised = critical * Math.sqrt(2.0 / n);
        return detectable(standardised, sd(input)).put("crit", critical);
    }

    private static ObjectNode proportions(double p1, double p2, double alpha, double power) {
        ObjectNode answer = Answers.object();
        boolean same = p1 == p2;
        double h = Power.cohenH(p1, p2);
        Optional<Double> n = same ? Optional.empty() : Optional.of(Power.proportionsSize(p1, p2, alpha, power));
        Answers.put(answer, "n_continuous", n);
        answer.set(
                "n_per_group",
                n.<JsonNode>map(exact -> JsonNodeFactory.instance.numberNode((int) Math.ceil(exact - 1e-9)))
                        .orElse(JsonNodeFactory.instance.nullNode()));
        answer.put("cohen_h", h);
        return Answers.put(
                answer, "n_arcsine", same ? Optional.empty() : Optional.of(Power.arcsineSize(h, alpha, power)));
    }
}
