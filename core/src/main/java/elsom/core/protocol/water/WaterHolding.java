package elsom.core.protocol.water;

import elsom.core.plan.Direction;
import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedLook;
import elsom.core.plan.Recurring;
import elsom.core.protocol.Cautions;
import elsom.core.protocol.Concern;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.Step;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Spans;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.results.Analysis;
import elsom.core.results.AskedQuestions;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import elsom.core.trial.ProtocolCode;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.TrialRecord;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** How much water media hold, and for how long: pots weighed empty, dry, soaked and drained, and later. */
public final class WaterHolding implements Protocol {
    public static final ProtocolCode CODE = new ProtocolCode("water-holding");

    /** Mass of the empty container. */
    public static final EndpointCode TARE = new EndpointCode("tare-mass");

    /** Mass of container and dry medium. */
    public static final EndpointCode DRY = new EndpointCode("dry-mass");

    /** Mass of container and wet medium. */
    public static final EndpointCode WET = new EndpointCode("wet-mass");

    /** Water drop penetration time. */
    public static final EndpointCode DROP = new EndpointCode("drop-time");

    private static final double HEAVIEST_G = 50_000;
    private static final double LONGEST_DROP_S = 7200;

    private static final List<Integer> USUAL_HOURS = List.of(2, 6, 24, 48, 72, 120);

    private static final List<Measure> MEASURES = List.of(
            measure(
                    Endpoint.single(TARE, "Empty container", UnitOfMeasure.GRAM, 0, HEAVIEST_G, 1),
                    "empty and clean, code written on",
                    0.02,
                    10),
            measure(
                    Endpoint.single(DRY, "Container and dry medium", UnitOfMeasure.GRAM, 0, HEAVIEST_G, 1),
                    "dried until the weight stays, filled to the same mark",
                    0.04,
                    30),
            measure(
                    Endpoint.single(DROP, "Water drop soaks in after", UnitOfMeasure.SECOND, 0, LONGEST_DROP_S, 0),
                    "one drop on the surface, until it is gone",
                    0.4,
                    60),
            measure(
                    Endpoint.single(WET, "Container and wet medium", UnitOfMeasure.GRAM, 0, HEAVIEST_G, 1),
                    "no drop falling for a minute, outside wiped",
                    0.06,
                    15));

    private static Measure measure(Endpoint endpoint, String rule, double cv, int seconds) {
        return Measure.byHand(endpoint, rule, "", 0, Direction.HIGHER, cv, seconds);
    }

    @Override
    public ProtocolCode code() {
        return CODE;
    }

    @Override
    public String name() {
        return "Water holding";
    }

    @Override
    public String purpose() {
        return "How much water media hold after draining, how much of it is left days later, and when each is due for"
                + " watering.";
    }

    @Override
    public String exampleQuestion() {
        return "Which blend still has water after a hot week?";
    }

    @Override
    public List<Measure> measures() {
        return MEASURES;
    }

    @Override
    public List<TreatmentProperty> properties() {
        return List.of(TreatmentProperty.ORGANIC_MATTER, TreatmentProperty.PREWETTED);
    }

    @Override
    public List<String> kinds() {
        return List.of("organic", "mineral", "blend");
    }

    @Override
    public List<PlannedLook> usualLooks() {
        return looks(USUAL_HOURS.stream().map(Duration::ofHours).toList(), false);
    }

    /**
     * Looks with these later weighings.
     *
     * @param later times after draining, positive, ascending and distinct; the drained weight itself is always a look
     * @param checkDryness whether to weigh dry twice and time a water drop
     */
    public static List<PlannedLook> looks(List<Duration> later, boolean checkDryness) {
        List<PlannedLook> looks = new ArrayList<>();
        looks.add(new PlannedLook("empty", Duration.ofHours(-4), List.of(TARE)));
        looks.add(new PlannedLook("dry", Duration.ofHours(-3), List.of(DRY)));
        if (checkDryness) {
            looks.add(new PlannedLook("dry again", Duration.ofHours(-2), List.of(DRY, DROP)));
        }
        looks.add(new PlannedLook("drained", Duration.ZERO, List.of(WET)));
        for (Duration time : later) {
            looks.add(new PlannedLook(Spans.tick(time.toSeconds() / 3600.0), time, List.of(WET)));
        }
        return List.copyOf(looks);
    }

    @Override
    public List<Recurring> usualSteps() {
        return List.of();
    }

    @Override
    public List<Step> preparation() {
        return List.of(
                new Step(
                        "Sieve and dry",
                        List.of(
                                "Sieve dust out of every medium with the same sieve.",
                                "Dry each until two weighings an hour apart differ by less than 0.5 %."),
                        List.of(Cautions.DUST, Cautions.OVEN)),
                new Step(
                        "Containers and scale",
                        List.of(
                                "Write each code on its container with a pencil or paint pen, or stick its label on.",
                                "Check the scale with something of known weight."),
                        List.of(Cautions.MAINS)));
    }

    @Override
    public List<String> validity() {
        return List.of(
                "Compares media at one depth only: a deeper container holds less water per litre.",
                "Two dry weighings must agree within 0.5 %, else water held is guessed too low.",
                "Drying rates hold for the light, warmth and wind they were measured in.");
    }

    @Override
    public Habit habit() {
        return Habit.POTS;
    }

    @Override
    public Step stepBefore(TrialRecord record, Look look) {
        if (look.endpoints().contains(TARE)) {
            return new Step(
                    "Weigh the empty containers",
                    List.of(
                            "Write each code on its container with a pencil or paint pen; water takes marker off.",
                            "Leave drain holes open.",
                            "Zero the scale with nothing on it."),
                    List.of());
        }
        if (look.endpoints().contains(DROP)) {
            return new Step(
                    "Weigh dry again, then the water drop",
                    List.of(
                            "Dry on for another hour or day; the weight is constant when it changes by less than 0.5 %.",
                            "Put one drop of water on the surface and time it until it is gone."),
                    List.of(Cautions.OVEN));
        }
        if (look.endpoints().contains(DRY)) {
            return new Step(
                    "Fill, and weigh dry",
                    List.of(
                            "Sieve dust out and dry the medium until its weight stays the same.",
                            "Fill every container to the same volume and tap it down the same number of times."),
                    List.of(Cautions.DUST, Cautions.OVEN));
        }
        return isDrained(record, look)
                ? new Step(
                        "Soak, drain, weigh",
                        List.of(
                                "Soak for an hour, or until it sinks. Note any that float.",
                                "Drain until no drop falls for a minute, wipe the outside, weigh."),
                        List.of(Cautions.MAINS))
                : new Step(
                        "Weigh again",
                        List.of(
                                "No water in between. Wipe nothing off the surface.",
                                "Put each unit back on its own place."),
                        List.of());
    }

    /** Whether a look is the first wet weighing. */
    static boolean isDrained(TrialRecord record, Look look) {
        return wetLooks(record).findFirst().map(look::equals).orElse(false);
    }

    static Stream<Look> wetLooks(TrialRecord record) {
        return record.looks().stream().filter(look -> look.endpoints().contains(WET));
    }

    static Stream<Look> dryLooks(TrialRecord record) {
        return record.looks().stream().filter(look -> look.endpoints().contains(DRY));
    }

    @Override
    public Optional<Concern> concern(TrialRecord record, ReadingRef ref, double value) {
        return WaterConcerns.of(record, ref, value);
    }

    @Override
    public List<String> settings(Plan plan) {
        return List.of("Due for water at " + Decimals.percent(plan.rules().refillFraction(), 0)
                + " % of the water held after draining. Watering: "
                + plan.rules().watering().label().toLowerCase(Locale.ROOT) + ".");
    }

    @Override
    public List<Analysis> analyses() {
        return List.of(
                new WaterFindings(),
                new AskedQuestions(
                        WaterFindings::byVolume, (evidence, measure) -> Optional.empty(), WaterFindings::atOneDepth));
    }
}
