package elsom.web.plan;

import elsom.core.plan.Plan;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Swatch;
import java.util.List;

/** Labels to print, with a few as they will look. */
record LabelsPage(PlanFrame frame, List<Sample> samples, int count, boolean blind, List<Sheet> sheets, String href) {
    private static final int SAMPLES = 3;

    /** A label as it will look. */
    record Sample(String code, Swatch swatch) {}

    /** A kind of sheet, by the name its address has. */
    record Sheet(String name, String label) {}

    private static final List<Sheet> SHEETS = List.of(
            new Sheet("A4", "A4 sheet, 3 × 8 labels of 70 × 37 mm"),
            new Sheet("A4_SMALL", "A4 sheet, 5 × 13 labels of 38 × 21 mm"),
            new Sheet("LETTER", "US Letter sheet, 3 × 10 labels of 2⅝ × 1 in"),
            new Sheet("ROLL", "Roll, one label of 50 × 25 mm after another"));

    static LabelsPage of(PlanFrame frame, TrialRecord record, Plan plan) {
        return new LabelsPage(
                frame,
                record.units().stream()
                        .limit(SAMPLES)
                        .map(unit -> new Sample(unit.code().value(), Swatch.of(record.treatment(unit))))
                        .toList(),
                record.units().size(),
                plan.rules().blind()
                        && (!record.trial().started() || record.trial().blind()),
                SHEETS,
                "/trials/" + record.trial().id() + "/labels.pdf");
    }
}
