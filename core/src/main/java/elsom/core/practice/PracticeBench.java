package elsom.core.practice;

import elsom.core.design.Layout;
import elsom.core.design.RandomDraw;
import elsom.core.protocol.water.WaterHolding;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.sim.BenchTruth;
import elsom.core.trial.BenchPosition;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Mishap;
import elsom.core.trial.MishapKind;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.core.truth.Growth;
import elsom.core.truth.Living;
import elsom.core.truth.Surroundings;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/** A trial whose units live on a practice bench: what its instruments show at each look, and what goes wrong. */
public final class PracticeBench {
    private static final double DRIED = 0.55;
    private static final double BY_THE_HEATER = 0.75;
    private static final double HEIGHT_CM = 34;
    private static final double MIDDLE = 20;
    private static final double COMES_UP = 0.93;
    private static final double DRAINED_FOR_SATURATED = 1.3;

    private final TrialRecord record;
    private final Level level;
    private final Setting setting;
    private final long seed;
    private final Truth truth;
    private final List<BenchPosition> places;

    public PracticeBench(TrialRecord record, Level level, Setting setting, long seed) {
        this.record = record;
        this.level = level;
        this.setting = setting;
        this.seed = seed;
        this.truth = level.truth(setting, seed);
        this.places = Layout.places(record.benches());
    }

    /** A reading as it is typed. */
    public record Shown(ReadingRef ref, double value, String text) {}

    /** Something that went wrong. */
    public record Wrong(MishapKind kind, String note, List<UnitCode> units) {}

    /** Chance of one thing about one unit: the same however often it is asked for. */
    private RandomDraw chance(UnitCode unit, String what) {
        return new RandomDraw(seed * 31 + unit.value().hashCode() * 1009L + what.hashCode() * 65_537L);
    }

    /** The light of a unit's place, as a factor of the middle's. */
    public double light(ExperimentalUnit unit) {
        int place = places.indexOf(unit.position());
        return Rerun.light((place + 0.5) / Math.max(1, places.size()), setting);
    }

    /** What went wrong since the look before: units that are lost, and what dried out by the heater at the dark end. */
    public List<Wrong> wrong(Look look) {
        List<Wrong> wrong = new ArrayList<>();
        int looks = record.looks().size();
        List<UnitCode> dried = new ArrayList<>();
        for (ExperimentalUnit unit : record.units()) {
            RandomDraw chance = chance(unit.code(), "lost");
            boolean lost = chance.share() < setting.dropOut();
            if (lost && 1 + chance.below(looks) == look.number() && look.number() > 1) {
                wrong.add(new Wrong(MishapKind.TAKEN, "eaten by a slug", List.of(unit.code())));
            }
            if (look.number() == (looks + 1) / 2 && byTheHeater(unit)) {
                dried.add(unit.code());
            }
        }
        if (!dried.isEmpty()) {
            wrong.add(new Wrong(MishapKind.DRIED_OUT, "the heater came on: the row beside it dried out", dried));
        }
        return wrong;
    }

    /** The heater stands at the dark end of a bench that has one; what stands there dries first. */
    private boolean byTheHeater(ExperimentalUnit unit) {
        return setting.gradient() > 0
                && level instanceof PlantLevel
                && record.looks().size() > 1
                && places.indexOf(unit.position())
                        >= places.size() - record.treatments().size();
    }

    /** What a weekend without water is written down as. */
    public static Wrong unwatered(TrialRecord record) {
        return new Wrong(
                MishapKind.DRIED_OUT,
                "nobody watered over a weekend",
                record.units().stream().map(ExperimentalUnit::code).toList());
    }

    /**
     * What the instruments show at a look, units in the order of the walk.
     *
     * @param best of the look that decides, only so many of the best of each treatment but the first; 0 for all
     */
    public List<Shown> read(Look look, int best) {
        Map<UnitCode, Integer> dried = dried();
        Set<UnitCode> left = leftOut(look, best, dried);
        List<Shown> shown = new ArrayList<>();
        for (ExperimentalUnit unit : record.benchOrder()) {
            if (!record.expected(unit.code(), look.number()) || left.contains(unit.code())) {
                continue;
            }
            for (EndpointCode code : look.endpoints()) {
                Endpoint endpoint = record.endpoint(code);
                for (int sub = 1; sub <= endpoint.readingsEach(); sub++) {
                    shown.add(shown(unit, look, endpoint, sub, dried.getOrDefault(unit.code(), 0)));
                }
            }
        }
        return shown;
    }

    /** How often each unit dried out so far. */
    private Map<UnitCode, Integer> dried() {
        Map<UnitCode, Integer> times = new HashMap<>();
        for (Mishap mishap : record.mishaps()) {
            if (mishap.stands() && mishap.kind() == MishapKind.DRIED_OUT) {
                mishap.units().forEach(unit -> times.merge(unit, 1, Integer::sum));
            }
        }
        return times;
    }

    private Set<UnitCode> leftOut(Look look, int best, Map<UnitCode, Integer> dried) {
        Set<UnitCode> left = new HashSet<>();
        if (best == 0 || !Planned.decides(level, look)) {
            return left;
        }
        Endpoint endpoint = record.endpoint(level.brief().measured().endpoint());
        for (int treatment = 2; treatment <= record.treatments().size(); treatment++) {
            int which = treatment;
            record.units().stream()
                    .filter(unit -> unit.treatment() == which && record.expected(unit.code(), look.number()))
                    .sorted(Comparator.comparingDouble((ExperimentalUnit unit) -> shown(
                                            unit, look, endpoint, 1, dried.getOrDefault(unit.code(), 0))
                                    .value())
                            .reversed())
                    .skip(best)
                    .forEach(unit -> left.add(unit.code()));
        }
        return left;
    }

    private Shown shown(ExperimentalUnit unit, Look look, Endpoint endpoint, int sub, int dried) {
        ReadingRef ref = new ReadingRef(unit.code(), look.number(), endpoint.code(), sub);
        double days = look.hoursAfterStart() / 24;
        double seen = level instanceof PlantLevel plants
                ? plant(plants, unit, endpoint, days, dried, chance(unit.code(), ref.toString()))
                : weighed(unit, look, endpoint, chance(unit.code(), ref.toString()));
        String text =
                Decimals.fixed(Math.max(endpoint.lowest(), Math.min(endpoint.highest(), seen)), endpoint.decimals());
        return new Shown(ref, Double.parseDouble(text), text + marks(unit, endpoint, Double.parseDouble(text)));
    }

    private double weighed(ExperimentalUnit unit, Look look, Endpoint endpoint, RandomDraw noise) {
        double truly =
                new BenchTruth(record, material -> PotsLevel.medium(truth, material)).of(unit, look, endpoint.code());
        return endpoint.code().equals(WaterHolding.DROP) ? truly : truly + 0.1 * noise.deviate();
    }

    /** What instruments on the bench see of a unit, in the endpoint's unit; empty for what the trial has not. */
    public OptionalDouble seen(ReadingRef what) {
        return record.has(what)
                ? OptionalDouble.of(shown(
                                record.unit(what.unit()).orElseThrow(),
                                record.look(what.look()).orElseThrow(),
                                record.endpoint(what.endpoint()),
                                what.subReading(),
                                dried().getOrDefault(what.unit(), 0))
                        .value())
                : OptionalDouble.empty();
    }

    /** What the plants of a unit truly live in; empty where nothing grows. */
    public Optional<Living> living(ExperimentalUnit unit) {
        return level instanceof PlantLevel plants
                ? living(plants, unit, dried().getOrDefault(unit.code(), 0))
                : Optional.empty();
    }

    private Optional<Living> living(PlantLevel plants, ExperimentalUnit unit, int dried) {
        return Planned.meant(level, record, unit)
                .flatMap(name -> plants.living(truth, name))
                .map(living -> living.lit(light(unit)))
                .map(living -> living.watered(Math.pow(byTheHeater(unit) ? BY_THE_HEATER : DRIED, Math.min(2, dried))));
    }

    private double plant(
            PlantLevel plants, ExperimentalUnit unit, Endpoint endpoint, double days, int dried, RandomDraw noise) {
        Living living = living(plants, unit, dried)
                .orElseThrow(() -> new IllegalArgumentException("there is nothing on the shelf for “"
                        + record.treatment(unit).name() + "”"));
        double vigour = chance(unit.code(), "vigour").deviate();
        if (endpoint.among() > 0) {
            int k = 0;
            double share = COMES_UP * (1 - Math.max(0, living.injury(days) / 10 - 0.8));
            for (int i = 0; i < endpoint.among(); i++) {
                k += noise.share() < share ? 1 : 0;
            }
            return k;
        }
        Surroundings at = living.at();
        return switch (endpoint.code().value()) {
            case "injury" -> PlantReading.injury(living, days, vigour, setting);
            case "ec" -> at.ecMs() * DRAINED_FOR_SATURATED * (1 + 0.04 * noise.deviate());
            case "ph" -> at.ph() + 0.06 * noise.deviate();
            case "height" ->
                living.stature(HEIGHT_CM, days, lastDay()) * (1 + 0.5 * setting.scatter() * vigour)
                        + 0.3 * noise.deviate();
            case "fresh-mass", "yield" ->
                PlantReading.freshMass(living, vigour, setting) * Growth.size(days, lastDay());
            default -> other(endpoint, living, days, vigour);
        };
    }

    /** What the level says nothing of follows growth, in the middle of its scale. */
    private double other(Endpoint endpoint, Living living, double days, double vigour) {
        return endpoint.unit() == UnitOfMeasure.PHOTON_FLUX
                ? living.at().photonFlux()
                : living.stature(Math.min(endpoint.highest(), MIDDLE), days, lastDay())
                        * (1 + setting.scatter() * vigour);
    }

    private double lastDay() {
        return record.looks().get(record.looks().size() - 1).hoursAfterStart() / 24;
    }

    /** What the eye sees beside a score. */
    private String marks(ExperimentalUnit unit, Endpoint endpoint, double value) {
        if (!(level instanceof LotLevel lots) || !endpoint.code().equals(EndpointCode.INJURY) || value < 3) {
            return "";
        }
        return Planned.meant(level, record, unit)
                .flatMap(name -> lots.living(truth, name))
                .map(living -> (living.at().residue() > 0.1 ? " cupped, twisted" : "")
                        + (living.at().ecMs() > 3 ? (living.at().residue() > 0.1 ? "," : "") + " burnt" : ""))
                .orElse("");
    }
}
