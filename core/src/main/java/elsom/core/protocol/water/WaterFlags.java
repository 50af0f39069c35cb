package elsom.core.protocol.water;

import elsom.core.figure.GroupKey;
import elsom.core.figure.GroupResult;
import elsom.core.flag.Flag;
import elsom.core.flag.Flag.Severity;
import elsom.core.flag.FlagCode;
import elsom.core.quantity.Decimals;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import elsom.core.trial.MishapKind;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.Treatment;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.core.water.TimedMass;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/** What weakens a water-holding trial's figures. */
final class WaterFlags {
    private static final double CONSTANT_DRY = 0.005;
    private static final double LARGEST_CV = 0.10;
    private static final double REWETTED = 0.25;
    private static final double GAIN_ML = 1;
    private static final double GAIN_SHARE = 0.01;
    private static final double SLIGHTLY_REPELLENT_S = 60;
    private static final double STRONGLY_REPELLENT_S = 600;

    private final TrialRecord record;
    private final List<WaterUnit> weighed;
    private final List<GroupResult> groups;
    private final List<Flag> flags = new ArrayList<>();

    private WaterFlags(TrialRecord record, List<WaterUnit> weighed, List<GroupResult> groups) {
        this.record = record;
        this.weighed = weighed;
        this.groups = groups;
    }

    static List<Flag> of(TrialRecord record, List<WaterUnit> weighed, List<GroupResult> groups) {
        WaterFlags made = new WaterFlags(record, weighed, groups);
        made.negativeWater();
        made.massGain();
        made.dryNotConstant();
        made.scatter();
        made.rewetting();
        made.pores();
        return made.flags;
    }

    private void flag(Severity severity, List<UnitCode> units, String seen, String why, String next) {
        if (!units.isEmpty()) {
            flags.add(new Flag(FlagCode.WEIGHINGS, severity, codes(units) + " " + seen, why, next, names(units)));
        }
    }

    private static List<String> names(List<UnitCode> units) {
        return units.stream().map(UnitCode::value).toList();
    }

    private static String codes(List<UnitCode> units) {
        return units.stream().map(UnitCode::value).collect(Collectors.joining(", "));
    }

    private List<UnitCode> unitsWhere(Predicate<WaterUnit> holds) {
        return weighed.stream().filter(holds).map(unit -> unit.unit().code()).toList();
    }

    private void negativeWater() {
        flag(
                Severity.WRONG,
                unitsWhere(unit -> unit.gravimetry().wet().stream()
                        .anyMatch(mass -> unit.gravimetry().waterMl(mass) < 0)),
                "weighed less wet than dry.",
                "There can't be less than no water: a weight, or the pot it was written to, is wrong.",
                "Open the reading and correct it, or weigh again.");
        List<UnitCode> notAboveTare = record.units().stream()
                .filter(unit -> notAboveTare(unit.code()))
                .map(unit -> unit.code())
                .toList();
        flag(
                Severity.WRONG,
                notAboveTare,
                "weighed no more with dry medium than empty, so nothing of it is counted.",
                "One of the two weights is wrong.",
                "Open the reading and correct it.");
    }

    private boolean notAboveTare(UnitCode code) {
        Optional<Double> tare = lastValue(code, WaterHolding.TARE);
        Optional<Double> dry = lastValue(code, WaterHolding.DRY);
        return tare.isPresent() && dry.isPresent() && dry.get() <= tare.get();
    }

    private Optional<Double> lastValue(UnitCode code, EndpointCode endpoint) {
        return values(code, endpoint).stream().reduce((a, b) -> b);
    }

    private List<Double> values(UnitCode code, EndpointCode endpoint) {
        return record.looks().stream()
                .filter(look -> look.endpoints().contains(endpoint))
                .map(Look::number)
                .flatMap(look -> record.current(new ReadingRef(code, look, endpoint)).stream())
                .map(WaterUnit::value)
                .toList();
    }

    private void massGain() {
        flag(
                Severity.CAUTION,
                unitsWhere(this::gained),
                "gained weight after draining.",
                "Rain, a drip, watering or a swapped pot: what it lost in that time is not known.",
                "Ask who was at the bench; cover the units, or leave these out.");
    }

    private boolean gained(WaterUnit unit) {
        List<TimedMass> wet = unit.gravimetry().wet();
        double allowed = Math.max(
                GAIN_ML, GAIN_SHARE * unit.gravimetry().heldMl().asOptional().orElse(0.0));
        for (int i = 1; i < wet.size(); i++) {
            if (wet.get(i).grams() - wet.get(i - 1).grams() > allowed) {
                return true;
            }
        }
        return false;
    }

    private void dryNotConstant() {
        flag(
                Severity.CAUTION,
                unitsWhere(this::stillDrying),
                "changed its dry weight by more than 0.5 % between two weighings.",
                "Water left in the dry medium makes every figure of water too small.",
                "Dry on until two weighings agree.");
    }

    private boolean stillDrying(WaterUnit unit) {
        List<Double> dry = values(unit.unit().code(), WaterHolding.DRY);
        double last = dry.get(dry.size() - 1);
        return dry.size() > 1
                && Math.abs(dry.get(dry.size() - 2) - last)
                        > CONSTANT_DRY * unit.gravimetry().dryMassG();
    }

    private void scatter() {
        for (GroupResult group : groups) {
            OptionalDouble cv = group.figure(WaterKinds.CAPACITY)
                    .map(figure -> figure.summary().coefficientOfVariation())
                    .orElse(OptionalDouble.empty());
            if (cv.isPresent() && cv.getAsDouble() > LARGEST_CV) {
                flags.add(new Flag(
                        FlagCode.WEIGHINGS,
                        Severity.CAUTION,
                        group.name() + where(group.key()) + " scatters by " + Decimals.percent(cv.getAsDouble(), 0)
                                + " % between its units in water held after draining.",
                        "Above 10 %, filling or draining differed more than media often do.",
                        "Fill by weight, tap alike, drain as long; look for the odd unit.",
                        names(members(group.key()))));
            }
        }
    }

    private List<UnitCode> members(GroupKey key) {
        return record.units().stream()
                .filter(unit ->
                        unit.treatment() == key.treatment() && unit.position().bench() == key.bench())
                .map(unit -> unit.code())
                .toList();
    }

    private String where(GroupKey key) {
        return record.benches().size() > 1 ? " (" + record.bench(key.bench()).name() + ")" : "";
    }

    private void rewetting() {
        List<UnitCode> floated = record.mishaps().stream()
                .filter(mishap -> mishap.stands() && mishap.kind() == MishapKind.FLOATED)
                .flatMap(mishap -> mishap.units().stream())
                .distinct()
                .toList();
        flag(
                Severity.CAUTION,
                floated,
                "floated and would not wet.",
                "What it held is what it took up, not what it can hold.",
                "Soak a pre-wetted pot of the same medium beside it.");
        flag(
                Severity.CAUTION,
                repellent(STRONGLY_REPELLENT_S, Double.POSITIVE_INFINITY),
                "took more than 10 minutes to take in a drop of water: strongly repellent.",
                "Once dry it will not wet from a can.",
                "Wet it slowly from below, or with a wetting agent by its label.");
        flag(
                Severity.NOTE,
                repellent(SLIGHTLY_REPELLENT_S, STRONGLY_REPELLENT_S),
                "took more than a minute to take in a drop of water: slightly repellent.",
                "Watering from above may run off at first.",
                "Water twice, a little at first.");
        againstPrewetted();
    }

    private List<UnitCode> repellent(double above, double upTo) {
        return record.units().stream()
                .map(unit -> unit.code())
                .filter(code -> values(code, WaterHolding.DROP).stream().anyMatch(s -> s > above && s <= upTo))
                .toList();
    }

    private void againstPrewetted() {
        for (GroupResult dry : groups) {
            Treatment treatment = record.treatment(dry.key().treatment());
            Optional<Double> held = capacity(dry);
            groups.stream()
                    .filter(other -> other.key().bench() == dry.key().bench()
                            && isPrewetted(record.treatment(other.key().treatment()))
                            && !isPrewetted(treatment)
                            && record.treatment(other.key().treatment())
                                    .material()
                                    .equals(treatment.material()))
                    .flatMap(other -> capacity(other).stream())
                    .filter(prewetted -> held.isPresent() && held.get() < REWETTED * prewetted)
                    .forEach(prewetted -> flags.add(new Flag(
                            FlagCode.WEIGHINGS,
                            Severity.CAUTION,
                            dry.name() + where(dry.key()) + " took up " + WaterKinds.CAPACITY.show(held.orElseThrow())
                                    + " where the same medium pre-wetted holds " + WaterKinds.CAPACITY.show(prewetted)
                                    + ": it fails to re-wet.",
                            "Once dry, it holds less than a quarter of what it could.",
                            "Never let it dry out, or blend it.",
                            names(members(dry.key())))));
        }
    }

    private static boolean isPrewetted(Treatment treatment) {
        return treatment.property(TreatmentProperty.PREWETTED).orElse(0) == 1;
    }

    private static Optional<Double> capacity(GroupResult group) {
        return group.figure(WaterKinds.CAPACITY).map(figure -> figure.summary().mean());
    }

    private void pores() {
        List<String> unknown = record.treatments().stream()
                .filter(t -> t.property(TreatmentProperty.ORGANIC_MATTER).isEmpty())
                .map(Treatment::name)
                .toList();
        if (!unknown.isEmpty() && !weighed.isEmpty()) {
            flags.add(new Flag(
                    FlagCode.WEIGHINGS,
                    Severity.NOTE,
                    "No air is given for " + String.join(", ", unknown) + ".",
                    "Pore space is computed from the share of organic matter, which is not known.",
                    "Have it measured, or seal the holes and measure the water it takes to fill.",
                    List.of()));
        }
        flag(
                Severity.CAUTION,
                unitsWhere(unit -> unit.gravimetry()
                                .totalPorosity()
                                .asOptional()
                                .isPresent()
                        && !unit.wetLooks().isEmpty()
                        && unit.gravimetry().airFilledPorosity().asOptional().isEmpty()),
                "holds more water than its computed pore space.",
                "The organic matter, the filled volume or a weight is off, so no air is given.",
                "Check the fill mark; swelling media need their wet volume.");
    }
}
