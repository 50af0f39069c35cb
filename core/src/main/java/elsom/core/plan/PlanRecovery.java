package elsom.core.plan;

import elsom.core.design.LayoutKind;
import elsom.core.trial.Bench;
import elsom.core.trial.Container;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialRecord;
import java.util.List;
import java.util.Optional;

/** The plan of a trial that was drawn before plans were kept, as far as its records tell. */
public final class PlanRecovery {
    private PlanRecovery() {}

    /**
     * Treatments, containers, benches and looks as they are recorded; comparisons and the way lots were drawn are lost.
     *
     * @param known what the protocol says of its endpoints
     * @param rules how units were watered
     */
    public static Plan of(TrialRecord record, List<Measure> known, Rules rules) {
        Container usual = record.containers().get(0);
        List<Measure> measures = record.endpoints().stream()
                .map(endpoint -> known.stream()
                        .filter(measure -> measure.endpoint().code().equals(endpoint.code()))
                        .findFirst()
                        .orElseGet(() -> Measure.byHand(endpoint, "", "", 0, Direction.EITHER, 0.2, 30)))
                .toList();
        List<PlannedTreatment> treatments = record.treatments().stream()
                .map(treatment -> treatment(record, treatment))
                .toList();
        int replicates = record.units().stream()
                .mapToInt(ExperimentalUnit::replicate)
                .max()
                .orElse(1);
        return new Plan(
                record.trial().protocol(),
                new Asked(record.trial().question(), "", List.of(), measures),
                Treatments.listed(treatments),
                Pots.of(usual),
                new Arrangement(
                        LayoutKind.BLOCKS,
                        Math.min(replicates, Arrangement.MOST_REPLICATES),
                        record.benches().stream().map(PlanRecovery::site).toList(),
                        true,
                        0,
                        false,
                        0,
                        record.trial().seed(),
                        List.of()),
                new Schedule(
                        record.trial().zone(),
                        record.trial().start(),
                        null,
                        List.of(),
                        record.looks().stream()
                                .map(look -> new PlannedLook(look.name(), look.afterStart(), look.endpoints()))
                                .toList(),
                        List.of(),
                        Hours.ANY),
                rules,
                null);
    }

    private static PlannedTreatment treatment(TrialRecord record, Treatment treatment) {
        Optional<ExperimentalUnit> unit = record.units().stream()
                .filter(one -> one.treatment() == treatment.number())
                .findFirst();
        return new PlannedTreatment(
                treatment.name(),
                treatment.material(),
                treatment.kind(),
                treatment.control(),
                treatment.properties(),
                unit.map(record::container).orElse(null),
                unit.map(ExperimentalUnit::filledVolumeMl).orElse(0.0),
                List.of());
    }

    private static Site site(Bench bench) {
        return new Site(
                bench.name(),
                bench.lengthCm(),
                bench.depthCm(),
                bench.light(),
                bench.door(),
                bench.lightMap(),
                bench.influences());
    }
}
