package elsom.web.findings;

import elsom.core.quantity.Sentence;
import elsom.core.results.FigureKind;
import elsom.core.results.Findings;
import elsom.core.results.JudgedQuestion;
import elsom.core.results.Section;
import elsom.core.results.UnitResult;
import elsom.core.results.Wording;
import elsom.core.trial.Look;
import elsom.core.trial.TrialRecord;
import elsom.web.findings.SectionView.Shown;
import elsom.web.kit.BenchMap;
import elsom.web.kit.Swatch;
import elsom.web.kit.TrialHeader;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** Every unit of one bench, where it stands and as a table. */
record UnitsPage(
        TrialHeader header,
        BenchMap map,
        String shownWords,
        List<FindingsPage.Choice> choices,
        List<FigureKind> columns,
        List<UnitLine> units,
        String backHref) {

    /** A unit's row. */
    record UnitLine(Swatch swatch, String code, boolean lost, List<Shown> figures) {}

    /**
     * The page of one bench.
     *
     * @param left whether the map shows what treatments leave over, where that is known, instead of figures
     */
    static UnitsPage of(TrialRecord record, Findings findings, int bench, boolean left, Instant now) {
        Links links = new Links(record, findings.comparedAt(), bench);
        List<UnitResult> here = findings.units().stream()
                .filter(unit -> unit.unit().position().bench() == bench)
                .toList();
        List<FigureKind> columns = findings.kinds().stream()
                .filter(kind -> here.stream().anyMatch(unit -> unit.figure(kind).isPresent()))
                .toList();
        Optional<FigureKind> ranked = asked(findings, columns);
        String look = record.look(findings.comparedAt()).map(Look::name).orElse("");
        Optional<JudgedQuestion> parted = ranked.flatMap(kind -> parted(findings, kind));
        boolean leftOver = left && parted.isPresent();
        return new UnitsPage(
                TrialHeader.of(record, now, TrialHeader.Step.FINDINGS, findings.comparedAt()),
                BenchMap.of(
                        record,
                        bench,
                        unit -> leftOver
                                ? over(parted.orElseThrow(), unit.code().value(), links)
                                : face(findings, unit.code().value(), ranked, links)),
                ranked.map(kind -> (leftOver ? "left over of " : "") + Sentence.inside(kind.label()) + ", "
                                + kind.unitSymbol() + ", at " + look)
                        .orElse(""),
                parted.isEmpty()
                        ? List.of()
                        : List.of(
                                new FindingsPage.Choice("the reading", links.units(), !leftOver),
                                new FindingsPage.Choice(
                                        "what treatments leave over", links.units() + "&left=true", leftOver)),
                columns,
                here.stream().map(unit -> line(record, unit, columns, links)).toList(),
                links.view(bench, findings.comparedAt()));
    }

    /** What is asked about first, else the first column. */
    private static Optional<FigureKind> asked(Findings findings, List<FigureKind> columns) {
        return findings.sections(Section.Contrasts.class).stream()
                .flatMap(contrasts -> columns.stream()
                        .filter(kind ->
                                kind.code().equals(contrasts.question().kind().code())))
                .findFirst()
                .or(() -> columns.stream().findFirst());
    }

    /** The question about a figure whose treatments leave something over in each unit. */
    private static Optional<JudgedQuestion> parted(Findings findings, FigureKind kind) {
        return findings.sections(Section.Contrasts.class).stream()
                .map(Section.Contrasts::question)
                .filter(question -> question.kind().code().equals(kind.code())
                        && !question.judgement().residuals().isEmpty())
                .findFirst();
    }

    private static BenchMap.Face over(JudgedQuestion question, String code, Links links) {
        return question.judgement().residuals().stream()
                .filter(residual -> question.observations()
                        .units()
                        .get(residual.unit())
                        .unit()
                        .equals(code))
                .findFirst()
                .map(residual -> new BenchMap.Face(
                        Wording.signed(question.kind(), residual.value()),
                        residual.value() < 0 ? BenchMap.State.BELOW : BenchMap.State.ABOVE,
                        links.units() + "&left=true"))
                .orElseGet(() -> new BenchMap.Face("–", BenchMap.State.LOST, links.base()));
    }

    private static BenchMap.Face face(Findings findings, String code, Optional<FigureKind> ranked, Links links) {
        return findings.units().stream()
                .filter(unit -> unit.unit().code().value().equals(code))
                .findFirst()
                .flatMap(unit -> ranked.flatMap(kind -> unit.figure(kind)
                        .map(figure -> new BenchMap.Face(
                                kind.number(figure.value()), BenchMap.State.DONE, links.working(kind, unit)))))
                .orElseGet(() -> new BenchMap.Face("–", BenchMap.State.LOST, links.base()));
    }

    private static UnitLine line(TrialRecord record, UnitResult unit, List<FigureKind> columns, Links links) {
        return new UnitLine(
                Swatch.of(record.treatment(unit.unit())),
                unit.unit().code().value(),
                record.ended(unit.unit().code()).isPresent(),
                columns.stream()
                        .map(kind -> unit.figure(kind)
                                .map(figure -> new Shown(kind.number(figure.value()), "", links.working(kind, unit)))
                                .orElse(Shown.NONE))
                        .toList());
    }
}
