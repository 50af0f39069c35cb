package elsom.core.protocol.seedling;

import elsom.core.design.LayoutKind;
import elsom.core.plan.Direction;
import elsom.core.protocol.Cautions;
import elsom.core.protocol.MeasureParts;
import elsom.core.protocol.Measures;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.ProtocolParts;
import elsom.core.quantity.UnitOfMeasure;
import java.time.Duration;

/** Germination and root bioassay. */
public final class Germination {
    private Germination() {}

    public static Protocol protocol() {
        return ProtocolParts.named("germination", "Germination and root bioassay")
                .tells(
                        "Whether an extract or compost hinders seeds and young roots.",
                        "Does an extract of green-waste compost hold cress back?")
                .measure(MeasureParts.of("germinated", "Germinated")
                        .in(UnitOfMeasure.COUNT)
                        .highest(1000)
                        .decimals(0)
                        .ofSeeds()
                        .better(Direction.HIGHER)
                        .typicalCv(0.10)
                        .secondsEach(20)
                        .rule("seeds with a root of 1 mm or more, of those laid out"))
                .measure(MeasureParts.of("root-length", "Root length")
                        .in(UnitOfMeasure.MILLIMETRE)
                        .highest(500)
                        .decimals(0)
                        .readings(5)
                        .readOf("germinated")
                        .better(Direction.HIGHER)
                        .typicalCv(0.25)
                        .secondsEach(60)
                        .rule("five germinated seeds nearest the middle, root tip to seed"))
                .measure(Measures.ec()
                        .named("EC of the extract")
                        .typicalCv(0.05)
                        .secondsEach(15)
                        .rule("of the extract that the dish gets, before it is poured"))
                .measure(Measures.ph()
                        .named("pH of the extract")
                        .secondsEach(15)
                        .rule("of the same extract, meter calibrated the same day"))
                .look("extract", Duration.ZERO, "ec", "ph")
                .look("24 h", Duration.ofHours(24), "germinated")
                .look("48 h", Duration.ofHours(48), "germinated")
                .look("72 h", Duration.ofHours(72), "germinated", "root-length")
                .prepare(
                        "Extract and dishes",
                        Cautions.NONE,
                        "Shake 1 part compost with 5 parts water by volume for an hour and filter.",
                        "Same paper, same millilitres, ten or more seeds of one lot; the control gets plain water.",
                        "Dark, 20–25 °C, closed against drying.")
                .holds(
                        "Valid only if 80 % or more germinate in the control and its dishes scatter by 30 % at most.",
                        "Fresh composts also hinder by ammonia and acids that go off in two to four weeks.")
                .expects("germinated", 0.8, 1, "80 % or more of its seed must germinate")
                .answers(new GerminationAnswers())
                .usually(5, LayoutKind.COMPLETELY_RANDOM, 10, 10, 5)
                .made();
    }
}
