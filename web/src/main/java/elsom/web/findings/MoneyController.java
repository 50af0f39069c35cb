package elsom.web.findings;

import elsom.core.money.MediumCost;
import elsom.core.money.Pay;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Dimension;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.results.Findings;
import elsom.core.results.JudgedQuestion;
import elsom.core.results.Section;
import elsom.core.stats.Interval;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Swatch;
import elsom.web.kit.TrialHeader;
import elsom.web.lots.Lots;
import elsom.web.platform.NotFound;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Whether treatments pay, by prices of one's own: nothing of it is stored, the link keeps it. */
@Controller
class MoneyController {
    private static final double A_LITRE_ML = 1000;

    private final OpenFindings open;
    private final Lots lots;

    MoneyController(OpenFindings open, Lots lots) {
        this.open = open;
        this.lots = lots;
    }

    /**
     * What the page shows.
     *
     * @param per what the price is of: "kg", "L", "piece"
     */
    public record MoneyPage(
            TrialHeader header,
            MoneyForm form,
            String yield,
            String look,
            String per,
            List<Swatch> treatments,
            List<Row> rows,
            List<Target> targets,
            boolean single) {}

    /** A treatment beside another. */
    public record Row(
            Swatch swatch,
            String comparator,
            String extraYield,
            String extraCost,
            String net,
            String net95,
            String perCost,
            String breakEven,
            String cheapEnough,
            Pay.Says says) {}

    /** Units of a treatment that bring a yield. */
    public record Target(Swatch swatch, String mean, String units) {}

    @GetMapping("/trials/{trial}/money")
    String show(@PathVariable long trial, @RequestParam Map<String, String> sent, Model model) {
        OpenFindings.Found found = open.of(trial);
        JudgedQuestion question = found.findings().sections(Section.Contrasts.class).stream()
                .map(Section.Contrasts::question)
                .filter(MoneyController::sold)
                .findFirst()
                .orElseThrow(() -> new NotFound(
                        "This trial judges no yield by weight, volume or number.",
                        "/trials/" + trial + "/findings",
                        "Back to the findings"));
        TrialRecord record = found.record();
        MoneyForm form = MoneyForm.read(
                sent,
                record.treatments().stream()
                        .map(treatment -> MediumCost.ofUnit(record, treatment, lots::find))
                        .toList());
        Per per = Per.of(question.kind().unit());
        model.addAttribute(
                "page",
                new MoneyPage(
                        found.header(),
                        form,
                        question.kind().label(),
                        question.look().name(),
                        per.name(),
                        Swatch.of(record),
                        form.ready() ? rows(record, question, form, per) : List.of(),
                        targets(record, question, form, per),
                        question.judgement().comparisons().stream()
                                .allMatch(c -> c.interval().isEmpty())));
        return "findings/money";
    }

    /** What is sold by: a kilogram for grams, a litre for millilitres, else one of the unit. */
    record Per(String name, double units) {
        static Per of(UnitOfMeasure unit) {
            return switch (unit.dimension()) {
                case MASS -> new Per("kg", unit == UnitOfMeasure.KILOGRAM ? 1 : A_LITRE_ML);
                case VOLUME -> new Per("L", unit == UnitOfMeasure.LITRE ? 1 : A_LITRE_ML);
                default -> new Per("piece", 1);
            };
        }
    }

    private static boolean sold(JudgedQuestion question) {
        UnitOfMeasure unit = question.kind().unit();
        return unit.dimension() == Dimension.MASS
                || unit.dimension() == Dimension.VOLUME
                || unit == UnitOfMeasure.COUNT;
    }

    private static List<Row> rows(TrialRecord record, JudgedQuestion question, MoneyForm form, Per per) {
        return question.judgement().comparisons().stream()
                .map(comparison -> {
                    Pay pay = Pay.of(comparison, form.price() / per.units(), form.costs());
                    return new Row(
                            Swatch.of(record.treatment(comparison.treatment() + 1)),
                            question.name(comparison.comparator()),
                            signed(comparison.difference(), question.kind().decimals()) + " "
                                    + question.kind().unitSymbol(),
                            signed(pay.extraCost(), 2),
                            signed(pay.net(), 2),
                            pay.net95().map(MoneyController::interval).orElse("–"),
                            pay.perCost().isPresent()
                                    ? Decimals.percent(pay.perCost().getAsDouble(), 0) + " %"
                                    : "–",
                            pay.breakEven().isPresent()
                                    ? Decimals.fixed(pay.breakEven().getAsDouble() * per.units(), 2)
                                    : "–",
                            pay.cheapEnough() > 0 ? Decimals.fixed(pay.cheapEnough(), 2) : "–",
                            pay.says());
                })
                .toList();
    }

    private static List<Target> targets(TrialRecord record, JudgedQuestion question, MoneyForm form, Per per) {
        List<Target> targets = new ArrayList<>();
        List<Double> means = question.judgement().means();
        for (int arm = 0; form.target().isPresent() && arm < means.size(); arm++) {
            if (Double.isFinite(means.get(arm))) {
                OptionalDouble units = Pay.unitsFor(form.target().getAsDouble() * per.units(), means.get(arm));
                targets.add(new Target(
                        Swatch.of(record.treatment(arm + 1)),
                        question.kind().show(means.get(arm)),
                        units.isPresent() ? Decimals.upTo(units.getAsDouble(), 0) : "none would"));
            }
        }
        return targets;
    }

    private static String interval(Interval interval) {
        return signed(interval.low(), 2) + " to " + signed(interval.high(), 2);
    }

    private static String signed(double value, int decimals) {
        return (value > 0 ? "+" : "") + Decimals.fixed(value, decimals);
    }

    /** Whether a trial's findings judge something that is sold. */
    static Optional<String> href(TrialRecord record, Findings findings) {
        return findings.sections(Section.Contrasts.class).stream()
                .map(Section.Contrasts::question)
                .filter(MoneyController::sold)
                .findFirst()
                .map(question -> "/trials/" + record.trial().id() + "/money");
    }
}
