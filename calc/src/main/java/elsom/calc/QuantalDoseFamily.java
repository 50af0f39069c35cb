package elsom.calc;

import elsom.core.curve.QuantalFit;
import elsom.core.curve.QuantalLevel;
import elsom.core.curve.QuantalLink;
import elsom.core.curve.SpearmanKaerber;
import elsom.core.stats.InverseLine;
import elsom.core.stats.Outcome;
import elsom.core.stats.Tests.ChiSquaredTest;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** {@code dose_response_quantal}: probit and logit with background, and Spearman–Kärber. */
final class QuantalDoseFamily implements Family {
    private static final double[] PERCENTS = {10, 50, 90};
    private static final double[] TRIMS = {0, 0.1, 0.2};

    @Override
    public String name() {
        return "dose_response_quantal";
    }

    @Override
    public ObjectNode work(JsonNode input) {
        List<QuantalLevel> levels = levels(input);
        QuantalLink link = link(Inputs.text(input, "link"));
        boolean estimate = "estimate".equals(input.path("background").asString("none"));
        Outcome<QuantalFit> outcome = QuantalFit.fit(levels, link, estimate);
        ObjectNode answer =
                Answers.object().put("identifiable", outcome.asOptional().isPresent());
        outcome.whyNot()
                .ifPresent(why -> answer.put(
                                "reason",
                                QuantalFit.refusal(levels)
                                        .map(QuantalDoseFamily::named)
                                        .orElse(why))
                        .putNull("params")
                        .putNull("lc"));
        outcome.asOptional().ifPresent(fit -> describe(answer, fit, estimate));
        answer.set("spearman_karber", trimmed(SpearmanKaerber.of(levels)));
        return answer;
    }

    static QuantalLink link(String name) {
        return switch (name) {
            case "probit" -> QuantalLink.PROBIT;
            case "logit" -> QuantalLink.LOGIT;
            default -> throw new BadInput("“link” must be probit or logit, got “" + name + "”");
        };
    }

    private static List<QuantalLevel> levels(JsonNode input) {
        List<Double> doses = Inputs.numbers(input, "dose");
        int[] n = Inputs.wholes("n", Inputs.numbers(input, "n"));
        int[] affected = Inputs.wholes("x", Inputs.numbers(input, "x"));
        if (n.length != doses.size() || affected.length != n.length) {
            throw new BadInput("“dose”, “n” and “x” must be equally long");
        }
        List<QuantalLevel> levels = new ArrayList<>();
        for (int i = 0; i < n.length; i++) {
            levels.add(new QuantalLevel(doses.get(i), n[i], affected[i]));
        }
        return levels;
    }

    private static void describe(ObjectNode answer, QuantalFit fit, boolean estimate) {
        InverseLine line = fit.line();
        answer.put("background_at_zero", fit.backgroundAtZero());
        ObjectNode parameters = answer.putObject("params");
        parameter(parameters, "intercept", line.intercept(), Math.sqrt(line.varianceOfIntercept()));
        parameter(parameters, "slope", line.slope(), Math.sqrt(line.varianceOfSlope()));
        if (estimate) {
            Answers.put(
                    parameters.putObject("background").put("estimate", fit.background()), "se", fit.backgroundError());
        } else {
            parameters.putNull("background");
        }
        answer.put("loglik_kernel", fit.kernelLikelihood()).put("loglik_full", fit.fullLikelihood());
        answer.put("deviance", fit.deviance());
        ChiSquaredTest pearson = fit.pearson();
        ObjectNode test = answer.putObject("pearson_chi2")
                .put("chi2", pearson.statistic())
                .put("df", pearson.df());
        boolean judged = pearson.df() > 0;
        Answers.put(test, "p", judged ? OptionalDouble.of(pearson.p()) : OptionalDouble.empty());
        Answers.put(
                test,
                "heterogeneity",
                judged ? OptionalDouble.of(pearson.statistic() / pearson.df()) : OptionalDouble.empty());
        answer.put("g", line.g());
        ArrayNode lc = answer.putArray("lc");
        for (double percent : PERCENTS) {
            lc.add(dose(percent, fit.logDoseAt(percent / 100)));
        }
    }

    private static String named(QuantalFit.Refusal refusal) {
        return refusal == QuantalFit.Refusal.DEAD_CONTROL
                ? "control_total_kill"
                : refusal.name().toLowerCase(Locale.ROOT);
    }

    private static void parameter(ObjectNode parameters, String name, double estimate, double error) {
        parameters.putObject(name).put("estimate", estimate).put("se", error);
    }

    private static ObjectNode dose(double percent, InverseLine.Place place) {
        ObjectNode node = Answers.object().put("p", percent).put("estimate", toDose(place.x()));
        node.put("log10", place.x()).put("se_log10", place.standardError());
        node.put("delta_lower", toDose(place.interval95().low()));
        node.put("delta_upper", toDose(place.interval95().high()));
        Answers.put(node, "fieller_lower", place.fieller95().map(i -> toDose(i.low())));
        return Answers.put(node, "fieller_upper", place.fieller95().map(i -> toDose(i.high())));
    }

    private static ObjectNode trimmed(SpearmanKaerber method) {
        ObjectNode node = Answers.object();
        ArrayNode corrected = node.putArray("abbott_p");
        method.corrected().forEach(corrected::add);
        ArrayNode monotone = node.putArray("monotone_p");
        method.monotone().forEach(monotone::add);
        ArrayNode estimates = node.putArray("estimates");
        for (double trim : TRIMS) {
            OptionalDouble log = method.logDose50(trim);
            Optional<Double> found = log.isPresent() ? Optional.of(log.getAsDouble()) : Optional.empty();
            ObjectNode estimate = estimates.addObject().put("trim", trim);
            Answers.put(estimate, "log10_lc50", found);
            Answers.put(estimate, "lc50", found.map(QuantalDoseFamily::toDose));
            Answers.put(estimate, "se_log10", trim == 0 ? method.untrimmedError() : OptionalDouble.empty());
        }
        return node;
    }

    private static double toDose(double logDose) {
        return Math.pow(10, logDose);
    }
}
