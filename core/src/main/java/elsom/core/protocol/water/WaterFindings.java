package elsom.core.protocol.water;

import elsom.core.plan.Measure;
import elsom.core.results.Analysis;
import elsom.core.results.Courses;
import elsom.core.results.Derived;
import elsom.core.results.EndpointFigures;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.trial.Bench;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Works a water-holding trial out from its weighings: who holds water, for how long, and what volumes are made of. */
final class WaterFindings implements Analysis {
    @Override
    public void add(Evidence evidence, Findings.Draft findings) {
        int judged = evidence.lookOf(WaterHolding.WET).map(Look::number).orElse(evidence.look());
        Weighings weighings =
                Weighings.of(evidence.record(), evidence.plan().rules().refillFraction(), judged);
        findings.looks(WaterHolding.wetLooks(evidence.record())
                .filter(evidence.begun()::contains)
                .toList());
        String underWay = evidence.underWay(WaterHolding.WET);
        List<String> details = underWay.isEmpty() ? List.of() : List.of(underWay);
        WaterVerdicts.of(weighings)
                .forEach(verdict ->
                        findings.answer(Findings.Answered.unasked(verdict).with(details)));
        findings.flags(WaterFlags.of(weighings.record(), weighings.weighed(), weighings.groups()));
        findings.figures(WaterKinds.ALL, weighings.units(), weighings.groups());
        String look = evidence.record().look(judged).map(Look::name).orElse("");
        for (Bench bench : weighings.record().benches()) {
            findings.section(new Courses(bench.number(), "Drying", "Time since draining", weighings.courses(bench)));
            findings.section(new Volumes(bench.number(), look, weighings.compositions(bench)));
        }
        EndpointFigures.sections(weighings.record(), WaterKinds.ALL, weighings.groups())
                .forEach(findings::section);
    }

    /** Water by volume, which is what weights of pots are judged by. */
    static Optional<Derived> byVolume(Evidence evidence, Measure measure) {
        if (!measure.endpoint().code().equals(WaterHolding.WET)) {
            return Optional.empty();
        }
        TrialRecord record = evidence.record();
        Map<Look, Map<UnitCode, Double>> values = new LinkedHashMap<>();
        double volume = 0;
        int n = 0;
        for (ExperimentalUnit unit : record.units()) {
            Optional<WaterUnit> water = WaterUnit.of(record, unit);
            volume += unit.filledVolumeMl();
            n++;
            for (Look look : WaterHolding.wetLooks(record).toList()) {
                water.flatMap(of ->
                                of.at(look.number()).map(mass -> of.gravimetry().waterByVolume(mass)))
                        .ifPresent(share -> values.computeIfAbsent(look, key -> new HashMap<>())
                                .put(unit.code(), share));
            }
        }
        double perGram = n / Math.max(1, volume);
        return Optional.of(new Derived(
                WaterKinds.STILL_HELD.rounded(0),
                perGram,
                perGram * Math.pow(10, -record.endpoint(WaterHolding.WET).decimals()),
                values));
    }

    /** Treatments in the container most have: a shallow one holds more per litre, so others are not held against them. */
    static List<Integer> atOneDepth(Evidence evidence) {
        TrialRecord record = evidence.record();
        String usual = Weighings.usualContainer(record);
        return record.treatments().stream()
                .map(Treatment::number)
                .filter(number -> record.units().stream()
                        .filter(unit -> unit.treatment() == number)
                        .allMatch(unit -> unit.container().equals(usual)))
                .toList();
    }
}
