package elsom.core.protocol.seedling;

import elsom.core.diagnosis.IndicatorGroup;
import elsom.core.diagnosis.Remedy;
import elsom.core.dose.DoseEffect;
import elsom.core.mix.Mix;
import elsom.core.plan.Factor;
import elsom.core.plan.PlannedTreatment;
import elsom.core.results.Evidence;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** The treatments of a trial read as lots of material in a clean medium, by plant and by remedy. */
final class LotArms {
    private final List<Arm> arms = new ArrayList<>();
    private final Set<String> clean = new LinkedHashSet<>();

    /** A treatment; {@code index} is its place among the trial's. */
    record Arm(int index, Mix mix, Where where) {}

    /** The plant sown in it, and what was done to the lot. */
    record Where(String plant, Optional<Remedy> remedy) {
        Optional<IndicatorGroup> group() {
            return IndicatorGroup.of(plant);
        }
    }

    private LotArms() {}

    static LotArms of(Evidence evidence) {
        LotArms read = new LotArms();
        List<Factor> factors = evidence.plan().treatments().factors();
        List<PlannedTreatment> all = evidence.plan().treatments().all();
        int known = Math.min(all.size(), evidence.record().treatments().size());
        for (int i = 0; i < known; i++) {
            PlannedTreatment treatment = all.get(i);
            Optional<Mix> mix = Mix.read(treatment.mix());
            if (mix.isPresent()) {
                List<String> names = treatment.levels().isEmpty()
                        ? List.of(treatment.name())
                        : IntStream.range(0, treatment.levels().size())
                                .mapToObj(f -> factors.get(f)
                                        .levels()
                                        .get(treatment.levels().get(f))
                                        .name())
                                .toList();
                read.arms.add(new Arm(
                        i, mix.get(), where(names, evidence.plan().asked().crop())));
                if (treatment.isControl()) {
                    mix.get().parts().forEach(part -> read.clean.add(part.material()));
                }
            }
        }
        return read;
    }

    private static Where where(List<String> names, String crop) {
        return new Where(
                names.stream()
                        .flatMap(name -> IndicatorGroup.plantIn(name).stream())
                        .findFirst()
                        .orElse(crop),
                names.stream().flatMap(name -> Remedy.of(name).stream()).findFirst());
    }

    /** The medium of the controls. */
    String clean() {
        return String.join(" + ", clean);
    }

    /** Materials that no control has; none without a control. */
    List<String> lots() {
        return clean.isEmpty()
                ? List.of()
                : arms.stream()
                        .flatMap(arm -> arm.mix().parts().stream())
                        .map(Mix.Part::material)
                        .filter(material -> !clean.contains(material))
                        .distinct()
                        .toList();
    }

    /** Treatments with their percent of a lot, the clean ones at 0; only where both are. */
    Map<Where, List<DoseEffect.Given>> series(String lot) {
        Map<Where, List<DoseEffect.Given>> series = new LinkedHashMap<>();
        arms.stream()
                .filter(arm -> pure(arm, lot))
                .forEach(arm -> series.computeIfAbsent(arm.where(), where -> new ArrayList<>())
                        .add(new DoseEffect.Given(arm.index(), 100 * arm.mix().share(lot))));
        return series.entrySet().stream()
                .filter(entry -> entry.getValue().stream().anyMatch(given -> given.dose() == 0)
                        && entry.getValue().stream().anyMatch(given -> given.dose() > 0))
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue, (a, b) -> a, LinkedHashMap::new));
    }

    /** Of the lot and the clean medium only. */
    private boolean pure(Arm arm, String lot) {
        return arm.mix().parts().stream()
                .map(Mix.Part::material)
                .allMatch(material -> material.equals(lot) || clean.contains(material));
    }

    /** The treatment with most of the lot, and the clean one beside it. */
    static Stream<Integer> ends(List<DoseEffect.Given> given) {
        return Stream.of(
                given.stream()
                        .max(Comparator.comparing(DoseEffect.Given::dose))
                        .orElseThrow()
                        .arm(),
                given.stream()
                        .filter(one -> one.dose() == 0)
                        .findFirst()
                        .orElseThrow()
                        .arm());
    }
}
