package elsom.core.flag;

import elsom.core.analysis.Judgement;
import elsom.core.analysis.Observations;
import java.util.Comparator;
import java.util.List;

/** All flag rules, run over a judged question. */
public final class Flags {
    private static final List<FlagRule> RULES = List.of(
            new NotRead(),
            new OneUnitEach(),
            new OneUnit(),
            new NoControl(),
            new NoMargin(),
            new LostUnits(),
            new LostHalf(),
            new UnequalNumbers(),
            new UnequalScatter(),
            new ScatterGrows(),
            new OddUnit(),
            new CoarseReadings(),
            new AtLimit(),
            new OutOfRange(),
            new PlaceEffect(),
            new Overdispersed(),
            new ControlFailed(),
            new AskedLate());

    private Flags() {}

    public static List<Flag> of(Observations observations, Judgement judgement) {
        return of(Scene.of(observations, judgement));
    }

    /** What every rule found, the worst first. */
    public static List<Flag> of(Scene scene) {
        return RULES.stream()
                .flatMap(rule -> rule.check(scene).stream())
                .sorted(Comparator.comparing(Flag::severity).reversed())
                .toList();
    }
}
