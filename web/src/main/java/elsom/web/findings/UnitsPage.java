package elsom.web.findings;

import elsom.core.figure.Figure;
import elsom.core.figure.FigureKind;
import elsom.core.figure.UnitResult;
import elsom.core.quantity.Sentence;
import elsom.core.results.Findings;
import elsom.core.results.JudgedQuestion;
import elsom.core.results.Shades;
import elsom.core.results.Wording;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.kit.BenchMap;
import elsom.web.kit.Swatch;
import elsom.web.kit.TrialHeader;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** Every unit of one bench, where it stands and as a table. */
record UnitsPage(
        TrialHeader header,
        BenchMap map,
        String shownWords,
        List<FindingsPage.Choice> choices,
        boolean leftOver,
        List<FigureKind> columns,
        List<UnitLine> units,
        String backHref) {

    /** A unit's row. */
    record UnitLine(Swatch swatch, String code, boolean lost, List<Shown> figures) {}

    /**
     * The page of one bench.
     *
     * @param left whether the map shows what treatments leave over, where that is known, instead of figures
     * @param wanted code of the figure that is shown; what is asked about first where there is none of it
     */
    static UnitsPage of(TrialRecord record, Findings findings, int bench, boolean left, String wanted, Instant now) {
        Links links = new Links(record, findings.comparedAt(), bench);
        List<UnitResult> here = findings.units().stream()
                .filter(unit -> unit.unit().position().bench() == bench)
                .toList();
        List<FigureKind> columns = findings.kinds().stream()
                .filter(kind -> here.stream().anyMatch(unit -> unit.figure(kind).isPresent()))
                .toList();
        Optional<FigureKind> shown = columns.stream()
                .filter(kind -> kind.code().equals(wanted))
                .findFirst()
                .or(() -> asked(findings, columns));
        String look = record.look(findings.comparedAt()).map(Look::name).orElse("");
        Optional<JudgedQuestion> parted = shown.flatMap(kind -> parted(findings, kind));
        boolean leftOver = left && parted.isPresent();
        return new UnitsPage(
                TrialHeader.of(record, now, TrialHeader.Step.FINDINGS, findings.comparedAt()),
                BenchMap.of(record, bench, leftOver ? over(parted.orElseThrow(), links) : faces(here, shown, links)),
                shown.map(kind -> (leftOver ? "left over of " : "") + Sentence.inside(kind.label()) + ", "
                                + kind.unitSymbol() + ", at " + look)
                        .orElse(""),
                choices(columns, shown, parted.isPresent(), leftOver, links),
                leftOver,
                columns,
                here.stream().map(unit -> line(record, unit, columns, links)).toList(),
                links.view(bench, findings.comparedAt()));
    }

    /** Every figure of the units, and what treatments leave over of the one that is shown where that is known. */
    private static List<FindingsPage.Choice> choices(
            List<FigureKind> columns, Optional<FigureKind> shown, boolean parted, boolean leftOver, Links links) {
        List<FindingsPage.Choice> choices = new ArrayList<>();
        for (FigureKind kind : columns) {
            boolean here = shown.filter(kind::equals).isPresent();
            String href = links.units() + "&kind=" + kind.code();
            choices.add(new FindingsPage.Choice(Sentence.inside(kind.label()), href, here && !leftOver));
            if (here && parted) {
                choices.add(new FindingsPage.Choice("what treatments leave over of it", href + "&left=true", leftOver));
            }
        }
        return choices.size() > 1 ? choices : List.of();
    }

    /** What is asked about first, else the first column. */
    private static Optional<FigureKind> asked(Findings findings, List<FigureKind> columns) {
        return findings.sections(JudgedQuestion.class).stream()
                .flatMap(contrasts -> columns.stream()
                        .filter(kind -> kind.code().equals(contrasts.kind().code())))
                .findFirst()
                .or(() -> columns.stream().findFirst());
    }

    /** The question about a figure whose treatments leave something over in each unit. */
    private static Optional<JudgedQuestion> parted(Findings findings, FigureKind kind) {
        return findings.sections(JudgedQuestion.class).stream()
                .filter(question -> question.kind().code().equals(kind.code())
                        && !question.judgement().residuals().isEmpty())
                .findFirst();
    }

    private static Function<ExperimentalUnit, BenchMap.Face> over(JudgedQuestion question, Links links) {
        Map<String, Double> left = new HashMap<>();
        question.judgement()
                .residuals()
                .forEach(residual -> left.put(
                        question.observations().units().get(residual.unit()).unit(), residual.value()));
        Shades shades = Shades.from0(left.values());
        return unit -> {
            Double value = left.get(unit.code().value());
            return value == null
                    ? new BenchMap.Face("–", BenchMap.State.LOST, links.base())
                    : new BenchMap.Face(
                            Wording.signed(question.kind(), value),
                            value < 0 ? BenchMap.State.BELOW : BenchMap.State.ABOVE,
                            links.units() + "&left=true&kind=" + question.kind().code(),
                            shades.of(value));
        };
    }

    private static Function<ExperimentalUnit, BenchMap.Face> faces(
            List<UnitResult> here, Optional<FigureKind> shown, Links links) {
        Map<UnitCode, UnitResult> byCode = new HashMap<>();
        here.forEach(unit -> byCode.put(unit.unit().code(), unit));
        Shades shades = Shades.between(here.stream()
                .flatMap(unit -> shown.flatMap(unit::figure).stream())
                .map(Figure::value)
                .toList());
        return unit -> Optional.ofNullable(byCode.get(unit.code()))
                .flatMap(result -> shown.flatMap(kind -> result.figure(kind)
                        .map(figure -> new BenchMap.Face(
                                kind.number(figure.value()),
                                BenchMap.State.DONE,
                                links.working(kind, result),
                                shades.of(figure.value())))))
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
