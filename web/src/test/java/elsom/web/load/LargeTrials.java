package elsom.web.load;

import elsom.core.design.LayoutKind;
import elsom.core.plan.Arrangement;
import elsom.core.plan.Asked;
import elsom.core.plan.Direction;
import elsom.core.plan.Hours;
import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedLook;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Site;
import elsom.core.plan.Treatments;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.ControlKind;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingId;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.GrowthPlan;
import elsom.web.trial.WholeTrial;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;

/** Trials of any size, with readings of every look but the last. */
public final class LargeTrials {
    private static final int REPLICATES = 25;

    private LargeTrials() {}

    /** A plan of so many units, a multiple of 25 or fewer than that, with so many looks and endpoints. */
    public static Plan plan(int units, int looks, int endpoints) {
        int replicates = Math.min(REPLICATES, Math.max(1, units / 2));
        int treatments = Math.max(2, units / replicates);
        Plan base = GrowthPlan.plan();
        List<PlannedTreatment> listed = IntStream.rangeClosed(1, treatments)
                .mapToObj(i -> PlannedTreatment.of(
                        "medium " + i, "medium " + i, i == 1 ? ControlKind.CONTROL : ControlKind.NONE))
                .toList();
        List<Measure> measures = IntStream.rangeClosed(1, endpoints)
                .mapToObj(i -> Measure.byHand(
                        Endpoint.single(new EndpointCode("mass-" + i), "Mass " + i, UnitOfMeasure.GRAM, 0, 1000, 1),
                        "",
                        "",
                        0,
                        Direction.HIGHER,
                        0.15,
                        10))
                .toList();
        List<EndpointCode> codes =
                measures.stream().map(measure -> measure.endpoint().code()).toList();
        List<PlannedLook> planned = IntStream.rangeClosed(1, looks)
                .mapToObj(i -> new PlannedLook("day " + i, Duration.ofDays(i), codes))
                .toList();
        return new Plan(
                base.protocol(),
                new Asked(units + " units, " + looks + " looks: which is heavier?", "marigold", List.of(), measures),
                Treatments.listed(listed),
                base.pots(),
                new Arrangement(
                        LayoutKind.BLOCKS,
                        replicates,
                        List.of(Site.named("Long bench")),
                        true,
                        0,
                        false,
                        0,
                        5,
                        List.of()),
                base.schedule().startingTogether(GrowthPlan.START).with(planned, List.of(), Hours.ANY),
                base.rules(),
                null);
    }

    /** The started trial with all readings of all looks but the last. */
    public static WholeTrial measured(int units, int looks, int endpoints) {
        Plan plan = plan(units, looks, endpoints);
        TrialRecord draft = plan.draw(new TrialId(0));
        TrialRecord drawn = draft.with(draft.trial().begun(false));
        SplittableRandom random = new SplittableRandom(3);
        List<Reading> readings = new ArrayList<>();
        for (Look look : drawn.looks().subList(0, Math.max(1, looks - 1))) {
            Instant at = look.plannedAt(GrowthPlan.START);
            for (ExperimentalUnit unit : drawn.benchOrder()) {
                for (EndpointCode endpoint : look.endpoints()) {
                    double value = Math.round(100 * (10 + look.number() + 3 * random.nextDouble())) / 100.0;
                    readings.add(new Reading(
                            new ReadingId(readings.size() + 1L),
                            new ReadingRef(unit.code(), look.number(), endpoint),
                            value,
                            Double.toString(value),
                            UnitOfMeasure.GRAM,
                            at,
                            at,
                            "Bench A",
                            Instrument.SCALE,
                            null,
                            null));
                }
            }
        }
        return new WholeTrial(drawn.plus(readings), plan, List.of());
    }
}
