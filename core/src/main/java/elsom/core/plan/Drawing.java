package elsom.core.plan;

import elsom.core.design.Layout;
import elsom.core.trial.Bench;
import elsom.core.trial.BenchPosition;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Texture;
import elsom.core.trial.Tint;
import elsom.core.trial.Treatment;
import elsom.core.trial.Trial;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.TrialStage;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** Makes a trial's records from its plan. */
final class Drawing {
    private final Plan plan;

    Drawing(Plan plan) {
        this.plan = plan;
    }

    TrialRecord record(TrialId id, boolean withUnits) {
        List<Bench> benches = withUnits ? plan.benches() : List.of();
        Schedule schedule = plan.schedule();
        return TrialRecord.of(
                        new Trial(
                                id,
                                plan.question(),
                                plan.protocol(),
                                schedule.zone(),
                                schedule.start(),
                                plan.arrangement().seed(),
                                TrialStage.DRAFT,
                                plan.rules().blind()),
                        plan.treatments().size() <= Treatment.MOST ? treatments() : List.of(),
                        plan.containers(),
                        benches,
                        withUnits ? moved(plan.kept().isEmpty() ? plan.layout().draw() : kept(benches)) : List.of(),
                        plan.asked().measures().stream()
                                .filter(Measure::taken)
                                .map(measure -> measure.endpoint()
                                        .counted(
                                                plan.pots().plants(),
                                                plan.pots().seeds()))
                                .toList(),
                        looks(schedule),
                        List.of(),
                        List.of())
                .with(plan.chores());
    }

    private List<Treatment> treatments() {
        List<Treatment> numbered = new ArrayList<>();
        for (PlannedTreatment planned : plan.treatments().all()) {
            int number = numbered.size() + 1;
            numbered.add(new Treatment(
                    number,
                    Treatment.codeFor(number),
                    planned.name(),
                    planned.mix(),
                    planned.kind(),
                    planned.control(),
                    Texture.forTreatment(number),
                    Tint.forTreatment(number),
                    planned.properties()));
        }
        return numbered;
    }

    /** Looks in order of time; at one time, in the order of the plan. */
    static List<Look> looks(Schedule schedule) {
        List<Look> looks = new ArrayList<>();
        for (PlannedLook planned : schedule.looks().stream()
                .sorted(Comparator.comparing(PlannedLook::after))
                .toList()) {
            looks.add(new Look(looks.size() + 1, planned.name(), planned.after(), planned.endpoints()));
        }
        return looks;
    }

    /** Units that go on keep their codes and are put on new places by lot. */
    private List<ExperimentalUnit> kept(List<Bench> benches) {
        List<PlannedTreatment> all = plan.treatments().all();
        List<BenchPosition> places = Layout.places(benches);
        List<PlanOrigin.Kept> order =
                Layout.shuffled(plan.kept(), plan.arrangement().seed());
        Map<Integer, Integer> replicates = new TreeMap<>();
        List<ExperimentalUnit> units = new ArrayList<>();
        for (int i = 0; i < order.size(); i++) {
            PlanOrigin.Kept kept = order.get(i);
            PlannedTreatment treatment = all.get(kept.treatment() - 1);
            units.add(new ExperimentalUnit(
                    kept.unit(),
                    kept.treatment(),
                    replicates.merge(kept.treatment(), 1, Integer::sum),
                    plan.container(treatment).name(),
                    plan.volumeMl(treatment),
                    1,
                    places.get(i)));
        }
        return units;
    }

    private List<ExperimentalUnit> moved(List<ExperimentalUnit> drawn) {
        List<ExperimentalUnit> units = drawn;
        for (Arrangement.Move move : plan.arrangement().moves()) {
            units = Layout.moved(units, move.unit(), move.to());
        }
        return units;
    }
}
