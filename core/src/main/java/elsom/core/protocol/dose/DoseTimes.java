package elsom.core.protocol.dose;

import elsom.core.section.Chart;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** How EC10 and NOEC moved from look to look, over the doses tested. */
record DoseTimes(String doseUnit, List<Double> tested, List<AtLook> looks) implements Chart {
    /** What was found at a look. */
    record AtLook(
            String look,
            double days,
            DoseChart.@Nullable Mark ec10,
            @Nullable Double noec) {}

    static DoseTimes of(DoseResult result, DoseResult.Line line) {
        return new DoseTimes(
                result.unit().symbol(),
                line.effect().levels().stream()
                        .map(level -> level.dose())
                        .filter(dose -> dose > 0)
                        .toList(),
                line.atLooks().stream()
                        .map(at -> new AtLook(
                                at.look().name(),
                                at.look().hoursAfterStart() / 24,
                                DoseChart.mark(at.effect(), 10),
                                DoseChart.value(at.effect().tested().noec())))
                        .toList());
    }

    @Override
    public String script() {
        return "dosetimes";
    }
}
