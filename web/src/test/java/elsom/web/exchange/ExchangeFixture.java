package elsom.web.exchange;

import elsom.core.design.LayoutKind;
import elsom.core.plan.Arrangement;
import elsom.core.plan.Hours;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Pots;
import elsom.core.plan.Rules;
import elsom.core.plan.Site;
import elsom.core.plan.Treatments;
import elsom.core.plan.WateringSchool;
import elsom.core.protocol.water.WaterHolding;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.sim.BenchTruth;
import elsom.core.trial.Beside;
import elsom.core.trial.Container;
import elsom.core.trial.ControlKind;
import elsom.core.trial.CorrectionReason;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Given;
import elsom.core.trial.GivenKind;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.Mishap;
import elsom.core.trial.MishapKind;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingId;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.SecondScore;
import elsom.core.trial.Skip;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.Turn;
import elsom.web.trial.WholeTrial;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** A small trial that has everything a file must carry: corrections, a mishap, quotes and commas in texts. */
public final class ExchangeFixture {
    public static final Instant START = Instant.parse("2026-06-01T08:00:00Z");
    private static final Container POT = Container.taperedRound("Round pot 9 cm", 8.5, 9, 6.5);

    private ExchangeFixture() {}

    public static Plan plan() {
        Plan begun = new WaterHolding()
                .begin(
                        "Which \"plug\" medium, of two, holds water?",
                        ZoneId.of("Europe/London"),
                        START,
                        Pots.of(POT),
                        -5);
        return begun.with(
                        Treatments.listed(List.of(medium("Wood fibre", 0.94), medium("Leaf mould, sieved", 0.71))),
                        begun.pots())
                .with(new Arrangement(
                        LayoutKind.BLOCKS, 3, List.of(Site.named("Tunnel shelf")), true, 0, false, 0, -5, List.of()))
                .with(begun.schedule()
                        .with(
                                WaterHolding.looks(
                                        List.of(Duration.ofHours(24), Duration.ofHours(48), Duration.ofHours(96)),
                                        true),
                                List.of(),
                                Hours.ANY))
                .with(new Rules(WateringSchool.EACH_TO_REFILL_WEIGHT, 0.4, false));
    }

    /** The trial as it is on the day it starts. */
    public static TrialRecord drawn() {
        TrialRecord draft = plan().draw(new TrialId(0));
        return draft.with(draft.trial().begun(false));
    }

    private static PlannedTreatment medium(String name, double matter) {
        return new PlannedTreatment(
                name,
                name,
                "organic",
                ControlKind.NONE,
                Map.of(TreatmentProperty.ORGANIC_MATTER, matter),
                POT,
                380.5,
                List.of());
    }

    /** Drawn, started, and its plan with it. */
    public static WholeTrial fresh() {
        return new WholeTrial(drawn(), plan(), List.of());
    }

    /** {@link #measured} with its plan. */
    public static WholeTrial whole() {
        return new WholeTrial(measured(), plan(), List.of());
    }

    /** The drawn trial with every observation made, one of them corrected. */
    public static TrialRecord measured() {
        TrialRecord drawn = drawn();
        BenchTruth truth = new BenchTruth(drawn);
        List<Reading> readings = new ArrayList<>();
        for (Look look : drawn.looks()) {
            for (ExperimentalUnit unit : drawn.benchOrder()) {
                look.endpoints()
                        .forEach(endpoint -> readings.add(reading(
                                readings.size() + 1,
                                new ReadingRef(unit.code(), look.number(), endpoint),
                                truth.of(unit, look, endpoint),
                                look,
                                null)));
            }
        }
        Reading first = readings.get(0);
        readings.add(
                reading(readings.size() + 1, first.ref(), 31.25, drawn.looks().get(0), first.id()));
        Mishap mishap = new Mishap(
                1, MishapKind.KNOCKED, "cat, \"again\"", List.of(first.ref().unit()), 4, START, "Bench A", null);
        return TrialRecord.of(
                        drawn.trial(),
                        drawn.treatments(),
                        drawn.containers(),
                        drawn.benches(),
                        drawn.units(),
                        drawn.endpoints(),
                        drawn.looks(),
                        readings,
                        List.of(mishap))
                .with(new Beside(
                        List.of(),
                        List.of(new Given(
                                1,
                                GivenKind.FEED,
                                "kelp, \"2 mL/L\"",
                                Map.of(first.ref().unit(), 36.5),
                                START,
                                "Bench A",
                                null)),
                        List.of(new SecondScore(
                                first.ref().unit(),
                                first.ref().look(),
                                first.ref().endpoint(),
                                "Bench B",
                                31.5,
                                START)),
                        List.of(new Turn(2, START, "Bench \"B\"")),
                        List.of(new Skip(
                                drawn.looks().size(),
                                drawn.looks()
                                        .get(drawn.looks().size() - 1)
                                        .endpoints()
                                        .get(0),
                                "all \"eaten\", nothing left",
                                START,
                                "Bench A"))));
    }

    private static Reading reading(
            int id, ReadingRef ref, double value, Look look, @org.jspecify.annotations.Nullable ReadingId supersedes) {
        Instant at = look.plannedAt(START);
        return new Reading(
                new ReadingId(id),
                ref,
                value,
                Double.toString(value),
                UnitOfMeasure.GRAM,
                at,
                at.plusSeconds(30),
                "Bench A",
                Instrument.SCALE,
                supersedes,
                supersedes == null ? null : CorrectionReason.MISTYPED);
    }
}
