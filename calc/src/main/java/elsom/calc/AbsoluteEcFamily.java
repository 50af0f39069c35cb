package elsom.calc;

import elsom.core.curve.CurveAverage;
import elsom.core.curve.CurveFit;
import elsom.core.curve.CurveModel;
import elsom.core.curve.DoseLevels;
import elsom.core.curve.DoseResponse;
import elsom.core.curve.EffectiveDose;
import elsom.core.curve.PowerOfMean;
import elsom.core.curve.QuantalFit;
import elsom.core.curve.QuantalLevel;
import elsom.core.curve.QuantalTrays;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** {@code absolute_ec}: doses for so many percent below the control, of one curve, of several averaged, of trays. */
final class AbsoluteEcFamily implements Family {
    @Override
    public String name() {
        return "absolute_ec";
    }

    @Override
    public Object work(JsonNode input) {
        String kind = Inputs.text(input, "kind");
        return switch (kind) {
            case "absolute" -> absolute(input);
            case "model_average" ->
                CurveAverage.of(
                        Inputs.list(input, "models").stream()
                                .map(model -> fit(model(model.stringValue()), levels(input)))
                                .toList(),
                        Inputs.numbers(input, "percents"));
            case "quantal_trays" -> trays(input);
            default ->
                throw new BadInput("“kind” must be absolute, model_average or quantal_trays, got “" + kind + "”");
        };
    }

    private static CurveModel model(String code) {
        return Arrays.stream(CurveModel.values())
                .filter(model -> model.code().equals(code))
                .findFirst()
                .orElseThrow(() ->
                        new BadInput("“model” must be LL.3, LL.4, W1.3, W1.4, W2.3, W2.4 or BC.4, got “" + code + "”"));
    }

    private static DoseLevels levels(JsonNode input) {
        return DoseLevels.of(new DoseResponse(points(input)));
    }

    private static List<DoseResponse.Point> points(JsonNode input) {
        List<Double> doses = Inputs.numbers(input, "dose");
        List<JsonNode> responses = Inputs.list(input, "response");
        Inputs.sameLength("dose", doses, "response", responses);
        List<DoseResponse.Point> points = new ArrayList<>();
        for (int i = 0; i < doses.size(); i++) {
            if (doses.get(i) < 0) {
                throw new BadInput("a dose must be 0 or more, got " + doses.get(i));
            }
            if (responses.get(i).isNumber()) {
                points.add(new DoseResponse.Point(doses.get(i), responses.get(i).doubleValue()));
            } else if (!responses.get(i).isNull()) {
                throw new BadInput("“response” must hold numbers or null only, got " + responses.get(i));
            }
        }
        if (points.stream().noneMatch(point -> point.dose() > 0)) {
            throw new BadInput("a dose above 0 is needed");
        }
        return points;
    }

    private static CurveFit fit(CurveModel model, DoseLevels levels) {
        if (levels.units() <= model.parameters()) {
            throw new BadInput("“" + model.code() + "” needs more than " + model.parameters() + " responses, got "
                    + levels.units());
        }
        return CurveFit.of(model, levels).orElseThrow(BadInput::new);
    }

    private static ObjectNode absolute(JsonNode input) {
        String spread = input.path("spread").asString("constant");
        CurveModel model = model(Inputs.text(input, "model"));
        CurveFit fit = switch (spread) {
            case "constant", "power_of_mean" -> fit(model, levels(input));
            case "both_sides_log" -> CurveFit.ofLogs(model, logs(input)).orElseThrow(BadInput::new);
            default ->
                throw new BadInput("“spread” must be constant, power_of_mean or both_sides_log, got “" + spread + "”");
        };
        if (spread.equals("power_of_mean")) {
            return powerOfMean(
                    PowerOfMean.of(fit, points(input), Inputs.numbers(input, "percents")), names(fit.model()));
        }
        ObjectNode answer = Answers.object();
        ObjectNode params = answer.putObject("params");
        List<String> names = names(fit.model());
        List<Double> errors = fit.standardErrors();
        for (int i = 0; i < names.size(); i++) {
            double estimate = fit.fit().estimates()[i];
            params.putObject(names.get(i))
                    .put("estimate", names.get(i).equals("e") ? Math.exp(estimate) : estimate)
                    .put("se", errors.get(i));
        }
        answer.put("rss", fit.fit().residualSumOfSquares())
                .put("df", fit.fit().degreesOfFreedom())
                .put("residual_se", Math.sqrt(fit.fit().residualVariance()))
                .put("fitted_at_zero", fit.atNone());
        if (fit.model() == CurveModel.BC_4) {
            answer.put("max_dose", Math.exp(fit.logPeak())).put("max_response", fit.at(Math.exp(fit.logPeak())));
        }
        ArrayNode doses = answer.putArray("ec");
        for (double percent : Inputs.numbers(input, "percents")) {
            doses.add(dose(EffectiveDose.of(fit, percent), fit.levels()));
        }
        return answer;
    }

    private static DoseLevels logs(JsonNode input) {
        List<DoseResponse.Point> points = points(input);
        if (points.stream().anyMatch(point -> !(point.response() > 0))) {
            throw new BadInput("“both_sides_log” needs responses above 0");
        }
        return DoseLevels.of(new DoseResponse(points.stream()
                .map(point -> new DoseResponse.Point(point.dose(), Math.log(point.response())))
                .toList()));
    }

    private static ObjectNode powerOfMean(PowerOfMean found, List<String> names) {
        ObjectNode answer = Answers.object();
        ObjectNode params = answer.putObject("params");
        for (int i = 0; i < names.size(); i++) {
            boolean log = names.get(i).equals("e");
            double estimate = found.estimates().get(i);
            double value = log ? Math.exp(estimate) : estimate;
            params.putObject(names.get(i))
                    .put("estimate", value)
                    .put("se", (log ? value : 1) * found.errors().get(i));
        }
        answer.putObject("delta").put("estimate", found.delta()).put("se", found.deltaError());
        answer.put("sigma", found.sigma()).put("loglik", found.loglik());
        ArrayNode doses = answer.putArray("ec");
        for (PowerOfMean.Dose dose : found.doses()) {
            ObjectNode node =
                    doses.addObject().put("percent", dose.percent()).put("reached", Double.isFinite(dose.estimate()));
            Answers.put(node, "estimate", dose.estimate());
            Answers.put(node, "se_log", dose.logError());
            Answers.put(node, "low", dose.low());
            Answers.put(node, "high", dose.high());
            Answers.put(node, "low_profile", dose.lowByProfile());
            Answers.put(node, "high_profile", dose.highByProfile());
        }
        return answer;
    }

    private static List<String> names(CurveModel model) {
        return switch (model) {
            case BC_4 -> List.of("b", "d", "e", "f");
            case LL_3, W1_3, W2_3 -> List.of("b", "d", "e");
            case LL_4, W1_4, W2_4 -> List.of("b", "c", "d", "e");
        };
    }

    private static ObjectNode dose(EffectiveDose found, DoseLevels levels) {
        boolean reached = found.estimate().isPresent();
        ObjectNode node = Answers.object().put("percent", found.percent()).put("reached", reached);
        Answers.put(node, "estimate", found.estimate());
        Answers.put(node, "se_log", found.logError());
        Answers.put(node, "low", found.low());
        Answers.put(node, "high", found.high());
        Answers.put(node, "low_dose_scale", found.lowOnDoseScale());
        Answers.put(node, "high_dose_scale", found.highOnDoseScale());
        Answers.put(node, "low_profile", found.lowByProfile());
        Answers.put(node, "high_profile", found.highByProfile());
        return Answers.put(node, "extrapolated", reached ? found.extrapolated(levels) : null);
    }

    private static ObjectNode trays(JsonNode input) {
        List<Double> doses = Inputs.numbers(input, "dose");
        List<Double> n = Inputs.numbers(input, "n");
        List<Double> dead = Inputs.numbers(input, "dead");
        Inputs.sameLength("dose", doses, "n", n);
        Inputs.sameLength("dose", doses, "dead", dead);
        List<QuantalLevel> units = new ArrayList<>();
        for (int i = 0; i < doses.size(); i++) {
            units.add(new QuantalLevel(doses.get(i), Inputs.whole("n", n.get(i)), Inputs.whole("dead", dead.get(i))));
        }
        QuantalFit fit = QuantalFit.fit(units, QuantalDoseFamily.link(Inputs.text(input, "link")), true)
                .orElseThrow(BadInput::new);
        QuantalTrays trays = QuantalTrays.of(fit);
        ObjectNode answer = Answers.object();
        ObjectNode params = answer.putObject("params");
        estimate(
                params,
                "intercept",
                fit.line().intercept(),
                trays.widened(fit.line().varianceOfIntercept()));
        estimate(params, "slope", fit.line().slope(), trays.widened(fit.line().varianceOfSlope()));
        estimate(
                params,
                "background",
                fit.background(),
                fit.backgroundError().isPresent()
                        ? OptionalDouble.of(fit.backgroundError().getAsDouble() * Math.sqrt(trays.factor()))
                        : OptionalDouble.empty());
        answer.put("pearson_chi2", fit.pearson().statistic())
                .put("df", fit.pearson().df())
                .put("heterogeneity", trays.heterogeneity())
                .put("factor_used", trays.factor())
                .put("multiplier", trays.multiplier())
                .put("g", trays.g());
        ArrayNode doseList = answer.putArray("lc");
        for (double percent : Inputs.numbers(input, "percents")) {
            QuantalTrays.Place place = trays.at(percent);
            ObjectNode node = doseList.addObject()
                    .put("percent", percent)
                    .put("estimate", place.dose())
                    .put("se_log10", place.log10Error())
                    .put("low", place.byError().low())
                    .put("high", place.byError().high());
            Answers.put(node, "low_fieller", "high_fieller", place.fieller());
        }
        return answer;
    }

    private static void estimate(ObjectNode params, String name, double value, OptionalDouble error) {
        Answers.put(params.putObject(name).put("estimate", value), "se", error);
    }
}
