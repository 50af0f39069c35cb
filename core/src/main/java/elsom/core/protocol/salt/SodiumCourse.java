package elsom.core.protocol.salt;

import static elsom.core.protocol.ProtocolParts.day;

import elsom.core.design.LayoutKind;
import elsom.core.plan.Direction;
import elsom.core.protocol.Cautions;
import elsom.core.protocol.MeasureParts;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.ProtocolParts;
import elsom.core.quantity.UnitOfMeasure;

/** Sodium before, during and after salty water. */
public final class SodiumCourse {
    private static final double HIGHEST_MG_PER_LITRE = 100_000;

    private SodiumCourse() {}

    public static Protocol protocol() {
        return ProtocolParts.named("sodium", "Sodium over a season")
                .tells(
                        "How far salty water raises the sodium of a soil or medium, and whether rain or leaching brings it back.",
                        "Does winter rain bring the sodium of the brackish beds back?")
                .measure(ion("sodium", "Sodium"))
                .measure(ion("calcium", "Calcium"))
                .measure(ion("magnesium", "Magnesium"))
                .measure(
                        MeasureParts.of("esp", "Exchangeable sodium (ESP)")
                                .in(UnitOfMeasure.PERCENT)
                                .highest(100)
                                .decimals(1)
                                .better(Direction.LOWER)
                                .typicalCv(0.15)
                                .secondsEach(10)
                                .rule(
                                        "by the laboratory, of the soil itself; where it is measured nothing is estimated by SAR"))
                .look("baseline", day(0), "sodium", "calcium", "magnesium")
                .look("peak", day(90), "sodium", "calcium", "magnesium")
                .look("after leaching", day(180), "sodium", "calcium", "magnesium")
                .prepare(
                        "Samples",
                        Cautions.NONE,
                        "Take each sample from the same depth and as many places; several depths are a factor of their own.",
                        "One laboratory and one extract for all looks: saturated extract or drained water, never mixed.")
                .holds(
                        "A look before, one at the peak, and one after leaching, from the same units.",
                        "SAR of the extract stands for the soil; what is exchanged (ESP) is estimated by it, unless the"
                                + " laboratory measures it.")
                .answers(new SodiumAnswers())
                .usually(4, LayoutKind.BLOCKS, 0, 0, 0)
                .made();
    }

    private static MeasureParts ion(String code, String name) {
        return MeasureParts.of(code, name + " in the extract")
                .in(UnitOfMeasure.MILLIGRAM_PER_LITRE)
                .highest(HIGHEST_MG_PER_LITRE)
                .decimals(0)
                .better(Direction.LOWER)
                .typicalCv(0.15)
                .secondsEach(10)
                .rule("by the laboratory's sheet, mg/L of the same extract at each look");
    }
}
