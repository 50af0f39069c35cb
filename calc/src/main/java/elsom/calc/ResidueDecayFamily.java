package elsom.calc;

import elsom.core.curve.LeastSquaresFit;
import elsom.core.seedling.InjuryDecline;
import elsom.core.seedling.ResidueDecay;
import elsom.core.stats.InverseLine;
import elsom.core.stats.LogisticLine;
import elsom.core.stats.Outcome;
import elsom.core.stats.StraightLine;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** {@code residue_decay}: first-order decay, and plant-back from counts or percentages. */
final class ResidueDecayFamily implements Family {
    @Override
    public String name() {
        return "residue_decay";
    }

    @Override
    public ObjectNode work(JsonNode input) {
        String kind = Inputs.text(input, "kind");
        return switch (kind) {
            case "first_order" -> firstOrder(input);
            case "plantback_binomial" -> counts(input);
            case "plantback_continuous" -> percentages(input);
            default ->
                throw new BadInput(
                        "“kind” must be first_order, plantback_binomial or plantback_continuous, got “" + kind + "”");
        };
    }

    private static ObjectNode firstOrder(JsonNode input) {
        List<Double> days = Inputs.numbers(input, "day");
        List<Double> concentrations = Inputs.numbers(input, "conc");
        Inputs.sameLength("day", days, "conc", concentrations);
        List<ResidueDecay.Sample> samples = new ArrayList<>();
        for (int i = 0; i < days.size(); i++) {
            samples.add(new ResidueDecay.Sample(days.get(i), concentrations.get(i)));
        }
        int used = (int) concentrations.stream().filter(c -> c > 0).count();
        ObjectNode answer = Answers.object().put("n_used", used).put("n_excluded", days.size() - used);
        Outcome<ResidueDecay> outcome = ResidueDecay.fit(samples);
        outcome.whyNot().ifPresent(reason -> answer.put("reason", reason));
        Optional<ResidueDecay> decay = outcome.asOptional();
        Answers.put(answer, "ln_c0", decay.map(d -> d.line().intercept()));
        Answers.put(answer, "c0", decay.map(d -> Math.exp(d.line().intercept())));
        Answers.put(answer, "k", decay.map(ResidueDecay::ratePerDay));
        Optional<StraightLine> line = decay.map(ResidueDecay::line);
        Answers.put(answer, "k_se", line.map(StraightLine::slopeError).orElse(OptionalDouble.empty()));
        Answers.put(answer, "k_lower", "k_upper", decay.flatMap(ResidueDecay::rateInterval95));
        Answers.put(answer, "k_p", line.map(StraightLine::slopeP).orElse(OptionalDouble.empty()));
        Answers.put(answer, "r2", line.map(StraightLine::rSquared).orElse(OptionalDouble.empty()));
        Answers.put(answer, "residual_se", line.map(StraightLine::residualError).orElse(OptionalDouble.empty()));
        answer.set("dt50", halfLife(decay, 0.5));
        answer.set("dt90", halfLife(decay, 0.1));
        if (input.path("nonlinear").asBoolean(false)) {
            answer.set("nonlinear", curve(ResidueDecay.fitCurve(samples).asOptional()));
        }
        return answer;
    }

    private static ObjectNode halfLife(Optional<ResidueDecay> decay, double left) {
        ObjectNode node = Answers.object();
        Answers.put(node, "estimate", decay.flatMap(d -> d.daysTo(left).asOptional()));
        Answers.put(node, "lower", "upper", decay.flatMap(d -> d.daysToInterval95(left)));
        return node;
    }

    private static ObjectNode curve(Optional<LeastSquaresFit> fit) {
        ObjectNode node = Answers.object();
        Answers.put(node, "c0", fit.map(f -> f.estimates()[0]));
        Answers.put(node, "c0_se", fit.map(f -> f.standardError(0)));
        Answers.put(node, "k", fit.map(f -> f.estimates()[1]));
        Answers.put(node, "k_se", fit.map(f -> f.standardError(1)));
        Answers.put(node, "rss", fit.map(LeastSquaresFit::residualSumOfSquares));
        Optional<Double> rate = fit.map(f -> f.estimates()[1]).filter(k -> k > 0);
        Answers.put(node, "dt50", rate.map(k -> Math.log(2) / k));
        Answers.put(node, "dt90", rate.map(k -> Math.log(10) / k));
        return node;
    }

    private static ObjectNode counts(JsonNode input) {
        List<Double> days = Inputs.numbers(input, "day");
        List<Double> n = Inputs.numbers(input, "n");
        List<Double> injured = Inputs.numbers(input, "injured");
        Inputs.sameLength("day", days, "n", n);
        Inputs.sameLength("day", days, "injured", injured);
        Outcome<LogisticLine> outcome =
                LogisticLine.fit(Inputs.array(days), Inputs.wholes("n", n), Inputs.wholes("injured", injured));
        ObjectNode answer =
                Answers.object().put("identifiable", outcome.asOptional().isPresent());
        outcome.whyNot().ifPresent(reason -> answer.put("reason", reason));
        outcome.asOptional().ifPresent(line -> {
            answer.put("intercept", line.line().intercept());
            answer.put("intercept_se", Math.sqrt(line.line().varianceOfIntercept()));
            answer.put("slope", line.line().slope())
                    .put("slope_se", Math.sqrt(line.line().varianceOfSlope()));
            answer.put("deviance", line.deviance()).put("df", line.degreesOfFreedom());
            ArrayNode thresholds = answer.putArray("thresholds");
            Inputs.numbers(input, "thresholds").forEach(threshold -> thresholds.add(dayAt(line, threshold)));
        });
        return answer;
    }

    private static ObjectNode dayAt(LogisticLine line, double threshold) {
        Optional<InverseLine.Place> place = line.at(threshold).asOptional();
        ObjectNode node = Answers.object().put("threshold", threshold);
        Answers.put(node, "day", place.map(InverseLine.Place::x));
        Answers.put(node, "se", place.map(InverseLine.Place::standardError));
        Answers.put(node, "lower", "upper", place.map(InverseLine.Place::interval95));
        return Answers.put(node, "fieller_lower", "fieller_upper", place.flatMap(InverseLine.Place::fieller95));
    }

    private static ObjectNode percentages(JsonNode input) {
        List<Double> days = Inputs.numbers(input, "day");
        List<Double> injury = Inputs.numbers(input, "injury_percent");
        OptionalDouble upper =
                input.path("upper").isNumber() ? Inputs.optionalNumber(input, "upper") : OptionalDouble.empty();
        Outcome<InjuryDecline> outcome = InjuryDecline.fit(Inputs.array(days), Inputs.array(injury), upper);
        ObjectNode answer =
                Answers.object().put("identifiable", outcome.asOptional().isPresent());
        outcome.whyNot().ifPresent(reason -> answer.put("reason", reason));
        outcome.asOptional().ifPresent(curve -> {
            LeastSquaresFit fit = curve.fit();
            ObjectNode parameters = answer.putObject("params");
            List<String> names = List.of("k", "d50", "U");
            for (int i = 0; i < fit.estimates().length; i++) {
                parameters
                        .putObject(names.get(i))
                        .put("estimate", fit.estimates()[i])
                        .put("se", fit.standardError(i));
            }
            answer.put("rss", fit.residualSumOfSquares()).put("df", fit.degreesOfFreedom());
            answer.put("residual_se", Math.sqrt(fit.residualVariance()));
            ArrayNode thresholds = answer.putArray("thresholds");
            Inputs.numbers(input, "thresholds").forEach(threshold -> thresholds.add(dayAt(curve, threshold)));
        });
        return answer;
    }

    private static ObjectNode dayAt(InjuryDecline curve, double threshold) {
        ObjectNode node = Answers.object().put("threshold", threshold);
        Optional<InjuryDecline.Day> day = curve.dayAt(threshold).asOptional();
        Answers.put(node, "day", day.map(InjuryDecline.Day::day));
        Answers.put(node, "se", day.map(InjuryDecline.Day::standardError));
        return Answers.put(node, "lower", "upper", day.map(InjuryDecline.Day::interval95));
    }
}
