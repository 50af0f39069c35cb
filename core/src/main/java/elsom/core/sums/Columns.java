package elsom.core.sums;

import elsom.core.column.DrainedPot;
import elsom.core.column.TypicalMedium;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.Container;
import elsom.core.water.RetentionCurve;
import java.util.List;
import java.util.Optional;

/** Water in one drained pot. */
final class Columns {
    private Columns() {}

    static Sum column() {
        return new Sum(
                "column",
                "Water in a drained pot",
                "I fill a straight pot with a medium between fine and coarse, with or without gravel below.",
                "mean of θ(z) over the sections, suction z cm at height z (van Genuchten 1980)",
                List.of(
                        SumField.quantity("depth", "Depth of the pot", UnitOfMeasure.CENTIMETRE, 2, 100, "12 cm"),
                        SumField.quantity("width", "Its width", UnitOfMeasure.CENTIMETRE, 1, 100, "11 cm"),
                        SumField.quantity("texture", "Medium, 0 fine to 100 coarse", UnitOfMeasure.COUNT, 0, 100, "60"),
                        SumField.quantity("gravel", "Gravel at the bottom", UnitOfMeasure.CENTIMETRE, 0, 90, "0 cm")),
                values -> {
                    double depth = values.quantity("depth");
                    double gravel = values.quantity("gravel");
                    if (gravel >= depth) {
                        values.refuse(
                                "gravel",
                                "That leaves no room for the medium. Accepted: less than " + Words.number(depth)
                                        + " cm");
                        return Optional.empty();
                    }
                    RetentionCurve medium = TypicalMedium.of(values.quantity("texture") / 100);
                    DrainedPot pot = DrainedPot.of(
                            Container.straightRound("pot", depth, values.quantity("width")), medium, gravel);
                    return Optional.of(SumAnswer.of("It holds " + Words.ml(pot.waterMl()) + ", "
                                    + Decimals.percent(pot.water(), 0) + " % of the medium; roots drown below "
                                    + Decimals.fixed(pot.wetFootCm(), 1) + " cm.")
                            .line("Air in the medium", Decimals.percent(pot.air(medium), 0) + " %")
                            .line("Room for medium", Words.ml(pot.mediumMl()))
                            .step("θ from "
                                    + Decimals.percent(pot.levels().get(0).water(), 0) + " % at its foot to "
                                    + Decimals.percent(
                                            pot.levels()
                                                    .get(pot.levels().size() - 1)
                                                    .water(),
                                            0)
                                    + " % at its top")
                            .mind(
                                    "A typical medium, judged by us: weigh yours drained and dry in a water-holding trial.")
                            .number("water", pot.water())
                            .number("water_ml", pot.waterMl())
                            .number("wet_foot_cm", pot.wetFootCm())
                            .number("air", pot.air(medium)));
                });
    }
}
