package elsom.core.analysis;

import elsom.core.stats.Summary;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * All that was seen of one endpoint at one look, one row a unit.
 *
 * @param factors names; every arm has a level of each, or none has any
 * @param better which way is better
 * @param resolution the smallest step of a reading in the endpoint's unit, such as 0.1; units that agree to it still
 *     scatter within it
 */
public record Observations(
        Design design,
        List<String> factors,
        List<Arm> arms,
        EndpointKind kind,
        Better better,
        double resolution,
        List<Observed> units) {
    /** Which way is better. */
    public enum Better {
        HIGHER,
        LOWER
    }

    public Observations {
        factors = List.copyOf(factors);
        arms = List.copyOf(arms);
        units = List.copyOf(units);
        if (!(resolution > 0)) {
            throw new IllegalArgumentException("a resolution must be above 0, got " + resolution);
        }
        Set<String> codes = new HashSet<>();
        for (Arm arm : arms) {
            if (!codes.add(arm.code())) {
                throw new IllegalArgumentException("two treatments have the code " + arm.code());
            }
            if (!arm.levels().isEmpty() && arm.levels().size() != factors.size()) {
                throw new IllegalArgumentException("treatment " + arm.code() + " needs a level of each factor");
            }
        }
        for (Observed unit : units) {
            if (unit.arm() < 0 || unit.arm() >= arms.size()) {
                throw new IllegalArgumentException("unit " + unit.unit() + " has an unknown treatment");
            }
            boolean counted = unit.value() instanceof Value.CountOf;
            if (!unit.missing() && counted != (kind == EndpointKind.COUNT_OF)) {
                throw new IllegalArgumentException("unit " + unit.unit()
                        + (counted ? " is a count of an endpoint that is none" : " needs k and n"));
            }
            if (unit.value().spans() && kind != EndpointKind.TIME) {
                throw new IllegalArgumentException(
                        "unit " + unit.unit() + " can be “not yet”, or between two looks, for a time only");
            }
        }
    }

    /** Units that were seen. */
    public List<Observed> seen() {
        return units.stream().filter(unit -> !unit.missing()).toList();
    }

    /** The units of an arm that have a value, summed up; a share for counts; empty when none has. */
    public Optional<Summary> summary(int arm) {
        double[] values = units.stream()
                .filter(unit -> unit.arm() == arm)
                .mapToDouble(unit -> unit.value().inSums())
                .filter(Double::isFinite)
                .toArray();
        return values.length == 0 ? Optional.empty() : Optional.of(Summary.of(values));
    }

    /** How many units of an arm died, and so have no value. */
    public int deaths(int arm) {
        return (int) units.stream()
                .filter(unit -> unit.arm() == arm && unit.value() instanceof Value.Missing missing && missing.died())
                .count();
    }

    /** How many units of a treatment were seen. */
    public int seen(int arm) {
        return (int) units.stream()
                .filter(unit -> unit.arm() == arm && !unit.missing())
                .count();
    }

    /** How many units of a treatment were set up. */
    public int planned(int arm) {
        return (int) units.stream().filter(unit -> unit.arm() == arm).count();
    }

    /** Whether treatments are cells of two factors or more. */
    public boolean factorial() {
        return factors.size() > 1 && arms.stream().noneMatch(arm -> arm.levels().isEmpty());
    }

    int index(String code) {
        return IntStream.range(0, arms.size())
                .filter(i -> arms.get(i).code().equals(code))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("there is no treatment " + code));
    }

    /** What a unit's value is in sums: a share for a count. */
    static double number(Observed unit) {
        return unit.value().inSums();
    }
}
