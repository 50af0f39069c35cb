package elsom.calc;

import elsom.core.seedling.Abbott;
import elsom.core.seedling.Dish;
import elsom.core.seedling.GerminationCourse;
import elsom.core.seedling.GerminationIndex;
import elsom.core.stats.Outcome;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** {@code mixed}: germination index, course of germination, Abbott's correction. */
final class MixedFamily implements Family {
    @Override
    public String name() {
        return "mixed";
    }

    @Override
    public ObjectNode work(JsonNode input) {
        String kind = Inputs.text(input, "kind");
        return switch (kind) {
            case "germination_index" -> germinationIndex(input);
            case "time_course" -> timeCourse(input);
            case "abbott" -> abbott(input);
            default ->
                throw new BadInput("“kind” must be germination_index, time_course or abbott, got “" + kind + "”");
        };
    }

    private static List<Dish> dishes(JsonNode input, String side) {
        return Inputs.list(input, side).stream()
                .map(dish -> new Dish(
                        Inputs.whole(dish, "seeds"),
                        Inputs.whole(dish, "germinated"),
                        Inputs.numbers(dish, "root_lengths")))
                .toList();
    }

    private static ObjectNode germinationIndex(JsonNode input) {
        List<Dish> sample = dishes(input, "sample");
        List<Dish> control = dishes(input, "control");
        ObjectNode answer = Answers.object();
        answer.set("sample", side(GerminationIndex.Side.of(sample), OptionalDouble.of(0)));
        answer.set("control", side(GerminationIndex.Side.of(control), OptionalDouble.empty()));
        Outcome<GerminationIndex> outcome = GerminationIndex.of(sample, control);
        percent(answer, "relative_germination", outcome.then(i -> Outcome.found(i.relativeGermination())));
        percent(answer, "relative_root_length", outcome.then(i -> Outcome.found(i.relativeRootLength())));
        percent(answer, "gi", outcome.then(i -> Outcome.found(i.index())));
        percent(answer, "gi_pooled", outcome.then(i -> Outcome.found(i.pooledIndex())));
        percent(answer, "vitality_mean_control", outcome.then(i -> Outcome.found(i.vitalityOverControlMeans())));
        percent(answer, "vitality_sum_control", outcome.then(i -> Outcome.found(i.vitalityOverControlProducts())));
        return answer;
    }

    /** A sample without roots has length 0; a control without has none. */
    private static ObjectNode side(GerminationIndex.Side side, OptionalDouble without) {
        ObjectNode node = Answers.object().put("mean_germination", 100 * side.germination());
        Answers.put(node, "mean_root_length", side.rootMm().isPresent() ? side.rootMm() : without);
        return Answers.put(node, "pooled_root_length", side.pooledRootMm().isPresent() ? side.pooledRootMm() : without);
    }

    private static void percent(ObjectNode node, String field, Outcome<Double> fraction) {
        Answers.put(node, field, fraction.then(value -> Outcome.found(100 * value)));
    }

    private static ObjectNode timeCourse(JsonNode input) {
        List<Double> days = Inputs.numbers(input, "day");
        List<Double> counts = Inputs.numbers(input, "new_germinated");
        Inputs.sameLength("day", days, "new_germinated", counts);
        List<GerminationCourse.Count> course = new ArrayList<>();
        for (int i = 0; i < days.size(); i++) {
            course.add(new GerminationCourse.Count(days.get(i), Inputs.whole("new_germinated", counts.get(i))));
        }
        GerminationCourse worked = GerminationCourse.of(Inputs.whole(input, "seeds"), course);
        ObjectNode answer = Answers.object().put("final_germination_percent", 100 * worked.finalGermination());
        Answers.put(answer, "t50_coolbear", worked.t50Coolbear());
        Answers.put(answer, "t50_farooq", worked.t50Farooq());
        Answers.put(answer, "mean_germination_time", worked.meanDays());
        Answers.put(answer, "mgt_sd", worked.sdDays());
        Answers.put(
                answer,
                "mean_germination_rate",
                worked.meanDays().isPresent()
                        ? OptionalDouble.of(1 / worked.meanDays().getAsDouble())
                        : OptionalDouble.empty());
        return answer.put("speed_index_maguire", worked.speed());
    }

    private static ObjectNode abbott(JsonNode input) {
        double control = mortality(input.path("control"));
        ObjectNode answer = Answers.object().put("control_mortality_percent", 100 * control);
        ArrayNode results = answer.putArray("results");
        for (JsonNode treatment : Inputs.list(input, "treatments")) {
            double mortality = mortality(treatment);
            Outcome<Double> corrected = Abbott.corrected(mortality, control);
            ObjectNode result = results.addObject().put("mortality_percent", 100 * mortality);
            percent(result, "corrected_percent", corrected);
            percent(
                    result,
                    "corrected_clipped",
                    corrected.then(value -> Outcome.found(Math.min(1, Math.max(0, value)))));
        }
        return answer;
    }

    private static double mortality(JsonNode group) {
        int n = Inputs.whole(group, "n");
        int dead = Inputs.whole(group, "dead");
        if (n < 1 || dead < 0 || dead > n) {
            throw new BadInput("“dead” must be 0 to “n”, got " + dead + " of " + n);
        }
        return (double) dead / n;
    }
}
