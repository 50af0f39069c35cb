package elsom.core.trial;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** What a trial consists of before anything is read: immutable, with lookups by name. */
final class Setup {
    final List<Treatment> treatments;
    final List<Container> containers;
    final List<Bench> benches;
    final List<ExperimentalUnit> units;
    final List<Endpoint> endpoints;
    final List<Look> looks;
    final Map<UnitCode, ExperimentalUnit> unitsByCode = new LinkedHashMap<>();
    final Map<EndpointCode, Endpoint> endpointsByCode = new HashMap<>();
    final Map<String, Container> containersByName = new HashMap<>();

    Setup(
            List<Treatment> treatments,
            List<Container> containers,
            List<Bench> benches,
            List<ExperimentalUnit> units,
            List<Endpoint> endpoints,
            List<Look> looks) {
        this.treatments = List.copyOf(treatments);
        this.containers = List.copyOf(containers);
        this.benches = List.copyOf(benches);
        this.units = List.copyOf(units);
        this.endpoints = List.copyOf(endpoints);
        this.looks = List.copyOf(looks);
        units.forEach(unit -> unitsByCode.put(unit.code(), unit));
        endpoints.forEach(endpoint -> endpointsByCode.put(endpoint.code(), endpoint));
        containers.forEach(container -> containersByName.put(container.name(), container));
    }

    /** The same with an endpoint more, at the looks at which it has values. */
    Setup with(Endpoint worked, List<Reading> values) {
        Set<Integer> has = new HashSet<>();
        values.forEach(reading -> has.add(reading.ref().look()));
        List<Endpoint> all = new ArrayList<>(endpoints);
        all.add(worked);
        return new Setup(
                treatments,
                containers,
                benches,
                units,
                all,
                looks.stream()
                        .map(look -> has.contains(look.number()) ? look.plus(worked.code()) : look)
                        .toList());
    }

    /** The same with other treatments and units. */
    Setup with(List<Treatment> others, List<ExperimentalUnit> moved) {
        return new Setup(others, containers, benches, moved, endpoints, looks);
    }

    /** What does not fit together; empty when all does. */
    List<String> problems() {
        List<String> problems = new ArrayList<>();
        if (unitsByCode.size() < units.size()) {
            problems.add("two units share a code");
        }
        if (endpointsByCode.size() < endpoints.size()) {
            problems.add("two endpoints share a code");
        }
        if (containersByName.size() < containers.size()) {
            problems.add("two containers share a name");
        }
        if (looks.isEmpty() || endpoints.isEmpty()) {
            problems.add("nothing is measured at any look");
        }
        Set<String> names = new HashSet<>();
        treatments.stream()
                .map(Treatment::name)
                .filter(name -> !names.add(name.toLowerCase(Locale.ROOT)))
                .forEach(name -> problems.add("two treatments are called “" + name + "”"));
        numbered(
                problems,
                "treatment",
                treatments.stream().map(Treatment::number).toList());
        numbered(problems, "bench", benches.stream().map(Bench::number).toList());
        numbered(problems, "look", looks.stream().map(Look::number).toList());
        Set<BenchPosition> taken = new HashSet<>();
        units.forEach(unit -> stands(unit, taken, problems));
        endpoints.stream()
                .filter(endpoint -> endpoint.readOf() != null && !endpointsByCode.containsKey(endpoint.readOf()))
                .forEach(endpoint -> problems.add(endpoint.name() + " is read of an unknown count"));
        looks.stream()
                .filter(look -> !endpointsByCode.keySet().containsAll(look.endpoints()))
                .forEach(look -> problems.add("look " + look.number() + " measures an unknown endpoint"));
        return problems;
    }

    private static void numbered(List<String> problems, String what, List<Integer> numbers) {
        for (int i = 0; i < numbers.size(); i++) {
            if (numbers.get(i) != i + 1) {
                problems.add(what + " " + numbers.get(i) + " stands where number " + (i + 1) + " belongs");
                return;
            }
        }
    }

    private void stands(ExperimentalUnit unit, Set<BenchPosition> taken, List<String> problems) {
        BenchPosition at = unit.position();
        if (unit.treatment() > treatments.size()) {
            problems.add("unit " + unit.code() + " has no treatment " + unit.treatment());
        }
        if (!containersByName.containsKey(unit.container())) {
            problems.add("unit " + unit.code() + " has no container “" + unit.container() + "”");
        }
        if (at.bench() > benches.size() || !benches.get(at.bench() - 1).has(at)) {
            problems.add("unit " + unit.code() + " stands outside its bench");
        } else if (!taken.add(at)) {
            problems.add("unit " + unit.code() + " stands on another one");
        }
    }

    /** As many problems as one reads, and how many there are besides. */
    static String shortened(List<String> problems) {
        int most = 20;
        String listed = String.join("; ", problems.subList(0, Math.min(most, problems.size())));
        return problems.size() > most ? listed + "; and " + (problems.size() - most) + " more" : listed;
    }
}
