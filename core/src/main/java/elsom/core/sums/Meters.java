package elsom.core.sums;

import elsom.core.meter.MeterCheck;
import elsom.core.meter.MeterKind;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Meters judged, weighings, and units. */
final class Meters {
    /** 2.303 R T / F at a kelvin, in mV for each pH. */
    private static final double NERNST_MV_A_KELVIN = 0.1984159;

    private static final double KELVIN = 273.15;
    private static final double ACID = 4.01;
    private static final double MIDDLE = 7.00;
    private static final double BASIC = 10.01;
    private static final double GOOD_LOW = 95;
    private static final double GOOD_HIGH = 103;
    private static final double FAIR_LOW = 90;
    private static final double NO_SLOPE_LOW = 50;
    private static final double NO_SLOPE_HIGH = 150;
    private static final double WIDEST_ZERO_MV = 30;
    private static final double LARGEST_MV = 500;

    private Meters() {}

    static Sum calibration() {
        return new Sum(
                "calibration",
                "Is my pH meter good?",
                "I put the electrode in buffers and read millivolts.",
                "slope in percent of 2.303RT/F (Nernst), buffers 4.01, 7.00 and 10.01 at 25 °C",
                List.of(
                        millivolts("acid", "mV in buffer 4.01", "172"),
                        millivolts("middle", "mV in buffer 7.00", "-3"),
                        millivolts("basic", "mV in buffer 10.01", "-176").orNone(),
                        SumField.quantity(
                                "temperature", "Temperature of the buffers", UnitOfMeasure.CELSIUS, 0, 60, "25 °C")),
                Meters::judged);
    }

    private static SumField millivolts(String code, String label, String example) {
        return SumField.quantity(code, label, UnitOfMeasure.COUNT, -LARGEST_MV, LARGEST_MV, example);
    }

    private static Optional<SumAnswer> judged(SumValues values) {
        double ideal = NERNST_MV_A_KELVIN * (KELVIN + values.quantity("temperature"));
        double acid = 100 * (values.quantity("acid") - values.quantity("middle")) / (MIDDLE - ACID) / ideal;
        OptionalDouble third = values.optional("basic");
        double worst = acid;
        SumAnswer answer = SumAnswer.of("")
                .line("Slope from 4.01 to 7.00", Decimals.fixed(acid, 1) + " %")
                .line("Zero point", Amounts.number(values.quantity("middle")) + " mV at pH 7")
                .number("slope_percent", acid)
                .number("zero_mv", values.quantity("middle"));
        if (third.isPresent()) {
            double basic = 100 * (values.quantity("middle") - third.getAsDouble()) / (BASIC - MIDDLE) / ideal;
            answer = answer.line("Slope from 7.00 to 10.01", Decimals.fixed(basic, 1) + " %")
                    .number("slope_basic_percent", basic);
            worst = Math.abs(basic - 100) > Math.abs(acid - 100) ? basic : acid;
        }
        if (worst < NO_SLOPE_LOW || worst > NO_SLOPE_HIGH) {
            values.refuse(
                    "acid",
                    "That is a slope of " + Decimals.fixed(worst, 0)
                            + " %, which no electrode has: are these millivolts, in"
                            + " 4.01, then 7.00? Accepted: 172, −3");
            return Optional.empty();
        }
        boolean zero = Math.abs(values.quantity("middle")) <= WIDEST_ZERO_MV;
        String verdict = worst >= GOOD_LOW && worst <= GOOD_HIGH && zero
                ? "The meter is good."
                : worst >= FAIR_LOW && worst <= GOOD_HIGH && zero
                        ? "It will do for now: clean the electrode and calibrate again soon."
                        : "Don't measure with it: "
                                + (zero ? "its slope is off" : "its zero point is off by more than 30 mV")
                                + ". Clean the electrode, take fresh buffers, calibrate again.";
        return Optional.of(new SumAnswer(verdict, answer.lines(), List.of(), List.of(), answer.numbers())
                .step("(" + Amounts.number(values.quantity("acid")) + " − " + Amounts.number(values.quantity("middle"))
                        + ") mV / 2.99 pH ÷ " + Decimals.fixed(ideal, 2) + " mV = " + Decimals.fixed(acid, 1) + " %")
                .mind("Buffers are used once. Between 95 and 103 % is good, from 90 % fair."));
    }

    /** For a meter that shows pH only, read in buffers without pressing its calibration. */
    static Sum buffers() {
        return new Sum(
                "buffer_check",
                "A meter that shows only pH",
                "I put the electrode in buffers and read pH, without calibrating it first.",
                "readings apart ÷ buffers apart; buffers 4.01, 7.00 and 10.01 at 25 °C",
                List.of(
                        reading("acid", "It shows in buffer 4.01", "4.12"),
                        reading("middle", "in buffer 7.00", "7.05"),
                        reading("basic", "in buffer 10.01", "9.9").orNone(),
                        reading("sample", "and in the sample", "6.3").orNone()),
                Meters::checked);
    }

    private static SumField reading(String code, String label, String example) {
        return SumField.quantity(code, label, UnitOfMeasure.PH, 0, 14, example);
    }

    private static Optional<SumAnswer> checked(SumValues values) {
        double middle = values.quantity("middle");
        double acid = (middle - values.quantity("acid")) / (MIDDLE - ACID);
        if (!(acid > 0)) {
            values.refuse("acid", "It must show less in buffer 4.01 than in 7.00. Accepted: 4.1");
            return Optional.empty();
        }
        OptionalDouble third = values.optional("basic");
        double basic = third.isPresent() ? (third.getAsDouble() - middle) / (BASIC - MIDDLE) : acid;
        if (!(basic > 0)) {
            values.refuse("basic", "It must show more in buffer 10.01 than in 7.00. Accepted: 9.9");
            return Optional.empty();
        }
        List<Double> shown = new ArrayList<>(List.of(values.quantity("acid"), middle));
        third.ifPresent(shown::add);
        double off = middle - MIDDLE;
        Optional<String> strange = MeterCheck.strange(shown);
        if (strange.isPresent()) {
            values.refuse("acid", strange.get() + " Accepted: 4.1");
            return Optional.empty();
        }
        String verdict = MeterCheck.of(MeterKind.PH, shown).advice();
        SumAnswer answer = SumAnswer.of(verdict)
                .line("Slope from 4.01 to 7.00", Decimals.fixed(100 * acid, 1) + " %")
                .line("Off at 7.00 by", Decimals.fixed(off, 2))
                .step("(" + Amounts.number(middle) + " − " + Amounts.number(values.quantity("acid")) + ") ÷ 2.99 = "
                        + Decimals.fixed(100 * acid, 1) + " %")
                .mind(
                        "Buffers are used once, at the temperature of the sample. Between 95 and 103 % is good, from 90 % fair.")
                .number("slope_percent", 100 * acid)
                .number("off", off);
        if (third.isPresent()) {
            answer = answer.line("Slope from 7.00 to 10.01", Decimals.fixed(100 * basic, 1) + " %")
                    .number("slope_basic_percent", 100 * basic);
        }
        OptionalDouble sample = values.optional("sample");
        if (sample.isEmpty()) {
            return Optional.of(answer);
        }
        double slope = sample.getAsDouble() <= middle ? acid : basic;
        double right = MIDDLE + (sample.getAsDouble() - middle) / slope;
        return Optional.of(answer.line("The sample is really", "pH " + Decimals.fixed(right, 2))
                .number("sample_ph", right));
    }

    static Sum loss() {
        return new Sum(
                "water_loss",
                "Water lost between two weighings",
                "I weighed a pot twice.",
                "1 g = 1 mL",
                List.of(
                        SumField.quantity("before", "First weighing", UnitOfMeasure.GRAM, 0.01, 1e6, "412.3 g"),
                        SumField.quantity("after", "Second weighing", UnitOfMeasure.GRAM, 0, 1e6, "371.8 g"),
                        SumField.quantity("time", "Time between", UnitOfMeasure.HOUR, 0.01, 100_000, "24 h"),
                        SumField.quantity("dry", "Pot with dry medium", UnitOfMeasure.GRAM, 0, 1e6, "190 g")
                                .orNone()),
                values -> {
                    double lost = values.quantity("before") - values.quantity("after");
                    if (lost < 0) {
                        values.refuse(
                                "after",
                                "It is heavier than before, so nothing was lost. Accepted: less than "
                                        + Amounts.grams(values.quantity("before")));
                        return Optional.empty();
                    }
                    double aDay = 24 * lost / values.quantity("time");
                    SumAnswer answer = SumAnswer.of(
                                    Amounts.number(lost) + " mL lost, " + Amounts.number(aDay) + " mL a day.")
                            .step(Amounts.number(values.quantity("before")) + " − "
                                    + Amounts.number(values.quantity("after")) + " = " + Amounts.number(lost) + " g")
                            .number("lost_ml", lost)
                            .number("ml_per_day", aDay);
                    OptionalDouble dry = values.optional("dry");
                    return Optional.of(
                            dry.isPresent() && dry.getAsDouble() < values.quantity("before")
                                    ? answer.line(
                                                    "Of the water it held",
                                                    Decimals.percent(
                                                                    lost
                                                                            / (values.quantity("before")
                                                                                    - dry.getAsDouble()),
                                                                    1)
                                                            + " %")
                                            .number("share", lost / (values.quantity("before") - dry.getAsDouble()))
                                    : answer);
                });
    }

    static Sum conversion() {
        return new Sum(
                "conversion",
                "One unit in another",
                "I have an amount in one unit and need it in another.",
                "definitions; a spoon of powder needs its bulk density",
                List.of(
                        SumField.text("amount", "The amount, with its unit", "1.7 oz"),
                        SumField.choice(
                                "to",
                                "in",
                                "g",
                                Arrays.stream(UnitOfMeasure.values())
                                        .filter(unit -> !unit.symbol().isEmpty())
                                        .map(unit -> new SumField.Option(unit.symbol(), unit.symbol()))
                                        .toList()),
                        SumField.quantity(
                                        "density",
                                        "Bulk density, for spoons and weights",
                                        UnitOfMeasure.GRAM_PER_MILLILITRE,
                                        0.001,
                                        25,
                                        "0.9 g/mL")
                                .orNone()),
                Meters::converted);
    }

    private static Optional<SumAnswer> converted(SumValues values) {
        UnitOfMeasure wanted = UnitOfMeasure.spelled(values.text("to")).orElseThrow();
        OptionalDouble density = values.optional("density");
        Typed same = Typed.parse(values.text("amount"), wanted);
        if (same instanceof Typed.Understood understood) {
            return Optional.of(answer(understood.typed(), understood.stored(), wanted));
        }
        boolean toMass = wanted.dimension() == UnitOfMeasure.GRAM.dimension();
        boolean toVolume = wanted.dimension() == UnitOfMeasure.MILLILITRE.dimension();
        UnitOfMeasure between = toMass ? UnitOfMeasure.MILLILITRE : UnitOfMeasure.GRAM;
        if ((toMass || toVolume) && Typed.parse(values.text("amount"), between) instanceof Typed.Understood other) {
            if (density.isEmpty()) {
                values.refuse(
                        "density",
                        "A spoon or cup of powder weighs by its bulk density: weigh 100 mL of it."
                                + " Accepted: 0.9 g/mL");
                return Optional.empty();
            }
            double amount = other.stored().value() * (toMass ? density.getAsDouble() : 1 / density.getAsDouble());
            Quantity base = new Quantity(amount, toMass ? UnitOfMeasure.GRAM : UnitOfMeasure.MILLILITRE);
            return Optional.of(answer(other.typed(), base.in(wanted), wanted)
                    .step(Amounts.number(other.stored().value()) + (toMass ? " mL · " : " g ÷ ")
                            + Amounts.number(density.getAsDouble()) + " g/mL"));
        }
        values.refuse("amount", ((Typed.Refused) same).message());
        return Optional.empty();
    }

    private static SumAnswer answer(Quantity typed, Quantity found, UnitOfMeasure wanted) {
        return SumAnswer.of(Amounts.number(typed.value()) + " " + typed.unit().symbol() + " is "
                        + Amounts.number(found.value()) + " " + wanted.symbol() + ".")
                .number("value", found.value());
    }
}
