package elsom.web.findings;

import elsom.core.analysis.Answer;
import elsom.core.money.Pay;
import elsom.core.money.Sold;
import elsom.core.money.UnitCost;
import elsom.core.money.UnitsNeeded;
import elsom.core.plan.Plan;
import elsom.core.quantity.Decimals;
import elsom.core.results.ContrastChart;
import elsom.core.results.Findings;
import elsom.core.results.JudgedQuestion;
import elsom.core.stats.Interval;
import elsom.core.stats.Summary;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Json;
import elsom.web.kit.Swatch;
import elsom.web.kit.TrialHeader;
import elsom.web.lots.Lots;
import elsom.web.trial.Plans;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Component;

/** Whether treatments pay, by prices of one's own: nothing of it is stored. */
@Component
public class MoneyPages {
    private static final double SMALL = 0.1;

    private final Plans plans;
    private final Lots lots;

    MoneyPages(Plans plans, Lots lots) {
        this.plans = plans;
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
            String chart,
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
    public record Target(Swatch swatch, String mean, String units, String range) {}

    /**
     * What treatments bring and cost; empty where no yield is judged that is sold.
     *
     * @param sent prices and costs as they were typed
     */
    public Optional<MoneyPage> page(
            TrialRecord record, Findings findings, TrialHeader header, Map<String, String> sent) {
        return findings.sections(JudgedQuestion.class).stream()
                .filter(MoneyPages::sold)
                .findFirst()
                .map(question -> page(record, question, header, sent));
    }

    private MoneyPage page(TrialRecord record, JudgedQuestion question, TrialHeader header, Map<String, String> sent) {
        Plan plan = plans.plan(record.trial().id());
        MoneyForm form = MoneyForm.read(
                sent,
                record.treatments().stream()
                        .map(treatment -> UnitCost.of(plan, record, treatment, lots::find))
                        .toList());
        Sold per = Sold.by(question.kind().unit()).orElseThrow();
        return new MoneyPage(
                header,
                form,
                question.kind().label(),
                question.look().name(),
                per.name(),
                Swatch.of(record),
                form.ready() ? rows(record, question, form, per) : List.of(),
                form.ready() ? drawn(record, question, form, per) : "",
                targets(record, question, form, per),
                question.judgement().comparisons().stream()
                        .allMatch(c -> c.interval().isEmpty()));
    }

    private static boolean sold(JudgedQuestion question) {
        return Sold.by(question.kind().unit()).isPresent();
    }

    private static List<Row> rows(TrialRecord record, JudgedQuestion question, MoneyForm form, Sold per) {
        return question.judgement().comparisons().stream()
                .map(comparison -> {
                    Pay pay = Pay.of(comparison, form.price() / per.units(), form.costs());
                    return new Row(
                            Swatch.of(record.treatment(comparison.treatment() + 1)),
                            question.name(comparison.comparator()),
                            signed(comparison.difference(), question.kind().decimals()) + " "
                                    + question.kind().unitSymbol(),
                            money(pay.extraCost()),
                            money(pay.net()),
                            pay.net95().map(MoneyPages::interval).orElse("–"),
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

    private static List<Target> targets(TrialRecord record, JudgedQuestion question, MoneyForm form, Sold per) {
        List<Target> targets = new ArrayList<>();
        for (int arm = 0; form.target().isPresent() && arm < record.treatments().size(); arm++) {
            Optional<Summary> yield = question.observations().summary(arm);
            if (yield.isPresent()) {
                UnitsNeeded needed = UnitsNeeded.of(form.target().getAsDouble() * per.units(), yield.get());
                targets.add(new Target(
                        Swatch.of(record.treatment(arm + 1)),
                        question.kind().show(yield.get().mean()),
                        whole(needed.units(), "none would"),
                        needed.fewest().isPresent()
                                ? whole(needed.fewest(), "") + " to " + whole(needed.most(), "any number")
                                : "–"));
            }
        }
        return targets;
    }

    private static String whole(OptionalDouble units, String none) {
        return units.isPresent() ? Decimals.upTo(units.getAsDouble(), 0) : none;
    }

    /** Net of a unit with its interval beside nothing gained, as the differences of findings are drawn. */
    private static String drawn(TrialRecord record, JudgedQuestion question, MoneyForm form, Sold per) {
        return Json.of(new ContrastChart(
                "net of a unit",
                "net of a unit",
                question.judgement().comparisons().stream()
                        .map(comparison -> Pay.of(comparison, form.price() / per.units(), form.costs()))
                        .flatMap(pay -> row(record, question, pay).stream())
                        .toList()));
    }

    private static Optional<ContrastChart.Row> row(TrialRecord record, JudgedQuestion question, Pay pay) {
        return pay.net95()
                .map(net -> new ContrastChart.Row(
                        record.treatment(pay.comparison().treatment() + 1),
                        question.name(pay.comparison().comparator()),
                        pay.net(),
                        net.low(),
                        net.high(),
                        null,
                        switch (pay.says()) {
                            case PAYS -> Answer.BETTER;
                            case COSTS -> Answer.WORSE;
                            case CANT_TELL -> Answer.CANT_TELL;
                        }));
    }

    private static String interval(Interval interval) {
        return money(interval.low()) + " to " + money(interval.high());
    }

    /** Cents and less of a single tray add up: small amounts keep a digit more. */
    private static String money(double value) {
        return signed(value, Math.abs(value) < SMALL ? 3 : 2);
    }

    private static String signed(double value, int decimals) {
        return (value > 0 ? "+" : "") + Decimals.fixed(value, decimals);
    }

    /** Whether a trial's findings judge something that is sold. */
    static Optional<String> href(TrialRecord record, Findings findings) {
        return findings.sections(JudgedQuestion.class).stream()
                .filter(MoneyPages::sold)
                .findFirst()
                .map(question -> "/trials/" + record.trial().id() + "/money");
    }
}
