package elsom.web.findings;

import elsom.core.chemistry.LimeDose;
import elsom.core.protocol.Caution;
import elsom.core.protocol.liming.Product;
import elsom.core.protocol.liming.TitrationAnswers;
import elsom.core.protocol.liming.TitrationResult;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Sentence;
import elsom.core.stats.Outcome;
import elsom.web.kit.TrialHeader;
import java.util.List;
import java.util.Optional;

/**
 * How much lime or sulfur a batch needs.
 *
 * @param product what it is, which says what its strength is called and how long it takes
 * @param amount a litre; empty when nothing can be said
 * @param within the range of that amount; empty where it goes beyond what was tested
 * @param remarks what to mind about this answer
 */
public record LimingPage(
        TrialHeader header,
        String title,
        Product product,
        LimingForm form,
        String amount,
        String within,
        String each,
        String batch,
        String refused,
        String range,
        List<String> remarks,
        List<Caution> cautions) {
    static LimingPage of(TrialHeader header, TitrationResult result, LimingForm form) {
        Outcome<LimeDose> dose = form.problems().isEmpty()
                ? result.curve()
                        .then(curve -> LimeDose.of(
                                curve, form.ph(), result.halfWidth(), form.testedPercent(), form.usedPercent()))
                : Outcome.notEstimable("");
        Optional<LimeDose> found = dose.asOptional();
        return new LimingPage(
                header,
                result.product() + " at " + result.look().name(),
                result.kind(),
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
                List.of(result.kind().caution()));
    }

    private static String grams(LimeDose dose, double millilitres) {
        return Decimals.threeDigits(dose.gramsFor(millilitres)) + " g";
    }

    private static List<String> remarks(TitrationResult result, Optional<LimeDose> found) {
        String moving = result.drift().isEmpty()
                ? "pH was looked at once only: " + result.kind().word()
                        + " works for weeks, so the amount may overshoot."
                : result.drift().get().moving()
                        ? "pH was still moving at the last look: the amount may overshoot."
                        : "";
        String near = found.filter(LimeDose::nearEnd)
                .map(one -> "This is near the end of what was tested: give a part first, and measure after "
                        + Decimals.upTo(result.kind().acts().toDays() / 7.0, 0) + " weeks.")
                .orElse("");
        String jumps = found.flatMap(LimeDose::untried).orElse("");
        return List.of(result.stillActing(), moving, near, jumps).stream()
                .filter(remark -> !remark.isEmpty())
                .toList();
    }

    /** "Lime for a pH". */
    public String heading() {
        return Sentence.capital(product.word()) + " for a pH";
    }

    /** How long it takes, and what to do meanwhile. */
    public String mind() {
        String weeks = Decimals.upTo(product.acts().toDays() / 7.0, 0) + " weeks";
        return product == Product.SULFUR
                ? "It holds for this lot of medium, this fineness of sulfur and this warmth. Mix it all through, keep it warm and"
                        + " moist, wait " + weeks + ", measure, then fill."
                : "It holds for this lot of medium and this fineness of " + product.word()
                        + ". Mix it all through, wait " + weeks + ", measure, then fill.";
    }

    /** What its strength is, by the label. */
    public String hint() {
        return switch (product) {
            case LIME ->
                "Calcium carbonate equivalent by the label: limestone 100, dolomitic about 109, slaked lime about 135.";
            case SULFUR ->
                "Purity by the label: fine elemental sulfur is often 90 to 99 %; the rest, clay as a rule, makes no acid.";
            case OTHER -> "Strength by the label; 100 for both where it is the same product.";
        };
    }
}
