package elsom.core.flag;

import elsom.core.quantity.Decimals;
import elsom.core.trial.CareTotals;
import elsom.core.trial.GivenKind;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** Treatments that had more water or feed than others: a second thing that differs. */
public final class UnevenCare {
    /** As much as two careful people with jugs differ. */
    private static final double TOLERATED = 0.10;

    private UnevenCare() {}

    /**
     * A flag for each kind of which the treatments had unlike amounts a unit.
     *
     * @param eachToItsWeight whether the plan waters each unit back to its own weight
     */
    public static List<Flag> of(TrialRecord record, boolean eachToItsWeight) {
        List<Flag> flags = new ArrayList<>();
        for (GivenKind kind : GivenKind.values()) {
            List<CareTotals.Total> totals = CareTotals.of(record).stream()
                    .filter(total -> total.kind() == kind && total.units() > 0)
                    .toList();
            if (totals.size() < 2) {
                continue;
            }
            double mean = totals.stream()
                    .mapToDouble(CareTotals.Total::millilitres)
                    .average()
                    .orElse(0);
            List<CareTotals.Total> off = totals.stream()
                    .filter(total -> Math.abs(total.millilitres() - mean) > TOLERATED * mean)
                    .toList();
            if (!off.isEmpty()) {
                flags.add(flag(record, kind, off, mean, eachToItsWeight));
            }
        }
        return flags;
    }

    private static Flag flag(
            TrialRecord record, GivenKind kind, List<CareTotals.Total> off, double mean, boolean eachToItsWeight) {
        String seen = kind.label() + " was not the same for all: "
                + off.stream()
                        .map(total -> record.treatment(total.treatment()).name() + " had "
                                + Decimals.upTo(total.millilitres(), 0) + " mL a unit")
                        .collect(Collectors.joining(", "))
                + "; the mean over treatments is " + Decimals.upTo(mean, 0) + " mL.";
        boolean meant = kind == GivenKind.WATER && eachToItsWeight;
        return meant
                ? Flag.note(
                        FlagCode.UNEVEN_CARE,
                        seen,
                        "It was planned so: each to its own weight. What differs may be the water and what it washed out.",
                        "Say so where the result is told.",
                        List.of())
                : Flag.caution(
                        FlagCode.UNEVEN_CARE,
                        seen,
                        "What had more may have grown by that, and not by its treatment.",
                        "Give all the same, or plan watering to each one's own weight.",
                        List.of());
    }
}
