package elsom.web.findings;

import elsom.core.chemistry.LimeDose;
import elsom.core.protocol.Caution;
import elsom.core.protocol.liming.TitrationAnswers;
import elsom.core.protocol.liming.TitrationResult;
import elsom.core.quantity.Decimals;
import elsom.core.stats.Outcome;
import elsom.web.kit.TrialHeader;
import java.util.List;
import java.util.Optional;

/**
 * How much lime a batch needs.
 *
 * @param amount a litre; empty when nothing can be said
 * @param within the range of that amount; empty where it goes beyond what was tested
 * @param remarks what to mind about this answer
 */
public record LimingPage(
        TrialHeader header,
        String title,
        LimingForm form,
        String amount,
        String within,
        String each,
        String batch,
        String refused,
        String range,
        List<String> remarks,
        List<Caution> cautions) {
    static LimingPage of(TrialHeader header, TitrationResult result, LimingForm form, List<Caution> cautions) {
        Outcome<LimeDose> dose = form.problems().isEmpty()
                ? result.curve()
                        .then(curve -> LimeDose.of(
                                curve, form.ph(), result.halfWidth(), form.testedPercent(), form.usedPercent()))
                : Outcome.notEstimable("");
        Optional<LimeDose> found = dose.asOptional();
        return new LimingPage(
                header,
                result.product() + " at " + result.look().name(),
                form,
                found.map(one -> (Decimals.threeDigits(one.gramsPerLitre()) + " "
                                        + result.unit().symbol())
                                .strip())
                        .orElse(""),
                found.flatMap(TitrationAnswers::within).orElse(""),
                found.map(one -> grams(one, result.unitMl())).orElse(""),
                found.map(one -> grams(one, form.batchMl())).orElse(""),
                dose.whyNot()
                        .filter(why -> !why.isEmpty())
                        .map(why -> why + ".")
                        .orElse(""),
                result.range()
                        .map(range -> "pH " + Decimals.fixed(range.low(), 2) + " to " + Decimals.fixed(range.high(), 2))
                        .orElse("nothing"),
                remarks(result, found),
                cautions);
    }

    private static String grams(LimeDose dose, double millilitres) {
        return Decimals.threeDigits(dose.gramsFor(millilitres)) + " g";
    }

    private static List<String> remarks(TitrationResult result, Optional<LimeDose> found) {
        String moving = result.drift().isEmpty()
                ? "pH was looked at once only: lime works for weeks, so the amount may overshoot."
                : result.drift().get().moving()
                        ? "pH was still moving at the last look: the amount may overshoot."
                        : "";
        String near = found.filter(LimeDose::nearEnd)
                .map(one -> "This is near the end of what was tested: give a part first, and measure after two weeks.")
                .orElse("");
        return List.of(moving, near).stream()
                .filter(remark -> !remark.isEmpty())
                .toList();
    }
}
