package elsom.calc;

import elsom.core.stats.Outcome;
import elsom.core.stats.Summary;
import elsom.core.water.Gravimetry;
import elsom.core.water.RefillTime;
import elsom.core.water.TimedMass;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** {@code water_retention}: gravimetric retention of media from the weighings of their units; docs/calc.md. */
final class WaterRetentionFamily implements Family {
    private static final double USUAL_REFILL = 0.5;
    private static final double TIE = 0.02;

    @Override
    public String name() {
        return "water_retention";
    }

    @Override
    public ObjectNode work(JsonNode input) {
        double refill = Inputs.optionalNumber(input, "refill_fraction").orElse(USUAL_REFILL);
        if (!(refill > 0 && refill < 1)) {
            throw new BadInput("“refill_fraction” must be above 0 and below 1, got " + refill);
        }
        ObjectNode answer = JsonNodeFactory.instance.objectNode();
        ArrayNode media = answer.putArray("media");
        List<Map.Entry<String, Double>> means = new ArrayList<>();
        for (JsonNode medium : Inputs.list(input, "media")) {
            String name = Inputs.text(medium, "name");
            List<Gravimetry> units = units(medium);
            media.add(medium(name, units, refill));
            stillHeld(units).ifPresent(mean -> means.add(Map.entry(name, mean)));
        }
        rank(answer.putArray("ranking"), means);
        return answer;
    }

    /** In falling order; means within 2 % of the first of a place share it. Nothing is judged here: units are few. */
    private static void rank(ArrayNode ranking, List<Map.Entry<String, Double>> means) {
        List<Map.Entry<String, Double>> sorted = means.stream()
                .sorted(Map.Entry.<String, Double>comparingByValue().reversed())
                .toList();
        int from = 0;
        while (from < sorted.size()) {
            double lead = sorted.get(from).getValue();
            int to = from + 1;
            while (to < sorted.size() && lead - sorted.get(to).getValue() <= TIE * Math.abs(lead)) {
                to++;
            }
            for (int i = from; i < to; i++) {
                ranking.addObject()
                        .put("place", from + 1)
                        .put("tied", to - from > 1)
                        .put("name", sorted.get(i).getKey())
                        .put("still_held", sorted.get(i).getValue());
            }
            from = to;
        }
    }

    private static List<Gravimetry> units(JsonNode medium) {
        OptionalDouble organic = Inputs.optionalNumber(medium, "organic_matter");
        List<Gravimetry> units = new ArrayList<>();
        for (JsonNode unit : Inputs.list(medium, "units")) {
            List<TimedMass> wet = Inputs.list(unit, "wet").stream()
                    .map(point -> new TimedMass(Inputs.number(point, "hours"), Inputs.number(point, "grams")))
                    .toList();
            units.add(new Gravimetry(
                    Inputs.number(unit, "tare_g"),
                    Inputs.number(unit, "dry_g"),
                    wet,
                    Inputs.number(unit, "volume_ml"),
                    organic));
        }
        if (units.isEmpty()) {
            throw new BadInput("“units” of “" + Inputs.text(medium, "name") + "” must hold at least one unit");
        }
        return units;
    }

    private static Optional<Double> stillHeld(List<Gravimetry> units) {
        double[] last = units.stream()
                .filter(unit -> !unit.wet().isEmpty())
                .mapToDouble(
                        unit -> unit.waterByVolume(unit.wet().get(unit.wet().size() - 1)))
                .toArray();
        return last.length == 0
                ? Optional.empty()
                : Optional.of(Summary.of(last).mean());
    }

    private static ObjectNode medium(String name, List<Gravimetry> units, double refill) {
        ObjectNode node =
                JsonNodeFactory.instance.objectNode().put("name", name).put("n", units.size());
        put(node, "dry_mass_g", units, unit -> Outcome.found(unit.dryMassG()));
        put(node, "bulk_density", units, unit -> Outcome.found(unit.bulkDensity()));
        put(node, "held_ml", units, Gravimetry::heldMl);
        put(node, "container_capacity", units, Gravimetry::containerCapacity);
        put(node, "water_by_dry_mass", units, Gravimetry::waterByDryMass);
        put(node, "total_porosity", units, Gravimetry::totalPorosity);
        put(node, "air_filled_porosity", units, Gravimetry::airFilledPorosity);
        put(node, "lost", units, unit -> last(unit, unit::lostBy));
        put(node, "still_held", units, unit -> last(unit, mass -> Outcome.found(unit.waterByVolume(mass))));
        put(node, "refill_weight_g", units, unit -> unit.refillWeightG(refill));
        put(
                node,
                "refill_after_hours",
                units,
                unit -> RefillTime.of(unit, refill).then(time -> Outcome.found(time.hours())));
        return node;
    }

    private static Outcome<Double> last(Gravimetry unit, Function<TimedMass, Outcome<Double>> sum) {
        return unit.wet().isEmpty()
                ? Outcome.notEstimable("Not weighed after draining yet")
                : sum.apply(unit.wet().get(unit.wet().size() - 1));
    }

    private static void put(
            ObjectNode node, String field, List<Gravimetry> units, Function<Gravimetry, Outcome<Double>> sum) {
        List<Outcome<Double>> outcomes = units.stream().map(sum).toList();
        ObjectNode figure = node.putObject(field);
        ArrayNode each = figure.putArray("units");
        outcomes.forEach(outcome -> outcome.asOptional().ifPresentOrElse(each::add, each::addNull));
        double[] values = outcomes.stream()
                .flatMap(outcome -> outcome.asOptional().stream())
                .mapToDouble(Double::doubleValue)
                .toArray();
        figure.put("n", values.length)
                .putNull("mean")
                .putNull("sd")
                .putNull("lower")
                .putNull("upper");
        if (values.length > 0) {
            Summary summary = Summary.of(values);
            figure.put("mean", summary.mean());
            summary.sd().ifPresent(sd -> figure.put("sd", sd));
            summary.interval95().ifPresent(i -> figure.put("lower", i.low()).put("upper", i.high()));
        }
        outcomes.stream()
                .flatMap(outcome -> outcome.whyNot().stream())
                .findFirst()
                .ifPresent(reason -> figure.put("reason", reason));
    }
}
