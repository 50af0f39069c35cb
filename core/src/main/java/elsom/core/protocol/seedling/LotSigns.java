package elsom.core.protocol.seedling;

import elsom.core.diagnosis.IndicatorGroup;
import elsom.core.diagnosis.Likelihoods;
import elsom.core.diagnosis.Remedy;
import elsom.core.diagnosis.Seen;
import elsom.core.diagnosis.Sign;
import elsom.core.dose.DoseEffect;
import elsom.core.protocol.dose.DoseResult;
import elsom.core.quantity.Dimension;
import elsom.core.results.Evidence;
import elsom.core.results.UnitValues;
import elsom.core.seedling.SeedlingPart;
import elsom.core.seedling.Symptom;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/** What a trial's readings show of a lot, as signs that speak for or against a cause. */
final class LotSigns {
    private static final EndpointCode EC = new EndpointCode("ec");
    private static final EndpointCode PH = new EndpointCode("ph");
    private static final EndpointCode ROOTS = new EndpointCode("roots");

    /** mS/cm of water poured through: above the class "low" of Cavins et al. (2000), which is what seedlings bear. */
    private static final double HIGH_EC = 2.6;

    private static final double LOW_PH = 5;
    private static final double HIGH_PH = 7.8;
    private static final EndpointCode SMELL = new EndpointCode("smell");
    private static final EndpointCode AGE = new EndpointCode("age");

    /** Points beyond the clean medium from which injury is called severe. */
    private static final double SEVERE = 6;

    private static final double SEVERE_EDGE = 1;

    /** Of 0 none to 3 strong. */
    private static final double SMELLS = 1;

    private static final double SMELL_EDGE = 0.3;

    /** Weeks after which ammonia and acids have mostly gone. */
    private static final double FRESH_WEEKS = 8;

    private static final double FRESH_EDGE = 2;

    /** Below it most seedlings wait, °C. */
    private static final double COLD = 11;

    private static final double COLD_EDGE = 1.5;
    private static final double EC_EDGE = 0.35;
    private static final double PH_EDGE = 0.25;

    /** A lot shows what half of its units show, and a quarter more of them than of the clean ones. */
    private static final double HALF = 0.5;

    private static final double MORE = 0.25;

    private final Evidence evidence;
    private final Likelihoods table;
    private final Map<LotArms.Where, DoseResult.Line> lines;
    private final Map<LotArms.Where, List<DoseEffect.Given>> series;

    LotSigns(
            Evidence evidence,
            Map<LotArms.Where, DoseResult.Line> lines,
            Map<LotArms.Where, List<DoseEffect.Given>> series) {
        this.evidence = evidence;
        this.table = evidence.likelihoods();
        this.lines = lines;
        this.series = series;
    }

    List<Seen> seen() {
        List<Seen> seen = new ArrayList<>();
        plain().forEach(where -> where.group()
                .filter(group -> injured(where) || !marked(where))
                .ifPresent(group -> seen.add(new Seen(Sign.INJURED, Optional.of(group), injured(where)))));
        seen.addAll(symptoms());
        late().ifPresent(late -> seen.add(new Seen(Sign.LATE, Optional.empty(), late)));
        mean(EC).ifPresent(ec -> seen.add(new Seen(Sign.HIGH_EC, Optional.empty(), beyond(ec, HIGH_EC, EC_EDGE))));
        mean(PH).ifPresent(ph -> {
            seen.add(new Seen(Sign.LOW_PH, Optional.empty(), beyond(-ph, -LOW_PH, PH_EDGE)));
            seen.add(new Seen(Sign.HIGH_PH, Optional.empty(), beyond(ph, HIGH_PH, PH_EDGE)));
        });
        severity().ifPresent(points -> seen.add(all(Sign.SEVERE, beyond(points, SEVERE, SEVERE_EDGE))));
        mean(SMELL).ifPresent(smell -> seen.add(all(Sign.SMELL, beyond(smell, SMELLS, SMELL_EDGE))));
        mean(AGE).ifPresent(weeks -> seen.add(all(Sign.FRESH, beyond(-weeks, -FRESH_WEEKS, FRESH_EDGE))));
        coldest().ifPresent(degrees -> seen.add(all(Sign.COLD_PLACE, beyond(-degrees, -COLD, COLD_EDGE))));
        thinned().ifPresent(falls -> seen.add(new Seen(Sign.DILUTION, Optional.empty(), falls)));
        for (Remedy remedy : Remedy.values()) {
            helped(remedy).ifPresent(falls -> seen.add(new Seen(Sign.of(remedy), Optional.empty(), falls)));
        }
        return seen;
    }

    private static Seen all(Sign sign, double degree) {
        return new Seen(sign, Optional.empty(), degree);
    }

    /** How far a meter is beyond a limit, 0 to 1, half at it: nothing changes at an edge in nature. */
    private static double beyond(double value, double limit, double edge) {
        return 1 / (1 + Math.exp((limit - value) / edge));
    }

    private List<LotArms.Where> plain() {
        return lines.keySet().stream().filter(where -> where.remedy().isEmpty()).toList();
    }

    private boolean injured(LotArms.Where where) {
        return Objects.requireNonNull(lines.get(where)).effect().tested().loec().isPresent();
    }

    /** Whether symptoms tell of a harm that the points do not: such a plant is not unharmed. */
    private boolean marked(LotArms.Where where) {
        return SymptomCounts.excess(evidence, where.plant(), Objects.requireNonNull(series.get(where))).stream()
                .anyMatch(SymptomCounts.Excess::speaks);
    }

    // ---- symptoms ----

    private List<Seen> symptoms() {
        Map<LotArms.Where, Set<Symptom>> shown = new LinkedHashMap<>();
        Set<Symptom> ever = EnumSet.noneOf(Symptom.class);
        for (LotArms.Where where : plain()) {
            List<Integer> ends =
                    LotArms.ends(Objects.requireNonNull(series.get(where))).toList();
            SymptomCounts lot = SymptomCounts.of(evidence, List.of(ends.get(0)));
            SymptomCounts clean = SymptomCounts.of(evidence, List.of(ends.get(1)));
            Set<Symptom> here = EnumSet.noneOf(Symptom.class);
            lot.seen().keySet().forEach(symptom -> {
                if (lot.share(symptom) >= HALF && lot.share(symptom) >= clean.share(symptom) + MORE) {
                    here.add(symptom);
                }
            });
            shown.put(where, here);
            ever.addAll(lot.seen().keySet());
            ever.addAll(clean.seen().keySet());
        }
        if (ever.isEmpty()) {
            return List.of();
        }
        List<Seen> seen = new ArrayList<>();
        for (Symptom symptom : Symptom.values()) {
            Sign sign = Sign.of(symptom);
            boolean counted = symptom.like() != symptom;
            if (counted || (symptom.part() == SeedlingPart.ROOT && !rootsSeen(ever))) {
                continue;
            }
            if (table.byGroup(sign)) {
                shown.forEach((where, here) -> where.group()
                        .ifPresent(group -> seen.add(new Seen(sign, Optional.of(group), here.contains(symptom)))));
            } else {
                seen.add(new Seen(
                        sign, Optional.empty(), shown.values().stream().anyMatch(here -> here.contains(symptom))));
            }
        }
        return seen;
    }

    /** Roots can be told unharmed only when somebody looked. */
    private boolean rootsSeen(Set<Symptom> ever) {
        return ever.stream().anyMatch(symptom -> symptom.part() == SeedlingPart.ROOT)
                || evidence.measured().stream()
                        .anyMatch(measure -> measure.endpoint().code().equals(ROOTS));
    }

    // ---- time, meters and pairs ----

    /** Whether injury was shown at the last look and not at the first; empty without injury, or with one look. */
    private Optional<Boolean> late() {
        return plain().stream()
                .filter(this::injured)
                .map(where -> Objects.requireNonNull(lines.get(where)).atLooks())
                .filter(looks -> looks.size() > 1)
                .map(looks -> looks.get(0).effect().tested().loec().isEmpty())
                .findFirst();
    }

    /** The last mean of what was measured in the neatest of the lot. */
    private OptionalDouble mean(EndpointCode code) {
        Optional<Look> look = evidence.measured().stream()
                .filter(measure -> measure.endpoint().code().equals(code))
                .flatMap(measure -> evidence.lookOf(code).stream())
                .findFirst();
        if (look.isEmpty()) {
            return OptionalDouble.empty();
        }
        List<Integer> neat = plain().stream()
                .flatMap(where ->
                        LotArms.ends(Objects.requireNonNull(series.get(where))).limit(1))
                .toList();
        return evidence.record().units().stream()
                .filter(unit -> neat.contains(unit.treatment() - 1))
                .flatMap(unit ->
                        UnitValues.readings(evidence.record(), evidence.record().endpoint(code), look.get(), unit)
                                .stream())
                .mapToDouble(reading -> Objects.requireNonNull(reading.value()))
                .average();
    }

    /** The points by which the worst plant is injured beyond the clean one, in most of the lot; empty without injury. */
    private OptionalDouble severity() {
        return plain().stream()
                .filter(this::injured)
                .mapToDouble(where -> harm(Objects.requireNonNull(lines.get(where))))
                .max();
    }

    /** The lowest temperature that was read, whatever its endpoint is called. */
    private OptionalDouble coldest() {
        return evidence.measured().stream()
                .map(measure -> measure.endpoint())
                .filter(endpoint -> endpoint.unit().dimension() == Dimension.TEMPERATURE)
                .map(endpoint -> mean(endpoint.code()))
                .filter(OptionalDouble::isPresent)
                .mapToDouble(OptionalDouble::getAsDouble)
                .min();
    }

    /** Whether half of the harm or more is gone at the smallest share; empty where one share only was tested. */
    private Optional<Boolean> thinned() {
        return plain().stream()
                .filter(this::injured)
                .map(where -> Objects.requireNonNull(lines.get(where)).effect().levels())
                .filter(levels -> levels.size() > 2)
                .map(levels -> levels.get(1).mean() - levels.get(0).mean()
                        <= HALF
                                * (levels.get(levels.size() - 1).mean()
                                        - levels.get(0).mean()))
                .findFirst();
    }

    /** Whether half of the harm or more goes with a remedy; empty where there is no such pair. */
    private Optional<Boolean> helped(Remedy remedy) {
        return plain().stream()
                .filter(this::injured)
                .flatMap(where -> Optional.ofNullable(lines.get(new LotArms.Where(where.plant(), Optional.of(remedy))))
                        .map(with -> harm(with) <= HALF * harm(Objects.requireNonNull(lines.get(where))))
                        .stream())
                .findFirst();
    }

    private static double harm(DoseResult.Line line) {
        List<DoseEffect.Level> levels = line.effect().levels();
        return levels.get(levels.size() - 1).mean() - levels.get(0).mean();
    }

    /** The groups that were sown. */
    Set<IndicatorGroup> groups() {
        Set<IndicatorGroup> groups = EnumSet.noneOf(IndicatorGroup.class);
        plain().forEach(where -> where.group().ifPresent(groups::add));
        return groups;
    }
}
