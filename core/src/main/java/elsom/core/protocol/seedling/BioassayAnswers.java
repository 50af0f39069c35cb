package elsom.core.protocol.seedling;

import elsom.core.diagnosis.Diagnosis;
import elsom.core.diagnosis.IndicatorGroup;
import elsom.core.diagnosis.Seen;
import elsom.core.dose.DoseEffect;
import elsom.core.figure.FigureKind;
import elsom.core.plan.Measure;
import elsom.core.protocol.dose.DoseAnswers;
import elsom.core.protocol.dose.DoseResult;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.results.Analysis;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.results.Validity;
import elsom.core.stats.Outcome;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Whether a lot injures seedlings, from which share on, in which plants, and what is likely the cause. */
public final class BioassayAnswers implements Analysis {
    private static final String NOT_USED =
            "A lot that injures is not used at any share: put it in quarantine and look for the cause";

    private final DoseAnswers doses;
    private final Validity validity;

    /**
     * The analysis.
     *
     * @param validity what must hold of the trial
     */
    public BioassayAnswers(DoseAnswers doses, Validity validity) {
        this.doses = doses;
        this.validity = validity;
    }

    @Override
    public void add(Evidence evidence, Findings.Draft findings) {
        Optional<Measure> injury = evidence.measured().stream()
                .filter(measure -> measure.endpoint().code().equals(EndpointCode.INJURY))
                .findFirst();
        LotArms arms = LotArms.of(evidence);
        if (injury.isPresent() && arms.lots().isEmpty()) {
            findings.answer(BioassayWording.withoutCleanMedium(arms));
        }
        injury.ifPresent(measure -> arms.lots().stream()
                .filter(lot -> arms.series(lot).keySet().stream()
                        .anyMatch(where -> where.remedy().isEmpty()))
                .map(lot -> result(evidence, measure, arms, lot, arms.series(lot)))
                // What injures comes first.
                .sorted(Comparator.comparing(BioassayResult::injurious).reversed())
                .forEach(result -> {
                    findings.answer(BioassayWording.of(result));
                    findings.section(result);
                    if (result.injurious()) {
                        findings.section(shares(evidence, result));
                    }
                }));
    }

    private BioassayResult result(
            Evidence evidence,
            Measure measure,
            LotArms arms,
            String lot,
            Map<LotArms.Where, List<DoseEffect.Given>> series) {
        List<Look> looks = evidence.looksOf(EndpointCode.INJURY);
        Map<LotArms.Where, DoseResult.Line> lines = new LinkedHashMap<>();
        series.forEach(
                (where, given) -> lines.put(where, kept(doses.line(evidence, measure, looks, where.plant(), given))));
        List<BioassayResult.Species> species = lines.entrySet().stream()
                .filter(entry -> entry.getKey().remedy().isEmpty())
                .map(entry -> new BioassayResult.Species(
                        entry.getKey().plant(),
                        entry.getKey().group(),
                        entry.getValue(),
                        Optional.ofNullable(series.get(entry.getKey())).orElseThrow().stream()
                                .mapToDouble(DoseEffect.Given::dose)
                                .max()
                                .orElseThrow()))
                .sorted(Comparator.comparing(BioassayResult.Species::injured).reversed())
                .toList();
        Optional<String> refused = species.stream()
                .flatMap(one -> one.line().voided().stream().map(why -> why + ", with " + one.name()))
                .findFirst();
        List<SymptomCounts.Excess> symptoms = series.entrySet().stream()
                .filter(entry -> entry.getKey().remedy().isEmpty())
                .flatMap(entry -> SymptomCounts.excess(evidence, entry.getKey().plant(), entry.getValue()).stream())
                .sorted(Comparator.comparingDouble(SymptomCounts.Excess::p))
                .toList();
        Look last = looks.get(looks.size() - 1);
        BioassayResult plain = new BioassayResult(
                lot,
                arms.clean(),
                last,
                species,
                symptoms,
                stillToCome(evidence, last),
                refused,
                List.of(),
                Optional.empty(),
                Optional.empty());
        return refused.isEmpty() && (plain.injurious() || plain.marked())
                ? diagnosed(evidence, plain, new LotSigns(evidence, lines, series))
                : plain;
    }

    private String stillToCome(Evidence evidence, Look at) {
        return validity.tooEarly(evidence, EndpointCode.INJURY, at).isEmpty()
                ? ""
                : evidence.record().looks().stream()
                        .filter(look -> look.endpoints().contains(EndpointCode.INJURY))
                        .reduce((first, second) -> second)
                        .map(Look::name)
                        .orElse("");
    }

    private static BioassayResult diagnosed(Evidence evidence, BioassayResult plain, LotSigns signs) {
        List<Seen> own = signs.seen();
        List<Seen> learnt = evidence.later(plain.lot()).stream()
                .filter(sign -> own.stream()
                        .noneMatch(
                                one -> one.sign() == sign.sign() && one.plants().equals(sign.plants())))
                .toList();
        List<Seen> seen = Stream.concat(own.stream(), learnt.stream()).toList();
        Set<IndicatorGroup> groups = EnumSet.noneOf(IndicatorGroup.class);
        groups.addAll(signs.groups());
        learnt.stream().flatMap(sign -> sign.plants().stream()).forEach(groups::add);
        Diagnosis diagnosis = Diagnosis.of(seen, evidence.likelihoods());
        return new BioassayResult(
                plain.lot(),
                plain.clean(),
                plain.look(),
                plain.species(),
                plain.symptoms(),
                plain.stillToCome(),
                plain.refused(),
                learnt,
                Optional.of(diagnosis),
                diagnosis.next(
                        seen.stream().map(Seen::sign).collect(Collectors.toSet()), groups, evidence.likelihoods()));
    }

    /** Without a share to work with: a lot that injures in one plant is not used under another. */
    private static DoseResult.Line kept(DoseResult.Line line) {
        return new DoseResult.Line(
                line.name(),
                line.atLooks().stream()
                        .map(at -> new DoseResult.AtLook(at.look(), at.effect(), Outcome.notEstimable(NOT_USED)))
                        .toList(),
                Outcome.notEstimable(NOT_USED),
                line.areas(),
                line.voided(),
                Optional.empty());
    }

    private static DoseResult shares(Evidence evidence, BioassayResult result) {
        return new DoseResult(
                FigureKind.of(evidence.record().endpoint(EndpointCode.INJURY)),
                DoseResult.By.SHARE,
                "Share of " + result.lot(),
                UnitOfMeasure.PERCENT,
                OptionalDouble.empty(),
                evidence.plan().asked().crop(),
                result.look(),
                "",
                result.species().stream().map(BioassayResult.Species::line).toList());
    }
}
