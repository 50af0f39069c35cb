package elsom.core.plan;

import elsom.core.formula.Formula;
import elsom.core.formula.Known;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.EndpointCode;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Endpoints that growers and foresters usually work out, ready to be taken into a plan that measures what they need. */
public enum ReadyMade {
    /** Thompson (1985), in Duryea: Evaluating seedling quality. A stout seedling is low. */
    STURDINESS(
            "sturdiness",
            "Sturdiness",
            "height / stem-diameter",
            UnitOfMeasure.CENTIMETRE_PER_MILLIMETRE,
            2,
            Direction.LOWER),
    /** Dickson, Leaf and Hosner (1960), Forestry Chronicle 36: masses in g, height in cm, diameter in mm. */
    QUALITY_INDEX(
            "quality-index",
            "Dickson’s quality index",
            "(shoot-dry-mass + root-dry-mass) / (height / stem-diameter / 10 + shoot-dry-mass / root-dry-mass)",
            UnitOfMeasure.GRAM,
            3,
            Direction.HIGHER),
    ROOT_TO_SHOOT(
            "root-to-shoot",
            "Root to shoot",
            "root-dry-mass / shoot-dry-mass",
            UnitOfMeasure.GRAM_PER_GRAM,
            2,
            Direction.EITHER),
    /** Hunt (1982), Plant growth curves. */
    RELATIVE_GROWTH(
            "relative-growth",
            "Relative growth in height",
            "growth-rate(height)",
            UnitOfMeasure.PER_DAY,
            4,
            Direction.HIGHER),
    ROOT_LENGTH_OF_ALL(
            "root-length-all",
            "Root length, of all cuttings",
            "rooted * root-length",
            UnitOfMeasure.MILLIMETRE,
            1,
            Direction.HIGHER),
    YIELD_PER_AREA(
            "yield-per-area",
            "Yield per area",
            "yield / area",
            UnitOfMeasure.KILOGRAM_PER_SQUARE_METRE,
            2,
            Direction.HIGHER),
    YIELD_PER_LITRE(
            "yield-per-litre",
            "Yield per litre of medium",
            "yield / volume",
            UnitOfMeasure.GRAM_PER_LITRE,
            1,
            Direction.HIGHER),
    YIELD_PER_SEED(
            "yield-per-seed",
            "Yield per gram of seed",
            "yield / seed-mass",
            UnitOfMeasure.GRAM_PER_GRAM,
            1,
            Direction.HIGHER),
    YIELD_PER_PLANT("yield-per-plant", "Yield per plant", "yield / plants", UnitOfMeasure.GRAM, 2, Direction.HIGHER),
    DRY_MATTER("dry-matter", "Dry matter", "shoot-dry-mass / fresh-mass", UnitOfMeasure.PERCENT, 1, Direction.EITHER),
    DAYS_TO_HALF_UP(
            "days-to-half-up",
            "Days until half were up",
            "days-to(emerged, 50 %)",
            UnitOfMeasure.DAY,
            1,
            Direction.LOWER),
    /** Shaner and Finney (1977), Phytopathology 67: area under the course, by trapezoids. */
    INJURY_AREA(
            "injury-area",
            "Injury, area under its course",
            "area-under(injury)",
            UnitOfMeasure.POINT_DAY,
            1,
            Direction.LOWER);

    private final EndpointCode code;
    private final String label;
    private final Formula formula;
    private final UnitOfMeasure unit;
    private final int decimals;
    private final Direction better;

    ReadyMade(String code, String label, String formula, UnitOfMeasure unit, int decimals, Direction better) {
        this.code = new EndpointCode(code);
        this.label = label;
        this.formula = new Formula(formula);
        this.unit = unit;
        this.decimals = decimals;
        this.better = better;
    }

    /** Those that can be worked out of these measures and are not among them yet. */
    public static List<ReadyMade> fitting(Collection<Measure> measures) {
        Set<String> known = measures.stream()
                .filter(measure -> measure.endpoint().measured())
                .map(measure -> measure.endpoint().code().value())
                .collect(Collectors.toSet());
        return Arrays.stream(values())
                .filter(one -> !known.contains(one.code.value()))
                .filter(one -> one.formula.names().stream()
                        .allMatch(name ->
                                known.contains(name) || Known.named(name).isPresent()))
                .toList();
    }

    public EndpointCode code() {
        return code;
    }

    public String label() {
        return label;
    }

    public Formula formula() {
        return formula;
    }

    public UnitOfMeasure unit() {
        return unit;
    }

    /** As an endpoint of a plan. */
    public Measure measure() {
        return Measure.worked(code, label, formula, unit, decimals, better);
    }
}
