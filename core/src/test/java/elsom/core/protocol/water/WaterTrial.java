package elsom.core.protocol.water;

import elsom.core.design.LayoutKind;
import elsom.core.plan.Arrangement;
import elsom.core.plan.Hours;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Pots;
import elsom.core.plan.Site;
import elsom.core.plan.Treatments;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.Container;
import elsom.core.trial.ControlKind;
import elsom.core.trial.CorrectionReason;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.Mishap;
import elsom.core.trial.MishapKind;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingId;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleBiFunction;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** Builds water-holding trials for tests: says only what the test is about. */
public final class WaterTrial {
    public static final Instant START = Instant.parse("2026-06-01T08:00:00Z");
    public static final double VOLUME_ML = 400;
    private static final Container POT = Container.taperedRound("Round pot 9 cm", 8.5, 9, 6.5);
    private static final Container TUB = Container.taperedRound("Tub 18 cm", 18, 20, 16);

    private final List<PlannedTreatment> treatments = new ArrayList<>();
    private List<String> places = List.of("Bench");
    private int replicates = 3;
    private List<Duration> times = hours(6, 24, 48, 96);
    private boolean checkDryness;
    private TrialRecord record;
    private @Nullable Plan plan;

    public static WaterTrial aTrial() {
        return new WaterTrial();
    }

    private static List<Duration> hours(int... hours) {
        return IntStream.of(hours).mapToObj(Duration::ofHours).toList();
    }

    public WaterTrial medium(String name) {
        return medium(name, "", Double.NaN, POT, false);
    }

    public WaterTrial medium(String name, String kind, double organicMatter) {
        return medium(name, kind, organicMatter, POT, false);
    }

    public WaterTrial prewetted(String material) {
        return medium(material, "", Double.NaN, POT, true);
    }

    public WaterTrial inTub(String material) {
        return medium(material, "", Double.NaN, TUB, false);
    }

    private WaterTrial medium(String material, String kind, double organicMatter, Container container, boolean wetted) {
        Map<TreatmentProperty, Double> properties = new EnumMap<>(TreatmentProperty.class);
        if (organicMatter >= 0) {
            properties.put(TreatmentProperty.ORGANIC_MATTER, organicMatter);
        }
        if (wetted) {
            properties.put(TreatmentProperty.PREWETTED, 1.0);
        }
        String name = material + (wetted ? ", pre-wetted" : "") + (container == TUB ? ", tub" : "");
        treatments.add(new PlannedTreatment(
                name, material, kind, ControlKind.NONE, properties, container, VOLUME_ML, List.of()));
        return this;
    }

    public WaterTrial places(String... names) {
        places = List.of(names);
        return this;
    }

    public WaterTrial replicates(int number) {
        replicates = number;
        return this;
    }

    public WaterTrial times(int... afterHours) {
        times = hours(afterHours);
        return this;
    }

    public WaterTrial checkingDryness() {
        checkDryness = true;
        return this;
    }

    public Plan plan() {
        drawn();
        return java.util.Objects.requireNonNull(plan);
    }

    public TrialRecord drawn() {
        if (record == null) {
            Plan begun = new WaterHolding().begin("Which holds water?", ZoneOffset.UTC, START, Pots.of(POT), 7);
            plan = begun.with(Treatments.listed(treatments), begun.pots())
                    .with(new Arrangement(
                            LayoutKind.BLOCKS,
                            replicates,
                            places.stream().map(Site::named).toList(),
                            true,
                            0,
                            false,
                            0,
                            7,
                            List.of()))
                    .with(begun.schedule().with(WaterHolding.looks(times, checkDryness), List.of(), Hours.ANY));
            TrialRecord draft = plan.draw(new TrialId(0));
            record = draft.with(draft.trial().begun(false));
        }
        return record;
    }

    public ExperimentalUnit unit(int treatment, int replicate) {
        return drawn().units().stream()
                .filter(unit -> unit.treatment() == treatment && unit.replicate() == replicate)
                .findFirst()
                .orElseThrow();
    }

    public Look look(String name) {
        return drawn().looks().stream()
                .filter(look -> look.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    /** Weighs every unit at a look. */
    public WaterTrial weigh(String look, EndpointCode endpoint, ToDoubleBiFunction<ExperimentalUnit, Look> grams) {
        for (ExperimentalUnit unit : drawn().units()) {
            weigh(unit, look, endpoint, grams.applyAsDouble(unit, look(look)));
        }
        return this;
    }

    /** Weighs one unit; a second value corrects the first. */
    public WaterTrial weigh(ExperimentalUnit unit, String look, EndpointCode endpoint, double grams) {
        Look at = look(look);
        ReadingRef ref = new ReadingRef(unit.code(), at.number(), endpoint);
        ReadingId before = drawn().latest(ref).map(Reading::id).orElse(null);
        Instant taken = at.plannedAt(START);
        List<Reading> readings = new ArrayList<>(drawn().readings());
        readings.add(new Reading(
                new ReadingId(readings.size() + 1),
                ref,
                grams,
                Double.toString(grams),
                UnitOfMeasure.GRAM,
                taken,
                taken,
                "Bench A",
                Instrument.HAND,
                before,
                before == null ? null : CorrectionReason.MISTYPED));
        return with(readings, drawn().mishaps());
    }

    /** Takes an observation back. */
    public WaterTrial takeBack(ExperimentalUnit unit, String look, EndpointCode endpoint) {
        ReadingRef ref = new ReadingRef(unit.code(), look(look).number(), endpoint);
        Reading last = drawn().latest(ref).orElseThrow();
        List<Reading> readings = new ArrayList<>(drawn().readings());
        readings.add(new Reading(
                new ReadingId(readings.size() + 1),
                ref,
                null,
                "",
                UnitOfMeasure.GRAM,
                last.takenAt(),
                last.recordedAt(),
                "Bench A",
                Instrument.HAND,
                last.id(),
                CorrectionReason.UNDONE));
        return with(readings, drawn().mishaps());
    }

    public WaterTrial mishap(MishapKind kind, ExperimentalUnit unit, String look) {
        List<Mishap> mishaps = new ArrayList<>(drawn().mishaps());
        mishaps.add(new Mishap(
                mishaps.size() + 1, kind, "", List.of(unit.code()), look(look).number(), START, "Bench A", null));
        return with(drawn().readings(), mishaps);
    }

    private WaterTrial with(List<Reading> readings, List<Mishap> mishaps) {
        TrialRecord before = drawn();
        record = TrialRecord.of(
                before.trial(),
                before.treatments(),
                before.containers(),
                before.benches(),
                before.units(),
                before.endpoints(),
                before.looks(),
                readings,
                mishaps);
        return this;
    }

    /**
     * Weighs everything empty (30 g), dry, drained and later, each unit losing water exponentially to nothing.
     *
     * @param held water after draining in mL
     * @param perHour rate of loss
     */
    public WaterTrial dried(
            ToDoubleBiFunction<Integer, Integer> dryMedium,
            ToDoubleBiFunction<Integer, Integer> held,
            ToDoubleBiFunction<Integer, Integer> perHour) {
        weigh("empty", WaterHolding.TARE, (unit, look) -> 30);
        weigh("dry", WaterHolding.DRY, (unit, look) -> 30 + of(dryMedium, unit));
        for (Look look : drawn().looks()) {
            if (look.endpoints().contains(WaterHolding.WET)) {
                weigh(
                        look.name(),
                        WaterHolding.WET,
                        (unit, at) -> 30
                                + of(dryMedium, unit)
                                + of(held, unit) * Math.exp(-of(perHour, unit) * at.hoursAfterStart()));
            }
        }
        return this;
    }

    private static double of(ToDoubleBiFunction<Integer, Integer> value, ExperimentalUnit unit) {
        return value.applyAsDouble(unit.treatment(), unit.replicate());
    }
}
