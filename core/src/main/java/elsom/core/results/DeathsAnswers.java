package elsom.core.results;

import elsom.core.quantity.Decimals;
import elsom.core.section.Cell;
import elsom.core.section.Column;
import elsom.core.section.Table;
import elsom.core.stats.FisherExact;
import elsom.core.stats.Holm;
import elsom.core.stats.Proportion;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.MishapKind;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;

/**
 * How many units died, treatment by treatment: a result of every trial in which any did, told before what the living were
 * like. Each treatment is held beside the control by Fisher's exact test, all together by Holm.
 */
final class DeathsAnswers implements Analysis {
    private static final double ALPHA = 0.05;
    private static final List<String> REMARKS = List.of(
            "Units that were written down as died, of all that were set up; those lost by accident are not among them.",
            "p: Fisher's exact test beside the control, two-sided, for all treatments together by Holm.",
            "Everything else is of the units that lived.");

    /** A treatment with its dead. */
    private record Row(Treatment treatment, Proportion died, OptionalDouble p) {
        String told() {
            return (died.affected() == 0 ? "none" : died.affected() + " of " + died.n()) + " in " + treatment.name();
        }
    }

    @Override
    public void add(Evidence evidence, Findings.Draft findings) {
        TrialRecord record = evidence.record();
        List<Row> rows = rows(record, evidence.reach());
        if (rows.stream().allMatch(row -> row.died().affected() == 0)) {
            return;
        }
        findings.first(Findings.Answered.unasked(verdict(rows)));
        record.look(evidence.reach()).map(look -> section(look, rows)).ifPresent(findings::section);
    }

    private static List<Row> rows(TrialRecord record, int look) {
        List<Treatment> controls =
                record.treatments().stream().filter(Treatment::isControl).toList();
        Optional<Treatment> control = controls.size() == 1 ? Optional.of(controls.get(0)) : Optional.empty();
        List<Treatment> set = record.treatments().stream()
                .filter(treatment -> !units(record, treatment).isEmpty())
                .toList();
        List<Treatment> tested = set.stream()
                .filter(treatment -> control.isPresent() && !treatment.equals(control.get()))
                .toList();
        double[] p = Holm.adjust(tested.stream()
                .mapToDouble(treatment -> FisherExact.of(
                                died(record, treatment, look), died(record, control.orElseThrow(), look))
                        .p())
                .toArray());
        List<Row> rows = new ArrayList<>();
        for (Treatment treatment : set) {
            int at = tested.indexOf(treatment);
            rows.add(new Row(
                    treatment,
                    died(record, treatment, look),
                    at < 0 ? OptionalDouble.empty() : OptionalDouble.of(p[at])));
        }
        return rows;
    }

    private static List<ExperimentalUnit> units(TrialRecord record, Treatment treatment) {
        return record.units().stream()
                .filter(unit -> unit.treatment() == treatment.number())
                .toList();
    }

    private static Proportion died(TrialRecord record, Treatment treatment, int look) {
        List<ExperimentalUnit> units = units(record, treatment);
        long died = units.stream()
                .flatMap(unit -> record.ended(unit.code()).stream())
                .filter(mishap -> mishap.kind() == MishapKind.DIED && mishap.look() <= look)
                .count();
        return new Proportion((int) died, units.size());
    }

    private static Verdict verdict(List<Row> rows) {
        String counts = rows.stream()
                .filter(row -> row.died().affected() > 0 || row.treatment().isControl())
                .map(Row::told)
                .collect(Collectors.joining(", "));
        double control = rows.stream()
                .filter(row -> row.treatment().isControl())
                .mapToDouble(row -> row.died().share())
                .max()
                .orElse(Double.NaN);
        List<Row> clear = rows.stream()
                .filter(row -> row.p().isPresent() && row.p().getAsDouble() < ALPHA)
                .toList();
        boolean worse = clear.stream().anyMatch(row -> row.died().share() > control);
        String beside = clear.isEmpty()
                ? "; so few can't be told from chance"
                : "; "
                        + clear.stream()
                                .map(row -> (row.died().share() > control ? "more" : "fewer") + " in "
                                        + row.treatment().name() + " than in the control, p "
                                        + Decimals.p(row.p().getAsDouble()))
                                .collect(Collectors.joining(", "));
        return new Verdict(
                clear.isEmpty() ? Verdict.Firmness.CANT_TELL : worse ? Verdict.Firmness.WORSE : Verdict.Firmness.BETTER,
                "Died: " + counts + (Double.isNaN(control) ? "; there is no control to hold them beside" : beside)
                        + ".",
                "What is said of the others is of those that lived.");
    }

    private static TableResult section(Look look, List<Row> rows) {
        List<Column<Row>> columns = List.of(
                Column.cells("Treatment", row -> Cell.of(row.treatment())),
                Column.numbers(
                        "Died",
                        row -> Cell.none(
                                row.died().affected() + " of " + row.died().n())),
                Column.numbers(
                        "p beside the control",
                        row -> Cell.none(
                                row.p().isPresent() ? Decimals.p(row.p().getAsDouble()) : Cell.NONE)));
        return new TableResult("Died", look, Table.of("deaths", "Died", columns, rows), REMARKS);
    }
}
