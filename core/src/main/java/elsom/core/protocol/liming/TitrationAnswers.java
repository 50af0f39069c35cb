package elsom.core.protocol.liming;

import elsom.core.chemistry.LimeDose;
import elsom.core.chemistry.Titration;
import elsom.core.plan.Factor;
import elsom.core.plan.FactorKind;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Dimension;
import elsom.core.quantity.Quantity;
import elsom.core.quantity.Sentence;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.results.Analysis;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.results.UnitValues;
import elsom.core.results.Verdict;
import elsom.core.stats.Summary;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.apache.commons.statistics.distribution.TDistribution;

/** How much lime or sulfur brings a medium to a pH, by the last look, and whether pH has come to rest. */
public final class TitrationAnswers implements Analysis {
    private static final EndpointCode PH = new EndpointCode("ph");

    /** Two looks closer than this are the same to a meter that was calibrated. */
    private static final double METER = 0.05;

    private static final double HOURS_A_WEEK = 168;
    private static final double A_DAY_OFF = 24;

    @Override
    public void add(Evidence evidence, Findings.Draft findings) {
        List<Factor> factors = evidence.plan().treatments().factors();
        boolean series = factors.size() == 1
                && factors.get(0).kind() == FactorKind.DOSE
                && factors.get(0).measured()
                && factors.get(0).unit().dimension() == Dimension.CONCENTRATION;
        List<Look> looks = evidence.looksOf(PH);
        if (series && !looks.isEmpty()) {
            TitrationResult result = result(evidence, factors.get(0), looks);
            findings.answer(Findings.Answered.unasked(verdict(result))
                    .with(details(result))
                    .about(PH));
            findings.section(result);
        }
    }

    private static TitrationResult result(Evidence evidence, Factor amounts, List<Look> looks) {
        Look last = looks.get(looks.size() - 1);
        List<TitrationResult.Jar> jars = jars(evidence, amounts, last);
        Product kind = Product.called(amounts.name());
        return new TitrationResult(
                amounts.name(),
                kind,
                stillActing(kind, last),
                UnitOfMeasure.GRAM_PER_LITRE,
                last,
                jars,
                Titration.of(jars.stream()
                        .map(jar -> new Titration.Jar(jar.amount(), jar.ph()))
                        .toList()),
                halfWidth(jars),
                looks.size() < 2
                        ? Optional.empty()
                        : drift(
                                looks.get(looks.size() - 2),
                                jars(evidence, amounts, looks.get(looks.size() - 2)),
                                jars),
                evidence.plan().volumeMl(evidence.plan().treatments().all().get(0)));
    }

    private static String stillActing(Product kind, Look last) {
        double weeks = kind.acts().toHours() / HOURS_A_WEEK;
        return last.hoursAfterStart() + A_DAY_OFF >= kind.acts().toHours()
                ? ""
                : Sentence.capital(kind.word()) + " works on: it takes about " + Decimals.upTo(weeks, 0)
                        + " weeks" + (kind == Product.SULFUR ? " in a warm, moist medium, longer in a cold one" : "")
                        + ", and this is day "
                        + Decimals.upTo(last.hoursAfterStart() / 24, 0)
                        + ". An amount read now is too much.";
    }

    private static List<TitrationResult.Jar> jars(Evidence evidence, Factor amounts, Look look) {
        Endpoint endpoint = evidence.record().endpoint(PH);
        List<TitrationResult.Jar> jars = new ArrayList<>();
        for (ExperimentalUnit unit : evidence.record().units()) {
            OptionalDouble ph = UnitValues.readings(evidence.record(), endpoint, look, unit).stream()
                    .map(Reading::value)
                    .mapToDouble(value -> Objects.requireNonNull(value))
                    .average();
            int level = evidence.plan()
                    .treatments()
                    .all()
                    .get(unit.treatment() - 1)
                    .levels()
                    .get(0);
            double given = Objects.requireNonNull(amounts.levels().get(level).amount());
            double amount = new Quantity(given, amounts.unit())
                    .in(UnitOfMeasure.GRAM_PER_LITRE)
                    .value();
            if (ph.isPresent() && ph.getAsDouble() > 0 && ph.getAsDouble() < 14) {
                jars.add(new TitrationResult.Jar(unit.code().value(), unit.treatment() - 1, amount, ph.getAsDouble()));
            }
        }
        return jars;
    }

    /** By the scatter within amounts, pooled, for the usual number of jars of an amount. */
    private static double halfWidth(List<TitrationResult.Jar> jars) {
        Map<Double, List<Double>> byAmount = jars.stream()
                .collect(Collectors.groupingBy(
                        TitrationResult.Jar::amount,
                        TreeMap::new,
                        Collectors.mapping(TitrationResult.Jar::ph, Collectors.toList())));
        int df = jars.size() - byAmount.size();
        if (df < 1) {
            return 0;
        }
        double squares = byAmount.values().stream()
                .map(phs -> Summary.of(phs.stream().mapToDouble(ph -> ph).toArray()))
                .mapToDouble(of -> of.sd().isPresent()
                        ? (of.n() - 1) * of.sd().getAsDouble() * of.sd().getAsDouble()
                        : 0)
                .sum();
        double each = jars.size() / (double) byAmount.size();
        return TDistribution.of(df).inverseSurvivalProbability(0.025) * Math.sqrt(squares / df / each);
    }

    private static Optional<TitrationResult.Drift> drift(
            Look before, List<TitrationResult.Jar> earlier, List<TitrationResult.Jar> later) {
        double[] moved = later.stream()
                .flatMap(jar -> earlier.stream()
                        .filter(one -> one.unit().equals(jar.unit()))
                        .map(one -> jar.ph() - one.ph()))
                .mapToDouble(Double::doubleValue)
                .toArray();
        if (moved.length < 2) {
            return Optional.empty();
        }
        Summary summary = Summary.of(moved);
        return summary.interval95()
                .map(interval -> new TitrationResult.Drift(
                        before,
                        summary.mean(),
                        interval,
                        Math.abs(summary.mean()) > METER && (interval.low() > 0 || interval.high() < 0)));
    }

    private static Verdict verdict(TitrationResult result) {
        if (result.curve().asOptional().isEmpty()) {
            return new Verdict(
                    Verdict.Firmness.CANT_TELL,
                    "pH at " + result.look().said() + ": no curve, as "
                            + result.curve().whyNot().orElse("").toLowerCase(Locale.ROOT) + ".",
                    "Jars of more amounts would.");
        }
        var range = result.range().orElseThrow();
        boolean moving = !result.stillActing().isEmpty()
                || result.drift().map(TitrationResult.Drift::moving).orElse(true);
        double middle = Math.round((range.low() + range.high())) / 2.0;
        String example = result.dose(middle)
                .asOptional()
                .map(dose -> " For pH " + Decimals.fixed(middle, 1) + ": " + amount(result, dose) + "."
                        + dose.untried().map(untried -> " Here " + untried).orElse(""))
                .orElse("");
        return new Verdict(
                moving ? Verdict.Firmness.SO_FAR : Verdict.Firmness.SETTLED,
                result.product() + " takes the medium from pH " + Decimals.fixed(range.low(), 2) + " to "
                        + Decimals.fixed(range.high(), 2) + " at "
                        + result.look().said() + "." + example,
                "It answers targets from pH " + Decimals.fixed(range.low(), 1) + " to "
                        + Decimals.fixed(range.high(), 1) + " only, for this lot of medium and this product.");
    }

    private static String amount(TitrationResult result, LimeDose dose) {
        return (Decimals.threeDigits(dose.gramsPerLitre()) + " " + result.unit().symbol()).strip()
                + within(dose).map(range -> " (95 %: " + range + ")").orElse("");
    }

    /** "2.1 to 2.8"; empty where an end lies beyond what was tested. */
    public static Optional<String> within(LimeDose dose) {
        return dose.low().isPresent()
                        && dose.high().isPresent()
                        && dose.low().getAsDouble() < dose.high().getAsDouble()
                ? Optional.of(Decimals.threeDigits(dose.low().getAsDouble()) + " to "
                        + Decimals.threeDigits(dose.high().getAsDouble()))
                : Optional.empty();
    }

    private static List<String> details(TitrationResult result) {
        List<String> details = new ArrayList<>();
        result.drift()
                .ifPresentOrElse(
                        drift -> details.add((drift.moving() ? "pH is still moving: " : "pH has come to rest: ")
                                + (drift.mean() < 0 ? "−" : "+") + Decimals.fixed(Math.abs(drift.mean()), 2) + " since "
                                + drift.before().name() + " (95 % interval "
                                + Decimals.fixed(drift.interval().low(), 2)
                                + " to " + Decimals.fixed(drift.interval().high(), 2) + ")."
                                + (drift.moving() ? " Wait for another look before you go by it." : "")),
                        () -> details.add("One look only: " + result.kind().word()
                                + " works for weeks, so look again before you go by it."));
        if (!result.stillActing().isEmpty()) {
            details.add(result.stillActing());
        }
        result.curve()
                .asOptional()
                .filter(curve -> !curve.monotone())
                .ifPresent(curve -> details.add(
                        "pH does not go one way at every step; where it goes back, the smallest amount is given."));
        return details;
    }
}
