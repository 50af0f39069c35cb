package elsom.web.exchange;

import elsom.core.protocol.TrialPlan;
import elsom.core.protocol.WaterHolding;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.sim.BenchTruth;
import elsom.core.trial.Container;
import elsom.core.trial.ControlKind;
import elsom.core.trial.CorrectionReason;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.Mishap;
import elsom.core.trial.MishapKind;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingId;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.WateringSchool;
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

    public static TrialRecord drawn() {
        return new TrialPlan(
                        new WaterHolding(),
                        "Which \"plug\" medium, of two, holds water?",
                        ZoneId.of("Europe/London"),
                        START,
                        WateringSchool.EACH_TO_REFILL_WEIGHT,
                        0.4,
                        List.of(medium("Wood fibre", 0.94), medium("Leaf mould, sieved", 0.71)),
                        List.of("Tunnel shelf"),
                        3,
                        List.of(Duration.ofHours(24), Duration.ofHours(48), Duration.ofHours(96)),
                        true)
                .draw(-5);
    }

    private static TrialPlan.Planned medium(String name, double matter) {
        return new TrialPlan.Planned(
                name, name, "organic", ControlKind.NONE, Map.of(TreatmentProperty.ORGANIC_MATTER, matter), POT, 380.5);
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
                List.of(mishap));
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
