package elsom.core.trial;

import java.util.ArrayList;
import java.util.List;

/** What every treatment has had by a time: a difference that nobody planned is a second treatment. */
public final class CareTotals {
    private CareTotals() {}

    /**
     * What the units of one treatment had of one kind.
     *
     * @param times mean entries a unit
     * @param millilitres mean mL a unit
     * @param each mL of each unit
     */
    public record Total(int treatment, GivenKind kind, int units, double times, double millilitres, List<Double> each) {
        public Total {
            each = List.copyOf(each);
        }
    }

    /** Totals of kinds that were given at all, treatments in order. */
    public static List<Total> of(TrialRecord record) {
        List<Total> totals = new ArrayList<>();
        for (GivenKind kind : GivenKind.values()) {
            List<Given> entries = record.given().stream()
                    .filter(one -> one.stands() && one.kind() == kind)
                    .toList();
            if (!entries.isEmpty()) {
                record.treatments().forEach(treatment -> totals.add(total(record, treatment.number(), kind, entries)));
            }
        }
        return totals;
    }

    private static Total total(TrialRecord record, int treatment, GivenKind kind, List<Given> entries) {
        List<UnitCode> units = record.units().stream()
                .filter(unit -> unit.treatment() == treatment)
                .map(ExperimentalUnit::code)
                .toList();
        List<Double> each = new ArrayList<>();
        int times = 0;
        for (UnitCode unit : units) {
            double ml = 0;
            for (Given entry : entries) {
                Double had = entry.millilitres().get(unit);
                if (had != null) {
                    ml += had;
                    times++;
                }
            }
            each.add(ml);
        }
        int n = Math.max(1, units.size());
        double all = each.stream().mapToDouble(Double::doubleValue).sum();
        return new Total(treatment, kind, units.size(), (double) times / n, all / n, each);
    }
}
