package elsom.core.results;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.section.Amount;
import elsom.core.section.Cell;
import elsom.core.stats.Agreement;
import elsom.core.stats.Interval;
import elsom.core.stats.Outcome;
import elsom.core.trial.Endpoint;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.SecondScore;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Whether stations that scored the same units scored alike: of every kind of trial in which some did. */
final class AgreementAnswers implements Analysis {
    private static final List<String> REMARKS = List.of(
            "κ: quadratic weights (Cohen 1968), interval by jackknife over units. ICC: single scores, absolute agreement,"
                    + " units and scorers random (Shrout & Fleiss 1979, ICC(2,1)).",
            "From about 0.8 on either can stand for the other. Below 0.6 the anchors are read differently: look at a few"
                    + " units together, agree on the words, and score again. Treatments are judged by the first scores.");

    /** Who scored what again, when. */
    private record Group(Look look, Endpoint endpoint, String station) {}

    @Override
    public void add(Evidence evidence, Findings.Draft findings) {
        TrialRecord record = evidence.record();
        Map<Group, List<SecondScore>> groups = new LinkedHashMap<>();
        for (SecondScore score : record.scoredAgain()) {
            Look look = record.look(score.look()).orElseThrow();
            if (look.number() <= evidence.look()) {
                groups.computeIfAbsent(
                                new Group(look, record.endpoint(score.endpoint()), score.station()),
                                none -> new ArrayList<>())
                        .add(score);
            }
        }
        List<AgreementResult.Row> rows = new ArrayList<>();
        groups.forEach((group, scores) -> row(record, group, scores).ifPresent(rows::add));
        if (!rows.isEmpty()) {
            findings.section(new AgreementResult(rows, REMARKS));
        }
    }

    private static Optional<AgreementResult.Row> row(TrialRecord record, Group group, List<SecondScore> scores) {
        List<Double> first = new ArrayList<>();
        List<Double> second = new ArrayList<>();
        List<String> stations = new ArrayList<>();
        for (SecondScore score : scores) {
            Optional<Reading> reading = record.current(new ReadingRef(score.unit(), score.look(), score.endpoint()));
            Double value = reading.map(Reading::value).orElse(null);
            if (value != null) {
                first.add(value);
                second.add(score.value());
                stations.add(reading.orElseThrow().eyes());
            }
        }
        if (first.isEmpty()) {
            return Optional.empty();
        }
        Outcome<Agreement> agreement = Agreement.of(numbers(first), numbers(second));
        return Optional.of(new AgreementResult.Row(
                group.endpoint().name(),
                group.look().name(),
                String.join(", ", stations.stream().distinct().toList()) + " and " + group.station(),
                first.size(),
                agreement.asOptional().map(a -> with(a.kappa(), a.kappa95())).orElseGet(() -> Cell.none(Cell.NONE)),
                agreement.asOptional().map(a -> with(a.icc(), a.icc95())).orElseGet(() -> Cell.none(Cell.NONE)),
                agreement
                        .asOptional()
                        .map(a -> with(a.difference(), a.difference95()))
                        .orElseGet(() -> Cell.none(agreement.whyNot().orElse(Cell.NONE)))));
    }

    private static double[] numbers(List<Double> values) {
        return values.stream().mapToDouble(Double::doubleValue).toArray();
    }

    private static Cell with(double value, Optional<Interval> interval) {
        return Cell.number(
                Decimals.fixed(value, 2)
                        + interval.map(i ->
                                        " (" + Decimals.fixed(i.low(), 2) + " to " + Decimals.fixed(i.high(), 2) + ")")
                                .orElse(""),
                Amount.of(value, UnitOfMeasure.COUNT).within(interval));
    }
}
