package elsom.calc;

import elsom.core.stats.Outcome;
import elsom.core.water.RetentionCurve;
import elsom.core.water.WaterColumn;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** {@code water_retention_fit}: the retention curve, and water in a column of it. */
final class WaterRetentionFitFamily implements Family {
    @Override
    public String name() {
        return "water_retention_fit";
    }

    @Override
    public ObjectNode work(JsonNode input) {
        String kind = Inputs.text(input, "kind");
        return switch (kind) {
            case "fit" -> fit(input);
            case "derive" -> derive(input);
            case "container" -> container(input);
            case "layered" -> layered(input);
            default -> throw new BadInput("“kind” must be fit, derive, container or layered, got “" + kind + "”");
        };
    }

    private static ObjectNode fit(JsonNode input) {
        List<Double> suction = Inputs.numbers(input, "h");
        List<Double> water = Inputs.numbers(input, "theta");
        Inputs.sameLength("h", suction, "theta", water);
        Outcome<RetentionCurve.Fitted> outcome = RetentionCurve.fit(Inputs.array(suction), Inputs.array(water));
        ObjectNode answer = Answers.object();
        outcome.whyNot().ifPresent(reason -> answer.put("identifiable", false).put("reason", reason));
        outcome.asOptional().ifPresent(fitted -> describe(answer, fitted, input));
        return answer;
    }

    private static void describe(ObjectNode answer, RetentionCurve.Fitted fitted, JsonNode input) {
        RetentionCurve curve = fitted.curve();
        ObjectNode parameters = answer.putObject("params");
        double[] values = {curve.residual(), curve.saturated(), curve.alphaPerCm(), curve.n()};
        List<String> names = List.of("theta_r", "theta_s", "alpha", "n");
        for (int i = 0; i < values.length; i++) {
            ObjectNode parameter = parameters.putObject(names.get(i)).put("estimate", values[i]);
            boolean held = i == 0 && fitted.residualAtBound();
            Answers.put(
                    parameter,
                    "se",
                    held
                            ? OptionalDouble.empty()
                            : OptionalDouble.of(fitted.standardErrors().get(i)));
        }
        answer.put("m", curve.m()).put("theta_r_at_bound", fitted.residualAtBound());
        double rss = fitted.fit().residualSumOfSquares();
        answer.put("rss", rss).put("rmse", Math.sqrt(rss / fitted.points()));
        answer.put("residual_se", Math.sqrt(fitted.fit().residualVariance()));
        double porosity = porosity(input, curve);
        answer.set("derived", derived(curve, porosity));
        ArrayNode containers = answer.putArray("container");
        if (input.has("heights")) {
            for (double height : Inputs.numbers(input, "heights")) {
                double mean = WaterColumn.meanWater(
                        new WaterColumn.Layer(0, height, curve), WaterRetentionFitFamily::unitArea);
                containers
                        .addObject()
                        .put("height", height)
                        .put("theta_mean", mean)
                        .put("air_space", porosity - mean);
            }
        }
    }

    private static double porosity(JsonNode input, RetentionCurve curve) {
        return Inputs.optionalNumber(input, "porosity").orElse(curve.saturated());
    }

    private static RetentionCurve curve(JsonNode parameters) {
        return new RetentionCurve(
                Inputs.number(parameters, "theta_r"),
                Inputs.number(parameters, "theta_s"),
                Inputs.number(parameters, "alpha"),
                Inputs.number(parameters, "n"));
    }

    private static ObjectNode derived(RetentionCurve curve, double porosity) {
        ObjectNode node = Answers.object();
        for (int suction : new int[] {1, 10, 50, 100}) {
            node.put("theta_" + suction, curve.waterAt(suction));
        }
        node.put("easily_available_water", curve.easilyAvailableWater());
        node.put("water_buffer_capacity", curve.waterBufferCapacity());
        return node.put("air_filled_porosity_10", porosity - curve.waterAt(10));
    }

    private static ObjectNode derive(JsonNode input) {
        RetentionCurve curve = curve(input.path("params"));
        ObjectNode answer = Answers.object();
        answer.set("derived", derived(curve, porosity(input, curve)));
        ArrayNode water = answer.putArray("theta");
        if (input.has("h")) {
            Inputs.numbers(input, "h").forEach(h -> water.add(curve.waterAt(h)));
        }
        return answer;
    }

    private static ObjectNode container(JsonNode input) {
        RetentionCurve curve = curve(input.path("params"));
        double height = Inputs.number(input, "height");
        JsonNode shape = input.path("shape");
        DoubleUnaryOperator area = area(shape, height);
        WaterColumn.Layer whole = new WaterColumn.Layer(0, height, curve);
        double mean = WaterColumn.meanWater(whole, area);
        ObjectNode answer = Answers.object().put("theta_mean", mean).put("air_space", porosity(input, curve) - mean);
        answer.put("theta_bottom", curve.waterAt(0)).put("theta_top", curve.waterAt(height));
        if (Inputs.text(shape, "type").equals("cylinder") && !shape.has("radius")) {
            return answer.putNull("volume_cm3").putNull("water_cm3");
        }
        return answer.put("volume_cm3", WaterColumn.volumeMl(whole, area))
                .put("water_cm3", WaterColumn.waterMl(whole, area));
    }

    /** Cross-section in cm² at a height; a cylinder without a radius has no volume, but its mean is the same. */
    private static DoubleUnaryOperator area(JsonNode shape, double height) {
        String type = Inputs.text(shape, "type");
        return switch (type) {
            case "cylinder" -> {
                OptionalDouble radius = Inputs.optionalNumber(shape, "radius");
                yield radius.isPresent()
                        ? z -> Math.PI * radius.getAsDouble() * radius.getAsDouble()
                        : WaterRetentionFitFamily::unitArea;
            }
            case "frustum" -> {
                DoubleUnaryOperator radius =
                        linear(Inputs.number(shape, "r_bottom"), Inputs.number(shape, "r_top"), height);
                yield z -> Math.PI * radius.applyAsDouble(z) * radius.applyAsDouble(z);
            }
            case "rect_frustum" -> {
                DoubleUnaryOperator one =
                        linear(Inputs.number(shape, "bottom_a"), Inputs.number(shape, "top_a"), height);
                DoubleUnaryOperator other =
                        linear(Inputs.number(shape, "bottom_b"), Inputs.number(shape, "top_b"), height);
                yield z -> one.applyAsDouble(z) * other.applyAsDouble(z);
            }
            default -> throw new BadInput("shape must be cylinder, frustum or rect_frustum, got “" + type + "”");
        };
    }

    /** Any constant section has the same mean. */
    private static double unitArea(double height) {
        return 1;
    }

    private static DoubleUnaryOperator linear(double bottom, double top, double height) {
        if (!(bottom >= 0 && top >= 0 && bottom + top > 0)) {
            throw new BadInput("a container's sides must be above 0, got " + bottom + " and " + top);
        }
        return z -> bottom + (top - bottom) * z / height;
    }

    private static ObjectNode layered(JsonNode input) {
        List<WaterColumn.Layer> layers = new ArrayList<>();
        List<Double> porosities = new ArrayList<>();
        for (JsonNode layer : Inputs.list(input, "layers")) {
            RetentionCurve curve = curve(layer.path("params"));
            layers.add(new WaterColumn.Layer(Inputs.number(layer, "bottom"), Inputs.number(layer, "top"), curve));
            porosities.add(porosity(layer, curve));
        }
        double height = layers.stream()
                .mapToDouble(WaterColumn.Layer::topCm)
                .max()
                .orElseThrow(() -> new BadInput("“layers” is empty"));
        DoubleUnaryOperator area = area(input.path("shape"), height);
        ObjectNode answer = Answers.object();
        ArrayNode each = answer.putArray("layers");
        for (int i = 0; i < layers.size(); i++) {
            WaterColumn.Layer layer = layers.get(i);
            double mean = WaterColumn.meanWater(layer, area);
            each.addObject()
                    .put("bottom", layer.bottomCm())
                    .put("top", layer.topCm())
                    .put("theta_mean", mean)
                    .put("air_space", porosities.get(i) - mean)
                    .put("theta_at_bottom", layer.curve().waterAt(layer.bottomCm()))
                    .put("theta_at_top", layer.curve().waterAt(layer.topCm()));
        }
        return answer.put("theta_mean_all", WaterColumn.meanWater(layers, area));
    }
}
