package elsom.core.protocol;

import elsom.core.quantity.Spans;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import elsom.core.trial.ProtocolCode;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.TrialRecord;
import elsom.core.verdict.Findings;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
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

    private static final List<Endpoint> ENDPOINTS = List.of(
            Endpoint.single(TARE, "Empty container", UnitOfMeasure.GRAM, 0, HEAVIEST_G, 1),
            Endpoint.single(DRY, "Container and dry medium", UnitOfMeasure.GRAM, 0, HEAVIEST_G, 1),
            Endpoint.single(DROP, "Water drop soaks in after", UnitOfMeasure.SECOND, 0, LONGEST_DROP_S, 0),
            Endpoint.single(WET, "Container and wet medium", UnitOfMeasure.GRAM, 0, HEAVIEST_G, 1));

    private static final Caution DUST = new Caution(
            "Damp dusty media down, wear a mask, wash your hands: peat, perlite, compost and biochar dust irritate,"
                    + " and media can carry Legionella.",
            "the bag's safety notes and your doctor");
    private static final Caution OVEN = new Caution(
            "Ventilate while drying. Never dry contaminated media in a kitchen oven.",
            "the oven's maker and local rules");
    private static final Caution MAINS = new Caution(
            "Keep the scale's mains lead away from the soaking tubs; use an RCD/GFCI socket.",
            "a licensed electrician");

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
    public List<Endpoint> endpoints() {
        return ENDPOINTS;
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
    public List<Duration> usualTimes() {
        return List.of(2, 6, 24, 48, 72, 120).stream().map(Duration::ofHours).toList();
    }

    @Override
    public List<Look> looks(List<Duration> later, boolean checkDryness) {
        List<Look> looks = new ArrayList<>();
        add(looks, "empty", Duration.ofHours(-4), TARE);
        add(looks, "dry", Duration.ofHours(-3), DRY);
        if (checkDryness) {
            add(looks, "dry again", Duration.ofHours(-2), DRY, DROP);
        }
        add(looks, "drained", Duration.ZERO, WET);
        for (Duration time : later) {
            add(looks, Spans.tick(time.toSeconds() / 3600.0), time, WET);
        }
        return List.copyOf(looks);
    }

    private static void add(List<Look> looks, String name, Duration afterStart, EndpointCode... endpoints) {
        looks.add(new Look(looks.size() + 1, name, afterStart, List.of(endpoints)));
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
                    List.of(OVEN));
        }
        if (look.endpoints().contains(DRY)) {
            return new Step(
                    "Fill, and weigh dry",
                    List.of(
                            "Sieve dust out and dry the medium until its weight stays the same.",
                            "Fill every container to the same volume and tap it down the same number of times."),
                    List.of(DUST, OVEN));
        }
        return isDrained(record, look)
                ? new Step(
                        "Soak, drain, weigh",
                        List.of(
                                "Soak for an hour, or until it sinks. Note any that float.",
                                "Drain until no drop falls for a minute, wipe the outside, weigh."),
                        List.of(MAINS))
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
    public Findings findings(TrialRecord record, OptionalInt compareAt) {
        return WaterFindings.of(record, compareAt);
    }
}
