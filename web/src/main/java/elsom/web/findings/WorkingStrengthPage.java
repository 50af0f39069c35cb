package elsom.web.findings;

import elsom.core.dose.Dilution;
import elsom.core.dose.OtherStock;
import elsom.core.dose.WorkingRate;
import elsom.core.protocol.Caution;
import elsom.core.protocol.dose.DoseResult;
import elsom.core.protocol.dose.DoseWording;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Dimension;
import elsom.core.quantity.Quantity;
import elsom.core.quantity.Sentence;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Known;
import elsom.core.stats.Outcome;
import elsom.core.sums.AsTyped;
import elsom.web.kit.TrialHeader;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The sheet that says how much stock and water make the strength to work with.
 *
 * @param basis where the strength comes from, as a sentence
 * @param refused why there is nothing to mix; empty when there is
 */
public record WorkingStrengthPage(
        TrialHeader header,
        String title,
        WorkingStrengthForm form,
        List<String> series,
        String rate,
        String basis,
        String standing,
        String holdsFor,
        String refused,
        @Nullable Sheet sheet,
        List<Caution> cautions) {
    private static final List<UnitOfMeasure> SHOWN = List.of(
            UnitOfMeasure.MILLILITRE,
            UnitOfMeasure.LITRE,
            UnitOfMeasure.TEASPOON,
            UnitOfMeasure.US_CUP,
            UnitOfMeasure.US_FLUID_OUNCE);

    /** Less of a unit than this can't be measured out with it. */
    private static final double LEAST_SHOWN = 0.1;

    private static final int DIGITS = 4;

    /**
     * What is poured together.
     *
     * @param inUs whether it was asked for in US measures
     */
    public record Sheet(
            String stock,
            String water,
            String whole,
            boolean inUs,
            List<String> units,
            List<Row> rows,
            List<String> steps,
            List<String> remarks) {}

    /** An amount in every unit shown. */
    public record Row(String what, List<String> amounts) {}

    static WorkingStrengthPage of(
            TrialHeader header,
            DoseResult result,
            Outcome<WorkingRate> rate,
            WorkingStrengthForm form,
            List<Caution> cautions) {
        Optional<WorkingRate> found = rate.asOptional();
        String refused = rate.whyNot().map(why -> why + ".").orElse("");
        // A number beside another bottle would be poured from it.
        Optional<WorkingRate> shown = form.otherStock() ? Optional.empty() : found;
        Sheet sheet = null;
        if (found.isPresent() && form.otherStock()) {
            refused = otherStock(result, found.get().rate(), form);
        } else if (found.isPresent() && form.problems().isEmpty()) {
            try {
                sheet = sheet(Dilution.of(found.get().rate(), result.unit(), form.volumeMl()), form.volume());
            } catch (IllegalArgumentException other) {
                refused = "It can't be mixed by volume: " + other.getMessage() + ".";
            }
        }
        return new WorkingStrengthPage(
                header,
                result.factor() + " by " + Sentence.inside(result.kind().label()) + " at "
                        + result.look().name(),
                form,
                result.lines().stream().map(DoseResult.Line::name).toList(),
                shown.map(one -> result.dose(one.rate())).orElse(""),
                shown.map(one -> "It is " + one.of().label() + ", " + result.dose(one.basis())
                                + ", over a safety factor of " + Decimals.upTo(one.factor(), 2) + ".")
                        .orElse(""),
                shown.map(one -> DoseWording.standing(result, one)
                                + DoseWording.label(result, one)
                                + (result.endsEarly().isEmpty() ? "" : " " + result.endsEarly()))
                        .orElse(""),
                "For " + (result.crop().isBlank() ? "the species of the trial" : result.crop())
                        + " of the age it had there, and for the same stock"
                        + (form.stock().isEmpty() ? "" : " (" + form.stock() + ")")
                        + found.map(one -> active(one.rate(), result.unit(), form))
                                .orElse("") + ". Nothing else was tested.",
                refused,
                sheet,
                cautions);
    }

    /** Of another stock nothing was tested; what would hold as much of the active is said, and that it is untested. */
    private static String otherStock(DoseResult result, double rate, WorkingStrengthForm form) {
        String refused =
                "The bottle at hand is another than was tested, so there is no rate for it: what else is in it was never"
                        + " tried.";
        if (form.strength().isEmpty()
                || form.atHand().isEmpty()
                || result.unit().dimension() != Dimension.FRACTION) {
            return refused + " Write the strength of both to see what would hold as much.";
        }
        double tested = form.strength().getAsDouble();
        double atHand = form.atHand().getAsDouble();
        return refused + " As much of the active would be in "
                + result.dose(OtherStock.sameActive(rate, tested, atHand)) + " of it (" + result.dose(rate) + " × "
                + Decimals.significant(100 * tested, 3) + " % ÷ " + Decimals.significant(100 * atHand, 3)
                + " %): untested. Try it on a few plants beside none, as a series of its own.";
    }

    /** Share of stock and share of what it holds, side by side. */
    private static String active(double rate, UnitOfMeasure unit, WorkingStrengthForm form) {
        if (form.strength().isEmpty() || unit.dimension() != Dimension.FRACTION) {
            return "";
        }
        double share = new Quantity(rate, unit).in(UnitOfMeasure.FRACTION).value();
        return ": " + Decimals.significant(100 * share, 3) + " % of the stock is "
                + Decimals.significant(100 * share * form.strength().getAsDouble(), 3) + " % of what it holds";
    }

    private static Sheet sheet(Dilution dilution, String asked) {
        boolean liquid = dilution.stockUnit() == UnitOfMeasure.MILLILITRE;
        String stock = amount(dilution.stock(), dilution.stockUnit(), asked);
        return new Sheet(
                stock,
                amount(dilution.waterMl(), UnitOfMeasure.MILLILITRE, asked),
                amount(dilution.volumeMl(), UnitOfMeasure.MILLILITRE, asked),
                !amount(dilution.volumeMl(), UnitOfMeasure.MILLILITRE, asked)
                        .equals(amount(dilution.volumeMl(), UnitOfMeasure.MILLILITRE, "")),
                SHOWN.stream().map(WorkingStrengthPage::called).toList(),
                List.of(
                        new Row("Stock", liquid ? in(dilution.stock()) : List.of(stock, "", "", "", "")),
                        new Row(liquid ? "Water" : "Water, filled up to", in(dilution.waterMl())),
                        new Row("In all", in(dilution.volumeMl()))),
                dilution.working().steps(),
                dilution.working().remarks());
    }

    /** Whose fluid ounce and cup it is. */
    private static String called(UnitOfMeasure unit) {
        boolean us = unit == UnitOfMeasure.US_FLUID_OUNCE || unit == UnitOfMeasure.US_CUP;
        return (us ? "US " : "") + unit.symbol();
    }

    private static List<String> in(double millilitres) {
        return SHOWN.stream()
                .map(unit -> new Quantity(millilitres, UnitOfMeasure.MILLILITRE)
                        .in(unit)
                        .value())
                .map(value -> value > 0 && value < LEAST_SHOWN ? "–" : Decimals.threeDigits(value))
                .toList();
    }

    /** To four digits, so that what is poured together adds up; in cups where cups were asked for. */
    private static String amount(double value, UnitOfMeasure unit, String asked) {
        return AsTyped.told(
                Decimals.significant(value, DIGITS) + " " + unit.symbol(), asked, Known.on(LocalDate.EPOCH));
    }
}
